import type { ChosenListing } from '../core/model/chosen-listing';
import { fold } from '../core/shared/fold';
import { changeChosen, chooseListing, filtersAnswer } from '../server/languages/engines';
import { takeForwards } from '../server/languages/forwards';
import { changeProduct } from '../server/products/product-writes';
import type { Catalog } from '../server/state/catalog';
import { putForward } from '../server/store/forwards';
import { setNoindex } from '../server/store/noindex';
import { noteMissed, noteOpened, noteSearched } from '../server/store/shopper-counts';

interface Ids {
  category: (name: string) => string;
  collection: (name: string) => string;
  product: (title: string) => string;
}

interface Narrowed {
  title: string;
  at: ChosenListing['at'];
  /** labels of filters, each with labels of its values */
  filters: Readonly<Record<string, readonly string[]>>;
  text: string;
  metaDescription?: string;
}

/** Three that are of use, one in which nothing is left, and one of a listing that is kept from search engines. */
const narrowed = ({ category, collection }: Ids): Narrowed[] => [
  {
    title: 'Sport kites of Norrwind',
    at: { kind: 'category', id: category('Dual-line kites') },
    filters: { Brand: ['Norrwind'] },
    text: 'Two lines, a strong frame and vents for grown-up breezes: the sport kites that Norrwind sews on its windy coast.',
    metaDescription:
      'Sport kites by Norrwind, flown on our own beach before they are sold. Sent within two working days, 30 days to change your mind.',
  },
  {
    title: 'Deltas with a carbon frame',
    at: { kind: 'category', id: category('Deltas') },
    filters: { Frame: ['Carbon'] },
    text: 'Stiff, light and quick to lift: deltas on carbon spars for those days on which the flags hardly move.',
  },
  {
    title: 'Kites for beginners',
    at: { kind: 'category', id: category('Kites') },
    filters: { Skill: ['Beginner'] },
    text: 'Kites that lift by themselves and forgive a clumsy hand. If this is your first one, it is in this list.',
  },
  {
    title: 'Box kites with a bamboo frame',
    at: { kind: 'category', id: category('Box kites') },
    filters: { Frame: ['Bamboo'] },
    text: 'Four spars of split bamboo and a sail of cotton: steady in strong wind, and a pleasure to look at on the wall.',
  },
  {
    title: 'Best sellers of Tern & Tackle',
    at: { kind: 'collection', id: collection('Best sellers') },
    filters: { Brand: ['Tern & Tackle'] },
    text: 'Reels and winders that leave the shop most often, made in the next harbour by people who fly themselves.',
  },
];

/** Paths of the shop that Lark & Line had before. */
const oldPaths = ({ category, collection, product }: Ids) => [
  { path: '/shop/harrier-180.html', to: { kind: 'product' as const, id: product('Harrier delta 180') } },
  { path: '/shop/skua.html', to: { kind: 'product' as const, id: product('Skua sport kite') } },
  { path: '/shop/kites', to: { kind: 'category' as const, id: category('Kites') } },
  { path: '/shop/repairs', to: { kind: 'product' as const, id: product('Kite repair by the hour') } },
  { path: '/blog/night-flying', to: { kind: 'collection' as const, id: collection('Night flyers') } },
  { path: '/blog/the-great-storm', to: null },
];

/** Locale, words, times a week, title of what was opened then. */
const searches: readonly (readonly [string, string, number, string?])[] = [
  ['en', 'delta', 46, 'Harrier delta 180'],
  ['en', 'kite for kids', 31, 'School sled'],
  ['en', 'parafoil', 24],
  ['en', 'box kite', 22, 'Meridian box kite'],
  ['en', 'gift card', 19, 'Gift card'],
  ['de', 'lenkdrachen', 17, 'Skua sport kite'],
  ['en', 'kitesurf', 14],
  ['en', 'line', 12, 'Braided line'],
  ['de', 'drachenschnur', 9],
  ['en', 'opening hours', 8],
  ['de', 'einleiner', 7, 'Wagtail delta 120'],
  ['en', 'fiberglass rod', 6, 'Glass-fibre spar'],
  ['en', 'led lights', 5],
];

const missed: readonly (readonly [string, number])[] = [
  ['/shop/petrel-240.html', 41],
  ['/shop/box-kites', 18],
  ['/p/harier-delta-180', 11],
  ['/blog/winter-on-the-quay', 7],
  ['/catalogue-2019.pdf', 4],
];

const DAY = 86_400;

/** What search engines and shoppers ask of the demo shop; what does not go together is there once of each sort. */
export function askedFor(catalog: Catalog, user: string, ids: Ids, now: number): void {
  const { db } = catalog;
  for (const { title, at, filters, ...words } of narrowed(ids)) {
    const known = filtersAnswer(catalog, { kind: at?.kind, id: at?.id }).filters;
    const choices = Object.entries(filters).map(([label, labels]) => {
      const filter = known.find((each) => each.label === label);
      if (!filter) throw new Error(`No filter “${label}” for ${title}.`);
      // What nothing has any more is in no filter; its name is what it was chosen by.
      const values = labels.map((name) => filter.values.find((each) => each.label === name)?.value ?? fold(name));
      return { key: filter.key, values };
    });
    const id = chooseListing(catalog, user, { at, choices, title });
    changeChosen(catalog, user, id, words);
  }
  const collection = ids.collection('Best sellers');
  catalog.journal.change({ did: 'indexChanged', name: 'Best sellers', shown: false }, catalog.actor(user), () =>
    setNoindex(db, 'collection', collection, true),
  );
  changeProduct(catalog, user, ids.product('Skua dual-line foil'), {
    seen: Number.MAX_SAFE_INTEGER,
    fields: { metaTitle: 'A foil for the beach' },
  });
  changeProduct(catalog, user, ids.product('Beach foil 1.0'), {
    seen: Number.MAX_SAFE_INTEGER,
    fields: { metaTitle: 'A foil for the beach' },
  });
  takeForwards(catalog, user, { forwards: oldPaths(ids) });
  // It was written before there were foils, and nobody has looked at it since.
  const { slug } = catalog.working.shop.categories.get(ids.category('Foils'))!;
  catalog.journal.change({ did: 'forwardsChanged', count: 1 }, catalog.actor(user), () =>
    putForward(db, { path: `/c/${slug}`, to: { kind: 'category', id: ids.category('Dual-line kites') }, by: 'hand' }),
  );
  const today = Math.floor(now / 1_000 / DAY) * DAY;
  for (const [locale, words, times, opened] of searches) {
    for (let week = 0; week < 4; week += 1)
      noteSearched(db, {
        locale,
        words,
        day: today - (week * 7 + 2) * DAY,
        times: times - week,
        found: opened === undefined ? 0 : 1,
      });
    if (opened !== undefined)
      noteOpened(db, { locale, words, productId: ids.product(opened), times: Math.ceil(times * 1.5) });
  }
  for (const [path, times] of missed)
    noteMissed(db, { path, times, last: new Date(now - 2 * DAY * 1_000).toISOString() });
}
