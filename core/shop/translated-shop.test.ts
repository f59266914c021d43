import fc from 'fast-check';
import { textHash } from '../languages/text-hash';
import { noLanguages } from '../model/languages';
import { emptySettings } from '../model/settings';
import { wordingKey, type WordedKind } from '../model/wording';
import { listingView } from '../storefront/listing-view';
import { productView } from '../storefront/product-view';
import { urlIn } from '../storefront/languages';
import { put, productArbitrary, productOf, NOW, shopOf } from '../testing/shop';
import type { ResolvedShop } from './resolved-shop';
import { countsIn, unitsOf } from './translation-units';

const german = { locale: 'de', isOn: true, untranslated: 'show' as const, synonyms: [] };

function speakGerman(shop: ResolvedShop, over: Partial<typeof german> = {}): void {
  const languages = { ...noLanguages, others: [{ ...german, ...over }] };
  put(shop, 'settings', 'shop', { ...emptySettings, languages });
}

/** Translates texts of a thing as they are now. */
function tell(
  shop: ResolvedShop,
  kind: WordedKind,
  id: string,
  texts: Record<string, [source: string, text: string]>,
  as: 'wording' | 'wordingDraft' = 'wording',
): void {
  const told = Object.fromEntries(
    Object.entries(texts).map(([path, [source, text]]) => [path, { text, of: textHash(source) }]),
  );
  put(shop, as, wordingKey({ locale: 'de', kind, id }), { locale: 'de', kind, id, texts: told });
}

const option = {
  id: 'o_1',
  name: 'Colour',
  values: [{ id: 'w_1', name: 'Ember', swatch: null, pictureId: null }],
};
const kite = productOf('p_kite', {
  title: 'Harrier delta',
  summary: 'A light kite',
  categoryIds: ['c_kites'],
  options: [option],
  variants: [{ ...productOf('p_kite').variants[0]!, values: ['w_1'] }],
});

function germanShop(): ResolvedShop {
  const shop = shopOf([kite, productOf('p_line', { title: 'Braided line', categoryIds: ['c_line'] })]);
  speakGerman(shop);
  return shop;
}

test('a product is told in its words, the rest in those of the main language', () => {
  const shop = germanShop();
  tell(shop, 'product', 'p_kite', {
    title: ['Harrier delta', 'Weihe Deltadrachen'],
    slug: ['p-kite', 'weihe'],
  });
  tell(shop, 'option', 'colour', { name: ['Colour', 'Farbe'], 'values.ember': ['Ember', 'Glut'] });
  const view = productView(shop.inLanguage('de'), shop.inLanguage('de').products.get('p_kite')!);
  expect(view).toMatchObject({ title: 'Weihe Deltadrachen', slug: 'weihe', summary: 'A light kite' });
  // Keys stay those of the main language, so that addresses and baskets mean the same.
  expect(view.options[0]).toMatchObject({ key: 'colour', label: 'Farbe', values: [{ key: 'ember', label: 'Glut' }] });
  expect(view.variants[0]!.options).toEqual({ colour: 'ember' });
  expect(productView(shop, kite).title).toBe('Harrier delta');
});

test('a translation is followed as soon as it is there, and kept while nothing of it changes', () => {
  const shop = germanShop();
  const before = shop.inLanguage('de').products.get('p_kite');
  tell(shop, 'product', 'p_line', { title: ['Braided line', 'Geflochtene Leine'] });
  expect(shop.inLanguage('de').products.get('p_kite')).toBe(before);
  tell(shop, 'product', 'p_kite', { title: ['Harrier delta', 'Weihe'] });
  expect(shop.inLanguage('de').products.get('p_kite')!.title).toBe('Weihe');
  put(shop, 'wording', 'de/product/p_kite', undefined);
  expect(shop.inLanguage('de').products.get('p_kite')!.title).toBe('Harrier delta');
});

test('search finds what is written in the language, by its forms, and no longer what was translated', () => {
  const shop = germanShop();
  tell(shop, 'product', 'p_kite', { title: ['Harrier delta', 'Lenkdrachen für Kinder'] });
  const found = (q: string) =>
    listingView(
      shop.inLanguage('de'),
      { at: { kind: 'all' }, q, page: 1, sort: '', choices: new Map(), price: null, spans: new Map() },
      NOW,
    ).items.map(({ title }) => title);
  expect(found('Lenkdrachen')).toEqual(['Lenkdrachen für Kinder']);
  expect(found('kind')).toEqual(['Lenkdrachen für Kinder']);
  expect(found('harrier')).toEqual([]);
  tell(shop, 'product', 'p_kite', { title: ['Harrier delta', 'Weihe'] });
  expect([found('Lenkdrachen'), found('weihe')]).toEqual([[], ['Weihe']]);
  put(shop, 'product', 'p_kite', undefined);
  expect(found('weihe')).toEqual([]);
});

test('drafts are seen only where they are asked for', () => {
  const shop = germanShop();
  tell(shop, 'product', 'p_kite', { title: ['Harrier delta', 'Entwurf'] }, 'wordingDraft');
  expect(shop.inLanguage('de').products.get('p_kite')!.title).toBe('Harrier delta');
  expect(shop.inLanguage('de', true).products.get('p_kite')!.title).toBe('Entwurf');
});

test('where the seller wants it, shoppers do not meet what has no name in their language', () => {
  const shop = germanShop();
  speakGerman(shop, { untranslated: 'hide' as never });
  tell(shop, 'product', 'p_kite', { title: ['Harrier delta', 'Weihe'] });
  const told = shop.inLanguage('de');
  expect(told.listed.toArray().map((slot) => told.index.id(slot))).toEqual(['p_kite']);
  expect(shop.listed.count()).toBe(2);
});

test('an address leads to the same thing in the other language, and back', () => {
  const shop = germanShop();
  tell(shop, 'product', 'p_kite', { slug: ['p-kite', 'weihe'] });
  tell(shop, 'category', 'c_deltas', { slug: ['deltas', 'deltadrachen'] });
  const told = shop.inLanguage('de');
  expect(urlIn(shop, told, '/p/p-kite?v=x')).toBe('/p/weihe');
  expect(urlIn(told, shop, '/p/weihe')).toBe('/p/p-kite');
  expect(urlIn(shop, told, '/search?q=a&f.category=deltas&f.colour=ember')).toBe(
    '/search?q=a&f.colour=ember&f.category=deltadrachen',
  );
  // The address of the main language is nobody's where there is a translated one.
  expect([told.bySlug('product', 'weihe'), told.bySlug('product', 'p-kite')]).toEqual(['p_kite', undefined]);
});

const ids = ['p_a1', 'p_b1', 'p_c1'] as const;

test('law: a change of a text marks its translation as changed, and no other', () =>
  fc.assert(
    fc.property(
      fc.uniqueArray(productArbitrary(fc.constantFrom(...ids)), { selector: ({ id }) => id, minLength: 2 }),
      fc.nat(),
      (products, pick) => {
        const shop = shopOf(products);
        speakGerman(shop);
        for (const { id } of products)
          tell(
            shop,
            'product',
            id,
            Object.fromEntries(
              unitsOf(shop, 'de', 'product', id).map(({ path, text }) => [path, [text, `de ${text}`]]),
            ),
          );
        const changed = products[pick % products.length]!;
        put(shop, 'product', changed.id, { ...changed, title: `${changed.title} again` });
        const states = products.flatMap(({ id }) =>
          unitsOf(shop, 'de', 'product', id).flatMap(({ path, state }) =>
            state === 'done' ? [] : [`${id} ${path} ${state}`],
          ),
        );
        expect(states).toEqual([`${changed.id} title changed`]);
        expect(countsIn(shop, 'de').product).toMatchObject({ missing: 0, changed: 1 });
      },
    ),
    { numRuns: 40 },
  ));

test('law: in another language there are the same goods at the same prices in the same places', () =>
  fc.assert(
    fc.property(
      fc.uniqueArray(productArbitrary(fc.constantFrom(...ids)), { selector: ({ id }) => id, minLength: 1 }),
      fc.constantFrom('all', 'c_kites', 'c_line'),
      fc.constantFrom('', 'featured', 'newest', 'price-up'),
      (products, at, sort) => {
        const shop = shopOf(products);
        speakGerman(shop);
        for (const { id, title } of products) tell(shop, 'product', id, { title: [title, `Zz ${id}`] });
        const request = {
          at: at === 'all' ? { kind: 'all' as const } : { kind: 'category' as const, id: at },
          q: '',
          page: 1,
          sort,
          choices: new Map(),
          price: null,
          spans: new Map(),
        };
        const told = (where: 'en' | 'de') => {
          const { items, total, facets } = listingView(shop.inLanguage(where), request, NOW);
          return { total, goods: items.map(({ id, price }) => ({ id, price })), facets: facets.map(({ key }) => key) };
        };
        expect(told('de')).toEqual(told('en'));
      },
    ),
    { numRuns: 60 },
  ));

test('law: nobody reads a key, whatever is translated', () =>
  fc.assert(
    fc.property(fc.subarray(['title', 'summary', 'slug']), (paths) => {
      const shop = germanShop();
      const sources = { title: 'Harrier delta', summary: 'A light kite', slug: 'p-kite' } as Record<string, string>;
      tell(shop, 'product', 'p_kite', Object.fromEntries(paths.map((path) => [path, [sources[path]!, `x-${path}`]])));
      const told = shop.inLanguage('de');
      const json = JSON.stringify([
        productView(told, told.products.get('p_kite')!),
        listingView(
          told,
          { at: { kind: 'all' }, q: '', page: 1, sort: '', choices: new Map(), price: null, spans: new Map() },
          NOW,
        ),
      ]);
      expect(json).not.toMatch(/\b(?:told|filter|sort|fact|strip|stock)\.[a-zA-Z]/);
    }),
  ));
