import type { ShopDocument } from '../../core/model/document';
import type { DaySales } from '../../core/shop/facts';
import { ResolvedShop } from '../../core/shop/resolved-shop';
import type { Db } from '../database/connection';
import {
  latestEdition,
  readLatest,
  readLatestBody,
  readLatestRefs,
  type DocumentKey,
  type DocumentRef,
} from '../store/editions';
import { lowestOf, putAsked } from '../store/price-spans';
import type { StockLevels } from './stock-levels';
import { refOf, splitRef } from './working';

/** What shoppers see: the latest edition, resolved with live stock. */
export class LiveShop {
  readonly shop: ResolvedShop;
  readonly hashes = new Map<string, string>();
  /** products of which offers made the prices, or let go of them, since that was noted last */
  readonly turned = new Set<string>();
  edition = 0;

  constructor(
    readonly db: Db,
    stock: StockLevels,
    sales: (productId: string) => readonly DaySales[],
    now: number,
  ) {
    const lowest = lowestOf(db);
    this.shop = new ResolvedShop({
      stock: (variantId) => stock.get(variantId),
      sales,
      offered: (productId) => void this.turned.add(productId),
      lowestBefore: (variantId) => lowest(variantId, this.shop.now),
      now,
    });
    this.edition = latestEdition(db);
    this.#note(readLatestRefs(db), []);
  }

  /** Notes what shoppers are asked under offers since they turned, so that it is known later what a price was. */
  noteAsked(): void {
    if (this.turned.size === 0) return;
    const { shop } = this;
    const asked = [...this.turned].flatMap((id) => {
      const product = shop.products.get(id);
      const isOffered = shop.offersOf(id).length > 0;
      return (product?.variants ?? []).map((variant) => ({
        variantId: variant.id,
        price: isOffered ? shop.price(product!, variant).price : null,
      }));
    });
    putAsked(this.db, shop.now, asked);
    this.turned.clear();
  }

  /** Reads all documents of the edition. */
  load(): void {
    this.shop.load(readLatest(this.db));
  }

  /** Begins again as a copy of the working shop, and takes over what differs from it: much quicker while little does. */
  copyFrom(working: ResolvedShop, different: Iterable<string>): void {
    this.shop.copyFrom(working);
    this.readAgain(different);
  }

  /** Puts what the edition holds under these refs into the shop; what it does not hold goes. */
  readAgain(refs: Iterable<string>): void {
    const updates = Array.from(refs, (ref) => {
      const key = splitRef(ref);
      return { ...key, body: readLatestBody(this.db, key) };
    });
    this.shop.take({ documents: updates });
  }

  /** Notes an edition that was just written, which differs from the one before by these. Answers their refs. */
  note(edition: number, put: readonly DocumentRef[], gone: readonly DocumentKey[]): string[] {
    this.edition = edition;
    return this.#note(put, gone);
  }

  /** Shows documents in place of those of the same key, and no longer those that are gone. */
  show(put: readonly ShopDocument[], gone: readonly DocumentKey[]): void {
    this.shop.take({ documents: [...put, ...gone.map(({ kind, key }) => ({ kind, key, body: undefined }))] });
  }

  #note(put: readonly DocumentRef[], gone: readonly DocumentKey[]): string[] {
    for (const { kind, key, hash } of put) this.hashes.set(refOf(kind, key), hash);
    for (const { kind, key } of gone) this.hashes.delete(refOf(kind, key));
    return [...put, ...gone].map(({ kind, key }) => refOf(kind, key));
  }
}
