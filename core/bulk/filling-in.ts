import { z } from 'zod';
import { idSchema } from '../shared/identity';
import { kindParts } from '../products/kinds';
import { type Product } from '../model/product';
import {
  dispatchDaysSchema,
  fitSchema,
  packageSizeSchema,
  packageSortSchema,
  weightSchema,
} from '../model/product-values';
import { specValueSchema } from '../model/spec-sheet';
import { specProblem } from '../products/spec-values';
import type { Planner } from './plan';

export const deliverySchema = z
  .strictObject({
    do: z.literal('delivery'),
    weight: weightSchema.optional(),
    size: packageSizeSchema.nullable().optional(),
    packageSort: packageSortSchema.optional(),
    dispatchDays: dispatchDaysSchema.optional(),
  })
  .refine((request) => Object.keys(request).length > 1, { error: 'Fill in at least one of these.' });

export const picturesSchema = z.strictObject({ do: z.literal('pictures'), fit: fitSchema });

export const specsSchema = z.strictObject({
  do: z.literal('specs'),
  sheetId: idSchema,
  /** by attribute id; null takes the value away */
  values: z.record(z.string(), specValueSchema.nullable()),
});

const sameJson = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

export const planDelivery: Planner<z.infer<typeof deliverySchema>> = (product, { do: _do, ...facts }) => {
  if (!kindParts[product.kind].delivery) return { problem: 'nothing of it is delivered' };
  const isSame = Object.entries(facts).every(([name, value]) => sameJson(product[name as keyof Product], value));
  return { after: isSame ? product : { ...product, ...facts } };
};

export const planPictures: Planner<z.infer<typeof picturesSchema>> = (product, { fit }) => {
  if (product.pictures.length === 0) return { problem: 'it has no picture' };
  if (product.pictures.every((picture) => picture.fit === fit)) return { after: product };
  return { after: { ...product, pictures: product.pictures.map((picture) => ({ ...picture, fit })) } };
};

export const planSpecs: Planner<z.infer<typeof specsSchema>> = (product, { sheetId, values }, { sheets }) => {
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
  const isSame = product.specSheetId === sheetId && sameJson(specs, product.specs);
  return { after: isSame ? product : { ...product, specSheetId: sheetId, specs } };
};
