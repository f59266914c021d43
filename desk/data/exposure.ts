import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { routes } from '../../contract';
import type { AnswerOf } from '../../contract/route';
import type { VisitModel } from '../../core/model/visit-model';
import { call } from './api';

export type ExposureAnswer = AnswerOf<typeof routes.exposure.overview>;
export type ExposureOfProduct = AnswerOf<typeof routes.exposure.ofProduct>;

/** How often visits see the goods and come to the pages. */
export function useExposure(isWanted = true) {
  return useQuery({
    queryKey: ['pages', 'exposure'],
    queryFn: ({ signal }) => call(routes.exposure.overview, { signal }),
    placeholderData: (before) => before,
    enabled: isWanted,
  });
}

/** How often visits see one product, and where first. */
export function useProductExposure(id: string | undefined) {
  return useQuery({
    queryKey: ['pages', 'exposure', id],
    queryFn: ({ signal }) => call(routes.exposure.ofProduct, { params: { id: id! }, signal }),
    enabled: id !== undefined,
  });
}

export function useSetVisitModel() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body: VisitModel) => call(routes.exposure.setModel, { body }),
    onSuccess: () => client.invalidateQueries({ queryKey: ['pages', 'exposure'] }),
  });
}
