import { z } from 'zod';
import { bulkAction } from '../bulk-action';
import { changedIds, howWords, idListWork } from '../id-list-work';

export const categories = bulkAction({
  name: 'Categories',
  schema: z.strictObject({ do: z.literal('categories'), ...idListWork }),
  plan: (product, request) => {
    const categoryIds = changedIds(product.categoryIds, request.how, request.ids);
    if (categoryIds.length > 50) return { problem: 'it would be in more than 50 categories' };
    return { after: categoryIds === product.categoryIds ? product : { ...product, categoryIds } };
  },
  label: ({ how }, products) => `${howWords[how]} categories of ${products}`,
});
