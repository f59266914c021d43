import type { Collection } from '../model/group';
import { Bitset } from '../search/bitset';
import { collectionsNamed, isCircular } from '../rules/collections';
import { membersOf } from '../rules/members';
import { testOf, type Test } from '../rules/predicate';
import type { Condition } from '../model/rule';
import { nextTurn, nextChangeOf, conditionsOnTime } from '../rules/conditions-on-time';
import { arranged, finderOrder, type ShopOfGoods } from './arrangement';
import { LISTED } from './facts';
import type { ProductFacts } from '../rules/facts';

/** What memberships need to know of a shop. */
interface ShopOfCollections extends ShopOfGoods {
  collections: ReadonlyMap<string, Collection>;
  /** products that shoppers meet */
  listed: Bitset;
  version: number;
  /** seconds since 1970 */
  now: number;
  facts(productId: string): ProductFacts | undefined;
}

interface Kept {
  collection: Collection;
  set: Bitset;
  /** ids that were left out, or picked */
  named: ReadonlySet<string>;
  /** what its rule asks of one product */
  test: Test | undefined;
  /** collections that its rule asks for */
  asksFor: readonly string[];
  /** conditions of its rule by which it turns as time passes */
  turning: readonly Condition[];
  /** moment, seconds since 1970, from which on time alone may have changed it */
  until: number;
  order?: { version: number; slots: number[] };
}

/**
 * Who is in which collection, at every instant: worked out when somebody asks, and kept fresh product by product. A change
 * of one product costs one look at the rules that were asked for, not at the other products; and the rules that speak of
 * the last days say when they turn by themselves.
 */
export class Memberships {
  readonly #kept = new Map<string, Kept>();
  /** the same in an order in which each stands behind those that it asks for; made anew when one comes or goes */
  #inOrder: Kept[] | undefined;

  constructor(readonly shop: ShopOfCollections) {}

  /** The listed products of a collection at `now` (seconds since 1970). */
  of(id: string, now: number): Bitset {
    return this.#keep(id, now)?.set ?? new Bitset(this.shop.index.alive.size);
  }

  /** The slots of a collection in its own order, or the name of the finder's order that is the same. */
  orderOf(collection: Collection, now: number): string | number[] {
    const isRule = collection.source === 'rule';
    const arrangement = isRule
      ? { pins: collection.pins, order: collection.order }
      : { pins: collection.picked, order: collection.order };
    const named = isRule ? finderOrder(arrangement) : undefined;
    if (named !== undefined) return named;
    const kept = this.#keep(collection.id, now);
    if (!kept) return [];
    const { version } = this.shop;
    if (kept.order?.version !== version) kept.order = { version, slots: arranged(this.shop, kept.set, arrangement) };
    return kept.order.slots;
  }

  /** The collections that a product is in. */
  ofProduct(id: string, now: number): string[] {
    const slot = this.shop.index.slot(id);
    if (slot === undefined) return [];
    return [...this.shop.collections.keys()].filter((collectionId) => this.of(collectionId, now).has(slot));
  }

  /** One product against every kept collection: cheaper than working all of them out again. */
  refresh(productId: string): void {
    const { shop } = this;
    const slot = shop.index.slot(productId)!;
    const facts = shop.facts(productId)!;
    const isListed = facts.status.includes(LISTED);
    for (const kept of (this.#inOrder ??= this.#sorted())) {
      const { named, test } = kept;
      if (slot >= kept.set.size) kept.set = kept.set.sized(shop.index.alive.size);
      const isNamed = named.has(productId);
      const isIn = isListed && (test ? !isNamed && test(facts, shop.now) : isNamed);
      if (isIn) kept.set.add(slot);
      else kept.set.delete(slot);
      if (kept.turning.length > 0 || kept.asksFor.length > 0)
        kept.until = Math.min(
          kept.until,
          nextChangeOf(kept.turning, facts, shop.fields, shop.now),
          ...kept.asksFor.map((other) => this.#kept.get(other)?.until ?? Infinity),
        );
    }
  }

  remove(slot: number): void {
    for (const { set } of this.#kept.values()) set.delete(slot);
  }

  /** Lets time pass up to `now` (seconds since 1970). True when somebody may have joined or left by that alone. */
  passTime(now: number): boolean {
    const passed = [...this.#kept].filter(([, { until }]) => until <= now);
    for (const [id] of passed) this.#drop(id);
    return passed.length > 0;
  }

  /** To be called when a collection changed. Those whose rule asks for it are worked out again too. */
  forget(id: string): void {
    if (!this.#kept.has(id) && !this.#isAskedFor(id)) return;
    this.#drop(id);
    for (const [other, { asksFor }] of [...this.#kept]) if (asksFor.includes(id)) this.forget(other);
  }

  clear(): void {
    this.#kept.clear();
    this.#inOrder = undefined;
  }

  #isAskedFor(id: string): boolean {
    for (const { asksFor } of this.#kept.values()) if (asksFor.includes(id)) return true;
    return false;
  }

  #drop(id: string): void {
    this.#kept.delete(id);
    this.#inOrder = undefined;
  }

  #sorted(): Kept[] {
    const sorted = new Set<Kept>();
    const met = new Set<string>();
    const visit = (id: string) => {
      const kept = this.#kept.get(id);
      if (!kept || met.has(id)) return;
      met.add(id);
      kept.asksFor.forEach(visit);
      sorted.add(kept);
    };
    for (const id of this.#kept.keys()) visit(id);
    return [...sorted];
  }

  #keep(id: string, now: number): Kept | undefined {
    const { shop } = this;
    const collection = shop.collections.get(id);
    if (!collection) return undefined;
    const kept = this.#kept.get(id);
    if (kept && now < kept.until) return kept;
    const isRule = collection.source === 'rule';
    const asksFor = collectionsNamed(collection);
    // Which of them is asked first must not matter, so all that ask for each other in a circle are empty.
    const isEmpty = isCircular(id, shop.collections);
    const turning = isRule && !isEmpty ? conditionsOnTime(collection.rule) : [];
    const turns = isEmpty ? [] : asksFor.map((other) => this.#keep(other, now)?.until ?? Infinity);
    const fresh: Kept = {
      collection,
      set: isEmpty ? new Bitset(shop.index.alive.size) : this.#workOut(collection, now),
      named: new Set(isEmpty ? [] : isRule ? collection.leftOut : collection.picked),
      test: isEmpty ? () => false : isRule ? testOf(collection.rule, shop.fields) : undefined,
      asksFor,
      turning,
      until: Math.min(nextTurn(turning, shop.index, shop.fields, now), ...turns),
    };
    this.#kept.set(id, fresh);
    this.#inOrder = undefined;
    return fresh;
  }

  #workOut(collection: Collection, now: number): Bitset {
    const { index, fields, listed } = this.shop;
    const isRule = collection.source === 'rule';
    const set = isRule ? membersOf(collection.rule, index, fields, now, listed) : new Bitset(index.alive.size);
    for (const id of isRule ? collection.leftOut : collection.picked) {
      const slot = index.slot(id);
      if (slot === undefined) continue;
      if (isRule) set.delete(slot);
      else if (listed.has(slot)) set.add(slot);
    }
    return set;
  }
}
