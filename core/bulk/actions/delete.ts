import { z } from 'zod';
import { bulkAction } from '../bulk-action';

export const deletion = bulkAction({
  name: 'Delete them',
  schema: z.strictObject({ do: z.literal('delete') }),
  plan: () => ({ deleted: true }),
  label: (_request, products) => `Deleted ${products}`,
});
