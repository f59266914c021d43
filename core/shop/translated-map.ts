/**
 * A map of documents, each in another language as it is asked for. What was made of a document is kept as long as it is made
 * from the same document in the same words, which are told apart by being the same objects.
 */
export class TranslatedMap<T extends object> implements ReadonlyMap<string, T> {
  readonly #made = new WeakMap<T, { words: readonly unknown[]; made: T }>();

  /** `wordsOf`: all that bears on the translation of a document, as objects. `make` makes it from them. */
  constructor(
    readonly source: ReadonlyMap<string, T>,
    readonly wordsOf: (id: string, document: T) => readonly unknown[],
    readonly make: (id: string, document: T) => T,
  ) {}

  get size(): number {
    return this.source.size;
  }

  get(id: string): T | undefined {
    const document = this.source.get(id);
    return document && this.#translated(id, document);
  }

  has(id: string): boolean {
    return this.source.has(id);
  }

  keys(): MapIterator<string> {
    return this.source.keys();
  }

  *#entries(): Generator<[string, T], undefined> {
    for (const [id, document] of this.source) yield [id, this.#translated(id, document)];
  }

  entries(): MapIterator<[string, T]> {
    return this.#entries() as MapIterator<[string, T]>;
  }

  *#values(): Generator<T, undefined> {
    for (const [, document] of this.#entries()) yield document;
  }

  values(): MapIterator<T> {
    return this.#values() as MapIterator<T>;
  }

  [Symbol.iterator](): MapIterator<[string, T]> {
    return this.entries();
  }

  forEach(visit: (document: T, id: string, map: ReadonlyMap<string, T>) => void): void {
    for (const [id, document] of this) visit(document, id, this);
  }

  #translated(id: string, document: T): T {
    const words = this.wordsOf(id, document);
    const known = this.#made.get(document);
    if (known && known.words.length === words.length && known.words.every((each, i) => each === words[i]))
      return known.made;
    const made = this.make(id, document);
    this.#made.set(document, { words, made });
    return made;
  }
}
