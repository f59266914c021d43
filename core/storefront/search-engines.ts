import { isPageOpen, type Page } from '../model/page';
import type { DocumentKind } from '../model/document';
import { groupsOf, isOpen, type GroupKind } from '../shop/open-groups';
import type { Shop } from '../shop/shop';
import { chosenGoods, chosenUrl, isChosenOpen } from './chosen-listings';
import { mediaUrl } from './picture-sizes';
import { targetLink } from './pages/targets';
import { reachOf } from './reach';

/** A page of the shop that search engines are told of. */
export interface SitemapEntry {
  kind: DocumentKind;
  id: string;
  /** address in the shop, such as "/c/deltas" */
  url: string;
  /** addresses of its pictures in the shop */
  pictures: string[];
}

const compare = (a: string, b: string) => (a < b ? -1 : a > b ? 1 : 0);

const kinds: readonly GroupKind[] = ['category', 'collection', 'brand', 'tag'];
const MOST_PICTURES = 10;

/** Tag pages are many and alike: search engines are kept away unless the seller says more of them. */
export const isThin = (kind: GroupKind, { text }: { text: string }): boolean => kind === 'tag' && text.trim() === '';

/**
 * Everything that shoppers reach and that search engines may show, the home page first. Nothing that is shut, hidden from
 * them, forwarded elsewhere, or that no way leads to. O(pages + groups + products).
 */
export function sitemapEntries(shop: Shop): SitemapEntry[] {
  const reach = reachOf(shop);
  const entries: SitemapEntry[] = [];
  const isReached = (kind: string, id: string) => reach.clicks.has(`${kind}:${id}`);
  const pageUrl = (page: Page) => targetLink(shop, { kind: 'page', id: page.id })?.url;
  const pages = [...shop.pages.values()].sort((a, b) => Number(b.home) - Number(a.home));
  for (const page of pages) {
    const isThere = page.standsOn.length === 0 && isPageOpen(page, shop.now * 1000) && !page.noindex;
    const url = isThere && isReached('page', page.id) ? pageUrl(page) : undefined;
    if (url) entries.push({ kind: 'page', id: page.id, url, pictures: [] });
  }
  for (const kind of kinds)
    for (const group of groupsOf(shop, kind).values()) {
      const at = { kind, id: group.id };
      if (!isOpen(shop, at) || group.noindex || isThin(kind, group) || !isReached(kind, group.id)) continue;
      const link = targetLink(shop, at);
      const pictures = group.picture ? [mediaUrl(group.picture.media, 1600)] : [];
      if (link) entries.push({ kind, id: group.id, url: link.url, pictures });
    }
  shop.listed.forEach((slot) => {
    const product = shop.products.get(shop.index.id(slot))!;
    if (product.noindex || reach.products[slot]! < 0) return;
    const pictures = product.pictures.slice(0, MOST_PICTURES).map(({ media }) => mediaUrl(media, 1600));
    entries.push({ kind: 'product', id: product.id, url: `/p/${product.slug}`, pictures });
  });
  for (const chosen of shop.chosen.values()) {
    if (!isChosenOpen(shop, chosen) || chosenGoods(shop, chosen) === 0) continue;
    const pictures = chosen.picture ? [mediaUrl(chosen.picture.media, 1600)] : [];
    entries.push({ kind: 'chosenListing', id: chosen.id, url: chosenUrl(chosen), pictures });
  }
  // The same whatever came when: by what they are, then by address.
  const [home, ...others] = entries;
  const byAddress = others.sort((a, b) => (a.kind === b.kind ? compare(a.url, b.url) : compare(a.kind, b.kind)));
  return home ? [home, ...byAddress] : [];
}
