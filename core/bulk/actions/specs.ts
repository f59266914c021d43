import { z } from 'zod';
import { specValueSchema } from '../../model/spec-sheet';
import { specProblem } from '../../products/spec-values';
import { idSchema } from '../../shared/identity';
import { canonicalJson } from '../../shared/canonical-json';
import { bulkAction } from '../bulk-action';

const schema = z.strictObject({
  do: z.literal('specs'),
  sheetId: idSchema,
  /** by attribute id; null takes the value away */
  values: z.record(z.string(), specValueSchema.nullable()),
});

export const specs = bulkAction({
  name: 'Specs',
  schema,
  plan: (product, { sheetId, values }, { sheets }) => {
    const sheet = sheets.get(sheetId);
    if (!sheet) return { problem: 'the spec sheet was deleted' };
    if (product.specSheetId !== null && product.specSheetId !== sheetId)
      return { problem: `it has the spec sheet “${sheets.get(product.specSheetId)?.name ?? 'deleted'}”` };
    const specs = { ...product.specs };
    for (const [id, value] of Object.entries(values)) {
      const attribute = sheet.attributes.find((each) => each.id === id);
      if (!attribute) return { problem: 'one of these attributes was deleted' };
      if (value === null) delete specs[id];
      else {
        const problem = specProblem(attribute, value);
        if (problem) return { problem: `${attribute.name}: ${problem}` };
        specs[id] = value;
      }
    }
    const isSame = product.specSheetId === sheetId && canonicalJson(specs) === canonicalJson(product.specs);
    return { after: isSame ? product : { ...product, specSheetId: sheetId, specs } };
  },
  label: (_request, products) => `Changed specs of ${products}`,
});
