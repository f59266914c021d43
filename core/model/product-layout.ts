import { z } from 'zod';
import { idSchema } from '../shared/identity';
import { productKindSchema } from './product-values';
import {
  neededParts,
  partKeys,
  usualProductLayout,
  type PartLayout,
  type ProductLayout,
  type ProductPart,
} from './product-parts';
import { repeatedEntry } from './repeated-entry';
import { translatable } from './translatable';

const partLayoutSchema: z.ZodType<PartLayout> = z.object({
  part: z.enum(partKeys),
  shown: z.boolean(),
  place: z.enum(['beside', 'below']),
  folded: z.boolean(),
});

const layoutFields = {
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

const promise = (words: string) => translatable(z.string().trim().max(600, 'At most 600 characters.'), words);

export const productPageSchema = z.object({
  ...layoutFields,
  /** read on every product that is sent */
  deliveryWords: promise('words about delivery'),
  returnWords: promise('words about returns'),
  trust: z
    .array(
      translatable(z.string().trim().min(1, 'Type what the fact is.').max(80, 'At most 80 characters.'), 'short fact'),
    )
    .max(6, 'At most six short facts.'),
  own: z.array(ownLayoutSchema).max(50, 'At most 50 layouts.'),
});
export type ProductPage = z.infer<typeof productPageSchema>;

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
  ...usualProductLayout,
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
  const { parts, gallery, stays } = ownLayoutOf(page, product) ?? page;
  return { parts: wholeParts(parts), gallery, stays };
}

/** What differs for a product: by its main category before its kind; undefined where nothing does. */
export const ownLayoutOf = (
  { own }: Pick<ProductPage, 'own'>,
  product: { kind: string; categoryIds: readonly string[] },
): OwnProductLayout | undefined =>
  own.find(({ of }) => of.kind === 'category' && of.id === product.categoryIds[0]) ??
  own.find(({ of }) => of.kind === 'kind' && of.id === product.kind);

/** Whether the page of a product shows a part. Asked of every product of a shop, so it makes nothing anew. */
export const isPartShown = (
  page: ProductPage,
  product: { kind: string; categoryIds: readonly string[] },
  part: ProductPart,
): boolean => !(ownLayoutOf(page, product) ?? page).parts.some((each) => each.part === part && !each.shown);

/** Parts that came after a layout was stored stand where they usually do, at the end. */
export function wholeParts(parts: readonly PartLayout[]): PartLayout[] {
  const missing = usualProductPage.parts.filter(({ part }) => !parts.some((each) => each.part === part));
  return missing.length === 0 ? [...parts] : [...parts, ...missing];
}
