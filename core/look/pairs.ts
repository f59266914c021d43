import type { Look } from '../model/look';
import type { ColourRole } from '../model/look-choices';
import { contrastOf, nearestPassing } from './contrast';

/** Words need this much contrast to be read. */
export const READABLE = 4.5;

/** What words are written in: a colour of the look, or white on a strong ground. */
type Over = ColourRole | 'white';

/** Words and the ground that they stand on, wherever the shop has them. */
export const pairs: readonly { over: Over; on: ColourRole; where: string }[] = [
  { over: 'ink', on: 'paper', where: 'Text on the page' },
  { over: 'ink', on: 'mist', where: 'Text on the soft background' },
  { over: 'ink', on: 'tint', where: 'Text on the warm background' },
  { over: 'inkSoft', on: 'paper', where: 'Secondary text on the page' },
  { over: 'inkSoft', on: 'mist', where: 'Secondary text on the soft background' },
  { over: 'inkSoft', on: 'tint', where: 'Secondary text on the warm background' },
  { over: 'sea', on: 'paper', where: 'Links on the page' },
  { over: 'sea', on: 'mist', where: 'Links on the soft background' },
  { over: 'sea', on: 'tint', where: 'Links on the warm background' },
  { over: 'sale', on: 'paper', where: 'Sale prices on the page' },
  { over: 'white', on: 'deep', where: 'White on the strong background' },
  { over: 'white', on: 'sea', where: 'White on buttons' },
  { over: 'white', on: 'sale', where: 'White on the sale badge' },
];

export interface PairFault {
  where: string;
  /** how much contrast there is */
  contrast: number;
  /** the colour that is changed to mend it, and to what; undefined where no such colour mends it alone */
  mend: { role: ColourRole; to: string } | undefined;
}

const colourOf = (look: Look, over: Over) => (over === 'white' ? '#ffffff' : look.colours[over]);

/** All that has to be read against a role when it is changed: what it is written on, or what is written on it. */
function against(look: Look, role: ColourRole): string[] {
  return pairs.flatMap(({ over, on }) =>
    over === role ? [look.colours[on]] : on === role ? [colourOf(look, over)] : [],
  );
}

/** The pairs of a look that cannot be read well, each with the nearest colour that mends it and spoils no other pair. */
export function pairFaults(look: Look): PairFault[] {
  return pairs.flatMap(({ over, on, where }) => {
    const contrast = contrastOf(colourOf(look, over), look.colours[on]);
    if (contrast >= READABLE) return [];
    const role = over === 'white' ? on : over;
    const to = nearestPassing(look.colours[role], against(look, role), READABLE);
    return [{ where, contrast, mend: to === undefined ? undefined : { role, to } }];
  });
}
