import { useQuery } from '@tanstack/react-query';
import { routes } from '../../contract';
import { EMPTY_RULE } from '../../core/model/rule';
import { call } from './api';

const EXAMPLES = 5;

const newest = (limit: number) =>
  call(routes.goods.list, { body: { text: '', rule: EMPTY_RULE, sort: '', limit, need: 'rows' } });

/** A few goods of the shop to explain things with: those with pictures first. */
export const useExampleGoods = (isWanted: boolean) =>
  useQuery({
    queryKey: ['goods', 'examples'],
    queryFn: async () => {
      const { rows } = await newest(40);
      const seen = rows.filter(({ thumbnail }) => thumbnail !== null);
      return (seen.length > 0 ? seen : rows).slice(0, EXAMPLES);
    },
    enabled: isWanted,
  });

/** What the first tour looks at. */
export const useShopState = (isWanted: boolean) =>
  useQuery({
    queryKey: ['goods', 'tour'],
    queryFn: async () => {
      const [goods, groups, status] = await Promise.all([
        newest(1),
        call(routes.groups.overview),
        call(routes.desk.status),
      ]);
      const [first] = goods.rows;
      return {
        products: goods.all,
        newest: first
          ? {
              id: first.id,
              title: first.title,
              status: first.shownStatus,
              places: first.places,
              hasPicture: first.thumbnail !== null,
            }
          : null,
        collections: groups.shelves.filter(({ total }) => total > 0).length,
        edition: status.edition,
      };
    },
    enabled: isWanted,
  });
