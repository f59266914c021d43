import { createHash } from 'node:crypto';
import type { Product } from '../../core/model/product';
import { type DocumentKind } from '../../core/model/document';
import { documentText } from '../../core/publishing/document-text';
import type { ResolvedShop } from '../../core/shop/resolved-shop';
import type { WorkedOut } from '../../core/shop/shop-inputs';
import type { Db } from '../database/connection';
import { readDocuments } from '../store/documents';
import {
  countProducts,
  readProducts,
  readStoredProducts,
  storedProductsAhead,
  type StoredProduct,
} from '../store/products';
import { readIndexFile, writeIndexFile } from './index-file';

/** From so many products on, working them out at every start takes so long that the index is worth keeping. */
const CACHED_FROM = 5_000;

/** Prints that are read before requests are answered again. */
const READ_AT_ONCE = 200;

/** The file is written again when more than this part of the products differ from it. */
const OUTDATED_PART = 1 / 16;

/** What products are worked out from, beside themselves and the clock. */
const basisKinds: readonly DocumentKind[] = ['category', 'brand', 'tag', 'specSheet', 'offer'];
/** Where there are offers, prices follow from these too. */
const offerKinds: readonly DocumentKind[] = ['collection', 'settings'];

/**
 * Keeps the index of the working shop in a file beside the database, so that the next start need not make it. A product is
 * taken from the file only where all that is stored of it is as it was then, told by its fingerprint, whoever changed it and how.
 */
export class IndexCache {
  /** off for shops that start quickly anyway, and once the file cannot be written */
  #isOn: boolean;
  /** by id, fingerprints of the products that the index was made from */
  readonly #fingerprints = new Map<string, string>();
  /** products that changed since their fingerprint was read */
  readonly #unread = new Set<string>();
  /** how many products are not in the file as they are */
  #outdated = Infinity;

  constructor(
    readonly db: Db,
    readonly folder: string,
    cachedFrom = CACHED_FROM,
  ) {
    this.#isOn = countProducts(db) >= cachedFrom;
  }

  /** Begins to read all products, in a thread where there are many, and notes their fingerprints as they come. */
  products(): Iterable<Product> {
    return this.#isOn ? this.#noted(storedProductsAhead(this.db)) : readProducts(this.db);
  }

  *#noted(stored: Iterable<StoredProduct>): Generator<Product> {
    for (const { product, fingerprint } of stored) {
      this.#fingerprints.set(product.id, fingerprint);
      yield product;
    }
  }

  /** What is in the file, if it can stand for an earlier moment. Whether a product still holds can be asked once it was read. */
  before(moment: number): WorkedOut | undefined {
    const kept = this.#isOn ? readIndexFile(this.folder) : undefined;
    if (!kept || kept.now > moment || kept.basis !== this.#basis()) return undefined;
    this.#outdated = 0;
    const { index, now, fingerprints } = kept;
    const holds = (id: string) => {
      const isHeld = fingerprints.get(id) === this.#fingerprints.get(id);
      if (!isHeld) this.#outdated++;
      return isHeld;
    };
    return { index, now, holds };
  }

  /** Takes note of what a change touched, such as product:p_1. */
  note(subjects: readonly string[]): void {
    if (!this.#isOn) return;
    for (const subject of subjects) {
      const kind = subject.slice(0, subject.indexOf(':')) as DocumentKind;
      if (basisKinds.includes(kind) || offerKinds.includes(kind)) this.#outdated = Infinity;
      if (kind !== 'product') continue;
      const id = subject.slice(kind.length + 1);
      this.#fingerprints.delete(id);
      this.#unread.add(id);
      this.#outdated++;
    }
  }

  /**
   * Does some of the work that is left, and answers true when there is none. To be called only while the shop has taken up
   * all that is stored.
   */
  tend(shop: ResolvedShop): boolean {
    if (!this.#isOn) return true;
    if (this.#unread.size > 0) {
      this.#readFingerprints([...this.#unread].slice(0, READ_AT_ONCE));
      return false;
    }
    if (this.#outdated > shop.products.size * OUTDATED_PART) this.#write(shop);
    return true;
  }

  /** Writes what changed since the file was written; as `tend`, only while the shop has taken up all that is stored. */
  keep(shop: ResolvedShop): void {
    if (!this.#isOn || this.#outdated === 0) return;
    this.#readFingerprints([...this.#unread]);
    this.#write(shop);
  }

  #readFingerprints(ids: readonly string[]): void {
    for (const id of ids) this.#unread.delete(id);
    for (const { product, fingerprint } of readStoredProducts(this.db, ids))
      this.#fingerprints.set(product.id, fingerprint);
  }

  #write(shop: ResolvedShop): void {
    const kept = { basis: this.#basis(), fingerprints: this.#fingerprints, now: shop.now, index: shop.index.state() };
    try {
      writeIndexFile(this.folder, kept);
      this.#outdated = 0;
    } catch {
      // A full disk, say: the next start takes longer, and that is all.
      this.#isOn = false;
    }
  }

  #basis(): string {
    const hash = createHash('sha1');
    const hasOffers = readDocuments(this.db, 'offer').length > 0;
    for (const kind of hasOffers ? [...basisKinds, ...offerKinds] : basisKinds)
      for (const document of readDocuments(this.db, kind)) hash.update(`${kind} ${documentText(document)}`);
    return hash.digest('base64');
  }
}
