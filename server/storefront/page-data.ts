import type { WordKey } from '../../core/languages/fixed/fixed-words';
import { ledFrom } from '../../core/storefront/forwards';
import { addressIn, languageBase, languageLinks } from '../../core/storefront/languages';
import { redirectKey, type AddressedKind } from '../../core/model/document';
import { frameView } from '../../core/storefront/frame-view';
import { layoutAt } from '../../core/model/listing-layout';
import { CHOSEN_PATH } from '../../core/model/chosen-listing';
import { chosenAt, chosenLike, chosenRequest, chosenUrl, isChosenOpen } from '../../core/storefront/chosen-listings';
import { listingView, type ListingRequest } from '../../core/storefront/listing-view';
import {
  addressPath,
  groupPath,
  groupsOf,
  isOpen,
  urlOfGroup,
  type GroupKind,
  type GroupRef,
  productOnShop,
} from '../../core/shop/open-groups';
import { isPageOpen } from '../../core/model/page';
import type { Scene } from '../../core/storefront/pages/scene';
import { menuView } from '../../core/storefront/menu-view';
import { pageView } from '../../core/storefront/pages/page-view';
import { groupPicture, pictureFor } from '../../core/storefront/pages/place-goods';
import { targetLink } from '../../core/storefront/pages/targets';
import { pageOfGroup } from '../../core/storefront/pages/page-of-group';
import { productPageView } from '../../core/storefront/product-page-view';
import { productView } from '../../core/storefront/product-view';
import { isThin } from '../../core/storefront/search-engines';
import { relationStrips } from '../../core/storefront/relation-strips';
import { untranslatedIn } from '../../core/storefront/untranslated';
import type { Shop } from '../../core/shop/shop';
import type { ShopData, PageData } from '../../shop/data';
import { listingRequest } from './listing-request';

export interface PageRequest {
  /** path without the base */
  path: string;
  query: Record<string, unknown>;
  /** path and query without the base */
  url: string;
  /** before the path: the root, and the language where it is not the main one */
  base: string;
  root: string;
  origin: string;
  isPreview: boolean;
}

/** Where a page is to be found now, when its address changed. */
export interface Forward {
  forward: string;
}

/** There is no page at an address: there never was one (404), or what stood there is gone (410). */
interface Absent {
  status: 404 | 410;
  message: string;
}

/** What a page needs beside the shop itself. */
export interface PageContext {
  shop: Shop;
  now: number;
  /** id of the thing that shoppers met last at an address, in whichever edition */
  publishedAt: (kind: AddressedKind, slug: string) => string | undefined;
  /** drafts can be looked at in the shop window */
  showsDrafts: boolean;
}

type Found = PageData | Forward | Absent;

const never = ({ say }: Shop, why: WordKey): Absent => ({ status: 404, message: say(why) });

/**
 * What an address leads to where nothing of the shop stands: to the thing that it forwards to, or that stood there, if that
 * is open now under another address. `urlOf` tells the address of an open thing.
 */
function elsewhere(
  { shop, publishedAt }: PageContext,
  kind: AddressedKind,
  slug: string,
  urlOf: (id: string) => string | undefined,
): Forward | Absent {
  const wanted = `/${addressPath[kind]}/${slug}`;
  const targets = [
    shop.main.bySlug(kind, slug),
    shop.redirects.get(redirectKey({ kind, slug }))?.targetId,
    publishedAt(kind, slug),
  ];
  for (const id of targets) {
    const forward = id === undefined ? undefined : urlOf(id);
    if (forward !== undefined && forward !== wanted) return { forward };
  }
  const isKept = shop.bySlug(kind, slug) !== undefined;
  const wasThere = targets.slice(1).some((id) => id !== undefined);
  return wasThere && !isKept
    ? { status: 410, message: shop.say(`page.gone.${kind}`) }
    : never(shop, `page.noSuch.${kind}`);
}

function productPage(context: PageContext, slug: string, query: Record<string, unknown>): Found {
  const { shop, now } = context;
  const id = shop.bySlug('product', slug);
  const product = id === undefined ? undefined : shop.products.get(id);
  if (!product || !(productOnShop(shop, id) || context.showsDrafts))
    return elsewhere(context, 'product', slug, (target) => {
      const other = productOnShop(shop, target);
      return other && `/p/${other.slug}`;
    });
  return {
    kind: 'product',
    product: productView(shop, product),
    variantId: typeof query.v === 'string' ? query.v : null,
    strips: relationStrips(shop, product, now),
    ...productPageView(shop, product),
  };
}

const kindOfPath = new Map(Object.entries(groupPath).map(([kind, path]) => [path, kind as GroupKind]));

function groupPage(context: PageContext, kind: GroupKind, slug: string, query: Record<string, unknown>): Found {
  const { shop, now, showsDrafts } = context;
  const groups = groupsOf(shop, kind);
  const group = groups.get(shop.bySlug(kind, slug) ?? '');
  if (!group || !(isOpen(shop, { kind, id: group.id }) || showsDrafts))
    return elsewhere(context, kind, slug, (id) => urlOfGroup(shop, { kind, id }));
  const at = { kind, id: group.id };
  const layout = layoutAt(shop.settings.listings, at);
  const request = listingRequest(query, at, shop.settings.locale);
  const canonical = canonicalOf(shop, request, `/${groupPath[kind]}/${group.slug}`);
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
    listing: listingView(shop, request, now),
    ...(canonical !== undefined && { canonical }),
    ...(layout.text === 'below' && { isTextBelow: true }),
    ...(kind === 'category' && layout.children === 'tiles' && { tiles: tilesOf(shop, group.id, now) }),
    children: kind === 'category' && layout.children !== 'none' ? openChildren(shop, group.id) : [],
    ...around(context, at, query),
  };
}

/** A listing narrowed by filters, at the address that it has of its own. */
function chosenPage(context: PageContext, slug: string, query: Record<string, unknown>): Found {
  const { shop, now, showsDrafts } = context;
  const chosen = chosenAt(shop, slug);
  if (!chosen || !(isChosenOpen(shop, chosen) || showsDrafts)) return never(shop, 'page.noSuchPage');
  const { title, text, metaTitle, metaDescription, picture, at } = chosen;
  const asked = listingRequest(query, at ?? { kind: 'all' }, shop.settings.locale);
  const link = at && targetLink(shop, at);
  return {
    kind: 'listing',
    title,
    text,
    picture: groupPicture(picture),
    meta: { title: metaTitle, description: metaDescription, noindex: false },
    crumbs: link ? [link] : [],
    q: null,
    listing: listingView(shop, chosenRequest(shop, chosen, asked), now),
    canonical: chosenUrl(chosen),
    children: [],
    above: [],
    below: [],
  };
}

/** The one address under which search engines show a listing; undefined where it is narrowed in a way that they do not show. */
function canonicalOf(shop: Shop, request: ListingRequest, url: string): string | undefined {
  const isNarrowed = request.choices.size > 0 || request.price !== null || request.spans.size > 0;
  if (!isNarrowed) return url;
  const chosen = chosenLike(shop, request);
  return chosen && chosenUrl(chosen);
}

/** The open categories right below one, as links. */
const openChildren = (shop: Shop, id: string) =>
  shop.tree.children(id).flatMap((child) => targetLink(shop, { kind: 'category', id: child.id }) ?? []);

const tilesOf = (shop: Shop, id: string, now: number) =>
  shop.tree.children(id).flatMap((child) => {
    const target = { kind: 'category' as const, id: child.id };
    const link = targetLink(shop, target);
    return link ? [{ ...link, picture: pictureFor(shop, null, target, now) }] : [];
  });

/** The sections that stand above and below the listing of a group: those of a page that stands on it. */
function around(context: PageContext, at: GroupRef, query: Record<string, unknown>) {
  const { shop } = context;
  const page = pageOfGroup(shop, at);
  if (!page) return { above: [], below: [] };
  const { sections } = pageView(shop, page, sceneOf(context, query));
  const own = sections.findIndex(({ kind }) => kind === 'listing');
  return own < 0 ? { above: sections, below: [] } : { above: sections.slice(0, own), below: sections.slice(own + 1) };
}

function searchPage({ shop, now }: PageContext, query: Record<string, unknown>): PageData {
  const request = listingRequest(query, { kind: 'all' }, shop.settings.locale);
  const title = request.q.trim() ? `“${request.q.trim().slice(0, 80)}”` : shop.say('page.everything');
  return {
    kind: 'listing',
    title,
    text: '',
    picture: null,
    meta: { title: '', description: '', noindex: true },
    crumbs: [],
    q: request.q,
    listing: listingView(shop, request, now),
    children: [],
    above: [],
    below: [],
  };
}

/** How the sections of a page are looked at: listings among them are narrowed by what the address asks. */
const sceneOf = ({ shop, now }: PageContext, query: Record<string, unknown>): Scene => ({
  now,
  listingAt: (at) => listingRequest(query, at, shop.settings.locale),
});

function plainPage(context: PageContext, slug: string | null, query: Record<string, unknown>): Found {
  const { shop, now } = context;
  const found = [...shop.pages.values()].find((page) => (slug === null ? page.home : !page.home && page.slug === slug));
  const isThere =
    found &&
    (context.showsDrafts ||
      (found.standsOn.length === 0 &&
        isPageOpen(found, now * 1000) &&
        (found.home || !shop.isUntold('page', found.id))));
  if (isThere) return { kind: 'page', page: pageView(shop, found, sceneOf(context, query)) };
  if (slug === null) return never(shop, 'page.notOpen');
  return elsewhere(context, 'page', slug, (id) => targetLink(shop, { kind: 'page', id })?.url);
}

function pageAt(context: PageContext, { path, query }: PageRequest): Found {
  const [, kind = '', slug = '', ...rest] = path.split('/');
  if (path === '/') return plainPage(context, null, query);
  if (path === '/search') return searchPage(context, query);
  if (kind === CHOSEN_PATH && rest.length === 0 && slug !== '') return chosenPage(context, slug, query);
  if (rest.length > 0 || slug === '') return never(context.shop, 'page.noSuchPage');
  if (kind === 'p') return productPage(context, slug, query);
  const group = kindOfPath.get(kind);
  if (group) return groupPage(context, group, slug, query);
  return kind === 'page' ? plainPage(context, slug, query) : never(context.shop, 'page.noSuchPage');
}

const headings = { 400: 'page.cannotShow', 404: 'page.nothingHere', 410: 'page.notAnyMore' } as const;

/** What is shown instead of a page, inside the shop's frame. */
export function missingPage(shop: Shop, request: PageRequest, status: number, message: string): ShopData {
  const heading = shop.say(headings[status as keyof typeof headings] ?? 'page.wentWrong');
  return framed(shop, request, { kind: 'missing', heading, message });
}

/**
 * Where a path that leads to nothing forwards to by the table of forwards: an address of this language, or 410 for what is
 * gone for good; undefined where the table says nothing of it.
 */
export function forwardAt(shop: Shop, path: string): Forward | Absent | undefined {
  const led = ledFrom(shop, addressIn(languageBase(shop), path)) ?? ledFrom(shop, path);
  if (!led) return undefined;
  if ('gone' in led) return { status: 410, message: shop.say('page.goneForGood') };
  return led.url === path ? undefined : { forward: led.url };
}

/** The data of the page at an address of the shop with its status, or where it went. */
export function pageData(context: PageContext, request: PageRequest): { status: number; data: ShopData } | Forward {
  const at = pageAt(context, request);
  const found = 'status' in at ? (forwardAt(context.shop, request.path) ?? at) : at;
  if ('forward' in found) return found;
  if ('status' in found)
    return { status: found.status, data: missingPage(context.shop, request, found.status, found.message) };
  return { status: 200, data: framed(context.shop, request, found) };
}

/** A page in the frame of its shop. */
export function framed(shop: Shop, request: PageRequest, page: PageData): ShopData {
  const languages = languageLinks(shop, request.url, request.root, request.isPreview);
  const drawn = { shop: frameView(shop), menu: menuView(shop), page };
  const untranslated = request.isPreview ? untranslatedIn(shop, drawn) : [];
  return {
    ...drawn,
    base: request.base,
    url: request.url,
    origin: request.origin,
    ...(request.isPreview && { isPreview: true as const }),
    ...(languages.length > 0 && { languages }),
    ...(untranslated.length > 0 && { untranslated }),
  };
}
