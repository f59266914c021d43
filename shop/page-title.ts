import type { ShopData } from './data';
import { say } from './tongue';

/** What a page is called in tabs and by search engines. */
export function titleOf({ shop, page }: ShopData): string {
  switch (page.kind) {
    case 'page':
      return (
        page.page.meta.title ||
        (page.page.home ? [shop.name, shop.tagline].filter(Boolean).join(' · ') : `${page.page.title} · ${shop.name}`)
      );
    case 'listing':
      return page.meta.title || `${page.title} · ${shop.name}`;
    case 'product':
      return page.product.meta.title;
    case 'basket':
      return `${say('frame.basket')} · ${shop.name}`;
    case 'checkout':
      return `${say('basket.checkout')} · ${shop.name}`;
    case 'order':
      return `${say('order.name', { number: String(page.number) })} · ${shop.name}`;
    case 'closed':
      return shop.name;
    case 'missing':
      return `${page.heading} · ${shop.name}`;
  }
}
