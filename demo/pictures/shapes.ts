import type { Palette } from './palette';

/** Draws a thing around (0, 0) in a box of about 240 × 240. */
export type Shape = (palette: Palette, random: () => number) => string;

type Point = readonly [number, number];

const path = (points: readonly Point[]) => points.map(([x, y], i) => `${i ? 'L' : 'M'}${x} ${y}`).join('') + 'Z';
const panel = (points: readonly Point[], fill: string) => `<path d="${path(points)}" fill="${fill}"/>`;
const flip = (points: readonly Point[]): Point[] => points.map(([x, y]) => [-x, y]);
const line = (from: Point, to: Point, stroke: string, width = 1.6) =>
  `<line x1="${from[0]}" y1="${from[1]}" x2="${to[0]}" y2="${to[1]}" stroke="${stroke}" stroke-width="${width}" stroke-linecap="round"/>`;
const shade = (points: readonly Point[], opacity: number) =>
  `<path d="${path(points)}" fill="#000" fill-opacity="${opacity}"/>`;

/** Panels of the left half, mirrored; the right half lies in a little shade. */
function mirrored(panels: readonly (readonly [readonly Point[], string])[]): string {
  const left = panels.map(([points, fill]) => panel(points, fill)).join('');
  const right = panels.map(([points, fill]) => panel(flip(points), fill) + shade(flip(points), 0.12)).join('');
  return left + right;
}

function ribbon(x: number, y: number, length: number, sway: number, stroke: string, width = 5): string {
  const half = length / 2;
  return `<path d="M${x} ${y}q${sway} ${half / 2} 0 ${half}t0 ${half}" fill="none" stroke="${stroke}" stroke-width="${width}" stroke-linecap="round"/>`;
}

const delta: Shape = ({ a, b, c, dark }) =>
  ribbon(0, 58, 70, 16, b) +
  mirrored([
    [
      [
        [0, -62],
        [-112, 46],
        [-74, 38],
      ],
      c,
    ],
    [
      [
        [0, -62],
        [-74, 38],
        [-34, 28],
      ],
      a,
    ],
    [
      [
        [0, -62],
        [-34, 28],
        [0, 66],
      ],
      b,
    ],
  ]) +
  line([0, -62], [-112, 46], dark, 2.4) +
  line([0, -62], [112, 46], dark, 2.4) +
  line([0, -62], [0, 66], dark, 1.6) +
  line([-58, 0], [58, 0], dark, 1.2);

const wideDelta: Shape = ({ a, b, c, dark }) =>
  ribbon(-20, 40, 80, 12, c, 4) +
  ribbon(20, 40, 80, -12, a, 4) +
  mirrored([
    [
      [
        [0, -48],
        [-118, 26],
        [-88, 34],
      ],
      b,
    ],
    [
      [
        [0, -48],
        [-88, 34],
        [-56, 26],
      ],
      c,
    ],
    [
      [
        [0, -48],
        [-56, 26],
        [-24, 40],
      ],
      a,
    ],
    [
      [
        [0, -48],
        [-24, 40],
        [0, 30],
      ],
      b,
    ],
  ]) +
  line([0, -48], [-118, 26], dark, 2.4) +
  line([0, -48], [118, 26], dark, 2.4);

const diamond: Shape = ({ a, b, c, dark }) => {
  const bows = [0, 1, 2, 3].map((i) => {
    const [x, y] = [Math.sin(i * 1.7) * 12, 92 + i * 13];
    return (
      panel(
        [
          [x, y],
          [x - 9, y - 5],
          [x - 9, y + 5],
        ],
        i % 2 ? a : c,
      ) +
      panel(
        [
          [x, y],
          [x + 9, y - 5],
          [x + 9, y + 5],
        ],
        b,
      )
    );
  });
  return (
    `<path d="M0 82q14 10 0 22t4 26" fill="none" stroke="${dark}" stroke-width="1.4"/>` +
    bows.join('') +
    panel(
      [
        [0, -84],
        [-62, -20],
        [0, -20],
      ],
      a,
    ) +
    panel(
      [
        [0, -84],
        [62, -20],
        [0, -20],
      ],
      b,
    ) +
    panel(
      [
        [-62, -20],
        [0, 84],
        [0, -20],
      ],
      c,
    ) +
    panel(
      [
        [62, -20],
        [0, 84],
        [0, -20],
      ],
      a,
    ) +
    shade(
      [
        [0, -84],
        [62, -20],
        [0, 84],
      ],
      0.1,
    ) +
    line([0, -84], [0, 84], dark) +
    line([-62, -20], [62, -20], dark)
  );
};

const eddy: Shape = ({ a, b, c, dark }) =>
  mirrored([
    [
      [
        [0, -80],
        [-72, -36],
        [0, -36],
      ],
      a,
    ],
    [
      [
        [-72, -36],
        [-36, 24],
        [0, 24],
        [0, -36],
      ],
      b,
    ],
    [
      [
        [-36, 24],
        [0, 84],
        [0, 24],
      ],
      c,
    ],
  ]) +
  `<circle cx="0" cy="-10" r="17" fill="${c}"/><circle cx="0" cy="-10" r="8" fill="${a}"/>` +
  line([0, -80], [0, 84], dark) +
  `<path d="M-72 -36Q0 -50 72 -36" fill="none" stroke="${dark}" stroke-width="1.6"/>`;

const sled: Shape = ({ a, b, c, dark }) => {
  const stripes = [-46, -23, 0, 23].map((x, i) =>
    panel(
      [
        [x, -66],
        [x + 23, -66],
        [x + 23, 46],
        [x, 46],
      ],
      [b, a, a, b][i]!,
    ),
  );
  return (
    [-84, 84].map((x) => line([x, -6], [0, 126], '#ffffff', 1)).join('') +
    mirrored([
      [
        [
          [-46, -66],
          [-84, -6],
          [-46, 46],
        ],
        c,
      ],
    ]) +
    stripes.join('') +
    `<ellipse cx="-20" cy="18" rx="9" ry="12" fill="#fff" fill-opacity=".55"/><ellipse cx="20" cy="18" rx="9" ry="12" fill="#fff" fill-opacity=".55"/>` +
    line([-46, -66], [-46, 46], dark) +
    line([46, -66], [46, 46], dark)
  );
};

const pocket: Shape = ({ a, b, c, dark }) => {
  const cells = [-72, -48, -24, 0, 24, 48].map((x, i) => {
    const top = -48 - Math.cos(((x + 12) / 84) * 1.4) * 26;
    return `<path d="M${x} 34L${x} ${top}Q${x + 12} ${top - 16} ${x + 24} ${top}L${x + 24} 34Q${x + 12} 42 ${x} 34Z" fill="${[c, a, b, b, a, c][i]}"/>`;
  });
  const bridle = [-72, -24, 24, 72].map((x) => line([x, 34], [0, 122], '#fff', 0.9));
  return bridle.join('') + cells.join('') + ribbon(-72, 34, 50, 8, dark, 2) + ribbon(72, 34, 50, -8, dark, 2);
};

const box: Shape = ({ a, b, c, dark }) => {
  const cell = (y: number, left: string, right: string) =>
    panel(
      [
        [-52, y - 10],
        [0, y - 26],
        [56, y - 8],
        [4, y + 10],
      ],
      dark,
    ) +
    panel(
      [
        [-52, y - 10],
        [4, y + 10],
        [4, y + 58],
        [-52, y + 38],
      ],
      left,
    ) +
    panel(
      [
        [4, y + 10],
        [56, y - 8],
        [56, y + 40],
        [4, y + 58],
      ],
      right,
    ) +
    shade(
      [
        [4, y + 10],
        [56, y - 8],
        [56, y + 40],
        [4, y + 58],
      ],
      0.16,
    );
  return (
    line([0, -100], [0, 96], dark, 2.4) +
    cell(-66, a, b) +
    cell(32, c, a) +
    line([-52, -92], [-52, 84], dark, 3) +
    line([4, -76], [4, 104], dark, 3) +
    line([56, -92], [56, 86], dark, 3)
  );
};

function foil(cells: number, depth: number): Shape {
  return ({ a, b, c, dark }) => {
    const edge = (i: number, inner: boolean): Point => {
      const t = (i / cells - 0.5) * 2;
      const x = t * 112;
      const y = -30 - Math.cos(t * 1.35) * 34;
      return inner ? [x * 0.93, y + depth * (1 - 0.35 * t * t)] : [x, y];
    };
    const fills = Array.from({ length: cells }, (_, i) => {
      const m = Math.abs(i - (cells - 1) / 2);
      const fill = m < 1 ? b : m < cells / 4 ? a : m < cells / 2.6 ? c : a;
      const quad: Point[] = [edge(i, false), edge(i + 1, false), edge(i + 1, true), edge(i, true)];
      const mouth: Point[] = [
        edge(i, false),
        edge(i + 1, false),
        ...[i + 1, i].map((k): Point => [edge(k, false)[0] * 0.985, edge(k, false)[1] + 9]),
      ];
      return panel(quad, fill) + shade(quad, i % 2 ? 0.1 : 0) + panel(mouth, dark);
    });
    const bridle = Array.from({ length: cells + 1 }, (_, i) =>
      line(edge(i, true), [i <= cells / 2 ? -26 : 26, 112], '#ffffff', 0.7),
    );
    return bridle.join('') + fills.join('');
  };
}

const sport: Shape = ({ a, b, c, dark }) =>
  mirrored([
    [
      [
        [0, -58],
        [-122, 44],
        [-92, 40],
        [-40, -16],
      ],
      c,
    ],
    [
      [
        [-40, -16],
        [-92, 40],
        [-58, 30],
      ],
      b,
    ],
    [
      [
        [0, -58],
        [-40, -16],
        [-58, 30],
        [-30, 26],
      ],
      a,
    ],
    [
      [
        [0, -58],
        [-30, 26],
        [0, 40],
      ],
      dark,
    ],
    [
      [
        [0, -30],
        [-14, 20],
        [0, 28],
      ],
      b,
    ],
  ]) +
  line([0, -58], [-122, 44], dark, 2.6) +
  line([0, -58], [122, 44], dark, 2.6) +
  [-40, 40].map((x) => line([x, 28], [x * 0.6, 118], '#fff', 0.8)).join('');

const reel: Shape = ({ a, b, dark }) =>
  `<rect x="-11" y="60" width="22" height="62" rx="11" fill="#b98650"/><rect x="-11" y="60" width="8" height="62" rx="4" fill="#fff" fill-opacity=".22"/>` +
  `<circle r="84" fill="${dark}"/><circle r="76" fill="#d9a866"/>` +
  [66, 60, 54, 48, 42]
    .map((r, i) => `<circle r="${r}" fill="none" stroke="${i % 2 ? a : b}" stroke-width="6.5"/>`)
    .join('') +
  `<circle r="36" fill="#d9a866"/><circle r="13" fill="${dark}"/><circle r="6" fill="#f3ead9"/>`;

const winder: Shape = ({ a, b, dark }) => {
  const turns = Array.from({ length: 13 }, (_, i) => line([-34, -42 + i * 7], [34, -45 + i * 7], i % 3 ? a : b, 6));
  return (
    `<path d="M-70 -86h30v40h80v-40h30v172h-30v-40h-80v40h-30z" fill="#c99a5b" stroke="${dark}" stroke-width="3" stroke-linejoin="round"/>` +
    turns.join('')
  );
};

const spool: Shape = ({ a, b, dark }) => {
  const turns = Array.from({ length: 16 }, (_, i) =>
    line([-52, -60 + i * 8], [52, -56 + i * 8], i % 4 === 3 ? b : a, 7.4),
  );
  return (
    turns.join('') +
    `<path d="M-52 -64h104v132h-104z" fill="url(#round)"/>` +
    [-74, 68].map((y) => `<rect x="-72" y="${y}" width="144" height="18" rx="9" fill="${dark}"/>`).join('') +
    `<path d="M52 40q46 6 40 52" fill="none" stroke="${a}" stroke-width="4" stroke-linecap="round"/>`
  );
};

const spars: Shape = ({ a, b, c, dark }) =>
  `<g transform="rotate(-38)">` +
  [-36, -18, 0, 18, 36]
    .map((y, i) => {
      const x = (i % 2) * 14 - 118;
      return (
        `<rect x="${x}" y="${y}" width="226" height="9" rx="4.5" fill="${i % 2 ? dark : '#2b3138'}"/>` +
        `<rect x="${x}" y="${y + 1.5}" width="226" height="2" rx="1" fill="#fff" fill-opacity=".28"/>` +
        `<rect x="${x}" y="${y - 1}" width="26" height="11" rx="2" fill="${[a, b, c][i % 3]}"/>`
      );
    })
    .join('') +
  `</g>`;

const cloth: Shape = ({ a, b, c, dark }) => {
  const grid = Array.from({ length: 15 }, (_, i) => line([-92 + i * 13, -40], [-92 + i * 13, 84], '#ffffff', 0.5)).join(
    '',
  );
  return (
    [c, b, a]
      .map((fill, i) => {
        const y = -64 + i * 34;
        return `<path d="M-98 ${y}q50 -18 98 0t98 0v${96 - i * 12}q-48 16 -98 0t-98 0z" fill="${fill}"/><path d="M-98 ${y}q50 -18 98 0t98 0v16q-48 16 -98 0t-98 0z" fill="#fff" fill-opacity=".16"/>`;
      })
      .join('') +
    `<g opacity=".5">${grid}</g>` +
    `<path d="M-98 4q50 -18 98 0t98 0" fill="none" stroke="${dark}" stroke-opacity=".3"/>`
  );
};

const connector: Shape = ({ a, dark }, random) =>
  Array.from({ length: 5 }, (_, i) => {
    const [x, y] = [
      [-60, -48],
      [54, -56],
      [-4, 6],
      [-66, 58],
      [62, 52],
    ][i] as [number, number];
    const fill = i === 2 ? a : dark;
    return (
      `<g transform="translate(${x} ${y}) rotate(${Math.round(random() * 180)})">` +
      `<rect x="-34" y="-9" width="68" height="18" rx="9" fill="${fill}"/><rect x="-9" y="-9" width="18" height="44" rx="9" fill="${fill}"/>` +
      `<rect x="-30" y="-5" width="60" height="4" rx="2" fill="#fff" fill-opacity=".3"/><circle cy="28" r="4" fill="#000" fill-opacity=".4"/></g>`
    );
  }).join('');

const tail: Shape = ({ a, b, c }) =>
  [a, b, c]
    .map((stroke, i) => {
      const y = -52 + i * 46;
      return `<path d="M-116 ${y}c40 -60 76 56 116 0s76 -56 116 4" fill="none" stroke="${stroke}" stroke-width="17" stroke-linecap="round"/><path d="M-116 ${y - 4}c40 -60 76 56 116 0s76 -56 116 4" fill="none" stroke="#fff" stroke-opacity=".22" stroke-width="4"/>`;
    })
    .join('');

const windsock: Shape = ({ a, b, c, dark }) => {
  const rings = [a, b, c, a, b].map((fill, i) => {
    const [x0, x1] = [-96 + i * 40, -96 + (i + 1) * 40];
    const h = (x: number) => 44 - (x + 96) * 0.14;
    const sag = (x: number) => Math.sin((x + 96) / 70) * 14;
    return `<path d="M${x0} ${sag(x0) - h(x0)}L${x1} ${sag(x1) - h(x1)}L${x1} ${sag(x1) + h(x1)}L${x0} ${sag(x0) + h(x0)}Z" fill="${fill}"/>`;
  });
  return (
    line([-112, -116], [-112, 126], dark, 5) +
    rings.join('') +
    `<ellipse cx="-96" cy="0" rx="13" ry="44" fill="${dark}"/>` +
    [-44, 44].map((y) => line([-112, -14], [-96, y], dark, 1.4)).join('') +
    ribbon(104, 6, 0.1, 0, a)
  );
};

const glider: Shape = ({ a, b, dark }) =>
  `<g transform="rotate(-16)">` +
  panel(
    [
      [-112, -6],
      [-20, -26],
      [20, -26],
      [112, -6],
      [106, 14],
      [18, 8],
      [-18, 8],
      [-106, 14],
    ],
    a,
  ) +
  panel(
    [
      [-112, -6],
      [-86, -12],
      [-82, 13],
      [-106, 14],
    ],
    b,
  ) +
  panel(
    [
      [112, -6],
      [86, -12],
      [82, 13],
      [106, 14],
    ],
    b,
  ) +
  `<rect x="-5" y="-66" width="10" height="150" rx="5" fill="#d9b27c"/>` +
  panel(
    [
      [-36, 70],
      [36, 70],
      [30, 88],
      [-30, 88],
    ],
    b,
  ) +
  `<path d="M-8 -66q8 -22 16 0z" fill="${dark}"/></g>`;

const plan: Shape = ({ a, dark }) =>
  `<g transform="rotate(-5)"><rect x="-92" y="-112" width="184" height="226" rx="4" fill="#000" fill-opacity=".12" transform="translate(5 7)"/>` +
  `<rect x="-92" y="-112" width="184" height="226" rx="4" fill="#fbfaf3"/>` +
  `<g fill="none" stroke="${dark}" stroke-width="1.5"><path d="M0 -84L-58 -20L0 74L58 -20ZM0 -84V74M-58 -20H58"/>` +
  `<path d="M-76 -84v158M-80 -84h8M-80 74h8M-58 92h116M-58 88v8M58 88v8" stroke="${a}"/></g>` +
  `<path d="M-29 -52L29 -52M-30 26L30 26" stroke="${a}" stroke-dasharray="5 4" stroke-width="1.2"/>` +
  `<rect x="30" y="62" width="48" height="34" fill="${a}" fill-opacity=".16"/><path d="M36 72h34M36 80h34M36 88h20" stroke="${dark}" stroke-width="1.6"/></g>`;

const card: Shape = ({ a, b, c }) =>
  `<g transform="rotate(-8)"><rect x="-108" y="-64" width="216" height="136" rx="14" fill="#000" fill-opacity=".16" transform="translate(4 8)"/>` +
  `<rect x="-108" y="-64" width="216" height="136" rx="14" fill="${a}"/><path d="M-108 34L108 -26V18L-108 72Z" fill="${b}"/>` +
  `<path d="M-108 50L108 -2V18L-108 72Z" fill="${c}"/><circle cx="-86" cy="-42" r="8" fill="#fff" fill-opacity=".85"/>` +
  `<path d="M58 -34l14 -18 14 18 -14 26zM72 -52v44M58 -34h28" fill="none" stroke="#fff" stroke-width="2"/></g>`;

const sound: Shape = ({ a, b, c }, random) =>
  Array.from({ length: 25 }, (_, i) => {
    const h = 14 + Math.abs(Math.sin(i * 0.55)) * 78 * (0.55 + random() * 0.45);
    return `<rect x="${-112 + i * 9}" y="${-h / 2}" width="5.4" height="${h}" rx="2.7" fill="${[a, b, c][i % 3]}"/>`;
  }).join('');

const flock: Shape = (palette, random) =>
  [
    [-64, -40, 0.46, delta],
    [50, -66, 0.34, diamond],
    [62, 34, 0.4, sled],
    [-40, 58, 0.3, delta],
  ]
    .map(([x, y, scale, shape]) => {
      const turn = Math.round(random() * 24 - 12);
      return `<g transform="translate(${x} ${y}) scale(${scale}) rotate(${turn})">${(shape as Shape)(palette, random)}</g>`;
    })
    .join('');

const roll: Shape = ({ a, b, dark }) =>
  `<path d="M-20 78q80 26 128 -8v-26q-52 30 -110 8z" fill="${a}"/>` +
  `<circle r="82" cy="-6" fill="${a}"/><circle r="82" cy="-6" fill="url(#round)" opacity=".6"/>` +
  [74, 66, 58]
    .map((r) => `<circle r="${r}" cy="-6" fill="none" stroke="${b}" stroke-opacity=".5" stroke-width="2"/>`)
    .join('') +
  `<circle r="48" cy="-6" fill="#e9dcc4"/><circle r="38" cy="-6" fill="${dark}"/>`;

export const shapes = {
  delta,
  wideDelta,
  diamond,
  eddy,
  sled,
  pocket,
  box,
  foil: foil(12, 62),
  quad: foil(16, 44),
  sport,
  reel,
  winder,
  spool,
  spars,
  cloth,
  connector,
  tail,
  windsock,
  glider,
  plan,
  card,
  sound,
  flock,
  roll,
} satisfies Record<string, Shape>;

export type ShapeName = keyof typeof shapes;

/** Things that fly are drawn in the sky; the rest stand on a ground. */
export const flying = new Set<ShapeName>([
  'delta',
  'wideDelta',
  'diamond',
  'eddy',
  'sled',
  'pocket',
  'box',
  'foil',
  'quad',
  'sport',
  'tail',
  'windsock',
  'glider',
  'flock',
]);
