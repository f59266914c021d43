import { freshBadge } from '../../core/model/cards';
import type { Settings } from '../../core/model/settings';
import type { Rule } from '../../core/model/rule';
import { addProduct, startServer, type Harness } from '../testing/harness';

let shop: Harness;
beforeEach(async () => void (shop = await startServer()));
afterEach(() => shop.close());

const post = async (path: string, body: object) => (await shop.call<{ id: string }>('POST', path, body)).body.id;
const ruleOn = (field: string, id: string): Rule => ({ match: 'all', of: [{ field, is: 'anyOf', value: [id] }] });

test('what named a tag names the one that it was merged into, everywhere, and undo brings all of it back', async () => {
  const seen = Number.MAX_SAFE_INTEGER;
  const [gusty, windy] = [await post('/api/tags', { name: 'gusty' }), await post('/api/tags', { name: 'windy' })];
  const rule = ruleOn('tag', gusty);
  const shelf = await post('/api/collections', { name: 'Wind', source: 'rule' });
  await shop.call('PATCH', `/api/collections/${shelf}`, { rule });
  await shop.call('POST', '/api/views', { name: 'Gusty goods', text: '', rule, sort: 'title' });
  const { product } = await addProduct(shop, 'Harrier');
  const fields = { tagIds: [gusty], goesWith: { how: 'rule', rule } };
  await shop.call('PATCH', `/api/products/${product.id}`, { seen, fields });
  const page = await post('/api/pages', { title: 'Beach week' });
  const target = { kind: 'tag', id: gusty };
  const sections = [
    {
      id: 's_000001',
      kind: 'banner',
      slides: [{ title: 'Fly', text: '', pictureOf: target, buttons: [{ words: '', to: target }] }],
    },
    { id: 's_000002', kind: 'strip', title: '', source: target, count: 4 },
  ];
  await shop.call('PATCH', `/api/pages/${page}`, { sections });
  await shop.call('PUT', '/api/menu', { items: [{ id: null, label: 'Gusty', target, items: [] }] });

  const { working } = shop.catalog;
  const named = () => {
    const { collections, menu, pages } = working.shop;
    return {
      shelf: collections.get(shelf)!.rule,
      product: working.products.get(product.id)!.relations.goesWith,
      tags: working.products.get(product.id)!.tagIds,
      menu: JSON.stringify(menu.items),
      sections: JSON.stringify(pages.get(page)!.sections),
    };
  };
  const before = named();
  const merged = await shop.call('POST', `/api/named/tag/${gusty}/merge`, { into: windy });
  expect(merged.status).toBe(200);
  expect(named()).toEqual(JSON.parse(JSON.stringify(before).replaceAll(gusty, windy)));
  const { body } = await shop.call<{ views: { rule: Rule }[] }>('GET', '/api/views');
  expect(body.views.map((view) => view.rule)).toEqual([ruleOn('tag', windy)]);

  const { body: status } = await shop.call<{ undo: { id: number; label: string } }>('GET', '/api/status');
  expect(status.undo.label).toMatch(/gusty/);
  expect((await shop.call('POST', `/api/undo?of=${status.undo.id}`)).status).toBe(200);
  expect(named()).toEqual(before);
});

test('tiles that name both categories name the one that stays once', async () => {
  const [a, b] = [await post('/api/categories', { name: 'Deltas' }), await post('/api/categories', { name: 'Kites' })];
  const page = await post('/api/pages', { title: 'Beach week' });
  const sections = [
    { id: 's_000001', kind: 'tiles', title: '', targets: [a, b].map((id) => ({ kind: 'category', id })) },
  ];
  await shop.call('PATCH', `/api/pages/${page}`, { sections });
  await shop.call('POST', `/api/categories/${a}/merge`, { into: b });
  const [section] = shop.catalog.working.shop.pages.get(page)!.sections;
  expect(section).toMatchObject({ kind: 'tiles', targets: [{ kind: 'category', id: b }] });
});

test('notice, layouts and badges go over too, the layout that a category has already stays, and undo brings all back', async () => {
  const [deltas, kites] = [
    await post('/api/categories', { name: 'Deltas' }),
    await post('/api/categories', { name: 'Kites' }),
  ];
  const { body: settings } = await shop.call<Settings>('GET', '/api/settings');
  const { parts } = settings.productPage;
  const at = (id: string) => ({ kind: 'category' as const, id });
  await shop.call('PATCH', '/api/settings', {
    notice: { text: 'New deltas', link: at(deltas) },
    listings: {
      ...settings.listings,
      own: [
        { at: at(deltas), columns: 2 },
        { at: at(kites), columns: 3 },
      ],
    },
    productPage: { ...settings.productPage, own: [{ of: at(deltas), parts, gallery: 'pairs', stays: 'none' }] },
    cards: { ...settings.cards, badges: [{ ...freshBadge('bdg_aaaaaa', 'rule'), rule: ruleOn('category', deltas) }] },
  });
  const { body: uses } = await shop.call<{ uses: { in: string }[] }>('GET', `/api/uses/category/${deltas}`);
  expect(uses.uses.map((use) => use.in)).toContain('settings');
  const { working } = shop.catalog;
  const before = JSON.stringify(working.shop.settings);
  expect((await shop.call('POST', `/api/categories/${deltas}/merge`, { into: kites })).status).toBe(200);
  const { notice, listings, productPage, cards } = working.shop.settings;
  expect(notice.link).toEqual(at(kites));
  expect(listings.own).toEqual([{ at: at(kites), columns: 3 }]);
  expect(productPage.own.map(({ of }) => of)).toEqual([at(kites)]);
  expect(JSON.stringify(cards.badges)).toContain(kites);
  expect(JSON.stringify(working.shop.settings)).not.toContain(deltas);
  await shop.call('POST', '/api/undo');
  expect(JSON.stringify(working.shop.settings)).toBe(before);
});
