/** Families of letters that come with the application: what style sheets call them, and what they fall back on. */
export const families = {
  'bricolage-grotesque': { name: 'Bricolage Grotesque', fallback: 'system-ui, sans-serif' },
  'instrument-sans': { name: 'Instrument Sans', fallback: 'system-ui, sans-serif' },
  archivo: { name: 'Archivo', fallback: 'system-ui, sans-serif' },
  fraunces: { name: 'Fraunces', fallback: 'Georgia, serif' },
  lora: { name: 'Lora', fallback: 'Georgia, serif' },
  manrope: { name: 'Manrope', fallback: 'system-ui, sans-serif' },
  'nunito-sans': { name: 'Nunito Sans', fallback: 'system-ui, sans-serif' },
  'source-serif-4': { name: 'Source Serif 4', fallback: 'Georgia, serif' },
  'space-grotesk': { name: 'Space Grotesk', fallback: 'system-ui, sans-serif' },
  'work-sans': { name: 'Work Sans', fallback: 'system-ui, sans-serif' },
} as const;
export type Family = keyof typeof families;

/** The colours of a shop, and what each is for. */
export const colourRoles = {
  paper: 'Page background',
  mist: 'Soft background',
  tint: 'Warm background',
  deep: 'Strong background',
  ink: 'Text',
  inkSoft: 'Secondary text',
  line: 'Lines',
  sea: 'Links and buttons',
  sale: 'Sale prices',
} as const;
export type ColourRole = keyof typeof colourRoles;

/** The choices of a look that are one of a few, with their words. */
export const lookChoices = [
  { key: 'size', name: 'Text size', words: { small: 'small', usual: 'normal', large: 'large' } },
  { key: 'weight', name: 'Weight of headings', words: { light: 'light', usual: 'bold', heavy: 'heavy' } },
  { key: 'corners', name: 'Corners', words: { square: 'square', soft: 'soft', round: 'round' } },
  { key: 'buttons', name: 'Buttons', words: { square: 'square', soft: 'soft', round: 'round' } },
  { key: 'density', name: 'Spacing', words: { tight: 'tight', usual: 'normal', airy: 'generous' } },
  {
    key: 'header',
    name: 'Page header',
    words: {
      row: 'all in one row',
      stacked: 'menu below the name',
      split: 'name between menu and search',
      centred: 'name in the middle, menu below',
    },
  },
  { key: 'shadow', name: 'Shadows', words: { none: 'none', soft: 'soft', deep: 'deep' } },
  { key: 'lines', name: 'Lines', words: { none: 'none', fine: 'fine', strong: 'strong' } },
  {
    key: 'footer',
    name: 'Page footer',
    words: { columns: 'in columns', centred: 'in the middle', compact: 'in one line' },
  },
] as const;
