import type { Attribute, SpecValue } from '../model/spec-sheet';
import { specProblem, specWords } from './spec-values';

const attribute = (over: Partial<Attribute>): Attribute => ({
  id: 'a_wing01',
  name: 'Wingspan',
  type: 'number',
  unit: 'cm',
  choices: [
    { id: 'q_ripstop', name: 'Ripstop' },
    { id: 'q_paper01', name: 'Paper' },
  ],
  heading: '',
  required: false,
  shown: true,
  filterable: true,
  ...over,
});

test.each<[Partial<Attribute>, SpecValue, string]>([
  [{}, 180_500, '180.5\u00a0cm'],
  [{ type: 'range', unit: 'Bft' }, { min: 2_000, max: 5_000 }, '2–5\u00a0Bft'],
  [{ type: 'range', unit: 'Bft' }, { min: 3_000, max: 3_000 }, '3\u00a0Bft'],
  [{ type: 'choices' }, ['q_paper01', 'q_ripstop'], 'Ripstop, Paper'],
  [{ type: 'yesNo' }, false, 'No'],
  [{ type: 'text' }, 'by hand', 'by hand'],
])('a value of %j reads %j as %s', (over, value, words) => {
  expect(specWords(attribute(over), value)).toBe(words);
  expect(specProblem(attribute(over), value)).toBeUndefined();
});

test.each<[Partial<Attribute>, SpecValue]>([
  [{}, 'long'],
  [{}, 1.5],
  [{ type: 'range' }, { min: 5_000, max: 2_000 }],
  [{ type: 'choice' }, ['q_ripstop', 'q_paper01']],
  [{ type: 'choice' }, ['q_gone001']],
  [{ type: 'date' }, '2027-02-31x'],
  [{ type: 'yesNo' }, 'yes'],
])('a value of %j cannot be %j', (over, value) => expect(specProblem(attribute(over), value)).toBeDefined());
