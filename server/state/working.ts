import { setImmediate as nextTurn } from 'node:timers/promises';
import type { Product } from '../../core/model/product';
import {
  documentKinds,
  isForShoppers,
  type DocumentKind,
  type ProductDocument,
  type ShopDocument,
} from '../../core/model/document';
import { STATUS, type DaySales } from '../../core/shop/facts';
import { ResolvedShop } from '../../core/shop/resolved-shop';
import type { DocumentUpdate, WorkedOut } from '../../core/shop/shop-inputs';
import type { Db } from '../database/connection';
import { serialise } from '../database/stored-form';
import type { StockLevels } from './stock-levels';
import { readyProduct, type ReadyProduct, type ReadyProducts } from '../store/ready-products';
import { readDocuments } from '../store/documents';
import { readProducts, readStock, type StockRow } from '../store/products';
import { lowestOf } from '../store/price-spans';
import { readSales } from '../store/sales';

/** Key of a document across kinds. */
export const refOf = (kind: DocumentKind, key: string) => `${kind}:${key}`;

export function splitRef(ref: string): { kind: DocumentKind; key: string } {
  const colon = ref.indexOf(':');
  return { kind: ref.slice(0, colon) as DocumentKind, key: ref.slice(colon + 1) };
}

/** Standing of products that differ from the live edition. */
const CHANGED = 'changed';

/** Products that are made ready before requests are answered. */
const READY_AT_ONCE = 200;

const NO_SALES: readonly DaySales[] = [];

function* firstOf<T>(items: Iterable<T>, count: number): Generator<T> {
  for (const item of items) {
    if (count-- <= 0) return;
    yield item;
  }
}

/**
 * The working catalog in memory: products with all that the desk knows of them, the shop resolved from them (which the
 * preview shows), and what differs from the live edition.
 */
export class WorkingCatalog {
  readonly products = new Map<string, Product>();
  /** refs of documents that differ from the live edition */
  readonly changed = new Set<string>();
  readonly shop: ResolvedShop;
  #sales: Map<string, readonly DaySales[]>;
  #later: { moment: number; version: number; shop: ResolvedShop } | undefined;
  readonly #hashes = new Map<string, string>();
  /** products that no change touched since they were put live, and that were not compared yet */
  readonly #unverified = new Set<string>();

  constructor(
    readonly db: Db,
    readonly stock: StockLevels,
    readonly liveHash: (ref: string) => string | undefined,
    now: number,
  ) {
    this.#sales = readSales(db);
    this.shop = this.#shopAt(now);
  }

  #shopAt(now: number): ResolvedShop {
    const lowest = lowestOf(this.db);
    const shop: ResolvedShop = new ResolvedShop({
      stock: (variantId) => this.stock.get(variantId),
      marks: (product) => this.#marks(product),
      sales: (productId) => this.salesOf(productId),
      lowestBefore: (variantId) => lowest(variantId, shop.now),
      now,
    });
    return shop;
  }

  /**
   * The shop as it will be at a moment to come (seconds since 1970) if nothing is changed until then: a copy, kept while the
   * same moment is asked for and nothing changes. A moment that has passed is now.
   */
  later(moment: number): ResolvedShop {
    const { shop } = this;
    if (moment <= shop.now) return shop;
    let later = this.#later;
    if (later?.moment !== moment || later.version !== shop.version) {
      const copy = this.#shopAt(shop.now);
      copy.copyFrom(shop);
      copy.take({ now: moment });
      this.#later = later = { moment, version: shop.version, shop: copy };
    }
    return later.shop;
  }

  /** What was sold of a product, by day, the last day first; the ledger knows of deleted ones too. */
  salesOf(productId: string): readonly DaySales[] {
    return this.#sales.get(productId) ?? NO_SALES;
  }

  /** Takes what was sold from here on; the products concerned are to be refreshed. */
  takeUpSales(sales: Map<string, readonly DaySales[]>): void {
    this.#sales = sales;
  }

  /** Reads stock and sales of products again, after shoppers moved them. Answers the products. */
  takeUpMoves(productIds: readonly string[]): string[] {
    this.#restock(productIds);
    const sold = readSales(this.db, productIds);
    for (const id of productIds) {
      const days = sold.get(id);
      if (days) this.#sales.set(id, days);
      else this.#sales.delete(id);
    }
    for (const product of readProducts(this.db, productIds)) this.products.set(product.id, product);
    this.shop.take({ refreshed: productIds });
    return [...productIds];
  }

  /**
   * Takes these products up, and reads all else. Those that are known to be as they are live need not be compared; those
   * that were worked out before need not be again.
   */
  load(products: Iterable<Product>, untouched: ReadonlySet<string>, before?: WorkedOut): void {
    this.shop.load(this.#takeUp(products, untouched), before);
    if (before) this.#mendMarks();
  }

  /** Products were worked out with the marks that they had then; what was put live since may have turned them. */
  #mendMarks(): void {
    const { index } = this.shop;
    const marked = new Set(
      index
        .posting(STATUS, CHANGED)
        ?.toArray()
        .map((slot) => index.id(slot)),
    );
    const isMarked = (id: string) => this.changed.has(refOf('product', id));
    this.shop.take({ marked: [...this.products.keys()].filter((id) => isMarked(id) !== marked.has(id)) });
  }

  /** Notes each document before the shop works it out. */
  *#takeUp(products: Iterable<Product>, untouched: ReadonlySet<string>): Generator<ShopDocument> {
    for (const kind of documentKinds)
      if (kind !== 'product')
        for (const document of readDocuments(this.db, kind)) {
          this.#note(kind, document.key, document);
          yield document;
        }
    for (const body of products) {
      const [key, ref] = [body.id, refOf('product', body.id)];
      const document = { kind: 'product' as const, key, body };
      if (untouched.has(key)) {
        this.products.set(key, body);
        this.#hashes.set(ref, this.liveHash(ref)!);
        this.#unverified.add(key);
      } else this.#note('product', key, document);
      yield document;
    }
  }

  /**
   * Compares some of the products that were taken for untouched after all. Answers the refs of those that are not as they
   * are live, or undefined when there is nothing left to compare.
   */
  verifySome(count: number): string[] | undefined {
    if (this.#unverified.size === 0) return undefined;
    const some = [...firstOf(this.#unverified, count)];
    for (const id of some) {
      this.#note('product', id, this.#body('product', id));
      // Worked out now, so that nobody has to wait for the facts of all.
      this.shop.facts(id);
    }
    const wrong = some.filter((id) => this.changed.has(refOf('product', id)));
    this.shop.take({ refreshed: wrong });
    return wrong.map((id) => refOf('product', id));
  }

  /** Refs of what the working shop shows to the seller but is not for shoppers, such as drafts. */
  get withheld(): string[] {
    const products = [...this.products.keys()]
      .map((id) => refOf('product', id))
      .filter((ref) => !this.#hashes.has(ref));
    return [...products, ...[...this.shop.wordingDrafts.keys()].map((key) => refOf('wordingDraft', key))];
  }

  /** Reads again what a change touched, such as product:p_1. Answers the products whose stock changed, which is live at once. */
  refresh(subjects: readonly string[], ready?: ReadyProducts): string[] {
    const touched = new Map<DocumentKind, string[]>();
    for (const subject of subjects) {
      const { kind, key } = splitRef(subject);
      const keys = touched.get(kind);
      if (keys) keys.push(key);
      else touched.set(kind, [key]);
    }
    const productIds = touched.get('product') ?? [];
    const restocked = this.#restock(productIds);
    const unread = ready ? productIds.filter((id) => !ready.has(id)) : productIds;
    const updates: DocumentUpdate[] = [];
    for (const kind of documentKinds) {
      const keys = touched.get(kind);
      if (!keys) continue;
      const made = kind === 'product' && ready;
      const sought = made ? unread : keys;
      const read = sought.length > 0 ? readDocuments(this.db, kind, sought) : [];
      const found = new Map(read.map((document) => [document.key, document]));
      if (made)
        for (const key of keys) {
          const body = made.get(key)?.product;
          if (body) found.set(key, { kind, key, body });
        }
      for (const key of keys) {
        const document = found.get(key);
        if (kind === 'product' && !document) this.products.delete(key);
        this.#note(kind, key, document, made ? made.get(key) : undefined);
        updates.push({ kind, key, body: document?.body });
      }
    }
    this.shop.take({ documents: updates });
    return restocked;
  }

  /** Reads the stock of products again; answers those of which it is other than it was. */
  #restock(productIds: readonly string[]): string[] {
    if (productIds.length === 0) return [];
    const rows = new Map<string, StockRow[]>(productIds.map((id) => [id, []]));
    for (const row of readStock(this.db, productIds)) rows.get(row.productId)!.push(row);
    return productIds.filter((id) => this.stock.replace(id, rows.get(id)!));
  }

  /** Works out beforehand what taking up these products will need, a little at a time. */
  async makeReady(products: ReadonlyMap<string, Product>): Promise<ReadyProducts> {
    const ready = new Map<string, ReadyProduct>();
    for (const [id, product] of products) {
      ready.set(id, readyProduct(product));
      if (ready.size % READY_AT_ONCE === 0) await nextTurn();
    }
    return ready;
  }

  /** Compares documents with the live edition again, after that changed. */
  compare(refs: Iterable<string>): void {
    const products: string[] = [];
    for (const ref of refs) {
      const before = this.changed.has(ref);
      this.#mark(ref);
      if (this.changed.has(ref) !== before && ref.startsWith('product:')) products.push(splitRef(ref).key);
    }
    this.shop.take({ marked: products });
  }

  hash(ref: string): string | undefined {
    return this.#hashes.get(ref);
  }

  /** The document behind a ref; undefined when shoppers are not to see it. */
  document(ref: string): ShopDocument | undefined {
    const { kind, key } = splitRef(ref);
    const document = this.#body(kind, key);
    return document && isForShoppers(document) ? document : undefined;
  }

  #marks(product: ProductDocument): string[] {
    return this.changed.has(refOf('product', product.id)) ? [CHANGED] : [];
  }

  #note(
    kind: DocumentKind,
    key: string,
    document: ShopDocument | undefined,
    known?: { hash: string | undefined },
  ): void {
    const ref = refOf(kind, key);
    if (kind === 'product') this.#unverified.delete(key);
    if (kind === 'product' && document) this.products.set(key, document.body as Product);
    const hash = known ? known.hash : document && isForShoppers(document) ? serialise(document).hash : undefined;
    if (hash !== undefined) this.#hashes.set(ref, hash);
    else this.#hashes.delete(ref);
    this.#mark(ref);
  }

  #mark(ref: string): void {
    if (this.#hashes.get(ref) === this.liveHash(ref)) this.changed.delete(ref);
    else this.changed.add(ref);
  }

  #body(kind: DocumentKind, key: string): ShopDocument | undefined {
    const { shop } = this;
    if (kind === 'menu') return { kind, key, body: shop.menu };
    if (kind === 'settings') return { kind, key, body: shop.settings };
    const maps = {
      product: this.products,
      category: shop.categories,
      collection: shop.collections,
      brand: shop.brands,
      tag: shop.tags,
      specSheet: shop.specSheets,
      page: shop.pages,
      offer: shop.offers,
      embed: shop.embeds,
      feed: shop.feeds,
      redirect: shop.redirects,
      forward: shop.forwards,
      chosenListing: shop.chosen,
      wording: shop.wordings,
      wordingDraft: shop.wordingDrafts,
    };
    const body = maps[kind].get(key);
    return body && ({ kind, key, body } as ShopDocument);
  }
}
