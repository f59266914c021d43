import { phaseOf } from '../../core/catalog/standing';
import type { ProductDocument } from '../../core/editions/document';
import { listingView } from '../../core/placement/listing-view';
import { groupPath, groupsOf, isOpen, type GroupKind } from '../../core/placement/open-groups';
import { groupPicture, menuView, pageView } from '../../core/placement/page-view';
import { productView } from '../../core/placement/product-view';
import { relationStrips } from '../../core/placement/relation-strips';
import type { ResolvedShop } from '../../core/placement/resolved-shop';
import type { PriceSpan } from '../../core/pricing/lowest';
import type { ShopData, PageData } from '../../shop/data';
import { listingRequest } from './listing-request';

export interface PageRequest {
  /** path without the base */
  path: string;
  query: Record<string, unknown>;
  /** path and query without the base */
  url: string;
  base: string;
  origin: string;
}

/** Where a page is to be found now, when its address changed. */
export interface Forward {
  forward: string;
}

/** What a page needs beside the shop itself. */
export interface PageContext {
  shop: ResolvedShop;
  now: number;
  /** id behind an address that something had before */
  redirect: (kind: 'product' | GroupKind | 'page', slug: string) => string | undefined;
  /** what variants cost before, for the lowest price of the last 30 days */
  priceSpans: (variantIds: readonly string[]) => Map<string, PriceSpan[]>;
  /** drafts can be looked at in the shop window */
  showsDrafts: boolean;
}

function missing(message: string): PageData {
  return { kind: 'missing', message };
}

function productPage(context: PageContext, slug: string, query: Record<string, unknown>): PageData | Forward {
  const { shop, now } = context;
  const id = shop.bySlug('product', slug);
  const product = id === undefined ? undefined : shop.products.get(id);
  const isOnShop = (one: ProductDocument | undefined) => one !== undefined && phaseOf(one, shop.now) === 'live';
  if (!product || !(isOnShop(product) || context.showsDrafts)) {
    const target = shop.products.get(context.redirect('product', slug) ?? '');
    if (target && isOnShop(target)) return { forward: `/p/${target.slug}` };
    return missing('This product is not in the shop (any more).');
  }
  return {
    kind: 'product',
    product: productView(shop, product, context.priceSpans(product.variants.map((variant) => variant.id))),
    variantId: typeof query.v === 'string' ? query.v : null,
    strips: relationStrips(shop, product, now),
  };
}

const kindOfPath = new Map(Object.entries(groupPath).map(([kind, path]) => [path, kind as GroupKind]));

/** Tag pages are many and alike: search engines are kept away unless the seller says more of them. */
const isThin = (kind: GroupKind, { text }: { text: string }) => kind === 'tag' && text.trim() === '';

function groupPage(
  context: PageContext,
  kind: GroupKind,
  slug: string,
  query: Record<string, unknown>,
): PageData | Forward {
  const { shop, now, showsDrafts } = context;
  const groups = groupsOf(shop, kind);
  const group = groups.get(shop.bySlug(kind, slug) ?? '');
  if (!group || !(isOpen(shop, { kind, id: group.id }) || showsDrafts)) {
    const target = groups.get(context.redirect(kind, slug) ?? '');
    if (target && target !== group && isOpen(shop, { kind, id: target.id }))
      return { forward: `/${groupPath[kind]}/${target.slug}` };
    return missing(`This ${kind} is not in the shop (any more).`);
  }
  const at = { kind, id: group.id };
  const crumbs =
    kind === 'category'
      ? shop.tree
          .path(group.id)
          .slice(0, -1)
          .map((category) => ({ label: category.name, url: `/c/${category.slug}` }))
      : [];
  return {
    kind: 'listing',
    title: group.name,
    text: group.text,
    picture: groupPicture(group.picture),
    meta: {
      title: group.metaTitle,
      description: group.metaDescription,
      noindex: group.noindex || isThin(kind, group),
    },
    crumbs,
    q: null,
    listing: listingView(shop, listingRequest(query, at), now),
  };
}

function searchPage({ shop, now }: PageContext, query: Record<string, unknown>): PageData {
  const request = listingRequest(query, { kind: 'all' });
  const title = request.q.trim() ? `“${request.q.trim().slice(0, 80)}”` : 'Everything';
  return {
    kind: 'listing',
    title,
    text: '',
    picture: null,
    meta: { title: '', description: '', noindex: true },
    crumbs: [],
    q: request.q,
    listing: listingView(shop, request, now),
  };
}

function plainPage(context: PageContext, slug: string | null): PageData | Forward {
  const { shop, now } = context;
  const found = [...shop.pages.values()].find((page) => (slug === null ? page.home : !page.home && page.slug === slug));
  if (found) return { kind: 'page', page: pageView(shop, found, now) };
  const target = slug === null ? undefined : shop.pages.get(context.redirect('page', slug) ?? '');
  if (target && !target.home) return { forward: `/page/${target.slug}` };
  return missing(slug === null ? 'This shop is not open yet.' : 'This page is not in the shop (any more).');
}

function page(context: PageContext, { path, query }: PageRequest): PageData | Forward {
  const [, kind = '', slug = '', ...rest] = path.split('/');
  if (rest.length > 0) return missing('There is no such page.');
  if (path === '/') return plainPage(context, null);
  if (path === '/search') return searchPage(context, query);
  if (kind === 'p') return productPage(context, slug, query);
  const group = kindOfPath.get(kind);
  if (group) return groupPage(context, group, slug, query);
  return kind === 'page' ? plainPage(context, slug) : missing('There is no such page.');
}

/** The data of the page at an address of the shop, or where it went. */
export function pageData(context: PageContext, request: PageRequest): ShopData | Forward {
  const found = page(context, request);
  if ('forward' in found) return found;
  const { name, tagline, locale, currency } = context.shop.settings;
  return {
    shop: { name, tagline, locale, currency },
    base: request.base,
    url: request.url,
    origin: request.origin,
    menu: menuView(context.shop),
    page: found,
  };
}
