import type { Slot } from '../model/bundle';
import type { ProductDocument } from '../model/document';
import { bundlePrice, bundleStock, type BundlePart } from '../pricing/bundle';
import type { ProductFacts } from '../rules/facts';
import type { FinderIndex } from '../search/finder-index';
import type { FieldRegistry } from '../rules/field';
import { membersOf } from '../rules/members';
import { takesIn } from '../rules/predicate';
import { conditionsOf } from '../model/rule';

/** Most products of one slot; a rule may take in more, but nobody could choose among them. */
const MOST_PARTS = 60;

/** What follows for a bundle from its parts, at one moment. */
export interface BundleFacts {
  /** what it can cost, minor units; null when its price is fixed */
  price: { low: number; high: number } | null;
  stock: number;
  /** places of the slots that run out first */
  scarce: readonly number[];
  slots: readonly { slot: Slot; products: readonly ProductDocument[] }[];
}

/** What bundles are worked out from: the products of a shop, at one moment. */
export interface BundleSources {
  readonly products: ReadonlyMap<string, ProductDocument>;
  readonly index: FinderIndex;
  readonly fields: FieldRegistry;
  /** seconds since 1970 */
  readonly now: number;
  facts(productId: string): ProductFacts | undefined;
}

/** A product as it may stand in a bundle: on the shop, with a told price, and no bundle itself. */
function isPart(product: ProductDocument | undefined, facts: ProductFacts | undefined): product is ProductDocument {
  return (
    product !== undefined && product.kind !== 'bundle' && !product.priceOnRequest && facts!.status.includes('live')
  );
}

/** The products that may stand in a slot, in the order in which they are offered. */
function productsOf(shop: BundleSources, { from }: Slot): ProductDocument[] {
  const { index } = shop;
  const ids =
    from.how === 'picked'
      ? from.ids
      : index
          .orderedSlots(membersOf(from.rule, index, shop.fields, shop.now), 'featured')
          .map((slot) => index.id(slot));
  return ids
    .map((id) => shop.products.get(id))
    .filter((product): product is ProductDocument => isPart(product, product && shop.facts(product.id)))
    .slice(0, MOST_PARTS);
}

function partOf({ id, variants, stock }: ProductFacts): BundlePart {
  const there = variants.filter((variant) => variant.stock > 0);
  const prices = (there.length > 0 ? there : variants).map(({ price }) => price);
  return { id, low: Math.min(...prices), high: Math.max(...prices), stock };
}

/** Works out what a bundle can cost, how often it can be made, and from what. Costs what its rules cost. */
function bundleFacts(shop: BundleSources, { bundle }: ProductDocument): BundleFacts {
  const slots = (bundle?.slots ?? []).map((slot) => ({ slot, products: productsOf(shop, slot) }));
  const parts = slots.map(({ slot, products }) => ({
    min: slot.min,
    max: slot.max,
    parts: products.map(({ id }) => partOf(shop.facts(id)!)),
  }));
  const pricing = bundle?.pricing ?? { how: 'fixed' };
  return {
    price: pricing.how === 'parts' ? bundlePrice(parts, pricing.off) : null,
    ...(slots.length === 0 ? { stock: 0, scarce: [] } : bundleStock(parts)),
    slots,
  };
}

/** True when what is in the bundle can change by time alone. */
export const speaksOfTime = ({ bundle }: ProductDocument): boolean =>
  (bundle?.slots ?? []).some(
    ({ from }) => from.how === 'rule' && conditionsOf(from.rule).some(({ condition }) => condition.is === 'inLast'),
  );

/** The bundles of a shop, with what follows from their parts; knows which of them a changed product concerns. */
export class Bundles {
  readonly #facts = new Map<string, BundleFacts>();
  /** bundles whose parts changed, to be worked out again before the change is over */
  readonly #stale = new Set<string>();

  constructor(readonly shop: BundleSources) {}

  get ids(): Iterable<string> {
    return this.#facts.keys();
  }

  /** What follows for a bundle from its parts; undefined for other kinds. */
  get(productId: string): BundleFacts | undefined {
    return this.#facts.get(productId);
  }

  /** Works a product out if it is a bundle; forgets it as one if it is none (any more). */
  put(product: ProductDocument): BundleFacts | undefined {
    if (product.kind !== 'bundle') {
      this.#facts.delete(product.id);
      return undefined;
    }
    const facts = bundleFacts(this.shop, product);
    this.#facts.set(product.id, facts);
    return facts;
  }

  remove(productId: string): void {
    this.#facts.delete(productId);
  }

  /** Notes the bundles that a product is, or might now be, a part of. */
  noteChangeOf(productId: string): void {
    const changed = this.shop.facts(productId);
    for (const [bundleId, { slots }] of this.#facts) {
      if (bundleId === productId || this.#stale.has(bundleId)) continue;
      const isConcerned = slots.some(
        ({ slot: { from }, products }) =>
          products.some(({ id }) => id === productId) ||
          (from.how === 'picked'
            ? from.ids.includes(productId)
            : changed !== undefined && takesIn(from.rule, changed, this.shop.fields, this.shop.now)),
      );
      if (isConcerned) this.#stale.add(bundleId);
    }
  }

  /** Notes the bundles that are filled by rule: what their rules take in may be something else now. */
  noteRules(): void {
    for (const [id, { slots }] of this.#facts)
      if (slots.some(({ slot: { from } }) => from.how === 'rule')) this.#stale.add(id);
  }

  /** Notes all bundles: so many products turned that looking for those concerned takes longer. */
  noteAll(): void {
    for (const id of this.#facts.keys()) this.#stale.add(id);
  }

  /** Calls back for each bundle that was noted, once; those noted meanwhile included. */
  settle(work: (bundleId: string) => void): void {
    for (const id of this.#stale) work(id);
    this.#stale.clear();
  }

  copyFrom(other: Bundles): void {
    this.#facts.clear();
    this.#stale.clear();
    for (const [id, facts] of other.#facts) this.#facts.set(id, facts);
  }
}
