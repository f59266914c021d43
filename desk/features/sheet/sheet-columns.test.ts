import { sheetFields, type SheetProduct } from '../../../contract/sheet';
import type { SpecSheet } from '../../../core/model/spec-sheet';
import { sheetColumns, type SheetColumn } from './sheet-columns';

const sheet: SpecSheet = {
  id: 'x_kite',
  name: 'Kite',
  attributes: (['number', 'range', 'yesNo', 'choices', 'text'] as const).map((type) => ({
    id: type,
    name: type,
    type,
    unit: type === 'number' ? 'cm' : type === 'range' ? 'Bft' : '',
    choices:
      type === 'choices'
        ? [
            { id: 'q_1', name: 'Ripstop' },
            { id: 'q_2', name: 'Paper' },
          ]
        : [],
    heading: '',
    required: false,
    shown: true,
    filterable: true,
  })),
};
const columns = sheetColumns({
  brands: [{ value: 'b_1', label: 'Alula' }],
  categories: [{ value: 'c_1', label: 'Kites' }],
  tags: [
    { value: 't_1', label: 'indoor' },
    { value: 't_2', label: 'night flying' },
  ],
  sheets: [sheet],
});
const column = (key: string): SheetColumn => columns.find((each) => each.key === key)!;
const product = { kind: 'physical', unitPricing: 'm', specSheetId: 'x_kite', isOfParts: false } as SheetProduct;
const read = (key: string, typed: string) => column(key).read(typed, product);
const shown = (key: string, value: unknown) => column(key).show(value, product);

test('every field that a sheet may change has a column, and the specs one for each attribute', () => {
  for (const name of sheetFields) if (name !== 'specs' && name !== 'specSheetId') expect(column(name)).toBeDefined();
  for (const { id } of sheet.attributes) expect(column(`spec ${id}`)).toBeDefined();
});

test.each([
  ['title', '  Harrier ', 'Harrier'],
  ['status', 'dr', 'draft'],
  ['status', 'On the shop', 'live'],
  ['featured', 'y', true],
  ['brandId', 'alula', 'b_1'],
  ['brandId', ' ', null],
  ['tagIds', 'Indoor; night flying; indoor', ['t_1', 't_2']],
  ['categoryIds', '', []],
  ['taxClass', 'red', 'reduced'],
  ['weight', '1.2 kg', 1200],
  ['size', '35 x 12 x 4', { length: 350, width: 120, height: 40 }],
  ['dispatchDays', '3', 3],
  ['noindex', 'kept', true],
  ['variant price', '24,50', 2450],
  ['variant salePrice', '', null],
  ['variant stock', '', null],
  ['variant stock', '12', 12],
  ['variant content', '50 m', 50_000],
  ['variant barcode', '96385074', '96385074'],
  ['spec number', '1.8 m', 180_000],
  ['spec range', '2-5', { min: 2_000, max: 5_000 }],
  ['spec yesNo', 'No', false],
  ['spec choices', 'ripstop, Paper', ['q_1', 'q_2']],
  ['spec text', '', undefined],
])('in %s, “%s” is read as %j, and read back from how it is shown', (key, typed, value) => {
  expect(read(key, typed)).toEqual({ value });
  expect(read(key, shown(key, value))).toEqual({ value });
});

test.each([
  ['title', ' ', 'Title is needed.'],
  ['title', 'x'.repeat(201), 'At most 200 characters.'],
  ['status', 'gone', 'Type “on the shop” or “draft” or “off the shop”.'],
  ['brandId', 'Skua', 'There is no brand “Skua”.'],
  ['tagIds', 'indoor; wet', 'There is no tag “wet”.'],
  ['variant price', '', 'A price is needed.'],
  ['variant stock', 'many', 'Type a whole number, or nothing to not count.'],
  ['spec yesNo', 'maybe', 'Type yes or no.'],
  ['spec choices', 'Silk', 'There is no “Silk” to choose.'],
])('in %s, “%s” is refused: %s', (key, typed, problem) => expect(read(key, typed)).toEqual({ problem }));

test('cells that mean nothing for a product cannot be edited', () => {
  const can = (key: string, over: Partial<SheetProduct>) => column(key).canEdit({ ...product, ...over });
  expect(can('weight', { kind: 'digital' })).toBe(false);
  expect(can('variant weight', { kind: 'digital' })).toBe(false);
  expect(can('variant content', { unitPricing: null })).toBe(false);
  expect(can('variant price', { isOfParts: true })).toBe(false);
  expect(can('spec number', { specSheetId: null })).toBe(false);
  expect(
    ['weight', 'variant weight', 'variant content', 'variant price', 'spec number'].map((key) => can(key, {})),
  ).toEqual(Array(5).fill(true));
});
