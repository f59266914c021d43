import type { Cards } from '../core/model/cards';
import { freshBadge, usualCards } from '../core/model/cards';
import { usualProductPage, type ProductPage } from '../core/model/product-layout';
import { noContact, type Contact } from '../core/model/shop-contact';

/** Who stands behind Lark & Line. */
export const contact: Contact = {
  ...noContact,
  company: 'Lark & Line',
  person: 'Robin Teal',
  street: 'Harbour quay 4',
  postcode: '1234 WD',
  city: 'Windhaven',
  country: 'Netherlands',
  mail: 'hello@larkandline.example',
  phone: '+31 20 555 01 44',
  registration: '00 12 34 56',
  taxNumber: 'NL000012345B01',
  social: [{ name: 'Pictures from the beach', url: 'https://pictures.example/larkandline' }],
};

/** What every product page says of sending and taking back. */
export const productPage: ProductPage = {
  ...usualProductPage,
  deliveryWords:
    'Sent within two working days, €4.95 in the country and free from €60. Kites over 180 cm go in a tube.',
  returnWords: '30 days to change your mind, also when it has sand in the seams.',
  trust: ['Flown on our own beach before it is sold', 'Mended at our bench, for as long as it flies'],
};

/** Cards of the demo shop: what is new and what is nearly gone is told as well. */
export const cards: Cards = {
  ...usualCards,
  second: true,
  badges: [...usualCards.badges, { ...freshBadge('bdg_lastpieces', 'last'), pieces: 2 }],
};

/** The sign of the shop, for browser tabs and phones: a lark's kite on harbour blue. */
export const iconSvg =
  '<svg xmlns="http://www.w3.org/2000/svg" width="512" height="512" viewBox="0 0 64 64"><rect width="64" height="64" rx="14" fill="#12364a"/><path d="M32 8 50 27 32 46Z" fill="#f3a712"/><path d="M32 8 14 27 32 46Z" fill="#e4572e"/><path d="M32 46c-4 4 3 6 0 11" fill="none" stroke="#fff" stroke-width="2.4" stroke-linecap="round"/></svg>';
