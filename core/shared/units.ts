/** Units that are converted when typed, by what they measure: how many of the smallest one each holds. */
const families: Record<string, number>[] = [
  { mm: 1, cm: 10, dm: 100, m: 1_000, km: 1_000_000, in: 25.4, ft: 304.8 },
  { mg: 1, g: 1_000, kg: 1_000_000, t: 1_000_000_000, oz: 28_349.523125, lb: 453_592.37 },
  { ml: 1, cl: 10, dl: 100, l: 1_000 },
  { N: 1, daN: 10, kN: 1_000 },
  { s: 1, min: 60, h: 3_600 },
];

/** How many `to` one `from` is; undefined when they do not measure the same. */
function unitFactor(from: string, to: string): number | undefined {
  if (from === to) return 1;
  const family = families.find((units) => Object.hasOwn(units, from) && Object.hasOwn(units, to));
  return family && family[from]! / family[to]!;
}

/** No measure takes so many characters; what is longer was pasted by mistake, and is not looked at. */
const LONGEST = 200;
const TOO_LONG = 'This is too long for a measure.';
const isTooLong = (typed: string) => typed.length > LONGEST;

export type Measure = { value: number } | { problem: string };

/**
 * Reads a number typed with or without a unit ("1.8 m", "180", "1,80m") into thousandths of `unit`, rounded half away from
 * zero. A decimal comma counts as a point.
 */
export function readMeasure(typed: string, unit: string): Measure {
  if (isTooLong(typed)) return { problem: TOO_LONG };
  const match = /^(-?\d+(?:[.,]\d+)?)\s*([^\d\s].*)?$/.exec(typed.trim());
  if (!match) return { problem: unit === '' ? 'Type a number.' : `Type a number, like 12 ${unit}.` };
  const number = Number(match[1]!.replace(',', '.'));
  const typedUnit = match[2]?.trim() ?? unit;
  const factor = unitFactor(typedUnit, unit) ?? unitFactor(typedUnit.toLowerCase(), unit);
  if (factor === undefined)
    return { problem: unit === '' ? 'Type a number without a unit.' : `“${typedUnit}” cannot be turned into ${unit}.` };
  const thousandths = number * factor * 1_000;
  return { value: Math.sign(thousandths) * Math.round(Math.abs(thousandths)) };
}

/** Reads a range such as "2-5 Bft", "2 – 5" or "3" (both ends the same). */
export function readRange(typed: string, unit: string): { value: { min: number; max: number } } | { problem: string } {
  if (isTooLong(typed)) return { problem: TOO_LONG };
  const match = /^(-?[\d.,]+)\s*([^\d\s–-]*)\s*(?:-|–|\.\.|to|bis)\s*(-?[\d.,]+.*)$/.exec(typed.trim());
  const high = readMeasure(match ? match[3]! : typed, unit);
  if ('problem' in high) return { problem: `Type two numbers, like 2–5${unit && ` ${unit}`}.` };
  if (!match) return { value: { min: high.value, max: high.value } };
  const typedUnit = match[2] || /[^\d\s.,-].*$/.exec(match[3]!)?.[0] || unit;
  const low = readMeasure(`${match[1]!} ${typedUnit}`, unit);
  if ('problem' in low) return { problem: `Type two numbers, like 2–5${unit && ` ${unit}`}.` };
  return low.value <= high.value
    ? { value: { min: low.value, max: high.value } }
    : { problem: 'The first number must not be above the second.' };
}

/** A measured number with the decimal mark of a language; with a point where none is given. */
export const numberWords = (value: number, locale?: string) =>
  locale === undefined
    ? String(value)
    : new Intl.NumberFormat(locale, { maximumFractionDigits: 3, useGrouping: false }).format(value);

/** A weight as people read it: "350 g", "1.2 kg". */
export const weightWords = (grams: number, locale?: string) =>
  grams < 1_000 ? `${grams} g` : `${numberWords(grams / 1_000, locale)} kg`;

/** A duration as people read it: "90 min", "3 h", "2 h 30 min". */
export function durationWords(minutes: number): string {
  const [hours, rest] = [Math.floor(minutes / 60), minutes % 60];
  if (hours === 0) return `${rest} min`;
  return rest === 0 ? `${hours} h` : `${hours} h ${rest} min`;
}

/** mm */
interface Edges {
  length: number;
  width: number;
  height: number;
}

/** "35 × 12 × 4 cm" or "350 x 120 x 40 mm" as mm; centimetres without a unit. */
export function readSize(typed: string): { value: Edges | null } | { problem: string } {
  if (isTooLong(typed)) return { problem: TOO_LONG };
  if (typed.trim() === '') return { value: null };
  const unit = /[a-z]+\s*$/i.exec(typed)?.[0].trim() ?? 'cm';
  const edges = typed
    .replace(/[a-z]+\s*$/i, '')
    .split(/[×x*]/i)
    .map((edge) => readMeasure(`${edge.trim()} ${unit}`, 'mm'));
  const [length, width, height] = edges.map((edge) => ('value' in edge ? Math.round(edge.value / 1000) : NaN));
  const isRight = edges.length === 3 && [length, width, height].every((edge) => edge !== undefined && edge > 0);
  return isRight
    ? { value: { length: length!, width: width!, height: height! } }
    : { problem: 'Type length × width × height, like 35 × 12 × 4 cm.' };
}

/** "90 min", "3 h", "2 h 30" or "150" as minutes; nothing as null. */
export function readDuration(typed: string): { value: number | null } | { problem: string } {
  if (isTooLong(typed)) return { problem: TOO_LONG };
  if (typed.trim() === '') return { value: null };
  const compound = /^(\d+)\s*h\s*(\d+)\s*(?:min)?$/i.exec(typed.trim());
  if (compound) return { value: Number(compound[1]) * 60 + Number(compound[2]) };
  const read = readMeasure(typed, 'min');
  return 'problem' in read
    ? { problem: 'Type a duration, like 90 min or 3 h.' }
    : { value: Math.round(read.value / 1000) };
}

/** "35 × 12 × 4 cm", or "" for none */
export function packageWords(size: { length: number; width: number; height: number } | null, locale?: string): string {
  if (!size) return '';
  const edges = [size.length, size.width, size.height].map((edge) => numberWords(edge / 10, locale));
  return `${edges.join(' × ')} cm`;
}
