/**
 * Keeps short writes and long work apart. Short writes may be under way together; long work has the database for itself,
 * and writes that come meanwhile wait for its end, without holding up what only reads. First come, first served.
 */
export class WriteLock {
  #shared = 0;
  #isExclusive = false;
  readonly #waiting: { isExclusive: boolean; start: () => void }[] = [];

  /** Nobody writes, or waits to. */
  get isIdle(): boolean {
    return !this.#isExclusive && this.#shared === 0 && this.#waiting.length === 0;
  }

  /** Runs a short write as soon as no long work is under way or waits. */
  async shared<T>(run: () => T | Promise<T>): Promise<T> {
    if (this.#isExclusive || this.#waiting.length > 0) await this.#queue(false);
    else this.#shared++;
    try {
      return await run();
    } finally {
      this.#shared--;
      this.#next();
    }
  }

  /** Runs long work once nothing else writes. */
  async exclusive<T>(run: () => Promise<T>): Promise<T> {
    if (this.#isExclusive || this.#shared > 0 || this.#waiting.length > 0) await this.#queue(true);
    else this.#isExclusive = true;
    try {
      return await run();
    } finally {
      this.#isExclusive = false;
      this.#next();
    }
  }

  #queue(isExclusive: boolean): Promise<void> {
    return new Promise((start) => this.#waiting.push({ isExclusive, start }));
  }

  #next(): void {
    for (;;) {
      const first = this.#waiting[0];
      if (!first || this.#isExclusive || (first.isExclusive && this.#shared > 0)) return;
      this.#waiting.shift();
      if (first.isExclusive) this.#isExclusive = true;
      else this.#shared++;
      first.start();
    }
  }
}
