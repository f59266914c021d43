import { sectionBodySchema, sectionTypes, targetsOf, typeOfSection, type SectionBody } from './sections';

const named: Record<keyof typeof sectionTypes, SectionBody> = {
  banner: { kind: 'banner', title: 'Fly', text: '', link: { kind: 'page', id: 'g_000001' } },
  strip: { kind: 'strip', title: '', source: { kind: 'collection', id: 'k_000001' }, count: 4 },
  tiles: { kind: 'tiles', title: '', categoryIds: ['c_000001', 'c_000002'] },
};

describe.each(Object.entries(sectionTypes))('%s', (kind, declared) => {
  const body = named[kind as keyof typeof named];

  test('stands under its own kind, and a new one can be saved as it is', () => {
    expect(declared.kind).toBe(kind);
    expect(sectionBodySchema.safeParse(declared.fresh()).error).toBeUndefined();
  });

  test('the fields with words are text', () => {
    const fresh = declared.fresh() as unknown as Record<string, unknown>;
    for (const field of typeOfSection(body).words) expect(typeof fresh[field]).toBe('string');
  });

  test('a new one names nothing; what one names is told with its field', () => {
    expect(targetsOf(declared.fresh())).toEqual([]);
    const fields = targetsOf(body).map(({ field }) => field);
    expect(fields.length).toBeGreaterThan(0);
    for (const field of fields) expect(Object.keys(body)).toContain(field);
  });

  test('is itself when nothing is followed elsewhere, and names the other when all is', () => {
    const { follow } = typeOfSection(body);
    expect(follow(body, (to) => to)).toBe(body);
    const moved = follow(body, (to) => ({ ...to, id: 'x_000009' }));
    expect(targetsOf(moved).map(({ to }) => to.id)).toEqual(['x_000009']);
    expect(sectionBodySchema.safeParse(moved).success).toBe(true);
  });
});

test('a section of a sort that is not known is refused at its kind', () => {
  const { error } = sectionBodySchema.safeParse({ kind: 'unheard-of', title: '' });
  expect(error?.issues[0]?.path).toEqual(['kind']);
});
