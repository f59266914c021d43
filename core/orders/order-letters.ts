import type { OrderBody } from '../model/shop-order';
import { countryName } from '../model/countries';
import { formatMoney } from '../shared/money';

/** What a letter about an order is written from. */
export interface LetterOf {
  number: number;
  body: OrderBody;
  /** how the shop signs */
  shop: string;
  /** where the shopper sees the order */
  url: string;
}
export interface OrderLetter {
  subject: string;
  text: string;
}

const linesOf = ({ lines }: OrderBody) =>
  lines.map(({ quantity, title, variant }) => `${quantity} × ${[title, variant].filter(Boolean).join(', ')}`);

const money =
  ({ currency, locale }: OrderBody) =>
  (amount: number) =>
    formatMoney(amount, currency, locale);

function letter({ body, shop, url }: LetterOf, subject: string, paragraphs: readonly string[]): OrderLetter {
  const text = [`Hello ${body.contact.name},`, ...paragraphs, `Your order: ${url}`, shop].join('\n\n');
  return { subject, text };
}

/** The letters about an order, each for one thing that happened to it. */
export const orderLetters = {
  placed: (of: LetterOf): OrderLetter => {
    const { body, number } = of;
    const { address } = body;
    return letter(of, `Your order ${number}`, [
      'Thank you for your order:',
      [...linesOf(body), `In all: ${money(body)(body.total)}`].join('\n'),
      ...(address
        ? [
            [
              'It goes to:',
              body.contact.name,
              address.street,
              ...(address.more ? [address.more] : []),
              `${address.postcode} ${address.city}`,
              countryName(address.country, body.locale),
            ].join('\n'),
          ]
        : []),
      ...(body.payment.words ? [`${body.payment.name}: ${body.payment.words}`] : []),
    ]);
  },
  paid: (of: LetterOf): OrderLetter =>
    letter(of, `We have your payment for order ${of.number}`, [
      `Thank you: ${money(of.body)(of.body.total)} is paid. The invoice is at the link below.`,
    ]),
  downloads: (of: LetterOf, links: readonly { name: string; url: string }[]): OrderLetter =>
    letter(of, `Your downloads, order ${of.number}`, [links.map(({ name, url }) => `${name}: ${url}`).join('\n')]),
  giftCard: (of: LetterOf, cards: readonly { code: string; worth: number }[]): OrderLetter =>
    letter(of, cards.length === 1 ? 'Your gift card' : 'Your gift cards', [
      cards.map(({ code, worth }) => `${code} is worth ${money(of.body)(worth)}`).join('\n'),
      'Type the code in the basket.',
    ]),
  sent: (of: LetterOf, lines: readonly string[], tracking: string): OrderLetter =>
    letter(of, `Order ${of.number} is on its way`, [
      lines.join('\n'),
      ...(tracking ? [`Follow it with this number: ${tracking}`] : []),
    ]),
  refunded: (of: LetterOf, amount: number, reason: string): OrderLetter =>
    letter(of, `Money back for order ${of.number}`, [
      `We pay ${money(of.body)(amount)} back.`,
      ...(reason ? [reason] : []),
    ]),
  cancelled: (of: LetterOf, reason: string): OrderLetter =>
    letter(of, `Order ${of.number} is cancelled`, [...(reason ? [reason] : ['Nothing will be sent.'])]),
};
