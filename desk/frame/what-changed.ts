/** What was told of a change: its revision, and what it touched. Null is too much to name; nothing, that time went on. */
export interface Told {
  id: number;
  subjects: readonly string[] | null;
}

/** What a query on screen has to do: nothing, be read again, or be read again when it is next wanted. */
export type Refresh = 'none' | 'now' | 'later';

/** Roots of what shows something of every sort of subject: lists, counts, the review. */
const everywhere = ['status', 'find', 'history', 'review', 'editions', 'goods', 'sheet ids', 'sheet', 'product'];

/** Which roots of query keys show something of a sort of subject. What is not named here may show anything. */
const shows: Readonly<Record<string, readonly string[]>> = {
  product: [...everywhere, 'groups', 'pages'],
  category: [...everywhere, 'groups', 'pages', 'menu'],
  collection: [...everywhere, 'groups', 'pages', 'menu'],
  brand: [...everywhere, 'groups', 'pages', 'menu'],
  tag: [...everywhere, 'groups', 'pages', 'menu'],
  page: [...everywhere, 'groups', 'pages', 'menu'],
  menu: [...everywhere, 'groups', 'pages', 'menu'],
  specSheet: [...everywhere, 'groups', 'spec-sheets'],
  optionList: [...everywhere, 'option-lists'],
  redirect: everywhere,
  view: ['goods'],
};

const kindOf = (subject: string) => subject.split(':')[0]!;

/**
 * What a change means for a query: `key` is its key, `revision` that of what it shows, where it tells one. What this tab
 * saved itself is shown already.
 */
export function refreshOf(told: Told, key: readonly unknown[], revision: number | undefined): Refresh {
  const [root, id] = key as [string, string?];
  if (root === 'session' || root === 'jobs') return 'none';
  if (told.subjects === null || told.subjects.length === 0) return 'now';
  const isMet = told.subjects.some((subject) => shows[kindOf(subject)]?.includes(root) ?? true);
  if (!isMet) return 'none';
  if (root !== 'product' || key.length > 2) return 'now';
  if (revision !== undefined && revision >= told.id) return 'none';
  // Another product's page changes little by it: its places, its neighbours.
  const areProducts = told.subjects.every((subject) => kindOf(subject) === 'product');
  return areProducts && !told.subjects.includes(`product:${id}`) ? 'later' : 'now';
}
