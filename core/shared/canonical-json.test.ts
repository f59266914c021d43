import fc from 'fast-check';
import { canonicalJson, ObjectForm } from './canonical-json';

const keys = ['a', 'b', 'title', 'price', 'constructor', '10', '9'];
const value = fc.oneof(fc.jsonValue({ maxDepth: 2 }), fc.constantFrom(null, '', 0), fc.constant([]));
/** An object with these keys in any order. */
const object = fc
  .shuffledSubarray(keys)
  .chain((some) => fc.tuple(...some.map((key) => fc.tuple(fc.constant(key), value))))
  .map((pairs) => Object.fromEntries(pairs) as Record<string, unknown>);

test('canonical JSON is JSON, and the same whatever the order of keys', () => {
  fc.assert(
    fc.property(object, (one) => {
      const other = Object.fromEntries(Object.entries(one).reverse());
      expect(canonicalJson(other)).toBe(canonicalJson(one));
      expect(JSON.parse(canonicalJson(one))).toEqual(JSON.parse(JSON.stringify(one)));
    }),
  );
});

test('a form writes only what it names, and that only where it is not as usual, whatever it wrote before', () => {
  fc.assert(
    fc.property(fc.subarray(keys), object, fc.array(object, { maxLength: 6 }), (only, usual, bodies) => {
      const form = new ObjectForm({ only, usual });
      for (const body of bodies) {
        const isLeftOut = (key: string) =>
          !only.includes(key) || (Object.hasOwn(usual, key) && canonicalJson(body[key]) === canonicalJson(usual[key]));
        const expected = Object.fromEntries(Object.entries(body).filter(([key]) => !isLeftOut(key)));
        expect(form.text(body)).toBe(canonicalJson(expected));
      }
    }),
  );
});

test('parts are written as they are told', () => {
  const form = new ObjectForm({ only: ['a', 'c'] });
  expect(form.text({ c: [1], b: [2], a: 3 }, { c: '"as told"' })).toBe('{"a":3,"c":"as told"}');
});
