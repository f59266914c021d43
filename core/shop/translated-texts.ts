import type { ProductDocument } from '../model/document';
import type { SearchedTexts } from '../search/listing-query';
import { Synonyms } from '../search/synonyms';
import { TextIndex } from '../search/text-index';
import { fold } from '../shared/fold';
import { plainText } from '../shared/plain-text';
import type { Shop } from './shop';
import { textsOf, wordsBeside } from './words-beside';

/**
 * The texts of a shop in another language, searched by the slots of the main index. They are read when somebody searches, and
 * again, one by one, where the translation of a product or of what it names became another since.
 */
export class TranslatedTexts {
  readonly #index = new TextIndex();
  /** by slot: what was read of it */
  readonly #read: (ProductDocument | undefined)[] = [];
  readonly #titles: string[] = [];
  #beside: readonly unknown[] = [];
  #version = -1;

  constructor(readonly shop: Shop) {}

  /** O(products) once the shop has changed, and the reading of those that are other than they were. */
  upToDate(): SearchedTexts {
    if (this.#version !== this.shop.version) this.#follow();
    return { index: this.#index, title: (slot) => this.#titles[slot] ?? '' };
  }

  #follow(): void {
    const { shop } = this;
    const { index } = shop;
    this.#version = shop.version;
    this.#index.language = shop.language;
    this.#index.synonyms = new Synonyms(shop.settings.synonyms);
    const beside = [...shop.brands.values(), ...shop.tags.values(), ...shop.specSheets.values()];
    const isOther = beside.length !== this.#beside.length || beside.some((each, i) => each !== this.#beside[i]);
    this.#beside = beside;
    const alive = new Set<number>();
    const isFirst = this.#read.length === 0;
    const fresh: number[] = [];
    index.alive.forEach((slot) => {
      alive.add(slot);
      const product = shop.products.get(index.id(slot))!;
      if (product === this.#read[slot] && !isOther) return;
      this.#read[slot] = product;
      this.#titles[slot] = fold(product.title);
      fresh.push(slot);
    });
    const texts = (slot: number) => {
      const product = this.#read[slot];
      return product ? textsOf(product, plainText(product.description), wordsBeside(product, shop)) : [];
    };
    if (isFirst) this.#index.load(this.#read.length, texts);
    else for (const slot of fresh) this.#index.set(slot, texts(slot));
    this.#read.forEach((product, slot) => {
      if (!product || alive.has(slot)) return;
      this.#index.remove(slot);
      this.#read[slot] = undefined;
    });
  }
}
