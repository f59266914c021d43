import { kindParts } from './kinds';
import type { Option, Product, Variant } from '../model/product';
import type { Picture } from '../model/product-values';
import { nameIdentity } from '../shared/same-name';
import { combinations, MAX_OPTIONS, MAX_VARIANTS } from './variants';

/** Makes ids for what is new. */
export type NewId = (kind: 'option' | 'optionValue' | 'variant' | 'picture' | 'product') => string;

const namesOf = ({ options }: Product) =>
  options
    .map(({ name }) => nameIdentity(name))
    .sort()
    .join('\n');

/** Why products cannot become one, in plain words; undefined when they can. `values`: a name for each of them. */
export function refuseMerge(
  products: readonly Product[],
  option: string,
  values: readonly string[],
): string | undefined {
  const [first, ...others] = products;
  if (!first || others.length === 0) return 'Pick at least two products.';
  if (products.some(({ kind }) => kind !== first.kind)) return 'They are of different kinds.';
  if (!kindParts[first.kind].options) return 'A bundle has no options.';
  const strange = others.find((product) => namesOf(product) !== namesOf(first));
  if (strange) return `“${strange.title}” has other options than “${first.title}”.`;
  if (first.options.length >= MAX_OPTIONS) return `A product can have at most ${MAX_OPTIONS} options.`;
  const name = nameIdentity(option);
  if (name === '') return 'The new option needs a name.';
  if (first.options.some((each) => nameIdentity(each.name) === name)) return `There is already an option “${option}”.`;
  const keys = values.map(nameIdentity);
  if (keys.some((key) => key === '')) return 'Each product needs a value of the new option.';
  if (new Set(keys).size < keys.length) return 'Two products have the same value of the new option.';
  const valuesOf = (at: string) =>
    new Set(
      products.flatMap(({ options }) =>
        options
          .filter((each) => nameIdentity(each.name) === at)
          .flatMap((each) => each.values.map((value) => nameIdentity(value.name))),
      ),
    ).size;
  const count = first.options.reduce((all, each) => all * valuesOf(nameIdentity(each.name)), products.length);
  return count > MAX_VARIANTS
    ? `This would make ${count} variants; a product can have at most ${MAX_VARIANTS}.`
    : undefined;
}

/**
 * Several products as one, the first of them, with a new option that tells them apart: `values` names each of them. Their
 * own options must be the same by name; combinations that none of them had are left out. The variants of the first keep
 * their ids, those of the others are new ones with the same price, stock and codes. Pictures come along, as do categories
 * and tags. O(variants × options).
 */
export function mergedProduct(
  products: readonly Product[],
  option: string,
  values: readonly string[],
  newId: NewId,
): Product {
  const first = products[0]!;
  const own: Option = {
    id: newId('option'),
    name: option.trim(),
    listId: null,
    values: values.map((name) => ({ id: newId('optionValue'), name: name.trim(), swatch: null, pictureId: null })),
  };
  const options = first.options.map((each) => ({ ...each, values: [...each.values] }));
  /** The value of the merged product that a value of one of the products becomes. */
  const valueIds = new Map<string, string>();
  for (const product of products)
    options.forEach((into) => {
      const from = product.options.find(({ name }) => nameIdentity(name) === nameIdentity(into.name))!;
      for (const value of from.values) {
        let known = into.values.find(({ name }) => nameIdentity(name) === nameIdentity(value.name));
        if (!known) into.values.push((known = { ...value, id: newId('optionValue'), pictureId: null }));
        valueIds.set(value.id, known.id);
      }
    });
  const pictures: Picture[] = [];
  const variants: Variant[] = [];
  products.forEach((product, i) => {
    const fresh = new Map(product.pictures.map(({ id }) => [id, i === 0 ? id : newId('picture')]));
    pictures.push(...product.pictures.map((picture) => ({ ...picture, id: fresh.get(picture.id)! })));
    const face = product.pictures[0] && fresh.get(product.pictures[0].id)!;
    for (const variant of product.variants) {
      const inOrder = options.map((into) => {
        const at = product.options.findIndex(({ name }) => nameIdentity(name) === nameIdentity(into.name));
        return valueIds.get(variant.values[at]!)!;
      });
      variants.push({
        ...variant,
        id: i === 0 ? variant.id : newId('variant'),
        values: [own.values[i]!.id, ...inOrder],
        pictureId: (variant.pictureId && fresh.get(variant.pictureId)) || face || null,
      });
    }
  });
  const all = [own, ...options];
  const there = new Set(variants.map((variant) => variant.values.join(' ')));
  const union = (of: (product: Product) => readonly string[]) => [...new Set(products.flatMap((each) => of(each)))];
  return {
    ...first,
    options: all,
    variants,
    excludedCombinations: combinations(all).filter((values) => !there.has(values.join(' '))),
    pictures,
    categoryIds: union(({ categoryIds }) => categoryIds),
    tagIds: union(({ tagIds }) => tagIds).sort(),
  };
}

/** Why a product cannot be split by one of its options. */
export function refuseSplit({ options }: Product, optionId: string): string | undefined {
  const option = options.find(({ id }) => id === optionId);
  if (!option) return 'This option was deleted.';
  return option.values.length < 2 ? 'An option with one value tells nothing apart.' : undefined;
}

/**
 * One product as several, one for each value of an option, which goes. The first value stays the product it was; the
 * others are new ones with its words, and with the variants, and the pictures tied to them, that had the value. Pictures
 * tied to no variant stay with all. Answers the first, then the new ones; their slugs are still those of the first.
 */
export function splitProducts(product: Product, optionId: string, newId: NewId): Product[] {
  const at = product.options.findIndex(({ id }) => id === optionId);
  const option = product.options[at]!;
  const without = <T>(list: readonly T[]) => list.filter((_, i) => i !== at);
  const tied = new Set(product.variants.flatMap(({ pictureId }) => pictureId ?? []));
  return option.values.flatMap((value, place) => {
    const own = product.variants.filter(({ values }) => values[at] === value.id);
    if (own.length === 0) return [];
    const isFirst = place === 0;
    const fresh = new Map<string, string>();
    const again = (kind: Parameters<NewId>[0], id: string) => {
      if (!fresh.has(id)) fresh.set(id, isFirst ? id : newId(kind));
      return fresh.get(id)!;
    };
    const mine = new Set(own.flatMap(({ pictureId }) => pictureId ?? []));
    const pictures = product.pictures
      .filter(({ id }) => mine.has(id) || !tied.has(id))
      .sort((a, b) => Number(mine.has(b.id)) - Number(mine.has(a.id)))
      .map((picture) => ({ ...picture, id: again('picture', picture.id) }));
    const kept = (pictureId: string | null) => (pictureId ? (fresh.get(pictureId) ?? null) : null);
    const used = new Set(own.flatMap(({ values }) => without(values)));
    return [
      {
        ...product,
        id: isFirst ? product.id : newId('product'),
        title: `${product.title}, ${value.name}`.slice(0, 200),
        options: without(product.options).map((each) => ({
          ...each,
          id: again('option', each.id),
          values: each.values
            .filter(({ id }) => used.has(id))
            .map((one) => ({ ...one, id: again('optionValue', one.id), pictureId: kept(one.pictureId) })),
        })),
        variants: own.map((variant) => ({
          ...variant,
          id: again('variant', variant.id),
          values: without(variant.values).map((id) => again('optionValue', id)),
          pictureId: kept(variant.pictureId),
        })),
        excludedCombinations: product.excludedCombinations
          .filter((values) => values[at] === value.id)
          .map(without)
          .filter((values) => values.every((id) => used.has(id)))
          .map((values) => values.map((id) => again('optionValue', id))),
        pictures,
      },
    ];
  });
}
