import fc from 'fast-check';
import { lastStruck, localOfMoment, momentFromLocal } from './moment';

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

test('a clock struck an hour last within a day, and at that hour', () => {
  const zones = fc.constantFrom('UTC', 'Europe/Amsterdam', 'America/St_Johns', 'Pacific/Auckland');
  const moments = fc.integer({ min: Date.UTC(2026, 0, 1), max: Date.UTC(2028, 0, 1) });
  fc.assert(
    fc.property(moments, fc.integer({ min: 0, max: 23 }), zones, (at, hour, zone) => {
      const now = new Date(at).toISOString();
      const struck = lastStruck(now, hour, zone);
      const hoursAgo = (at - Date.parse(struck)) / 3_600_000;
      expect(hoursAgo).toBeGreaterThanOrEqual(0);
      // On the day on which clocks are put forward an hour is missing, and struck late.
      expect(hoursAgo).toBeLessThan(26);
      expect(Math.abs(Number(localOfMoment(struck, zone).slice(11, 13)) - hour)).toBeLessThanOrEqual(1);
    }),
  );
});
