import { converter, formatHex, wcagContrast } from 'culori';

const toOklch = converter('oklch');

/** How much two colours differ in lightness, as WCAG counts it: from 1 to 21. */
export const contrastOf = (a: string, b: string): number => wcagContrast(a, b);

/** Steps of lightness in which a colour is looked for that can be read. */
const STEP = 0.005;

/**
 * The colour nearest to `colour` that reaches `least` against each of `grounds`: the same hue, lighter or darker, and paler
 * where it must be. Itself where it does already; undefined where no lightness does, since the grounds are too far apart.
 */
export function nearestPassing(colour: string, grounds: readonly string[], least: number): string | undefined {
  const passes = (hex: string) => grounds.every((ground) => contrastOf(hex, ground) >= least);
  if (passes(colour)) return colour;
  const from = toOklch(colour)!;
  for (let away = STEP; away <= 1; away += STEP)
    for (const l of [from.l - away, from.l + away]) {
      if (l < 0 || l > 1) continue;
      // What a screen cannot show at this lightness comes out paler.
      const tried = formatHex({ ...from, l });
      if (passes(tried)) return tried;
    }
  return ['#000000', '#ffffff'].find(passes);
}
