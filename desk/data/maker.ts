import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { makerRoutes as routes } from '../../contract/maker';
import type { AnswerOf, BodyInput } from '../../contract/route';
import { call } from './api';

export type MakerOverview = AnswerOf<typeof routes.overview>;
export type MakerGood = AnswerOf<typeof routes.good>;
export type ProposeBody = BodyInput<typeof routes.propose>;
export type BroughtGoods = AnswerOf<typeof routes.importGoods>;

const KEY = 'maker';
/** Makers hear nothing of what happens in the shop: what became of a proposal is asked for now and then. */
const ASKED_EVERY_MS = 30_000;

export const useMakerOverview = () =>
  useQuery({ queryKey: [KEY], queryFn: () => call(routes.overview), refetchInterval: ASKED_EVERY_MS });

export const useMakerGood = (id: string) =>
  useQuery({ queryKey: [KEY, id], queryFn: () => call(routes.good, { params: { id } }), staleTime: 0 });

export function useMakerWrites() {
  const client = useQueryClient();
  const onSuccess = () => client.invalidateQueries({ queryKey: [KEY] });
  return {
    propose: useMutation({ mutationFn: (body: ProposeBody) => call(routes.propose, { body }), onSuccess }),
    withdraw: useMutation({ mutationFn: (id: string) => call(routes.withdraw, { params: { id } }), onSuccess }),
    addPictures: useMutation({ mutationFn: (files: File[]) => call(routes.addPictures, { files }) }),
    bring: useMutation({ mutationFn: (file: File) => call(routes.importGoods, { files: [file] }), onSuccess }),
  };
}
