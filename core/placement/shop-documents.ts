import type { Brand, Category, Collection, Tag } from '../catalog/group';
import type { SpecSheet } from '../catalog/spec';
import type { DocumentKind, ProductDocument } from '../editions/document';
import { optionKey, optionValueKey } from './facts';
import { emptySettings, type Menu, type Page, type Settings } from './page';

/** An option met in the catalog, with the words and colours of its values by their keys. */
export interface MetOption {
  label: string;
  values: Map<string, string>;
  swatches: Map<string, string>;
}

type MappedKind = Exclude<DocumentKind, 'menu' | 'settings' | 'product'>;

function fill<K, V>(target: Map<K, V>, source: ReadonlyMap<K, V>): void {
  target.clear();
  for (const [key, value] of source) target.set(key, value);
}

/** The documents that a shop is made from, by kind, and what is found in them by name: addresses and options. */
export class ShopDocuments {
  readonly products = new Map<string, ProductDocument>();
  readonly categories = new Map<string, Category>();
  readonly collections = new Map<string, Collection>();
  readonly brands = new Map<string, Brand>();
  readonly tags = new Map<string, Tag>();
  readonly specSheets = new Map<string, SpecSheet>();
  readonly pages = new Map<string, Page>();
  menu: Menu = { items: [] };
  settings: Settings = emptySettings;
  /** by key; an option stays known when no product has it any more */
  readonly options = new Map<string, MetOption>();
  readonly #slugs = new Map<string, string>();

  bySlug(kind: DocumentKind, slug: string): string | undefined {
    return this.#slugs.get(`${kind} ${slug}`);
  }

  /** Puts a document that is no product in place of the one with its key, or takes that out when there is no body. */
  store(kind: Exclude<DocumentKind, 'product'>, key: string, body: unknown): void {
    if (kind === 'menu') this.menu = (body as Menu | undefined) ?? { items: [] };
    else if (kind === 'settings') this.settings = { ...emptySettings, ...(body as Settings | undefined) };
    else {
      const map = this.#mapOf(kind) as Map<string, { slug?: string }>;
      const before = map.get(key);
      if (before?.slug !== undefined) this.#forgetSlug(kind, before.slug, key);
      if (!body) return void map.delete(key);
      const { slug } = body as { slug?: string };
      map.set(key, body);
      if (slug !== undefined) this.#slugs.set(`${kind} ${slug}`, key);
    }
  }

  /** Answers true when it has an option that was never met before. */
  storeProduct(product: ProductDocument): boolean {
    const before = this.products.get(product.id);
    if (before) this.#forgetSlug('product', before.slug, product.id);
    this.products.set(product.id, product);
    this.#slugs.set(`product ${product.slug}`, product.id);
    const met = this.options.size;
    for (const option of product.options) this.#meetOption(option);
    return this.options.size > met;
  }

  forgetProduct(id: string): void {
    const product = this.products.get(id);
    if (product) this.#forgetSlug('product', product.slug, id);
    this.products.delete(id);
  }

  /** Becomes as another is, sharing its documents. */
  copyFrom(other: ShopDocuments): void {
    fill(this.products, other.products);
    for (const kind of ['category', 'collection', 'brand', 'tag', 'specSheet', 'page'] as const)
      fill(this.#mapOf(kind) as Map<string, unknown>, other.#mapOf(kind));
    fill(this.#slugs, other.#slugs);
    this.menu = other.menu;
    this.settings = other.settings;
    this.options.clear();
    for (const [key, { label, values, swatches }] of other.options)
      this.options.set(key, { label, values: new Map(values), swatches: new Map(swatches) });
  }

  #meetOption(option: ProductDocument['options'][number]): void {
    const key = optionKey(option.name);
    let known = this.options.get(key);
    if (!known) this.options.set(key, (known = { label: option.name, values: new Map(), swatches: new Map() }));
    for (const value of option.values) {
      const valueKey = optionValueKey(value.name);
      if (!known.values.has(valueKey)) known.values.set(valueKey, value.name);
      if (value.swatch) known.swatches.set(valueKey, value.swatch);
    }
  }

  #mapOf(kind: MappedKind) {
    return {
      category: this.categories,
      collection: this.collections,
      brand: this.brands,
      tag: this.tags,
      specSheet: this.specSheets,
      page: this.pages,
    }[kind];
  }

  /** A slug may have passed to another thing meanwhile; then it stays. */
  #forgetSlug(kind: DocumentKind, slug: string, id: string): void {
    if (this.#slugs.get(`${kind} ${slug}`) === id) this.#slugs.delete(`${kind} ${slug}`);
  }
}
