import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { routes } from '../../contract';
import type { BodyInput } from '../../contract/route';
import { call } from '../api';

export type WantedPage = BodyInput<typeof routes.shopfront.updatePage>;
export type WantedSection = NonNullable<WantedPage['sections']>[number];
export type WantedMenu = BodyInput<typeof routes.shopfront.setMenu>;

export function useSettings() {
  return useQuery({ queryKey: ['settings'], queryFn: () => call(routes.shopfront.settings) });
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
      onSuccess: refreshPages,
    }),
    deletePage: useMutation({
      mutationFn: (id: string) => call(routes.shopfront.deletePage, { params: { id } }),
      onSuccess: refreshPages,
    }),
    setMenu: useMutation({
      mutationFn: (body: WantedMenu) => call(routes.shopfront.setMenu, { body }),
      onSuccess: (menu) => client.setQueryData(['menu'], menu),
    }),
  };
}
