import type { Rule } from '../model/rule';
import { membersOf } from '../rules/members';
import type { Shop } from '../shop/shop';
import { productChecks } from './checks/product-rules';

/** Something that shoppers would miss: in words, with the place where it is mended, and for goods the rule that finds them. */
export interface Missing {
  words: string;
  at: 'review' | 'goods' | 'shopfront' | 'menu';
  rule: Rule | null;
}

/** The loose ends of goods that a shopper would stumble over, in words for one product and for more. */
const goodsWords: Readonly<Record<string, (count: number) => string>> = {
  noPrice: (count) => (count === 1 ? 'One product has no price.' : `${count} products have no price.`),
  noPicture: (count) => (count === 1 ? 'One product has no picture.' : `${count} products have no picture.`),
};

/** What shoppers would miss in a shop that is opened as it is. `edition`: number of the one that is live; 0 where none is. */
export function missingToOpen(shop: Shop, edition: number): Missing[] {
  const home = [...shop.pages.values()].find((page) => page.home);
  const missing: Missing[] = [];
  const add = (words: string, at: Missing['at'], rule: Rule | null = null) => missing.push({ words, at, rule });
  if (edition === 0) add('Nothing has been put live yet.', 'review');
  if (shop.listed.count() === 0) add('There are no products in the shop.', 'goods');
  if (!home || home.sections.length === 0) add('The home page is empty.', 'shopfront');
  if (shop.menu.items.length === 0) add('The menu is empty.', 'menu');
  for (const { key, node } of productChecks) {
    const words = goodsWords[key];
    if (!words) continue;
    const rule: Rule = { match: 'all', of: [node] };
    const found = membersOf(rule, shop.index, shop.fields, shop.now).and(shop.listed).count();
    if (found > 0) add(words(found), 'goods', rule);
  }
  return missing;
}
