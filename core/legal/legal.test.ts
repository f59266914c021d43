import fc from 'fast-check';
import { emptySettings, type Settings } from '../model/settings';
import { blankValue, blanks, filledIn, openBlanks, type Blank } from './blanks';
import { legalKeys, legalPages } from './legal-pages';

const names = Object.keys(blanks) as Blank[];
const settingsWith = (value: (name: Blank) => string): Settings => ({
  ...emptySettings,
  name: value('shop') || 'Shop',
  contact: {
    ...emptySettings.contact,
    ...Object.fromEntries(names.filter((name) => name in emptySettings.contact).map((name) => [name, value(name)])),
  },
  productPage: { ...emptySettings.productPage, deliveryWords: value('delivery'), returnWords: value('returns') },
});

test.each(legalKeys)('“%s” leaves blank only what the settings can fill', (key) => {
  const { html } = legalPages[key];
  const braces = [...html.matchAll(/\{([^}]*)\}/g)].map(([, name]) => name!);
  expect(braces.filter((name) => !(name in blanks))).toEqual([]);
  const filled = filledIn(
    html,
    settingsWith((name) => `the ${name}`),
  );
  expect(filled).not.toMatch(/[{}]|<mark>/);
  expect(
    openBlanks(
      html,
      settingsWith((name) => `the ${name}`),
    ),
  ).toEqual([]);
});

test('what the settings do not say is marked in the text, and told', () => {
  const html = '<p>{company}, {mail}, {company}</p>';
  expect(filledIn(html, emptySettings)).toBe(
    '<p><mark>[Company]</mark>, <mark>[Mail]</mark>, <mark>[Company]</mark></p>',
  );
  expect(openBlanks(html, emptySettings)).toEqual(['company', 'mail']);
});

test('whatever a seller typed, it is text and no markup, and other braces stay as they are', () => {
  fc.assert(
    fc.property(
      fc.string({ minLength: 1 }).filter((text) => text.trim() !== ''),
      (typed) => {
        const settings = settingsWith(() => typed);
        const filled = filledIn('<p>{city} {unknown}</p>', settings);
        expect(filled).toContain('{unknown}');
        const inner = filled.slice(3, -4).replace(/<br>/g, '');
        expect(inner).not.toMatch(/[<>"]/);
        expect(blankValue(settings, 'city')).toBe(typed);
      },
    ),
  );
});
