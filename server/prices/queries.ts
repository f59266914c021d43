import type { OfferPreview, OfferRow, OfferStatus } from '../../contract/offers';
import type { AnswerOf } from '../../contract/route';
import type { offerRoutes } from '../../contract/offers';
import type { Offer } from '../../core/model/offer';
import { ordersUnder } from '../../core/orders/orders-under';
import { offerConditions, offerDoes } from '../../core/pricing/offer-words';
import { isRunning } from '../../core/pricing/offer-time';
import { priceHistory } from '../../core/pricing/price-history';
import { lowestUntil } from '../../core/pricing/lowest';
import { momentWords, secondsOf } from '../../core/shared/moment';
import { metOffers, offerEffects, type EffectNote, type MetOffer } from '../../core/shop/offer-effects';
import { faceUrl } from '../../core/storefront/card';
import type { Catalog } from '../state/catalog';
import { refOf } from '../state/working';
import { countCodes, usesOfAll } from '../store/offers';
import { listEditions } from '../store/editions';
import { readAsked, readPriceSpans } from '../store/price-spans';
import { ordersBetween } from '../store/shop-orders';

const YEAR_MS = 365 * 86_400_000;
/** In a larger shop it takes too long to set every offer beside every other. */
const MOST_MET = 5_000;
/** So many goods of an offer are told one by one. */
const MOST_TOLD = 500;
/** So many of the last editions are looked through for those that changed a price. */
const MOST_EDITIONS = 2_000;
/** So many of the last orders are priced again. */
const MOST_ORDERS = 5_000;

/** Where an offer is in its life, at `now` (seconds since 1970). */
function offerStatus(offer: Offer, now: number, timeZone: string): OfferStatus {
  if (!offer.isOn) return 'off';
  if (offer.until !== null && now >= secondsOf(offer.until)) return 'over';
  if (offer.from !== null && now < secondsOf(offer.from)) return 'coming';
  return isRunning(offer, now, timeZone) ? 'running' : 'paused';
}

/** Sale prices of single products, by the days on which they hold. */
function salesOf({ working }: Catalog) {
  const spans = new Map<string, { from: string | null; until: string | null; goods: number }>();
  for (const { status, saleFrom, saleUntil, variants } of working.products.values()) {
    if (status !== 'live' || variants.every(({ salePrice }) => salePrice === null)) continue;
    const key = `${saleFrom} ${saleUntil}`;
    const span = spans.get(key) ?? { from: saleFrom, until: saleUntil, goods: 0 };
    spans.set(key, { ...span, goods: span.goods + 1 });
  }
  return [...spans.values()];
}

export function offersAnswer(catalog: Catalog): AnswerOf<typeof offerRoutes.offers> {
  const { working, db, now } = catalog;
  const { shop } = working;
  const { settings } = shop;
  const codes = countCodes(db);
  const uses = usesOfAll(db);
  const offers = [...shop.offers.values()].map((offer): OfferRow => {
    const effects = offerEffects(shop, offer);
    const used = uses.get(offer.id);
    return {
      offer,
      status: offerStatus(offer, now, settings.timeZone),
      does: offerDoes(offer, settings),
      conditions: offerConditions(offer, settings),
      goods: effects.length,
      codes: codes.get(offer.id) ?? 0,
      uses: used?.uses ?? 0,
      off: used?.off ?? 0,
      held: effects.filter(({ note }) => note === 'held' || note === 'atFloor').length,
      meets: shop.products.size > MOST_MET ? 0 : metOffers(shop, offer).length,
      isLive: !working.changed.has(refOf('offer', offer.id)),
    };
  });
  const onSale = [...shop.products.values()].filter(
    ({ id, status }) => status === 'live' && shop.facts(id)!.onSale,
  ).length;
  return {
    offers,
    onSale,
    sales: salesOf(catalog),
    currency: settings.currency,
    timeZone: settings.timeZone,
    now: new Date(now * 1_000).toISOString(),
  };
}

const noteWords: Record<EffectNote, string> = {
  belowCost: 'below cost',
  held: 'held at the floor',
  atFloor: 'at its floor already',
  costUnknown: 'cost not known',
  notLower: 'not lower than now',
  otherIsLower: 'another offer is lower',
  saleIsLower: 'on sale already, lower',
  none: '',
};
const badNotes: ReadonlySet<EffectNote> = new Set(['belowCost', 'held', 'atFloor', 'costUnknown']);

const winsWords = ({ wins, offer }: MetOffer): string =>
  wins === 'this'
    ? 'this one wins'
    : wins === 'other'
      ? `“${offer.name}” wins`
      : wins === 'both'
        ? 'both come off, one after the other'
        : 'shoppers get whichever is better for them';

/** What a variant cost in the last year, with the editions that changed it. */
export function priceHistoryAnswer({ db, now }: Catalog, variantId: string): AnswerOf<typeof offerRoutes.priceHistory> {
  const spans = readPriceSpans(db, [variantId]).get(variantId) ?? [];
  const from = now - YEAR_MS / 1_000;
  const at = (seconds: number) => new Date(seconds * 1_000).toISOString();
  const since = new Set(spans.map((span) => span.since));
  const editions = listEditions(db, MOST_EDITIONS).flatMap(({ number, label, at: madeAt }) => {
    const seconds = Math.floor(secondsOf(madeAt));
    return seconds >= from && since.has(seconds) ? [{ number, label, at: madeAt }] : [];
  });
  const steps = priceHistory(spans, readAsked(db, variantId), from, now);
  return {
    steps: steps.map(({ at: seconds, price, list }) => ({ at: at(seconds), price, list })),
    editions: editions.reverse(),
    now: at(now),
  };
}

/** What an offer would do if it were as it is given here. */
export function offerPreview(catalog: Catalog, offer: Offer): OfferPreview {
  const { working, db, now } = catalog;
  const { shop } = working;
  const { timeZone } = shop.settings;
  const effects = offerEffects(shop, offer);
  const told = effects.slice(0, MOST_TOLD);
  const spans = readPriceSpans(
    db,
    told.map(({ variantId }) => variantId),
  );
  const day = (moment: string | null) => (moment === null ? null : momentWords(moment, timeZone));
  const since = new Date(now * 1_000 - YEAR_MS).toISOString();
  const orders = ordersBetween(db, since, new Date((now + 1) * 1_000).toISOString())
    .filter(({ status }) => status !== 'cancelled')
    .slice(-MOST_ORDERS)
    .map(({ body }) => body);
  return {
    goods: effects.length,
    variants: effects.reduce((sum, { variants }) => sum + variants, 0),
    effects: told.map((effect) => ({
      productId: effect.product.id,
      title: effect.product.title,
      picture: faceUrl(effect.product),
      variants: effect.variants,
      list: effect.list,
      before: effect.before,
      after: effect.after,
      lowest: lowestUntil(spans.get(effect.variantId) ?? [], now, readAsked(db, effect.variantId)) ?? null,
      marginBefore: effect.marginBefore,
      marginAfter: effect.marginAfter,
      note: noteWords[effect.note],
      isBad: badNotes.has(effect.note),
    })),
    meets: metOffers(shop, offer).map((met) => ({
      id: met.offer.id,
      name: met.offer.name,
      goods: met.goods,
      when:
        [met.from && `from ${day(met.from)}`, met.until && `until ${day(met.until)}`].filter(Boolean).join(' ') ||
        'all the time',
      wins: winsWords(met),
    })),
    past: orders.length === 0 ? null : ordersUnder(shop, offer, orders),
  };
}
