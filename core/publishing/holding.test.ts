import fc from 'fast-check';
import type { DocumentKind } from '../model/document';
import { heldWith, type ChangedDocument } from './holding';

const changed = (kind: DocumentKind, key: string, live: object | null, work: object | null): ChangedDocument => ({
  ref: `${kind}:${key}`,
  kind,
  key,
  live: live ?? undefined,
  work: work ?? undefined,
});
const held = (documents: readonly ChangedDocument[], ...refs: string[]) =>
  Object.fromEntries(heldWith(documents, new Set(refs)));

test('what names something new waits for it, along the whole chain', () => {
  const category = changed('category', 'c_new', null, { id: 'c_new', slug: 'new', parentId: null });
  const below = changed('category', 'c_below', null, { id: 'c_below', slug: 'below', parentId: 'c_new' });
  const menu = changed('menu', 'shop', { items: [] }, { items: [{ target: { kind: 'category', id: 'c_below' } }] });
  const other = changed('page', 'g_1', { slug: 'a', title: 'A' }, { slug: 'a', title: 'B' });
  expect(held([category, below, menu, other], 'category:c_new')).toEqual({
    'category:c_new': null,
    'category:c_below': 'category:c_new',
    'menu:shop': 'category:c_below',
  });
  expect(held([category, below, menu, other], 'page:g_1')).toEqual({ 'page:g_1': null });
});

test('what a held change still names stays until it is let go of', () => {
  const gone = changed('collection', 'l_1', { id: 'l_1', slug: 'sale' }, null);
  const page = changed('page', 'g_1', { slug: 'a', sections: [{ source: 'l_1' }] }, { slug: 'a', sections: [] });
  expect(held([gone, page], 'page:g_1')).toEqual({ 'page:g_1': null, 'collection:l_1': 'page:g_1' });
  expect(held([gone, page], 'collection:l_1')).toEqual({ 'collection:l_1': null });
});

test('a product that is not there is passed over wherever it stands, but its translation and its forwards wait', () => {
  const product = changed('product', 'p_1', null, { id: 'p_1', slug: 'tern' });
  const shelf = changed(
    'collection',
    'l_1',
    { id: 'l_1', slug: 'x', pins: [] },
    { id: 'l_1', slug: 'x', pins: ['p_1'] },
  );
  const told = changed('wording', 'de/product/p_1', null, { locale: 'de', kind: 'product', id: 'p_1', texts: {} });
  expect(held([product, shelf, told], 'product:p_1')).toEqual({
    'product:p_1': null,
    'wording:de/product/p_1': 'product:p_1',
  });
});

test('an address is free only when who has it lets go of it', () => {
  const renamed = changed('product', 'p_1', { id: 'p_1', slug: 'tern' }, { id: 'p_1', slug: 'old-tern' });
  const taker = changed('product', 'p_2', null, { id: 'p_2', slug: 'tern' });
  const redirect = changed('redirect', 'product/tern', null, { kind: 'product', slug: 'tern', targetId: 'p_1' });
  expect(held([renamed, taker], 'product:p_1')).toEqual({ 'product:p_1': null, 'product:p_2': 'product:p_1' });
  expect(held([renamed, redirect], 'product:p_1')).toEqual({
    'product:p_1': null,
    'redirect:product/tern': 'product:p_1',
  });
  // The other way round: where the taker waits, the address goes on forwarding.
  const ended = changed('redirect', 'product/tern', { kind: 'product', slug: 'tern', targetId: 'p_1' }, null);
  expect(held([taker, ended], 'product:p_2')).toEqual({ 'product:p_2': null, 'redirect:product/tern': 'product:p_2' });
});

describe('law: whatever is held back, the rest stands by itself', () => {
  const ids = Array.from({ length: 8 }, (_, i) => `c_${i}`);
  interface Body {
    id: string;
    slug: string;
    names: string[];
  }
  /** A shop in which nothing is named that is not there, and every address is taken once. */
  const shop = fc
    .record({
      there: fc.subarray(ids),
      names: fc.array(fc.array(fc.nat(7), { maxLength: 3 }), { minLength: 8, maxLength: 8 }),
      slugs: fc.shuffledSubarray(['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h'], { minLength: 8 }),
    })
    .map(({ there, names, slugs }) => {
      const bodies = new Map<string, Body>();
      for (const id of there) {
        const at = ids.indexOf(id);
        const named = names[at]!.map((i) => ids[i]!).filter((other) => there.includes(other));
        bodies.set(id, { id, slug: slugs[at]!, names: named });
      }
      return bodies;
    });

  test('no reference leads nowhere, no address is taken twice, and nothing waits without a reason', () => {
    fc.assert(
      fc.property(shop, shop, fc.subarray(ids), (live, work, chosen) => {
        const documents = ids
          .filter((id) => JSON.stringify(live.get(id)) !== JSON.stringify(work.get(id)))
          .map((id) => changed('category', id, live.get(id) ?? null, work.get(id) ?? null));
        const waiting = heldWith(documents, new Set(chosen.map((id) => `category:${id}`)));
        const next = new Map(live);
        for (const { ref, key } of documents) {
          if (waiting.has(ref)) continue;
          if (work.has(key)) next.set(key, work.get(key)!);
          else next.delete(key);
        }
        for (const { names } of next.values()) for (const name of names) expect(next.has(name)).toBe(true);
        const slugs = [...next.values()].map(({ slug }) => slug);
        expect(new Set(slugs).size).toBe(slugs.length);
        for (const [ref, because] of waiting) {
          if (because === null) expect(chosen).toContain(ref.slice('category:'.length));
          else expect(waiting.has(because)).toBe(true);
        }
        if (chosen.length === 0) expect(waiting.size).toBe(0);
      }),
      { numRuns: 500 },
    );
  });
});
