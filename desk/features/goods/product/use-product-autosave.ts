import { useCallback } from 'react';
import { routes } from '../../../../contract';
import type { ProductAnswer } from '../../../../contract/product';
import type { BodyInput } from '../../../../contract/route';
import type { Product } from '../../../../core/model/product';
import type { Relation, RelationKind } from '../../../../core/model/product-values';
import { variantName } from '../../../../core/products/variants';
import { call } from '../../../data/api';
import type { Autosave } from '../../../shared/autosave/autosave';
import type { Values } from '../../../shared/autosave/step';
import { useAutosave, useField, useText } from '../../../shared/autosave/use-autosave';
import { useKeepProduct } from '../../../data/goods';
import { columnLabel, columnOf, type ColumnName } from '../../../shared/variant-columns';

type Fields = BodyInput<typeof routes.goods.update>['fields'];
type VariantChange = BodyInput<typeof routes.goods.setVariants>['changes'][number];

/** Fields of a product by the names under which they are saved. */
export type SavedFields = Omit<Product, 'relations'> & Record<RelationKind, Relation>;

/** The field of a product, for the part of the page that shows it. */
export const useProductField = <K extends keyof SavedFields>(save: Autosave, name: K) =>
  useField<SavedFields[K]>(save, name);

export const useProductText = (save: Autosave, name: keyof SavedFields) => useText(save, name);

const SPEC = 'specs.';
/** Each attribute of the spec sheet is saved on its own, so that one that cannot be saved holds up no other. */
export const specKey = (attributeId: string) => `${SPEC}${attributeId}`;

function fieldsOf(values: Values, specs: Product['specs']): Record<string, unknown> {
  const own: Record<string, unknown> = {};
  const changed = { ...specs } as Record<string, unknown>;
  let hasSpecs = false;
  for (const [key, value] of Object.entries(values)) {
    if (!key.startsWith(SPEC)) {
      own[key] = value;
      continue;
    }
    hasSpecs = true;
    if (value === undefined) delete changed[key.slice(SPEC.length)];
    else changed[key.slice(SPEC.length)] = value;
  }
  return hasSpecs ? { ...own, specs: changed } : own;
}

/** Saves plain fields of a product: keys are field names, and those of specKey. */
export function useProductAutosave({ product, revision }: ProductAnswer): Autosave {
  const keep = useKeepProduct();
  const shown = useCallback(
    (key: string): unknown => {
      if (key.startsWith(SPEC)) return product.specs[key.slice(SPEC.length)];
      return key in product.relations ? product.relations[key as RelationKind] : product[key as keyof Product];
    },
    [product],
  );
  return useAutosave(shown, revision, {
    save: async ({ values, was }) => {
      const stood = Object.fromEntries(Object.keys(values).map((key) => [key, was[key]]));
      const body = {
        seen: revision,
        fields: fieldsOf(values, product.specs) as Fields,
        was: fieldsOf(stood, product.specs),
      };
      const { revision: reached } = keep(await call(routes.goods.update, { params: { id: product.id }, body }));
      return { revision: reached };
    },
    keyOf: ([first, name, attribute]) =>
      first !== 'fields' ? undefined : name === 'specs' && attribute ? specKey(String(attribute)) : String(name),
  });
}

export const cellKey = (variantId: string, name: string) => `${variantId} ${name}`;
/** The variant and the field of a cell. */
export const partsOfCell = (key: string) => key.split(' ') as [string, string];

function changesOf({ values, was }: { values: Values; was: Values }): VariantChange[] {
  const byVariant = new Map<string, { fields: Record<string, unknown>; was: Record<string, unknown> }>();
  for (const [key, value] of Object.entries(values)) {
    const [id, name] = partsOfCell(key);
    const change = byVariant.get(id) ?? { fields: {}, was: {} };
    change.fields[name] = value;
    if (key in was) change.was[name] = was[key];
    byVariant.set(id, change);
  }
  return [...byVariant].map(([id, change]) => ({ id, ...change }));
}

/** Saves cells of the variant table: keys are a variant id and a field name. */
export function useVariantAutosave({ product, revision }: ProductAnswer): Autosave {
  const keep = useKeepProduct();
  const { variants } = product;
  const shown = useCallback(
    (key: string): unknown => {
      const [id, name] = partsOfCell(key);
      return variants.find((variant) => variant.id === id)?.[name as keyof (typeof variants)[number]];
    },
    [variants],
  );
  return useAutosave(shown, revision, {
    save: async (parcel) => {
      const body = { seen: revision, changes: changesOf(parcel) };
      return { revision: keep(await call(routes.goods.setVariants, { params: { id: product.id }, body })).revision };
    },
    labelOf: (key) => {
      const [id, name] = partsOfCell(key);
      const variant = variants.find((each) => each.id === id);
      const label = name === 'pictureId' ? 'Picture' : columnLabel(columnOf(name as ColumnName), product);
      return [label, variant && variantName(product.options, variant)].filter(Boolean).join(', ');
    },
    keyOf: (path, sent) => {
      const change = changesOf({ values: sent, was: {} })[Number(path[1])];
      return change && cellKey(change.id, String(path[3]));
    },
  });
}
