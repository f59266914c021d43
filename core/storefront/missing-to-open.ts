import type { ResolvedShop } from '../shop/resolved-shop';
import { pricingOf } from './card';

/** What shoppers would miss in a shop that is opened as it is; `to` leads to where it is mended in the desk. */
export function missingToOpen(shop: ResolvedShop, edition: number): { words: string; to: string }[] {
  const listed = shop.listed.toArray().map((slot) => shop.products.get(shop.index.id(slot))!);
  const home = [...shop.pages.values()].find((page) => page.home);
  const free = listed.filter(
    (product) =>
      pricingOf(product, true) === 'shown' &&
      product.kind !== 'bundle' &&
      product.variants.some(({ price }) => price === 0),
  );
  const bare = listed.filter(({ pictures }) => pictures.length === 0).length;
  const some = (count: number, one: string, more: string) =>
    count === 1 ? `One product ${one}` : `${count} products ${more}`;
  return [
    ...(edition === 0 ? [{ words: 'Nothing was put live yet.', to: '/review' }] : []),
    ...(listed.length === 0 ? [{ words: 'No product is on the shop.', to: '/goods' }] : []),
    ...(home && home.sections.length > 0 ? [] : [{ words: 'The home page is empty.', to: '/shopfront' }]),
    ...(shop.menu.items.length > 0 ? [] : [{ words: 'The menu is empty.', to: '/shopfront?view=menu' }]),
    ...(free.length > 0
      ? [{ words: `${some(free.length, 'costs nothing', 'cost nothing')}.`, to: '/goods?q=price%20below%200.01' }]
      : []),
    ...(bare > 0
      ? [{ words: `${some(bare, 'has no picture', 'have no picture')}.`, to: '/goods?q=pictures%20below%201' }]
      : []),
  ];
}
