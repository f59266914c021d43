import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { elsewhereRoutes } from '../../contract/elsewhere';
import type { BodyInput } from '../../contract/route';
import type { Embed } from '../../core/model/embed';
import type { Feed } from '../../core/model/feed';
import { call } from './api';

export type { EmbedRow, FeedRow } from '../../contract/elsewhere';

export const useEmbeds = () => useQuery({ queryKey: ['embeds'], queryFn: () => call(elsewhereRoutes.embeds) });

/** What would be shown elsewhere as it is typed, before it is saved. */
export const useDrawnEmbed = (id: string, draft: Partial<Omit<Embed, 'id'>>) =>
  useQuery({
    queryKey: ['embeds', 'drawn', id, draft],
    queryFn: ({ signal }) => call(elsewhereRoutes.drawEmbed, { params: { id }, body: draft, signal }),
    placeholderData: keepPreviousData,
  });

export function useEmbedWrites() {
  const client = useQueryClient();
  const onSuccess = () => client.invalidateQueries({ queryKey: ['embeds'] });
  return {
    add: useMutation({
      mutationFn: (body: BodyInput<typeof elsewhereRoutes.addEmbed>) => call(elsewhereRoutes.addEmbed, { body }),
      onSuccess,
    }),
    remove: useMutation({
      mutationFn: (id: string) => call(elsewhereRoutes.deleteEmbed, { params: { id } }),
      onSuccess,
    }),
  };
}

export const useFeeds = () => useQuery({ queryKey: ['feeds'], queryFn: () => call(elsewhereRoutes.feeds) });

/** The first entries of a feed as it is typed. */
export const useFeedPreview = (id: string, draft: Partial<Omit<Feed, 'id'>>) =>
  useQuery({
    queryKey: ['feeds', 'preview', id, draft],
    queryFn: ({ signal }) => call(elsewhereRoutes.previewFeed, { params: { id }, body: draft, signal }),
    placeholderData: keepPreviousData,
    retry: false,
  });

export const useVerdicts = (id: string, limit: number) =>
  useQuery({
    queryKey: ['feeds', 'verdicts', id, limit],
    queryFn: ({ signal }) => call(elsewhereRoutes.verdicts, { params: { id }, query: { limit }, signal }),
    placeholderData: keepPreviousData,
  });

export const useProductChannels = (id: string) =>
  useQuery({
    queryKey: ['product', id, 'channels'],
    queryFn: ({ signal }) => call(elsewhereRoutes.productChannels, { params: { id }, signal }),
  });

export function useFeedWrites() {
  const client = useQueryClient();
  const onSuccess = () => client.invalidateQueries({ queryKey: ['feeds'] });
  return {
    add: useMutation({
      mutationFn: (body: BodyInput<typeof elsewhereRoutes.addFeed>) => call(elsewhereRoutes.addFeed, { body }),
      onSuccess,
    }),
    remove: useMutation({
      mutationFn: (id: string) => call(elsewhereRoutes.deleteFeed, { params: { id } }),
      onSuccess,
    }),
    newAddress: useMutation({
      mutationFn: (id: string) => call(elsewhereRoutes.newAddress, { params: { id } }),
      onSuccess,
    }),
  };
}

export const useKeys = () => useQuery({ queryKey: ['keys'], queryFn: () => call(elsewhereRoutes.keys) });

export function useKeyWrites() {
  const client = useQueryClient();
  const onSuccess = () => client.invalidateQueries({ queryKey: ['keys'] });
  return {
    add: useMutation({
      mutationFn: (body: BodyInput<typeof elsewhereRoutes.addKey>) => call(elsewhereRoutes.addKey, { body }),
      onSuccess,
    }),
    drop: useMutation({
      mutationFn: (id: string) => call(elsewhereRoutes.dropKey, { params: { id } }),
      onSuccess,
    }),
  };
}
