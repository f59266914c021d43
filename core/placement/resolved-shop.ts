import { CategoryTree } from '../catalog/category-tree';
import type { Brand, Category, Collection, Tag } from '../catalog/group';
import type { SpecSheet } from '../catalog/spec';
import { nextMoment } from '../catalog/standing';
import type { DocumentBodies, DocumentKind, ProductDocument, ShopDocument } from '../editions/document';
import { Bitset } from '../finder/bitset';
import type { FinderEntry, FinderSource } from '../finder/entry';
import { FinderIndex } from '../finder/finder-index';
import type { IndexState } from '../finder/state';
import { Synonyms } from '../finder/synonyms';
import type { ProductFacts } from '../rules/facts';
import type { FieldRegistry } from '../rules/field';
import { mixSort } from './arrangement';
import { Bundles } from './bundle';
import { Memberships } from './memberships';
import { Moments } from './moments';
import { entryOf, factsOf, finderShape, haveSameTexts, LISTED, STANDING, type BehindCounter } from './facts';
import type { Menu, Page, Settings } from './page';
import { ShopDocuments, type MetOption } from './shop-documents';
import { fieldsOf } from './shop-fields';
import { wordsBeside } from './words-beside';

export interface ResolvedShopInputs {
  /** pieces left of a variant; null when it is not counted */
  stock: (variantId: string) => number | null;
  /** what only the seller knows of a product */
  behind?: (product: ProductDocument) => BehindCounter | undefined;
  /** standings beyond a product's own, such as "changed" for the desk */
  marks?: (product: ProductDocument) => readonly string[];
  /** seconds since 1970 at which the shop begins; see `passTime` */
  now?: number;
}

/** One document put in, or taken out when it has no body. */
export interface DocumentUpdate {
  kind: DocumentKind;
  key: string;
  body: DocumentBodies[DocumentKind] | undefined;
}

/** What was worked out of products before, so that it need not be again. */
export interface WorkedOut {
  index: IndexState;
  /** moment, seconds since 1970, for which it stands; not after that of the shop */
  now: number;
  /** true for products that were worked out as they are now, along with all that they name */
  holds: (productId: string) => boolean;
}

/** From this many changed products on, building the index afresh is considered. */
const REBUILD_FROM = 1_000;

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
  readonly bundles = new Bundles(this);
  readonly memberships = new Memberships(this);
  index: FinderIndex;
  /** goes up with every change, so that what was computed from the shop can be kept */
  version = 0;
  /** moment of the day, seconds since 1970, for which prices and standings were worked out */
  now: number;
  readonly #moments = new Moments();
  readonly #facts = new Map<string, ProductFacts>();
  readonly #suppliers = new Map<string, string>();
  /** a number for each thing by which goods are told apart when they are mixed */
  readonly #numbers = new Map<string, number>();
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

  get tree(): CategoryTree {
    return (this.#tree ??= new CategoryTree(this.categories.values()));
  }

  get fields(): FieldRegistry {
    return (this.#fields ??= fieldsOf(this, this.#suppliers));
  }

  /** Options met in the catalog by key, with the words and colours of their values. */
  get options(): ReadonlyMap<string, Readonly<MetOption>> {
    return this.#documents.options;
  }

  /** Facts of products that were not worked out here, but taken over, are so when they are asked for. */
  facts(productId: string): ProductFacts | undefined {
    const known = this.#facts.get(productId);
    const product = known ? undefined : this.products.get(productId);
    return product ? this.#workOut(product, this.inputs.behind?.(product)) : known;
  }

  stock(variantId: string): number | null {
    return this.inputs.stock(variantId);
  }

  /** Products that shoppers meet in listings and strips. */
  get listed(): Bitset {
    return this.index.posting(STANDING, LISTED) ?? new Bitset(this.index.alive.size);
  }

  /**
   * Lets time pass up to `now` (seconds since 1970): products whose sale, or whose days on the shop, began or ended are
   * worked out again, and so are collections that open, close, or whose rule speaks of days. Costs nothing while no such
   * moment passes. Time never goes back.
   */
  passTime(now: number): void {
    if (now <= this.now) return;
    const before = this.now;
    this.now = now;
    this.#moments.pass(now, (ids) => this.refreshAll(ids));
    const turned = this.memberships.passTime(now);
    const opened = [...this.collections.values()].some(({ liveFrom, liveUntil }) => {
      const at = nextMoment([liveFrom, liveUntil], before);
      return at !== undefined && at <= now;
    });
    if (turned || opened) this.version++;
  }

  bySlug(kind: DocumentKind, slug: string): string | undefined {
    return this.#documents.bySlug(kind, slug);
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
    const others: ProductDocument[] = [];
    for (const product of products) {
      const isHeld = holds(product.id) && product.kind !== 'bundle' && this.index.slot(product.id) !== undefined;
      if (isHeld) this.#noteBeside(product, this.inputs.behind?.(product));
      else others.push(product);
    }
    if (this.#isLargePart(others.length)) {
      this.now = until;
      return this.#rebuild();
    }
    const ids = this.index.alive.toArray().map((slot) => this.index.id(slot));
    for (const id of ids) if (!this.products.has(id)) this.index.remove(id);
    for (const product of others) if (product.kind !== 'bundle') this.index.put(this.#entry(product));
    this.#finish(others.filter(({ kind }) => kind === 'bundle'));
    this.passTime(until);
  }

  /** Stores the documents as they come, and answers the products among them. */
  *#productsOf(documents: Iterable<ShopDocument>): Generator<ProductDocument> {
    let isAmongProducts = false;
    for (const document of documents) {
      if (document.kind === 'product') {
        isAmongProducts = true;
        this.#storeProduct(document.body);
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
    const into = <K, V>(target: Map<K, V>, source: ReadonlyMap<K, V>) => {
      target.clear();
      for (const [key, value] of source) target.set(key, value);
    };
    this.#documents.copyFrom(other.#documents);
    this.#moments.copyFrom(other.#moments);
    this.bundles.copyFrom(other.bundles);
    into(this.#facts, other.#facts);
    into(this.#suppliers, other.#suppliers);
    into(this.#numbers, other.#numbers);
    this.now = other.now;
    this.#startOver(other.index.copy(this.#source));
    this.version++;
  }

  /** `apply` for many documents: when a large part of the products changes, building the index afresh is quicker. */
  applyAll(changes: readonly DocumentUpdate[]): void {
    const products = changes.filter((change) => change.kind === 'product');
    if (!this.#isLargePart(products.length)) {
      for (const { kind, key, body } of changes) this.#apply(kind, key, body);
      return this.#settle();
    }
    for (const { kind, key, body } of changes) if (kind !== 'product') this.#store(kind, key, body);
    for (const { key, body } of products) {
      if (body) this.#storeProduct(body as ProductDocument);
      else this.#forgetProduct(key);
    }
    this.#rebuild();
  }

  /** Works products out again after their stock or standing changed. */
  refreshAll(productIds: readonly string[]): void {
    const known = productIds.filter((id) => this.products.has(id));
    if (known.length === 0) return;
    if (this.#isLargePart(known.length)) this.#rebuild();
    else for (const id of known) this.#index(this.products.get(id)!, { sameTexts: true });
    this.#settle();
  }

  /** Notes that marks of products turned, and nothing else of them: much quicker than working them out again. */
  remark(productIds: readonly string[]): void {
    const isLarge = this.#isLargePart(productIds.length);
    if (isLarge) this.memberships.clear();
    for (const id of productIds) {
      const product = this.products.get(id);
      if (!product) continue;
      this.index.replaceValues(id, STANDING, this.#workOut(product, this.inputs.behind?.(product)).standing);
      if (!isLarge) this.memberships.refresh(id);
      this.bundles.noteChangeOf(id);
    }
    this.#settle();
  }

  /** Adds or replaces one document, or removes it when `body` is undefined. */
  apply<K extends DocumentKind>(kind: K, key: string, body: DocumentBodies[K] | undefined): void {
    this.#apply(kind, key, body);
    this.#settle();
  }

  #apply<K extends DocumentKind>(kind: K, key: string, body: DocumentBodies[K] | undefined): void {
    if (kind === 'product') {
      if (body) this.#putProduct(body as ProductDocument);
      else this.#removeProduct(key);
    } else {
      const before = kind === 'category' ? this.categories.get(key) : undefined;
      const { settings } = this;
      this.#store(kind, key, body);
      this.#tree = undefined;
      this.#fields = undefined;
      const isSameBranch = kind === 'category' && body && before?.parentId === (body as Category).parentId;
      if ((kind === 'category' && !isSameBranch) || kind === 'brand' || kind === 'tag') this.#refreshHolders(kind, key);
      if (kind === 'specSheet') this.#refreshSheet(key);
      // Margins depend on tax.
      const { taxRate, reducedTaxRate, taxIncluded } = this.settings;
      if (
        settings.taxRate !== taxRate ||
        settings.reducedTaxRate !== reducedTaxRate ||
        settings.taxIncluded !== taxIncluded
      )
        this.#rebuild();
      if (kind === 'collection') this.memberships.forget(key);
    }
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
    this.memberships.clear();
    this.index = index;
  }

  /** Bundles come last: what they cost, and whether there are any, follows from the others. */
  #finish(bundles: readonly ProductDocument[]): void {
    this.index.text.synonyms = new Synonyms(this.settings.synonyms);
    for (const bundle of bundles) this.index.put(this.#entry(bundle));
    this.version++;
  }

  #store(kind: Exclude<DocumentKind, 'product'>, key: string, body: unknown): void {
    this.#documents.store(kind, key, body);
    if (kind === 'settings') this.index.text.synonyms = new Synonyms(this.settings.synonyms);
  }

  #storeProduct(product: ProductDocument): void {
    if (this.#documents.storeProduct(product)) this.#forgetFields();
  }

  #entry(product: ProductDocument, { sameTexts } = { sameTexts: false }): FinderEntry {
    this.bundles.put(product);
    const behind = this.inputs.behind?.(product);
    const facts = this.#workOut(product, behind);
    this.#noteBeside(product, behind);
    return entryOf(facts, product, sameTexts ? undefined : wordsBeside(product, this.#documents));
  }

  #workOut(product: ProductDocument, behind: BehindCounter | undefined): ProductFacts {
    const facts = factsOf(product, {
      stock: this.inputs.stock,
      tree: this.tree,
      sheets: this.specSheets,
      marks: this.inputs.marks?.(product) ?? [],
      settings: this.settings,
      now: this.now,
      bundle: this.bundles.get(product.id),
      behind,
    });
    this.#facts.set(product.id, facts);
    return facts;
  }

  /** Notes what is to be known of a product beside its facts: its supplier, and when it changes by itself. */
  #noteBeside(product: ProductDocument, behind: BehindCounter | undefined): void {
    if (behind?.supplier && !this.#suppliers.has(behind.supplier)) {
      this.#suppliers.set(behind.supplier, behind.supplier);
      this.#forgetFields();
    }
    this.#moments.note(product, behind?.sales ?? [], this.now);
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

  #putProduct(product: ProductDocument): void {
    const before = this.products.get(product.id);
    this.#storeProduct(product);
    this.#index(product, { sameTexts: before !== undefined && haveSameTexts(before, product) });
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
    this.#facts.delete(id);
    this.#moments.forget(id);
    this.bundles.remove(id);
  }

  /** A rule that names a field takes in nothing while there is none: what rules took in is worked out again with the fields. */
  #forgetFields(): void {
    this.#fields = undefined;
    this.memberships.clear();
  }

  #refreshSheet(id: string): void {
    this.#forgetFields();
    for (const product of this.products.values()) if (product.specSheetId === id) this.#index(product);
  }

  /** Products whose text or categories depend on a group that changed. */
  #refreshHolders(kind: 'category' | 'brand' | 'tag', id: string): void {
    const holders = this.index.posting(kind, id)?.toArray() ?? [];
    for (const slot of holders) this.#index(this.products.get(this.index.id(slot))!);
  }
}
