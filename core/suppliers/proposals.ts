import { fieldWords, type Field } from '../model/fields';
import { languageName } from '../model/languages';
import type { Product, Variant } from '../model/product';
import { productFields } from '../model/product-fields';
import type { Proposed, ProposalBody, proposedTexts } from '../model/proposal';
import { variantFields } from '../model/variant-fields';
import { variantName } from '../products/variants';
import { canonicalJson } from '../shared/canonical-json';
import { formatMoney } from '../shared/money';
import { plainText } from '../shared/plain-text';
import { weightWords } from '../shared/units';

type TextPath = (typeof proposedTexts)[number];

/** A text of the product in another language; '' where it is not translated. */
export type ToldIn = (locale: string, path: TextPath) => string;

/** One thing that a proposal would have other. */
export interface ProposalRow {
  /** such as product/title, variant/v_1/price or text/de/title */
  key: string;
  of: 'product' | 'variant' | 'text';
  field: string;
  variantId: string | null;
  locale: string | null;
  label: string;
  /** as it is now, and as it is proposed; null where there is nothing */
  now: unknown;
  will: unknown;
  /** the same in words; '' where there is nothing */
  nowWords: string;
  willWords: string;
  /** somebody changed it since it was proposed */
  isOutdated: boolean;
}

interface Place {
  key: string;
  of: ProposalRow['of'];
  field: string;
  variantId: string | null;
  locale: string | null;
  now: unknown;
  will: unknown;
}

/** Everything that a proposal speaks of, with what stands there now. */
function placesOf({ product, variants, texts }: Proposed, now: Product | undefined, told: ToldIn): Place[] {
  const places: Place[] = Object.entries(product).map(([field, will]) => ({
    key: `product/${field}`,
    of: 'product',
    field,
    variantId: null,
    locale: null,
    now: now?.[field as keyof Product],
    will,
  }));
  for (const [variantId, fields] of Object.entries(variants)) {
    const variant = now?.variants.find(({ id }) => id === variantId);
    for (const [field, will] of Object.entries(fields))
      places.push({
        key: `variant/${variantId}/${field}`,
        of: 'variant',
        field,
        variantId,
        locale: null,
        now: variant?.[field as keyof Variant],
        will,
      });
  }
  for (const [locale, paths] of Object.entries(texts))
    for (const [path, will] of Object.entries(paths))
      places.push({
        key: `text/${locale}/${path}`,
        of: 'text',
        field: path,
        variantId: null,
        locale,
        now: now && told(locale, path as TextPath),
        will,
      });
  return places;
}

const isSame = (a: unknown, b: unknown) => canonicalJson(a ?? null) === canonicalJson(b ?? null);

/** A proposal without some of its rows. Its pictures are a row as well: `pictures`. */
export function withoutRows<T extends Proposed>(proposed: T, keys: ReadonlySet<string>): T {
  const kept = <V>(record: Readonly<Record<string, V>>, keyOf: (name: string) => string) =>
    Object.fromEntries(Object.entries(record).filter(([name]) => !keys.has(keyOf(name)))) as Record<string, V>;
  const inner = <V extends object>(records: Readonly<Record<string, V>>, kind: string) =>
    Object.fromEntries(
      Object.entries(records).flatMap(([outer, record]) => {
        const left = kept(record as Record<string, unknown>, (name) => `${kind}/${outer}/${name}`);
        return Object.keys(left).length > 0 ? [[outer, left]] : [];
      }),
    ) as Record<string, V>;
  return {
    ...proposed,
    product: kept(proposed.product, (name) => `product/${name}`),
    variants: inner(proposed.variants, 'variant'),
    texts: inner(proposed.texts, 'text'),
    pictures: keys.has('pictures') ? [] : proposed.pictures,
  };
}

/** A proposal without what is so already. */
export const onlyChanges = (proposed: Proposed, now: Product, told: ToldIn): Proposed =>
  withoutRows(
    proposed,
    new Set(
      placesOf(proposed, now, told)
        .filter((place) => isSame(place.now, place.will))
        .map(({ key }) => key),
    ),
  );

/** What stands now where a proposal would have something else, by row. */
export const standsNow = (proposed: Proposed, now: Product | undefined, told: ToldIn): Record<string, unknown> =>
  Object.fromEntries(placesOf(proposed, now, told).map((place) => [place.key, place.now ?? null]));

/** True where nothing is left of it. */
export const isNothing = ({ product, variants, pictures, texts }: Proposed): boolean =>
  pictures.length === 0 && [product, variants, texts].every((record) => Object.keys(record).length === 0);

function valueWords(field: Field, value: unknown, currency: string): string {
  if (value === null || value === undefined || value === '') return '';
  if (field.told === 'money') return formatMoney(value as number, currency);
  if (field.told === 'weight') return weightWords(value as number);
  return plainText(String(value));
}

const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);

/**
 * What a proposal would have other, row by row. `product`: as it is now; undefined for a new one, whose variants are those it
 * begins with. `isOver`: it was answered, and is told against what stood there when it was made. O(rows × variants).
 */
export function proposalRows(
  proposal: ProposalBody,
  product: Product | undefined,
  { told, currency, isOver = false }: { told: ToldIn; currency: string; isOver?: boolean },
): ProposalRow[] {
  const { options, variants } = product ?? proposal.made ?? { options: [], variants: [] };
  const places = placesOf(proposal, product, told);
  // What is left empty of a new product says nothing.
  const rows = product ? places : places.filter(({ will }) => will !== '' && will !== null);
  return rows.map((each): ProposalRow => {
    const place = { ...each, now: (isOver ? proposal.was[each.key] : each.now) ?? null };
    const isOfVariant = place.of === 'variant';
    const field: Field = isOfVariant
      ? variantFields[place.field as keyof typeof variantFields]
      : productFields[place.field as keyof typeof productFields];
    const words = (isOfVariant ? fieldWords(variantFields) : fieldWords(productFields)) as Record<string, string>;
    const variant = variants.find(({ id }) => id === place.variantId);
    const name = variant && variants.length > 1 ? ` of ${variantName(options, variant)}` : '';
    const language = place.locale === null ? '' : ` in ${languageName(place.locale, 'en')}`;
    return {
      ...place,
      label: capital(words[place.field]!) + name + language,
      nowWords: valueWords(field, place.now, currency),
      willWords: valueWords(field, place.will, currency),
      isOutdated: product !== undefined && !isSame(proposal.was[place.key], place.now),
    };
  });
}

/** A product as a proposal would have it; its pictures and texts in other languages are another matter. */
export function asProposed<T extends Pick<Product, 'variants'>>(product: T, proposed: Proposed): T {
  return {
    ...product,
    ...proposed.product,
    variants: product.variants.map((variant) => ({ ...variant, ...proposed.variants[variant.id] })),
  };
}
