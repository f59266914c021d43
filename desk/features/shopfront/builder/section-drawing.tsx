import type { SectionKind } from '../../../../core/model/sections/sections';

type Box = readonly [x: number, y: number, width: number, height: number, isSoft?: boolean];

/** What each sort of section looks like from far away. */
const drawings: Record<SectionKind, readonly Box[]> = {
  banner: [
    [3, 4, 30, 16],
    [6, 10, 14, 3, true],
  ],
  strip: [
    [3, 7, 6, 8],
    [11, 7, 6, 8],
    [19, 7, 6, 8],
    [27, 7, 6, 8],
  ],
  tiles: [
    [3, 3, 14, 8],
    [19, 3, 14, 8],
    [3, 13, 14, 8],
    [19, 13, 14, 8],
  ],
  product: [
    [3, 4, 15, 16],
    [21, 5, 12, 3, true],
    [21, 10, 8, 2, true],
    [21, 16, 10, 4],
  ],
  listing: [
    [3, 4, 6, 16, true],
    [12, 4, 6, 7],
    [20, 4, 6, 7],
    [28, 4, 5, 7],
    [12, 13, 6, 7],
    [20, 13, 6, 7],
  ],
  text: [
    [3, 5, 20, 3],
    [3, 11, 30, 2, true],
    [3, 15, 26, 2, true],
  ],
  pictureText: [
    [3, 5, 14, 14],
    [20, 6, 13, 3, true],
    [20, 11, 13, 2, true],
    [20, 15, 9, 2, true],
  ],
  pictures: [
    [3, 5, 9, 14],
    [14, 5, 9, 14],
    [25, 5, 8, 14],
  ],
  film: [
    [3, 4, 30, 16, true],
    [15, 9, 6, 6],
  ],
  quotes: [
    [6, 6, 3, 4],
    [11, 6, 3, 4],
    [6, 13, 24, 2, true],
    [6, 17, 16, 2, true],
  ],
  facts: [
    [4, 6, 5, 5],
    [15, 6, 5, 5],
    [26, 6, 5, 5],
    [3, 14, 8, 2, true],
    [14, 14, 8, 2, true],
    [25, 14, 8, 2, true],
  ],
  questions: [
    [3, 5, 26, 2],
    [31, 5, 2, 2],
    [3, 11, 26, 2, true],
    [3, 17, 26, 2, true],
  ],
  subscribe: [
    [6, 6, 18, 2, true],
    [6, 12, 15, 5, true],
    [22, 12, 8, 5],
  ],
  line: [[3, 11, 30, 1]],
};

export const SectionDrawing = ({ kind }: { kind: SectionKind }) => (
  <svg
    viewBox="0 0 36 24"
    className="h-6 w-9 shrink-0 rounded-[4px] border border-line bg-sheet text-ink"
    aria-hidden="true"
  >
    {drawings[kind].map(([x, y, width, height, isSoft], i) => (
      <rect key={i} {...{ x, y, width, height }} rx={1} fill="currentColor" opacity={isSoft ? 0.3 : 0.75} />
    ))}
  </svg>
);
