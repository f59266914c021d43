import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { offerRoutes } from '../../contract/offers';
import type { AnswerOf, BodyInput } from '../../contract/route';
import type { Offer } from '../../core/model/offer';
import { call } from './api';

export type OffersAnswer = AnswerOf<typeof offerRoutes.offers>;
export type OfferRow = OffersAnswer['offers'][number];
export type OfferPreview = AnswerOf<typeof offerRoutes.previewOffer>;
export type PriceHistoryAnswer = AnswerOf<typeof offerRoutes.priceHistory>;
export type WhyPrice = AnswerOf<typeof offerRoutes.whyPrice>;
export type WhyPriceAsked = BodyInput<typeof offerRoutes.whyPrice>;

export function useOffers() {
  return useQuery({ queryKey: ['offers'], queryFn: () => call(offerRoutes.offers) });
}

/** What an offer would do as it is typed, before it is saved. */
export function useOfferPreview(id: string, draft: Partial<Offer>) {
  return useQuery({
    queryKey: ['offers', 'preview', id, draft],
    queryFn: ({ signal }) => call(offerRoutes.previewOffer, { params: { id }, body: draft, signal }),
    placeholderData: (before, query) => (query?.queryKey[2] === id ? before : undefined),
  });
}

export function useCodes(id: string) {
  return useQuery({ queryKey: ['offers', 'codes', id], queryFn: () => call(offerRoutes.codes, { params: { id } }) });
}

export function useWhyPrice(asked: WhyPriceAsked | null) {
  return useQuery({
    queryKey: ['offers', 'why', asked],
    queryFn: ({ signal }) => call(offerRoutes.whyPrice, { body: asked!, signal }),
    enabled: asked !== null,
    placeholderData: (before) => before,
  });
}

export function usePriceHistory(variant: string) {
  return useQuery({
    queryKey: ['offers', 'history', variant],
    queryFn: ({ signal }) => call(offerRoutes.priceHistory, { query: { variant }, signal }),
  });
}

export function useOfferWrites() {
  const client = useQueryClient();
  const onSuccess = () => client.invalidateQueries({ queryKey: ['offers'] });
  return {
    add: useMutation({
      mutationFn: (body: BodyInput<typeof offerRoutes.addOffer>) => call(offerRoutes.addOffer, { body }),
      onSuccess,
    }),
    change: useMutation({
      mutationFn: ({ id, fields, was }: { id: string; fields: Partial<Offer>; was: Partial<Offer> }) =>
        call(offerRoutes.changeOffer, { params: { id }, body: { ...fields, was } }),
      onSuccess,
    }),
    remove: useMutation({
      mutationFn: (id: string) => call(offerRoutes.deleteOffer, { params: { id } }),
      onSuccess,
    }),
    addCodes: useMutation({
      mutationFn: ({ id, ...body }: { id: string } & BodyInput<typeof offerRoutes.addCodes>) =>
        call(offerRoutes.addCodes, { params: { id }, body }),
      onSuccess,
    }),
    dropCodes: useMutation({
      mutationFn: ({ id, codes }: { id: string; codes: string[] }) =>
        call(offerRoutes.dropCodes, { params: { id }, body: { codes } }),
      onSuccess,
    }),
  };
}
