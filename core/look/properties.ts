import { type Look } from '../model/look';
import { families, type Family } from '../model/look-choices';

/** Roundness of small and large things, by their share of a rem. */
const corners: Record<Look['corners'], [lg: string, xl: string, twoXl: string, threeXl: string]> = {
  square: ['0', '0', '0', '0'],
  soft: ['0.25rem', '0.3rem', '0.375rem', '0.5rem'],
  round: ['0.5rem', '0.75rem', '1rem', '1.5rem'],
};
const buttons: Record<Look['buttons'], string> = { square: '0', soft: '0.5rem', round: '999px' };
const density: Record<Look['density'], string> = { tight: '0.22rem', usual: '0.25rem', airy: '0.285rem' };
const size: Record<Look['size'], string> = { small: '15px', usual: '16px', large: '18px' };

const weight: Record<Look['weight'], string> = { light: '500', usual: '700', heavy: '800' };
const shadow: Record<Look['shadow'], [small: string, large: string, card: string]> = {
  none: ['0 0 #0000', '0 0 #0000', 'none'],
  soft: ['0 1px 3px rgb(0 0 0 / 0.12)', '0 10px 24px -6px rgb(0 0 0 / 0.14)', 'none'],
  deep: ['0 3px 10px rgb(0 0 0 / 0.2)', '0 18px 44px -8px rgb(0 0 0 / 0.32)', '0 6px 18px -4px rgb(0 0 0 / 0.22)'],
};
const lines: Record<Look['lines'], string> = { none: '0px', fine: '1px', strong: '2px' };

const familyList = (family: Family) => `'${families[family].name} Variable', ${families[family].fallback}`;

/** The families that a look needs, each once. */
export const familiesOf = ({ display, text }: Pick<Look, 'display' | 'text'>): Family[] => [
  ...new Set([display, text]),
];

/** A look as the custom properties that the shop's one style sheet is drawn with. */
export function lookProperties(look: Look): Record<`--${string}`, string> {
  const { colours } = look;
  const [lg, xl, twoXl, threeXl] = corners[look.corners];
  return {
    '--color-paper': colours.paper,
    '--color-mist': colours.mist,
    '--color-tint': colours.tint,
    '--color-deep': colours.deep,
    '--color-ink': colours.ink,
    '--color-ink-soft': colours.inkSoft,
    '--color-line': colours.line,
    '--color-sea': colours.sea,
    '--color-sale': colours.sale,
    '--font-display': familyList(look.display),
    '--font-sans': familyList(look.text),
    '--radius-lg': lg,
    '--radius-xl': xl,
    '--radius-2xl': twoXl,
    '--radius-3xl': threeXl,
    '--radius-button': buttons[look.buttons],
    '--spacing': density[look.density],
    '--text-size': size[look.size],
    '--weight-display': weight[look.weight],
    '--shadow-small': shadow[look.shadow][0],
    '--shadow-large': shadow[look.shadow][1],
    '--card-shadow': shadow[look.shadow][2],
    '--line-width': lines[look.lines],
  };
}
