import type { Brand, Category, Collection, Tag } from '../model/group';
import type { SpecSheet } from '../model/spec-sheet';
import type { DocumentKind, ProductDocument, Redirect } from '../model/document';
import type { ChosenListing } from '../model/chosen-listing';
import type { Embed } from '../model/embed';
import type { Feed } from '../model/feed';
import type { Forward } from '../model/forward';
import { MetOptions } from './met-options';
import type { Offer } from '../model/offer';
import { type Page } from '../model/page';
import { emptySettings, settingsOf, type Settings } from '../model/settings';
import { emptyMenu, type Menu } from '../model/menu';
import type { Wording } from '../model/wording';

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
  readonly offers = new Map<string, Offer>();
  readonly embeds = new Map<string, Embed>();
  readonly feeds = new Map<string, Feed>();
  readonly redirects = new Map<string, Redirect>();
  readonly forwards = new Map<string, Forward>();
  readonly chosen = new Map<string, ChosenListing>();
  readonly wordings = new Map<string, Wording>();
  readonly wordingDrafts = new Map<string, Wording>();
  menu: Menu = emptyMenu;
  settings: Settings = emptySettings;
  readonly options = new MetOptions();
  readonly #slugs = new Map<string, string>();

  bySlug(kind: DocumentKind, slug: string): string | undefined {
    return this.#slugs.get(`${kind} ${slug}`);
  }

  /** Puts a document that is no product in place of the one with its key, or takes that out when there is no body. */
  store(kind: Exclude<DocumentKind, 'product'>, key: string, body: unknown): void {
    if (kind === 'menu') this.menu = (body as Menu | undefined) ?? emptyMenu;
    else if (kind === 'settings') this.settings = body ? settingsOf(body) : emptySettings;
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

  storeProduct(product: ProductDocument): void {
    const before = this.products.get(product.id);
    if (before) this.#forgetSlug('product', before.slug, product.id);
    this.products.set(product.id, product);
    this.#slugs.set(`product ${product.slug}`, product.id);
    this.options.replace(before?.options, product.options);
  }

  forgetProduct(id: string): void {
    const product = this.products.get(id);
    if (!product) return;
    this.#forgetSlug('product', product.slug, id);
    this.products.delete(id);
    this.options.replace(product.options, undefined);
  }

  /** Becomes as another is, sharing its documents. */
  copyFrom(other: ShopDocuments): void {
    fill(this.products, other.products);
    for (const kind of [
      'category',
      'collection',
      'brand',
      'tag',
      'specSheet',
      'page',
      'offer',
      'embed',
      'feed',
      'redirect',
      'forward',
      'chosenListing',
      'wording',
      'wordingDraft',
    ] as const)
      fill(this.#mapOf(kind) as Map<string, unknown>, other.#mapOf(kind));
    fill(this.#slugs, other.#slugs);
    this.menu = other.menu;
    this.settings = other.settings;
    this.options.copyFrom(other.options);
  }

  #mapOf(kind: MappedKind) {
    return {
      category: this.categories,
      collection: this.collections,
      brand: this.brands,
      tag: this.tags,
      specSheet: this.specSheets,
      page: this.pages,
      offer: this.offers,
      embed: this.embeds,
      feed: this.feeds,
      redirect: this.redirects,
      forward: this.forwards,
      chosenListing: this.chosen,
      wording: this.wordings,
      wordingDraft: this.wordingDrafts,
    }[kind];
  }

  /** A slug may have passed to another thing meanwhile; then it stays. */
  #forgetSlug(kind: DocumentKind, slug: string, id: string): void {
    if (this.#slugs.get(`${kind} ${slug}`) === id) this.#slugs.delete(`${kind} ${slug}`);
  }
}
