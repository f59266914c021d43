/** What a shopper wants to buy, kept by the browser for the page on which the goods stand. */
export interface Wanted {
  slug: string;
  variant: string;
  quantity: number;
}

const MOST_PIECES = 999;
const MOST_LINES = 50;

const isWanted = (each: unknown): each is Wanted => {
  const { slug, variant, quantity } = (each ?? {}) as Partial<Wanted>;
  return typeof slug === 'string' && typeof variant === 'string' && Number.isInteger(quantity) && quantity! > 0;
};

/** The basket of one shop on one page; other places where its goods stand are told of each change. */
export class EmbedBasket {
  readonly #key: string;
  readonly #told = new Set<() => void>();

  constructor(readonly origin: string) {
    this.#key = `dispona basket ${origin}`;
    addEventListener('storage', ({ key }) => key === this.#key && this.#tell());
  }

  get lines(): Wanted[] {
    try {
      const lines: unknown = JSON.parse(localStorage.getItem(this.#key) ?? '[]');
      return Array.isArray(lines) ? lines.filter(isWanted).slice(0, MOST_LINES) : [];
    } catch {
      return [];
    }
  }

  add({ slug, variant, quantity }: Wanted): void {
    const { lines } = this;
    const known = lines.find((line) => line.variant === variant);
    if (known) known.quantity = Math.min(MOST_PIECES, known.quantity + quantity);
    else lines.push({ slug, variant, quantity: Math.min(MOST_PIECES, quantity) });
    this.#keep(lines);
  }

  remove(variant: string): void {
    this.#keep(this.lines.filter((line) => line.variant !== variant));
  }

  /** Where the shop takes these over, and asks for all else; `base`: language before its path. */
  checkoutIn(base: string): string {
    const lines = this.lines.map(({ slug, variant, quantity }) => `${slug}:${variant}:${quantity}`);
    return `${this.origin}${base}/basket/take?lines=${encodeURIComponent(lines.join(','))}`;
  }

  onChange(told: () => void): () => void {
    this.#told.add(told);
    return () => this.#told.delete(told);
  }

  #keep(lines: readonly Wanted[]): void {
    try {
      localStorage.setItem(this.#key, JSON.stringify(lines.slice(0, MOST_LINES)));
    } catch {
      // A browser that keeps nothing can still look.
    }
    this.#tell();
  }

  #tell(): void {
    for (const told of this.#told) told();
  }
}
