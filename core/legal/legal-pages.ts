/** A page that shoppers and the law expect, in wording of our own; blanks are filled from the settings. */
export interface LegalPage {
  title: string;
  slug: string;
  html: string;
}

const address = '<p>{company}<br>{person}<br>{street}<br>{postcode} {city}<br>{country}</p>';
const reachUs = '<p>Mail: {mail}<br>Phone: {phone}</p>';

/** To begin with; the seller goes through each and has it looked at by somebody who knows the law of their country. */
export const legalPages = {
  imprint: {
    title: 'Imprint',
    slug: 'imprint',
    html: `<h2>Who is behind {shop}</h2>${address}<h2>How to reach us</h2>${reachUs}<h2>Register and tax</h2><p>Registration number: {registration}<br>VAT number: {taxNumber}</p>`,
  },
  terms: {
    title: 'Terms of sale',
    slug: 'terms',
    html: `<h2>Who you buy from</h2><p>When you order here, you buy from {company}, {street}, {postcode} {city}, {country}.</p><h2>How an order becomes a purchase</h2><p>What you see in the shop is an invitation to order. By sending an order you offer to buy. We accept it when we confirm it by mail or send the goods, whichever comes first.</p><h2>Prices</h2><p>The price that counts is the one shown when you send your order. Costs of delivery are shown before you order.</p><h2>If something is wrong</h2><p>Goods that are faulty, or not what was described, are repaired or replaced, and if that cannot be done you get your money back. Write to {mail} and tell us what happened.</p><h2>Who owns the goods until they are paid</h2><p>The goods stay ours until they are paid in full.</p>`,
  },
  withdrawal: {
    title: 'Right of withdrawal',
    slug: 'withdrawal',
    html: `<h2>Changing your mind</h2><p>You can withdraw from your purchase within 14 days after the goods have reached you, without giving a reason. It is enough to tell us so in time: by mail to {mail}, by phone at {phone}, or by letter to {company}, {street}, {postcode} {city}, {country}.</p><h2>What happens then</h2><p>Send the goods back within 14 days of telling us. We pay back what you paid, including the cheapest delivery that we offered, within 14 days of your message and in the way in which you paid. We may wait until the goods are here or you show that they are on their way.</p><p>{returns}</p><h2>What cannot be given back</h2><p>Goods that were made or cut to your wishes, and downloads that have begun with your agreement, cannot be given back.</p><h2>A letter that you can use</h2><p>To {company}, {street}, {postcode} {city}: I withdraw from my purchase of … ordered on … My name and address: … Date: …</p>`,
  },
  privacy: {
    title: 'Privacy',
    slug: 'privacy',
    html: `<h2>Who looks after your data</h2>${address}${reachUs}<h2>What we keep, and why</h2><ul><li>What you tell us with an order: your name, your addresses, what you bought. We need it to fulfil the order and must keep it as long as the tax law says.</li><li>Your mail address when you ask a question, want to be told that something is back, or subscribe. We use it for that alone, and delete it when you ask us to.</li><li>A cookie that remembers your basket. We do not follow you from site to site.</li></ul><h2>Who else gets it</h2><p>Whoever carries your parcel gets the address, whoever handles your payment gets the amount. Nobody gets more, and we sell nothing.</p><h2>What you can ask for</h2><p>You can ask what we know of you, have it corrected or deleted, take it elsewhere, or object to how it is used: write to {mail}. You can also complain to the authority for data protection where you live.</p>`,
  },
  delivery: {
    title: 'Delivery and payment',
    slug: 'delivery-and-payment',
    html: `<h2>Delivery</h2><p>{delivery}</p><h2>Returns</h2><p>{returns}</p><h2>Payment</h2><p>The ways to pay, and what each costs, are shown before you send your order. We send the goods when the payment has arrived, unless the way to pay is on account.</p><h2>Questions</h2><p>Write to {mail} or call {phone}.</p>`,
  },
} as const satisfies Record<string, LegalPage>;
export type LegalKey = keyof typeof legalPages;
export const legalKeys = Object.keys(legalPages) as [LegalKey, ...LegalKey[]];
