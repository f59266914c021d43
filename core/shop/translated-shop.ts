import { CategoryTree } from '../groups/category-tree';
import { sayerOf, type WordKey } from '../languages/fixed/fixed-words';
import type { Say } from '../languages/fixed/say';
import { inWording } from '../languages/worded';
import type { AddressedKind, DocumentKind, ProductDocument } from '../model/document';
import type { Brand, Category, Collection, Tag } from '../model/group';
import type { ChosenListing } from '../model/chosen-listing';
import type { Embed } from '../model/embed';
import type { Menu } from '../model/menu';
import type { Offer } from '../model/offer';
import type { Page } from '../model/page';
import type { Settings } from '../model/settings';
import type { SpecSheet } from '../model/spec-sheet';
import { THE_ONE, wordingKey, type WordedKind, type Wording } from '../model/wording';
import type { FieldRegistry } from '../rules/field';
import { Bitset } from '../search/bitset';
import { languageOf } from '../search/language';
import type { SearchedTexts } from '../search/listing-query';
import type { Language } from '../search/text-query';
import { fold } from '../shared/fold';
import { optionKey, optionValueKey } from './facts';
import type { MetOption } from './met-options';
import type { ResolvedShop } from './resolved-shop';
import type { Shop } from './shop';
import { fieldsOf } from './shop-fields';
import { TranslatedMap } from './translated-map';
import { TranslatedTexts } from './translated-texts';

/** Words in place of the shipped ones, by their paths. */
export const ownWordsOf = (wording: Wording | undefined): Record<string, string> =>
  Object.fromEntries(Object.entries(wording?.texts ?? {}).map(([path, { text }]) => [path, text]));

/** A value that is worked out again once the shop has changed. */
class Versioned<T> {
  #kept: { version: number; value: T } | undefined;

  constructor(
    readonly version: () => number,
    readonly make: (before: T | undefined) => T,
  ) {}

  get value(): T {
    const version = this.version();
    if (this.#kept?.version !== version) this.#kept = { version, value: this.make(this.#kept?.value) };
    return this.#kept.value;
  }
}

type Slugs = ReadonlyMap<string, string>;

/**
 * A shop in another language: the same goods in the same places at the same prices, told in other words. Documents are
 * translated as they are asked for. Rules, memberships, prices and stock are those of the main shop, so that they cannot
 * differ by language; the texts that are searched, and the order of titles, are its own.
 */
export class TranslatedShop implements Shop {
  readonly products: ReadonlyMap<string, ProductDocument>;
  readonly categories: ReadonlyMap<string, Category>;
  readonly collections: ReadonlyMap<string, Collection>;
  readonly brands: ReadonlyMap<string, Brand>;
  readonly tags: ReadonlyMap<string, Tag>;
  readonly specSheets: ReadonlyMap<string, SpecSheet>;
  readonly pages: ReadonlyMap<string, Page>;
  readonly offers: ReadonlyMap<string, Offer>;
  readonly embeds: ReadonlyMap<string, Embed>;
  readonly chosen: ReadonlyMap<string, ChosenListing>;
  readonly #menu: TranslatedMap<Menu>;
  readonly #settings: TranslatedMap<Settings>;
  readonly #options: Versioned<ReadonlyMap<string, MetOption>>;
  readonly #tree: Versioned<CategoryTree>;
  readonly #fields: Versioned<FieldRegistry>;
  readonly #slugs: Versioned<Slugs>;
  readonly #fixed: Versioned<{ own: Record<string, string>; say: Say<WordKey> }>;
  readonly #listed: Versioned<Bitset>;
  readonly #titleOrder: Versioned<Uint32Array>;
  readonly #texts: TranslatedTexts;
  readonly #mainOf = new WeakMap<ProductDocument, ProductDocument>();

  constructor(
    readonly main: ResolvedShop,
    readonly locale: string,
    readonly withDrafts: boolean,
  ) {
    const map = <T extends object>(kind: WordedKind, source: ReadonlyMap<string, T>) =>
      new TranslatedMap<T>(
        source,
        (id) => this.#wordings(kind, id),
        (id, document) => this.#told(kind, id, document),
      );
    this.products = new TranslatedMap<ProductDocument>(
      main.products,
      (id, product) => [
        ...this.#wordings('product', id),
        ...product.options.flatMap(({ name }) => this.#wordings('option', optionKey(name))),
      ],
      (id, product) => {
        const told = this.#withOptions(this.#told('product', id, product));
        this.#mainOf.set(told, product);
        return told;
      },
    );
    this.categories = map('category', main.categories);
    this.collections = map('collection', main.collections);
    this.brands = map('brand', main.brands);
    this.tags = map('tag', main.tags);
    this.specSheets = map('specSheet', main.specSheets);
    this.pages = map('page', main.pages);
    this.offers = map('offer', main.offers);
    this.embeds = map('embed', main.embeds);
    this.chosen = map('chosenListing', main.chosen);
    this.#menu = map('menu', { get: () => main.menu } as unknown as ReadonlyMap<string, Menu>);
    this.#settings = new TranslatedMap<Settings>(
      { get: () => main.settings } as unknown as ReadonlyMap<string, Settings>,
      (id) => this.#wordings('settings', id),
      (id, settings) => ({
        ...this.#told('settings', id, settings),
        locale,
        synonyms: settings.languages.others.find((each) => each.locale === locale)?.synonyms ?? [],
      }),
    );
    const versioned = <T>(make: (before: T | undefined) => T) => new Versioned<T>(() => main.version, make);
    this.#options = versioned<ReadonlyMap<string, MetOption>>(
      () => new Map([...main.options].map(([key, option]) => [key, this.#option(key, option)])),
    );
    this.#tree = versioned(() => new CategoryTree(this.categories.values()));
    this.#fields = versioned(() => fieldsOf(this));
    this.#slugs = versioned(() => this.#findSlugs());
    this.#fixed = versioned(() => {
      const own = Object.assign({}, ...this.#wordings('words', THE_ONE).map(ownWordsOf).reverse()) as Record<
        string,
        string
      >;
      return { own, say: sayerOf(locale, own) };
    });
    this.#listed = versioned(() => this.#findListed());
    this.#texts = new TranslatedTexts(this);
    this.#titleOrder = versioned(() => this.#orderTitles());
  }

  get version(): number {
    return this.main.version;
  }
  get now(): number {
    return this.main.now;
  }
  get inputs() {
    return this.main.inputs;
  }
  get index() {
    return this.main.index;
  }
  get bundles() {
    return this.main.bundles;
  }
  get memberships() {
    return this.main.memberships;
  }
  get offersNow() {
    return this.main.offersNow;
  }
  get feeds() {
    return this.main.feeds;
  }
  get redirects() {
    return this.main.redirects;
  }
  get forwards() {
    return this.main.forwards;
  }
  get wordings() {
    return this.main.wordings;
  }
  get wordingDrafts() {
    return this.main.wordingDrafts;
  }

  get menu(): Menu {
    return this.#menu.get(THE_ONE)!;
  }
  get settings(): Settings {
    return this.#settings.get(THE_ONE)!;
  }
  get options(): ReadonlyMap<string, MetOption> {
    return this.#options.value;
  }
  get tree(): CategoryTree {
    return this.#tree.value;
  }
  get fields(): FieldRegistry {
    return this.#fields.value;
  }
  get language(): Language {
    return languageOf(this.locale);
  }
  get say(): Say<WordKey> {
    return this.#fixed.value.say;
  }
  get ownWords(): Readonly<Record<string, string>> {
    return this.#fixed.value.own;
  }
  get texts(): SearchedTexts {
    return this.#texts.upToDate();
  }
  get titleOrder(): ArrayLike<number> {
    return this.#titleOrder.value;
  }
  get listed(): Bitset {
    return this.#listed.value;
  }

  facts(id: string) {
    return this.main.facts(id);
  }
  factsBefore(id: string) {
    return this.main.factsBefore(id);
  }
  factsAt(product: ProductDocument, now: number) {
    return this.main.factsAt(product, now);
  }
  offersOf(id: string) {
    return this.main.offersOf(id);
  }
  offerTerms(product: ProductDocument) {
    return this.main.offerTerms(product);
  }
  offered(product: ProductDocument, variant: ProductDocument['variants'][number]) {
    return this.main.offered(product, variant);
  }
  price(product: ProductDocument, variant: ProductDocument['variants'][number]) {
    return this.main.price(product, variant);
  }
  stock(variantId: string) {
    return this.main.stock(variantId);
  }
  inLanguage(locale: string | undefined, withDrafts = false): Shop {
    return this.main.inLanguage(locale, withDrafts);
  }

  inMain(product: ProductDocument): ProductDocument {
    return this.#mainOf.get(product) ?? product;
  }

  /** Where the seller wants that: what has no name in this language is not there. */
  isUntold(kind: AddressedKind, id: string): boolean {
    const { others } = this.main.settings.languages;
    if (others.find(({ locale }) => locale === this.locale)?.untranslated !== 'hide') return false;
    const name = kind === 'product' || kind === 'page' ? 'title' : 'name';
    // Brands are called the same everywhere.
    return kind !== 'brand' && !this.#wordings(kind, id).some(({ texts }) => texts[name] !== undefined);
  }

  /** A translated address leads to its thing; that of the main language only where there is no translated one. */
  bySlug(kind: DocumentKind, slug: string): string | undefined {
    const own = this.#slugs.value.get(`${kind} ${slug}`);
    if (own !== undefined) return own;
    const id = this.main.bySlug(kind, slug);
    const hasOwn = id !== undefined && this.#wordings(kind as WordedKind, id).some(({ texts }) => texts.slug);
    return hasOwn ? undefined : id;
  }

  /** The wordings of a thing in this language, drafts first where they are wanted. */
  #wordings(kind: WordedKind, id: string): Wording[] {
    const key = wordingKey({ locale: this.locale, kind, id });
    const { wordings, wordingDrafts } = this.main;
    return [this.withDrafts ? wordingDrafts.get(key) : undefined, wordings.get(key)].filter(
      (each) => each !== undefined,
    );
  }

  #told<T>(kind: WordedKind, id: string, document: T): T {
    const wordings = this.#wordings(kind, id);
    if (wordings.length === 0) return document;
    const texts = Object.assign({}, ...wordings.map((each) => each.texts).reverse()) as Wording['texts'];
    return inWording(kind, document, { texts });
  }

  #option(key: string, { label, values, swatches }: MetOption): MetOption {
    const told = this.#told('option', key, { name: label, values: Object.fromEntries(values) });
    return { label: told.name, values: new Map(Object.entries(told.values)), swatches };
  }

  #withOptions(product: ProductDocument): ProductDocument {
    if (product.options.length === 0) return product;
    const options = product.options.map((option) => {
      const key = optionKey(option.name);
      if (this.#wordings('option', key).length === 0) return option;
      const named = option.values.map((value) => [optionValueKey(value.name), value.name] as const);
      const told = this.#told('option', key, { name: option.name, values: Object.fromEntries(named) });
      return {
        ...option,
        name: told.name,
        values: option.values.map((value, i) => ({ ...value, name: told.values[named[i]![0]]! })),
      };
    });
    return options.some((option, i) => option !== product.options[i]) ? { ...product, options } : product;
  }

  #findSlugs(): Slugs {
    const slugs = new Map<string, string>();
    const { wordings, wordingDrafts } = this.main;
    for (const { locale, kind, id, texts } of [
      ...wordings.values(),
      ...(this.withDrafts ? wordingDrafts.values() : []),
    ])
      if (locale === this.locale && texts.slug) slugs.set(`${kind} ${texts.slug.text}`, id);
    return slugs;
  }

  #findListed(): Bitset {
    const { listed, index } = this.main;
    const told = new Bitset(listed.size);
    listed.forEach((slot) => {
      if (!this.isUntold('product', index.id(slot))) told.add(slot);
    });
    return told;
  }

  #orderTitles(): Uint32Array {
    const slots = this.index.alive.toArray();
    const titles = new Map(slots.map((slot) => [slot, fold(this.products.get(this.index.id(slot))!.title)]));
    const order = new Intl.Collator(this.locale, { numeric: true });
    slots.sort(
      (a, b) => order.compare(titles.get(a)!, titles.get(b)!) || (this.index.id(a) < this.index.id(b) ? -1 : 1),
    );
    return Uint32Array.from(slots);
  }
}
