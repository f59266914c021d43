import { performance } from 'node:perf_hooks';
import { newOffer, type Offer } from '../core/model/offer';
import { offeredPrice } from '../core/pricing/offered-price';
import type { ResolvedShop } from '../core/shop/resolved-shop';
import { scaledCatalog } from '../demo/scale';
import { shopOf } from './core';
import { ms, timeOnce } from './measure';
import { putIntoReport } from './report';

const SIZES = [10_000, 50_000];
const DAY = 86_400;
const iso = (seconds: number) => new Date(seconds * 1_000).toISOString();

const percent = (id: string, off: number, more: Partial<Offer>): Offer => ({
  ...newOffer(id, id),
  isOn: true,
  action: { does: 'percent', off },
  ...more,
});
const between = (from: number, upTo: number): Offer['goods'] => ({
  how: 'rule',
  rule: {
    match: 'all',
    of: [
      { field: 'price', is: 'above', value: from },
      { field: 'price', is: 'below', value: upTo },
    ],
  },
});

const put = (shop: ResolvedShop, offers: readonly Offer[], isGone = false) =>
  shop.take({ documents: offers.map((body) => ({ kind: 'offer', key: body.id, body: isGone ? undefined : body })) });

/** The goods whose prices lie in a part of all prices, from 0 to 1. */
function goodsOfPart(shop: ResolvedShop, from: number, upTo: number): Offer['goods'] {
  const prices = [...shop.products.keys()].map((id) => shop.facts(id)!.price).sort((a, b) => a - b);
  const at = (part: number) => prices[Math.min(prices.length - 1, Math.floor(prices.length * part))]!;
  return between(at(from), at(upTo));
}

/** Milliseconds in which an offer begins and ends by the clock; how many goods it reduces meanwhile. */
function beginAndEnd(shop: ResolvedShop, goods: Offer['goods'], now: number) {
  const offer = percent('o_begins', 1_500, { goods, from: iso(now + DAY), until: iso(now + 2 * DAY) });
  put(shop, [offer]);
  const begins = timeOnce(() => shop.take({ now: now + DAY })).ms;
  const reduced = [...shop.products.keys()].filter((id) => shop.offersOf(id).length > 0).length;
  const ends = timeOnce(() => shop.take({ now: now + 2 * DAY })).ms;
  put(shop, [offer], true);
  return { begins, ends, reduced };
}

function measure(size: number): string[] {
  const shop = shopOf(scaledCatalog(size));
  let now = Math.floor(Date.parse('2027-03-01T00:00:00Z') / 1_000);
  shop.take({ now });
  const words = [`**${size.toLocaleString('en')} products.**`];
  for (const [what, goods] of [
    ['on an eighth of all goods', goodsOfPart(shop, 0.5, 0.625)],
    ['on all goods', { how: 'all' }],
  ] as const) {
    const { begins, ends, reduced } = beginAndEnd(shop, goods, now);
    now += 3 * DAY;
    words.push(
      `An offer ${what} (${reduced.toLocaleString('en')} products) begins in ${ms(begins)} ms and ends in ${ms(ends)} ms.`,
    );
  }
  const fifty = Array.from({ length: 50 }, (_, i) =>
    percent(`o_fifty${String(i).padStart(3, '0')}`, 100 + i * 10, {
      goods: goodsOfPart(shop, i / 55, i / 55 + 0.1),
      stacks: i % 2 === 0,
    }),
  );
  const taken = timeOnce(() => put(shop, fifty)).ms;
  const start = performance.now();
  let [variants, taking] = [0, 0];
  for (const product of shop.products.values()) {
    const [offers, terms] = [shop.offersOf(product.id), shop.offerTerms(product)];
    taking += offers.length;
    for (const { price, cost } of product.variants) {
      offeredPrice({ list: price, sale: null, cost }, offers, terms);
      variants++;
    }
  }
  const priced = performance.now() - start;
  words.push(
    `50 offers, ${(taking / shop.products.size).toFixed(1)} on each product, come at once in ${ms(taken)} ms, and ${variants.toLocaleString('en')} variants are priced under them in ${ms(priced)} ms.`,
  );
  return words;
}

const text = SIZES.map((size) => measure(size).join(' ')).join('\n\n');
console.log(text);
putIntoReport(
  'Offers',
  `Made by \`npm run bench:offers\`, in core. Aims: 150 ms to begin and to end, 400 ms for the prices.\n\n${text}`,
);
