import type { OrderBody } from '../model/shop-order';
import { countryName } from '../model/countries';
import type { ToldKey } from '../languages/fixed/english';
import type { Say } from '../languages/fixed/say';
import { formatMoney } from '../shared/money';

/** What a letter about an order is written from. */
export interface LetterOf {
  number: number;
  body: OrderBody;
  /** how the shop signs */
  shop: string;
  /** where the shopper sees the order */
  url: string;
  /** says fixed words in the language of the shopper */
  say: Say<ToldKey>;
}
export interface OrderLetter {
  subject: string;
  text: string;
}

/** The number of an order is no amount: no language parts its thousands. */
const numbered = ({ number }: LetterOf) => ({ number: String(number) });

const linesOf = ({ lines }: OrderBody) =>
  lines.map(({ quantity, title, variant }) => `${quantity} × ${[title, variant].filter(Boolean).join(', ')}`);

const money =
  ({ currency, locale }: OrderBody) =>
  (amount: number) =>
    formatMoney(amount, currency, locale);

function letter({ body, shop, url, say }: LetterOf, subject: string, paragraphs: readonly string[]): OrderLetter {
  const hello = say('letter.hello', { name: body.contact.name });
  const text = [hello, ...paragraphs, say('letter.yourOrder', { url }), shop].join('\n\n');
  return { subject, text };
}

/** The letters about an order, each for one thing that happened to it. */
export const orderLetters = {
  placed: (of: LetterOf): OrderLetter => {
    const { body, say } = of;
    const { address } = body;
    return letter(of, say('letter.placedSubject', numbered(of)), [
      say('letter.placed'),
      [...linesOf(body), say('letter.inAll', { sum: money(body)(body.total) })].join('\n'),
      ...(address
        ? [
            [
              say('letter.goesTo'),
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
    letter(of, of.say('letter.paidSubject', numbered(of)), [
      of.say('letter.paid', { sum: money(of.body)(of.body.total) }),
    ]),
  downloads: (of: LetterOf, links: readonly { name: string; url: string }[]): OrderLetter =>
    letter(of, of.say('letter.downloadsSubject', numbered(of)), [
      links.map(({ name, url }) => `${name}: ${url}`).join('\n'),
    ]),
  giftCard: (of: LetterOf, cards: readonly { code: string; worth: number }[]): OrderLetter =>
    letter(of, of.say('letter.giftCardSubject', { count: cards.length }), [
      cards.map(({ code, worth }) => of.say('letter.giftCardWorth', { code, sum: money(of.body)(worth) })).join('\n'),
      of.say('letter.giftCardHow'),
    ]),
  sent: (of: LetterOf, lines: readonly string[], tracking: string): OrderLetter =>
    letter(of, of.say('letter.sentSubject', numbered(of)), [
      lines.join('\n'),
      ...(tracking ? [of.say('letter.tracking', { tracking })] : []),
    ]),
  refunded: (of: LetterOf, amount: number, reason: string): OrderLetter =>
    letter(of, of.say('letter.refundedSubject', numbered(of)), [
      of.say('letter.refunded', { sum: money(of.body)(amount) }),
      ...(reason ? [reason] : []),
    ]),
  cancelled: (of: LetterOf, reason: string): OrderLetter =>
    letter(of, of.say('letter.cancelledSubject', numbered(of)), [
      ...(reason ? [reason] : [of.say('letter.cancelled')]),
    ]),
};
