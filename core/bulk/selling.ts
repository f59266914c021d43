import { z } from 'zod';
import { type Variant } from '../model/product';
import { momentSchema, standingSchema } from '../model/product-values';
import { refuseSpan } from '../pricing/price';
import type { Planner } from './plan';

const pieces = z
  .number({ error: 'Type a whole number.' })
  .int('Type a whole number.')
  .min(-10_000_000)
  .max(10_000_000, 'This is more than Dispona counts.');

export const stockSchema = z.discriminatedUnion('how', [
  z.strictObject({
    do: z.literal('stock'),
    how: z.literal('set'),
    pieces: pieces.min(0, 'Stock cannot be below zero.'),
  }),
  z.strictObject({ do: z.literal('stock'), how: z.literal('add'), pieces }),
  z.strictObject({ do: z.literal('stock'), how: z.literal('uncounted') }),
]);
export const standingWorkSchema = z.strictObject({ do: z.literal('standing'), standing: standingSchema });
export const daysSchema = z.strictObject({ do: z.literal('days'), from: momentSchema, until: momentSchema });
export const featuredSchema = z.strictObject({ do: z.literal('featured'), featured: z.boolean() });

export const planStock: Planner<z.infer<typeof stockSchema>> = (product, request) => {
  if (product.bundle) return { problem: 'how many there are follows from its parts' };
  const variants: Variant[] = [];
  for (const variant of product.variants) {
    if (request.how === 'add' && variant.stock === null) return { problem: 'it is not counted' };
    const stock =
      request.how === 'uncounted' ? null : request.how === 'set' ? request.pieces : variant.stock! + request.pieces;
    if (stock !== null && stock < 0) return { problem: 'there would be fewer than none' };
    if (stock !== null && stock > 10_000_000) return { problem: 'there would be more than Dispona counts' };
    variants.push({ ...variant, stock });
  }
  const isSame = variants.every((variant, i) => variant.stock === product.variants[i]!.stock);
  return { after: isSame ? product : { ...product, variants } };
};

export const planStanding: Planner<z.infer<typeof standingWorkSchema>> = (product, { standing }) => ({
  after: product.standing === standing ? product : { ...product, standing },
});

export const planDays: Planner<z.infer<typeof daysSchema>> = (product, { from, until }) => {
  const problem = refuseSpan(from, until);
  if (problem) return { problem };
  const isSame = product.liveFrom === from && product.liveUntil === until;
  return { after: isSame ? product : { ...product, liveFrom: from, liveUntil: until } };
};

export const planFeatured: Planner<z.infer<typeof featuredSchema>> = (
  product,
  { featured },
  { nextFeaturedPlace },
) => ({
  after:
    product.featured === featured ? product : { ...product, featured, featuredPlace: featured ? nextFeaturedPlace : 0 },
});
