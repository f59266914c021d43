import { stringify } from 'csv-stringify/sync';
import { XMLBuilder } from 'fast-xml-parser';
import { feedPrice, type FeedRow } from '../../core/feeds/feed-rows';
import type { Feed, FeedFormat } from '../../core/model/feed';
import { plainAmount } from '../../core/shared/money';
import { absoluteHtml } from '../../core/shared/absolute-html';
import { plainText } from '../../core/shared/plain-text';
import { toldIn } from '../../core/storefront/languages';
import { mediaUrl } from '../../core/storefront/picture-sizes';
import type { Shop } from '../../core/shop/shop';
import { shopPrice, shopStock } from '../../core/shop/shop-price';
import { neutralText } from '../../core/shared/neutral-text';

interface Terms {
  feed: Feed;
  shop: Shop;
  origin: string;
  base: string;
  /** what stands before addresses of pages */
  pages: string;
}
type Writer = (rows: readonly FeedRow[], terms: Terms) => string;

const builder = new XMLBuilder({ ignoreAttributes: false, format: true, suppressEmptyNode: true });
const head = { '?xml': { '@_version': '1.0', '@_encoding': 'UTF-8' } };

/** Characters that XML has no way to tell. */
// eslint-disable-next-line no-control-regex
const UNTOLD = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]/g;
const told = (text: string) => text.replace(UNTOLD, '');

const asObject = ({ cells }: FeedRow, { fields }: Feed, empty: boolean) =>
  Object.fromEntries(
    fields.flatMap(({ name }, i) => {
      const cell = cells[i]!;
      return cell.length === 0 && !empty ? [] : [[name, cell as string | string[]]];
    }),
  );

const availability = (stock: number | null, canOrder: boolean) =>
  `https://schema.org/${stock === null || stock > 0 ? 'InStock' : canOrder ? 'BackOrder' : 'OutOfStock'}`;

/** How each format is written: whoever adds one adds it here. */
const writers: Record<FeedFormat, Writer> = {
  csv: (rows, { feed }) =>
    stringify(
      [
        feed.fields.map(({ name }) => name),
        ...rows.map(({ cells }) => cells.map((cell) => neutralText(typeof cell === 'string' ? cell : cell.join('; ')))),
      ],
      { record_delimiter: '\r\n' },
    ),
  jsonl: (rows, { feed }) => rows.map((row) => `${JSON.stringify(asObject(row, feed, true))}\n`).join(''),
  xml: (rows, { feed, shop }) =>
    builder.build({
      ...head,
      goods: {
        '@_shop': told(shop.settings.name),
        '@_feed': told(feed.name),
        entry: rows.map((row) => {
          const entry = asObject(row, feed, false);
          return Object.fromEntries(
            Object.entries(entry).map(([name, cell]) => [name, typeof cell === 'string' ? told(cell) : cell.map(told)]),
          );
        }),
      },
    }),
  // What schema.org and Atom hold is fixed by them: the fields of the feed are left aside.
  jsonld: (rows, { feed, shop, origin, pages }) =>
    `${JSON.stringify(
      {
        '@context': 'https://schema.org',
        '@type': 'ItemList',
        name: feed.name,
        numberOfItems: rows.length,
        itemListElement: rows.map(({ entry: { product, variant, isOne } }, i) => ({
          '@type': 'ListItem',
          position: i + 1,
          item: {
            '@type': 'Product',
            '@id': `${pages}/p/${product.slug}${isOne ? `?variant=${variant.id}` : ''}`,
            name: product.title,
            description: plainText(product.description) || product.summary,
            ...(variant.sku && { sku: variant.sku }),
            ...(variant.barcode && { gtin: variant.barcode }),
            ...(product.brandId && { brand: { '@type': 'Brand', name: shop.brands.get(product.brandId)?.name } }),
            image: product.pictures.map(({ media }) => origin + mediaUrl(media, 1600)),
            offers: {
              '@type': 'Offer',
              url: `${pages}/p/${product.slug}${isOne ? `?variant=${variant.id}` : ''}`,
              price: plainAmount(feedPrice(feed, shopPrice(shop, product, variant).price)),
              priceCurrency: shop.settings.currency,
              availability: availability(shopStock(shop, product, variant.id), product.whenSoldOut === 'order'),
            },
          },
        })),
      },
      undefined,
      1,
    )}\n`,
  atom: (rows, { feed, shop, origin, base, pages }) =>
    builder.build({
      ...head,
      feed: {
        '@_xmlns': 'http://www.w3.org/2005/Atom',
        id: `${origin}/feeds/${feed.id}`,
        title: told(feed.name),
        updated: new Date(shop.now * 1_000).toISOString(),
        author: { name: told(shop.settings.name) || 'The shop' },
        link: { '@_rel': 'alternate', '@_href': `${pages}/` },
        entry: rows.map(({ entry: { product, variant, isOne } }) => ({
          id: `${pages}/p/${product.slug}${isOne ? `?variant=${variant.id}` : ''}`,
          title: told(product.title),
          updated: product.created,
          link: {
            '@_rel': 'alternate',
            '@_href': `${pages}/p/${product.slug}${isOne ? `?variant=${variant.id}` : ''}`,
          },
          summary: told(product.summary || plainText(product.description).slice(0, 500)),
          content: { '@_type': 'html', '#text': told(absoluteHtml(product.description, origin, base)) },
        })),
      },
    }),
};

/** The text of a feed in its format and language. O(entries). */
export function writeFeed(feed: Feed, rows: readonly FeedRow[], main: Shop, origin: string): string {
  const { shop, base } = toldIn(main, feed.locale);
  return writers[feed.format](rows, { feed, shop, origin, base, pages: origin + base });
}
