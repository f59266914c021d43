import type { PictureView } from './views';

/** Boxes, in pixels, into which a picture is scaled: each at most 1.4 times the one before, so that none is much too large. */
export const pictureSizes = [64, 88, 120, 160, 224, 312, 400, 480, 640, 800, 960, 1280, 1600] as const;
export type PictureSize = (typeof pictureSizes)[number];

/** Those made when a picture is taken in; the others are made of the next larger one of these when first asked for. */
export const storedSizes = [160, 480, 960, 1600] as const satisfies readonly PictureSize[];
export const LARGEST: PictureSize = 1600;

/** Screens show up to so many pixels for one of a page. */
const DENSEST = 2;
/** On a narrow screen a picture is drawn down to so small a part of its widest. */
const NARROWEST = 0.25;

/** Address of one size of a picture; the same content always has the same address. */
export function mediaUrl(media: string, size: PictureSize): string {
  return `/media/${media}/${size}.webp`;
}

/** Size of the picture that is shown where somebody shares a link to a page, in pixels. */
export const sharedSize = { width: 1_200, height: 630 } as const;

/** Address of a picture in the shape in which it is shown with a shared link. */
export const sharedUrl = (media: string): string => `/media/${media}/shared.jpg`;

/** Sides of the icons that are made of one picture, in pixels: for tabs, for a phone's home screen, for lists of programs. */
export const iconSizes = [32, 48, 180, 192] as const;
export type IconSize = (typeof iconSizes)[number];

/** Address of a picture as an icon of this size. */
export const iconUrl = (media: string, size: IconSize): string => `/media/${media}/icon-${size}.png`;

type Shape = Pick<PictureView, 'width' | 'height' | 'fit'>;

/**
 * Pixels that a size of a picture has across a frame. `ratio`: width of the frame by its height. A tall picture that fills
 * a square is narrower than its box; one that fits has room beside it, which counts as its own.
 */
export function widthInFrame({ width, height, fit }: Shape, ratio: number, size: number): number {
  const longest = Math.max(width, height);
  const scale = Math.min(size, longest) / longest;
  const acrossFrame = (ratio * height) / width;
  const part = fit === 'fits' ? Math.max(1, acrossFrame) : Math.min(1, acrossFrame);
  return Math.max(1, Math.round(width * scale * part));
}

/**
 * The sizes that are worth offering for a frame of this shape that is at most `widest` pixels of the page wide, from the
 * smallest, each with the width that it has there.
 */
export function offeredSizes(picture: Shape, ratio: number, widest: number): { size: PictureSize; width: number }[] {
  const longest = Math.max(picture.width, picture.height);
  const all = pictureSizes
    .filter((_, i) => i === 0 || pictureSizes[i - 1]! < longest)
    .map((size) => ({ size, width: widthInFrame(picture, ratio, size) }));
  const enough = all.findIndex(({ width }) => width >= widest * DENSEST);
  const upTo = enough < 0 ? all : all.slice(0, enough + 1);
  const offered = upTo.filter(({ width }) => width >= widest * NARROWEST);
  return offered.length > 0 ? offered : upTo.slice(-1);
}
