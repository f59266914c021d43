import { randomBytes } from 'node:crypto';

const LETTERS = '0123456789abcdefghijklmnopqrstuvwxyz';
const prefixes = {
  product: 'p',
  variant: 'v',
  option: 'o',
  optionValue: 'w',
  picture: 'i',
  brand: 'b',
  tag: 't',
  category: 'c',
  collection: 'k',
  specSheet: 'x',
  optionList: 'l',
  file: 'f',
  slot: 'z',
  page: 'g',
  section: 's',
  menuItem: 'm',
  view: 'y',
  job: 'j',
  user: 'u',
  question: 'q',
  invite: 'n',
  offer: 'a',
  order: 'r',
  import: 'mp',
  export: 'ex',
  embed: 'em',
  feed: 'fe',
  key: 'ak',
  columns: 'cs',
  chosenListing: 'cl',
  planned: 'pl',
  supplier: 'su',
  proposal: 'pr',
} as const;

/** A new opaque id: 12 random characters (62 bits) behind a letter that says the kind of thing. */
export function newId(kind: keyof typeof prefixes): string {
  let id = '';
  for (const byte of randomBytes(12)) id += LETTERS[byte % 36];
  return `${prefixes[kind]}_${id}`;
}
