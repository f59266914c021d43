import { usualLook, type Look } from '../model/look';

/** A look to begin with. */
export interface Preset {
  key: string;
  name: string;
  about: string;
  look: Look;
}

/** Looks that differ in letters, corners, density and head as well as in colour. */
export const presets: readonly Preset[] = [
  { key: 'harbour', name: 'Harbour', about: 'Clear and friendly: deep water, round corners.', look: usualLook },
  {
    key: 'almanac',
    name: 'Almanac',
    about: 'Like a printed book: serifs, cream paper, straight edges, the name in the middle.',
    look: {
      colours: {
        paper: '#fbf7ee',
        mist: '#f1eadb',
        tint: '#f6e3c5',
        deep: '#3b2a1f',
        ink: '#2a211b',
        inkSoft: '#675749',
        line: '#e0d5c2',
        sea: '#8a3b1f',
        sale: '#a3271b',
      },
      display: 'fraunces',
      text: 'source-serif-4',
      size: 'usual',
      corners: 'square',
      buttons: 'square',
      density: 'airy',
      header: 'centred',
    },
  },
  {
    key: 'workbench',
    name: 'Workbench',
    about: 'Many goods at a glance: dense, plain letters, hard edges, one bright colour.',
    look: {
      colours: {
        paper: '#ffffff',
        mist: '#f2f2ef',
        tint: '#fff3c4',
        deep: '#1c1c1a',
        ink: '#191917',
        inkSoft: '#5c5c57',
        line: '#d9d9d3',
        sea: '#1f5fbf',
        sale: '#b3261e',
      },
      display: 'archivo',
      text: 'archivo',
      size: 'small',
      corners: 'soft',
      buttons: 'soft',
      density: 'tight',
      header: 'stacked',
    },
  },
  {
    key: 'meadow',
    name: 'Meadow',
    about: 'Soft and green, with round letters and a lot of air.',
    look: {
      colours: {
        paper: '#fcfdf8',
        mist: '#eef4e6',
        tint: '#fbefd0',
        deep: '#26472f',
        ink: '#20301f',
        inkSoft: '#54664f',
        line: '#d8e3cd',
        sea: '#2f6b3a',
        sale: '#a8441a',
      },
      display: 'lora',
      text: 'nunito-sans',
      size: 'usual',
      corners: 'round',
      buttons: 'round',
      density: 'airy',
      header: 'split',
    },
  },
  {
    key: 'signal',
    name: 'Signal',
    about: 'Loud and technical: wide letters, hot orange on cool grey.',
    look: {
      colours: {
        paper: '#f7f8fa',
        mist: '#e9ecf1',
        tint: '#ffe7d6',
        deep: '#171d33',
        ink: '#12182b',
        inkSoft: '#4f5872',
        line: '#d3d9e4',
        sea: '#b53c05',
        sale: '#b0123b',
      },
      display: 'space-grotesk',
      text: 'work-sans',
      size: 'usual',
      corners: 'soft',
      buttons: 'square',
      density: 'usual',
      header: 'row',
    },
  },
  {
    key: 'lamplight',
    name: 'Lamplight',
    about: 'For evenings: violet dusk, large letters, the name in the middle.',
    look: {
      colours: {
        paper: '#fdfafc',
        mist: '#f3ecf3',
        tint: '#fdebd8',
        deep: '#33204a',
        ink: '#261b33',
        inkSoft: '#625370',
        line: '#e3d7e6',
        sea: '#6d3aa0',
        sale: '#b01e5a',
      },
      display: 'manrope',
      text: 'manrope',
      size: 'large',
      corners: 'round',
      buttons: 'soft',
      density: 'usual',
      header: 'split',
    },
  },
];
