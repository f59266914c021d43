import { emptySettings, type Settings } from '../model/settings';
import { productOf, shopOf } from '../testing/shop';
import { setUpList } from './set-up-list';
import { setUpKeys } from './set-up-steps';

type Given = Partial<Parameters<typeof setUpList>[0]> & { settings?: Partial<Settings>; skipped?: string[] };

/** Keys of the steps that are done, or left as they are. */
function done({ settings, skipped = [], ...given }: Given = {}, products = [] as ReturnType<typeof productOf>[]) {
  const shop = shopOf(products);
  if (settings) shop.take({ documents: [{ kind: 'settings', key: 'shop', body: { ...emptySettings, ...settings } }] });
  const facts = { shop, edition: 0, isClosed: true, examples: new Set<string>(), ...given };
  return setUpList(facts, new Set(skipped))
    .filter(({ state }) => state !== 'open')
    .map(({ key }) => key);
}

test('the list has every step once, in the order in which people work', () => {
  const facts = { shop: shopOf([]), edition: 0, isClosed: true, examples: new Set<string>() };
  expect(setUpList(facts, new Set()).map(({ key }) => key)).toEqual(setUpKeys);
  expect(done()).toEqual([]);
});

test('the words of the shop count when its sentence is there, whatever it is called', () => {
  expect(done({ settings: { name: 'Lark & Line' } })).toEqual([]);
  expect(done({ settings: { name: 'My shop', tagline: 'Kites' } })).toEqual(['name']);
});

test('a product counts when it is the seller’s own; its price when shoppers could have it', () => {
  const draft = productOf('p_a1', { status: 'draft' });
  expect(done({}, [draft])).toEqual(['product']);
  expect(done({ examples: new Set(['p_a1']) }, [draft])).toEqual([]);
  expect(done({}, [productOf('p_a1')])).toEqual(['product', 'price']);
  expect(done({}, [productOf('p_a1', { categoryIds: ['c_kites'] })])).toEqual(['product', 'price', 'category']);
});

test('delivery needs both sentences, a domain a name, a look anything of one’s own', () => {
  const { productPage, look } = emptySettings;
  expect(done({ settings: { productPage: { ...productPage, deliveryWords: 'Soon' } } })).toEqual([]);
  expect(done({ settings: { productPage: { ...productPage, deliveryWords: 'Soon', returnWords: 'Gladly' } } })).toEqual(
    ['delivery'],
  );
  const { selling } = emptySettings;
  expect(done({ settings: { selling: { ...selling, payments: [] } } })).toEqual(['selling']);
  expect(done({ settings: { domain: 'kites.example' } })).toEqual(['domain']);
  expect(done({ settings: { look: { ...look, corners: 'square' } } })).toEqual(['look']);
});

test('it is live with an edition, and open once it is live and not closed', () => {
  expect(done({ edition: 1 })).toEqual(['live']);
  expect(done({ isClosed: false })).toEqual([]);
  expect(done({ edition: 1, isClosed: false })).toEqual(['live', 'open']);
});

test('only what can be left as it is, is', () => {
  expect(done({ skipped: [...setUpKeys] })).toEqual(['tax', 'selling', 'look', 'domain']);
});
