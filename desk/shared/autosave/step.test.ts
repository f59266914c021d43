import fc from 'fast-check';
import { begin, isUnsaved, outgoing, stateOf, step, unreadAt, valueAt, type Progress, type SaveEvent } from './step';

const over = (values: Record<string, unknown>) => (key: string) => values[key];
const after = (progress: Progress, ...events: SaveEvent[]) => events.reduce(step, progress);
const typed = (values: Record<string, unknown>, isHeld = true): SaveEvent => ({ what: 'typed', values, isHeld });
const answered = (revision: number, saved: Record<string, unknown> = {}): SaveEvent => ({
  what: 'answered',
  revision,
  saved,
});

describe('one field', () => {
  const start = begin(over({ title: 'Delta' }), 1);

  test('a space at the end stays under the cursor while what is saved has none', () => {
    const saved = after(start, typed({ title: 'Delta 2 ' }), { what: 'sent' }, answered(2), {
      what: 'shown',
      shown: over({ title: 'Delta 2' }),
      revision: 2,
    });
    expect(valueAt(saved, 'title')).toBe('Delta 2 ');
    expect(isUnsaved(saved.drafts.title)).toBe(false);
    expect(valueAt(step(saved, { what: 'left', keys: ['title'] }), 'title')).toBe('Delta 2');
  });

  test('what is typed while a write is on its way goes out over what that write leaves', () => {
    const now = after(start, typed({ title: 'A' }), { what: 'sent' }, typed({ title: 'AB' }), answered(2));
    expect(outgoing(now)).toEqual({ values: { title: 'AB' }, was: { title: 'A' } });
  });

  test('and over what stood there before when that write is refused', () => {
    const refusal = { messages: { title: 'Too short.' }, theirs: {} };
    const now = after(start, typed({ title: 'A' }), { what: 'sent' }, typed({ title: 'AB' }), {
      what: 'refused',
      refusal,
    });
    expect(outgoing(now)).toEqual({ values: { title: 'AB' }, was: { title: 'Delta' } });
    expect(now.drafts.title!.message).toBeUndefined();
  });

  test('what somebody else saves does not replace what is under the cursor, and is not written over unseen', () => {
    const now = after(
      start,
      typed({ title: 'Mine' }),
      { what: 'sent' },
      answered(2),
      { what: 'shown', shown: over({ title: 'Theirs' }), revision: 3 },
      typed({ title: 'Mine!' }),
    );
    expect(valueAt(now, 'title')).toBe('Mine!');
    expect(outgoing(now)!.was).toEqual({ title: 'Mine' });
  });

  test('a clash is settled for its own field alone', () => {
    const both = after(begin(over({ title: 'Delta', slug: 'delta' }), 1), typed({ title: 'Mine', slug: 'mine' }), {
      what: 'sent',
    });
    const refusal = { messages: { title: 'Changed by somebody else.' }, theirs: { title: 'Theirs' } };
    const clashing = step(both, { what: 'refused', refusal });
    expect(clashing.drafts.slug!.state).toBe('waiting');
    const kept = step(clashing, { what: 'settled', key: 'title', keep: 'mine' });
    expect(outgoing(kept)).toEqual({
      values: { title: 'Mine', slug: 'mine' },
      was: { title: 'Theirs', slug: 'delta' },
    });
    const taken = step(clashing, { what: 'settled', key: 'title', keep: 'theirs' });
    expect(valueAt(taken, 'title')).toBe('Delta');
    expect(valueAt(taken, 'slug')).toBe('mine');
  });
});

describe('several fields', () => {
  const start = begin(over({ price: 20, sale: null }), 1);
  const refusal = { messages: { sale: 'The sale price must be lower.' }, theirs: {} };
  const stuck = after(
    start,
    typed({ price: 25 }, false),
    { what: 'sent' },
    answered(2),
    typed({ sale: 30 }, false),
    { what: 'sent' },
    { what: 'refused', refusal },
  );

  test('a refused one does not hold up the others, and says why', () => {
    expect(stateOf(stuck)).toBe('refused');
    expect(stuck.drafts.sale!.message).toBe('The sale price must be lower.');
    expect(outgoing(stuck)).toBeNull();
    expect(outgoing(step(stuck, typed({ price: 40 })))!.values).toEqual({ price: 40 });
  });

  test('it is tried once more when another was saved, and only once', () => {
    const again = after(stuck, typed({ price: 40 }, false), { what: 'sent' }, answered(3));
    expect(outgoing(again)!.values).toEqual({ sale: 30 });
    const refusedAgain = after(again, { what: 'sent' }, { what: 'refused', refusal });
    expect(outgoing(refusedAgain)).toBeNull();
    expect(refusedAgain.drafts.sale!.message).toBe('The sale price must be lower.');
    const savedAgain = after(again, { what: 'sent' }, answered(4));
    expect(isUnsaved(savedAgain.drafts.sale)).toBe(false);
  });

  test('text that cannot be read stays, is never sent, and holds up nothing', () => {
    const unread: SaveEvent = { what: 'unread', key: 'sale', text: 'abc', message: 'Type an amount.', isHeld: false };
    const now = after(start, unread, typed({ price: 1 }, false));
    expect(unreadAt(now, 'sale')).toBe('abc');
    expect(valueAt(now, 'sale')).toBeNull();
    expect(outgoing(now)!.values).toEqual({ price: 1 });
    const saved = after(now, { what: 'sent' }, answered(2));
    expect(outgoing(saved)).toBeNull();
    expect(stateOf(saved)).toBe('refused');
    expect(outgoing(step(saved, typed({ sale: 9 })))).toEqual({ values: { sale: 9 }, was: { sale: null } });
  });

  test('when the server cannot be reached all of it waits', () => {
    const away = after(start, typed({ price: 1 }), { what: 'sent' }, { what: 'unreachable', problem: 'No server.' });
    expect(stateOf(away)).toBe('failed');
    expect(outgoing(away)).toEqual({ values: { price: 1 }, was: { price: 20 } });
  });
});

/** A server that trims, refuses what has an exclamation mark, and tells clashes by what stood there before. */
class Server {
  values: Record<string, string> = { title: 'Kite', text: '', slug: 'kite' };
  revision = 1;
  /** who wrote each value that ever stood in a field */
  readonly written: { key: string; value: string; by: 'me' | 'them' }[] = [];

  write(by: 'me' | 'them', key: string, value: string): void {
    this.values = { ...this.values, [key]: value.trim() };
    this.revision += 1;
    this.written.push({ key, value: value.trim(), by });
  }

  /** Answers the event that the write ends in. */
  take(values: Record<string, unknown>, was: Record<string, unknown>): SaveEvent {
    const entries = Object.entries(values) as [string, string][];
    const bad = entries.filter(([, value]) => value.includes('!'));
    if (bad.length > 0)
      return {
        what: 'refused',
        refusal: { messages: Object.fromEntries(bad.map(([key]) => [key, 'No exclamation marks.'])), theirs: {} },
      };
    const clashing = entries.filter(
      ([key, value]) => String(was[key]).trim() !== this.values[key] && value.trim() !== this.values[key],
    );
    if (clashing.length > 0)
      return {
        what: 'refused',
        refusal: {
          messages: Object.fromEntries(clashing.map(([key]) => [key, 'Changed by somebody else.'])),
          theirs: Object.fromEntries(clashing.map(([key]) => [key, this.values[key]])),
        },
      };
    for (const [key, value] of entries) this.write('me', key, value);
    return { what: 'answered', revision: this.revision, saved: {} };
  }
}

const keys = ['title', 'text', 'slug'] as const;
const key = fc.constantFrom(...keys);
const words = fc.stringMatching(/^[ab !]{0,4}$/);

type Act =
  | { do: 'type'; key: (typeof keys)[number]; value: string }
  | { do: 'pause' }
  | { do: 'arrive' }
  | { do: 'lose' }
  | { do: 'read' }
  | { do: 'leave' }
  | { do: 'theirs'; key: (typeof keys)[number]; value: string };
const act: fc.Arbitrary<Act> = fc.oneof(
  { weight: 5, arbitrary: fc.record({ do: fc.constant('type' as const), key, value: words }) },
  { weight: 3, arbitrary: fc.constant({ do: 'pause' as const }) },
  { weight: 3, arbitrary: fc.constant({ do: 'arrive' as const }) },
  { weight: 1, arbitrary: fc.constant({ do: 'lose' as const }) },
  { weight: 2, arbitrary: fc.constant({ do: 'read' as const }) },
  { weight: 1, arbitrary: fc.constant({ do: 'leave' as const }) },
  { weight: 1, arbitrary: fc.record({ do: fc.constant('theirs' as const), key, value: fc.constantFrom('x', 'y') }) },
);

/** A person at the fields: one cursor, a write on its way, and reads that may be older than what was saved since. */
class Person {
  progress: Progress;
  cursor: string | null = null;
  readonly last = new Map<string, string>();
  #onItsWay: SaveEvent | null = null;

  constructor(readonly server: Server) {
    this.progress = begin(over(server.values), server.revision);
  }

  do(act: Act): void {
    const { server } = this;
    switch (act.do) {
      case 'type':
        if (this.cursor !== null && this.cursor !== act.key) this.do({ do: 'leave' });
        this.cursor = act.key;
        this.last.set(act.key, act.value);
        return this.#step(typed({ [act.key]: act.value }));
      case 'pause': {
        const parcel = outgoing(this.progress);
        if (!parcel) return;
        this.#step({ what: 'sent' });
        this.#onItsWay = server.take({ ...parcel.values }, { ...parcel.was });
        return;
      }
      case 'arrive':
        if (this.#onItsWay) this.#step(this.#onItsWay);
        this.#onItsWay = null;
        return;
      case 'lose':
        // The write was made, but its answer does not come: it is sent again, and finds its own work.
        if (this.#onItsWay) this.#step({ what: 'unreachable', problem: 'No server.' });
        this.#onItsWay = null;
        return;
      case 'read':
        return this.#step({ what: 'shown', shown: over(server.values), revision: server.revision });
      case 'leave':
        if (this.cursor) this.#step({ what: 'left', keys: [this.cursor] });
        this.cursor = null;
        return;
      case 'theirs':
        return server.write('them', act.key, act.value);
    }
  }

  #step(event: SaveEvent): void {
    this.progress = step(this.progress, event);
  }

  /** Until everything is saved or refused, and shown. */
  end(): void {
    for (let i = 0; i < 8; i++)
      for (const each of ['arrive', 'pause', 'arrive', 'read'] as const) this.do({ do: each });
    this.do({ do: 'leave' });
  }
}

test('what was typed stays under the cursor, and in the end is saved or refused in words', () => {
  fc.assert(
    fc.property(fc.array(act, { maxLength: 60 }), (acts) => {
      const server = new Server();
      const person = new Person(server);
      for (const each of acts) {
        person.do(each);
        if (person.cursor) expect(valueAt(person.progress, person.cursor)).toBe(person.last.get(person.cursor));
      }
      person.end();
      for (const [of, value] of person.last) {
        const draft = person.progress.drafts[of];
        if (draft) {
          expect(draft).toMatchObject({ state: 'refused', value, message: expect.any(String) });
          continue;
        }
        const mine = server.written.filter((each) => each.key === of && each.by === 'me').at(-1)?.value;
        const theirs = server.written.some(
          (each) => each.key === of && each.by === 'them' && each.value === value.trim(),
        );
        if (mine !== value.trim() && !theirs) expect(server.values[of]).toBe(value.trim());
        expect(valueAt(person.progress, of)).toBe(server.values[of]);
      }
    }),
    { numRuns: 2_000 },
  );
});

test('nothing that somebody else wrote is written over by someone who has not seen it', () => {
  fc.assert(
    fc.property(fc.array(act, { maxLength: 60 }), (acts) => {
      const server = new Server();
      const person = new Person(server);
      const seen = new Map<string, Set<string>>(keys.map((each) => [each, new Set([server.values[each]!])]));
      for (const each of acts) {
        const before = server.written.length;
        if (each.do === 'type') seen.get(each.key)!.add(String(person.progress.shown(each.key)).trim());
        person.do(each);
        for (const write of server.written.slice(before).filter(({ by }) => by === 'me')) {
          const over = server.written
            .slice(0, before)
            .filter((other) => other.key === write.key)
            .at(-1);
          if (over?.by === 'them' && over.value !== write.value) expect(seen.get(write.key)).toContain(over.value);
        }
      }
    }),
    { numRuns: 2_000 },
  );
});
