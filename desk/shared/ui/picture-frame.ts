import type { Picture } from '../../../core/model/product-values';

export type Frame = Pick<Picture, 'fit' | 'focus' | 'background'>;

/** Pixels that a large screen shows of the shop's frame. */
export const FRAME = 640;
export const isTooSmall = ({ width, height }: Picture) => Math.min(width, height) < FRAME;

export const frameClass = ({ fit }: Pick<Picture, 'fit'>) => (fit === 'fits' ? 'object-contain' : 'object-cover');
export const frameStyle = ({ fit, focus, background }: Frame) =>
  fit === 'fits' ? { backgroundColor: background } : { objectPosition: `${focus.x * 100}% ${focus.y * 100}%` };
