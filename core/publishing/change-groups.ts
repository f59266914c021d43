import type { DocumentKind } from '../model/document';
import type { DocumentChange, FieldChange } from './changes';

/** What changes do to the shop, the weightiest first. */
export const changeGroups = {
  prices: 'Prices',
  newAndGone: 'New and gone',
  words: 'Words and pictures',
  pages: 'Pages and menus',
  look: 'Look and settings',
  addresses: 'Addresses and search engines',
  elsewhere: 'Other sites and feeds',
} as const;
export type ChangeGroup = keyof typeof changeGroups;

const groupOfKind: Readonly<Record<DocumentKind, ChangeGroup>> = {
  product: 'words',
  category: 'words',
  collection: 'words',
  brand: 'words',
  tag: 'words',
  specSheet: 'words',
  wording: 'words',
  wordingDraft: 'words',
  offer: 'prices',
  page: 'pages',
  menu: 'pages',
  settings: 'look',
  redirect: 'addresses',
  forward: 'addresses',
  chosenListing: 'addresses',
  embed: 'elsewhere',
  feed: 'elsewhere',
};

/** What comes and goes by itself is told where the rest of its sort is. */
const comesWithOthers: ReadonlySet<DocumentKind> = new Set(['offer', 'redirect', 'forward', 'wording', 'wordingDraft']);

const isPrice = ({ label }: FieldChange) => label.startsWith('Price');

/** The groups in which a change is told, each with the fields that belong there: a product may have two. */
export function partsOfChange(change: DocumentChange): { group: ChangeGroup; fields: FieldChange[] }[] {
  const { kind, what, fields } = change;
  const usual = groupOfKind[kind];
  if (what !== 'changed') return [{ group: comesWithOthers.has(kind) ? usual : 'newAndGone', fields }];
  if (kind !== 'product') return [{ group: usual, fields }];
  const prices = fields.filter(isPrice);
  const others = fields.filter((field) => !isPrice(field));
  return [
    ...(prices.length > 0 ? [{ group: 'prices' as const, fields: prices }] : []),
    ...(others.length > 0 || prices.length === 0 ? [{ group: usual, fields: others }] : []),
  ];
}
