/** Lengths of the trade's numbered barcodes: EAN-8, UPC-A, EAN-13 and ISBN-13, GTIN-14; and of the older ISBN-10. */
const LENGTHS = new Set([8, 12, 13, 14]);

const digits = (code: string) => [...code].map(Number);

/** The last digit of an EAN or UPC, from those before it: with weights 3 and 1 in turn, the sum is a multiple of ten. */
export function gtinCheckDigit(before: string): number {
  const sum = digits(before)
    .reverse()
    .reduce((total, digit, i) => total + digit * (i % 2 === 0 ? 3 : 1), 0);
  return (10 - (sum % 10)) % 10;
}

function isbn10CheckLetter(code: string): string {
  const sum = digits(code.slice(0, 9)).reduce((total, digit, i) => total + digit * (10 - i), 0);
  const rest = (11 - (sum % 11)) % 11;
  return rest === 10 ? 'X' : String(rest);
}

/** A barcode as it is kept and compared: without the blanks and hyphens that may stand between its digits. */
export const plainBarcode = (code: string): string => code.replace(/[\s-]/g, '').toUpperCase();

/**
 * What is wrong with an EAN, UPC or ISBN, in plain words; undefined when it can be one. An empty code is right: there is
 * none.
 */
export function barcodeProblem(code: string): string | undefined {
  const plain = plainBarcode(code);
  if (plain === '') return undefined;
  if (/^\d{9}[\dX]$/.test(plain)) {
    const expected = isbn10CheckLetter(plain);
    return plain[9] === expected
      ? undefined
      : `The last character should be ${expected}: a digit is wrong, or two are swapped.`;
  }
  if (!/^\d*$/.test(plain)) return 'A barcode has digits only.';
  if (!LENGTHS.has(plain.length)) return `A barcode has 8, 12, 13 or 14 digits; this one has ${plain.length}.`;
  const expected = gtinCheckDigit(plain.slice(0, -1));
  return Number(plain.at(-1)) === expected
    ? undefined
    : `The last digit should be ${expected}: a digit is wrong, or two are swapped.`;
}
