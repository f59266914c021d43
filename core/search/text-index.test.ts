import fc from 'fast-check';
import { slipsInto } from '../testing/reference-listing';
import { Scratch } from './scratch';
import { Synonyms } from './synonyms';
import { TextIndex } from './text-index';

const word = fc.string({ unit: fc.constantFrom('a', 'b', 'c', 'ж', 'z'), minLength: 1, maxLength: 7 });

test('a word that begins nothing meets exactly the words that one slip leads to, also after single changes', () => {
  fc.assert(
    fc.property(
      fc.uniqueArray(word, { minLength: 1, maxLength: 12 }),
      fc.array(word, { maxLength: 8 }),
      word,
      (all, later, typed) => {
        const index = new TextIndex();
        const texts = new Map<number, string>();
        const set = (slot: number, text: string) => {
          index.set(slot, [{ text, weight: 1 }]);
          texts.set(slot, text);
        };
        index.load(all.length, (slot) => [{ text: all[slot]!, weight: 1 }]);
        all.forEach((text, slot) => texts.set(slot, text));
        later.forEach((text, i) => set((i * 5) % 20, text));
        const begun = [...texts].filter(([, text]) => text.startsWith(typed));
        const slipped = typed.length < 4 ? [] : [...texts].filter(([, text]) => slipsInto(typed, text));
        const expected = (begun.length > 0 ? begun : slipped).map(([slot]) => slot).sort((a, b) => a - b);
        expect(index.search(typed, 64, new Scratch())!.hits.toArray()).toEqual(expected);
      },
    ),
    { numRuns: 800 },
  );
});

test('words that mean the same find each other, phrases too, and what says it as typed comes first', () => {
  const index = new TextIndex();
  const titles = ['Carbon spar', 'Carbon rod', 'Sail cloth, red', 'Ripstop, red', 'Spar cloth'];
  index.load(titles.length, (slot) => [{ text: titles[slot]!, weight: 8 }]);
  index.synonyms = new Synonyms([
    ['spar', 'rod'],
    ['sail cloth', 'Ripstop'],
  ]);
  const scratch = new Scratch();
  const found = (query: string) => {
    const { hits, scores } = index.search(query, 64, scratch)!;
    const slots = hits.toArray().sort((a, b) => scores[b]! - scores[a]! || a - b);
    return slots.map((slot) => titles[slot]);
  };
  expect(found('spar')).toEqual(['Carbon spar', 'Spar cloth', 'Carbon rod']);
  expect(found('carbon rod')).toEqual(['Carbon rod', 'Carbon spar']);
  expect(found('ripstop red')).toEqual(['Ripstop, red', 'Sail cloth, red']);
  expect(found('red sail cloth')).toEqual(['Sail cloth, red', 'Ripstop, red']);
  // A word that is still being typed means only itself.
  expect(found('spa')).toEqual(['Carbon spar', 'Spar cloth']);
});

test('a search with words that mean the same finds what a search for any of them finds', () => {
  fc.assert(
    fc.property(
      fc.array(fc.array(word, { maxLength: 3 }), { maxLength: 8 }),
      word,
      word,
      word,
      (texts, a, b, typed) => {
        const indexOf = (synonyms: Synonyms) => {
          const index = new TextIndex();
          index.load(texts.length, (slot) => [{ text: texts[slot]!.join(' '), weight: 1 }]);
          index.synonyms = synonyms;
          return index;
        };
        const plain = indexOf(new Synonyms());
        const rich = indexOf(new Synonyms([[a, b]]));
        const hits = (index: TextIndex, query: string) => index.search(query, 64, new Scratch())!.hits.toArray();
        const also = typed === a ? hits(plain, b) : typed === b ? hits(plain, a) : [];
        expect(hits(rich, typed)).toEqual([...new Set([...hits(plain, typed), ...also])].sort((x, y) => x - y));
      },
    ),
  );
});
