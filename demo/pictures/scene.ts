import { seeded } from '../random';
import type { Palette } from './palette';
import { flying, shapes, type ShapeName } from './shapes';

export type SceneName = 'sky' | 'dune' | 'sea' | 'dusk' | 'studio' | 'table';

export interface PictureSpec {
  shape: ShapeName;
  palette: Palette;
  scene: SceneName;
  width: number;
  height: number;
  seed: number;
  /** size of the thing: 1 fills most of the picture */
  scale?: number;
  /** degrees */
  turn?: number;
}

interface Ground {
  top: string;
  bottom: string;
  extra: (width: number, height: number, random: () => number) => string;
}

function cloud(x: number, y: number, size: number, opacity: number): string {
  const puff = (dx: number, dy: number, r: number) =>
    `<ellipse cx="${x + dx * size}" cy="${y + dy * size}" rx="${r * size}" ry="${r * size * 0.62}"/>`;
  return `<g fill="#fff" fill-opacity="${opacity}">${puff(0, 0, 1)}${puff(-0.9, 0.2, 0.7)}${puff(0.95, 0.18, 0.75)}${puff(0.3, -0.35, 0.7)}</g>`;
}

function clouds(width: number, height: number, random: () => number): string {
  return Array.from({ length: 3 }, () =>
    cloud(random() * width, height * (0.12 + random() * 0.7), width * (0.07 + random() * 0.09), 0.35 + random() * 0.35),
  ).join('');
}

function hills(width: number, height: number, from: number, fill: string, random: () => number): string {
  const y = height * from;
  const bend = height * (0.05 + random() * 0.06);
  return `<path d="M0 ${y}C${width * 0.3} ${y - bend * 2} ${width * 0.55} ${y + bend} ${width} ${y - bend}V${height}H0Z" fill="${fill}"/>`;
}

function grass(width: number, height: number, random: () => number): string {
  return Array.from({ length: 46 }, () => {
    const x = random() * width;
    const y = height * (0.9 + random() * 0.1);
    const lean = (random() - 0.3) * width * 0.04;
    return `<path d="M${x} ${y}q${lean * 0.3} ${-height * 0.05} ${lean} ${-height * (0.06 + random() * 0.06)}" fill="none" stroke="${random() < 0.5 ? '#8d9a5b' : '#b3a765'}" stroke-width="3" stroke-linecap="round"/>`;
  }).join('');
}

const grounds: Record<SceneName, Ground> = {
  sky: { top: '#9fd0ee', bottom: '#e8f4fa', extra: clouds },
  dune: {
    top: '#b9def2',
    bottom: '#f6efe0',
    extra: (width, height, random) =>
      clouds(width, height * 0.5, random) +
      hills(width, height, 0.8, '#ead9b0', random) +
      hills(width, height, 0.88, '#dcc490', random) +
      grass(width, height, random),
  },
  sea: {
    top: '#cfe6f0',
    bottom: '#f3f4ec',
    extra: (width, height, random) =>
      clouds(width, height * 0.6, random) +
      `<rect y="${height * 0.76}" width="${width}" height="${height * 0.24}" fill="#4d8aa8"/>` +
      Array.from({ length: 9 }, () => {
        const y = height * (0.78 + random() * 0.14);
        return `<rect x="${random() * width * 0.8}" y="${y}" width="${width * (0.08 + random() * 0.2)}" height="4" rx="2" fill="#fff" fill-opacity=".3"/>`;
      }).join('') +
      hills(width, height, 0.95, '#e6d3a7', random),
  },
  dusk: {
    top: '#27305e',
    bottom: '#e58f6d',
    extra: (width, height, random) =>
      Array.from(
        { length: 26 },
        () =>
          `<circle cx="${random() * width}" cy="${random() * height * 0.5}" r="${1 + random() * 2.4}" fill="#fff" fill-opacity=".8"/>`,
      ).join('') + hills(width, height, 0.9, '#33284a', random),
  },
  studio: { top: '#f4f1ea', bottom: '#e3ddd0', extra: () => '' },
  table: {
    top: '#f3efe6',
    bottom: '#e8e0d0',
    extra: (width, height) =>
      `<rect y="${height * 0.7}" width="${width}" height="${height * 0.3}" fill="#d6c5a6"/><rect y="${height * 0.7}" width="${width}" height="6" fill="#fff" fill-opacity=".35"/>`,
  },
};

const onOneLine = new Set<ShapeName>(['delta', 'wideDelta', 'diamond', 'eddy', 'sled', 'pocket', 'box']);

const mix = (hex: string, share: number) => {
  const channels = [1, 3, 5].map((i) => Math.round(parseInt(hex.slice(i, i + 2), 16) * share + 255 * (1 - share)));
  return `#${channels.map((x) => x.toString(16).padStart(2, '0')).join('')}`;
};

/** A whole picture as SVG text. The same spec always gives the same text. */
export function drawPicture(spec: PictureSpec): string {
  const { shape, palette, scene, width, height, seed, turn = 0 } = spec;
  const random = seeded(seed);
  const ground = grounds[scene];
  const isStudio = scene === 'studio';
  const [top, bottom] = isStudio ? [mix(palette.b, 0.2), mix(palette.a, 0.24)] : [ground.top, ground.bottom];
  const size = (Math.min(width, height) / 270) * (spec.scale ?? 0.92);
  const isInTheAir = scene === 'sky' || scene === 'dune' || scene === 'sea' || scene === 'dusk';
  const y = height * (isInTheAir && scene !== 'sky' ? 0.4 : 0.48);
  const flyingLine = () => {
    if (!isInTheAir || !onOneLine.has(shape)) return '';
    const endX = width * (0.2 + random() * 0.6);
    return `<path d="M${width / 2} ${y}Q${width * 0.55} ${height * 0.85} ${endX} ${height + 20}" fill="none" stroke="#fff" stroke-opacity=".7" stroke-width="2"/>`;
  };
  const shadow =
    isInTheAir || flying.has(shape)
      ? ''
      : `<ellipse cx="${width / 2}" cy="${height * 0.86}" rx="${size * 96}" ry="${size * 13}" fill="#3a2d1a" fill-opacity=".16"/>`;
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}">
<defs><linearGradient id="ground" x2="0" y2="1"><stop stop-color="${top}"/><stop offset="1" stop-color="${bottom}"/></linearGradient>
<linearGradient id="round"><stop stop-color="#000" stop-opacity=".28"/><stop offset=".35" stop-color="#fff" stop-opacity=".25"/><stop offset="1" stop-color="#000" stop-opacity=".32"/></linearGradient></defs>
<rect width="${width}" height="${height}" fill="url(#ground)"/>
${ground.extra(width, height, random)}${shadow}${flyingLine()}
<g transform="translate(${width / 2} ${y}) scale(${size}) rotate(${turn})">${shapes[shape](palette, random)}</g>
</svg>`;
}
