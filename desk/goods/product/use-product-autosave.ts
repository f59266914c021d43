import type { BodyInput } from '../../../contract/route';
import { routes } from '../../../contract';
import type { ProductAnswer } from '../../../contract/goods';
import { call } from '../../api';
import { useAutosave, type Autosave } from '../../use-autosave';
import { useKeepProduct } from '../queries';

type Fields = BodyInput<typeof routes.goods.update>['fields'];
type VariantFields = BodyInput<typeof routes.goods.setVariants>['changes'][number]['fields'];

/** Saves plain fields of a product: keys are field names. */
export function useProductAutosave({ product, revision }: ProductAnswer): Autosave {
  const keep = useKeepProduct();
  return useAutosave({
    seen: revision,
    save: async (values, seen) =>
      keep(await call(routes.goods.update, { params: { id: product.id }, body: { seen, fields: values as Fields } }))
        .revision,
    keyOf: (path) => (path[0] === 'fields' ? String(path[1]) : undefined),
  });
}

export const cellKey = (variantId: string, name: string) => `${variantId} ${name}`;

function changesOf(values: Record<string, unknown>): { id: string; fields: VariantFields }[] {
  const byVariant = new Map<string, VariantFields>();
  for (const [key, value] of Object.entries(values)) {
    const [id, name] = key.split(' ') as [string, string];
    byVariant.set(id, { ...byVariant.get(id), [name]: value });
  }
  return [...byVariant].map(([id, fields]) => ({ id, fields }));
}

/** Saves cells of the variant table: keys are a variant id and a field name. */
export function useVariantAutosave({ product, revision }: ProductAnswer): Autosave {
  const keep = useKeepProduct();
  return useAutosave({
    seen: revision,
    save: async (values, seen) =>
      keep(
        await call(routes.goods.setVariants, {
          params: { id: product.id },
          body: { seen, changes: changesOf(values) },
        }),
      ).revision,
    keyOf: (path, sent) => {
      const change = changesOf(sent)[Number(path[1])];
      return change && cellKey(change.id, String(path[3]));
    },
  });
}
