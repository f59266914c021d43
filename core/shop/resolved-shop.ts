import { hasPlacingTurned } from './placing-turns';
import { hourOf, secondsOf } from '../shared/moment';
import { CategoryTree } from '../groups/category-tree';
import type { Brand, Category, Collection, Tag } from '../model/group';
import type { SpecSheet } from '../model/spec-sheet';
import { nextMoment } from '../products/status';
import type { AddressedKind, DocumentKind, ProductDocument, Redirect, ShopDocument } from '../model/document';
import { Bitset } from '../search/bitset';
import type { FinderEntry, FinderSource } from '../search/entry';
import { FinderIndex } from '../search/finder-index';
import { languageOf } from '../search/language';
import { Synonyms } from '../search/synonyms';
import type { Language } from '../search/text-query';
import type { ProductFacts } from '../rules/facts';
import type { FieldRegistry } from '../rules/field';
import { mixSort } from './arrangement';
import { Bundles, speaksOfTime } from './bundle';
import { Memberships } from './memberships';
import { Moments } from './scheduled-changes';
import type { MetOption } from './met-options';
import { entryOf, finderShape, haveSameTexts, LISTED, nextSaleEdge, ON_SALE, renumbered, STATUS } from './facts';
import type { ChosenListing } from '../model/chosen-listing';
import type { Embed } from '../model/embed';
import type { Feed } from '../model/feed';
import type { Forward } from '../model/forward';
import type { Offer } from '../model/offer';
import { THE_ONE, wordingKey, type Wording } from '../model/wording';
import { sayerOf, type WordKey } from '../languages/fixed/fixed-words';
import type { Say } from '../languages/fixed/say';
import type { SearchedTexts } from '../search/listing-query';
import { cachedByVersion } from './cached-by-version';
import type { Shop } from './shop';
import { ownWordsOf, TranslatedShop } from './translated-shop';
import type { Page } from '../model/page';
import type { OfferedPrice, OfferTerms } from '../pricing/offered-price';
import type { EffectivePrice } from '../pricing/price';
import { taxMoments } from '../pricing/tax';
import { canonicalJson } from '../shared/canonical-json';
import type { Settings } from '../model/settings';
import type { Menu } from '../model/menu';
import { ShopDocuments } from './shop-documents';
import { ShopFacts } from './shop-facts';
import { fieldsOf } from './shop-fields';
import type { DocumentUpdate, ResolvedShopInputs, ShopNews, WorkedOut } from './shop-inputs';
import { ShopOffers, type Running } from './shop-offers';
import { wordsBeside } from './words-beside';

/** From this many changed products on, building the index afresh is considered. */
const REBUILD_FROM = 1_000;

const isBetween = (moment: string, after: number, until: number) =>
  secondsOf(moment) > after && secondsOf(moment) <= until;

/** All of the settings that prices and margins are worked out from. */
const priceBasis = ({ taxRate, reducedTaxRate, taxIncluded, tax, offers }: Settings) =>
  canonicalJson({ taxRate, reducedTaxRate, taxIncluded, tax, offers });

/** Columns that hold numbers of `#numberFor` begin with this. */
const MIX = 'mix.';

/**
 * A shop made from documents, live stock and an instant: the live shop from an edition, the preview from the working
 * copy, by the same code. Kept fresh document by document. Views of it (listing, product, page) are in the files beside.
 */
export class ResolvedShop {
  readonly #documents = new ShopDocuments();
  readonly products: ReadonlyMap<string, ProductDocument> = this.#documents.products;
  readonly categories: ReadonlyMap<string, Category> = this.#documents.categories;
  readonly collections: ReadonlyMap<string, Collection> = this.#documents.collections;
  readonly brands: ReadonlyMap<string, Brand> = this.#documents.brands;
  readonly tags: ReadonlyMap<string, Tag> = this.#documents.tags;
  readonly specSheets: ReadonlyMap<string, SpecSheet> = this.#documents.specSheets;
  readonly pages: ReadonlyMap<string, Page> = this.#documents.pages;
  readonly offers: ReadonlyMap<string, Offer> = this.#documents.offers;
  readonly embeds: ReadonlyMap<string, Embed> = this.#documents.embeds;
  readonly feeds: ReadonlyMap<string, Feed> = this.#documents.feeds;
  /** by their keys */
  readonly redirects: ReadonlyMap<string, Redirect> = this.#documents.redirects;
  /** by their paths */
  readonly forwards: ReadonlyMap<string, Forward> = this.#documents.forwards;
  /** listings that were chosen for search engines */
  readonly chosen: ReadonlyMap<string, ChosenListing> = this.#documents.chosen;
  readonly wordings: ReadonlyMap<string, Wording> = this.#documents.wordings;
  readonly wordingDrafts: ReadonlyMap<string, Wording> = this.#documents.wordingDrafts;
  readonly bundles = new Bundles(this);
  readonly memberships = new Memberships(this);
  readonly offersNow = new ShopOffers(this);
  index: FinderIndex;
  /** goes up with every change, so that what was computed from the shop can be kept */
  version = 0;
  /** moment of the day, seconds since 1970, for which prices and statuses were worked out */
  now: number;
  readonly #moments = new Moments();
  readonly #facts = new ShopFacts(this);
  /** a number for each thing by which goods are told apart when they are mixed */
  readonly #numbers = new Map<string, number>();
  readonly #inLanguages = new Map<string, TranslatedShop>();
  readonly #fixed = cachedByVersion((shop: Shop) => {
    const { locale } = shop.settings;
    const own = ownWordsOf(shop.main.wordings.get(wordingKey({ locale, kind: 'words', id: THE_ONE })));
    return { own, say: sayerOf(locale, own) };
  });
  /** what the index reads when somebody asks for it */
  readonly #source: FinderSource = {
    number: (id, column) => {
      if (column.startsWith(MIX)) return this.#numberFor(mixSort(column, this.products.get(id)!));
      const fact = this.fields.get(column)?.read(this.facts(id)!);
      return typeof fact === 'number' ? fact : NaN;
    },
    text: (id, name) => String(this.fields.get(name)?.read(this.facts(id)!) ?? ''),
  };
  #tree: CategoryTree | undefined;
  #fields: FieldRegistry | undefined;
  /** for which options the fields were made, and for which of their keys rules were worked out */
  #optionsVersion = 0;
  #optionKeysVersion = 0;

  constructor(readonly inputs: ResolvedShopInputs) {
    this.now = inputs.now ?? 0;
    this.index = new FinderIndex(finderShape, this.#source);
  }

  get menu(): Menu {
    return this.#documents.menu;
  }

  get settings(): Settings {
    return this.#documents.settings;
  }

  /** The shop in the language that it is written in. */
  get main(): ResolvedShop {
    return this;
  }

  /** The texts by which products are found. */
  get texts(): SearchedTexts {
    return { index: this.index.text, title: (slot) => this.index.title(slot) };
  }

  /** The order of titles: one that the index keeps, or slots. */
  get titleOrder(): string | ArrayLike<number> {
    return 'title';
  }

  /** Says the fixed words of the shop. */
  get say(): Say<WordKey> {
    return this.#fixed(this).say;
  }

  /** Words that the seller put in place of those that are shipped, by their paths. */
  get ownWords(): Readonly<Record<string, string>> {
    return this.#fixed(this).own;
  }

  /** True for what shoppers of this language do not meet because nobody has translated it: never in the main one. */
  isUntold(_kind: AddressedKind, _id: string): boolean {
    return false;
  }

  /** The document of a product in the main language. */
  inMain(product: ProductDocument): ProductDocument {
    return product;
  }

  /**
   * The shop in one of its languages; itself in the main one, or in one that it does not speak. With drafts: also with
   * translations that nobody has looked at yet.
   */
  inLanguage(locale: string | undefined, withDrafts = false): Shop {
    const language = this.settings.languages.others.find((each) => each.locale === locale);
    if (!language) return this;
    const key = `${language.locale} ${withDrafts}`;
    let shop = this.#inLanguages.get(key);
    if (!shop) this.#inLanguages.set(key, (shop = new TranslatedShop(this, language.locale, withDrafts)));
    return shop;
  }

  get language(): Language {
    return languageOf(this.settings.locale);
  }

  get tree(): CategoryTree {
    return (this.#tree ??= new CategoryTree(this.categories.values()));
  }

  get fields(): FieldRegistry {
    const { version } = this.#documents.options;
    if (version !== this.#optionsVersion) this.#fields = undefined;
    this.#optionsVersion = version;
    return (this.#fields ??= fieldsOf(this));
  }

  /** Options met in the catalog by key, with the words and colours of their values. */
  get options(): ReadonlyMap<string, MetOption> {
    return this.#documents.options.all;
  }

  facts(productId: string): ProductFacts | undefined {
    return this.#facts.of(productId);
  }

  /** Facts of a product as they are before offers: what the rules of offers are asked of. */
  factsBefore(productId: string): ProductFacts | undefined {
    return this.#facts.before(productId);
  }

  /** Facts of a product at another moment (seconds since 1970), before offers. */
  factsAt(product: ProductDocument, now: number): ProductFacts {
    return this.#facts.at(product, now);
  }

  /** The catalog offers that take a product in now, by priority. */
  offersOf(productId: string): readonly Offer[] {
    return this.#facts.offersOf(productId);
  }

  /** What bears on the prices that offers make of a product. */
  offerTerms(product: ProductDocument): OfferTerms {
    return this.#facts.terms(product);
  }

  /** The price of a variant under the catalog offers of now, with how it came about; of one that no offer takes in too. */
  offered(product: ProductDocument, variant: ProductDocument['variants'][number]): OfferedPrice {
    return this.#facts.offered(product, variant);
  }

  /** What one piece of a variant costs now. */
  price(product: ProductDocument, variant: ProductDocument['variants'][number]): EffectivePrice {
    return this.#facts.price(product, variant);
  }

  stock(variantId: string): number | null {
    return this.inputs.stock(variantId);
  }

  /** Products that shoppers meet in listings and strips. */
  get listed(): Bitset {
    return this.index.posting(STATUS, LISTED) ?? new Bitset(this.index.alive.size);
  }

  /**
   * Makes `now` (seconds since 1970) the moment of the shop: products whose sale, or whose days on the shop, began or ended
   * are worked out again, and so are collections that open, close, or whose rule speaks of days. Costs nothing while no such
   * moment passes. A clock that was ahead and is put right turns the shop back, at the cost of a look at each product.
   */
  #passTime(now: number): void {
    // What holds is worked out when it is asked for: here it is, before the clock moves on.
    const { until, speaksOfTime } = this.offersNow.running;
    if (now < this.now) return this.#turnBack(now);
    if (now === this.now) return;
    const before = this.now;
    this.now = now;
    const isTaxOther = taxMoments(this.settings).some((at) => at !== null && isBetween(at, before, now));
    const turnsOffers = until <= now || (speaksOfTime && hourOf(before) !== hourOf(now));
    const held = turnsOffers ? this.offersNow.turn() : undefined;
    if (isTaxOther) this.#rebuild();
    this.#moments.pass(now, (ids) => this.#workOutAgain(ids));
    if (held && !isTaxOther) this.#followOffers(held, speaksOfTime && hourOf(before) !== hourOf(now));
    const turned = this.memberships.passTime(now);
    if (turned) this.bundles.noteRules();
    const opened = [...this.collections.values()].some(({ liveFrom, liveUntil }) => {
      const at = nextMoment([liveFrom, liveUntil], before);
      return at !== undefined && at <= now;
    });
    const isAnotherHour = hourOf(before) !== hourOf(now);
    if (turned || opened || isAnotherHour || held || hasPlacingTurned(this, before, now)) this.#settle();
  }

  #turnBack(now: number): void {
    const before = this.now;
    this.now = now;
    const isPassed = (at: number | undefined) => at !== undefined && at <= before;
    const turned = [...this.products.values()].filter(
      (product) =>
        isPassed(nextMoment([product.saleFrom, product.saleUntil, product.liveFrom, product.liveUntil], now)) ||
        isPassed(nextSaleEdge(this.#facts.sales(product.id), now)) ||
        speaksOfTime(product),
    );
    this.memberships.clear();
    this.bundles.noteRules();
    const held = this.offersNow.turn();
    this.#workOutAgain(turned.map(({ id }) => id));
    this.#followOffers(held, true);
    if (taxMoments(this.settings).some((at) => at !== null && isBetween(at, now, before))) this.#rebuild();
    this.#settle();
  }

  bySlug(kind: DocumentKind, slug: string): string | undefined {
    return this.#documents.bySlug(kind, slug);
  }

  /** Takes up what is new: the one way in which a shop changes after it was loaded. */
  take({ documents, refreshed, marked, now }: ShopNews): void {
    if (documents) this.#put(documents);
    if (refreshed) this.#workOutAgain(refreshed);
    if (marked) this.#mark(marked);
    if (now !== undefined) this.#passTime(now);
  }

  /** Starts over with these documents, products last: each is worked out as it comes, unless it was `before`. */
  load(documents: Iterable<ShopDocument>, before?: WorkedOut): void {
    const products = this.#productsOf(documents);
    if (before) this.#takeOver(products, before);
    else this.#rebuild(products);
  }

  /** As if the products that still hold had been worked out at that moment, and time had passed since. */
  #takeOver(products: Iterable<ProductDocument>, { index, now, holds }: WorkedOut): void {
    const until = this.now;
    this.now = now;
    this.#startOver(FinderIndex.of(finderShape, index, this.#source));
    this.offersNow.turn();
    const others: ProductDocument[] = [];
    for (const product of products) {
      const isHeld = holds(product.id) && product.kind !== 'bundle' && this.index.slot(product.id) !== undefined;
      if (isHeld) this.#noteMoment(product);
      else others.push(product);
    }
    if (this.#isLargePart(others.length)) {
      this.now = until;
      return this.#rebuild();
    }
    const ids = this.index.alive.toArray().map((slot) => this.index.id(slot));
    for (const id of ids) if (!this.products.has(id)) this.index.remove(id);
    this.#fields = undefined;
    for (const product of others) if (product.kind !== 'bundle') this.index.put(this.#entry(product));
    this.#finish(others.filter(({ kind }) => kind === 'bundle'));
    this.#passTime(until);
  }

  /** Stores the documents as they come, and answers the products among them. */
  *#productsOf(documents: Iterable<ShopDocument>): Generator<ProductDocument> {
    let isAmongProducts = false;
    for (const document of documents) {
      if (document.kind === 'product') {
        isAmongProducts = true;
        this.#documents.storeProduct(document.body);
        yield document.body;
      } else if (isAmongProducts) throw new Error('What products are worked out from must come before them.');
      else this.#store(document.kind, document.key, document.body);
    }
  }

  /**
   * Starts over as another shop is now, index and all, sharing its documents, which are never changed in place. Where the
   * inputs of the two differ, products must be applied again.
   */
  copyFrom(other: ResolvedShop): void {
    this.#documents.copyFrom(other.#documents);
    this.#moments.copyFrom(other.#moments);
    this.bundles.copyFrom(other.bundles);
    this.#facts.copyFrom(other.#facts);
    this.offersNow.turn();
    this.#numbers.clear();
    for (const [sort, number] of other.#numbers) this.#numbers.set(sort, number);
    this.now = other.now;
    this.#startOver(other.index.copy(this.#source));
    this.offersNow.begin();
    this.version++;
  }

  /**
   * Puts documents in, in place of those of the same key, and takes those without a body out. In which order they come makes
   * no difference: first all that products are worked out from is put in place, then the products that changed or that are
   * concerned are worked out, each once. When that is a large part of them, building the index afresh is quicker.
   */
  #put(changes: readonly DocumentUpdate[]): void {
    const concerned = this.#storeAll(changes.filter(({ kind }) => kind !== 'product'));
    const held = this.#turnsOffers(changes) ? this.offersNow.turn() : undefined;
    const products = new Map(changes.flatMap(({ kind, key, body }) => (kind === 'product' ? [[key, body]] : [])));
    const others = concerned === 'all' ? [] : [...concerned.keys()].filter((id) => !products.has(id));
    if (concerned === 'all' || this.#isLargePart(products.size + others.length)) {
      for (const [id, body] of products) {
        if (body) this.#documents.storeProduct(body as ProductDocument);
        else this.#forgetProduct(id);
      }
      return this.#rebuild();
    }
    const before = new Map([...products.keys()].map((id) => [id, this.products.get(id)]));
    for (const [id, body] of products) {
      if (body) this.#documents.storeProduct(body as ProductDocument);
      else this.#removeProduct(id);
    }
    this.#followOptions();
    for (const [id, body] of products) {
      if (!body) continue;
      const old = before.get(id);
      const sameTexts = !!old && concerned.get(id) !== 'words' && haveSameTexts(old, body as ProductDocument);
      this.#index(body as ProductDocument, { sameTexts });
      if (old?.supplier !== (body as ProductDocument).supplier) this.#fields = undefined;
    }
    for (const id of others) this.#index(this.products.get(id)!, { sameTexts: concerned.get(id) !== 'words' });
    if (held)
      this.#followOffers(
        held,
        changes.some(({ kind }) => kind === 'collection' || kind === 'specSheet'),
      );
    this.#settle();
  }

  /** Works products out again after their stock or status changed. */
  #workOutAgain(productIds: readonly string[]): void {
    const known = productIds.filter((id) => this.products.has(id));
    if (known.length === 0) return;
    if (this.#isLargePart(known.length)) this.#rebuild();
    else for (const id of known) this.#index(this.products.get(id)!, { sameTexts: true });
    this.#settle();
  }

  /** Notes that marks of products turned, and nothing else of them: much quicker than working them out again. */
  #mark(productIds: readonly string[]): void {
    const isLarge = this.#isLargePart(productIds.length);
    if (isLarge) this.memberships.clear();
    for (const id of productIds) {
      const product = this.products.get(id);
      if (!product) continue;
      const offers = this.#facts.knownOffers(id);
      const { status } = this.#facts.workOut(product);
      if (ShopOffers.isSame(offers, this.#facts.knownOffers(id))) this.index.replaceValues(id, STATUS, status);
      else this.#index(product, { sameTexts: true });
      if (!isLarge) this.memberships.refresh(id);
      this.bundles.noteChangeOf(id);
    }
    this.#settle();
  }

  /** Stores documents that are no products. Answers the products that are worked out from them, and whether their words are. */
  #storeAll(changes: readonly DocumentUpdate[]): Map<string, 'facts' | 'words'> | 'all' {
    const concerned = new Map<string, 'facts' | 'words'>();
    if (changes.length === 0) return concerned;
    const { settings } = this;
    const keysOf = (kind: DocumentKind) => changes.flatMap((change) => (change.kind === kind ? [change.key] : []));
    const categories = keysOf('category');
    const branches = () => categories.flatMap((id) => this.tree.branch(id).map((category) => category.id));
    const places = () =>
      categories.map((id) => `${this.categories.has(id)} ${this.categories.get(id)?.parentId}`).join();
    const wasPlaces = places();
    const moved = new Set([...categories, ...(categories.length > 0 ? branches() : [])]);
    const nameOf = (kind: 'brand' | 'tag', id: string) => (kind === 'brand' ? this.brands : this.tags).get(id)?.name;
    const named = (['brand', 'tag'] as const).flatMap((kind) =>
      keysOf(kind).map((id) => ({ kind, id, name: nameOf(kind, id) })),
    );
    for (const { kind, key, body } of changes) this.#store(kind as Exclude<DocumentKind, 'product'>, key, body);
    this.#tree = undefined;
    this.#fields = undefined;
    // Margins depend on tax, and prices under offers on their terms.
    if (settings !== this.settings && priceBasis(settings) !== priceBasis(this.settings)) return 'all';
    if (places() !== wasPlaces) {
      for (const id of branches()) moved.add(id);
      for (const { id, categoryIds } of this.products.values())
        if (categoryIds.some((each) => moved.has(each))) concerned.set(id, 'facts');
    }
    for (const { kind, id, name } of named)
      if (nameOf(kind, id) !== name)
        this.index.posting(kind, id)?.forEach((slot) => concerned.set(this.index.id(slot), 'words'));
    const sheets = new Set(keysOf('specSheet'));
    if (sheets.size > 0) {
      this.#forgetFields();
      for (const { id, specSheetId } of this.products.values())
        if (sheets.has(specSheetId ?? '')) concerned.set(id, 'words');
    }
    const collections = keysOf('collection');
    for (const id of collections) this.memberships.forget(id);
    if (collections.length > 0) this.bundles.noteRules();
    return concerned;
  }

  /** Ends a change: bundles follow their parts. */
  #settle(): void {
    this.bundles.settle((id) => {
      const product = this.products.get(id);
      if (product) this.#index(product, { sameTexts: true });
    });
    this.version++;
  }

  #rebuild(products: Iterable<ProductDocument> = this.products.values()): void {
    this.#startOver(new FinderIndex(finderShape, this.#source));
    this.offersNow.turn();
    // The rules of offers speak of options, which are known once all products are.
    if (this.offers.size > 0) {
      products = [...products];
      this.#fields = undefined;
    }
    const entries: FinderEntry[] = [];
    const bundles: ProductDocument[] = [];
    for (const product of products) {
      if (product.kind === 'bundle') bundles.push(product);
      else entries.push(this.#entry(product));
    }
    this.index.load(entries);
    this.#finish(bundles);
  }

  #startOver(index: FinderIndex): void {
    this.#tree = undefined;
    this.#fields = undefined;
    this.#optionKeysVersion = this.#documents.options.keysVersion;
    this.memberships.clear();
    this.index = index;
  }

  /** Bundles come last: what they cost, and whether there are any, follows from the others. */
  #finish(bundles: readonly ProductDocument[]): void {
    this.#readWords();
    // Which options and suppliers there are is known now.
    this.#fields = undefined;
    this.#optionKeysVersion = this.#documents.options.keysVersion;
    for (const bundle of bundles) this.index.put(this.#entry(bundle));
    this.version++;
  }

  #store(kind: Exclude<DocumentKind, 'product'>, key: string, body: unknown): void {
    this.#documents.store(kind, key, body);
    if (kind === 'settings') this.#readWords();
  }

  /** What the index is to know of words: which mean the same, and the language that they are of. */
  #readWords(): void {
    this.index.text.synonyms = new Synonyms(this.settings.synonyms);
    this.index.text.language = this.language;
  }

  /** A rule that names a field takes in nothing while there is none: with options, fields come and go. */
  #followOptions(): void {
    const { keysVersion } = this.#documents.options;
    if (keysVersion === this.#optionKeysVersion) return;
    this.#optionKeysVersion = keysVersion;
    this.#forgetFields();
  }

  #entry(product: ProductDocument, { sameTexts } = { sameTexts: false }): FinderEntry {
    this.bundles.put(product);
    const facts = this.#facts.workOut(product);
    this.#noteMoment(product);
    return entryOf(facts, product, sameTexts ? undefined : wordsBeside(product, this.#documents));
  }

  /** Notes when a product changes by itself. */
  #noteMoment(product: ProductDocument): void {
    this.#moments.note(product, this.#facts.sales(product.id), this.now);
  }

  /** Can this change which offers hold, or whom they take in, beside the products that are put in themselves? */
  #turnsOffers(changes: readonly DocumentUpdate[]): boolean {
    if (changes.some(({ kind }) => kind === 'offer')) return true;
    if (this.offers.size === 0) return false;
    const isNamed = ({ kind }: DocumentUpdate) => kind === 'collection' || kind === 'specSheet' || kind === 'settings';
    return changes.some(isNamed) || this.#documents.options.keysVersion !== this.#optionKeysVersion;
  }

  /** Prices those products again that other offers take in than `held`; `isOther`: what the rules of offers name is another. */
  #followOffers(held: Running, isOther = false): void {
    const { repriced, unknown } = this.#facts.follow(held, isOther);
    this.#reprice(repriced);
    this.#workOutAgain(unknown);
  }

  /** Takes it up that nothing but the prices of products turned: much quicker than working them out again. */
  #reprice(repriced: readonly ProductFacts[]): void {
    if (repriced.length === 0) return;
    this.index.renumber(repriced.map(renumbered), ON_SALE);
    for (const { id } of repriced) this.inputs.offered?.(id);
    const isMany = repriced.length >= REBUILD_FROM;
    if (isMany) {
      this.memberships.clear();
      this.bundles.noteAll();
    } else
      for (const { id } of repriced) {
        this.memberships.refresh(id);
        this.bundles.noteChangeOf(id);
      }
    this.#settle();
  }

  #numberFor(sort: string | undefined): number {
    if (sort === undefined) return NaN;
    let number = this.#numbers.get(sort);
    if (number === undefined) this.#numbers.set(sort, (number = this.#numbers.size));
    return number;
  }

  /** So many products that building the index afresh is quicker than putting each. */
  #isLargePart(products: number): boolean {
    return products >= REBUILD_FROM && products * 8 >= this.products.size;
  }

  #index(product: ProductDocument, known?: { sameTexts: boolean }): void {
    this.index.put(this.#entry(product, known), known);
    this.memberships.refresh(product.id);
    this.bundles.noteChangeOf(product.id);
  }

  #removeProduct(id: string): void {
    if (!this.products.has(id)) return;
    const slot = this.index.slot(id)!;
    this.#forgetProduct(id);
    this.index.remove(id);
    this.bundles.noteChangeOf(id);
    this.memberships.remove(slot);
  }

  #forgetProduct(id: string): void {
    this.#documents.forgetProduct(id);
    this.#facts.forget(id);
    this.#moments.forget(id);
    this.bundles.remove(id);
  }

  /** What rules took in is worked out again, since a field may mean something else, or nothing. */
  #forgetFields(): void {
    this.#fields = undefined;
    this.memberships.clear();
    this.bundles.noteRules();
  }
}
