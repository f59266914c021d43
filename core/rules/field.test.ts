import { checkRule } from './check';
import { eachFacet, operatorsFor, type Field } from './field';
import { membersOf } from './members';
import { takesIn } from './predicate';
import type { Condition } from '../model/rule';
import { kiteSheet, NOW, productOf, shopOf } from '../testing/shop';

const rich = productOf('p_rich', {
  title: 'Night delta',
  featured: true,
  brandId: 'b_tern',
  categoryIds: ['c_deltas'],
  tagIds: ['t_night'],
  supplier: 'Tern & Tackle',
  description: '<p>Flies at night.</p>',
  specSheetId: kiteSheet.id,
  specs: { a_span: 2_000, a_glows: true },
});
const bare = productOf('p_bare');
const shop = shopOf([rich, bare]);
const fields = [...shop.fields.values()];

/** A condition with each operator of a field, on a value that a product has where that can be told. */
function conditionsOn(field: Field): Condition[] {
  const value = field.read(shop.facts('p_rich')!);
  const of = (is: Condition['is']): Condition['value'] => {
    if (['filled', 'empty', 'yes', 'no'].includes(is)) return null;
    if (is === 'anyOf' || is === 'noneOf')
      return (value as readonly string[]).filter((each) => field.choices?.has(each) ?? true);
    if (is === 'inLast') return 3;
    if (field.type === 'text') return String(value).slice(0, 4) || 'x';
    const number = Number.isFinite(value) ? (value as number) : 1;
    return is === 'between' ? [number, number] : number;
  };
  return operatorsFor(field).map((is) => ({ field: field.key, is, value: of(is) }));
}

test('groups, options and specs of the shop have fields beside those of every shop', () => {
  for (const key of ['title', 'price', 'collection', 'sold30', 'spec.a_span']) expect(shop.fields.has(key)).toBe(true);
});

test('labels tell the fields apart', () => {
  const labels = fields.map(({ label }) => label.toLowerCase());
  expect(new Set(labels).size).toBe(labels.length);
});

describe.each(fields.map((field) => [field.key, field] as const))('%s', (_key, field) => {
  test('is a field that can be asked with every operator of its type', () => {
    for (const condition of conditionsOn(field)) {
      const problems = checkRule({ match: 'all', of: [condition] }, shop.fields);
      // A product need not have a value to choose.
      if (Array.isArray(condition.value) && condition.value.length === 0) continue;
      expect([condition.is, problems]).toEqual([condition.is, []]);
    }
  });

  test('is answered by the index as by the product itself', () => {
    for (const condition of conditionsOn(field)) {
      const rule = { match: 'all' as const, of: [condition] };
      const members = membersOf(rule, shop.index, shop.fields, NOW);
      for (const { id } of [rich, bare])
        expect([condition.is, id, members.has(shop.index.slot(id)!)]).toEqual([
          condition.is,
          id,
          takesIn(rule, shop.facts(id)!, shop.fields, NOW),
        ]);
    }
  });
});

test('what a product is found by follows from the fields', () => {
  const told = new Map<string, string[]>();
  eachFacet(shop.facts('p_rich')!, (facet, value) => told.set(facet, [...(told.get(facet) ?? []), value]));
  expect(Object.fromEntries(told)).toMatchObject({
    category: expect.arrayContaining(['c_kites', 'c_deltas']) as unknown,
    tag: ['t_night'],
    brand: ['b_tern'],
    kind: ['physical'],
    featured: ['yes'],
    supplier: ['Tern & Tackle'],
    wordless: ['sku', 'barcode'],
  });
});
