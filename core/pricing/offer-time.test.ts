import fc from 'fast-check';
import { isRunning, nextOfferEdge } from './offer-time';

const always = { isOn: true, from: null, until: null, weekdays: [], hours: null };
const at = (iso: string) => Date.parse(iso) / 1_000;
const ZONE = 'Europe/Amsterdam';
const runs = (offer: Partial<Parameters<typeof isRunning>[0]>, iso: string) =>
  isRunning({ ...always, ...offer }, at(iso), ZONE);

describe('an offer holds', () => {
  test('always, where nothing is said of its time, but only while it is switched on', () => {
    expect(runs({}, '2027-03-01T12:00:00Z')).toBe(true);
    expect(runs({ isOn: false }, '2027-03-01T12:00:00Z')).toBe(false);
  });

  test('from its first second up to, and not including, its last', () => {
    const week = { from: '2027-03-01T10:00:00.000Z', until: '2027-03-08T10:00:00.000Z' };
    expect(runs(week, '2027-03-01T09:59:59Z')).toBe(false);
    expect(runs(week, '2027-03-01T10:00:00Z')).toBe(true);
    expect(runs(week, '2027-03-08T09:59:59Z')).toBe(true);
    expect(runs(week, '2027-03-08T10:00:00Z')).toBe(false);
    expect(runs({ ...week, until: null }, '2030-01-01T00:00:00Z')).toBe(true);
    expect(runs({ ...week, from: null }, '2020-01-01T00:00:00Z')).toBe(true);
  });

  test.each([
    [1, '2027-03-01'],
    [3, '2027-03-03'],
    [7, '2027-03-07'],
  ])('on weekday %i by the calendar of the shop', (weekday, day) => {
    for (const other of [1, 2, 3, 4, 5, 6, 7])
      expect(runs({ weekdays: [other] }, `${day}T12:00:00Z`)).toBe(other === weekday);
    // Half past eleven in the evening of London is the next day in Amsterdam.
    expect(runs({ weekdays: [weekday] }, `${day}T23:30:00Z`)).toBe(false);
    expect(runs({ weekdays: [(weekday % 7) + 1] }, `${day}T23:30:00Z`)).toBe(true);
  });

  test('between two times of the clocks of the shop, in winter and in summer', () => {
    const evening = { hours: { from: 17 * 60 + 30, until: 20 * 60 } };
    expect(runs(evening, '2027-01-15T16:29:00Z')).toBe(false);
    expect(runs(evening, '2027-01-15T16:30:00Z')).toBe(true);
    expect(runs(evening, '2027-01-15T18:59:00Z')).toBe(true);
    expect(runs(evening, '2027-01-15T19:00:00Z')).toBe(false);
    expect(runs(evening, '2027-07-15T15:30:00Z')).toBe(true);
    expect(runs({ ...evening, weekdays: [1] }, '2027-01-15T17:00:00Z')).toBe(false);
    expect(runs({ ...evening, weekdays: [5] }, '2027-01-15T17:00:00Z')).toBe(true);
  });
});

describe('the next moment at which it may begin or end', () => {
  test('is none for what is off, and for what holds always', () => {
    expect(nextOfferEdge(always, 0, ZONE)).toBeUndefined();
    const over = { ...always, from: '2027-03-01T10:00:00.000Z', until: '2027-03-08T10:00:00.000Z' };
    expect(nextOfferEdge(over, at('2027-02-01T00:00:00Z'), ZONE)).toBe(at('2027-03-01T10:00:00Z'));
    expect(nextOfferEdge(over, at('2027-03-01T10:00:00Z'), ZONE)).toBe(at('2027-03-08T10:00:00Z'));
    expect(nextOfferEdge(over, at('2027-03-08T10:00:00Z'), ZONE)).toBeUndefined();
    expect(nextOfferEdge({ ...over, isOn: false }, at('2027-02-01T00:00:00Z'), ZONE)).toBeUndefined();
  });

  test('is midnight of the shop where only weekdays count, and its hours where they do', () => {
    const now = at('2027-01-15T12:00:00Z');
    expect(nextOfferEdge({ ...always, weekdays: [6] }, now, ZONE)).toBe(at('2027-01-15T23:00:00Z'));
    const hours = { from: 17 * 60, until: 20 * 60 };
    expect(nextOfferEdge({ ...always, hours }, now, ZONE)).toBe(at('2027-01-15T16:00:00Z'));
    expect(nextOfferEdge({ ...always, hours }, at('2027-01-15T16:00:00Z'), ZONE)).toBe(at('2027-01-15T19:00:00Z'));
  });

  test('is never behind a change that looking minute by minute finds', () => {
    const HOUR = 3_600;
    const moment = fc.option(
      fc
        .integer({ min: 0, max: 9 * 24 })
        .map((n) => new Date((at('2027-03-24T00:00:00Z') + n * HOUR) * 1_000).toISOString()),
      { nil: null },
    );
    const hours = fc.option(
      fc.tuple(fc.integer({ min: 0, max: 47 }), fc.integer({ min: 1, max: 48 })).map(([a, b]) => ({
        from: Math.min(a, b - 1) * 30,
        until: Math.max(a + 1, b) * 30,
      })),
      { nil: null },
    );
    const offer = fc.record({
      isOn: fc.constant(true),
      from: moment,
      until: moment,
      weekdays: fc.uniqueArray(fc.integer({ min: 1, max: 7 }), { maxLength: 4 }),
      hours,
    });
    // The clocks go on an hour on 28 March 2027.
    const start = fc.integer({ min: 0, max: 6 * 24 * 2 }).map((n) => at('2027-03-24T00:00:00Z') + n * 1_800);
    fc.assert(
      fc.property(offer, start, (of, now) => {
        const edge = nextOfferEdge(of, now, ZONE) ?? Infinity;
        const is = isRunning(of, now, ZONE);
        for (let t = now; t < Math.min(edge, now + 3 * 24 * HOUR); t += 1_800) expect(isRunning(of, t, ZONE)).toBe(is);
      }),
      { numRuns: 60 },
    );
  });
});
