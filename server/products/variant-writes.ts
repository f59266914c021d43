import type { Option, Product, Variant } from '../../core/model/product';
import { newVariant } from '../store/new-variant';
import { refusals } from '../shared/refusals';
import { kindParts } from '../../core/products/kinds';
import {
  checkOptions,
  holdsWork,
  mergeValues,
  planVariants,
  stillExcluded,
  variantName,
} from '../../core/products/variants';
import type { goodsRoutes } from '../../contract/goods';
import type { BodyOf } from '../../contract/route';
import { isOptionList } from '../store/option-lists';
import { setOptions, setVariants, updateProduct } from '../store/put-products';
import { newId } from '../shared/ids';
import { clash, invalid, invalidField, needsConfirmation } from '../shared/problem';
import type { Catalog } from '../state/catalog';
import { checkVariants, type VariantChanges } from './checks';
import { productOrRefuse, type UserId } from '../state/product-or-refuse';

type WantedOptions = BodyOf<typeof goodsRoutes.setOptions>['options'];

/** The variants that follow from options, in their order, and those with work in them that would go. */
export function variantsOf(
  { options: before }: Pick<Product, 'options'>,
  variants: readonly Variant[],
  options: readonly Option[],
  excludedCombinations: readonly (readonly string[])[],
): { made: Variant[]; losing: Variant[] } {
  const plan = planVariants(before, options, variants, excludedCombinations);
  const made = [
    ...plan.keep.map(({ variant, values }) => ({ ...variant, values })),
    ...plan.add.map(({ values, like }) => newVariant(values, like ?? { price: 0, cost: null })),
  ];
  const place = new Map(options.map((option) => [option.id, new Map(option.values.map((value, i) => [value.id, i]))]));
  const rank = (variant: Variant) => variant.values.map((value, i) => place.get(options[i]!.id)!.get(value)!);
  made.sort((a, b) => {
    const [x, y] = [rank(a), rank(b)];
    const at = x.findIndex((n, i) => n !== y[i]);
    return at < 0 ? 0 : x[at]! - y[at]!;
  });
  return { made, losing: plan.drop.filter(holdsWork) };
}

/** Sets the options; the variants follow. Asks first when variants with work in them would go. */
export function changeOptions(
  catalog: Catalog,
  user: UserId,
  id: string,
  {
    seen,
    options: wanted,
    excludedCombinations: wantedExcluded,
    merge = [],
    confirmed,
  }: {
    seen: number;
    options: WantedOptions;
    excludedCombinations?: string[][];
    merge?: { from: string; into: string }[];
    confirmed: boolean;
  },
): void {
  const product = productOrRefuse(catalog, id);
  if (!kindParts[product.kind].options && wanted.length > 0)
    throw invalidField(['options'], refusals.bundleHasNoOptions);
  const problems = checkOptions(wanted);
  if (problems.length > 0) throw invalid(problems);
  const subject = `product:${id}`;
  const { journal } = catalog;
  if (['option', 'option_value'].some((table) => journal.columnsChangedSince(seen, subject, table).size > 0))
    throw clash([{ path: ['options'], message: refusals.changedBySomebody('options'), theirs: product.options }]);
  const known = new Set(product.options.flatMap((option) => [option.id, ...option.values.map((value) => value.id)]));
  const idOr = (given: string | null, kind: 'option' | 'optionValue') =>
    given !== null && known.has(given) ? given : newId(kind);
  const options = wanted.map((option): Option => ({
    id: idOr(option.id, 'option'),
    name: option.name.trim(),
    listId: option.listId && isOptionList(catalog.db, option.listId) ? option.listId : null,
    values: option.values.map((value) => ({
      id: idOr(value.id, 'optionValue'),
      name: value.name.trim(),
      swatch: value.swatch,
      pictureId: product.pictures.some((picture) => picture.id === value.pictureId) ? value.pictureId : null,
    })),
  }));
  const excludedCombinations = stillExcluded(options, wantedExcluded ?? product.excludedCombinations);
  const kept = new Set(options.flatMap((option) => option.values.map((value) => value.id)));
  const into = new Map(merge.map(({ from, into }) => [from, into]));
  for (const [from, to] of into)
    if (kept.has(from) || !kept.has(to)) throw invalidField(['merge'], refusals.mergeIntoOneThatStays);
  const { made, losing } = variantsOf(product, mergeValues(product.variants, into), options, excludedCombinations);
  if (made.length === 0) throw invalidField(['excludedCombinations'], refusals.oneCombinationSold);
  if (losing.length > 0 && !confirmed)
    throw needsConfirmation(
      losing.length === 1
        ? 'One variant with SKU, stock or a sale price would go.'
        : `${losing.length} variants with SKU, stock or a sale price would go.`,
      losing
        .slice(0, 8)
        .map(
          (variant) =>
            `${variantName(product.options, variant)}${variant.sku ? ` (${variant.sku})` : ''}: ${variant.stock ?? 'uncounted'} in stock`,
        )
        .join('\n') + (losing.length > 8 ? `\nand ${losing.length - 8} more` : ''),
    );
  journal.change({ did: 'optionsChanged', title: product.title }, catalog.actor(user), () => {
    setOptions(catalog.db, id, options);
    setVariants(catalog.db, id, made);
    updateProduct(catalog.db, id, { excludedCombinations });
  });
}

export function changeVariants(
  catalog: Catalog,
  user: UserId,
  id: string,
  seen: number,
  changes: VariantChanges,
): void {
  const product = productOrRefuse(catalog, id);
  const { next, errors, clashes } = checkVariants(catalog, product, seen, changes);
  if (errors.length > 0) throw invalid(errors);
  if (clashes.length > 0) throw clash(clashes);
  const names = new Set(changes.flatMap(({ fields }) => Object.keys(fields)));
  catalog.journal.change(
    { did: 'variantsChanged', title: product.title, fields: [...names] },
    catalog.actor(user),
    () => setVariants(catalog.db, id, next, new Set(changes.map((change) => change.id))),
  );
}
