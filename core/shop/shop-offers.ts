import type { Collection } from '../model/group';
import type { Offer } from '../model/offer';
import type { Settings } from '../model/settings';
import { byPriority, isCatalogOffer } from '../pricing/offered-price';
import { isRunning, nextOfferEdge } from '../pricing/offer-time';
import { isCircular } from '../rules/collections';
import { conditionsOnTime } from '../rules/conditions-on-time';
import type { ProductFacts } from '../rules/facts';
import { COLLECTION_FIELD, type FieldRegistry } from '../rules/field';
import { testOf, type Test } from '../rules/predicate';
import { canonicalJson } from '../shared/canonical-json';
import { hourOf } from '../shared/moment';
import { LISTED } from './facts';

/** What offers need to know of a shop. */
interface ShopOfOffers {
  readonly offers: ReadonlyMap<string, Offer>;
  readonly collections: ReadonlyMap<string, Collection>;
  readonly settings: Settings;
  readonly fields: FieldRegistry;
  /** seconds since 1970 */
  readonly now: number;
}

/** The offers that hold at one moment, each with what it asks of a product. */
export interface Running {
  /** by priority */
  offers: readonly Offer[];
  catalog: readonly Offer[];
  takes: (offer: Offer, before: ProductFacts) => boolean;
  /** the catalog offers that take a product in */
  of: (before: ProductFacts) => readonly Offer[];
  /** the same, from those that took it in before, when some offers are gone and others have come */
  turned: (
    before: ProductFacts,
    was: readonly Offer[],
    gone: ReadonlySet<Offer>,
    come: ReadonlySet<Offer>,
  ) => readonly Offer[];
  /** moment after which others may hold; Infinity for never */
  until: number;
  /** the rule of some offer speaks of the last days */
  speaksOfTime: boolean;
}

const NONE: readonly Offer[] = [];
const nobody: Running = {
  offers: NONE,
  catalog: NONE,
  takes: () => false,
  of: () => NONE,
  turned: (_, was, gone) => was.filter((offer) => !gone.has(offer)),
  until: Infinity,
  speaksOfTime: false,
};

/**
 * The offers of a shop and whom they take in. Rules are asked of products as they are before offers, so that an offer on
 * goods that are not on sale does not let go of them by its own doing. Those that speak of days are looked at each hour.
 */
export class ShopOffers {
  #running: Running | undefined;

  constructor(readonly shop: ShopOfOffers) {}

  get running(): Running {
    return (this.#running ??= this.at(this.shop.now));
  }

  /** Whom an offer takes in, whether it holds or not. */
  testOf(offer: Offer): (before: ProductFacts) => boolean {
    const test = goodsTest(offer, this.#fieldsBefore(this.shop.now));
    const hour = hourOf(this.shop.now);
    return (before) => test(before, hour);
  }

  /** Works out what holds now, so that later it is known what held before. */
  begin(): void {
    this.#running = this.at(this.shop.now);
  }

  /** To be called when offers, what their rules name, or the moment of the shop changed. Answers what held before. */
  turn(): Running {
    const before = this.#running ?? nobody;
    this.#running = undefined;
    return before;
  }

  /** True for what decides the prices of a product being the same in both lists. */
  static isSame(a: readonly Offer[], b: readonly Offer[]): boolean {
    return (
      a === b || (a.length === b.length && a.every((offer, i) => offer === b[i] || pricing(offer) === pricing(b[i]!)))
    );
  }

  /** The offers that hold at any moment, seconds since 1970. */
  at(now: number): Running {
    const { shop } = this;
    if (shop.offers.size === 0) return nobody;
    const { settings } = shop;
    const { timeZone } = settings;
    const all = [...shop.offers.values()].sort(byPriority);
    const offers = all.filter((offer) => isRunning(offer, now, timeZone));
    const until = Math.min(...all.map((offer) => nextOfferEdge(offer, now, timeZone) ?? Infinity));
    const fields = this.#fieldsBefore(now);
    const hour = hourOf(now);
    const tests = new Map(offers.map((offer) => [offer.id, goodsTest(offer, fields)]));
    const takes = (offer: Offer, before: ProductFacts) => tests.get(offer.id)?.(before, hour) ?? false;
    const catalog = offers.filter(isCatalogOffer);
    const of = (before: ProductFacts) => {
      if (!isPricedBy(before)) return NONE;
      const taking = catalog.filter((offer) => takes(offer, before));
      return taking.length > 0 ? taking : NONE;
    };
    const rank = new Map(catalog.map((offer, at) => [offer.id, at]));
    const turned: Running['turned'] = (before, was, gone, come) => {
      let next: Offer[] | undefined;
      if (was.length > 0 && gone.size > 0) next = was.filter((offer) => !gone.has(offer));
      if (isPricedBy(before)) for (const offer of come) if (takes(offer, before)) (next ??= [...was]).push(offer);
      return next ? next.sort((a, b) => rank.get(a.id)! - rank.get(b.id)!) : was;
    };
    const speaksOfTime = offers.some(({ goods }) => goods.how === 'rule' && conditionsOnTime(goods.rule).length > 0);
    return { offers, catalog, takes, of, turned, until, speaksOfTime };
  }

  /** Those of some offers that are not among others as they are. */
  static without(some: readonly Offer[], others: readonly Offer[]): Set<Offer> {
    const kept = new Set(others);
    return new Set(some.filter((offer) => !kept.has(offer)));
  }

  /** The fields of the shop, with collections as they are before offers: the index knows only what is after them. */
  #fieldsBefore(now: number): FieldRegistry {
    const { fields, collections } = this.shop;
    const field = fields.get(COLLECTION_FIELD)!;
    const tests = new Map<string, (facts: ProductFacts) => boolean>();
    const before = new Map(fields);
    const hour = hourOf(now);
    const testOfCollection = (id: string) => {
      let test = tests.get(id);
      if (!test) tests.set(id, (test = collectionTest(id, collections, before, hour)));
      return test;
    };
    const has = (facts: ProductFacts, id: string) => facts.status.includes(LISTED) && testOfCollection(id)(facts);
    const read = (facts: ProductFacts) => [...collections.keys()].filter((id) => has(facts, id));
    before.set(COLLECTION_FIELD, { ...field, has, read });
    return before;
  }
}

/** A gift card costs what it is worth, and the parts of a bundle have their own offers. */
const isPricedBy = ({ kind, document }: ProductFacts) =>
  kind !== 'giftCard' && document.bundle?.pricing.how !== 'parts';

/** All that decides what an offer makes of a price. */
const pricing = ({ id, action, priority, stacks, floor }: Offer) =>
  canonicalJson({ id, action, priority, stacks, floor });

function goodsTest({ goods }: Offer, fields: FieldRegistry): Test {
  if (goods.how === 'all') return () => true;
  if (goods.how === 'rule') return testOf(goods.rule, fields);
  const ids = new Set(goods.ids);
  return ({ id }) => ids.has(id);
}

function collectionTest(
  id: string,
  collections: ReadonlyMap<string, Collection>,
  fields: FieldRegistry,
  hour: number,
): (facts: ProductFacts) => boolean {
  const collection = collections.get(id);
  if (!collection || isCircular(id, collections)) return () => false;
  const named = new Set(collection.source === 'rule' ? collection.leftOut : collection.picked);
  if (collection.source === 'picked') return (facts) => named.has(facts.id);
  const test = testOf(collection.rule, fields);
  return (facts) => !named.has(facts.id) && test(facts, hour);
}
