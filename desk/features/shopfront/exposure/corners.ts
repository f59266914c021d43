import type { ExposureAnswer } from '../../../data/exposure';

export type Good = ExposureAnswer['goods'][number];
export type Beside = 'sold' | 'margin';

/** One quarter of the goods: seen often or seldom, and high or low in what they are set beside. */
export interface Corner {
  key: string;
  isSeen: boolean;
  isHigh: boolean;
  title: Record<Beside, string>;
  /** what might be done about it */
  advice: Record<Beside, string>;
}

export const corners: readonly Corner[] = [
  {
    key: 'hidden',
    isSeen: false,
    isHigh: true,
    title: { sold: 'Seen seldom, sold often', margin: 'Seen seldom, high margin' },
    advice: {
      sold: 'They sell although few see them. Place them better.',
      margin: 'They earn well. Place them better.',
    },
  },
  {
    key: 'strong',
    isSeen: true,
    isHigh: true,
    title: { sold: 'Seen often, sold often', margin: 'Seen often, high margin' },
    advice: { sold: 'They stand where they should.', margin: 'They stand where they should.' },
  },
  {
    key: 'wasted',
    isSeen: true,
    isHigh: false,
    title: { sold: 'Seen often, sold seldom', margin: 'Seen often, low margin' },
    advice: {
      sold: 'They stand in good places and few buy them. Others could stand there.',
      margin: 'They stand in good places and earn little. Others could stand there.',
    },
  },
  {
    key: 'quiet',
    isSeen: false,
    isHigh: false,
    title: { sold: 'Seen seldom, sold seldom', margin: 'Seen seldom, low margin' },
    advice: { sold: 'Few see them and few buy them.', margin: 'Few see them, and they earn little.' },
  },
];

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.floor((sorted.length - 1) / 2)] ?? 0;
}

/** Where the goods are parted: above these they count as seen often, and as high. */
export function middles(goods: readonly Good[], beside: Beside): { seen: number; high: number } {
  const known = goods.flatMap((good) => good[beside] ?? []);
  return { seen: median(goods.map(({ share }) => share)), high: median(known) };
}

/** The goods of a corner, the most telling first: those that lie furthest from the middle. */
export function goodsOfCorner(goods: readonly Good[], beside: Beside, { isSeen, isHigh }: Corner): Good[] {
  const { seen, high } = middles(goods, beside);
  const far = (value: number, middle: number) =>
    Math.abs(Math.log1p(Math.max(0, value)) - Math.log1p(Math.max(0, middle)));
  const weight = (good: Good) => far(good.share, seen) + far(good[beside]!, high);
  return goods
    .filter((good) => good[beside] !== null && good.share > seen === isSeen && good[beside] > high === isHigh)
    .sort((a, b) => weight(b) - weight(a));
}
