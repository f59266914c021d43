import fc from 'fast-check';
import { documentDefaults } from '../publishing/document-text';
import type { Feed } from '../model/feed';
import { textHash } from '../languages/text-hash';
import { noLanguages } from '../model/languages';
import { emptySettings } from '../model/settings';
import { productOf, put, shopOf } from '../testing/shop';
import { channels, verdictsOf } from './channels/channels';
import { feedPrice, feedRows } from './feed-rows';
import { feedValues } from './feed-values';

const ORIGIN = 'https://shop.example';
const variant = (id: string, over: object = {}) => ({
  id,
  values: [],
  sku: id.toUpperCase(),
  price: 1_000,
  salePrice: null,
  pictureId: null,
  ...documentDefaults.variant,
  ...over,
});
const feed = (over: Partial<Feed> = {}): Feed => ({
  id: 'fe_example',
  name: 'All',
  goods: { how: 'all' },
  per: 'variants',
  format: 'csv',
  fields: Object.keys(feedValues).map((from) => ({ name: from, from, words: '' })),
  dearer: 0,
  more: 0,
  soldOut: false,
  channel: null,
  ...over,
});
const cellsOf = (of: Feed, shop: ReturnType<typeof shopOf>) =>
  [...feedRows(shop, of, ORIGIN)].map(({ cells }) =>
    Object.fromEntries(of.fields.map(({ name }, i) => [name, cells[i]!])),
  );

test('a price elsewhere is never below zero, goes up with the price here, and is the price itself where nothing is added', () => {
  const amounts = fc.integer({ min: 0, max: 10_000_000 });
  const terms = fc.record({
    dearer: fc.integer({ min: -9_000, max: 50_000 }),
    more: fc.integer({ min: -10_000, max: 10_000 }),
  });
  fc.assert(
    fc.property(amounts, amounts, terms, (a, b, how) => {
      const [low, high] = [Math.min(a, b), Math.max(a, b)];
      expect(feedPrice(how, low)).toBeGreaterThanOrEqual(0);
      expect(feedPrice(how, high)).toBeGreaterThanOrEqual(feedPrice(how, low));
      expect(Number.isInteger(feedPrice(how, a))).toBe(true);
      expect(feedPrice({ dearer: 0, more: 0 }, a)).toBe(a);
    }),
  );
  expect(feedPrice({ dearer: 800, more: 50 }, 1_000)).toBe(1_130);
});

describe('the entries of a feed', () => {
  const options = [
    {
      id: 'o_colour1',
      name: 'Colour',
      values: [
        { id: 'w_red0001', name: 'Red', swatch: null, pictureId: null },
        { id: 'w_blue001', name: 'Blue', swatch: null, pictureId: null },
      ],
    },
  ];
  const shop = shopOf([
    productOf('p_tern001', {
      title: 'Tern',
      options,
      variants: [
        variant('v_red0001', { values: ['w_red0001'] }),
        variant('v_blue001', { values: ['w_blue001'], price: 1_200, salePrice: 900 }),
      ],
      description: '<p>Flies in <b>light</b> wind.</p>',
    }),
    productOf('p_wren001', { title: 'Wren', variants: [variant('v_wren001', { barcode: '4006381333931' })] }),
    productOf('p_asked01', { title: 'Asked for', priceOnRequest: true }),
    productOf('p_draft01', { title: 'Draft', status: 'draft' }),
  ]);

  test('are one for each variant, or one for each product; what is on request or not on the shop is none', () => {
    const titles = (per: Feed['per']) =>
      cellsOf(feed({ per }), shop)
        .map(({ title }) => title)
        .sort();
    expect(titles('variants')).toEqual(['Tern, Blue', 'Tern, Red', 'Wren']);
    expect(titles('products')).toEqual(['Tern', 'Wren']);
  });

  test('tell prices before and after a reduction, addresses of their own, and text without marks', () => {
    const told = cellsOf(feed(), shop).find(({ title }) => title === 'Tern, Blue')!;
    expect(told).toMatchObject({
      price: '12.00 EUR',
      salePrice: '9.00 EUR',
      amount: '9.00',
      link: 'https://shop.example/p/p-tern001?variant=v_blue001',
      description: 'Flies in light wind.',
      groupId: 'p_tern001',
      id: 'v_blue001',
      variant: 'Blue',
    });
    const [wren] = cellsOf(feed(), shop).filter(({ title }) => title === 'Wren');
    expect(wren).toMatchObject({ salePrice: '', link: 'https://shop.example/p/p-wren001', id: 'p_wren001' });
  });

  test('are told in the language of the feed, while that is on', () => {
    const spoken = shopOf([productOf('p_wren001', { title: 'Wren', variants: [variant('v_wren001')] })]);
    const on = (isOn: boolean) =>
      put(spoken, 'settings', 'shop', {
        ...emptySettings,
        languages: { ...noLanguages, others: [{ locale: 'de', isOn, untranslated: 'show', synonyms: [] }] },
      });
    const texts = {
      title: { text: 'Zaunkönig', of: textHash('Wren') },
      slug: { text: 'zaunkoenig', of: textHash('p-wren001') },
    };
    put(spoken, 'wording', 'de/product/p_wren001', { locale: 'de', kind: 'product', id: 'p_wren001', texts });
    const german = feed({ locale: 'de' });
    on(true);
    expect(cellsOf(german, spoken)).toMatchObject([
      { title: 'Zaunkönig', link: 'https://shop.example/de/p/zaunkoenig' },
    ]);
    expect(cellsOf(feed(), spoken)).toMatchObject([{ title: 'Wren', link: 'https://shop.example/p/p-wren001' }]);
    on(false);
    expect(cellsOf(german, spoken)).toMatchObject([{ title: 'Wren', link: 'https://shop.example/p/p-wren001' }]);
  });

  test('picked ones keep the order in which they were picked', () => {
    const goods = { how: 'picked' as const, ids: ['p_wren001', 'p_gone001', 'p_tern001'] };
    expect(cellsOf(feed({ goods, per: 'products' }), shop).map(({ title }) => title)).toEqual(['Wren', 'Tern']);
  });

  test('each value can be told of each entry, and none tells a cost', () => {
    for (const cells of cellsOf(feed(), shop))
      for (const [name, cell] of Object.entries(cells))
        expect([name, typeof cell === 'string' || Array.isArray(cell)]).toEqual([name, true]);
    expect(Object.keys(feedValues)).not.toContain('cost');
  });

  test.each(channels.map((channel) => [channel.name, channel] as const))(
    '%s says why of each entry that it refuses',
    (_name, channel) => {
      const verdicts = [...verdictsOf(shop, feed({ channel: channel.key, fields: [...channel.fields] }), ORIGIN)];
      expect(verdicts).toHaveLength(3);
      for (const { why } of verdicts) for (const words of why) expect(words).toMatch(/^\S.*\.$/);
      expect(channel.asks.length).toBeGreaterThan(0);
      // Without the fields that it asks for, it takes nothing.
      const bare = [
        ...verdictsOf(shop, feed({ channel: channel.key, fields: [{ name: 'x', from: 'title', words: '' }] }), ORIGIN),
      ];
      expect(bare.every(({ why }) => why.length > 0)).toBe(true);
    },
  );

  test('a long title is refused by its length, a short one is not', () => {
    const long = (length: number) =>
      shopOf([productOf('p_long001', { title: 'x'.repeat(length), variants: [variant('v_long001')] })]);
    const why = (length: number) =>
      [
        ...verdictsOf(long(length), feed({ channel: 'pier-market', fields: [...channels[0]!.fields] }), ORIGIN),
      ][0]!.why.join(' ');
    expect(why(71)).toMatch(/Its title has 71 letters/);
    expect(why(70)).not.toMatch(/title/);
  });
});

test('a price that is hidden while a product is sold out is in no feed', () => {
  const hidden = { variants: [variant('v_tern001')], hidePriceWhenSoldOut: true };
  const rows = (left: number) =>
    cellsOf(feed({ soldOut: true }), shopOf([productOf('p_tern001', hidden)], new Map([['v_tern001', left]])));
  expect([rows(1).length, rows(0).length]).toEqual([1, 0]);
});

test('what is sold out is told only where that is wanted', () => {
  const shop = shopOf([productOf('p_tern001', { variants: [variant('v_tern001')] })], new Map([['v_tern001', 0]]));
  expect(cellsOf(feed(), shop)).toEqual([]);
  expect(cellsOf(feed({ soldOut: true }), shop)[0]).toMatchObject({ availability: 'out of stock' });
});
