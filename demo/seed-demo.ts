import sharp from 'sharp';
import { readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { written } from '../core/history/done';
import { freeSlug, slugFrom } from '../core/shared/slug';
import { categoryDefaults, collectionDefaults, namedDefaults, type Category } from '../core/model/group';
import { NEWEST_FIRST } from '../core/model/order';
import type { ProductFile } from '../core/model/product-file';
import type { OptionList } from '../core/model/option-list';
import type { Option, Variant } from '../core/model/product';
import type { Picture, Relation } from '../core/model/product-values';
import { combinations } from '../core/products/variants';
import { EMPTY_RULE } from '../core/model/rule';
import type { Catalog } from '../server/state/catalog';
import { demoPerson } from '../server/people/demo-person';
import { changeProduct } from '../server/products/product-writes';
import { recordSales } from '../server/orders/sales';
import { writeLetters } from './letters';
import { changeVariants } from '../server/products/variant-writes';
import { needsSetup, setUp } from '../server/people/set-up';
import { putCategory, putCollection, putNamed } from '../server/store/groups';
import { writeSettings } from '../server/store/pages';
import {
  insertProduct,
  setOptions,
  setPictures,
  setProductCategories,
  setProductTags,
  setVariants,
  updateProduct,
} from '../server/store/put-products';
import { putOptionList } from '../server/store/option-lists';
import { putSpecSheet } from '../server/store/spec-sheets';
import { arrivingFolder, keepFile } from '../server/media/file-store';
import { newId } from '../server/shared/ids';
import { storePicture, type StoredMedia } from '../server/media/picture-store';
import { bundleOf, bundles } from './bundles';
import { demoCollections } from './collections';
import { depthOf, relationsOf, specSheets, variantDepth } from './depth';
import { filesOf } from './files';
import { products } from './goods';
import { brands, categories, type DemoCategory, type DemoProduct } from './lark-and-line';
import { colourways, paletteOf } from './pictures/palette';
import { drawPicture, type PictureSpec, type SceneName } from './pictures/scene';
import { flying, type ShapeName } from './pictures/shapes';
import { seeded, seedOf } from './random';
import { salesOf } from './sales';
import { putPastEditions } from './past-prices';
import { putElsewhere } from './elsewhere';
import { speakGerman } from './german';
import { askedFor } from './search-engines';
import { placeOrders, putOffers, putPastOrders, selling, tax } from './selling';
import { putSuppliers } from './suppliers';
import { putVisits } from './visits';
import { putStorefront, type PageMedia } from './storefront';
import { cards, contact, iconSvg, productPage } from './settings';
import { legalKeys } from '../core/legal/legal-pages';
import { noSigns } from '../core/model/signs';
import { addLegalPages } from '../server/pages/legal';
import { putSkipped } from '../server/store/set-up';
import { filmsFolder, keepFilm } from '../server/media/film-store';

const DAY = 86_400_000;
const shapesOfPictures: [number, number][] = [
  [1200, 1200],
  [1200, 1500],
  [1500, 1125],
  [1280, 1280],
  [1125, 1500],
];
const skies: SceneName[] = ['sky', 'sea', 'dune'];

interface PlannedPicture extends PictureSpec {
  colour: string | undefined;
  alt: string;
}

/** The same colours, beginning with another one: else every face in a listing would have the first colour. */
function turned(colours: string[] | undefined, random: () => number): string[] | undefined {
  const start = colours ? Math.floor(random() * colours.length) : 0;
  return colours && [...colours.slice(start), ...colours.slice(0, start)];
}

/** The pictures of a product: one per colour, then one more scene. */
function planPictures(product: DemoProduct): PlannedPicture[] {
  if (product.odd === 'noPicture') return [];
  const random = seeded(seedOf(product.title));
  const flies = flying.has(product.shape);
  const isNight = product.tags.includes('night') && flies;
  const colours = turned(product.colours, random) ?? [undefined];
  const fallback = Object.keys(colourways)[Math.floor(random() * 8)]!;
  const plan = colours.map((colour, i): PlannedPicture => {
    const [width, height] = shapesOfPictures[Math.floor(random() * shapesOfPictures.length)]!;
    const scene: SceneName = !flies
      ? i % 2
        ? 'table'
        : 'studio'
      : isNight
        ? 'dusk'
        : i === 0
          ? skies[Math.floor(random() * 3)]!
          : i % 2
            ? 'studio'
            : 'sky';
    return {
      shape: product.shape,
      palette: paletteOf(colour ?? fallback),
      scene,
      width,
      height,
      seed: seedOf(`${product.title} ${i}`),
      scale: 0.84 + random() * 0.1,
      turn: Math.round(random() * 16 - 8),
      colour,
      alt: colour ? `${product.title} in ${colour}` : product.title,
    };
  });
  if (flies && colours.length > 1)
    plan.push({
      ...plan[0]!,
      scene: isNight ? 'dusk' : 'dune',
      width: 1500,
      height: 1000,
      scale: 0.46,
      turn: -14,
      seed: seedOf(`${product.title} far`),
      colour: undefined,
      alt: `${product.title}, high above the dunes`,
    });
  return plan;
}

async function drawAll(catalog: Catalog, say: (line: string) => void): Promise<Map<string, StoredMedia[]>> {
  const done = new Map<string, StoredMedia[]>();
  const work = products.flatMap((product) =>
    planPictures(product).map((spec, i) => ({ title: product.title, spec, i })),
  );
  let next = 0;
  const draw = async () => {
    while (next < work.length) {
      const { title, spec, i } = work[next++]!;
      // Drawn here: what sellers upload as SVG is drawn in a process of its own, which these need not.
      const png = await sharp(Buffer.from(drawPicture(spec)))
        .png({ compressionLevel: 1 })
        .toBuffer();
      const media = await storePicture(
        catalog.db,
        catalog.mediaFolder,
        png,
        `${title}.png`,
        catalog.clock().toISOString(),
      );
      const list = done.get(title) ?? [];
      list[i] = media;
      done.set(title, list);
      if (next % 100 === 0) say(`  ${next} of ${work.length} pictures drawn`);
    }
  };
  await Promise.all(Array.from({ length: 3 }, draw));
  return done;
}

/** Scenes of a day at the beach, and the film of a kite that climbs. */
async function keepPageMedia(catalog: Catalog): Promise<PageMedia> {
  const scenes: [SceneName, ShapeName, string][] = [
    ['sea', 'wideDelta', 'Ember'],
    ['dune', 'diamond', 'Fjord'],
    ['dusk', 'delta', 'Ember'],
  ];
  const beach = await Promise.all(
    scenes.map(async ([scene, shape, colour], i) => {
      const svg = drawPicture({
        shape,
        scene,
        palette: paletteOf(colour),
        width: 1200,
        height: 900,
        seed: 70 + i,
        scale: 0.55,
      });
      const png = await sharp(Buffer.from(svg)).png().toBuffer();
      return storePicture(catalog.db, catalog.mediaFolder, png, `${scene}.png`, catalog.clock().toISOString());
    }),
  );
  const arriving = arrivingFolder(filmsFolder(catalog.folder));
  const kept = async (content: Buffer) => {
    const arrived = join(arriving, newId('file'));
    await writeFile(arrived, content);
    return (await keepFilm(catalog.folder, arrived))!;
  };
  return {
    beach,
    film: await kept(await readFile('demo/films/first-climb.webm')),
    captions: await kept(Buffer.from(CAPTIONS)),
  };
}

const CAPTIONS = `WEBVTT

00:00.000 --> 00:03.000
[Wind] Arm up, back to the wind.

00:03.000 --> 00:07.000
Let the line run. Up it goes.
`;

/** Puts the files of all products into the store, by title. */
async function keepFiles(catalog: Catalog): Promise<Map<string, ProductFile[]>> {
  const arriving = arrivingFolder(catalog.filesFolder);
  const kept = new Map<string, ProductFile[]>();
  for (const product of products) {
    const files: ProductFile[] = [];
    for (const { role, name, content: bytes } of filesOf(product)) {
      const arrived = join(arriving, newId('file'));
      await writeFile(arrived, bytes);
      const content = await keepFile(catalog.filesFolder, arrived);
      files.push({ id: newId('file'), role, name, bytes: bytes.length, content, variantId: null });
    }
    kept.set(product.title, files);
  }
  return kept;
}

const optionLists: OptionList[] = [
  {
    id: newId('optionList'),
    name: 'Colourway',
    choices: Object.entries(colourways).map(([name, { swatch }]) => ({ name, swatch })),
  },
  {
    id: newId('optionList'),
    name: 'Line set',
    choices: ['Without', 'With 50 m reel'].map((name) => ({ name, swatch: null })),
  },
  {
    id: newId('optionList'),
    name: 'Length',
    choices: ['25 m', '50 m', '100 m', '60 cm', '82 cm', '100 cm', '150 cm'].map((name) => ({ name, swatch: null })),
  },
];
const listOf = (option: string) => optionLists.find(({ name }) => name === option)?.id ?? null;

const minor = (euros: number) => Math.round(euros * 100);

function optionsOf(product: DemoProduct): Option[] {
  const options: Option[] = [];
  if (product.colours)
    options.push({
      id: newId('option'),
      name: 'Colourway',
      listId: listOf('Colourway'),
      values: product.colours.map((name) => ({
        id: newId('optionValue'),
        name,
        swatch: colourways[name]!.swatch,
        pictureId: null,
      })),
    });
  if (product.option) {
    const [name, ...values] = product.option;
    options.push({
      id: newId('option'),
      name,
      listId: listOf(name),
      values: values.map(([value]) => ({ id: newId('optionValue'), name: value, swatch: null, pictureId: null })),
    });
  }
  return options;
}

function stockOf(product: DemoProduct, random: () => number): number | null {
  switch (product.odd) {
    case 'notCounted':
      return null;
    case 'soldOut':
      return 0;
    case 'few':
      return Math.floor(random() * 3) + 1;
    default:
      return random() < 0.07 ? 0 : Math.floor(random() * random() * 60) + 2;
  }
}

/** "Ember" → EMB, "With 50 m reel" → W50MR */
function shortCode(name: string): string {
  const words = name
    .replace(/[^A-Za-z0-9 ]/g, '')
    .split(' ')
    .filter(Boolean);
  const short =
    words.length === 1 ? words[0]!.slice(0, 4) : words.map((word) => (/^\d/.test(word) ? word : word[0]!)).join('');
  return short.toUpperCase();
}

function variantsOf(product: DemoProduct, options: Option[], pictures: Picture[]): Variant[] {
  const random = seeded(seedOf(`${product.title} stock`));
  const code = product.title
    .replace(/[^A-Za-z0-9 ]/g, '')
    .split(' ')
    .filter((word) => !/^(per|of|and|with)$/i.test(word))
    .map((word) => (/^\d/.test(word) ? word : word.slice(0, 2)))
    .join('')
    .toUpperCase()
    .slice(0, 8);
  return combinations(options).map((values, at) => {
    const names = options.map((option, i) => option.values.find((value) => value.id === values[i])!.name);
    const colour = product.colours ? names[0] : undefined;
    const extra = product.option
      ? ((product.option.slice(1) as [string, number][]).find(([name]) => name === names.at(-1))?.[1] ?? 0)
      : 0;
    const price = minor(product.price + extra);
    const costShare = product.odd === 'belowCost' ? 1.1 : 0.36 + random() * 0.2;
    const pictureAt = planPictures(product).findIndex((spec) => spec.colour !== undefined && spec.colour === colour);
    return {
      ...variantDepth(product, names, at),
      id: newId('variant'),
      values,
      sku: [code, ...names.map(shortCode)].filter(Boolean).join('-'),
      price,
      salePrice: product.sale ? minor(product.sale + extra) : null,
      cost: product.kind ? null : Math.round(price * costShare),
      pictureId: pictures[pictureAt]?.id ?? null,
      stock: stockOf(product, random),
    };
  });
}

function describe(product: DemoProduct): string {
  const lines = {
    air: [
      'Comes rigged, in a sleeve with a loop to hang it up.',
      'Sewn, not glued: every seam can be opened and mended.',
      'Spare parts for it are here, one by one.',
    ],
    ground: [
      'Tried on our own kites for at least one winter.',
      'Sent in paper, not plastic.',
      'If it is not what you need, send it back within 30 days.',
    ],
    digital: [
      'You can download it as soon as it is paid.',
      'Print at 100 %, without “fit to page”.',
      'Questions are answered by the one who drew it.',
    ],
    bundle: [
      'Packed by us on the day you order.',
      'Each part can be had alone as well, and sent back alone.',
      'Something in it is sold out? Write to us, we often know when it is back.',
    ],
  }[
    product.kind === 'digital' || product.kind === 'bundle'
      ? product.kind
      : flying.has(product.shape)
        ? 'air'
        : 'ground'
  ];
  return `<p>${product.summary}</p><h2>Good to know</h2><ul>${lines.map((line) => `<li>${line}</li>`).join('')}</ul>`;
}

/**
 * Fills an empty catalog with Lark & Line: categories, goods with pictures, collections, pages, a menu and a first
 * edition, then a few changes that are not live yet and some deliberate loose ends. Does nothing to a shop that exists.
 */
export async function seedDemo(
  catalog: Catalog,
  say: (line: string) => void,
  withPictures = true,
  /** sets the clock of the catalog back by so many days; without it the shop has no past */
  turnTo?: (daysAgo: number) => void,
): Promise<void> {
  if (!needsSetup(catalog.db)) {
    say('There is a shop already; it stays as it is.');
    return;
  }
  const { db } = catalog;
  const userId = await setUp(catalog, { shopName: 'Lark & Line', name: 'Robin', ...demoPerson });
  say('Drawing the pictures of the demo shop (about half a minute) …');
  const media = withPictures ? await drawAll(catalog, say) : new Map<string, StoredMedia[]>();
  const files = await keepFiles(catalog);
  const pageMedia = await keepPageMedia(catalog);
  const { background: _, ...icon } = await storePicture(
    db,
    catalog.mediaFolder,
    Buffer.from(iconSvg),
    'icon.svg',
    catalog.clock().toISOString(),
  );
  const categoryIds = new Map<string, string>();
  const tagIds = new Map<string, string>();
  const brandIds = new Map<string, string>();
  const productIds = new Map<string, string>();
  const now = catalog.clock().getTime();

  catalog.journal.change(written('Seeded the demo shop'), catalog.actor(null), () => {
    writeSettings(db, {
      ...catalog.working.shop.settings,
      name: 'Lark & Line',
      tagline: 'Kites and everything around them, from a harbour town with good wind.',
      timeZone: 'Europe/Amsterdam',
      contact,
      productPage,
      cards,
      selling,
      tax,
      domain: 'larkandline.example',
      signs: { ...noSigns, icon: { ...icon, alt: '', focus: { x: 0.5, y: 0.5 } } },
      synonyms: [
        ['kid', 'child', 'children', 'beginner', 'first kite'],
        ['stunt kite', 'sport kite'],
        ['voucher', 'gift card'],
        ['string', 'cord', 'line'],
        ['spool', 'bobbin', 'reel', 'winder'],
        ['rod', 'tube', 'spar'],
        ['fabric', 'cloth'],
        ['power kite', 'parafoil', 'foil'],
        ['evening', 'night', 'dark'],
        ['big', 'large', 'huge'],
        ['small', 'mini', 'little'],
        ['cheap', 'under 25'],
        ['course', 'lesson', 'workshop'],
        { from: ['plane', 'aeroplane'], to: ['glider'] },
      ],
    });
    const addCategories = (list: DemoCategory[], parentId: string | null) =>
      list.forEach(({ name, text = '', below = [], sheet }, position) => {
        const category: Category = {
          ...categoryDefaults,
          id: newId('category'),
          parentId,
          position,
          name,
          slug: slugFrom(name),
          text,
          specSheetId: sheet ? specSheets.find((each) => each.name === sheet)!.id : null,
        };
        categoryIds.set(name, category.id);
        putCategory(db, category);
        addCategories(below, category.id);
      });
    for (const sheet of specSheets) putSpecSheet(db, sheet);
    addCategories(categories, null);
    for (const { name, text } of brands) {
      brandIds.set(name, newId('brand'));
      const own = { id: brandIds.get(name)!, name, slug: slugFrom(name), text, listed: text !== '' };
      putNamed(db, 'brand', { ...namedDefaults, ...own });
    }
    for (const name of [...new Set(products.flatMap((product) => product.tags))].sort()) {
      tagIds.set(name, newId('tag'));
      putNamed(db, 'tag', { ...namedDefaults, id: tagIds.get(name)!, name, slug: slugFrom(name) });
    }
    for (const list of optionLists) putOptionList(db, list);
    const slugs = new Set<string>();
    products.forEach((product, i) => {
      const id = newId('product');
      productIds.set(product.title, id);
      const slug = freeSlug(slugFrom(product.title), (wanted) => slugs.has(wanted));
      slugs.add(slug);
      const { title, summary, kind = 'physical', featured = false } = product;
      const { relations, ...plain } = depthOf(product, now);
      insertProduct(
        db,
        id,
        {
          kind,
          title,
          summary,
          description: describe(product),
          slug,
          status: product.odd === 'draft' ? 'draft' : 'live',
          featured,
          brandId: brandIds.get(product.brand)!,
          ...plain,
          ...relations,
          files: files.get(title) ?? [],
          downloadLimit: kind === 'digital' ? 5 : null,
          downloadDays: kind === 'digital' ? 30 : null,
        },
        new Date(now - ((i * 37) % 400) * DAY - i * 60_000).toISOString(),
      );
      setProductCategories(db, id, [categoryIds.get(product.category)!]);
      setProductTags(
        db,
        id,
        product.tags.map((tag) => tagIds.get(tag)!),
      );
      const options = optionsOf(product);
      const plan = planPictures(product);
      const pictures = (media.get(title) ?? []).map((stored, at): Picture => ({
        ...stored,
        id: newId('picture'),
        alt: plan[at]!.alt,
        focus: { x: 0.5, y: flying.has(product.shape) ? 0.42 : 0.5 },
        // Long things are wholly seen rather than cut.
        fit: stored.width > 2 * stored.height || stored.height > 2 * stored.width ? 'fits' : 'fills',
      }));
      setOptions(db, id, options);
      setPictures(db, id, pictures);
      setVariants(db, id, variantsOf(product, options, pictures));
    });
    for (const product of products) relate(product);
    fillBundles();
    addCollections();
  });
  const sales = products.flatMap(({ title, kind }) =>
    kind === 'bundle' ? [] : salesOf(title, productIds.get(title)!, now),
  );
  recordSales(catalog, sales);
  putVisits(catalog, now);
  const sellingIds = {
    tag: (name: string) => tagIds.get(name)!,
    category: (name: string) => categoryIds.get(name)!,
    brand: (name: string) => brandIds.get(name)!,
    product: (title: string) => catalog.working.products.get(productIds.get(title)!)!,
  };
  catalog.journal.change(written('Made the offers'), catalog.actor(userId), () => putOffers(catalog, sellingIds, now));
  catalog.journal.change(written('Put goods on other sites'), catalog.actor(userId), () => putElsewhere(catalog.db));
  addLegalPages(catalog, userId, { pages: [...legalKeys] });
  speakGerman(catalog, userId);
  const called = new Map([...catalog.working.shop.collections.values()].map(({ name, id }) => [name, id]));
  askedFor(
    catalog,
    userId,
    { ...sellingIds, product: (title) => productIds.get(title)!, collection: (name) => called.get(name)! },
    now,
  );
  for (const step of ['tax', 'look']) putSkipped(db, step, true);
  if (turnTo) putPastEditions(catalog, userId, turnTo);
  else catalog.putLive('Opened the shop', userId);
  putPastOrders(catalog, sales);
  placeOrders(catalog, sellingIds, userId);

  function relate(product: DemoProduct): void {
    const { goesWith, stepUp } = relationsOf(product);
    const picked = (titles: string[]): Relation =>
      titles.length ? { how: 'picked', ids: titles.map((title) => productIds.get(title)!) } : { how: 'none' };
    updateProduct(db, productIds.get(product.title)!, { goesWith: picked(goesWith), stepUp: picked(stepUp) });
  }

  function fillBundles(): void {
    const ids = {
      product: (title: string) => productIds.get(title)!,
      tag: (name: string) => tagIds.get(name)!,
      category: (name: string) => categoryIds.get(name)!,
      slot: () => newId('slot'),
    };
    for (const bundle of bundles) updateProduct(db, ids.product(bundle.title), { bundle: bundleOf(bundle, ids) });
  }

  function addCollections(): void {
    const ids = {
      product: (title: string) => productIds.get(title)!,
      tag: (name: string) => tagIds.get(name)!,
      category: (name: string) => categoryIds.get(name)!,
    };
    const collectionIds = new Map<string, string>();
    demoCollections(ids, now).forEach((collection, position) => {
      const id = newId('collection');
      collectionIds.set(collection.name, id);
      const source = collection.picked ? 'picked' : 'rule';
      putCollection(
        db,
        {
          ...collectionDefaults,
          id,
          slug: slugFrom(collection.name),
          source,
          picked: [],
          rule: EMPTY_RULE,
          order: NEWEST_FIRST,
          ...collection,
        },
        position,
      );
    });
    const home = [...catalog.working.shop.pages.values()].find((page) => page.home)!;
    putStorefront(
      db,
      home,
      {
        ...ids,
        collection: (name) => collectionIds.get(name)!,
        product: (title) => productIds.get(title)!,
      },
      pageMedia,
    );
  }

  const work = (title: string) => catalog.working.products.get(productIds.get(title)!)!;
  const sell = (title: string, change: (variant: Variant) => Partial<Variant>) => {
    const product = work(title);
    const changes = product.variants.map((variant) => ({ id: variant.id, fields: change(variant) }));
    changeVariants(catalog, userId, product.id, Number.MAX_SAFE_INTEGER, changes);
  };
  const tell = (title: string, fields: Parameters<typeof changeProduct>[3]['fields']) =>
    changeProduct(catalog, userId, productIds.get(title)!, { seen: Number.MAX_SAFE_INTEGER, fields });
  sell('Meridian box kite', (variant) => ({ price: variant.price + 400 }));
  sell('Ribbon tail 6 m', ({ price }) => ({ salePrice: price - 200 }));
  tell('Petrel delta 240', {
    title: 'Petrel delta 240 light',
    summary: 'Two metres forty of calm, now a quarter lighter.',
  });
  writeLetters(catalog);
  tell('Fishbone windsock', { status: 'live' });
  tell('Swivel clips', { status: 'off' });
  await putSuppliers(catalog, userId);
  say(`Seeded ${products.length} products.`);
}
