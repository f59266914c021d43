import { durationWords, readDuration, readMeasure, readRange, readSize } from './units';

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

test('what is far too long for a measure is told so, and not looked at', () => {
  for (const read of [
    readSize,
    readDuration,
    (typed: string) => readMeasure(typed, 'cm'),
    (typed: string) => readRange(typed, 'Bft'),
  ])
    for (const typed of ['x'.repeat(50_000), '1'.repeat(50_000), `${'a '.repeat(25_000)}cm`])
      expect(read(typed)).toEqual({ problem: expect.stringContaining('too long') });
});
