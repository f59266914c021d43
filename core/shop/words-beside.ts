import { type SpecSheet } from '../model/spec-sheet';
import { specWords } from '../products/spec-values';
import type { ProductDocument } from '../model/document';
import type { WeightedText } from '../search/text-index';

/** Words that a product is found by beside its own. */
export interface WordsBeside {
  brand: string;
  tags: readonly string[];
  specs: string;
  /** what its specs are called, of those that it has */
  specNames: readonly string[];
}

interface NamedDocuments {
  brands: ReadonlyMap<string, { name: string }>;
  tags: ReadonlyMap<string, { name: string }>;
  specSheets: ReadonlyMap<string, SpecSheet>;
}

/** They stand in the documents that the product names. */
export function wordsBeside(
  { brandId, tagIds, specSheetId, specs, customFields }: ProductDocument,
  { brands, tags, specSheets }: NamedDocuments,
): WordsBeside {
  const attributes = specSheets.get(specSheetId ?? '')?.attributes ?? [];
  return {
    brand: brands.get(brandId ?? '')?.name ?? '',
    tags: tagIds.map((id) => tags.get(id)?.name ?? ''),
    specs: [
      ...attributes.map((attribute) => specWords(attribute, specs[attribute.id])),
      ...customFields.map(({ label, value }) => `${label} ${value}`),
    ].join(' '),
    specNames: attributes.filter(({ id }) => specs[id] !== undefined).map(({ name }) => name),
  };
}

/** A text by which a product is found, and where it stands. */
export interface SearchedText extends WeightedText {
  where: string;
}

/** All texts by which a product is found, with their weights. `description`: its words without tags. */
export function textsOf(
  product: ProductDocument,
  description: string,
  { brand, tags, specs, specNames }: WordsBeside,
): SearchedText[] {
  return [
    { where: 'title', text: product.title, weight: 8 },
    {
      where: 'SKU or barcode',
      text: product.variants.map((variant) => `${variant.sku} ${variant.barcode}`).join(' '),
      weight: 6,
    },
    { where: 'brand', text: [brand], weight: 4 },
    { where: 'tags', text: tags, weight: 3 },
    {
      where: 'options',
      text: product.options.flatMap((option) => option.values.map((value) => value.name)),
      weight: 2,
    },
    { where: 'specs', text: specs, weight: 2 },
    { where: 'summary', text: product.summary, weight: 2 },
    { where: 'names of specs', text: specNames, weight: 1 },
    { where: 'description', text: description, weight: 1 },
  ];
}
