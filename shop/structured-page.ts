import { addressIn } from '../core/storefront/languages';
import type { PictureView } from '../core/storefront/views';
import type { ShopData } from './data';
import { structuredProduct } from './product/structured-data';
import { say } from './tongue';

const context = { '@context': 'https://schema.org' };

/** The way from the home page to a page. */
function breadcrumbs(data: ShopData, crumbs: readonly { label: string; url: string }[], here: string): object[] {
  if (crumbs.length === 0) return [];
  const way = [{ label: say('frame.home'), url: '/' }, ...crumbs, { label: here, url: data.url.split('?')[0]! }];
  return [
    {
      ...context,
      '@type': 'BreadcrumbList',
      itemListElement: way.map(({ label, url }, i) => ({
        '@type': 'ListItem',
        position: i + 1,
        name: label,
        item: data.origin + addressIn(data.base, url),
      })),
    },
  ];
}

/** The picture that stands for a page; undefined where it has none. */
export function mediaOfPage({ page }: ShopData): string | undefined {
  const address = (picture: PictureView | null | undefined) => picture?.media;
  switch (page.kind) {
    case 'product':
      return address(page.product.pictures[0]) ?? undefined;
    case 'listing':
      return address(page.picture ?? page.listing.items[0]?.picture) ?? undefined;
    case 'page': {
      const banner = page.page.sections.find((section) => section.kind === 'banner');
      return address(banner?.kind === 'banner' ? banner.slides[0]?.picture : undefined) ?? undefined;
    }
    case 'basket':
    case 'checkout':
    case 'order':
    case 'missing':
    case 'closed':
      return undefined;
  }
}

/** What machines read of a page, as schema.org: the shop, the way there, what is listed, the product. */
export function structuredPage(data: ShopData): object[] {
  const { page, origin, shop, base } = data;
  if (data.isPreview) return [];
  const at = (url: string) => origin + addressIn(base, url);
  switch (page.kind) {
    case 'product':
      return [
        structuredProduct(page.product, origin, at(page.product.url)),
        ...breadcrumbs(data, page.product.crumbs, page.product.title),
      ];
    case 'listing':
      if (page.q !== null) return [];
      return [
        ...breadcrumbs(data, page.crumbs, page.title),
        {
          ...context,
          '@type': 'ItemList',
          name: page.title,
          numberOfItems: page.listing.total,
          itemListElement: page.listing.items.map(({ url }, i) => ({
            '@type': 'ListItem',
            position: (page.listing.page - 1) * page.listing.pageSize + i + 1,
            url: at(url.split('?')[0]!),
          })),
        },
      ];
    case 'page':
      return page.page.home
        ? [
            {
              ...context,
              '@type': 'Organization',
              name: shop.name,
              url: at('/'),
              ...(shop.tagline && { description: shop.tagline }),
            },
            {
              ...context,
              '@type': 'WebSite',
              name: shop.name,
              url: at('/'),
              potentialAction: {
                '@type': 'SearchAction',
                target: { '@type': 'EntryPoint', urlTemplate: at('/search?q={search_term_string}') },
                'query-input': 'required name=search_term_string',
              },
            },
          ]
        : [];
    case 'basket':
    case 'checkout':
    case 'order':
    case 'missing':
    case 'closed':
      return [];
  }
}
