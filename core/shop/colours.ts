import { oneSlip } from '../search/words';
import { converter, differenceEuclidean } from 'culori';

/** Basic colours, each by some that anybody would call so. */
const basics: Record<string, string[]> = {
  red: ['#d32f2f', '#b71c1c', '#e53935', '#e5532d'],
  orange: ['#f57c00', '#ff9800', '#e65100'],
  yellow: ['#fdd835', '#ffeb3b', '#f4c430', '#f2b705'],
  green: ['#388e3c', '#4caf50', '#1b5e20', '#8bc34a', '#0b6a4f'],
  turquoise: ['#00897b', '#26a69a', '#4dd0e1', '#0f766e'],
  blue: ['#1976d2', '#2196f3', '#0d47a1', '#1b4f8f', '#90caf9', '#1f2a5c'],
  purple: ['#7b1fa2', '#9c27b0', '#512da8', '#673ab7'],
  pink: ['#e91e63', '#f48fb1', '#ec407a', '#d81b7a'],
  brown: ['#795548', '#5d4037', '#8d6e63', '#7a4a1f'],
  beige: ['#e8dcc0', '#d7ccc8', '#f0e6d2'],
  black: ['#101010', '#1c1c1c', '#1e2326'],
  grey: ['#9e9e9e', '#757575', '#616161', '#bdbdbd'],
  white: ['#ffffff', '#fafafa', '#f5f5f5'],
};

/** What colours are called, folded, beside their names here. */
const alsoCalled: Record<string, string> = {
  gray: 'grey',
  violet: 'purple',
  lilac: 'purple',
  crimson: 'red',
  scarlet: 'red',
  navy: 'blue',
  teal: 'turquoise',
  gold: 'yellow',
  golden: 'yellow',
  rot: 'red',
  gelb: 'yellow',
  grun: 'green',
  turkis: 'turquoise',
  blau: 'blue',
  lila: 'purple',
  violett: 'purple',
  rosa: 'pink',
  braun: 'brown',
  schwarz: 'black',
  grau: 'grey',
  weiss: 'white',
};

/** A second name is given where it is at most so much further than the first. */
const ALSO = 1.35;

const oklab = converter('oklab');
const distance = differenceEuclidean('oklab');
const known = Object.entries(basics).map(([name, hexes]) => ({ name, colours: hexes.map((hex) => oklab(hex)!) }));
const named = new Map<string, string[]>();

/** The basic colour that a word names, in English or German; undefined for other words. */
export const colourCalled = (word: string): string | undefined =>
  Object.hasOwn(basics, word) ? word : Object.hasOwn(alsoCalled, word) ? alsoCalled[word] : undefined;

/** The word for a colour that is one slip away from what was typed. */
export const colourMeant = (typed: string): string | undefined =>
  [...Object.keys(basics), ...Object.keys(alsoCalled)].find(
    (word) => Math.abs(word.length - typed.length) <= 1 && oneSlip(typed, word),
  );

/** The basic colours that a swatch would be called by, the nearest first; one, or two where it lies between them. */
export function coloursOf(hex: string): string[] {
  let names = named.get(hex);
  if (!names) {
    const colour = oklab(hex);
    if (!colour) return [];
    const near = known
      .map(({ name, colours }) => ({ name, far: Math.min(...colours.map((each) => distance(each, colour))) }))
      .sort((a, b) => a.far - b.far);
    const limit = Math.max(near[0]!.far * ALSO, 0.03);
    names = near
      .filter(({ far }) => far <= limit)
      .slice(0, 2)
      .map(({ name }) => name);
    named.set(hex, names);
  }
  return names;
}
