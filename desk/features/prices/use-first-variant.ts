import { useQuery, useQueryClient } from '@tanstack/react-query';
import { routes } from '../../../contract';
import type { ProductAnswer } from '../../../contract/product';
import { call } from '../../data/api';

const query = (id: string) => ({
  queryKey: ['product', id],
  queryFn: (): Promise<ProductAnswer> => call(routes.goods.get, { params: { id } }),
});

/** A product by its id, where there is one to be shown. */
export const useSomeProduct = (id: string | undefined) =>
  useQuery({ ...query(id ?? ''), enabled: id !== undefined && id !== '' });

/** Looks the variant up that stands for a product: its first. */
export function useFirstVariant(): (id: string) => Promise<string | undefined> {
  const client = useQueryClient();
  return async (id) => (await client.fetchQuery(query(id))).product.variants[0]?.id;
}
