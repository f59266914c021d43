import { usualLook } from '../core/model/look';
import type { ShopData } from './data';
import { stillDrawn, withTyped } from './typed';

const card = (id: string, title: string) => ({ id, title }) as never;
const shop = { name: 'Lark & Line', tagline: '', locale: 'en', currency: 'EUR', look: usualLook };
const data = (page: unknown, url = '/'): ShopData =>
  ({ shop, base: '/preview', url, origin: '', menu: { items: [], footer: [], top: [] }, page }) as ShopData;

const product = {
  kind: 'product',
  variantId: null,
  strips: [],
  product: {
    id: 'p_1',
    title: 'Wren',
    summary: 'Small',
    description: '',
    crumbs: [{ label: 'Home', url: '/' }],
    variants: [
      { id: 'v_1', price: 2_000, wasPrice: null },
      { id: 'v_2', price: 1_500, wasPrice: 2_000 },
    ],
  },
};

test('what is typed into a product is drawn over what is saved, and nothing else changes', () => {
  const typed = {
    of: 'product' as const,
    id: 'p_1',
    fields: { title: 'Wren two' },
    prices: { v_1: 2_500, v_2: 3_000 },
  };
  const { page } = withTyped(data(product), [typed]) as never as { page: typeof product };
  expect(page.product.title).toBe('Wren two');
  expect(page.product.summary).toBe('Small');
  expect(page.product.variants).toEqual([
    { id: 'v_1', price: 2_500, wasPrice: null },
    // The price that is typed is the one before the sale.
    { id: 'v_2', price: 1_500, wasPrice: 3_000 },
  ]);
});

test('cards of the product follow, those of others stay', () => {
  const page = {
    kind: 'listing',
    title: 'Kites',
    text: '',
    listing: { items: [card('p_1', 'Wren'), card('p_2', 'Tern')] },
  };
  const typed = { of: 'product' as const, id: 'p_1', fields: { title: 'Wren two' }, prices: {} };
  const shown = withTyped(data(page), [typed]).page as never as { listing: { items: { title: string }[] } };
  expect(shown.listing.items.map(({ title }) => title)).toEqual(['Wren two', 'Tern']);
});

test('a group is known by its address, a section by its id, the shop on every page', () => {
  const listing = { kind: 'listing', title: 'Kites', text: 'All', listing: { items: [] } };
  const over = (url: string) =>
    (
      withTyped(data(listing, url), [{ of: 'listing', url: '/c/kites', fields: { title: 'Wings' } }]).page as never as {
        title: string;
      }
    ).title;
  expect([over('/c/kites?sort=newest'), over('/c/reels')]).toEqual(['Wings', 'Kites']);
  const page = { kind: 'page', page: { id: 'g_1', title: 'Home', sections: [] } };
  const drawn = { ...page.page, title: 'Being built' } as never;
  const pageAs = (id: string) => (withTyped(data(page), [{ of: 'page', id, drawn }]).page as never as typeof page).page;
  expect(pageAs('g_1')).toBe(drawn);
  expect(pageAs('g_2')).toBe(page.page);
  // The page that was drawn last is the one that stays.
  const [still] = stillDrawn(
    [{ of: 'page', id: 'g_1', drawn: page.page as never }],
    [{ of: 'page', id: 'g_1', drawn }],
  );
  expect(still).toMatchObject({ drawn: { title: 'Being built' } });
  expect(withTyped(data(page), [{ of: 'shop', fields: { name: 'Lark' } }]).shop.name).toBe('Lark');
});

test('a field that was just saved stays drawn beside one that is typed now, until fresh data comes', () => {
  const of = (fields: { title?: string; summary?: string }, prices = {}) => ({
    of: 'product' as const,
    id: 'p_1',
    fields,
    prices,
  });
  const drawn = stillDrawn([of({ title: 'Wren two' })], [of({ title: undefined, summary: 'S' }), of({}, { v_1: 900 })]);
  expect(drawn).toEqual([of({ title: 'Wren two', summary: 'S' }, { v_1: 900 })]);
  const shop = { of: 'shop' as const, fields: { name: 'Lark' } };
  expect(stillDrawn([of({ title: 'A' })], [shop])).toEqual([of({ title: 'A' }), shop]);
});
