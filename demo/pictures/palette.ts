/** The colours of one colourway: main, second, accent, and a dark one for edges. */
export interface Palette {
  a: string;
  b: string;
  c: string;
  dark: string;
}

export const colourways: Record<string, { swatch: string; palette: Palette }> = {
  Ember: { swatch: '#e4572e', palette: { a: '#e4572e', b: '#f3a712', c: '#2b2d5c', dark: '#33231f' } },
  Pine: { swatch: '#0f6b5f', palette: { a: '#0f6b5f', b: '#9bc53d', c: '#f4e04d', dark: '#16302c' } },
  Plum: { swatch: '#5b3f9e', palette: { a: '#5b3f9e', b: '#ee5f9a', c: '#ffcf6b', dark: '#2a2140' } },
  Sea: { swatch: '#1d4f91', palette: { a: '#1d4f91', b: '#62b0f5', c: '#f5f1e6', dark: '#15263f' } },
  Sun: { swatch: '#f3a712', palette: { a: '#f3a712', b: '#f6d55c', c: '#d1495b', dark: '#4a3413' } },
  Rose: { swatch: '#d1495b', palette: { a: '#d1495b', b: '#f2a3a9', c: '#3b4a6b', dark: '#45202a' } },
  Moss: { swatch: '#6a8f3c', palette: { a: '#6a8f3c', b: '#d9e2a8', c: '#2f5d50', dark: '#2b3a1c' } },
  Slate: { swatch: '#4a5a6a', palette: { a: '#4a5a6a', b: '#a9b8c4', c: '#e4572e', dark: '#22303a' } },
};

export const paletteOf = (name: string): Palette => (colourways[name] ?? colourways.Ember!).palette;
