import { z } from 'zod';
import { type Variant } from '../../model/product';
import { bulkAction } from '../bulk-action';

const pieces = z
  .number({ error: 'Type a whole number.' })
  .int('Type a whole number.')
  .min(-10_000_000)
  .max(10_000_000, 'This is more than Dispona counts.');

const schema = z.discriminatedUnion('how', [
  z.strictObject({
    do: z.literal('stock'),
    how: z.literal('set'),
    pieces: pieces.min(0, 'Stock cannot be below zero.'),
  }),
  z.strictObject({ do: z.literal('stock'), how: z.literal('add'), pieces }),
  z.strictObject({ do: z.literal('stock'), how: z.literal('uncounted') }),
]);

export const stock = bulkAction({
  name: 'Stock',
  schema,
  plan: (product, request) => {
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
  },
  label: (_request, products) => `Changed stock of ${products}`,
});
