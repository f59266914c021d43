import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { routes } from '../../contract';
import type { AnswerOf, BodyInput } from '../../contract/route';
import { call } from './api';
import { setShopLocale } from './shop-locale';

export type WantedPage = BodyInput<typeof routes.shopfront.updatePage>;
export type WantedSection = NonNullable<WantedPage['sections']>[number];
export type WantedMenu = BodyInput<typeof routes.shopfront.setMenu>;

type Pages = AnswerOf<typeof routes.shopfront.pages>;

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

export function usePages() {
  return useQuery({ queryKey: ['pages'], queryFn: () => call(routes.shopfront.pages) });
}

export function useMenu() {
  return useQuery({ queryKey: ['menu'], queryFn: () => call(routes.shopfront.menu) });
}

export function useShopfrontWrites() {
  const client = useQueryClient();
  const refreshPages = () => client.invalidateQueries({ queryKey: ['pages'] });
  return {
    createPage: useMutation({
      mutationFn: (title: string) => call(routes.shopfront.createPage, { body: { title } }),
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
          (now: Pages | undefined) =>
            now && { ...now, pages: now.pages.map((each) => (each.id === page.id ? page : each)) },
        );
        void refreshPages();
      },
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
