/** Finds and replaces within a text, whatever the case unless `isExact`. An empty `find` changes nothing. */
export function replaced(text: string, find: string, by: string, isExact: boolean): string {
  if (find === '') return text;
  const pattern = new RegExp(find.replace(/[.*+?^${}()|[\]\\]/g, '\\$&'), isExact ? 'g' : 'gi');
  return text.replace(pattern, () => by);
}

const numberOf = (digits: string) => Number(digits.replace(',', '.'));

/** "+5", "*2" or "-10 %" as what becomes of a number; undefined when it is none of these. */
export function readReckoning(typed: string): ((x: number) => number) | undefined {
  const match = /^([-−+*/])\s*(\d+(?:[.,]\d+)?)(\s*%)?$/.exec(typed.trim());
  if (!match) return undefined;
  const [, sign, digits, percent] = match;
  const by = numberOf(digits!);
  const part = (x: number) => (percent ? (x * by) / 100 : by);
  switch (sign) {
    case '+':
      return (x) => x + part(x);
    case '*':
      return percent ? undefined : (x) => x * by;
    case '/':
      return percent || by === 0 ? undefined : (x) => x / by;
    default:
      return (x) => x - part(x);
  }
}

/** What a reckoning makes of the number that a text begins with, to three decimals; the unit behind it stays. */
export function counted(text: string, typed: string): string | undefined {
  const reckon = readReckoning(typed);
  const number = /^-?\d+(?:[.,]\d+)?/.exec(text.trim())?.[0];
  if (!reckon || number === undefined) return undefined;
  return `${Math.round(reckon(numberOf(number)) * 1_000) / 1_000}${text.trim().slice(number.length)}`;
}
