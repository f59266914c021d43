import type { DocumentBodies } from '../../core/editions/document';
import { ResolvedShop } from '../../core/placement/resolved-shop';
import type { Db } from '../database/connection';
import { editionRefs, latestEdition, readDocument, readEdition } from '../database/editions';
import { refOf, splitRef, type StockMap } from './working';

/** What shoppers see: the latest edition, resolved with live stock. */
export class LiveShop {
  readonly shop: ResolvedShop;
  readonly hashes = new Map<string, string>();
  edition = 0;

  constructor(
    readonly db: Db,
    stock: StockMap,
  ) {
    this.shop = new ResolvedShop({ stock: (variantId) => stock.get(variantId) ?? null });
  }

  load(): void {
    this.edition = latestEdition(this.db);
    const documents = readEdition(this.db, this.edition);
    for (const { kind, key, hash } of documents) this.hashes.set(refOf(kind, key), hash);
    this.shop.load(documents);
  }

  /**
   * Moves on to an edition that was just written. `bodies` may hold documents by hash, to spare reading them.
   * Answers the refs that changed.
   */
  moveTo(edition: number, bodies: ReadonlyMap<string, unknown> = new Map()): string[] {
    const next = new Map(editionRefs(this.db, edition).map(({ kind, key, hash }) => [refOf(kind, key), hash]));
    const changed: string[] = [];
    for (const ref of this.hashes.keys()) if (!next.has(ref)) changed.push(ref);
    for (const [ref, hash] of next) if (this.hashes.get(ref) !== hash) changed.push(ref);
    this.shop.applyAll(
      changed.map((ref) => {
        const hash = next.get(ref);
        const body = hash === undefined ? undefined : (bodies.get(hash) ?? readDocument(this.db, hash));
        return { ...splitRef(ref), body: body as DocumentBodies['product'] | undefined };
      }),
    );
    for (const ref of changed) {
      const hash = next.get(ref);
      if (hash === undefined) this.hashes.delete(ref);
      else this.hashes.set(ref, hash);
    }
    this.edition = edition;
    return changed;
  }
}
