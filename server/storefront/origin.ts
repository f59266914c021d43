import type { Catalog } from '../state/catalog';

/**
 * Where the shop is, such as https://kites.example: at the domain that is live, else at the address that the server was
 * started with. It never comes from what a request says.
 */
export function originOf({ live }: Pick<Catalog, 'live'>, startedWith: string): string {
  const { domain } = live.shop.settings;
  return domain ? `https://${domain}` : startedWith;
}
