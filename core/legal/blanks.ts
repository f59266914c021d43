import { contactWords, type Contact } from '../model/shop-contact';
import type { Settings } from '../model/settings';
import { escapeHtml } from '../shared/escape-html';

/** What a text can leave blank for the settings to fill, such as {company}; each with what it is called. */
export const blanks = {
  shop: 'Name of the shop',
  company: contactWords.company,
  person: contactWords.person,
  street: contactWords.street,
  postcode: contactWords.postcode,
  city: contactWords.city,
  country: contactWords.country,
  mail: contactWords.mail,
  phone: contactWords.phone,
  registration: contactWords.registration,
  taxNumber: contactWords.taxNumber,
  delivery: 'Delivery, in your words',
  returns: 'Returns, in your words',
} as const;
export type Blank = keyof typeof blanks;

const BLANK = /\{([a-zA-Z]+)\}/g;
const isBlank = (name: string): name is Blank => Object.hasOwn(blanks, name);

/** What the settings say for a blank; empty where they do not say it yet. */
export function blankValue({ name, contact, productPage }: Settings, blank: Blank): string {
  if (blank === 'shop') return name;
  if (blank === 'delivery') return productPage.deliveryWords;
  if (blank === 'returns') return productPage.returnWords;
  return contact[blank satisfies keyof Contact];
}

/** The blanks of a text that the settings do not fill yet, each once. */
export function openBlanks(html: string, settings: Settings): Blank[] {
  const found = [...html.matchAll(BLANK)].map(([, name]) => name!).filter(isBlank);
  return [...new Set(found)].filter((name) => blankValue(settings, name) === '');
}

/** A text with its blanks filled from the settings; what they do not say is marked as missing. Other braces stay. */
export const filledIn = (html: string, settings: Settings): string =>
  html.includes('{')
    ? html.replace(BLANK, (whole, name: string) => {
        if (!isBlank(name)) return whole;
        const value = blankValue(settings, name);
        return value === '' ? `<mark>[${blanks[name]}]</mark>` : escapeHtml(value).replace(/\n/g, '<br>');
      })
    : html;
