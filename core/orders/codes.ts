/** Letters and digits that nobody takes for another: no 0 and O, no 1, I and L, no 2 and Z, no 5 and S, no 8 and B. */
const LETTERS = '34679ACDEFGHJKMNPQRTUVWXY';

/** The letter that a code ends with, by which a wrong or swapped letter is noticed. */
function checkLetter(letters: string): string {
  let sum = 0;
  // Weights that have no factor in common with their number: 25 letters, so none that five divides.
  const weights = [1, 2, 3, 4, 6, 7, 8, 9, 11, 12, 13, 14];
  [...letters].forEach((letter, at) => (sum += (LETTERS.indexOf(letter) + 1) * weights[at % weights.length]!));
  return LETTERS[sum % LETTERS.length]!;
}

/**
 * A code of `length` letters that can be read aloud, the last of which is a check. `random` answers numbers from 0 up to, not
 * including, its argument.
 */
export function makeCode(random: (below: number) => number, length = 10): string {
  let letters = '';
  while (letters.length < length - 1) letters += LETTERS[random(LETTERS.length)]!;
  return letters + checkLetter(letters);
}

/** True for what `makeCode` can have made: without looking it up, most slips of typing are told. */
export function isMadeCode(code: string): boolean {
  return (
    code.length > 1 &&
    [...code].every((letter) => LETTERS.includes(letter)) &&
    checkLetter(code.slice(0, -1)) === code.at(-1)
  );
}

/** A code in groups of four, as it is read: "ACDE-FGHJ-KM". */
export const groupedCode = (code: string): string => code.match(/.{1,4}/g)?.join('-') ?? '';
