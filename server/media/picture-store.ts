import { createHash } from 'node:crypto';
import { constants } from 'node:fs';
import { access, mkdir, rename, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import sharp, { type Metadata, type OutputInfo, type Sharp } from 'sharp';
import { LARGEST, sharedSize, storedSizes, type IconSize, type PictureSize } from '../../core/storefront/picture-sizes';
import type { Db } from '../database/connection';
import { drawSvg } from './draw-apart';

/** Largest upload, in bytes, and largest picture, in pixels. */
export const MAX_PICTURE_BYTES = 25 * 1024 * 1024;
const MAX_PIXELS = 80_000_000;
/** Characters of an SVG; one that holds more holds a picture of another sort. */
const MAX_SVG = 2 * 1024 * 1024;
const FORMATS = new Set(['jpeg', 'png', 'webp', 'gif', 'tiff', 'heif', 'avif']);

export interface StoredMedia {
  media: string;
  width: number;
  height: number;
  /** colour of its edge */
  background: string;
}

/** The file cannot be taken as a picture, for a reason in plain words. */
export class RefusedPictureError extends Error {}

const megabytes = (bytes: number) => `${Math.round(bytes / 1024 / 1024)} MB`;

/** SVG is drawn once and kept as pixels only; one that could run or load anything is not even drawn. */
function refuseActiveSvg(svg: string): void {
  if (svg.length > MAX_SVG) throw new RefusedPictureError('This SVG is too large to be drawn. Save it as PNG instead.');
  if (
    /<script|<foreignObject|<iframe|<embed|<object|\son\w+\s*=|javascript:|<!ENTITY|(?:href|src)\s*=\s*["'](?!#|data:image\/)/i.test(
      svg,
    )
  )
    throw new RefusedPictureError(
      'This SVG holds a script or loads other files, so it is not taken. Save it as PNG instead.',
    );
}

async function check(content: Buffer, name: string): Promise<Metadata> {
  if (content.length > MAX_PICTURE_BYTES)
    throw new RefusedPictureError(
      `This file has ${megabytes(content.length)}; a picture may have up to ${megabytes(MAX_PICTURE_BYTES)}.`,
    );
  const metadata = await sharp(content, { limitInputPixels: false })
    .metadata()
    .catch(() => undefined);
  if (!metadata?.width || !metadata.height)
    throw new RefusedPictureError(
      /\.(png|jpe?g|webp|gif|avif|svg)$/i.test(name)
        ? `“${name}” has the name of a picture, but its content is not one.`
        : 'This is not a picture. JPEG, PNG, WebP, AVIF, GIF and SVG are taken.',
    );
  if (metadata.format === 'svg') refuseActiveSvg(content.toString('utf8'));
  else if (!FORMATS.has(metadata.format ?? ''))
    throw new RefusedPictureError('This sort of picture is not taken. Save it as JPEG or PNG.');
  if (metadata.width * metadata.height > MAX_PIXELS)
    throw new RefusedPictureError(
      `This picture has ${metadata.width} × ${metadata.height} pixels, which is more than Dispona takes.`,
    );
  return metadata;
}

/** Written under a passing name first, so that a file of its final name is always whole. */
export async function writeWhole(path: string, content: Buffer): Promise<void> {
  const passing = `${path}.${process.pid}.${Math.round(process.hrtime()[1])}.part`;
  await writeFile(passing, content);
  await rename(passing, path);
}

/** How much light and dark differ: the standard deviation of the luminance, 0 to 127. What is transparent counts as white. */
async function contrastOf(picture: Sharp): Promise<number> {
  const { channels } = await picture.flatten({ background: '#ffffff' }).greyscale().stats();
  return channels[0]!.stdev;
}

/** The middle colour, channel by channel, of the outermost pixels; what is transparent counts as white. */
function edgeColour(pixels: Buffer, { width, height, channels }: OutputInfo): string {
  const colours: number[][] = [[], [], []];
  const look = (x: number, y: number) => {
    const at = (y * width + x) * channels;
    const hasAlpha = channels === 2 || channels === 4;
    const alpha = hasAlpha ? pixels[at + channels - 1]! / 255 : 1;
    for (let c = 0; c < 3; c++) {
      const value = pixels[at + (channels < 3 ? 0 : c)]!;
      colours[c]!.push(Math.round(value * alpha + 255 * (1 - alpha)));
    }
  };
  for (let x = 0; x < width; x++) {
    look(x, 0);
    look(x, height - 1);
  }
  for (let y = 0; y < height; y++) {
    look(0, y);
    look(width - 1, y);
  }
  const middles = colours.map((values) => values.sort((a, b) => a - b)[values.length >> 1]!);
  return `#${middles.map((value) => value.toString(16).padStart(2, '0')).join('')}`;
}

const exists = (path: string) =>
  access(path, constants.R_OK).then(
    () => true,
    () => false,
  );

export function mediaPath(folder: string, media: string, size: number): string {
  return join(folder, media.slice(0, 2), media, `${size}.webp`);
}

const scaled = (picture: Sharp, size: PictureSize): Promise<Buffer> =>
  picture.resize(size, size, { fit: 'inside', withoutEnlargement: true }).webp({ quality: 82, effort: 2 }).toBuffer();

/** One at a time, so that many askers do not keep the machine from all else. */
let making: Promise<unknown> = Promise.resolve();

/**
 * The path of one size of a picture, which is made of the next larger stored one where nobody asked for it before;
 * undefined where there is no such picture.
 */
export async function pictureFile(folder: string, media: string, size: PictureSize): Promise<string | undefined> {
  const path = mediaPath(folder, media, size);
  if (await exists(path)) return path;
  const stored = storedSizes.find((each) => each > size);
  return stored && madeOf(mediaPath(folder, media, stored), path, (source) => scaled(source, size));
}

/** Makes a file of a stored picture, unless somebody did meanwhile; undefined where there is no such picture. */
async function madeOf(
  source: string,
  path: string,
  draw: (source: Sharp) => Promise<Buffer>,
): Promise<string | undefined> {
  if (!(await exists(source))) return undefined;
  const make = async () => {
    if (!(await exists(path))) await writeWhole(path, await draw(sharp(source)));
  };
  const made = making.then(make);
  making = made.catch(() => undefined);
  await made;
  return path;
}

/** A picture about as wide, by its height, is cut to the shape of a shared link; others stand whole before their own colour. */
const CUT = { from: 1.2, upTo: 2.8 };

/** The path of a picture as it is shown with a shared link, made when first asked for; undefined where there is none. */
export async function sharedFile(db: Db, folder: string, media: string): Promise<string | undefined> {
  const path = join(folder, media.slice(0, 2), media, 'shared.jpg');
  if (await exists(path)) return path;
  const known = db.prepare(`SELECT width, height, background FROM media WHERE hash = ?`).get(media) as
    Omit<StoredMedia, 'media'> | undefined;
  if (!known) return undefined;
  const ratio = known.width / known.height;
  const isCut = ratio >= CUT.from && ratio <= CUT.upTo;
  return madeOf(mediaPath(folder, media, LARGEST), path, (source) =>
    source
      .resize(sharedSize.width, sharedSize.height, {
        fit: isCut ? 'cover' : 'contain',
        position: isCut ? 'attention' : 'centre',
        background: known.background,
      })
      .flatten({ background: known.background })
      .jpeg({ quality: 82 })
      .toBuffer(),
  );
}

/** The path of a picture as an icon of a size: whole, on a clear ground. Undefined where there is no such picture. */
export const iconFile = (folder: string, media: string, size: IconSize): Promise<string | undefined> =>
  madeOf(mediaPath(folder, media, 480), join(folder, media.slice(0, 2), media, `icon-${size}.png`), (source) =>
    source
      .resize(size, size, { fit: 'contain', background: { r: 0, g: 0, b: 0, alpha: 0 } })
      .png()
      .toBuffer(),
  );

/**
 * Takes a picture in: checks it by its content, turns it upright, strips what a camera wrote into it, makes its sizes in
 * WebP and notes it by its content hash. The same content is kept once. Throws RefusedPictureError.
 */
export async function storePicture(
  db: Db,
  folder: string,
  content: Buffer,
  name: string,
  at: string,
): Promise<StoredMedia> {
  const media = createHash('sha256').update(content).digest('hex').slice(0, 32);
  const known = db.prepare(`SELECT hash AS media, width, height, background FROM media WHERE hash = ?`).get(media) as
    StoredMedia | undefined;
  if (known) return known;
  const metadata = await check(content, name);
  const isTurned = (metadata.orientation ?? 1) >= 5;
  const [width, height] = isTurned ? [metadata.height, metadata.width] : [metadata.width, metadata.height];
  await mkdir(join(folder, media.slice(0, 2), media), { recursive: true });
  let background: string;
  let contrast: number;
  try {
    const pixels = metadata.format === 'svg' ? await drawSvg(content, LARGEST, MAX_PIXELS) : content;
    if (!pixels) throw new RefusedPictureError('This SVG takes too long to draw. Save it as PNG instead.');
    const upright = await sharp(pixels, { limitInputPixels: MAX_PIXELS })
      .rotate()
      .resize(LARGEST, LARGEST, { fit: 'inside', withoutEnlargement: true })
      .raw()
      .toBuffer({ resolveWithObject: true });
    background = edgeColour(upright.data, upright.info);
    contrast = await contrastOf(sharp(upright.data, { raw: upright.info }));
    for (const size of storedSizes) {
      const path = mediaPath(folder, media, size);
      if (await exists(path)) continue;
      await writeWhole(path, await scaled(sharp(upright.data, { raw: upright.info }), size));
    }
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code || error instanceof RefusedPictureError) throw error;
    throw new RefusedPictureError('This picture is damaged and cannot be read to its end.');
  }
  db.prepare(
    `INSERT INTO media (hash, width, height, bytes, added, background, contrast) VALUES (?, ?, ?, ?, ?, ?, ?)
     ON CONFLICT DO NOTHING`,
  ).run(media, width, height, content.length, at, background, contrast);
  return { media, width, height, background };
}
