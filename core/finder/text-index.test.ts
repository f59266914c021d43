import fc from 'fast-check';
import { slipsInto } from '../testing/reference-listing';
import { Scratch } from './scratch';
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
