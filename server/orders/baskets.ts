import { randomBytes, createHash } from 'node:crypto';
import { parseCookie } from 'cookie';
import type { Request, Response } from 'express';
import {
  emptyBasket,
  entryKey,
  MOST_LINES,
  MOST_PIECES,
  plainCode,
  type BasketContents,
  type BasketEntry,
  type BasketPart,
} from '../../core/model/basket';
import { shopBasket } from '../../core/shop/shop-basket';
import { productOnShop } from '../../core/shop/open-groups';
import type { BasketView } from '../../core/storefront/basket-shapes';
import { basketView } from '../../core/storefront/basket-view';
import { invalidField, notFound } from '../shared/problem';
import { refusals } from '../shared/refusals';
import type { Catalog } from '../state/catalog';
import { readBasket, writeBasket } from '../store/baskets';
import { typedCodes } from './shopper-terms';
import { saidAgain } from '../../core/languages/fixed/fixed-words';
import type { Shop } from '../../core/shop/shop';

const BASKET_COOKIE = 'dispona_basket';
/** Read by the shop's script: how many pieces there are, to be shown without asking. */
const PIECES_COOKIE = 'dispona_pieces';
const KEPT_MS = 90 * 86_400_000;

export const basketHash = (token: string) => createHash('sha256').update(token).digest('hex');

const tokenOf = (request: Request) => {
  const token = parseCookie(request.headers.cookie ?? '')[BASKET_COOKIE];
  return token && /^[\w-]{20,80}$/.test(token) ? token : undefined;
};

/** The basket of whoever asks. */
export interface OwnBasket {
  token: string | undefined;
  contents: BasketContents;
}

export function basketOf({ db }: Catalog, request: Request): OwnBasket {
  const token = tokenOf(request);
  return { token, contents: token ? readBasket(db, basketHash(token)) : emptyBasket };
}

/** The basket as its shopper meets it now. */
export function viewOf(catalog: Catalog, shop: Shop, contents: BasketContents): BasketView {
  const { shopper, ...beside } = typedCodes(catalog, contents, null);
  return basketView(shop, shopBasket(shop, contents, shopper), {
    note: contents.note,
    removed: contents.removed,
    ...beside,
    unknown: beside.unknown.map(({ code, words }) => ({ code, words: saidAgain(words, shop.say) })),
  });
}

/** Stores a basket, with the prices that its shopper sees now, and lets the browser keep its secret. */
export function keepBasket(
  catalog: Catalog,
  { response, isSecure }: { response: Response; isSecure: boolean },
  token: string | undefined,
  contents: BasketContents,
): BasketContents {
  const { shop } = catalog.live;
  const { price, lines } = shopBasket(shop, contents, typedCodes(catalog, contents, null).shopper);
  const units = new Map(lines.map(({ entry }, i) => [entry.key, price.lines[i]!.unit]));
  const kept: BasketContents = {
    ...contents,
    entries: contents.entries.map((entry) => ({ ...entry, seen: units.get(entry.key) ?? entry.seen })),
  };
  const own = token ?? randomBytes(24).toString('base64url');
  writeBasket(catalog.db, basketHash(own), kept, new Date(catalog.now * 1_000).toISOString());
  const cookie = { path: '/', sameSite: 'lax', secure: isSecure, maxAge: KEPT_MS } as const;
  response.cookie(BASKET_COOKIE, own, { ...cookie, httpOnly: true });
  const pieces = lines.reduce((sum, { line }) => sum + line.quantity, 0);
  response.cookie(PIECES_COOKIE, String(pieces), cookie);
  return kept;
}

/** What is put into a basket. */
export interface Wanted {
  slug: string;
  variant: string;
  quantity: number;
  parts: readonly BasketPart[];
  value: number | null;
}

/** The basket with some pieces more of something. Throws what is wrong, at its field. */
export function withEntry(
  shop: Shop,
  contents: BasketContents,
  { slug, variant, quantity, parts, value }: Wanted,
): BasketContents {
  const product = productOnShop(shop, shop.bySlug('product', slug));
  if (!product) throw notFound(refusals.noSuchProduct);
  if (!product.variants.some(({ id }) => id === variant)) throw invalidField(['variant'], refusals.noSuchVariant);
  if (product.priceOnRequest) throw invalidField(['variant'], refusals.priceOnRequest);
  const base = { productId: product.id, variantId: variant, parts: [...parts], value, seen: null };
  const key = entryKey(base);
  const before = contents.entries.find((entry) => entry.key === key);
  const all = (before?.quantity ?? 0) + quantity;
  if (all > MOST_PIECES) throw invalidField(['quantity'], refusals.tooManyPieces(MOST_PIECES));
  if (!before && contents.entries.length >= MOST_LINES)
    throw invalidField(['variant'], refusals.basketFull(MOST_LINES));
  const entry: BasketEntry = { ...base, key, quantity: all };
  const next = {
    ...contents,
    entries: before ? contents.entries.map((each) => (each === before ? entry : each)) : [...contents.entries, entry],
  };
  const met = shopBasket(shop, next, { codes: new Map(), isFirstOrder: null, usesLeft: () => Infinity });
  const gone = met.gone.find((each) => each.entry.key === key);
  if (gone) throw invalidField([gone.problem === 'choice' ? 'parts' : 'variant'], refusals.cannotBeHad[gone.problem]);
  const line = met.lines.find((each) => each.entry.key === key)!;
  if (line.line.quantity < all) {
    // What there is goes in; how many that is, the line says.
    if (before && before.quantity >= line.line.quantity)
      throw invalidField(['quantity'], refusals.noMoreLeft(line.line.quantity));
    return {
      ...next,
      entries: next.entries.map((each) => (each.key === key ? { ...each, quantity: line.line.quantity } : each)),
    };
  }
  return next;
}

/** The basket with so many pieces of a line; with none it goes, and what went last can be put back. */
export function withQuantity(contents: BasketContents, key: string, quantity: number): BasketContents {
  const entry = contents.entries.find((each) => each.key === key);
  const { removed } = contents;
  if (!entry) {
    if (removed?.key !== key || quantity === 0) return contents;
    return { ...contents, entries: [...contents.entries, { ...removed, quantity }], removed: null };
  }
  if (quantity === 0)
    return { ...contents, entries: contents.entries.filter((each) => each !== entry), removed: entry };
  return { ...contents, entries: contents.entries.map((each) => (each === entry ? { ...entry, quantity } : each)) };
}

/** The basket with a code that was typed. Throws where nobody knows it. */
export function withCode(catalog: Catalog, contents: BasketContents, typed: string): BasketContents {
  const code = plainCode(typed);
  if (code === '') throw invalidField(['code'], refusals.typeCode);
  if (contents.codes.includes(code)) return contents;
  if (contents.codes.length >= 10) throw invalidField(['code'], refusals.tooManyCodes);
  const { unknown } = typedCodes(catalog, { codes: [code] }, null);
  if (unknown[0]) throw invalidField(['code'], unknown[0].words);
  return { ...contents, codes: [...contents.codes, code] };
}

/** One basket made of two: of what both have, the larger number, since the same basket may be opened twice. */
export function merged(a: BasketContents, b: BasketContents): BasketContents {
  const entries = new Map(a.entries.map((entry) => [entry.key, entry]));
  for (const entry of b.entries) {
    const own = entries.get(entry.key);
    const quantity = Math.min(MOST_PIECES, Math.max(own?.quantity ?? 0, entry.quantity));
    entries.set(entry.key, { ...entry, quantity });
  }
  return {
    entries: [...entries.values()].slice(0, MOST_LINES),
    codes: [...new Set([...a.codes, ...b.codes])].slice(0, 10),
    note: a.note || b.note,
    country: a.country ?? b.country,
    deliveryId: a.deliveryId ?? b.deliveryId,
    removed: null,
  };
}
