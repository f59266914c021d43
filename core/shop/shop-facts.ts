import type { CategoryTree } from '../groups/category-tree';
import type { ProductDocument } from '../model/document';
import type { Offer } from '../model/offer';
import type { Settings } from '../model/settings';
import type { SpecSheet } from '../model/spec-sheet';
import { offeredPrice, type OfferedPrice, type OfferTerms } from '../pricing/offered-price';
import { effectivePrice, type EffectivePrice } from '../pricing/price';
import { taxRateOf } from '../pricing/tax';
import type { ProductFacts } from '../rules/facts';
import type { Bundles } from './bundle';
import { factsAtPrices, factsOf, type DaySales, type FactSources } from './facts';
import type { ResolvedShopInputs } from './shop-inputs';
import { ShopOffers, type Running } from './shop-offers';

type Variant = ProductDocument['variants'][number];

/** What the facts of products are worked out from. */
interface ShopOfFacts {
  readonly inputs: ResolvedShopInputs;
  readonly products: ReadonlyMap<string, ProductDocument>;
  readonly specSheets: ReadonlyMap<string, SpecSheet>;
  readonly settings: Settings;
  readonly tree: CategoryTree;
  readonly bundles: Bundles;
  readonly offersNow: ShopOffers;
  /** seconds since 1970 */
  readonly now: number;
}

const NO_SALES: readonly DaySales[] = [];
const NO_OFFERS: readonly Offer[] = [];

/** The facts of each product as they are now, and as they are before the catalog offers that take it in. */
export class ShopFacts {
  readonly #facts = new Map<string, ProductFacts>();
  /** of products that an offer takes in: the offers, and the facts as they are before them */
  readonly #offered = new Map<string, { offers: readonly Offer[]; before: ProductFacts }>();

  constructor(readonly shop: ShopOfFacts) {}

  /** Facts of products that were not worked out here, but taken over, are so when they are asked for. */
  of(productId: string): ProductFacts | undefined {
    const known = this.#facts.get(productId);
    const product = known ? undefined : this.shop.products.get(productId);
    return product ? this.workOut(product) : known;
  }

  before(productId: string): ProductFacts | undefined {
    const facts = this.of(productId);
    return this.#offered.get(productId)?.before ?? facts;
  }

  at(product: ProductDocument, now: number): ProductFacts {
    return factsOf(product, { ...this.#sourcesOf(product), now });
  }

  offersOf(productId: string): readonly Offer[] {
    if (this.shop.offersNow.running.catalog.length === 0) return NO_OFFERS;
    this.of(productId);
    return this.knownOffers(productId);
  }

  /** The offers with which a product was worked out last. */
  knownOffers(productId: string): readonly Offer[] {
    return this.#offered.get(productId)?.offers ?? NO_OFFERS;
  }

  terms(product: ProductDocument): OfferTerms {
    const { settings, now } = this.shop;
    const taxRate = taxRateOf(settings, product.taxClass, now);
    return { ...settings.offers, taxRate, taxIncluded: settings.taxIncluded };
  }

  offered(product: ProductDocument, variant: Variant): OfferedPrice {
    return this.#offeredBy(product, variant, this.offersOf(product.id), this.terms(product));
  }

  price(product: ProductDocument, variant: Variant): EffectivePrice {
    if (this.offersOf(product.id).length === 0) return effectivePrice(product, variant, this.shop.now);
    const { price } = this.#facts.get(product.id)!.variants[product.variants.indexOf(variant)]!;
    return { price, wasPrice: price < variant.price ? variant.price : null };
  }

  sales(productId: string): readonly DaySales[] {
    return this.shop.inputs.sales?.(productId) ?? NO_SALES;
  }

  workOut(product: ProductDocument): ProductFacts {
    const before = this.#alone(product);
    const offers = this.shop.offersNow.running.of(before);
    if (offers.length > 0 || this.#offered.has(product.id)) this.shop.inputs.offered?.(product.id);
    return this.#keep(product, before, offers);
  }

  /**
   * Follows other offers than held before. Answers the facts of those products that cost something else by it, and the ids
   * of those that were taken over, not worked out here, and are concerned. `isOther`: what the rules of offers name is
   * another, so that all are asked. O(products), or O(products that offers had taken in) where offers only end.
   */
  follow(held: Running, isOther: boolean): { repriced: ProductFacts[]; unknown: string[] } {
    const { products, offersNow } = this.shop;
    const { running } = offersNow;
    const repriced: ProductFacts[] = [];
    const unknown: string[] = [];
    if (held.catalog.length === 0 && running.catalog.length === 0) return { repriced, unknown };
    const [gone, come] = [
      ShopOffers.without(held.catalog, running.catalog),
      ShopOffers.without(running.catalog, held.catalog),
    ];
    if (!isOther && gone.size === 0 && come.size === 0) return { repriced, unknown };
    // Where offers only end, nobody else is concerned than those that they had taken in.
    const isEnd = !isOther && come.size === 0 && this.#facts.size === products.size;
    for (const id of isEnd ? [...this.#offered.keys()] : products.keys()) {
      const product = products.get(id)!;
      const facts = this.#facts.get(id);
      if (!facts) {
        const before = this.#alone(product);
        if (isOther || !ShopOffers.isSame(held.of(before), running.of(before))) unknown.push(id);
        continue;
      }
      const before = this.#offered.get(id)?.before ?? facts;
      const were = this.knownOffers(id);
      const offers = isOther ? running.of(before) : running.turned(before, were, gone, come);
      if (!ShopOffers.isSame(were, offers)) repriced.push(this.#keep(product, before, offers));
    }
    return { repriced, unknown };
  }

  forget(productId: string): void {
    this.#facts.delete(productId);
    this.#offered.delete(productId);
  }

  /** Tells `inputs` which products offers have made the prices of. */
  copyFrom(other: ShopFacts): void {
    this.#facts.clear();
    this.#offered.clear();
    for (const [id, facts] of other.#facts) this.#facts.set(id, facts);
    for (const [id, offered] of other.#offered) {
      this.#offered.set(id, offered);
      this.shop.inputs.offered?.(id);
    }
  }

  #keep(product: ProductDocument, before: ProductFacts, offers: readonly Offer[]): ProductFacts {
    const facts = offers.length > 0 ? this.#under(product, before, offers) : before;
    if (offers.length > 0) this.#offered.set(product.id, { offers, before });
    else this.#offered.delete(product.id);
    this.#facts.set(product.id, facts);
    return facts;
  }

  #offeredBy(product: ProductDocument, variant: Variant, offers: readonly Offer[], terms: OfferTerms): OfferedPrice {
    const { price, wasPrice } = effectivePrice(product, variant, this.shop.now);
    return offeredPrice(
      { list: variant.price, sale: wasPrice === null ? null : price, cost: variant.cost },
      offers,
      terms,
    );
  }

  #under(product: ProductDocument, before: ProductFacts, offers: readonly Offer[]): ProductFacts {
    const terms = this.terms(product);
    const price = (variant: Variant): EffectivePrice => {
      const { price: now } = this.#offeredBy(product, variant, offers, terms);
      return { price: now, wasPrice: now < variant.price ? variant.price : null };
    };
    return factsAtPrices(before, product, price, { rate: terms.taxRate, included: terms.taxIncluded });
  }

  /** Facts of a product as if there were no offers. */
  #alone(product: ProductDocument): ProductFacts {
    return factsOf(product, this.#sourcesOf(product));
  }

  #sourcesOf(product: ProductDocument): FactSources {
    const { inputs, tree, specSheets, settings, now, bundles } = this.shop;
    return {
      stock: inputs.stock,
      tree,
      sheets: specSheets,
      marks: inputs.marks?.(product) ?? [],
      settings,
      now,
      bundle: bundles.get(product.id),
      sales: this.sales(product.id),
    };
  }
}
