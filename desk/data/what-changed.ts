/** What was told of a change: its revision, and what it touched. Null is too much to name; nothing, that time went on. */
export interface Told {
  id: number;
  subjects: readonly string[] | null;
}

/** What a query on screen has to do: nothing, be read again, or be read again when it is next wanted. */
export type Refresh = 'none' | 'now' | 'later';

/**
 * Roots of query keys that a change of this sort cannot touch. What is not named is read again, so that forgetting something
 * costs a request and never shows what is out of date.
 */
const leaves: Readonly<Record<string, readonly string[]>> = {
  product: ['settings', 'menu'],
  category: ['settings', 'option-lists'],
  collection: ['settings', 'option-lists', 'spec-sheets'],
  brand: ['settings', 'option-lists', 'spec-sheets'],
  tag: ['settings', 'option-lists', 'spec-sheets'],
  page: ['settings', 'option-lists', 'spec-sheets'],
  menu: ['settings', 'option-lists', 'spec-sheets'],
  specSheet: ['settings', 'option-lists', 'menu', 'pages'],
  optionList: ['settings', 'spec-sheets', 'menu', 'pages'],
  redirect: ['settings', 'option-lists', 'spec-sheets', 'menu', 'pages', 'groups'],
  supplier: ['settings', 'option-lists', 'spec-sheets', 'menu', 'pages', 'groups', 'goods', 'review', 'status'],
  proposal: ['settings', 'option-lists', 'spec-sheets', 'menu', 'pages', 'groups', 'goods', 'product', 'review'],
  view: ['settings', 'option-lists', 'spec-sheets', 'menu', 'pages', 'groups', 'product'],
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
  if (told.subjects.every((subject) => leaves[kindOf(subject)]?.includes(root))) return 'none';
  if (root !== 'product' || key.length > 2) return 'now';
  if (revision !== undefined && revision >= told.id) return 'none';
  // Another product's page changes little by it: its places, its neighbours.
  const areProducts = told.subjects.every((subject) => kindOf(subject) === 'product');
  return areProducts && !told.subjects.includes(`product:${id}`) ? 'later' : 'now';
}
