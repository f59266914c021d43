/** Words with one form, or with one for each number that a language tells apart. */
export type Spoken = string | Readonly<Record<string, string>>;

/** What is filled into words: texts as they are, numbers as the language writes them. */
type Filled = Readonly<Record<string, string | number>>;

/** Says fixed words by their key. What has several forms is chosen by `count`. */
export type Say<Key extends string = string> = (key: Key, filled?: Filled) => string;

const NAMED = /\{(\w+)\}/g;

/** Fills {name} into words; what is not given stays as it is, so that nobody reads nothing. */
const fill = (words: string, filled: Filled, number: Intl.NumberFormat) =>
  words.replace(NAMED, (whole, name: string) => {
    const value = filled[name];
    if (value === undefined) return whole;
    return typeof value === 'number' ? number.format(value) : value;
  });

/**
 * Says words of a catalog in a language. `own` has words in place of those, by key, or by key and form with a point between.
 * A form that is missing is said as the one for most numbers. Intl decides which form a number has.
 */
export function sayer<Key extends string>(
  locale: string,
  catalog: Readonly<Record<Key, Spoken>>,
  own: Readonly<Record<string, string>> = {},
): Say<Key> {
  const rules = new Intl.PluralRules(locale);
  const number = new Intl.NumberFormat(locale);
  return (key, filled) => {
    const words = catalog[key];
    if (typeof words === 'string') return filled ? fill(own[key] ?? words, filled, number) : (own[key] ?? words);
    const { count = 0 } = filled ?? {};
    const form = rules.select(Number(count));
    const said = own[`${key}.${form}`] ?? words[form] ?? own[`${key}.other`] ?? words.other ?? '';
    return fill(said, filled ?? {}, number);
  };
}
