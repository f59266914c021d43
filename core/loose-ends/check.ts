import type { DocumentKind } from '../model/document';
import type { Product } from '../model/product';
import type { RuleNode } from '../model/rule';
import type { Shop } from '../shop/shop';

/** What a loose end is on: a thing of the shop, or the shop as a whole. */
interface LooseOn {
  kind: DocumentKind | 'backup' | 'plan';
  key: string;
  title: string;
}

/** Something that is unfinished or odd. */
export interface LooseEnd {
  on: LooseOn;
  /** what exactly, where the name of the check does not say it */
  words: string;
  /** share of visits that may meet it, 0 to 1 */
  share: number;
}

/** What checks look at. */
export interface LooseScene {
  shop: Shop;
  /** products with what only the seller knows of them */
  products: ReadonlyMap<string, Product>;
  /** share of visits that see a product, 0 to 1 */
  seen: (productId: string) => number;
  /** ids of the products that a rule takes in */
  matching: (node: RuleNode) => string[];
  /** hashes of pictures in which hardly anything stands out */
  pale: ReadonlySet<string>;
  /** ISO */
  now: string;
  /** when the last backup was made (ISO); null when there is none */
  lastBackup: string | null;
  /** planned editions, with what was changed since they were planned */
  planned: readonly { id: string; at: string; label: string; touched: readonly string[] }[];
}

/** One sort of loose end. */
export interface Check {
  key: string;
  /** what it is called: "No picture" */
  label: string;
  /** why it matters and what helps, in a sentence */
  about: string;
  /** how much it harms where it is met, from 1 for a detail to 10 for what loses money or shoppers */
  harm: number;
  /** the rule of such products, where one says it: the goods can be narrowed by it */
  node?: RuleNode;
  find: (scene: LooseScene) => LooseEnd[];
}

/** What weighs how much: the harm, as many times as it is met, and a little where nobody meets it. */
export const weightOf = ({ harm }: Pick<Check, 'harm'>, share: number): number => harm * (0.05 + share);

/** A loose end on a product. */
export const onProduct = (
  { seen }: LooseScene,
  { id, title }: Pick<Product, 'id' | 'title'>,
  words = '',
): LooseEnd => ({
  on: { kind: 'product', key: id, title },
  words,
  share: seen(id),
});

/** Products that are for shoppers. */
export const liveProducts = ({ products }: LooseScene): Product[] =>
  [...products.values()].filter(({ status }) => status === 'live');

/** Groups of two or more that have the same key; what has none is left out. */
export function sharing<T>(all: Iterable<T>, keyOf: (each: T) => string | undefined): T[][] {
  const groups = new Map<string, T[]>();
  for (const each of all) {
    const key = keyOf(each);
    if (key) groups.set(key, [...(groups.get(key) ?? []), each]);
  }
  return [...groups.values()].filter(({ length }) => length > 1);
}
