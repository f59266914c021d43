import type { ProductDocument } from '../model/document';
import type { Page } from '../model/page';

/** What begins or ends by the clock. */
type MomentKind = 'saleBegins' | 'saleEnds' | 'comes' | 'goes' | 'sectionComes' | 'sectionGoes';

/** Something that happens by itself at one moment, to one thing or to several. */
export interface ShopMoment {
  /** ISO instant */
  at: string;
  what: MomentKind;
  /** products, or pages for sections */
  ids: string[];
  titles: string[];
}

const ofProduct = {
  saleBegins: 'saleFrom',
  saleEnds: 'saleUntil',
  comes: 'liveFrom',
  goes: 'liveUntil',
} as const;

type Dated = Pick<ProductDocument, 'id' | 'title' | 'status' | 'variants' | (typeof ofProduct)[keyof typeof ofProduct]>;

/**
 * What begins or ends by the clock between two moments (ms since 1970), the earliest first: sales and days on the shop of goods that
 * are live, days of sections that are not put away. A sale counts where a variant has a sale price. O(products + sections).
 */
export function shopMoments(
  products: Iterable<Dated>,
  pages: Iterable<Pick<Page, 'id' | 'title' | 'sections'>>,
  [begin, end]: readonly [begin: number, end: number],
): ShopMoment[] {
  const moments = new Map<string, ShopMoment>();
  const note = (at: string | null, what: MomentKind, id: string, title: string) => {
    if (at === null) return;
    const ms = Date.parse(at);
    if (ms < begin || ms > end) return;
    const key = `${at} ${what}`;
    const known = moments.get(key);
    if (!known) moments.set(key, { at, what, ids: [id], titles: [title] });
    else if (!known.ids.includes(id)) {
      known.ids.push(id);
      known.titles.push(title);
    }
  };
  for (const product of products) {
    if (product.status !== 'live') continue;
    const isOnSale = product.variants.some(({ salePrice }) => salePrice !== null);
    for (const [what, field] of Object.entries(ofProduct) as [
      keyof typeof ofProduct,
      (typeof ofProduct)[keyof typeof ofProduct],
    ][])
      if (isOnSale || !what.startsWith('sale')) note(product[field], what, product.id, product.title);
  }
  for (const { id, title, sections } of pages)
    for (const { hidden, from, until } of sections) {
      if (hidden) continue;
      note(from, 'sectionComes', id, title);
      note(until, 'sectionGoes', id, title);
    }
  return [...moments.values()].sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0));
}
