import type { ExchangeColumn } from './column';
import { decimalMarkOf, delimiterOf, headingKey, recogniseColumns } from './recognise';

const column = (key: string, label: string, ...aliases: string[]) =>
  ({ key, label, aliases }) as unknown as ExchangeColumn;
const columns = [
  column('title', 'Title', 'name', 'produktname'),
  column('variant price', 'Price', 'preis', 'selling price'),
  column('variant salePrice', 'Sale price', 'angebotspreis'),
  column('variant barcode', 'Barcode', 'gtin', 'ean'),
  column('variant sku', 'SKU', 'item number'),
  column('pictures', 'Pictures', 'images'),
  column('categoryIds', 'Categories', 'kategorien'),
  column('description', 'Description'),
];
const recognised = (head: string[], rows: string[][] = [], earlier = new Map<string, string>()) =>
  recogniseColumns({ head, rows }, columns, earlier);
const keys = (...asked: Parameters<typeof recognised>) => recognised(...asked).map(({ key }) => key);

test('headings are read whatever their capitals, underscores and language', () => {
  expect(keys(['PRODUKTNAME', 'selling_price', 'Item-Number', 'GTIN', 'sale price (EUR)'])).toEqual([
    'title',
    'variant price',
    'variant sku',
    'variant barcode',
    'variant salePrice',
  ]);
  expect(keys(['sellingPrice', 'itemNumber'])).toEqual(['variant price', 'variant sku']);
  expect([headingKey('sellingPrice'), headingKey(' Selling__Price: ')]).toEqual(['selling price', 'selling price']);
});

test('its own name is surer than what others call it, and both are surer than half of a name', () => {
  const [own, other, half] = recognised(['Title', 'preis', 'sale amount']).map(({ confidence }) => confidence);
  expect(own).toBe(1);
  expect(other).toBe(0.95);
  expect(half).toBeLessThan(0.6);
});

test('no field is given to two columns: the surer one has it, of two that are as sure the first', () => {
  expect(keys(['name', 'Title'])).toEqual([null, 'title']);
  expect(keys(['Title', 'Title'])).toEqual(['title', null]);
});

test('what was chosen for a heading before is kept, unless the field is gone', () => {
  const earlier = new Map([
    ['my words', 'description'],
    ['title', 'variant sku'],
    ['gone', 'a field that is not there'],
  ]);
  expect(keys(['My_Words', 'Title', 'gone'], [], earlier)).toEqual(['description', 'variant sku', null]);
  expect(recognised(['My words'], [], earlier)[0]).toMatchObject({ confidence: 1, why: 'as you chose before' });
});

test.each([
  ['variant barcode', ['4006381333931', '5901234123457', '4006381333931']],
  ['variant price', ['€ 24.50', '12,00 €', '$9']],
  ['pictures', ['tern-red.jpg', 'https://example.com/a/wren.PNG', 'x.webp']],
  ['categoryIds', ['Kites > Deltas', 'Kites / Boxes', 'Reels']],
  ['description', ['<p>Flies</p>', 'plain', '<ul><li>a</li></ul>']],
])('a heading that says nothing is known by its values: %s', (key, values) => {
  expect(
    keys(
      ['Column 7'],
      values.map((value) => [value]),
    ),
  ).toEqual([key]);
});

test('digits that are no barcodes are not taken for some, and an empty column for nothing', () => {
  const rows = ['12345678901234', '11111111', '99999999'].map((value) => [value, '']);
  expect(keys(['a', 'b'], rows)).toEqual([null, null]);
});

test('the decimal mark is that of most numbers; thousands do not count', () => {
  const mark = (...cells: string[]) => decimalMarkOf({ head: [], rows: cells.map((cell) => [cell]) });
  expect(mark('1.234,50', '12,9', '7.5')).toBe(',');
  expect(mark('€1,234.50', '12.90 EUR', '3,5')).toBe('.');
  expect(mark('1,234', '5,678')).toBe('.');
  expect(mark('words', '')).toBe('.');
});

test('the delimiter stands equally often in most lines, whatever stands in quotation marks', () => {
  expect(delimiterOf('a;b;c\n"x,y,z,w";1,5;2\n"one ""two"" ;;;";2;3')).toBe(';');
  expect(delimiterOf('a|b\r\n1|2\r\n3|4')).toBe('|');
  expect(delimiterOf('a,b\rc,d\re,f')).toBe(',');
  expect(delimiterOf('')).toBe(',');
});
