import type { ReadyProduct } from '../store/ready-products';

/** Products that a thread reads and hands over a few at a time, while those that came are already taken up. */
export class MessageQueue {
  readonly #products = new Map<string, ReadyProduct>();
  /** subjects that were looked for, found or not */
  readonly #met = new Set<string>();
  #isOver = false;
  #wake: (() => void) | undefined;

  get(id: string): ReadyProduct | undefined {
    return this.#products.get(id);
  }

  has(id: string): boolean {
    return this.#products.has(id);
  }

  /** What the thread looked for, and what it found of it. */
  take(subjects: readonly string[], products: readonly ReadyProduct[]): void {
    for (const ready of products) this.#products.set(ready.product.id, ready);
    for (const subject of subjects) this.#met.add(subject);
    this.#wake?.();
  }

  /** Nothing more comes. */
  end(): void {
    this.#isOver = true;
    this.#wake?.();
  }

  /** Waits until all of these came, or will not come any more. */
  async until(subjects: readonly string[]): Promise<void> {
    while (!this.#isOver && !subjects.every((subject) => this.#met.has(subject)))
      await new Promise<void>((wake) => (this.#wake = wake));
  }
}
