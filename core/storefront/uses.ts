import type { Use } from './views';
import type { Product } from '../model/product';
import { replaceValue } from '../rules/replace-value';
import type { Rule } from '../model/rule';
import { allItems } from '../model/menu';
import { rulesOfSettings, targetsOfSettings } from '../model/settings-links';
import { rulesOf, targetsOf } from '../model/sections/sections';
import type { Target } from '../model/target';
import { sectionName } from './pages/sections/sections';
import type { Shop } from '../shop/shop';

const rulesOfProduct = ({ relations, bundle }: Product): Rule[] => [
  ...Object.values(relations).flatMap((relation) => (relation.how === 'rule' ? [relation.rule] : [])),
  ...(bundle?.slots ?? []).flatMap(({ from }) => (from.how === 'rule' ? [from.rule] : [])),
];

/**
 * Everything of the shop that names a group or a page: menu items, sections, rules of collections, of offers, of products
 * beside others and of bundles. `products` are those of the working copy. O(menu + sections + rules).
 */
export function usesOf(shop: Shop, target: Target, products: Iterable<Product>): Use[] {
  const { kind, id } = target;
  const isIt = (to: Target) => to.kind === kind && to.id === id;
  const inRule = (rule: Rule) => kind !== 'page' && kind !== 'product' && replaceValue(rule, kind, id, '') !== rule;
  const uses: Use[] = [];
  for (const { target, label } of allItems(shop.menu))
    if (target && target.kind !== 'address' && isIt(target)) uses.push({ in: 'menu', id: '', label: label || 'Menu' });
  for (const page of shop.pages.values())
    for (const section of page.sections)
      if (targetsOf(section).some(({ to }) => isIt(to)) || rulesOf(section).some(inRule))
        uses.push({
          in: 'page',
          id: page.id,
          label: `${page.title} › ${sectionName(shop, section)}`,
        });
  if (targetsOfSettings(shop.settings).some(isIt) || rulesOfSettings(shop.settings).some(inRule))
    uses.push({ in: 'settings', id: '', label: 'Look: notice, badges or layouts' });
  for (const collection of shop.collections.values())
    if (!(kind === 'collection' && collection.id === id) && inRule(collection.rule))
      uses.push({ in: 'collection', id: collection.id, label: collection.name });
  for (const { id: offerId, name, goods } of shop.offers.values())
    if (goods.how === 'rule' && inRule(goods.rule)) uses.push({ in: 'offer', id: offerId, label: name });
  for (const { id: embedId, name, strip } of shop.embeds.values())
    if (targetsOf(strip).some(({ to }) => isIt(to)) || rulesOf(strip).some(inRule))
      uses.push({ in: 'embed', id: embedId, label: name });
  for (const { id: feedId, name, goods } of shop.feeds.values())
    if (goods.how === 'rule' && inRule(goods.rule)) uses.push({ in: 'feed', id: feedId, label: name });
  for (const product of products)
    if (rulesOfProduct(product).some(inRule)) uses.push({ in: 'product', id: product.id, label: product.title });
  return uses;
}
