import { z } from 'zod';
import { colourRoles, families, type ColourRole, type Family } from './look-choices';

const familyNames = Object.keys(families) as [Family, ...Family[]];

const hex = z.string().regex(/^#[0-9a-f]{6}$/, 'Type a colour as six letters or digits, such as #0d6470.');

/** The look of a shop, for all of its pages. What is not there yet in a stored look is as usual. */
export const lookSchema = z.object({
  colours: z.object(
    Object.fromEntries(Object.keys(colourRoles).map((role) => [role, hex])) as Record<ColourRole, typeof hex>,
  ),
  display: z.enum(familyNames),
  text: z.enum(familyNames),
  size: z.enum(['small', 'usual', 'large']),
  corners: z.enum(['square', 'soft', 'round']),
  buttons: z.enum(['square', 'soft', 'round']),
  density: z.enum(['tight', 'usual', 'airy']),
  header: z.enum(['row', 'centred', 'split', 'stacked']),
  weight: z.enum(['light', 'usual', 'heavy']),
  shadow: z.enum(['none', 'soft', 'deep']),
  lines: z.enum(['none', 'fine', 'strong']),
  footer: z.enum(['columns', 'centred', 'compact']),
});
export type Look = z.infer<typeof lookSchema>;

/** How a shop looks until the seller chooses. */
export const usualLook: Look = {
  colours: {
    paper: '#ffffff',
    mist: '#eef3f5',
    tint: '#fdf1dc',
    deep: '#12364a',
    ink: '#16242e',
    inkSoft: '#56656f',
    line: '#dce4e8',
    sea: '#0d6470',
    sale: '#b8321f',
  },
  display: 'bricolage-grotesque',
  text: 'instrument-sans',
  size: 'usual',
  corners: 'round',
  buttons: 'round',
  density: 'usual',
  header: 'row',
  weight: 'usual',
  shadow: 'soft',
  lines: 'fine',
  footer: 'columns',
};
