import { randomBytes } from 'node:crypto';
import { groupedCode } from '../../core/orders/codes';
import type { Catalog } from '../state/catalog';
import { addGiftCard } from '../store/gift-cards';
import { addDownload, type DownloadRow, type OrderRow } from '../store/shop-orders';
import { freshCode } from '../shared/fresh-code';
import { writeLetter } from './order-mail';

const DAY_MS = 86_400_000;

/** Hands over what needs no parcel: links to files, and gift cards. Inside the transaction in which the order is paid. */
export function issueGoods(catalog: Catalog, order: OrderRow, at: string, origin: string): void {
  const { db, live } = catalog;
  const links: { name: string; url: string }[] = [];
  const cards: { code: string; worth: number }[] = [];
  for (const line of order.body.lines) {
    for (const { productId, variantId } of line.takes) {
      const product = live.shop.products.get(productId);
      if (!product || product.kind !== 'digital') continue;
      for (const file of product.files) {
        if (file.role !== 'download' || (file.variantId !== null && file.variantId !== variantId)) continue;
        const row: DownloadRow = {
          token: randomBytes(18).toString('base64url'),
          orderId: order.id,
          productId,
          fileId: file.id,
          name: `${product.title}: ${file.name}`,
          fetched: 0,
          most: product.downloadLimit,
          until:
            product.downloadDays === null
              ? null
              : new Date(Date.parse(at) + product.downloadDays * DAY_MS).toISOString(),
        };
        addDownload(db, row);
        links.push({ name: row.name, url: `${origin}/download/${row.token}` });
      }
    }
    if (line.kind === 'giftCard')
      for (let piece = 0; piece < line.quantity; piece++) {
        const code = freshCode((each) => addGiftCard(db, { code: each, orderId: order.id, worth: line.list, at }), 12);
        cards.push({ code: groupedCode(code), worth: line.list });
      }
  }
  if (links.length > 0) writeLetter(catalog, order, origin, 'downloads', links);
  if (cards.length > 0) writeLetter(catalog, order, origin, 'giftCard', cards);
}
