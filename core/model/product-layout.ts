import { z } from 'zod';
import { idSchema } from '../shared/identity';
import { productKindSchema } from './product-values';
import { repeatedEntry } from './repeated-entry';

/** The parts of a product page, and where each stands to begin with. */
export const productParts = {
  brand: { name: 'Brand', place: 'beside' },
  title: { name: 'Title', place: 'beside' },
  summary: { name: 'Summary', place: 'beside' },
  choice: { name: 'Price, versions and stock', place: 'beside' },
  sku: { name: 'SKU', place: 'beside' },
  delivery: { name: 'Delivery facts', place: 'beside' },
  promises: { name: 'Delivery and returns, in your words', place: 'beside' },
  trust: { name: 'Short facts', place: 'beside' },
  description: { name: 'Description', place: 'beside' },
  specs: { name: 'Specs', place: 'beside' },
  files: { name: 'Files', place: 'beside' },
  questions: { name: 'Ask a question', place: 'beside' },
  goesWith: { name: 'Goes with it', place: 'below' },
  stepUp: { name: 'A step up', place: 'below' },
  similar: { name: 'Similar', place: 'below' },
  seen: { name: 'Seen recently', place: 'below' },
} as const satisfies Record<string, { name: string; place: 'beside' | 'below' }>;
export type ProductPart = keyof typeof productParts;
const partKeys = Object.keys(productParts) as [ProductPart, ...ProductPart[]];

/** Without these nobody could tell what it is, or have it. */
export const neededParts: ReadonlySet<ProductPart> = new Set<ProductPart>(['title', 'choice']);
/** Parts that can be folded behind their heading. */
export const foldable: ReadonlySet<ProductPart> = new Set<ProductPart>([
  'description',
  'specs',
  'files',
  'promises',
  'delivery',
]);

const partLayoutSchema = z.object({
  part: z.enum(partKeys),
  shown: z.boolean(),
  /** beside the pictures, or below them across the page */
  place: z.enum(['beside', 'below']),
  folded: z.boolean(),
});
export type PartLayout = z.infer<typeof partLayoutSchema>;

const layoutFields = {
  /** all of them, from the top */
  parts: z
    .array(partLayoutSchema)
    .refine((parts) => parts.every(({ part, shown }) => shown || !neededParts.has(part)), {
      message: 'Shoppers need the title and the price.',
    })
    .check(({ value, issues }) => {
      const names = value.map(({ part }) => part);
      repeatedEntry('A part can stand only once.')({ value: names, issues });
    }),
  gallery: z.enum(['small', 'side', 'stack', 'pairs']),
  /** what stays in sight while the other side is scrolled */
  stays: z.enum(['pictures', 'words', 'none']),
};

/** What differs for one kind of product, or for the products of a category. */
const ownLayoutSchema = z.object({
  of: z.union([
    z.object({ kind: z.literal('kind'), id: productKindSchema }),
    z.object({ kind: z.literal('category'), id: idSchema }),
  ]),
  ...layoutFields,
});
export type OwnProductLayout = z.infer<typeof ownLayoutSchema>;

const promise = z.string().trim().max(600, 'At most 600 characters.');

export const productPageSchema = z.object({
  ...layoutFields,
  /** read on every product that is sent */
  deliveryWords: promise,
  returnWords: promise,
  trust: z
    .array(z.string().trim().min(1, 'Type what the fact is.').max(80, 'At most 80 characters.'))
    .max(6, 'At most six short facts.'),
  own: z.array(ownLayoutSchema).max(50, 'At most 50 layouts.'),
});
export type ProductPage = z.infer<typeof productPageSchema>;
export type ProductLayout = Pick<ProductPage, 'parts' | 'gallery' | 'stays'>;

export const galleryWords: Readonly<Record<ProductLayout['gallery'], string>> = {
  small: 'one large, small ones below',
  side: 'one large, small ones beside it',
  stack: 'all large, one below the other',
  pairs: 'two side by side',
};
export const staysWords: Readonly<Record<ProductLayout['stays'], string>> = {
  pictures: 'the pictures',
  words: 'the words and the price',
  none: 'nothing',
};

export const usualProductPage: ProductPage = {
  parts: partKeys.map((part) => ({ part, shown: true, place: productParts[part].place, folded: false })),
  gallery: 'small',
  stays: 'pictures',
  deliveryWords: '',
  returnWords: '',
  trust: [],
  own: [],
};

/** The layout of one product's page: that of its main category, else of its kind, else of all. */
export function productLayoutOf(
  page: ProductPage,
  product: { kind: string; categoryIds: readonly string[] },
): ProductLayout {
  const own =
    page.own.find(({ of }) => of.kind === 'category' && of.id === product.categoryIds[0]) ??
    page.own.find(({ of }) => of.kind === 'kind' && of.id === product.kind);
  const { parts, gallery, stays } = own ?? page;
  return { parts: wholeParts(parts), gallery, stays };
}

/** Parts that came after a layout was stored stand where they usually do, at the end. */
export function wholeParts(parts: readonly PartLayout[]): PartLayout[] {
  const missing = usualProductPage.parts.filter(({ part }) => !parts.some((each) => each.part === part));
  return missing.length === 0 ? [...parts] : [...parts, ...missing];
}
