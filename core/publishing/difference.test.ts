import { NOW, productOf, shopOf } from '../testing/shop';
import { canonicalJson } from '../shared/canonical-json';
import { documentBody, documentText } from './document-text';
import { documentChange, placeChanges } from './difference';

const kite = (over: Parameters<typeof productOf>[1] = {}) =>
  productOf('p_kite', { title: 'Harrier', categoryIds: ['c_deltas'], ...over });

test('what shoppers notice is told field by field, in their words', () => {
  const live = shopOf([kite()]);
  const work = shopOf([
    kite({ title: 'Harrier 180', tagIds: ['t_night'], variants: [{ ...kite().variants[0]!, salePrice: 800 }] }),
  ]);
  expect(documentChange(live, work, 'product', 'p_kite')).toMatchObject({
    what: 'changed',
    fields: [
      { label: 'Title', before: 'Harrier', after: 'Harrier 180' },
      { label: 'Tags', before: '', after: 'Night' },
      { label: 'Price', before: '€10.00', after: '€8.00, was €10.00' },
    ],
  });
});

test('prices are told variant by variant where they differ, and in one line where they do not', () => {
  const options = [
    {
      id: 'o_1',
      name: 'Size',
      values: ['S', 'L'].map((name) => ({ id: `w_${name}`, name, swatch: null, pictureId: null })),
    },
  ];
  const sized = (...prices: number[]) =>
    kite({
      options,
      variants: prices.map((price, i) => ({ ...kite().variants[0]!, id: `v${i}`, values: [i ? 'w_L' : 'w_S'], price })),
    });
  const told = (before: number[], after: number[]) =>
    documentChange(shopOf([sized(...before)]), shopOf([sized(...after)]), 'product', 'p_kite')!.fields.map(
      ({ label, before: was, after: is }) => [label, was, is],
    );
  expect(told([700, 900], [500, 500])).toEqual([
    ['Price S', '€7.00', '€5.00'],
    ['Price L', '€9.00', '€5.00'],
  ]);
  expect(told([700, 700], [500, 500])).toEqual([['Price', '€7.00', '€5.00']]);
  expect(told([700, 700], [700, 500])).toEqual([['Price L', '€7.00', '€5.00']]);
});

test('a draft is not there for shoppers: putting it on the shop is new, taking it off is gone', () => {
  const [draft, live] = [shopOf([kite({ status: 'draft' })]), shopOf([kite()])];
  expect(documentChange(draft, live, 'product', 'p_kite')!.what).toBe('new');
  expect(documentChange(live, draft, 'product', 'p_kite')!.what).toBe('gone');
  expect(documentChange(draft, draft, 'product', 'p_kite')).toBeUndefined();
});

test('places tell who joins and who leaves, in categories above too', () => {
  const other = productOf('p_other', { categoryIds: ['c_line'] });
  const changes = placeChanges(shopOf([kite(), other]), shopOf([kite({ categoryIds: ['c_line'] }), other]), NOW);
  expect(changes.map(({ title, joined, left }) => [title, joined, left])).toEqual([
    ['Kites', [], ['p_kite']],
    ['Deltas', [], ['p_kite']],
    ['Line', ['p_kite'], []],
  ]);
});

test('a document holds what its effects follow from, but not stock, and equal bodies give equal text', () => {
  const variant = { ...kite().variants[0]!, cost: 400, stock: 7, warnAt: 3, supplierNumber: 'X-9' };
  const product = { ...kite(), supplier: 'Harbour Goods', variants: [variant] };
  const text = documentText({ kind: 'product', key: product.id, body: product });
  expect(text).not.toMatch(/stock|warnAt|supplierNumber/);
  const { stock: _stock, warnAt: _warnAt, supplierNumber: _number, ...shown } = variant;
  expect(documentBody('product', text)).toEqual({ ...product, variants: [shown] });
  expect(canonicalJson({ b: [1, { d: null, c: 2 }], a: undefined })).toBe(canonicalJson({ b: [1, { c: 2, d: null }] }));
});
