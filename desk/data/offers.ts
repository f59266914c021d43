import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { routes } from '../../contract';
import type { AnswerOf, BodyInput } from '../../contract/route';
import type { Offer } from '../../core/model/offer';
import { call } from './api';

export type OffersAnswer = AnswerOf<typeof routes.offers.offers>;
export type OfferRow = OffersAnswer['offers'][number];
export type OfferPreview = AnswerOf<typeof routes.offers.previewOffer>;
export type WhyPriceAsked = BodyInput<typeof routes.offers.whyPrice>;

export function useOffers() {
  return useQuery({ queryKey: ['offers'], queryFn: () => call(routes.offers.offers) });
}

/** What an offer would do as it is typed, before it is saved. */
export function useOfferPreview(id: string, draft: Partial<Offer>) {
  return useQuery({
    queryKey: ['offers', 'preview', id, draft],
    queryFn: ({ signal }) => call(routes.offers.previewOffer, { params: { id }, body: draft, signal }),
    placeholderData: (before, query) => (query?.queryKey[2] === id ? before : undefined),
  });
}

export function useCodes(id: string) {
  return useQuery({ queryKey: ['offers', 'codes', id], queryFn: () => call(routes.offers.codes, { params: { id } }) });
}

export function useWhyPrice(asked: WhyPriceAsked | null) {
  return useQuery({
    queryKey: ['offers', 'why', asked],
    queryFn: ({ signal }) => call(routes.offers.whyPrice, { body: asked!, signal }),
    enabled: asked !== null,
    placeholderData: (before) => before,
  });
}

export function useOfferWrites() {
  const client = useQueryClient();
  const onSuccess = () => client.invalidateQueries({ queryKey: ['offers'] });
  return {
    add: useMutation({
      mutationFn: (body: BodyInput<typeof routes.offers.addOffer>) => call(routes.offers.addOffer, { body }),
      onSuccess,
    }),
    change: useMutation({
      mutationFn: ({ id, fields }: { id: string; fields: Partial<Offer> }) =>
        call(routes.offers.changeOffer, { params: { id }, body: fields }),
      onSuccess,
    }),
    remove: useMutation({
      mutationFn: (id: string) => call(routes.offers.deleteOffer, { params: { id } }),
      onSuccess,
    }),
    addCodes: useMutation({
      mutationFn: ({ id, ...body }: { id: string } & BodyInput<typeof routes.offers.addCodes>) =>
        call(routes.offers.addCodes, { params: { id }, body }),
      onSuccess,
    }),
    dropCodes: useMutation({
      mutationFn: ({ id, codes }: { id: string; codes: string[] }) =>
        call(routes.offers.dropCodes, { params: { id }, body: { codes } }),
      onSuccess,
    }),
  };
}
