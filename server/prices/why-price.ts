import type { AnswerOf, BodyOf } from '../../contract/route';
import type { offerRoutes } from '../../contract/offers';
import { plainCode } from '../../core/model/basket';
import type { ProductDocument } from '../../core/model/document';
import { priceBasket } from '../../core/pricing/basket/basket';
import type { BasketLine, BasketRefusal, LineStep } from '../../core/pricing/basket/basket-terms';
import { isCatalogOffer, offeredPrice, type Refusal } from '../../core/pricing/offered-price';
import { effectivePrice, unitPrice, unitPricingWords } from '../../core/pricing/price';
import { lowestUntil } from '../../core/pricing/lowest';
import { taxOfCountry } from '../../core/pricing/tax';
import { variantName } from '../../core/products/variants';
import type { ProductFacts } from '../../core/rules/facts';
import type { Shop } from '../../core/shop/shop';
import { formatMoney } from '../../core/shared/money';
import { momentWords, secondsOf } from '../../core/shared/moment';
import { invalidField, notFound } from '../shared/problem';
import { refusals } from '../shared/refusals';
import type { Catalog } from '../state/catalog';
import { readCode } from '../store/offers';
import { readAsked, readPriceSpans } from '../store/price-spans';

const pieceRefusals: Record<Refusal, string> = {
  notLower: 'not lower',
  atFloor: 'the price is at its floor already',
  costUnknown: 'the cost is not known',
};

function basketRefusal(refusal: BasketRefusal, money: (amount: number) => string): string {
  switch (refusal.why) {
    case 'subtotal':
      return `${money(refusal.missing)} more in the basket`;
    case 'pieces':
      return `${refusal.missing} more of them`;
    default:
      return {
        noGoods: 'not for this product',
        country: 'not for this country',
        firstOrder: 'only for a first order',
        usedUp: 'used up',
        nothingOff: 'takes nothing off',
        atFloor: 'the price is at its floor already',
        better: 'another price is better',
        noDelivery: 'is about delivery',
      }[refusal.why];
  }
}

interface AskedLine {
  line: BasketLine;
  product: ProductDocument;
  variant: ProductDocument['variants'][number];
  /** before offers */
  before: ProductFacts;
}

function askedLine(
  shop: Shop,
  { productId, variantId, quantity }: { productId: string; variantId: string; quantity: number },
  now: number,
  place: number,
): AskedLine {
  const product = shop.products.get(productId);
  const variant = product?.variants.find(({ id }) => id === variantId);
  if (!product || !variant) throw notFound(refusals.noSuchVariant);
  const { price: sale, wasPrice } = effectivePrice(product, variant, now);
  const line: BasketLine = {
    key: String(place),
    productId,
    variantId,
    quantity,
    list: variant.price,
    sale: wasPrice === null ? null : sale,
    saleUntil: product.saleUntil,
    quantityPrices: product.quantityPrices,
    cost: variant.cost,
    taxClass: product.taxClass,
    isGiftCard: product.kind === 'giftCard',
  };
  return { line, product, variant, before: shop.factsAt(product, now) };
}

/** How the price of a variant comes about, step by step, at any moment and under any terms that a seller asks for. */
export function whyPrice(
  catalog: Catalog,
  asked: BodyOf<typeof offerRoutes.whyPrice>,
): AnswerOf<typeof offerRoutes.whyPrice> {
  const { shop } = catalog.working;
  const { settings } = shop;
  const now = asked.at === null ? shop.now : secondsOf(asked.at);
  const country = asked.country ?? settings.selling.country;
  const money = (amount: number) => formatMoney(amount, settings.currency, settings.locale);
  const typed = plainCode(asked.code);
  const code = typed === '' ? undefined : readCode(catalog.db, typed);
  if (typed !== '' && !code) throw invalidField(['code'], 'There is no such code.');
  const running = shop.offersNow.at(now);
  const tax = taxOfCountry(settings, country, now);
  const all = [asked, ...asked.beside].map((each, i) => askedLine(shop, each, now, i));
  const [{ line, product, variant, before }] = all as [AskedLine, ...AskedLine[]];
  const factsOf = new Map(all.map((each) => [each.line.key, each.before]));
  const price = priceBasket({
    lines: all.map((each) => each.line),
    offers: running.offers,
    takes: (offer, { key }) => running.takes(offer, factsOf.get(key)!),
    codes: new Map(code ? [[code.offerId, typed]] : []),
    country,
    isFirstOrder: null,
    usesLeft: () => Infinity,
    terms: settings.offers,
    tax,
    delivery: null,
    fee: 0,
  });
  const [priced] = price.lines;
  const stepWords = (step: LineStep): { label: string; note: string } => {
    switch (step.what) {
      case 'list':
        return { label: 'List price', note: '' };
      case 'sale':
        return {
          label: 'Sale',
          note: step.until === null ? '' : `until ${momentWords(step.until, settings.timeZone)}`,
        };
      case 'offer':
        return {
          label: step.name,
          note: [
            step.heldAt === null ? '' : `would be ${money(step.made)}; the floor of ${money(step.heldAt)} holds it`,
            step.amount !== step.made && step.heldAt === null ? `${money(step.made)}, rounded` : '',
          ]
            .filter(Boolean)
            .join(', '),
        };
      case 'quantity':
        return { label: `From ${step.from} pieces`, note: `${step.off / 100} % off` };
    }
  };
  const pieces = asked.quantity;
  const { tried, used } = offeredPrice(
    { list: variant.price, sale: line.sale, cost: variant.cost },
    running.of(before),
    { ...settings.offers, taxRate: tax.rate(product.taxClass), taxIncluded: tax.included },
  );
  const missed = running.catalog.filter((offer) => !running.takes(offer, before));
  const total = priced!.total;
  const each = Math.round(total / pieces);
  const spans = readPriceSpans(catalog.db, [variant.id]).get(variant.id) ?? [];
  const perUnit = unitPrice(each, variant.content, product.unitPricing);
  const isSaleSeen = priced!.steps.some(({ what }) => what === 'sale');
  const { wasPrice } = effectivePrice(product, variant, now);
  const saleEnds = variant.salePrice !== null && !isSaleSeen;
  return {
    steps: [
      ...priced!.steps.map((step) => ({ ...stepWords(step), amount: step.amount })),
      ...(saleEnds
        ? [
            {
              label: 'Sale',
              amount: null,
              note: wasPrice === null ? 'does not hold at this moment' : 'an offer is lower',
            },
          ]
        : []),
      ...priced!.reductions.map(({ name, off }) => ({
        label: name,
        amount: -off,
        note: pieces > 1 ? `off ${pieces} pieces` : 'in the basket',
      })),
    ],
    refused: [
      ...tried.flatMap((each) =>
        'refused' in each
          ? [{ name: each.offer.name, why: pieceRefusals[each.refused] }]
          : used.some(({ offer }) => offer.id === each.offer.id)
            ? []
            : [{ name: each.offer.name, why: 'another price is better' }],
      ),
      ...missed.map(({ name }) => ({ name, why: 'not for this product' })),
      ...price.refused.map((refusal) => ({ name: refusal.name, why: basketRefusal(refusal, money) })),
      ...running.offers
        .filter((offer) => !isCatalogOffer(offer) && offer.needsCode && offer.id !== code?.offerId)
        .map(({ name }) => ({ name, why: 'needs a code' })),
    ],
    price: total,
    tax: priced!.tax,
    taxWords: tax.included ? `of which ${priced!.rate / 100} % tax` : `and ${priced!.rate / 100} % tax on top`,
    unitPrice: perUnit === null ? null : `${money(perUnit)} ${unitPricingWords[product.unitPricing!].words}`,
    lowest: lowestUntil(spans, now, readAsked(catalog.db, variant.id)) ?? null,
    basket:
      all.length === 1
        ? null
        : {
            lines: all.map((each, i) => ({
              title: [each.product.title, variantName(each.product.options, each.variant)].filter(Boolean).join(', '),
              quantity: each.line.quantity,
              total: price.lines[i]!.total,
            })),
            used: price.used.map(({ name, off }) => ({ name, off })),
            total: price.total,
          },
  };
}
