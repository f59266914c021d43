import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { engineRoutes } from '../../contract/engines';
import type { BodyInput } from '../../contract/route';
import type { ChosenListing } from '../../core/model/chosen-listing';
import { call } from './api';

export type { ChosenRow, SearchConflict, ShownPage } from '../../contract/engines';

export const useEngines = () =>
  useQuery({ queryKey: ['engines'], queryFn: ({ signal }) => call(engineRoutes.overview, { signal }) });

export const useEngineFilters = (at: ChosenListing['at']) =>
  useQuery({
    queryKey: ['engines', 'filters', at?.kind, at?.id],
    queryFn: ({ signal }) => call(engineRoutes.filters, { query: at ?? {}, signal }),
  });

export const saveChosen = (id: string, body: BodyInput<typeof engineRoutes.changeChosen>) =>
  call(engineRoutes.changeChosen, { params: { id }, body });

export function useEngineWrites() {
  const client = useQueryClient();
  const onSuccess = () => client.invalidateQueries({ queryKey: ['engines'] });
  return {
    choose: useMutation({
      mutationFn: (body: BodyInput<typeof engineRoutes.choose>) => call(engineRoutes.choose, { body }),
      onSuccess,
    }),
    drop: useMutation({
      mutationFn: (id: string) => call(engineRoutes.dropChosen, { params: { id } }),
      onSuccess,
    }),
    noindex: useMutation({
      mutationFn: (body: BodyInput<typeof engineRoutes.setNoindex>) => call(engineRoutes.setNoindex, { body }),
      onSuccess,
    }),
  };
}
