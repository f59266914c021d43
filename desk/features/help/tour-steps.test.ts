import fc from 'fast-check';
import { nextStep, tourSteps, type ShopState } from './tour-steps';

const empty: ShopState = { products: 0, newest: null, collections: 0, edition: 0 };
const none = new Set<string>();
const newest = { id: 'p_1', title: 'Tern', status: 'draft' as const, places: 0, hasPicture: false };

test('from an empty shop, each step is next until the shop shows that it is done', () => {
  const states: ShopState[] = [
    empty,
    { ...empty, products: 1, newest },
    { ...empty, products: 1, newest: { ...newest, hasPicture: true } },
    { ...empty, products: 1, newest: { ...newest, hasPicture: true, status: 'live' } },
    { ...empty, products: 1, newest: { ...newest, hasPicture: true, status: 'live' }, collections: 1 },
    { ...empty, products: 1, newest: { ...newest, hasPicture: true, status: 'live', places: 2 }, collections: 1 },
    { products: 1, newest: { ...newest, hasPicture: true, status: 'live', places: 2 }, collections: 1, edition: 1 },
  ];
  expect(states.map((state) => nextStep(state, empty, none))).toEqual([0, 1, 2, 3, 4, 5, 6]);
});

test('in a shop that has goods, only what comes after the beginning counts', () => {
  const before = { products: 40, collections: 3, edition: 7 };
  expect(
    nextStep({ ...before, newest: { ...newest, status: 'live', hasPicture: true, places: 1 } }, before, none),
  ).toBe(0);
});

test('law: what was done stays done, whatever becomes of the shop', () => {
  const state = fc.record({
    products: fc.nat(3),
    newest: fc.option(
      fc.record({
        id: fc.constant('p_1'),
        title: fc.constant('Tern'),
        status: fc.constantFrom('draft', 'live', 'changed', 'off', 'soldOut'),
        places: fc.nat(2),
        hasPicture: fc.boolean(),
      }),
    ),
    collections: fc.nat(2),
    edition: fc.nat(2),
  }) as fc.Arbitrary<ShopState>;
  fc.assert(
    fc.property(state, fc.array(state, { maxLength: 6 }), (before, later) => {
      const done = new Set<string>();
      let reached = 0;
      for (const each of later) {
        const at = nextStep(each, before, done);
        expect(at).toBeGreaterThanOrEqual(reached);
        for (const { key } of tourSteps.slice(0, at)) done.add(key);
        reached = at;
      }
    }),
  );
});
