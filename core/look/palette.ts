import { converter, formatHex } from 'culori';
import type { Look } from '../model/look';
import type { ColourRole } from '../model/look-choices';
import { nearestPassing } from './contrast';
import { pairFaults, READABLE } from './pairs';

const toOklab = converter('oklab');
const toOklch = converter('oklch');

/** A colour that much of a picture has. */
export interface Found {
  hex: string;
  /** of all that is not transparent, from 0 to 1 */
  share: number;
}

/** Colours as near as this, in OKLab, are counted as one: about what a glance cannot tell apart in a small picture. */
const GRAIN = 0.03;
const ALIKE = 0.1;
const MOST = 6;
/** Less than this much of a picture is the blur between two colours. */
const LEAST = 0.02;
/** Greys have less colour than this. */
const GREY = 0.035;

/**
 * The colours that most of a picture has, the commonest first. `pixels`: red, green, blue and alpha of each, from 0 to 255;
 * in whatever order they come. O(pixels + colours²).
 */
export function coloursOf(pixels: ArrayLike<number>): Found[] {
  const grains = new Map<string, { l: number; a: number; b: number; count: number }>();
  let total = 0;
  for (let i = 0; i + 3 < pixels.length; i += 4) {
    if (pixels[i + 3]! < 128) continue;
    const { l, a, b } = toOklab({ mode: 'rgb', r: pixels[i]! / 255, g: pixels[i + 1]! / 255, b: pixels[i + 2]! / 255 });
    // Exact whole steps, so that sums do not depend on the order of the pixels.
    const at = [l, a, b].map((x) => Math.round(x / GRAIN));
    const grain = grains.get(at.join());
    if (grain) grain.count++;
    else grains.set(at.join(), { l: at[0]! * GRAIN, a: at[1]! * GRAIN, b: at[2]! * GRAIN, count: 1 });
    total++;
  }
  const inOrder = [...grains].sort(([x, a], [y, b]) => b.count - a.count || (x < y ? -1 : 1)).map(([, grain]) => grain);
  const clusters: { l: number; a: number; b: number; count: number }[] = [];
  for (const grain of inOrder) {
    const near = clusters.find(({ l, a, b }) => Math.hypot(l - grain.l, a - grain.a, b - grain.b) < ALIKE);
    if (near) near.count += grain.count;
    else clusters.push({ ...grain });
  }
  return clusters
    .map(({ l, a, b, count }) => ({ hex: formatHex({ mode: 'oklab', l, a, b }), share: count / total }))
    .filter(({ share }) => share >= LEAST)
    .sort((x, y) => y.share - x.share || (x.hex < y.hex ? -1 : 1))
    .slice(0, MOST);
}

/** A colour of a hue at a lightness, with so much colour at most. */
const shade = (l: number, c: number, h: number | undefined) => formatHex({ mode: 'oklch', l, c, h: h ?? 0 });

/**
 * A look with colours made of those of a picture: what stands out most becomes links and buttons, its darkest the strong
 * ground, and all else faint shades of them; everything can be read. Where a picture has only greys, so has the look.
 */
export function lookOf(found: readonly Found[], look: Look): Look {
  const all = found.map(({ hex, share }) => ({ hex, share, ...toOklch(hex)! }));
  const coloured = all.filter(({ c }) => c >= GREY).sort((a, b) => b.c * Math.sqrt(b.share) - a.c * Math.sqrt(a.share));
  const [main, second = main] = coloured;
  const darkest = [...all].filter(({ l }) => l < 0.45).sort((a, b) => a.l - b.l)[0];
  const of = (most: number, from = main) => Math.min(most, from?.c ?? 0);
  const hue = main?.h;
  const colours: Record<ColourRole, string> = {
    paper: shade(0.99, of(0.005), hue),
    mist: shade(0.955, of(0.014), hue),
    tint: shade(0.95, of(0.04, second), second?.h),
    deep: darkest && darkest.l > 0.18 ? darkest.hex : shade(0.3, of(0.07), hue),
    ink: shade(0.24, of(0.03), hue),
    inkSoft: shade(0.45, of(0.03), hue),
    line: shade(0.9, of(0.018), hue),
    sea: main?.hex ?? shade(0.35, 0, undefined),
    sale: look.colours.sale,
  };
  return readable({ ...look, colours });
}

/** The look with each colour that is hard to read mended, one after the other. */
function readable(look: Look): Look {
  let mended = look;
  for (let round = 0; round < pairFaults(look).length + 3; round++) {
    const fault = pairFaults(mended).find(({ mend }) => mend !== undefined);
    if (!fault) break;
    mended = { ...mended, colours: { ...mended.colours, [fault.mend!.role]: fault.mend!.to } };
  }
  const { paper, mist, tint } = mended.colours;
  const sale = nearestPassing(mended.colours.sale, [paper, '#ffffff'], READABLE) ?? mended.colours.sale;
  const sea = nearestPassing(mended.colours.sea, [paper, mist, tint, '#ffffff'], READABLE) ?? mended.colours.sea;
  return { ...mended, colours: { ...mended.colours, sale, sea } };
}
