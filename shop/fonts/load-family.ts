import type { Family } from '../../core/model/look-choices';

/** The style sheet of each family: the server links those of the look; a look that is tried loads others. */
const loads: Record<Family, () => Promise<unknown>> = {
  archivo: () => import('./archivo.css'),
  'bricolage-grotesque': () => import('./bricolage-grotesque.css'),
  fraunces: () => import('./fraunces.css'),
  'instrument-sans': () => import('./instrument-sans.css'),
  lora: () => import('./lora.css'),
  manrope: () => import('./manrope.css'),
  'nunito-sans': () => import('./nunito-sans.css'),
  'source-serif-4': () => import('./source-serif-4.css'),
  'space-grotesk': () => import('./space-grotesk.css'),
  'work-sans': () => import('./work-sans.css'),
};

export const loadFamily = (family: Family): Promise<unknown> => loads[family]();
