import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { routes } from '../../contract';
import type { AnswerOf, BodyInput } from '../../contract/route';
import type { Section } from '../../core/model/sections/sections';
import { call } from './api';
import { setShopLocale } from './shop-locale';

export type WantedPage = BodyInput<typeof routes.shopfront.updatePage>;
/** A section as it is built: with an id from the start, and all its fields. */
export type WantedSection = Section;
export type WantedMenu = BodyInput<typeof routes.shopfront.setMenu>;

export function useSettings() {
  return useQuery({
    queryKey: ['settings'],
    queryFn: async () => {
      const settings = await call(routes.shopfront.settings);
      setShopLocale(settings.locale);
      return settings;
    },
  });
}

export type PagesAnswer = AnswerOf<typeof routes.shopfront.pages>;
export type SectionNote = AnswerOf<typeof routes.shopfront.drawPage>['notes'][number];
export type PageDraft = { title: string; showsTitle: boolean; sections: WantedSection[]; daysOn: number };

/** Draws a page as it would be, without saving it. */
export const drawPage = (id: string, body: PageDraft, signal: AbortSignal) =>
  call(routes.shopfront.drawPage, { params: { id }, body, signal });

/** Stores a picture for a section. */
export const useSectionPicture = () =>
  useMutation({ mutationFn: (files: File[]) => call(routes.shopfront.addPicture, { files }) });

/** Stores a film, or its captions, for a section. */
export const useSectionFilm = () =>
  useMutation({ mutationFn: (files: File[]) => call(routes.shopfront.addFilm, { files }) });

export function useSubscribers(isWanted: boolean) {
  return useQuery({
    queryKey: ['subscribers'],
    queryFn: () => call(routes.shopfront.subscribers),
    enabled: isWanted,
  });
}

/** The filters that the goods of a place could have; of everything where it is null. */
export function useFilters(at: { kind: 'category' | 'collection' | 'brand' | 'tag'; id: string } | null) {
  return useQuery({
    queryKey: ['filters', at?.kind, at?.id],
    queryFn: () => call(routes.shopfront.filters, { query: at ?? {} }),
  });
}
export type FilterWorth = AnswerOf<typeof routes.shopfront.filters>['filters'][number];

/** Products that put a layout to the test, each with why. */
export function useTellingGoods() {
  return useQuery({ queryKey: ['goods', 'telling'], queryFn: () => call(routes.shopfront.tellingGoods) });
}

export function usePages() {
  return useQuery({ queryKey: ['pages'], queryFn: () => call(routes.shopfront.pages) });
}

/** By kind and id: why shoppers do not meet a page or a group, in words for where one is chosen. */
export function useNotMet(): (kind: string, id: string) => string | undefined {
  const { data } = useQuery({ queryKey: ['pages', 'not-met'], queryFn: () => call(routes.shopfront.notMet) });
  return (kind, id) => data?.notMet[`${kind}:${id}`];
}

export type FloorAsked = BodyInput<typeof routes.shopfront.floor>['lit'];
export type FloorAnswer = AnswerOf<typeof routes.shopfront.floor>;

/** All pages drawn small, with what is lit on them. */
export function useFloor(lit: FloorAsked) {
  return useQuery({
    queryKey: ['pages', 'floor', lit],
    queryFn: ({ signal }) => call(routes.shopfront.floor, { body: { lit }, signal }),
    placeholderData: (before) => before,
  });
}

export function useMenu() {
  return useQuery({ queryKey: ['menu'], queryFn: () => call(routes.shopfront.menu) });
}

export function useShopfrontWrites() {
  const client = useQueryClient();
  const refreshPages = () => client.invalidateQueries({ queryKey: ['pages'] });
  return {
    createPage: useMutation({
      mutationFn: (body: BodyInput<typeof routes.shopfront.createPage>) => call(routes.shopfront.createPage, { body }),
      onSuccess: refreshPages,
    }),
    updatePage: useMutation({
      mutationFn: ({ id, ...body }: { id: string } & WantedPage) =>
        call(routes.shopfront.updatePage, { params: { id }, body }),
      // Shown at once as it was saved: a read that is still on its way would bring the old state back for a moment.
      onSuccess: async (page) => {
        await client.cancelQueries({ queryKey: ['pages'] });
        client.setQueryData(
          ['pages'],
          (now: PagesAnswer | undefined) =>
            now && { ...now, pages: now.pages.map((each) => (each.id === page.id ? page : each)) },
        );
        void refreshPages();
      },
    }),
    copyPage: useMutation({
      mutationFn: (id: string) => call(routes.shopfront.copyPage, { params: { id }, body: {} }),
      onSuccess: refreshPages,
    }),
    deletePage: useMutation({
      mutationFn: (id: string) => call(routes.shopfront.deletePage, { params: { id } }),
      onSuccess: refreshPages,
    }),
    // One after the other: each is a change of what the one before it left.
    setMenu: useMutation({
      scope: { id: 'menu' },
      mutationFn: (body: WantedMenu) => call(routes.shopfront.setMenu, { body }),
      onSuccess: (menu) => client.setQueryData(['menu'], menu),
    }),
  };
}
