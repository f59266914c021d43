import { nextMoment, statusAt } from './status';

const iso = (seconds: number) => new Date(seconds * 1000).toISOString();

test('a product is on the shop from its first second up to, and not including, its last', () => {
  const product = { status: 'live' as const, liveFrom: iso(100), liveUntil: iso(200) };
  expect([99, 100, 199, 200].map((now) => statusAt(product, now))).toEqual(['waiting', 'live', 'live', 'ended']);
  expect(statusAt({ ...product, status: 'off' }, 150)).toBe('off');
  expect(nextMoment([iso(100), null, iso(200)], 100)).toBe(200);
  expect(nextMoment([iso(100)], 100)).toBeUndefined();
});
