import fc from 'fast-check';
import { localOfMoment, momentFromLocal } from './moment';

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
