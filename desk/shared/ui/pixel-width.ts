/** So many pixels of a title and of a description are shown in a list of search results on a wide screen. */
export const SHOWN_PIXELS = { title: 580, description: 920 } as const;

/** Letters as results are usually written in. */
const fonts = { title: '20px Arial, sans-serif', description: '14px Arial, sans-serif' } as const;

let context: CanvasRenderingContext2D | null | undefined;

/** Width of a text as a search engine shows it, in pixels. Where nothing can be measured, an average letter counts. */
export function pixelWidth(text: string, as: keyof typeof fonts): number {
  context ??= typeof document === 'undefined' ? null : document.createElement('canvas').getContext('2d');
  if (!context) return Math.round(text.length * (as === 'title' ? 9.4 : 6.6));
  context.font = fonts[as];
  return Math.round(context.measureText(text).width);
}

/** A text as much of it as is shown. O(letters). */
export function shownText(text: string, as: keyof typeof fonts): string {
  if (pixelWidth(text, as) <= SHOWN_PIXELS[as]) return text;
  let end = text.length;
  while (end > 0 && pixelWidth(`${text.slice(0, end)} …`, as) > SHOWN_PIXELS[as]) end--;
  return `${text.slice(0, end).trimEnd()} …`;
}
