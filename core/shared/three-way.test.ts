import fc from 'fast-check';
import { mergeFields } from './three-way';

const ids = fc.uniqueArray(fc.constantFrom('a', 'b', 'c', 'd', 'e', 'f'), { maxLength: 6 });
const item = (id: string) => fc.record({ id: fc.constant(id), title: fc.constantFrom('x', 'y'), count: fc.nat(2) });
const items = ids.chain((list) => fc.tuple(...list.map(item)));
const fields = fc.record({ name: fc.constantFrom('x', 'y', 'z'), picked: ids, sections: items });

const merge = mergeFields<object>;

test('where the others changed nothing, what we want is what there is', () => {
  fc.assert(
    fc.property(fields, fields, (base, ours) => expect(merge(base, base, ours)).toEqual({ fields: ours, clashes: [] })),
  );
});

test('where we changed nothing, what the others did stays', () => {
  fc.assert(
    fc.property(fields, fields, (base, theirs) =>
      expect(merge(base, theirs, base)).toEqual({ fields: theirs, clashes: [] }),
    ),
  );
});

test('nothing that anybody added is lost, and nothing stands there twice', () => {
  fc.assert(
    fc.property(fields, fields, fields, (base, theirs, ours) => {
      const { fields: merged } = merge(base, theirs, ours) as { fields: typeof base };
      const idsOf = (list: readonly { id: string }[]) => list.map(({ id }) => id);
      for (const [was, them, us, got] of [
        [base.picked, theirs.picked, ours.picked, merged.picked],
        [base.sections, theirs.sections, ours.sections, merged.sections].map(idsOf),
      ] as string[][][]) {
        expect(new Set(got).size).toBe(got!.length);
        for (const id of [...them!, ...us!]) if (!was!.includes(id)) expect(got).toContain(id);
      }
    }),
  );
});

test('twenty people who each add one item to the same list lose none of them', () => {
  const seen = { sections: [{ id: 's', title: 'First' }] };
  let now: object = seen;
  for (let i = 0; i < 20; i++)
    now = merge(seen, now, { sections: [...seen.sections, { id: `s${i}`, title: `${i}` }] }).fields;
  expect((now as typeof seen).sections.map(({ id }) => id).sort()).toEqual(
    ['s', ...Array.from({ length: 20 }, (_, i) => `s${i}`)].sort(),
  );
});

describe('what both changed', () => {
  const base = { text: 'a', sections: [{ id: 's', title: 'A', count: 4 }], rule: { match: 'all', of: [] as string[] } };

  test('in different fields of one item stands side by side', () => {
    const { fields: merged, clashes } = merge(
      base,
      { ...base, sections: [{ id: 's', title: 'B', count: 4 }] },
      { sections: [{ id: 's', title: 'A', count: 6 }] },
    );
    expect(merged).toEqual({ sections: [{ id: 's', title: 'B', count: 6 }] });
    expect(clashes).toEqual([]);
  });

  test('in the same field is a clash that tells where, and what stands there', () => {
    expect(merge(base, { ...base, text: 'b' }, { text: 'c' }).clashes).toEqual([{ path: ['text'], theirs: 'b' }]);
    expect(
      merge(
        base,
        { ...base, sections: [{ id: 's', title: 'B', count: 4 }] },
        { sections: [{ id: 's', title: 'C', count: 4 }] },
      ).clashes,
    ).toEqual([{ path: ['sections', 0, 'title'], theirs: 'B' }]);
  });

  test('a rule is one value: two changes of it clash', () => {
    const theirs = { ...base, rule: { match: 'any', of: [] } };
    expect(merge(base, theirs, { rule: { match: 'none', of: [] } }).clashes).toHaveLength(1);
  });

  test('what one took away and the other changed is told', () => {
    const changed = { ...base, sections: [{ id: 's', title: 'B', count: 4 }] };
    expect(merge(base, changed, { sections: [] }).clashes).toHaveLength(1);
    expect(merge(base, { ...base, sections: [] }, { sections: changed.sections }).clashes).toHaveLength(1);
  });

  test('whoever moved things decides the order, and what the other added stands behind what it stood behind', () => {
    const { fields: merged } = merge(
      { picked: ['a', 'b', 'c'] },
      { picked: ['a', 'b', 'x', 'c'] },
      { picked: ['c', 'b', 'a'] },
    );
    expect(merged).toEqual({ picked: ['c', 'b', 'x', 'a'] });
  });
});
