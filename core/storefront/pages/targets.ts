import { isPageOpen } from '../../model/page';
import type { Link, Target } from '../../model/target';
import { addressPath, groupsOf, productOnShop, urlOfGroup } from '../../shop/open-groups';
import type { Shop } from '../../shop/shop';

export interface LinkView {
  label: string;
  url: string;
}

/** What a link leads to is called; undefined when it is gone. */
export function targetName(shop: Shop, { kind, id }: Target): string | undefined {
  if (kind === 'product') return shop.products.get(id)?.title;
  return kind === 'page' ? shop.pages.get(id)?.title : groupsOf(shop, kind).get(id)?.name;
}

/** Where a link leads and what it is called; undefined when its target is gone, or shoppers do not meet it now. */
export function targetLink(shop: Shop, target: Target): LinkView | undefined {
  const label = targetName(shop, target);
  if (label === undefined) return undefined;
  if (target.kind === 'product') {
    const product = productOnShop(shop, target.id);
    return product && { label, url: `/p/${product.slug}` };
  }
  if (target.kind === 'page') {
    const page = shop.pages.get(target.id)!;
    const isThere =
      page.standsOn.length === 0 && isPageOpen(page, shop.now * 1000) && (page.home || !shop.isUntold('page', page.id));
    return isThere ? { label, url: page.home ? '/' : `/page/${page.slug}` } : undefined;
  }
  const url = urlOfGroup(shop, { kind: target.kind, id: target.id });
  return url === undefined ? undefined : { label, url };
}

/** The same for a link that may have an address of its own, with these words instead of a name where there are any. */
export function linkView(shop: Shop, link: Link, words: string): LinkView | undefined {
  if (link.kind === 'address') return { label: words || link.url, url: link.url };
  const found = targetLink(shop, link);
  return found && { ...found, label: words || found.label };
}

/** Where a link leads, in words. */
export const linkWords = (shop: Shop, link: Link): string =>
  link.kind === 'address' ? link.url : (targetName(shop, link) ?? 'something deleted');

/** Where the links of a rich text lead. */
export const linksInHtml = (html: string): Link[] =>
  [...html.matchAll(/<a [^>]*href="([^"]*)"/g)].map(([, url]) => ({
    kind: 'address',
    url: url!.replace(/&amp;/g, '&'),
  }));

const kindOfPath = new Map(Object.entries(addressPath).map(([kind, path]) => [path, kind as Target['kind']]));

/** What an address of the shop leads to; undefined for addresses elsewhere, and for those of nothing. */
export function targetAt(shop: Shop, url: string): Target | undefined {
  const [path = ''] = url.split(/[?#]/);
  if (path === '/') {
    const home = [...shop.pages.values()].find((page) => page.home);
    return home && { kind: 'page', id: home.id };
  }
  const [, first = '', slug = ''] = path.split('/');
  const kind = kindOfPath.get(first);
  const id = kind && shop.bySlug(kind, slug);
  return id === undefined ? undefined : { kind: kind!, id };
}

/** The thing of the shop that a link leads to, where shoppers meet it now. */
export function openTarget(shop: Shop, link: Link): Target | undefined {
  const target = link.kind === 'address' ? targetAt(shop, link.url) : link;
  return target && targetLink(shop, target) ? target : undefined;
}
