import { secondsOf } from '../shared/moment';
import type { QuantityPrice, UnitPricing } from '../model/product-values';

/** What of a product bears on the prices of its variants. */
export interface PriceTerms {
  /** ISO moments between which sale prices hold; open where null */
  saleFrom: string | null;
  saleUntil: string | null;
  /** in rising order of `from` */
  quantityPrices: readonly QuantityPrice[];
}

export interface PricedVariant {
  price: number;
  salePrice: number | null;
}

/** One step of how a price came about. Amounts in minor units, for one piece. */
export type PriceStep =
  | { what: 'price'; amount: number }
  | { what: 'sale'; amount: number; until: string | null }
  | { what: 'quantity'; amount: number; from: number; off: number };

/** What a variant costs at one moment and, when it is reduced, what it cost before; minor units, for one piece. */
export interface EffectivePrice {
  price: number;
  wasPrice: number | null;
}

/** True while sale prices hold: from `saleFrom` on, up to but not including `saleUntil`. `now`: seconds since 1970. */
export function isSaleTime({ saleFrom, saleUntil }: Pick<PriceTerms, 'saleFrom' | 'saleUntil'>, now: number): boolean {
  return (saleFrom === null || now >= secondsOf(saleFrom)) && (saleUntil === null || now < secondsOf(saleUntil));
}

/** The price of one piece at `now`. A sale price counts only in its time and when it is below the price. O(1). */
export function effectivePrice(terms: PriceTerms, variant: PricedVariant, now: number): EffectivePrice {
  const { price, salePrice } = variant;
  return salePrice !== null && salePrice < price && isSaleTime(terms, now)
    ? { price: salePrice, wasPrice: price }
    : { price, wasPrice: null };
}

/** `amount` less `off` basis points, rounded half away from zero. */
export function lessPercent(amount: number, off: number): number {
  return Math.round((amount * (10_000 - off)) / 10_000);
}

/** The price of one of `quantity` pieces at `now`, step by step; the last step holds what is paid. */
export function priceSteps(terms: PriceTerms, variant: PricedVariant, now: number, quantity = 1): PriceStep[] {
  const steps: PriceStep[] = [{ what: 'price', amount: variant.price }];
  const { price, wasPrice } = effectivePrice(terms, variant, now);
  if (wasPrice !== null) steps.push({ what: 'sale', amount: price, until: terms.saleUntil });
  const tier = terms.quantityPrices.findLast(({ from }) => quantity >= from);
  if (tier) steps.push({ what: 'quantity', amount: lessPercent(price, tier.off), from: tier.from, off: tier.off });
  return steps;
}

/** Thousandths of the base unit (metre, kilogram, litre, piece) that a unit price is told for, and its words. */
export const unitPricingWords: Record<UnitPricing, { per: number; base: string; words: string }> = {
  m: { per: 1_000, base: 'm', words: 'per metre' },
  '100g': { per: 100, base: 'kg', words: 'per 100 g' },
  kg: { per: 1_000, base: 'kg', words: 'per kg' },
  '100ml': { per: 100, base: 'l', words: 'per 100 ml' },
  l: { per: 1_000, base: 'l', words: 'per litre' },
  piece: { per: 1_000, base: 'pieces', words: 'per piece' },
};

/** Price of the unit, minor units, rounded half away from zero; null without content. `content`: thousandths of the base. */
export function unitPrice(price: number, content: number | null, unit: UnitPricing | null): number | null {
  if (unit === null || content === null || content <= 0) return null;
  return Math.round((price * unitPricingWords[unit].per) / content);
}

/** What is wrong with a sale price, in plain words; undefined when it can be saved. */
export function refuseSalePrice(price: number, salePrice: number | null): string | undefined {
  return salePrice !== null && salePrice >= price ? 'The sale price must be below the price.' : undefined;
}

/** What is wrong with the two ends of a time, in plain words. */
export function refuseSpan(from: string | null, until: string | null): string | undefined {
  return from !== null && until !== null && Date.parse(until) <= Date.parse(from)
    ? 'The end must come after the beginning.'
    : undefined;
}

/** What is wrong with quantity prices, by the place of the one that is: they must rise in pieces and in reduction. */
export function refuseQuantityPrices(tiers: readonly QuantityPrice[]): { at: number; message: string } | undefined {
  for (let at = 1; at < tiers.length; at++) {
    const [before, tier] = [tiers[at - 1]!, tiers[at]!];
    if (tier.from <= before.from) return { at, message: `This must begin above ${before.from} pieces.` };
    if (tier.off <= before.off)
      return { at, message: `More pieces must cost less: take more than ${before.off / 100} % off.` };
  }
  return undefined;
}

/** The part of a price that is not tax, rounded half away from zero. `taxRate` in basis points. */
export function netOf(price: number, taxRate: number, taxIncluded: boolean): number {
  return taxIncluded ? Math.round((price * 10_000) / (10_000 + taxRate)) : price;
}

/**
 * Margin in basis points of the price without tax, rounded half away from zero; null without a cost or a price.
 * `taxRate` is in basis points and is contained in the price when `taxIncluded`.
 */
export function marginOf(price: number, cost: number | null, taxRate: number, taxIncluded: boolean): number | null {
  if (cost === null || price === 0) return null;
  const net = taxIncluded ? (price * 10_000) / (10_000 + taxRate) : price;
  const margin = ((net - cost) / net) * 10_000;
  return Math.sign(margin) * Math.round(Math.abs(margin));
}

/** Mark-up on cost in basis points, of the price without tax; null without a cost. As `marginOf`. */
export function markUpOf(price: number, cost: number | null, taxRate: number, taxIncluded: boolean): number | null {
  if (cost === null || cost === 0) return null;
  const net = taxIncluded ? (price * 10_000) / (10_000 + taxRate) : price;
  const markUp = ((net - cost) / cost) * 10_000;
  return Math.sign(markUp) * Math.round(Math.abs(markUp));
}
