const WINDOW_MS = 15 * 60_000;

/** Wrong passwords in a quarter of an hour: from one address, from one address for one account, and for one account in all. */
const MOST = { address: 30, pair: 8, account: 60 };

/** Most keys that are remembered; beyond it the oldest are forgotten. */
const MOST_KEPT = 20_000;

/**
 * Counts wrong passwords, and says who has to wait. An account that is attacked from everywhere stays open to addresses from
 * which its owner has signed in before, so that nobody can lock an owner out.
 */
export class Attempts {
  readonly #failures = new Map<string, number[]>();
  readonly #known = new Set<string>();

  /** Must whoever asks from this address wait before another try? `now`: ms since 1970. */
  mustWait(address: string, account: string, now: number): boolean {
    if (this.#count(`a ${address}`, now) >= MOST.address) return true;
    if (this.#count(`p ${address} ${account}`, now) >= MOST.pair) return true;
    return this.#count(`c ${account}`, now) >= MOST.account && !this.#known.has(`${address} ${account}`);
  }

  failed(address: string, account: string, now: number): void {
    for (const key of [`a ${address}`, `p ${address} ${account}`, `c ${account}`]) {
      const recent = this.#recent(key, now);
      this.#failures.delete(key);
      this.#failures.set(key, [...recent, now].slice(-MOST.account));
    }
    for (const key of this.#failures.keys()) {
      if (this.#failures.size <= MOST_KEPT) break;
      this.#failures.delete(key);
    }
  }

  succeeded(address: string, account: string): void {
    this.#failures.delete(`p ${address} ${account}`);
    if (this.#known.size < MOST_KEPT) this.#known.add(`${address} ${account}`);
  }

  #recent(key: string, now: number): number[] {
    return (this.#failures.get(key) ?? []).filter((at) => at > now - WINDOW_MS && at <= now);
  }

  #count(key: string, now: number): number {
    return this.#recent(key, now).length;
  }
}
