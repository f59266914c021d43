import { z } from 'zod';
import { bulkAction } from '../bulk-action';
import { changedIds, howWords, idListWork } from '../id-list-work';

export const tags = bulkAction({
  name: 'Tags',
  schema: z.strictObject({ do: z.literal('tags'), ...idListWork }),
  plan: (product, request) => {
    // Tags have no order of their own.
    const tagIds = changedIds(product.tagIds, request.how, [...request.ids].sort());
    if (tagIds.length > 100) return { problem: 'it would have more than 100 tags' };
    return { after: tagIds === product.tagIds ? product : { ...product, tagIds: [...tagIds].sort() } };
  },
  label: ({ how }, products) => `${howWords[how]} tags of ${products}`,
});
