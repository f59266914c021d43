import fc from 'fast-check';
import { barcodeProblem } from './barcode';
import { localOfMoment, momentFromLocal } from './moment';
import { specProblem, specWords, type Attribute, type SpecValue } from './spec';
import { nextMoment, phaseOf } from './standing';
import { durationWords, readDuration, readMeasure, readRange, readSize } from './units';

describe('barcodes', () => {
  test.each(['', '4006381333931', '036000291452', '96385074', '978-0-306-40615-7', '0-306-40615-2', '00012345600012'])(
    '“%s” is right',
    (code) => expect(barcodeProblem(code)).toBeUndefined(),
  );
  test.each([
    ['4006381333932', /last digit should be 1/],
    ['12345', /8, 12, 13 or 14 digits/],
    ['40063813339AB', /digits only/],
    ['0-306-40615-9', /last character should be 2/],
  ])('“%s” is refused', (code, words) => expect(barcodeProblem(code)).toMatch(words));

  test('one wrong digit is always told', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 12 }), fc.integer({ min: 1, max: 9 }), (place, by) => {
        const code = [...'4006381333931'];
        code[place] = String((Number(code[place]) + by) % 10);
        expect(barcodeProblem(code.join(''))).toBeDefined();
      }),
    );
  });
});

describe('measures', () => {
  test.each([
    ['1.8 m', 'cm', 180_000],
    ['1,80m', 'cm', 180_000],
    ['180', 'cm', 180_000],
    ['2 kg', 'g', 2_000_000],
    ['1 in', 'mm', 25_400],
    ['12 Bft', 'Bft', 12_000],
  ])('%s is read in %s', (typed, unit, value) => expect(readMeasure(typed, unit)).toEqual({ value }));
  test.each([
    ['twelve', 'cm'],
    ['12 constructor', 'cm'],
    ['12 kg', 'cm'],
    ['12 cm', ''],
    ['', 'cm'],
  ])('“%s” is refused in %s', (typed, unit) => expect(readMeasure(typed, unit)).toHaveProperty('problem'));
  test.each([
    ['2-5 Bft', 'Bft', 2_000, 5_000],
    ['2 – 5', 'Bft', 2_000, 5_000],
    ['1.2 - 1.5 m', 'cm', 120_000, 150_000],
    ['80 cm - 1.2 m', 'cm', 80_000, 120_000],
    ['3', 'Bft', 3_000, 3_000],
  ])('%s is read as a range of %s', (typed, unit, min, max) =>
    expect(readRange(typed, unit)).toEqual({ value: { min, max } }),
  );
  test.each([
    ['35 × 12 × 4 cm', { length: 350, width: 120, height: 40 }],
    ['35x12x4', { length: 350, width: 120, height: 40 }],
    ['1.2 * 0.1 * 0.1 m', { length: 1200, width: 100, height: 100 }],
    ['', null],
  ])('%s is read as a package', (typed, value) => expect(readSize(typed)).toEqual({ value }));
  test.each(['35 × 12', '35 × 12 × 0', 'a × b × c', '1 × 2 × 3 kg'])('“%s” is no package', (typed) =>
    expect(readSize(typed)).toHaveProperty('problem'),
  );
  test.each([1, 59, 60, 90, 150, 1440])('%d minutes are read back from their words', (minutes) =>
    expect(readDuration(durationWords(minutes))).toEqual({ value: minutes }),
  );
  test('a duration in words that are none is refused', () => expect(readDuration('soon')).toHaveProperty('problem'));
  test('a range that runs backwards is refused', () => expect(readRange('5-2', 'Bft')).toHaveProperty('problem'));
});

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

const iso = (seconds: number) => new Date(seconds * 1000).toISOString();

test('a product is on the shop from its first second up to, and not including, its last', () => {
  const product = { standing: 'live' as const, liveFrom: iso(100), liveUntil: iso(200) };
  expect([99, 100, 199, 200].map((now) => phaseOf(product, now))).toEqual(['waiting', 'live', 'live', 'ended']);
  expect(phaseOf({ ...product, standing: 'off' }, 150)).toBe('off');
  expect(nextMoment([iso(100), null, iso(200)], 100)).toBe(200);
  expect(nextMoment([iso(100)], 100)).toBeUndefined();
});

test('local times of a zone and moments lead to each other, over changes of clocks too', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: Date.UTC(2026, 0, 1) / 60_000, max: Date.UTC(2029, 0, 1) / 60_000 }),
      fc.constantFrom('Europe/Amsterdam', 'America/New_York', 'Asia/Kolkata', 'UTC'),
      (minute, zone) => {
        const local = localOfMoment(new Date(minute * 60_000).toISOString(), zone);
        expect(localOfMoment(momentFromLocal(local, zone)!, zone)).toBe(local);
      },
    ),
  );
  expect(momentFromLocal('2027-07-01T10:00', 'Europe/Amsterdam')).toBe('2027-07-01T08:00:00.000Z');
  expect(momentFromLocal('2027-13-01T10:00', 'Europe/Amsterdam')).toBeNull();
});
