import fc from 'fast-check';
import { NOW } from './shop';
import type { Condition, Rule, RuleNode, VariantGroup } from '../model/rule';

const number = fc.constantFrom('below', 'atMost', 'equals', 'atLeast', 'above') as fc.Arbitrary<Condition['is']>;
const choices = (field: string, values: string[]) =>
  fc.record({
    field: fc.constant(field),
    is: fc.constantFrom('anyOf' as const, 'noneOf' as const),
    value: fc.uniqueArray(fc.constantFrom(...values, 'gone'), { maxLength: 2 }),
  });
const onVariant: fc.Arbitrary<Condition> = fc.oneof(
  fc.record({ field: fc.constant('price'), is: number, value: fc.integer({ min: 0, max: 6 }).map((x) => x * 100) }),
  fc.record({ field: fc.constant('stock'), is: number, value: fc.integer({ min: 0, max: 3 }) }),
  fc.record({
    field: fc.constant('onSale'),
    is: fc.constantFrom('yes' as const, 'no' as const),
    value: fc.constant(null),
  }),
  choices('option.colourway', ['ember', 'pine']),
  choices('option.size', ['s', 'l']),
);
const condition: fc.Arbitrary<Condition> = fc.oneof(
  onVariant,
  choices('category', ['c_kites', 'c_deltas', 'c_line']),
  choices('tag', ['t_indoor', 't_night']),
  choices('brand', ['b_alula', 'b_tern']),
  choices('kind', ['physical', 'digital']),
  choices('status', ['live', 'draft', 'off', 'soldOut', 'waiting', 'ended']),
  choices('spec.a_cloth', ['q_nylon', 'q_paper']),
  fc.record({
    field: fc.constantFrom('spec.a_span', 'spec.a_wind.from', 'spec.a_wind.upTo'),
    is: number,
    value: fc.integer({ min: 0, max: 4 }).map((n) => n * 1000),
  }),
  fc.record({
    field: fc.constant('spec.a_glows'),
    is: fc.constantFrom('yes' as const, 'no' as const),
    value: fc.constant(null),
  }),
  fc.record({
    field: fc.constant('title'),
    is: fc.constantFrom('contains' as const, 'starts' as const, 'equals' as const),
    value: fc.constantFrom('DELTA', 'night', 'wren sled', '', 'é'),
  }),
  fc.record({
    field: fc.constantFrom('created', 'lastSold'),
    is: fc.constant('inLast' as const),
    value: fc.integer({ min: 0, max: 60 }),
  }),
  fc.record({
    field: fc.constant('created'),
    is: fc.constantFrom('before' as const, 'after' as const),
    value: fc.integer({ min: NOW - 5_000_000, max: NOW }),
  }),
  fc.record({
    field: fc.constant('price'),
    is: fc.constant('between' as const),
    value: fc.tuple(fc.integer({ min: 0, max: 500 }), fc.integer({ min: 0, max: 500 })),
  }),
  fc.record({
    field: fc.constantFrom(
      'category',
      'tag',
      'brand',
      'supplier',
      'cost',
      'spec.a_span',
      'spec.a_cloth',
      'sku',
      'onSale',
      'lastSold',
    ),
    is: fc.constantFrom('filled' as const, 'empty' as const),
    value: fc.constant(null),
  }),
  fc.record({
    field: fc.constantFrom('margin', 'discount', 'cost', 'stockValue', 'pictures', 'variants', 'sold30', 'sold7'),
    is: number,
    value: fc.integer({ min: -3, max: 8 }).map((x) => x * 100),
  }),
  choices('supplier', ['Tern & Tackle', 'Nobody']),
  fc.record({
    field: fc.constantFrom('featured'),
    is: fc.constantFrom('yes' as const, 'no' as const),
    value: fc.constant(null),
  }),
  fc.record({
    field: fc.constantFrom('sku', 'barcode', 'description'),
    is: fc.constantFrom('contains' as const, 'starts' as const),
    value: fc.constantFrom('HAR', 'ä', 'light'),
  }),
  fc.constant({ field: 'unknown', is: 'equals' as const, value: 1 }),
);
const match = fc.constantFrom('all' as const, 'any' as const, 'none' as const);
const variantGroup: fc.Arbitrary<VariantGroup> = fc.record({
  variants: fc.constantFrom('some' as const, 'every' as const),
  match,
  of: fc.array(fc.oneof({ weight: 9, arbitrary: onVariant }, { weight: 1, arbitrary: condition }), { maxLength: 3 }),
});
const tied = fc.letrec<{ rule: Rule; node: RuleNode }>((tie) => ({
  node: fc.oneof({ maxDepth: 3 }, condition, variantGroup, tie('rule')),
  rule: fc.record({ match, of: fc.array(tie('node'), { maxLength: 4 }) }),
}));

/** Any node of a rule on the small world of shop.ts, on unknown fields and deleted values too. */
export const nodeArbitrary = tied.node;
export const ruleArbitrary = tied.rule;

/** Pieces left by variant id. */
export const stockArbitrary = fc.dictionary(
  fc.tuple(fc.integer({ min: 0, max: 30 }), fc.constantFrom('00', '01', '10', '11')).map(([n, v]) => `p_${n}v${v}`),
  fc.option(fc.integer({ min: 0, max: 3 })),
);
