import { z } from 'zod';
import { idSchema } from '../shared/identity';
import type { Planner } from './plan';

const how = z.enum(['add', 'remove', 'set']);
const ids = z.array(idSchema).min(1, 'Choose at least one.').max(50, 'At most 50.');

export const categoriesSchema = z.strictObject({ do: z.literal('categories'), how, ids });
export const tagsSchema = z.strictObject({ do: z.literal('tags'), how, ids });
export const brandSchema = z.strictObject({ do: z.literal('brand'), id: idSchema.nullable() });
export const supplierSchema = z.strictObject({
  do: z.literal('supplier'),
  name: z.string().trim().max(120, 'At most 120 characters.'),
});

/** A list after adding to it, taking from it, or setting it; the same list when nothing changes. */
function changed(before: readonly string[], how: 'add' | 'remove' | 'set', ids: readonly string[]): string[] {
  const after =
    how === 'set'
      ? [...new Set(ids)]
      : how === 'add'
        ? [...new Set([...before, ...ids])]
        : before.filter((id) => !ids.includes(id));
  return after.length === before.length && after.every((id, i) => id === before[i]) ? (before as string[]) : after;
}

export const planCategories: Planner<z.infer<typeof categoriesSchema>> = (product, request) => {
  const categoryIds = changed(product.categoryIds, request.how, request.ids);
  if (categoryIds.length > 50) return { problem: 'it would be in more than 50 categories' };
  return { after: categoryIds === product.categoryIds ? product : { ...product, categoryIds } };
};

export const planTags: Planner<z.infer<typeof tagsSchema>> = (product, request) => {
  // Tags have no order of their own.
  const tagIds = changed(product.tagIds, request.how, [...request.ids].sort());
  if (tagIds.length > 100) return { problem: 'it would have more than 100 tags' };
  return { after: tagIds === product.tagIds ? product : { ...product, tagIds: [...tagIds].sort() } };
};

export const planBrand: Planner<z.infer<typeof brandSchema>> = (product, { id }) => ({
  after: product.brandId === id ? product : { ...product, brandId: id },
});

export const planSupplier: Planner<z.infer<typeof supplierSchema>> = (product, { name }) => ({
  after: product.supplier === name ? product : { ...product, supplier: name },
});
