import { nextMoment } from '../products/status';
import type { ProductDocument } from '../model/document';
import { speaksOfTime } from './bundle';
import { nextSaleEdge, type DaySales } from './facts';

/** A bundle whose rule speaks of days is looked at again so often, in seconds. */
const LOOKED_AT_AGAIN = 3_600;

const earliest = (a: number | undefined, b: number | undefined) =>
  a === undefined || (b !== undefined && b < a) ? b : a;

/** When products change by themselves, seconds since 1970: a sale begins or ends, or days on the shop, or a span of sales. */
export class Moments {
  readonly #next = new Map<string, number>();
  #earliest = Infinity;

  /** Notes the next moment of a product after `now`. */
  note(product: ProductDocument, sales: readonly DaySales[], now: number): void {
    const { id, saleFrom, saleUntil, liveFrom, liveUntil } = product;
    const at = speaksOfTime(product)
      ? now + LOOKED_AT_AGAIN
      : earliest(nextMoment([saleFrom, saleUntil, liveFrom, liveUntil], now), nextSaleEdge(sales, now));
    if (at === undefined) {
      this.#next.delete(id);
      return;
    }
    this.#next.set(id, at);
    this.#earliest = Math.min(this.#earliest, at);
  }

  forget(id: string): void {
    this.#next.delete(id);
  }

  /** Calls back with the products whose moment has come, to note their next ones. Costs nothing while there are none. */
  pass(now: number, turn: (productIds: string[]) => void): void {
    if (now < this.#earliest) return;
    turn([...this.#next].filter(([, at]) => at <= now).map(([id]) => id));
    this.#earliest = Infinity;
    for (const at of this.#next.values()) this.#earliest = Math.min(this.#earliest, at);
  }

  copyFrom(other: Moments): void {
    this.#next.clear();
    for (const [id, at] of other.#next) this.#next.set(id, at);
    this.#earliest = other.#earliest;
  }
}
