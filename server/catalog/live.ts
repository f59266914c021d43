import { documentBody } from '../../core/editions/document';
import { ResolvedShop } from '../../core/placement/resolved-shop';
import type { Db } from '../database/connection';
import { latestEdition, readLatest, type DocumentKey, type StoredDocument } from '../database/editions';
import { refOf, type StockMap } from './working';

/** What shoppers see: the latest edition, resolved with live stock. */
export class LiveShop {
  readonly shop: ResolvedShop;
  readonly hashes = new Map<string, string>();
  edition = 0;

  constructor(
    readonly db: Db,
    stock: StockMap,
    now: number,
  ) {
    this.shop = new ResolvedShop({ stock: (variantId) => stock.get(variantId) ?? null, now });
  }

  load(): void {
    this.edition = latestEdition(this.db);
    const documents = readLatest(this.db);
    for (const { kind, key, hash } of documents) this.hashes.set(refOf(kind, key), hash);
    this.shop.load(documents);
  }

  /** Moves on to an edition that was just written, which differs from the one before by these. Answers their refs. */
  moveTo(edition: number, put: readonly StoredDocument[], gone: readonly DocumentKey[]): string[] {
    for (const { kind, key, hash } of put) this.hashes.set(refOf(kind, key), hash);
    for (const { kind, key } of gone) this.hashes.delete(refOf(kind, key));
    this.shop.applyAll([
      ...put.map(({ kind, key, body }) => ({ kind, key, body: documentBody(kind, body) })),
      ...gone.map(({ kind, key }) => ({ kind, key, body: undefined })),
    ]);
    this.edition = edition;
    return [...put, ...gone].map(({ kind, key }) => refOf(kind, key));
  }
}
