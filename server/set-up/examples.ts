import { slugFrom, freeSlug } from '../../core/shared/slug';
import { storePicture } from '../media/picture-store';
import { newId } from '../shared/ids';
import type { Catalog } from '../state/catalog';
import { newVariant } from '../store/new-variant';
import { isSlugTaken } from '../store/groups';
import { deleteProduct, insertProduct, setPictures, setVariants } from '../store/put-products';
import { noteExample, readExamples } from '../store/set-up';

interface Example {
  title: string;
  summary: string;
  price: number;
  salePrice: number | null;
  featured: boolean;
  sky: [top: string, bottom: string];
  kite: [left: string, right: string];
}

/** Goods to try a look and a page on before there are any of one's own. */
const examples: readonly Example[] = [
  {
    title: 'Example: Morning delta',
    summary: 'Rises in the lightest breeze.',
    price: 3_900,
    salePrice: null,
    featured: true,
    sky: ['#bfe0ef', '#f6efe0'],
    kite: ['#e4572e', '#f3a712'],
  },
  {
    title: 'Example: Harbour diamond',
    summary: 'A first kite for small hands.',
    price: 1_450,
    salePrice: null,
    featured: true,
    sky: ['#d9e8f5', '#eef4f2'],
    kite: ['#12364a', '#2a7f9e'],
  },
  {
    title: 'Example: Meadow sled',
    summary: 'No spars, nothing to break.',
    price: 1_900,
    salePrice: 1_500,
    featured: false,
    sky: ['#e3f0d9', '#f8f6e6'],
    kite: ['#2f6b3a', '#8bbf5a'],
  },
  {
    title: 'Example: Dusk foil',
    summary: 'Pulls, and lands softly.',
    price: 8_900,
    salePrice: null,
    featured: false,
    sky: ['#4b4a78', '#f0b48c'],
    kite: ['#f7e7ce', '#d1495b'],
  },
  {
    title: 'Example: Reel, 50 metres',
    summary: 'Line that does not kink.',
    price: 1_200,
    salePrice: null,
    featured: false,
    sky: ['#efe9dd', '#e2d6c0'],
    kite: ['#7a4e2d', '#b98b5e'],
  },
  {
    title: 'Example: A kite with a rather long name that shows how titles run over',
    summary: 'To see what a long title does to a card.',
    price: 24_900,
    salePrice: null,
    featured: false,
    sky: ['#cfd8dc', '#eceff1'],
    kite: ['#37474f', '#90a4ae'],
  },
];

const drawing = ({ sky: [top, bottom], kite: [left, right] }: Example): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="1200" height="1200" viewBox="0 0 120 120"><defs><linearGradient id="s" x2="0" y2="1"><stop stop-color="${top}"/><stop offset="1" stop-color="${bottom}"/></linearGradient></defs><rect width="120" height="120" fill="url(#s)"/><path d="M60 22 84 52 60 92Z" fill="${right}"/><path d="M60 22 36 52 60 92Z" fill="${left}"/><path d="M36 52H84M60 22V92" stroke="#0003" fill="none"/><path d="M60 92q-8 9 2 14t-4 12" stroke="${left}" stroke-width="1.6" fill="none"/></svg>`;

/** Adds the examples with their pictures as one change, unless they are there. Answers how many came. */
export async function addExamples(catalog: Catalog, user: string): Promise<number> {
  const { db } = catalog;
  if (readExamples(db).size > 0) return 0;
  const at = catalog.clock().toISOString();
  const pictures = await Promise.all(
    examples.map((example) => storePicture(db, catalog.mediaFolder, Buffer.from(drawing(example)), 'example.svg', at)),
  );
  catalog.journal.change({ did: 'examplesAdded', count: examples.length }, catalog.actor(user), () =>
    examples.forEach((example, i) => {
      const { title, summary, price, salePrice, featured } = example;
      const id = newId('product');
      const slug = freeSlug(slugFrom(title), (wanted) => isSlugTaken(db, 'product', wanted));
      insertProduct(
        db,
        id,
        { kind: 'physical', title, summary, description: '', slug, status: 'live', featured, brandId: null },
        at,
      );
      setVariants(db, id, [{ ...newVariant([], { price, cost: null }), salePrice }]);
      const { media, width, height, background } = pictures[i]!;
      setPictures(db, id, [
        { id: newId('picture'), media, width, height, background, alt: '', focus: { x: 0.5, y: 0.5 }, fit: 'fills' },
      ]);
      noteExample(db, id, title);
    }),
  );
  return examples.length;
}

/** Deletes all examples that are still there, as one change that undo brings back. Answers how many went. */
export function removeExamples(catalog: Catalog, user: string): number {
  const ids = [...readExamples(catalog.db)];
  if (ids.length > 0)
    catalog.journal.change({ did: 'examplesRemoved', count: ids.length }, catalog.actor(user), () => {
      for (const id of ids) deleteProduct(catalog.db, id);
    });
  return ids.length;
}
