import type { ProductFile } from '../model/product-file';
import { namesOf, type Field, type Fields } from '../model/fields';
import type { Product, Variant } from '../model/product';
import { productFields } from '../model/product-fields';
import type { ProductKind } from '../model/product-values';
import { variantFields } from '../model/variant-fields';

/** Parts that products of a kind have beyond what all have. */
export interface KindParts {
  /** inside a sentence */
  name: string;
  /** as sellers choose it for something new */
  offered: string;
  /** weight, package and days to dispatch */
  delivery: boolean;
  /** how long it takes; stock then counts places */
  duration: boolean;
  /** a value that the shopper chooses */
  ownValue: boolean;
  /** files that buyers get, and how often and how long */
  downloads: boolean;
  /** slots that other products fill */
  slots: boolean;
  /** options, and variants beyond one */
  options: boolean;
}

const nothing: Omit<KindParts, 'name' | 'offered'> = {
  delivery: false,
  duration: false,
  ownValue: false,
  downloads: false,
  slots: false,
  options: true,
};

/** The kinds of products: what each is called, and which parts it has. */
export const kindParts: Record<ProductKind, KindParts> = {
  physical: { name: 'physical product', offered: 'Something to send', ...nothing, delivery: true },
  digital: { name: 'digital product', offered: 'Something to download', ...nothing, downloads: true },
  service: { name: 'service', offered: 'A service', ...nothing, duration: true },
  giftCard: { name: 'gift card', offered: 'A gift card', ...nothing, ownValue: true },
  bundle: { name: 'bundle', offered: 'A bundle', ...nothing, slots: true, options: false },
};

/** Something of it is brought to the shopper. */
export const isSent = ({ kind }: Pick<Product, 'kind'>): boolean => kind === 'physical' || kind === 'bundle';

/** Fields of parts of which something holds, as they are when they are empty. */
const emptied = (fields: Fields, holds: (part: NonNullable<Field['part']>) => boolean): Record<string, unknown> =>
  Object.fromEntries(
    namesOf(fields, ({ part }) => part !== undefined && holds(part)).map((name) => [name, fields[name]!.usual]),
  );

/** Delivery facts of a variant, as they are when they are empty. */
export const noDelivery = emptied(variantFields, (part) => part === 'delivery') as Pick<
  Variant,
  'weight' | 'size' | 'packageType' | 'dispatchDays'
>;

const isForAll = ({ role }: ProductFile) => role === 'manual';

/** Fields of parts that a kind does not have, as they are when they are empty. */
export function emptiedBy(kind: ProductKind, files: Product['files'] = []): Partial<Product> {
  const parts = kindParts[kind];
  return {
    ...emptied(productFields, (part) => !parts[part]),
    // What is for all stays, whatever is sold.
    ...(parts.downloads ? {} : { files: files.filter(isForAll) }),
  };
}

/** How losing a field is told, where "its" and what the field is called do not say it. */
const lostWords: Readonly<Record<string, string>> = {
  size: 'its package',
  packageType: 'its package',
  duration: 'how long it takes',
  ownValue: 'the value that shoppers may choose',
  bundle: 'what is in it',
  files: 'its files for buyers',
};

/** Fields of parts that something has filled in. */
function* filledIn(fields: Fields, of: object, part: keyof KindParts): Generator<string> {
  for (const name of namesOf(fields, (field) => field.part === part)) {
    const value = (of as Record<string, unknown>)[name];
    const isEmpty =
      name === 'files'
        ? (value as ProductFile[]).every(isForAll)
        : name === 'bundle'
          ? ((value as Product['bundle'])?.slots.length ?? 0) === 0
          : JSON.stringify(value) === JSON.stringify(fields[name]!.usual);
    if (!isEmpty) yield lostWords[name] ?? `its ${fields[name]!.words}`;
  }
}

/** What of a product would be lost if it became of this kind, in plain words. O(fields × variants). */
export function lostBy(product: Product, kind: ProductKind): string[] {
  const parts = kindParts[kind];
  const lost = new Set<string>();
  for (const part of ['delivery', 'duration', 'ownValue', 'slots', 'downloads'] as const) {
    if (parts[part]) continue;
    for (const words of filledIn(productFields, product, part)) lost.add(words);
    for (const each of product.variants) for (const words of filledIn(variantFields, each, part)) lost.add(words);
  }
  return [...lost];
}
