import fc from 'fast-check';
import { translationProblems } from './checks';
import { draftOf } from './drafting';
import { fixedWordsFor, saidAgain, sayerOf, shippedLanguages, shippedWords, wordKeys } from './fixed/fixed-words';
import { piecesOf, textOfPieces } from './inline-codes';
import { likenessOf, TranslationMemory } from './memory';
import { textHash } from './text-hash';
import { inWording, textsOf, translationFinder } from './worded';
import { wordDifference } from './word-difference';
import { readXliff, writeXliff, xliffProblems, type SegmentState } from './xliff';
import { noLanguages } from '../model/languages';
import { usualPage } from '../model/page';
import { wholeSection } from '../model/sections/sections';

const filledIn = (text: string) => (text.match(/\{\w+\}/g) ?? []).sort();

describe('fixed words', () => {
  test.each(shippedLanguages)('%s has every word, with the same places to fill in', (locale) => {
    const [english, words] = [fixedWordsFor('en', locale), shippedWords(locale)!];
    expect(Object.keys(words).sort()).toEqual(Object.keys(english).sort());
    for (const [path, text] of Object.entries(words)) {
      expect([path, text.trim()]).not.toEqual([path, '']);
      // A form for one thing may say "one" instead of its number.
      const wanted = filledIn(english[path]!);
      const there = filledIn(text);
      expect([path, there.filter((name) => name !== '{count}')]).toEqual([
        path,
        wanted.filter((name) => name !== '{count}'),
      ]);
    }
  });

  test('forms follow the number as the language has them', () => {
    const [english, german] = [sayerOf('en'), sayerOf('de')];
    expect([0, 1, 2].map((count) => english('frame.pieces', { count }))).toEqual(['0 pieces', '1 piece', '2 pieces']);
    expect(german('search.count', { count: 1_200 })).toBe('1.200 Vorschläge');
    const polish = sayerOf('pl', { 'frame.pieces.few': '{count} sztuki', 'frame.pieces.many': '{count} sztuk' });
    expect([2, 5].map((count) => polish('frame.pieces', { count }))).toEqual(['2 sztuki', '5 sztuk']);
  });

  test('every key says something in every language, whatever is filled in', () => {
    for (const locale of ['en', 'de', 'fr', 'ar'])
      for (const key of wordKeys) expect(sayerOf(locale)(key, { count: 3 })).not.toBe('');
  });

  test('words of the seller stand in place of those that are shipped', () =>
    expect(sayerOf('de', { 'basket.add': 'Einpacken' })('basket.add')).toBe('Einpacken'));

  test('a refusal is said again in the language of the page, with what was filled in', () => {
    const say = sayerOf('de');
    expect(saidAgain('Type a code.', say)).toBe('Geben Sie einen Code ein.');
    expect(saidAgain('Sorry, somebody else just took the last of “Tern (red)”.', say)).toBe(
      'Leider hat gerade jemand anderes das letzte „Tern (red)“ genommen.',
    );
    expect(saidAgain('Of no catalog', say)).toBe('Of no catalog');
  });
});

describe('texts of a thing', () => {
  const page = {
    ...usualPage,
    id: 'g_home',
    title: 'Home',
    slug: 'home',
    home: true,
    sections: [
      wholeSection({
        id: 's_1',
        kind: 'facts',
        title: 'Good to know',
        facts: [
          { icon: 'none', title: 'Sent at once', words: '' },
          { icon: 'none', title: '30 days', words: 'to send it back' },
        ],
      } as never),
      wholeSection({ id: 's_2', kind: 'text', title: '', html: '<p>Come <strong>in</strong></p>' } as never),
    ],
  };

  test('are found by where they stand, without those that read the same everywhere', () =>
    expect(textsOf('page', page).map(({ path, text, mark }) => [path, text, mark.form ?? 'plain'])).toEqual([
      ['title', 'Home', 'plain'],
      ['slug', 'home', 'address'],
      ['sections.s_1.title', 'Good to know', 'plain'],
      ['sections.s_1.facts.0.title', 'Sent at once', 'plain'],
      ['sections.s_1.facts.1.title', '30 days', 'plain'],
      ['sections.s_1.facts.1.words', 'to send it back', 'plain'],
      ['sections.s_2.html', '<p>Come <strong>in</strong></p>', 'html'],
    ]));

  test('a translation changes those that it has, and nothing in place', () => {
    const before = JSON.stringify(page);
    const texts = { title: { text: 'Start', of: textHash('Home') } };
    const told = inWording('page', page, { texts });
    expect(told.title).toBe('Start');
    expect(told.sections).toBe(page.sections);
    expect(JSON.stringify(page)).toBe(before);
    expect(inWording('page', page, { texts: {} })).toBe(page);
  });

  test('a list in another order keeps its translations', () => {
    const texts = {
      'sections.s_1.facts.0.title': { text: 'Sofort verschickt', of: textHash('Sent at once') },
      'sections.s_1.facts.1.title': { text: '30 Tage', of: textHash('30 days') },
    };
    const turned = {
      ...page,
      sections: [
        {
          ...(page.sections[0] as never as object),
          facts: [...(page.sections[0] as never as { facts: object[] }).facts].reverse(),
        },
      ],
    };
    const told = inWording('page', turned, { texts }) as never as { sections: { facts: { title: string }[] }[] };
    expect(told.sections[0]!.facts.map(({ title }) => title)).toEqual(['30 Tage', 'Sofort verschickt']);
  });

  test('what stands at the same place is told where its text became another', () => {
    const find = translationFinder({ 'facts.0.title': { text: 'Alt', of: textHash('old') } });
    expect(find('facts.0.title', 'new')?.text).toBe('Alt');
    expect(find('facts.1.title', 'old')?.text).toBe('Alt');
  });
});

const words = fc.array(fc.constantFrom('kite', 'line', 'of', '30', 'm', 'light', 'wind', '<p>', '</p>', '{count}'), {
  maxLength: 12,
});

describe('memory', () => {
  const memory = new TranslationMemory([
    { source: 'A kite for light wind', text: 'Ein Drachen für leichten Wind' },
    { source: 'A kite for strong wind', text: 'Ein Drachen für starken Wind' },
    { source: 'A line of 30 m', text: 'Eine Leine von 30 m' },
  ]);

  test('the same text is found as it is, a similar one with how alike it is', () => {
    expect(memory.exact('A line of 30 m')).toBe('Eine Leine von 30 m');
    const [first, second] = memory.like('A kite for light wind');
    expect(first).toMatchObject({ text: 'Ein Drachen für leichten Wind', likeness: 1 });
    expect(second!.likeness).toBeCloseTo(0.8);
    expect(memory.like('Nothing of that sort')).toEqual([]);
  });

  test('likeness is the same both ways, 1 only for the same words', () =>
    fc.assert(
      fc.property(words, words, (a, b) => {
        expect(likenessOf(a, b)).toBeCloseTo(likenessOf(b, a));
        expect(likenessOf(a, b) === 1).toBe(a.length > 0 && a.join(' ') === b.join(' '));
      }),
    ));

  test('a difference holds both texts', () =>
    fc.assert(
      fc.property(words, words, (a, b) => {
        const [before, after] = [a.join(' '), b.join(' ')];
        const stretches = wordDifference(before, after);
        const side = (without: string) =>
          stretches.flatMap(({ words: own, in: where }) => (where === without ? [] : [own])).join('');
        expect([side('after'), side('before')]).toEqual([before, after]);
      }),
    ));

  test('a draft takes earlier translations, then the glossary, then single words, and keeps codes', () => {
    const languages = { glossary: [{ term: 'sport kite', as: { de: 'Lenkdrachen' } }] };
    const draft = (text: string) => draftOf(text, 'de', memory, languages);
    expect(draft('A kite for light wind')).toBe('Ein Drachen für leichten Wind');
    expect(draft('A line of 50 m')).toBe('Eine Leine von 50 m');
    expect(draft('<p>The Sport Kite: {count} colours</p>')).toBe('<p>Der Lenkdrachen: {count} Farben</p>');
    expect(draft('Zyxwv')).toBe('Zyxwv');
  });
});

describe('checks of a translation', () => {
  const about = (source: string, text: string, glossary = noLanguages.glossary) =>
    translationProblems({ source, text, locale: 'de', most: 40 }, { ...noLanguages, glossary }).map(
      (problem) => problem.about,
    );
  test.each([
    ['a number that is lost', 'Up to 30 times', 'Bis zu viele Male', ['numbers']],
    ['a decimal mark of the language is no slip', '1.5 m and 1,200 g', '1,5 m und 1.200 g', []],
    ['a fill-in', 'Show {count}', 'Zeige {zahl}', ['fill-ins', 'fill-ins']],
    ['a link', '<a href="/p/a">A</a>', '<a href="/p/b">A</a>', ['links', 'links']],
    ['a format', '<p><strong>A</strong></p>', '<p>A</p>', ['formats']],
    ['a unit', '30 cm', '30 mm', ['units', 'units']],
    ['too long', 'Short', 'x'.repeat(41), ['length']],
  ])('%s', (_, source, text, wanted) => expect(about(source, text)).toEqual(wanted));

  test('a term that is translated otherwise elsewhere', () => {
    const glossary = [{ term: 'sport kite', as: { de: 'Lenkdrachen' } }];
    expect(about('Two sport kites', 'Zwei Sportdrachen', glossary)).toEqual(['glossary']);
    expect(about('Two sport kites', 'Zwei Lenkdrachen', glossary)).toEqual([]);
  });

  test('a text is no problem to itself', () =>
    fc.assert(
      fc.property(words, (all) => expect(about(all.join(' ').slice(0, 40), all.join(' ').slice(0, 40))).toEqual([])),
    ));
});

// What XML cannot hold is no text of a shop.
const texts = fc
  .array(fc.oneof(fc.constantFrom('<p>', '</p>', '{count}', ' ', '&', '"', "'", ']]>', 'ß'), fc.string()), {
    maxLength: 8,
  })
  // eslint-disable-next-line no-control-regex
  .map((parts) => parts.join('').replace(/[\u0000-\u001f\u007f-\u009f\ud800-\udfff\ufffe\uffff]/g, ''));

describe('XLIFF', () => {
  test('codes and words put together again are the text', () =>
    fc.assert(fc.property(fc.string(), (text) => expect(textOfPieces(piecesOf(text))).toBe(text))));

  test('what was written holds the constraints of the standard, and is read as it was', () =>
    fc.assert(
      fc.property(
        fc.uniqueArray(
          fc.record({
            path: fc.stringMatching(/^[a-z]{1,6}(\.[a-z0-9_]{1,6}){0,2}$/),
            source: texts.filter((text) => text !== ''),
            target: fc.option(texts),
            state: fc.constantFrom<SegmentState>('translated', 'final'),
          }),
          { selector: ({ path }) => path, minLength: 1, maxLength: 4 },
        ),
        (units) => {
          const file = {
            original: 'product/p_1',
            name: 'Harrier & co',
            units: units.map((unit) => ({ ...unit, note: 'title' })),
          };
          const written = writeXliff({ srcLang: 'en', trgLang: 'de', files: [file] });
          expect(xliffProblems(written)).toEqual([]);
          const read = readXliff(written)!;
          expect(read).toMatchObject({ srcLang: 'en', trgLang: 'de' });
          expect(read.files[0]!.units.map(({ path, source, target }) => ({ path, source, target }))).toEqual(
            units.map(({ path, source, target }) => ({ path, source, target })),
          );
        },
      ),
    ));

  const unit = (inner: string, attributes = 'id="u1" name="title"') =>
    `<xliff xmlns="urn:oasis:names:tc:xliff:document:2.0" version="2.1" srcLang="en" trgLang="de"><file id="f1"><unit ${attributes}>${inner}</unit></file></xliff>`;
  test.each([
    ['no id', unit('<segment><source>A</source></segment>', 'name="title"'), /id of <unit> is required/],
    ['no source', unit('<segment><target>A</target></segment>'), /holds one <source>/],
    ['no segment', unit('<notes><note>A</note></notes>'), /at least one <segment>/],
    ['an unknown state', unit('<segment state="good"><source>A</source><target>B</target></segment>'), /state must be/],
    [
      'a code that names nothing',
      unit('<segment><source><ph id="1" dataRef="d1"/></source></segment>'),
      /must name a <data>/,
    ],
    [
      'data after the segment',
      unit('<segment><source>A</source></segment><originalData><data id="d1">x</data></originalData>'),
      /in this order/,
    ],
    ['two codes of one id', unit('<segment><source><ph id="1"/><ph id="1"/></source></segment>'), /must be unique/],
    ['no XML', 'hello', /well-formed/],
  ])('%s breaks them', (_, text, problem) => expect(xliffProblems(text).join('\n')).toMatch(problem));

  test('pairs, marks and several segments of other programs are read', () => {
    const read = readXliff(
      unit(
        '<originalData><data id="a">&lt;b&gt;</data><data id="b">&lt;/b&gt;</data></originalData>' +
          '<segment><source>One </source><target>Eins </target></segment>' +
          '<segment><source><pc id="1" dataRefStart="a" dataRefEnd="b">two</pc></source><target><mrk id="m1" type="term"><pc id="1" dataRefStart="a" dataRefEnd="b">zwei</pc></mrk></target></segment>',
      ),
    )!;
    expect(read.files[0]!.units[0]).toMatchObject({ source: 'One <b>two</b>', target: 'Eins <b>zwei</b>' });
  });

  test('a document that declares entities is not read', () =>
    expect(readXliff('<!DOCTYPE x [<!ENTITY a "b">]><xliff version="2.1"></xliff>')).toBeUndefined());
});
