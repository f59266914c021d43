import { Buffer } from 'node:buffer';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { create } from 'fontkit';
import sharp from 'sharp';

/** Draws the card of a page, whose words come in as JSON, as a JPEG that goes out: in a process of its own, since letters take long to load. */

/** Who started it stops it sooner; when that one has died, it stops itself. */
const LAST_MS = 15_000;
setTimeout(() => process.kill(process.pid, 'SIGKILL'), LAST_MS).unref();

const [WIDTH, HEIGHT, MARGIN] = [1_200, 630, 64];
const PICTURE = 570;
const MOST_LINES = 5;
const SIZES = [92, 84, 76, 68, 60, 52, 46];
const BOLD = 700;
/** How much wider a stroke becomes where letters are a hundred steps too light, by their size. */
const BOLDER = 0.009;

const chunks = [];
for await (const chunk of process.stdin) chunks.push(chunk);
const { title, shop, ground, ink, family, picture } = JSON.parse(Buffer.concat(chunks).toString('utf8'));

const find = createRequire(import.meta.url).resolve;
const fonts = ['latin', 'latin-ext'].map((part) =>
  create(readFileSync(find(`@fontsource-variable/${family}/files/${family}-${part}-wght-normal.woff2`))),
);
const fontOf = (letter) => fonts.find((font) => font.hasGlyphForCodePoint(letter.codePointAt(0))) ?? fonts[0];

/** Runs of letters that stand in one file. */
function runsOf(words) {
  const runs = [];
  for (const letter of words) {
    const font = fontOf(letter);
    if (runs.at(-1)?.font === font) runs.at(-1).words += letter;
    else runs.push({ font, words: letter });
  }
  return runs.map((run) => ({ ...run, layout: run.font.layout(run.words) }));
}

const widthOf = (words, size) =>
  runsOf(words).reduce((sum, { font, layout }) => sum + (layout.advanceWidth * size) / font.unitsPerEm, 0);

/** Words as lines that are no wider than there is room; undefined where a word or the number of lines does not fit. */
function linesOf(words, size, room) {
  const lines = [];
  for (const word of words.split(/\s+/).filter(Boolean)) {
    if (widthOf(word, size) > room) return undefined;
    const longer = lines.length > 0 && `${lines.at(-1)} ${word}`;
    if (longer && widthOf(longer, size) <= room) lines[lines.length - 1] = longer;
    else lines.push(word);
  }
  return lines.length <= MOST_LINES ? lines : undefined;
}

/** Letters as outlines, so that no machine needs to have them; `y`: the line that they stand on. */
function drawn(words, size, x, y) {
  let at = x;
  return runsOf(words)
    .map(({ font, layout }) => {
      const scale = size / font.unitsPerEm;
      const light = Math.max(0, BOLD - (font.variationAxes.wght?.default ?? BOLD)) / 100;
      const paths = layout.glyphs.map((glyph, i) => {
        const { xAdvance, xOffset, yOffset } = layout.positions[i];
        const place = `translate(${at + xOffset * scale} ${y - yOffset * scale}) scale(${scale} ${-scale})`;
        at += xAdvance * scale;
        return `<path transform="${place}" d="${glyph.path.toSVG()}"/>`;
      });
      const stroke = (light * BOLDER * size) / scale;
      return `<g fill="${ink}" stroke="${ink}" stroke-linejoin="round" stroke-width="${stroke}">${paths.join('')}</g>`;
    })
    .join('');
}

const room = (picture ? WIDTH - PICTURE : WIDTH) - 2 * MARGIN;
const size = SIZES.find((each) => linesOf(title, each, room)) ?? SIZES.at(-1);
const lines = linesOf(title, size, room) ?? [title.slice(0, 24)];
const step = size * 1.12;
const first = HEIGHT - MARGIN - (lines.length - 1) * step;
const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH}" height="${HEIGHT}"><rect width="100%" height="100%" fill="${ground}"/>
<g opacity="0.8">${drawn(shop.slice(0, 40), 34, MARGIN, MARGIN + 30)}</g>
${lines.map((line, i) => drawn(line, size, MARGIN, first + i * step)).join('\n')}</svg>`;
const beside = picture && [
  {
    input: await sharp(picture).resize(PICTURE, HEIGHT, { fit: 'cover', position: 'attention' }).png().toBuffer(),
    left: WIDTH - PICTURE,
    top: 0,
  },
];
process.stdout.write(
  await sharp(Buffer.from(svg))
    .composite(beside ? beside : [])
    .flatten({ background: ground })
    .jpeg({ quality: 84 })
    .toBuffer(),
);
