import fc from 'fast-check';
import { put, productOf, shopOf } from '../testing/shop';
import { asTarget, circlesAmong, forwardProblem, ledFrom, nearestTo } from './forwards';

const slugs = ['a', 'b', 'c'] as const;
const ids = ['p_one', 'p_two'] as const;
const paths = slugs.map((slug) => `/p/${slug}`);

type Act =
  | { does: 'rename'; id: (typeof ids)[number]; to: string }
  | { does: 'forward'; path: string; to: string }
  | { does: 'end'; id: (typeof ids)[number] };

const acts: fc.Arbitrary<Act[]> = fc.array(
  fc.oneof(
    fc.record({ does: fc.constant('rename' as const), id: fc.constantFrom(...ids), to: fc.constantFrom(...slugs) }),
    fc.record({
      does: fc.constant('forward' as const),
      path: fc.constantFrom(...paths),
      to: fc.constantFrom(...paths),
    }),
    fc.record({ does: fc.constant('end' as const), id: fc.constantFrom(...ids) }),
  ),
  { maxLength: 14 },
);

test('law: whatever is renamed back and forth, forwards end at a page that is there, or nowhere', () =>
  fc.assert(
    fc.property(acts, (all) => {
      const shop = shopOf([]);
      const products = new Map(ids.map((id) => [id, productOf(id, { slug: id.slice(2) })]));
      for (const product of products.values()) put(shop, 'product', product.id, product);
      for (const act of all) {
        if (act.does === 'forward') {
          const to = asTarget(shop, { kind: 'address', url: act.to });
          // What the server refuses is not written.
          if (forwardProblem(shop, { path: act.path, to }) !== undefined) continue;
          put(shop, 'forward', act.path, { path: act.path, to, by: 'hand' });
          continue;
        }
        const product = products.get(act.id)!;
        if (act.does === 'end') products.set(act.id, { ...product, status: 'off' });
        else if ([...products.values()].every(({ id, slug }) => id === act.id || slug !== act.to)) {
          const before = product.slug;
          products.set(act.id, { ...product, slug: act.to });
          put(shop, 'forward', `/p/${before}`, {
            path: `/p/${before}`,
            to: { kind: 'product', id: act.id },
            by: 'renamed',
          });
        }
        put(shop, 'product', act.id, products.get(act.id));
      }
      const isThere = (url: string) =>
        [...products.values()].some(({ slug, status }) => status === 'live' && url === `/p/${slug}`);
      for (const path of paths) {
        if (isThere(path)) continue;
        const led = ledFrom(shop, path);
        if (!led || !('url' in led)) continue;
        expect(led.url).not.toBe(path);
        // A browser is sent on once: what stands there leads no further.
        expect(isThere(led.url) || !shop.forwards.has(led.url)).toBe(true);
      }
    }),
  ));

test('a circle that was written all the same leads nowhere', () => {
  const shop = shopOf([]);
  put(shop, 'forward', '/x', { path: '/x', to: { kind: 'address', url: '/y' }, by: 'hand' });
  put(shop, 'forward', '/y', { path: '/y', to: { kind: 'address', url: '/x' }, by: 'hand' });
  expect(ledFrom(shop, '/x')).toBeUndefined();
});

test.each([
  ['/shop/harier-delta-180.html', 'Harrier delta'],
  ['/old/reels/beech_reel', 'Beech reel'],
  ['/blog/winter-on-the-quay', undefined],
  ['/p/', undefined],
])('what is nearest to %s: %s', (path, label) => {
  const shop = shopOf([
    productOf('p_harrier', { title: 'Harrier delta' }),
    productOf('p_reel', { title: 'Beech reel' }),
    productOf('p_winder', { title: 'Quad winder' }),
  ]);
  expect(nearestTo(shop, path)?.label).toBe(label);
});

test('of forwards that are taken together, those that lead back to themselves are told, and those that only end there too', () => {
  const to = (path: string, url: string | null) => ({
    path,
    to: url === null ? null : { kind: 'address' as const, url },
  });
  const told = (...forwards: ReturnType<typeof to>[]) => circlesAmong(forwards).map(({ path }) => path);
  expect(told(to('/a', '/b'), to('/b', '/c'))).toEqual([]);
  expect(told(to('/a', '/b'), to('/b', '/a'), to('/c', '/a'), to('/d', null))).toEqual(['/a', '/b', '/c']);
});
