import { wantedItemSchema } from '../../core/model/menu';
import type { Slide } from '../../core/model/sections/banner';
import { sectionTypes } from '../../core/model/sections/sections';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { once } from 'node:events';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { addressPath, type GroupKind } from '../../core/shop/open-groups';
import { seeded } from '../../core/testing/seeded';
import { EMPTY_RULE, type Rule, type RuleNode } from '../../core/model/rule';
import type { Shop } from '../../core/shop/shop';
import { makeApp } from '../app/app';
import { Catalog } from '../state/catalog';
import {
  addToCategory,
  changeCategory,
  createCategory,
  mergeCategory,
  removeCategory,
} from '../groups/category-writes';
import { changeCollection, createCollection, fillCollection, removeCollection } from '../groups/collection-writes';
import { changeNamed, mergeNamed, namedOrNew, removeNamed, type NamedKind } from '../groups/named-writes';
import { changeProduct, createProduct, removeProduct } from '../products/product-writes';
import { recordSales } from '../orders/sales';
import { setUp } from '../people/set-up';
import { changeMenu, changePage, changeSettings, createPage, removePage } from '../pages/commands';
import { changeSpecSheet, createSpecSheet, removeSpecSheet } from '../products/spec-sheet-writes';
import { changeOptions, changeVariants } from '../products/variant-writes';
import { CannotUndoError } from '../database/journal';
import { newId } from '../shared/ids';
import { ProblemError } from '../shared/problem';
import { noAssets } from '../../shop/render';

const ALL = Number.MAX_SAFE_INTEGER;
const DAY = 86_400_000;

/** What a step may do to public answers: nothing, or something that is live by nature, or that put something live. */
type Effect = 'none' | 'public';

interface Step {
  name: string;
  effect: Effect;
  weight: number;
  /** may answer that its effect is another one this time */
  run: () => Effect | void;
}

/** Every public answer of a shop by its address: status, where it forwards to, and the text to the letter. */
export type PublicAnswers = ReadonlyMap<string, string>;

/** Addresses whose answers differ between two, with both texts. */
export function differences(a: PublicAnswers, b: PublicAnswers): { address: string; a: string; b: string }[] {
  return [...new Set([...a.keys(), ...b.keys()])].flatMap((address) => {
    const [x, y] = [a.get(address) ?? '', b.get(address) ?? ''];
    if (x === y) return [];
    let at = 0;
    while (x[at] === y[at]) at++;
    const from = Math.max(0, at - 150);
    return [{ address, a: x.slice(from, at + 150), b: y.slice(from, at + 150) }];
  });
}

function* addressesOf(shop: Shop): Generator<string> {
  for (const { slug } of shop.products.values()) yield `/p/${slug}`;
  for (const { slug } of shop.pages.values()) yield `/page/${slug}`;
  const groups = { category: shop.categories, collection: shop.collections, brand: shop.brands, tag: shop.tags };
  for (const kind of addressedGroups)
    for (const { slug } of groups[kind].values()) yield `/${addressPath[kind]}/${slug}`;
}

/** Addresses of before are looked at in parts, each for some steps. */
const PARTS = 8;
const STEPS_A_PART = 16;

/** So many of each sort there are at most, so that a long walk stays a small shop. */
const MOST = { products: 24, categories: 12, collections: 12, named: 10, pages: 6, sheets: 4 };

function stop(server: Server): void {
  server.closeAllConnections();
  server.close();
}

const words = ['kite', 'delta', 'sled', 'rose', 'ember', 'pine', 'delat', 'tern', 'windy', 'zzz', '1.5'];
const titles = ['Delta kite', 'Sled kite', 'Rose box', 'Tern line', 'Night delta'];
const colours = ['Ember', 'Pine', 'Rosé', 'Rose', '+10', '−10'];
const swatches = ['#e4572e', '#2e7d32', null];
const addressedGroups: readonly GroupKind[] = ['category', 'collection', 'brand', 'tag'];

/**
 * A shop to which anything happens, by chance: writes of all sorts, editions, goings back, clock jumps, restarts. Small, so
 * that things meet.
 */
export class ShopWalk {
  readonly folder = mkdtempSync(join(tmpdir(), 'dispona-walk-'));
  catalog: Catalog;
  #server: Server;
  #at = Date.UTC(2027, 2, 1, 10);
  #user = '';
  readonly #random: () => number;
  /** addresses that something had at any time */
  readonly #addresses = new Set<string>();
  #taken = 0;
  readonly trace: string[] = [];

  private constructor(seed: number) {
    this.#random = seeded(seed);
    [this.catalog, this.#server] = this.#open(this.folder, Infinity);
  }

  /** A shop with some goods, groups and pages, not yet live. */
  static async start(seed: number): Promise<ShopWalk> {
    const walk = new ShopWalk(seed);
    try {
      await walk.#fill();
      return walk;
    } catch (error) {
      walk.close();
      throw error;
    }
  }

  async #fill(): Promise<void> {
    const { catalog } = this;
    this.#user = await setUp(catalog, {
      shopName: 'Walk',
      name: 'Kim',
      email: 'kim@example.com',
      password: 'a long password',
    });
    for (const name of ['Kites', 'Deltas', 'Line']) createCategory(catalog, this.#user, { name, parentId: null });
    for (const name of ['Tern', 'Alula']) namedOrNew(catalog, this.#user, 'brand', name);
    for (const name of ['Windy', 'Indoor', 'Night']) namedOrNew(catalog, this.#user, 'tag', name);
    for (let i = 0; i < 10; i++) this.#addProduct();
    createCollection(catalog, this.#user, {
      name: 'All',
      source: 'picked',
      picked: [...catalog.working.products.keys()],
      rule: EMPTY_RULE,
    });
  }

  #open(folder: string, cachedFrom: number): [Catalog, Server] {
    const catalog = new Catalog(folder, () => new Date(this.#at), cachedFrom);
    const app = makeApp({
      catalog,
      assets: noAssets,
      origin: 'https://shop.example',
      log: {
        error: (error: unknown) => void this.trace.push(`  failed: ${(error as Error).stack}`),
        warn: () => undefined,
      },
    });
    return [catalog, createServer({ keepAliveTimeout: 75_000 }, app).listen(0, '127.0.0.1')];
  }

  /** One step, by chance. Answers its name and what it may do to public answers. A refusal is a step too. */
  async step(): Promise<{ name: string; effect: Effect }> {
    const steps = this.#steps();
    let at = this.#random() * steps.reduce((sum, { weight }) => sum + weight, 0);
    const step = steps.find(({ weight }) => (at -= weight) < 0) ?? steps.at(-1)!;
    this.#taken++;
    this.trace.push(step.name);
    let { effect } = step;
    try {
      effect = step.run() ?? effect;
    } catch (error) {
      const isRefusal = error instanceof ProblemError || error instanceof CannotUndoError;
      if (!isRefusal) throw error;
      this.trace.push(`  refused: ${error.message}`);
    }
    this.#noteAddresses(this.catalog.working.shop);
    this.#noteAddresses(this.catalog.live.shop);
    return { name: step.name, effect };
  }

  /** All public answers of the running server. */
  answers(): Promise<PublicAnswers> {
    return this.#answersOf(this.#server);
  }

  /** All public answers of a server that starts afresh on a copy of the data, without a kept index. */
  async freshAnswers(): Promise<PublicAnswers> {
    const folder = mkdtempSync(join(tmpdir(), 'dispona-fresh-'));
    this.catalog.db.prepare('VACUUM INTO ?').run(join(folder, 'dispona.sqlite'));
    const [catalog, server] = this.#open(folder, Infinity);
    try {
      return await this.#answersOf(server);
    } finally {
      stop(server);
      catalog.close();
      rmSync(folder, { recursive: true, force: true });
    }
  }

  close(): void {
    stop(this.#server);
    this.catalog.close();
    rmSync(this.folder, { recursive: true, force: true });
  }

  async #answersOf(server: Server): Promise<PublicAnswers> {
    if (!server.listening) await once(server, 'listening');
    const origin = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
    const queries = words.flatMap((word) => [
      `/search?q=${encodeURIComponent(word)}`,
      `/shop-api/listing?q=${word}&sort=match`,
      `/shop-api/suggest?q=${encodeURIComponent(word.slice(0, 3))}`,
    ]);
    const filters = [
      'f.colour=rose,ember',
      'f.colour=pine',
      'f.stock=in&f.price=..20',
      'f.brand=tern,alula',
      'f.tag=windy',
      'f.sale=yes',
      'f.new=yes',
    ];
    const sorts = ['featured', 'newest', 'price-up', 'price-down', 'title', 'discount', 'sold'].map(
      (sort) => `sort=${sort}`,
    );
    const addresses = [
      '/',
      '/healthz',
      '/sitemap.xml',
      '/robots.txt',
      ...queries,
      ...[...filters, ...sorts].map((query) => `/shop-api/listing?${query}`),
      ...this.#lookedAt().flatMap((address) => {
        const [, kind, slug] = address.split('/');
        const group = addressedGroups.find((each) => addressPath[each] === kind);
        return group
          ? [address, `/shop-api/listing?at=${group}:${slug}`, `${address}?f.colour=ember&sort=price-up`]
          : kind === 'p'
            ? [address, `/shop-api/products/${slug}`]
            : [address];
      }),
    ];
    const texts = await Promise.all(
      addresses.map(async (address) => {
        // Pages are drawn from these data and nothing else; the home page is looked at drawn, too.
        const accept = { Accept: address === '/' ? 'text/html' : 'application/json' };
        const response = await fetch(origin + address, { redirect: 'manual', headers: accept });
        const { status, headers } = response;
        return `${status} ${headers.get('location') ?? ''} ${headers.get('etag') ?? ''}\n${await response.text()}`;
      }),
    );
    const answers = new Map(addresses.map((address, i) => [address, texts[i]!]));
    return answers;
  }

  /** The addresses of now, and of those that something had before a part: another part after some steps. */
  #lookedAt(): string[] {
    const now = new Set([...addressesOf(this.catalog.working.shop), ...addressesOf(this.catalog.live.shop)]);
    const part = Math.floor(this.#taken / STEPS_A_PART) % PARTS;
    return [...now, ...[...this.#addresses].filter((address, i) => !now.has(address) && i % PARTS === part)];
  }

  #noteAddresses(shop: Shop): void {
    for (const address of addressesOf(shop)) this.#addresses.add(address);
  }

  #chance(share: number): boolean {
    return this.#random() < share;
  }

  #below(end: number): number {
    return Math.floor(this.#random() * end);
  }

  #pick<T>(of: Iterable<T>): T {
    const all = [...of];
    if (all.length === 0) throw new ProblemError({ type: 'none', title: 'Nothing to choose from', status: 404 });
    return all[this.#below(all.length)]!;
  }

  #some<T>(of: Iterable<T>, most: number): T[] {
    const all = [...of];
    const chosen = new Set<T>();
    for (let i = this.#below(most + 1); i > 0 && all.length > 0; i--) chosen.add(this.#pick(all));
    return [...chosen];
  }

  #oneOrMore<T>(of: Iterable<T>): T[] {
    const all = [...of];
    return [...new Set([this.#pick(all), ...this.#some(all, 1)])];
  }

  #moment(): string | null {
    return this.#chance(0.4) ? null : new Date(this.#at + (this.#below(9) - 4) * (DAY / 2)).toISOString();
  }

  #slug(): string {
    return `a${this.#below(12)}`;
  }

  get #shop(): Shop {
    return this.catalog.working.shop;
  }

  #anyProduct(): string {
    return this.#pick(this.#shop.products.keys());
  }

  #change(id: string, fields: Parameters<typeof changeProduct>[3]['fields']): void {
    changeProduct(this.catalog, this.#user, id, { seen: ALL, fields, confirmed: true });
  }

  #addProduct(): void {
    const title = `${this.#pick(titles)} ${this.#below(5)}`;
    const id = createProduct(this.catalog, this.#user, { title, kind: 'physical', price: 500 + this.#below(30) * 100 });
    if (this.#chance(0.6)) this.#setOptions(id);
    this.#change(id, {
      status: this.#chance(0.8) ? 'live' : 'draft',
      brandId: this.#some(this.#shop.brands.keys(), 1)[0] ?? null,
      categoryIds: this.#some(this.#shop.categories.keys(), 2),
      tagIds: this.#some(this.#shop.tags.keys(), 2),
      supplier: this.#pick(['', 'Tackle Co', 'Sail Loft']),
      featured: this.#chance(0.2),
    });
    this.#setVariants(id);
  }

  #setOptions(id: string): void {
    const before = this.#shop.products.get(id)!.options;
    const names = this.#some(colours, 4);
    const option = before[0];
    changeOptions(this.catalog, this.#user, id, {
      seen: ALL,
      confirmed: true,
      options:
        names.length === 0
          ? []
          : [
              {
                id: option?.id ?? null,
                name: this.#pick(['Colour', 'colour', 'Size']),
                listId: null,
                values: names.map((name) => ({
                  id: option?.values.find((value) => value.name === name)?.id ?? null,
                  name,
                  swatch: this.#pick(swatches),
                  pictureId: null,
                })),
              },
            ],
    });
  }

  #setVariants(id: string): void {
    const { variants } = this.catalog.working.products.get(id)!;
    const changes = variants.map((variant) => {
      const price = 500 + this.#below(30) * 100;
      return {
        id: variant.id,
        fields: {
          price,
          salePrice: this.#chance(0.3) ? price - 100 : null,
          cost: this.#chance(0.5) ? this.#below(2_000) : null,
          sku: `K-${this.#below(50)}`,
        },
      };
    });
    changeVariants(this.catalog, this.#user, id, ALL, changes);
  }

  #condition(): RuleNode {
    const shop = this.#shop;
    return this.#pick<() => RuleNode>([
      () => ({ field: 'category', is: 'anyOf', value: this.#oneOrMore(shop.categories.keys()) }),
      () => ({ field: 'tag', is: this.#pick(['anyOf', 'noneOf'] as const), value: this.#oneOrMore(shop.tags.keys()) }),
      () => ({ field: 'brand', is: 'anyOf', value: this.#oneOrMore(shop.brands.keys()) }),
      () => ({ field: 'price', is: 'below', value: 1_000 + this.#below(20) * 100 }),
      () => ({ field: 'cost', is: this.#pick(['filled', 'empty'] as const), value: null }),
      () => ({ field: 'margin', is: 'above', value: 2_000 }),
      () => ({ field: 'supplier', is: 'anyOf', value: [this.#pick(['Tackle Co', 'Sail Loft'])] }),
      () => ({ field: 'sold30', is: 'above', value: this.#below(4) }),
      () => ({ field: 'created', is: 'inLast', value: 1 + this.#below(5) }),
      () => ({ field: 'onSale', is: 'yes', value: null }),
      () => ({ field: 'stock', is: 'above', value: 0 }),
      () => ({ field: 'option.colour', is: 'noneOf', value: ['ember'] }),
      () => ({ field: 'collection', is: 'anyOf', value: this.#oneOrMore(shop.collections.keys()) }),
      () => ({
        variants: 'some',
        match: 'all',
        of: [{ field: 'option.colour', is: 'anyOf', value: ['pine', 'rose'] }],
      }),
    ])();
  }

  #rule(): Rule {
    const of = [this.#condition()];
    if (this.#chance(0.5)) of.push(this.#condition());
    return { match: this.#pick(['all', 'any', 'none'] as const), of };
  }

  #addCollection(): void {
    createCollection(this.catalog, this.#user, {
      name: `Shelf ${this.#below(100)}`,
      source: this.#chance(0.7) ? 'rule' : 'picked',
      picked: this.#some(this.#shop.products.keys(), 5),
      rule: this.#rule(),
    });
  }

  #order() {
    return {
      keys: [
        { by: this.#pick(['price', 'sold30', 'margin', 'title', 'created', 'featured']), down: this.#chance(0.5) },
      ],
      mix: this.#pick(['none', 'brand', 'category'] as const),
      soldOutLast: this.#chance(0.5),
    };
  }

  #target() {
    const shop = this.#shop;
    const kind = this.#pick(addressedGroups);
    const groups = { category: shop.categories, collection: shop.collections, brand: shop.brands, tag: shop.tags }[
      kind
    ];
    return { kind, id: this.#pick(groups.keys()) };
  }

  /** Stock that comes back, or goes again, is live at once; nothing else that is undone or done again is. */
  #effectOf(reverse: () => { changeId: number | undefined }): Effect {
    const { changeId } = reverse();
    const rows = changeId === undefined ? [] : this.catalog.journal.rowsOf(changeId);
    const isRestocked = rows.some(
      ({ tableName, before, after }) => tableName === 'stock' && (before?.count !== after?.count || !before || !after),
    );
    return isRestocked ? 'public' : 'none';
  }

  #restart(cachedFrom: number, isKilled: boolean): void {
    stop(this.#server);
    if (isKilled) this.catalog.drop();
    else this.catalog.close();
    if (this.#chance(0.2)) cpSync(this.folder, `${this.folder}-old`, { recursive: true });
    rmSync(`${this.folder}-old`, { recursive: true, force: true });
    [this.catalog, this.#server] = this.#open(this.folder, cachedFrom);
  }

  #steps(): Step[] {
    const user = this.#user;
    const { catalog } = this;
    const shop = this.#shop;
    const named = (): NamedKind => this.#pick(['brand', 'tag'] as const);
    const groupsOf = (kind: NamedKind) => (kind === 'brand' ? shop.brands : shop.tags);
    const write = (name: string, run: Step['run'], weight = 2): Step => ({ name, effect: 'none', weight, run });
    const open = (name: string, weight: number, run: Step['run']): Step => ({ name, effect: 'public', weight, run });
    return [
      write(
        'add a product',
        () =>
          shop.products.size < MOST.products ? this.#addProduct() : removeProduct(catalog, user, this.#anyProduct()),
        3,
      ),
      write('retitle', () => this.#change(this.#anyProduct(), { title: `${this.#pick(titles)} ${this.#below(5)}` })),
      write('readdress', () => this.#change(this.#anyProduct(), { slug: this.#slug() })),
      write('status', () =>
        this.#change(this.#anyProduct(), { status: this.#pick(['live', 'live', 'off', 'draft'] as const) }),
      ),
      write('days', () => {
        const [liveFrom, liveUntil] = [this.#moment(), this.#moment()];
        this.#change(this.#anyProduct(), { liveFrom, liveUntil });
      }),
      write('sale days', () => {
        const [saleFrom, saleUntil] = [this.#moment(), this.#moment()];
        this.#change(this.#anyProduct(), { saleFrom, saleUntil });
      }),
      write('place', () => this.#change(this.#anyProduct(), { categoryIds: this.#some(shop.categories.keys(), 2) }), 4),
      write('tags', () => this.#change(this.#anyProduct(), { tagIds: this.#some(shop.tags.keys(), 2) })),
      write('brand', () => this.#change(this.#anyProduct(), { brandId: this.#some(shop.brands.keys(), 1)[0] ?? null })),
      write('supplier', () =>
        this.#change(this.#anyProduct(), { supplier: this.#pick(['', 'Tackle Co', 'Sail Loft']) }),
      ),
      write('featured', () => this.#change(this.#anyProduct(), { featured: this.#chance(0.5) })),
      write('sold out', () =>
        this.#change(this.#anyProduct(), { whenSoldOut: this.#pick(['keep', 'last', 'hide', 'order'] as const) }),
      ),
      write('related', () => this.#change(this.#anyProduct(), { goesWith: { how: 'rule', rule: this.#rule() } })),
      write('prices', () => this.#setVariants(this.#anyProduct()), 3),
      write('options', () => this.#setOptions(this.#anyProduct()), 3),
      write('delete a product', () => removeProduct(catalog, user, this.#anyProduct())),
      write('bundle', () => {
        if (shop.products.size >= MOST.products) return removeProduct(catalog, user, this.#anyProduct());
        const id = createProduct(catalog, user, { title: 'Set', kind: 'bundle', price: 1_000 });
        const slot = (from: object) => ({ id: newId('slot'), label: 'Part', from, min: 1, max: 1, usual: null });
        const slots = [
          slot({ how: 'rule', rule: this.#rule() }),
          slot({ how: 'picked', ids: this.#some(shop.products.keys(), 3) }),
        ];
        this.#change(id, {
          status: 'live',
          categoryIds: this.#some(shop.categories.keys(), 2),
          bundle: { slots: slots.slice(this.#below(2)), pricing: { how: 'parts', off: 1_000 } } as never,
        });
      }),
      write(
        'add a category',
        () => {
          if (shop.categories.size >= MOST.categories) return;
          const parentId = this.#some(shop.categories.keys(), 1)[0] ?? null;
          const { id } = createCategory(catalog, user, { name: `Branch ${this.#below(100)}`, parentId });
          if (this.#chance(0.6)) addToCategory(catalog, user, id, this.#some(shop.products.keys(), 3));
        },
        4,
      ),
      write(
        'move a category',
        () => {
          const [id, parentId] = [this.#pick(shop.categories.keys()), this.#some(shop.categories.keys(), 1)[0] ?? null];
          changeCategory(catalog, user, id, { parentId, place: this.#below(3) });
        },
        4,
      ),
      write('a category otherwise', () => {
        const id = this.#pick(shop.categories.keys());
        changeCategory(catalog, user, id, {
          slug: this.#slug(),
          status: this.#pick(['live', 'live', 'off'] as const),
          pins: this.#some(shop.products.keys(), 2),
          order: this.#order(),
        });
      }),
      write('merge a category', () =>
        mergeCategory(catalog, user, this.#pick(shop.categories.keys()), this.#pick(shop.categories.keys())),
      ),
      write('delete a category', () =>
        removeCategory(catalog, user, this.#pick(shop.categories.keys()), {
          products: this.#pick(['toParent', 'leave'] as const),
        }),
      ),
      write('a brand or tag', () => {
        const kind = named();
        if (groupsOf(kind).size < MOST.named) namedOrNew(catalog, user, kind, `Name ${this.#below(20)}`);
      }),
      write(
        'rename a brand or tag',
        () => {
          const kind = named();
          changeNamed(catalog, user, kind, this.#pick(groupsOf(kind).keys()), {
            name: `Name ${this.#below(40)}`,
            slug: this.#slug(),
            listed: this.#chance(0.6),
          });
        },
        3,
      ),
      write('merge a brand or tag', () => {
        const kind = named();
        mergeNamed(catalog, user, kind, this.#pick(groupsOf(kind).keys()), this.#pick(groupsOf(kind).keys()));
      }),
      write('delete a brand or tag', () => {
        const kind = named();
        removeNamed(catalog, user, kind, this.#pick(groupsOf(kind).keys()));
      }),
      write('add a collection', () => void (shop.collections.size < MOST.collections && this.#addCollection()), 3),
      write(
        'a rule',
        () => {
          const id = this.#pick([...shop.collections.values()].filter(({ source }) => source === 'rule')).id;
          changeCollection(catalog, user, id, { rule: this.#rule(), order: this.#order() });
        },
        4,
      ),
      write('a collection otherwise', () =>
        changeCollection(catalog, user, this.#pick(shop.collections.keys()), {
          picked: this.#some(shop.products.keys(), 5),
          pins: this.#some(shop.products.keys(), 2),
          leftOut: this.#some(shop.products.keys(), 1),
          slug: this.#slug(),
          liveFrom: this.#moment(),
        }),
      ),
      write('freeze a collection', () =>
        fillCollection(catalog, user, this.#pick(shop.collections.keys()), this.#pick(['picked', 'rule'] as const)),
      ),
      write('delete a collection', () => removeCollection(catalog, user, this.#pick(shop.collections.keys()))),
      write('add a page', () => {
        if (shop.pages.size < MOST.pages) createPage(catalog, user, `Page ${this.#below(20)}`);
      }),
      write(
        'a page',
        () => {
          const at = this.#target();
          const [blank] = sectionTypes.banner.fresh().slides as [Slide];
          const page = this.#pick(shop.pages.values());
          changePage(catalog, user, page.id, {
            ...(page.home ? {} : { slug: this.#slug() }),
            sections: [
              {
                ...sectionTypes.strip.fresh(),
                id: null,
                source: at,
                count: 6,
                skipAbove: this.#below(2) === 0,
                pins: this.#some(shop.products.keys(), 2),
              },
              {
                ...sectionTypes.banner.fresh(),
                id: null,
                slides: [{ ...blank, pictureOf: this.#target(), buttons: [{ words: '', to: this.#target() }] }],
              },
              {
                ...sectionTypes.tiles.fresh(),
                id: null,
                targets: this.#some(shop.categories.keys(), 3).map((id) => ({ kind: 'category', id })),
              },
              { ...sectionTypes.strip.fresh(), id: null, source: { kind: 'newest' }, skipAbove: true, daily: 5 },
              { ...sectionTypes.quotes.fresh(), id: null },
            ],
          });
        },
        3,
      ),
      write('delete a page', () => removePage(catalog, user, this.#pick(shop.pages.keys()))),
      write('the menu', () => {
        const item = (over: object = {}) =>
          wantedItemSchema.parse({
            id: null,
            label: '',
            target: this.#target(),
            withChildren: this.#below(2) === 0,
            ...over,
          });
        changeMenu(catalog, user, { items: [item({ items: [item()] }), item()], footer: [item({ hidden: true })] });
      }),
      write(
        'settings',
        () =>
          void changeSettings(catalog, user, {
            taxRate: this.#pick([2_100, 900]),
            synonyms: this.#pick([[], [['kite', 'tern']], [['ember', 'pine']]]),
          }),
      ),
      write('a spec sheet', () => {
        if (this.#chance(0.4) && shop.specSheets.size < MOST.sheets)
          return void createSpecSheet(catalog, user, `Sheet ${this.#below(20)}`);
        const sheet = this.#pick(shop.specSheets.values());
        const choices = ['nylon', 'paper'].map((name) => ({ id: newId('optionValue'), name }));
        const attribute = {
          id: newId('option'),
          name: `Fact ${this.#below(9)}`,
          unit: '',
          heading: '',
          required: false,
          shown: true,
          filterable: true,
        };
        const attributes = [
          { ...attribute, type: 'choice' as const, choices },
          { ...attribute, id: newId('option'), name: 'Span', type: 'number' as const, choices: [] },
        ];
        changeSpecSheet(catalog, user, sheet.id, { name: sheet.name, attributes });
      }),
      write('delete a spec sheet', () => removeSpecSheet(catalog, user, this.#pick(shop.specSheets.keys())), 0.5),
      write(
        'specs',
        () => {
          const sheet = this.#pick(shop.specSheets.values());
          const [choice, number] = sheet.attributes;
          const specs =
            choice && number
              ? { [choice.id]: [this.#pick(choice.choices).id], [number.id]: this.#below(4) * 1_000 }
              : {};
          this.#change(this.#anyProduct(), { specSheetId: sheet.id, specs });
        },
        3,
      ),
      write('undo', () => this.#effectOf(() => catalog.journal.undo(catalog.actor(user))), 6),
      write('redo', () => this.#effectOf(() => catalog.journal.redo(catalog.actor(user))), 3),
      write(
        'take one change back',
        () => {
          const change = this.#pick(catalog.journal.history(60).filter(({ kind }) => kind === 'edit'));
          return this.#effectOf(() => catalog.journal.undoOne(change.id, catalog.actor(user)));
        },
        3,
      ),
      open('stock', 3, () => {
        const id = this.#anyProduct();
        const { variants } = catalog.working.products.get(id)!;
        const stock = this.#pick([0, 0, 2, 9, null]);
        changeVariants(
          catalog,
          user,
          id,
          ALL,
          variants.map((variant) => ({ id: variant.id, fields: { stock } })),
        );
      }),
      open('sales', 2, () => {
        const productId = this.#pick([...shop.products.keys(), ...catalog.live.shop.products.keys()]);
        const day = Math.floor((this.#at - this.#below(40) * DAY) / DAY) * 86_400;
        recordSales(catalog, [{ productId, day, pieces: 1 + this.#below(5) }]);
      }),
      open('put live', 8, () => {
        if (catalog.working.changed.size > 0) catalog.putLive('', user);
      }),
      open('go back', 4, () => {
        if (catalog.live.edition > 1) catalog.goBack(1 + this.#below(catalog.live.edition - 1), '', user);
      }),
      open('time passes', 4, () => {
        this.#at += this.#pick([60_000, DAY / 4, DAY, 5 * DAY]);
        catalog.passTime();
      }),
      open('the clock is put back', 2, () => {
        this.#at -= this.#pick([60_000, DAY, 5 * DAY]);
        catalog.passTime();
      }),
      write('restart', () => this.#restart(Infinity, false), 2),
      write('restart on the kept index', () => this.#restart(0, false), 2),
      write('killed and started', () => this.#restart(this.#pick([0, Infinity]), true), 2),
      write('compare some', () => void catalog.compareSome(5), 1),
    ];
  }
}
