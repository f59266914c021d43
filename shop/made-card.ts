import type { MadeCard } from '../core/storefront/made-card';
import type { ShopData } from './data';
import { mediaOfPage } from './structured-page';

/** Letters that the families of the shop have. Words of other scripts are not drawn. */
const DRAWN = /^[\s\u0020-\u024f\u2010-\u2027\u2030-\u205e\u20a0-\u20bf]+$/;

const titleOn = ({ shop, page }: ShopData): string | undefined => {
  if (page.kind === 'listing') return page.title;
  if (page.kind === 'product') return page.product.title;
  return page.kind === 'page' ? (page.page.home ? shop.tagline || shop.name : page.page.title) : undefined;
};

/** The card of a page. Undefined for products with a picture, which say more by themselves, and where words cannot be drawn. */
export function cardOf(data: ShopData): MadeCard | undefined {
  const { shop, page } = data;
  const title = titleOn(data);
  const media = mediaOfPage(data) ?? null;
  if (title === undefined || (page.kind === 'product' && media !== null) || !DRAWN.test(title + shop.name))
    return undefined;
  const { colours, display } = shop.look;
  return { title, shop: shop.name, media, ground: colours.deep, ink: '#ffffff', family: display };
}
