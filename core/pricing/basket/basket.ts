import type { Offer } from '../../model/offer';
import { apportion } from '../../shared/apportion';
import { basketUnder, pricesPieces, reducesGoods } from '../offer-actions/offer-actions';
import { isCatalogOffer, lowestUnder, offeredPrice, tryOffer, type OfferTerms } from '../offered-price';
import { lessPercent } from '../price';
import { taxesOf } from '../tax';
import type {
  BasketInput,
  BasketLine,
  BasketPrice,
  BasketRefusal,
  LineReduction,
  LineStep,
  PricedLine,
  UsedOffer,
} from './basket-terms';

/** A line while its price is worked out; amounts as they are asked in the shopper's country. */
interface Line {
  line: BasketLine;
  list: number;
  /** without what came with a single price: list price, sale, catalog offers, quantity price */
  unit: number;
  steps: LineStep[];
  terms: OfferTerms;
  /** the floor of the offers in its single price, for one piece */
  lowest: number;
  total: number;
  reductions: LineReduction[];
}

function pricedAlone(line: BasketLine, { offers, takes, terms, tax }: BasketInput): Line {
  const rate = line.isGiftCard ? 0 : tax.rate(line.taxClass);
  const asked = (amount: number) => (line.isGiftCard ? amount : tax.asked(amount, line.taxClass));
  const own: OfferTerms = { ...terms, taxRate: rate, taxIncluded: tax.included };
  const list = asked(line.list);
  const sale = line.sale === null ? null : asked(line.sale);
  const steps: LineStep[] = [{ what: 'list', amount: list }];
  const taking = line.isGiftCard ? [] : offers.filter((offer) => isCatalogOffer(offer) && takes(offer, line));
  const { price, used, lowest } = offeredPrice({ list, sale, cost: line.cost }, taking, own);
  const isAlone = used.length === 1 && !used[0]!.offer.stacks;
  if (sale !== null && sale < list && !isAlone) steps.push({ what: 'sale', amount: sale, until: line.saleUntil });
  for (const { offer, made, heldAt, price: amount } of used)
    steps.push({ what: 'offer', amount, offerId: offer.id, name: offer.name, made, heldAt });
  const tier = line.quantityPrices.findLast(({ from }) => line.quantity >= from);
  const unit = tier ? lessPercent(price, tier.off) : price;
  if (tier) steps.push({ what: 'quantity', amount: unit, from: tier.from, off: tier.off });
  return { line, list, unit, steps, terms: own, lowest, total: unit * line.quantity, reductions: [] };
}

/** What a piece of a line may not fall below under an offer. */
const lowestPiece = ({ line, terms }: Line, offer: Offer) => lowestUnder(offer, line.cost, terms);

/** From what an offer begins with a line. */
interface Start {
  piece: number;
  total: number;
  /** what offers before it promised not to fall below, for one piece */
  lowest: number;
}

/** Totals of lines under an offer, from prices of one piece; each stays above its floor, and never rises. */
function under(offer: Offer, lines: readonly Line[], from: (line: Line) => Start): number[] {
  const { action } = offer;
  const starts = lines.map(from);
  const lowestTotal = (line: Line, i: number) =>
    Math.max(lowestPiece(line, offer), starts[i]!.lowest) * line.line.quantity;
  if (pricesPieces(action))
    return lines.map(({ line, terms }, i) => {
      const { piece, total, lowest } = starts[i]!;
      // What came off before was not off each piece alike: the offer takes the same part of what is left.
      const tried = tryOffer(offer, piece, line.cost, terms, lowest);
      if ('refused' in tried) return total;
      const off = total === piece * line.quantity ? (piece - tried.price) * line.quantity : 0;
      const part = off > 0 ? off : Math.round((total * (piece - tried.price)) / piece);
      return Math.max(total - part, Math.min(total, lowestTotal(lines[i]!, i)));
    });
  const room = lines.map((line, i) => Math.max(0, starts[i]!.total - lowestTotal(line, i)));
  const runs = starts.map(({ piece }, i) => ({ price: piece, quantity: lines[i]!.line.quantity }));
  const less = basketUnder(action, runs).map((off, i) => Math.min(off, room[i]!));
  // What one line had no room for comes off the others, where the sum was promised.
  if (action.does === 'amount') {
    const rest =
      Math.min(
        action.off,
        room.reduce((sum, each) => sum + each, 0),
      ) - less.reduce((sum, each) => sum + each, 0);
    if (rest > 0) {
      const open = room.map((each, i) => each - less[i]!);
      apportion(
        Math.min(
          rest,
          open.reduce((sum, each) => sum + each, 0),
        ),
        open,
      ).forEach((off, i) => (less[i]! += off));
    }
  }
  return starts.map(({ total }, i) => total - less[i]!);
}

interface Setting {
  offer: Offer;
  lines: Line[];
}

/** Why a condition of an offer on the basket does not hold; undefined when all do. */
function refusal(
  offer: Offer,
  lines: readonly Line[],
  all: readonly Line[],
  input: BasketInput,
): BasketRefusal | undefined {
  if (offer.countries.length > 0 && !offer.countries.includes(input.country)) return { why: 'country' };
  if (offer.firstOrder && input.isFirstOrder === false) return { why: 'firstOrder' };
  if (input.usesLeft(offer.id) < 1) return { why: 'usedUp' };
  if (lines.length === 0) return { why: 'noGoods' };
  const sum = all.reduce((total, line) => total + line.total, 0);
  if (offer.subtotal !== null && sum < offer.subtotal) return { why: 'subtotal', missing: offer.subtotal - sum };
  const pieces = lines.reduce((count, { line }) => count + line.quantity, 0);
  if (offer.pieces !== null && pieces < offer.pieces) return { why: 'pieces', missing: offer.pieces - pieces };
  return undefined;
}

/** Lines after all offers that stack came off them, one after another. */
function stacked(stacking: readonly Setting[], free: ReadonlySet<Line>) {
  const totals = new Map([...free].map((line) => [line, line.total]));
  const reductions = new Map([...free].map((line) => [line, [] as LineReduction[]]));
  const lowest = new Map([...free].map((line) => [line, line.lowest]));
  for (const { offer, lines } of stacking) {
    const some = lines.filter((line) => free.has(line));
    const now = under(offer, some, (line) => {
      const total = totals.get(line)!;
      return { piece: Math.round(total / line.line.quantity), total, lowest: lowest.get(line)! };
    });
    some.forEach((line, i) => {
      const off = totals.get(line)! - now[i]!;
      if (off > 0) {
        reductions.get(line)!.push({ offerId: offer.id, name: offer.name, off });
        lowest.set(line, Math.max(lowest.get(line)!, lowestPiece(line, offer)));
      }
      totals.set(line, now[i]!);
    });
  }
  return { totals, reductions };
}

/** An offer that does not stack begins with the list price. */
const fromList = ({ list, line }: Line): Start => ({ piece: list, total: list * line.quantity, lowest: 0 });

/** What an offer that does not stack makes of the lines that are free, from their list prices alone. */
function alone({ offer, lines }: Setting, free: ReadonlySet<Line>) {
  const some = lines.filter((line) => free.has(line));
  const totals = under(offer, some, fromList);
  return some.map((line, i) => ({ line, total: totals[i]! }));
}

/**
 * Sets the reductions of all lines. Each line has either all offers that stack, or one that does not: of these the one that
 * saves the shopper most comes first, then the one that saves most on what is left. O(offers² × lines).
 */
function reduceLines(all: readonly Line[], settings: readonly Setting[]): void {
  const stacking = settings.filter(({ offer }) => offer.stacks);
  const others = new Set(settings.filter(({ offer }) => !offer.stacks));
  const free = new Set(all);
  for (;;) {
    const { totals, reductions } = stacked(stacking, free);
    let best: { setting: Setting; lines: { line: Line; total: number }[]; saves: number } | undefined;
    for (const setting of others) {
      let lines = alone(setting, free);
      if (pricesPieces(setting.offer.action)) lines = lines.filter(({ line, total }) => total < totals.get(line)!);
      const saves = lines.reduce((sum, { line, total }) => sum + totals.get(line)! - total, 0);
      if (saves > (best?.saves ?? 0)) best = { setting, lines, saves };
    }
    if (!best) {
      for (const line of free) [line.total, line.reductions] = [totals.get(line)!, reductions.get(line)!];
      return;
    }
    const { id: offerId, name } = best.setting.offer;
    for (const { line, total } of best.lines) {
      const whole = line.list * line.line.quantity;
      line.steps = line.steps.slice(0, 1);
      line.unit = line.list;
      line.total = total;
      line.reductions = whole > total ? [{ offerId, name, off: whole - total }] : [];
      free.delete(line);
    }
    others.delete(best.setting);
  }
}

/**
 * What a basket costs, with how it came about: each line by its steps and reductions, each offer by what it took off or why
 * not, delivery, fee, and tax by rate. The total is the sum of what it tells, to the cent.
 */
export function priceBasket(input: BasketInput): BasketPrice {
  const { tax } = input;
  const lines = input.lines.map((line) => pricedAlone(line, input));
  const refused: BasketPrice['refused'] = [];
  const joining: Offer[] = [];
  const settings: Setting[] = [];
  for (const offer of input.offers) {
    if (isCatalogOffer(offer)) continue;
    const code = input.codes.get(offer.id) ?? null;
    if (offer.needsCode && code === null) continue;
    const taken = lines.filter(({ line }) => !line.isGiftCard && input.takes(offer, line));
    const reason = refusal(offer, taken, lines, input);
    if (reason) refused.push({ offerId: offer.id, name: offer.name, code, ...reason });
    else if (reducesGoods(offer.action)) settings.push({ offer, lines: taken });
    else joining.push(offer);
  }
  reduceLines(lines, settings);

  const used: UsedOffer[] = [];
  const codeOf = (offer: Offer) => input.codes.get(offer.id) ?? null;
  for (const { offer, lines: taken } of settings) {
    const off = lines.reduce(
      (sum, { reductions }) =>
        sum + reductions.reduce((all, each) => all + (each.offerId === offer.id ? each.off : 0), 0),
      0,
    );
    const head = { offerId: offer.id, name: offer.name, code: codeOf(offer) };
    if (off > 0) used.push({ ...head, off, gift: null });
    else refused.push({ ...head, why: whyNothing(offer, taken) });
  }
  const askedDelivery = input.delivery === null ? null : tax.asked(input.delivery, 'standard');
  let delivery = askedDelivery;
  for (const offer of joining) {
    const head = { offerId: offer.id, name: offer.name, code: codeOf(offer) };
    if (offer.action.does === 'gift') {
      const { productId, variantId } = offer.action;
      used.push({ ...head, off: 0, gift: { productId, variantId } });
    } else if (delivery === null || delivery === 0) refused.push({ ...head, why: 'noDelivery' });
    else {
      used.push({ ...head, off: delivery, gift: null });
      delivery = 0;
    }
  }

  const goods = lines.reduce((sum, { total }) => sum + total, 0);
  const fee = tax.asked(input.fee, 'standard');
  const extra = (delivery ?? 0) + fee;
  const amounts = lines.map(({ line, total }) => ({
    amount: total,
    rate: line.isGiftCard ? 0 : tax.rate(line.taxClass),
  }));
  // Delivery and fee are taxed as the goods that they belong to.
  const taxed = amounts.filter((_, i) => !lines[i]!.line.isGiftCard);
  const rates = [...new Set(taxed.map(({ rate }) => rate))];
  const shares = apportion(
    extra,
    rates.map((rate) => taxed.reduce((sum, each) => (each.rate === rate ? sum + each.amount : sum), 0)),
  );
  const extras =
    rates.length > 0 ? rates.map((rate, i) => ({ rate, amount: shares[i]! })) : [{ rate: 0, amount: extra }];
  const { each, sums } = taxesOf([...amounts, ...extras], tax.included);
  const added = tax.included ? 0 : sums.reduce((sum, { tax: of }) => sum + of, 0);
  return {
    lines: lines.map(({ line, list, unit, steps, reductions, total }, i): PricedLine => ({
      key: line.key,
      quantity: line.quantity,
      list,
      unit,
      steps,
      reductions,
      total,
      rate: amounts[i]!.rate,
      tax: each[i]!,
    })),
    used,
    refused,
    goods,
    delivery,
    fee,
    taxIncluded: tax.included,
    taxes: sums.filter(({ net, tax: of }) => net !== 0 || of !== 0),
    total: goods + extra + added,
  };
}

function whyNothing(offer: Offer, lines: readonly Line[]): 'nothingOff' | 'atFloor' | 'better' {
  const whole = lines.map((line) => line.list * line.line.quantity);
  const own = under(offer, lines, fromList);
  if (own.some((total, i) => total < whole[i]!)) return 'better';
  return lines.some((line) => lowestPiece(line, offer) >= line.list) ? 'atFloor' : 'nothingOff';
}
