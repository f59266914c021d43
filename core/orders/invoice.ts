import { countryName } from '../model/countries';
import type { Contact } from '../model/shop-contact';
import type { OrderBody } from '../model/shop-order';
import type { ToldKey } from '../languages/fixed/english';
import type { Say } from '../languages/fixed/say';
import { formatMoney } from '../shared/money';

/** An invoice as it is printed: each part in words, so that paper and page say the same. */
export interface Invoice {
  title: string;
  day: string;
  from: string[];
  to: string[];
  heads: { words: string; quantity: string; each: string; total: string };
  lines: { words: string; quantity: string; each: string; total: string }[];
  sums: { words: string; amount: string; isTotal: boolean }[];
  notes: string[];
}

const filled = (lines: readonly string[]) => lines.filter((line) => line.trim() !== '');

/** The invoice of an order that was paid. `day` is written as it is given. */
export function invoiceOf(
  { number, day, body }: { number: number; day: string; body: OrderBody },
  shop: { name: string; contact: Contact },
  say: Say<ToldKey>,
): Invoice {
  const money = (amount: number) => formatMoney(amount, body.currency, body.locale);
  const { contact } = shop;
  const { address } = body;
  const taxes = body.taxes.filter(({ tax }) => tax > 0);
  return {
    title: say('invoice.title', { number: String(number) }),
    day,
    from: filled([
      contact.company || shop.name,
      contact.street,
      `${contact.postcode} ${contact.city}`,
      contact.country,
      contact.taxNumber && say('invoice.vat', { number: contact.taxNumber }),
      contact.registration,
    ]),
    to: filled([
      body.contact.name,
      ...(address
        ? [
            address.street,
            address.more,
            `${address.postcode} ${address.city}`,
            countryName(address.country, body.locale),
          ]
        : [body.contact.email]),
    ]),
    heads: {
      words: say('invoice.what'),
      quantity: say('invoice.pieces'),
      each: say('invoice.each'),
      total: say('invoice.total'),
    },
    lines: body.lines.map((line) => ({
      words: [
        [line.title, line.variant].filter(Boolean).join(', '),
        ...line.parts,
        ...line.reductions.map(({ name, off }) => `${name}: −${money(off)}`),
      ].join('\n'),
      quantity: String(line.quantity),
      each: money(line.unit),
      total: money(line.total),
    })),
    sums: [
      { words: say('invoice.goods'), amount: money(body.goods), isTotal: false },
      ...(body.delivery ? [{ words: body.delivery.name, amount: money(body.delivery.price), isTotal: false }] : []),
      ...(body.payment.fee > 0 ? [{ words: body.payment.name, amount: money(body.payment.fee), isTotal: false }] : []),
      ...(body.taxIncluded
        ? []
        : taxes.map(({ rate, tax }) => ({
            words: say('invoice.tax', { rate: rate / 100 }),
            amount: money(tax),
            isTotal: false,
          }))),
      { words: say('invoice.total'), amount: money(body.total), isTotal: true },
      ...(body.taxIncluded
        ? taxes.map(({ rate, net, tax }) => ({
            words: say('invoice.ofWhichTax', { rate: rate / 100, net: money(net) }),
            amount: money(tax),
            isTotal: false,
          }))
        : []),
      ...body.giftCards.map(({ amount }) => ({
        words: say('invoice.giftCard'),
        amount: `−${money(amount)}`,
        isTotal: false,
      })),
      ...(body.giftCards.length > 0
        ? [{ words: say('invoice.paid', { name: body.payment.name }), amount: money(body.due), isTotal: false }]
        : []),
    ],
    notes: filled([body.exemptWords]),
  };
}
