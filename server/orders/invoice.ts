import { invoiceOf, type Invoice } from '../../core/orders/invoice';
import { escapeHtml } from '../../core/shared/escape-html';
import type { Catalog } from '../state/catalog';
import type { OrderRow } from '../store/shop-orders';

export function invoiceFor({ live }: Catalog, order: OrderRow, day: string): Invoice {
  const { name, contact } = live.shop.settings;
  const { say } = live.shop.inLanguage(order.body.locale);
  return invoiceOf({ number: order.number, day, body: order.body }, { name, contact }, say);
}

const lines = (words: readonly string[]) => words.map(escapeHtml).join('<br>');
const cell = 'padding:6px 8px;border-bottom:1px solid #ddd;vertical-align:top';
const amount = `${cell};text-align:right;white-space:nowrap`;

/** The invoice as a page of its own, ready to be printed. */
export function invoiceHtml(catalog: Catalog, order: OrderRow, day: string): string {
  const invoice = invoiceFor(catalog, order, day);
  const { heads } = invoice;
  const rows = invoice.lines.map(
    ({ words, quantity, each, total }) =>
      `<tr><td style="${cell}">${lines(words.split('\n'))}</td><td style="${amount}">${quantity}</td><td style="${amount}">${escapeHtml(each)}</td><td style="${amount}">${escapeHtml(total)}</td></tr>`,
  );
  const sums = invoice.sums.map(
    ({ words, amount: of, isTotal }) =>
      `<tr style="${isTotal ? 'font-weight:700' : ''}"><td style="${cell}" colspan="3">${escapeHtml(words)}</td><td style="${amount}">${escapeHtml(of)}</td></tr>`,
  );
  return `<!doctype html>
<html lang="${escapeHtml(order.body.locale)}">
<head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><meta name="robots" content="noindex"><title>${escapeHtml(invoice.title)}</title></head>
<body style="font:15px/1.5 sans-serif;max-width:720px;margin:40px auto;padding:0 20px;color:#222">
<p>${lines(invoice.from)}</p>
<p style="margin-top:32px">${lines(invoice.to)}</p>
<h1 style="margin:32px 0 4px;font-size:24px">${escapeHtml(invoice.title)}</h1>
<p style="margin:0 0 24px">${escapeHtml(invoice.day)}</p>
<table style="width:100%;border-collapse:collapse"><thead><tr><th style="${cell};text-align:left">${escapeHtml(heads.words)}</th><th style="${amount}">${escapeHtml(heads.quantity)}</th><th style="${amount}">${escapeHtml(heads.each)}</th><th style="${amount}">${escapeHtml(heads.total)}</th></tr></thead>
<tbody>${rows.join('')}${sums.join('')}</tbody></table>
<p>${lines(invoice.notes)}</p>
</body>
</html>`;
}
