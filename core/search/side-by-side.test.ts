import fc from 'fast-check';
import { entryArbitrary } from '../testing/arbitrary';
import type { FinderEntry } from './entry';
import { sideBySide } from './side-by-side';

const entries = fc.array(entryArbitrary(fc.nat().map(String)), { maxLength: 30 });
/** The tags that stand together at the front. */
function tagsOf({ values }: FinderEntry): string[] {
  const first = values.findIndex(([facet]) => facet === 'tag');
  if (first < 0) return [];
  const end = values.findIndex(([facet], i) => i > first && facet !== 'tag');
  return values.slice(first, end < 0 ? undefined : end).map(([, value]) => value);
}

test('entries that begin with the same values stand in one run, in the order they came; none is lost', () => {
  fc.assert(
    fc.property(entries, fc.integer({ min: 1, max: 4 }), (all, depth) => {
      const sorted = sideBySide(all, 'tag');
      expect(new Set(sorted)).toEqual(new Set(all));
      expect(sorted).toHaveLength(all.length);
      const beginnings = sorted.map((entry) => tagsOf(entry).slice(0, depth).join());
      const runs = beginnings.filter((each, i) => tagsOf(sorted[i]!).length >= depth && each !== beginnings[i - 1]);
      expect(new Set(runs).size).toBe(runs.length);
      for (const key of new Set(all.map((entry) => tagsOf(entry).join()))) {
        const alike = (entry: (typeof all)[number]) => tagsOf(entry).join() === key;
        expect(sorted.filter(alike)).toEqual(all.filter(alike));
      }
    }),
  );
});
