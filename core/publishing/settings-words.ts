import { cardParts, frames } from '../model/card-choices';
import type { Badge, Cards } from '../model/cards';
import { layoutChoices, layoutWords, shopperSorts, type LayoutField, type Listings } from '../model/listing-layout';
import type { Look } from '../model/look';
import { colourRoles, families, lookChoices, type ColourRole } from '../model/look-choices';
import { galleryWords, staysWords, type ProductPage } from '../model/product-layout';
import { productParts, type PartLayout, type ProductLayout } from '../model/product-parts';
import { kindParts } from '../products/kinds';
import { languageName } from '../model/languages';
import type { Settings } from '../model/settings';
import { contactWords, type Contact } from '../model/shop-contact';
import type { Notice, Signs } from '../model/signs';
import { sentenceOf } from '../rules/text/sentence';
import { offerSettingsFields, sellingFields, taxFields } from './selling-words';
import { synonymWords } from '../search/synonyms';
import type { Shop } from '../shop/shop';
import { linkWords, targetName } from '../storefront/pages/targets';

/** What a reader of the review is told: a label, and the value in words. */
export type Told = [label: string, words: string];

const percent = (basisPoints: number) => `${basisPoints / 100} %`;
const yesNo = (is: boolean) => (is ? 'yes' : 'no');
const inWords = (words: object, key: string | number) => (words as Record<string | number, string>)[key] ?? '';

/** A look in words: each colour and each choice by itself. */
function lookFields({ colours, display, text, ...choices }: Look): Told[] {
  const roles = Object.entries(colourRoles) as [ColourRole, string][];
  return [
    ...roles.map(([role, name]): Told => [`Colour: ${name.toLowerCase()}`, colours[role]]),
    ['Heading font', families[display].name],
    ['Text font', families[text].name],
    ...lookChoices.map(({ key, name, words }): Told => [name, inWords(words, choices[key])]),
  ];
}

const pictureWords = (picture: Signs['logo']) => picture && `picture ${picture.media.slice(0, 6)}`;

const signFields = ({ logo, logoOnDark, logoHeight, icon, shared }: Signs): Told[] => [
  ['Logo', pictureWords(logo) ?? ''],
  ['Logo on dark backgrounds', pictureWords(logoOnDark) ?? ''],
  ['Height of the logo', `${logoHeight} pixels`],
  ['Icon in browser tabs', pictureWords(icon) ?? ''],
  ['Picture for shared links', pictureWords(shared) ?? ''],
];

const noticeFields = (shop: Shop, { text, link }: Notice): Told[] => [
  ['Notice', text],
  ['Notice leads to', link ? linkWords(shop, link) : ''],
];

function badgeWords(shop: Shop, { kind, words, colour, days, pieces, rule }: Badge): string {
  const when = {
    soldOut: 'sold out',
    reduced: 'reduced',
    new: `new for ${days} days`,
    last: `${pieces} pieces or fewer`,
    rule: rule ? sentenceOf(rule, shop.fields, shop.settings.currency) : 'no rule yet',
  }[kind];
  return `“${words}” (${when}, ${colourRoles[colour].toLowerCase()})`;
}

const cardFields = (shop: Shop, cards: Cards): Told[] => [
  ['Parts of a card', cards.parts.map((part) => cardParts[part].toLowerCase()).join(', ')],
  ['Second picture on pointing', yesNo(cards.second)],
  ['Price on cards', cards.price === 'from' ? 'lowest, with “from”' : 'from lowest to highest'],
  ['Frame of pictures', frames[cards.frame].name],
  ['New pictures', cards.fit === 'fills' ? 'fill their frame' : 'fit into their frame'],
  ['Badges', cards.badges.map((badge) => badgeWords(shop, badge)).join('; ')],
  ['Badges on one card', String(cards.mostBadges)],
];

/** One field of a listing's layout in words. */
function layoutValue(shop: Shop, layout: Partial<Listings>, field: LayoutField): string {
  switch (field) {
    case 'filters':
      return (layout.filters ?? [])
        .map(({ key, shown, open, top, as }) => {
          const name = filterName(shop, key);
          if (!shown) return `no ${name}`;
          const parts = [open ? '' : 'folded', as === 'swatches' ? 'as swatches' : '', top === 8 ? '' : `first ${top}`];
          const told = parts.filter(Boolean).join(', ');
          return told === '' ? name : `${name} (${told})`;
        })
        .join(', ');
    case 'sorts':
      return (layout.sorts ?? []).map((sort) => shopperSorts[sort]).join(', ');
    case 'perPage':
    case 'columns':
      return String(layout[field]);
    default:
      return inWords(layoutChoices[field], layout[field]!);
  }
}

/** What shoppers read above a filter, by its key as in addresses. */
const filterName = (shop: Shop, key: string): string =>
  ({ category: 'Category', brand: 'Brand', price: 'Price', sale: 'Reduced', stock: 'Stock', new: 'New' })[key] ??
  shop.options.get(key.replace(/^option\./, ''))?.label ??
  shop.fields.get(key)?.label ??
  'a deleted filter';

function listingFields(shop: Shop, { own, ...shared }: Listings): Told[] {
  const fields = Object.keys(layoutWords) as LayoutField[];
  return [
    ...fields.map((field): Told => [`Listings: ${layoutWords[field].toLowerCase()}`, layoutValue(shop, shared, field)]),
    ...own.flatMap(({ at, ...layout }) =>
      fields.flatMap((field): Told[] =>
        layout[field] === undefined
          ? []
          : [
              [
                `${targetName(shop, at) ?? 'A deleted group'}: ${layoutWords[field].toLowerCase()}`,
                layoutValue(shop, layout, field),
              ],
            ],
      ),
    ),
  ];
}

const partsWords = (parts: readonly PartLayout[], place: PartLayout['place']) =>
  parts
    .filter((each) => each.shown && each.place === place)
    .map(({ part, folded }) => productParts[part].name.toLowerCase() + (folded ? ' (folded)' : ''))
    .join(', ');

const productLayoutFields = (of: string, { parts, gallery, stays }: ProductLayout): Told[] => [
  [`${of}: beside the pictures`, partsWords(parts, 'beside')],
  [`${of}: below the pictures`, partsWords(parts, 'below')],
  [`${of}: pictures`, galleryWords[gallery]],
  [`${of}: stays in sight`, staysWords[stays]],
];

const productPageFields = (shop: Shop, page: ProductPage): Told[] => [
  ...productLayoutFields('Product pages', page),
  ['Delivery, in your words', page.deliveryWords],
  ['Returns, in your words', page.returnWords],
  ['Short facts on product pages', page.trust.join('; ')],
  ...page.own.flatMap(({ of, ...layout }) =>
    productLayoutFields(
      of.kind === 'kind'
        ? `Product pages of the kind ${kindParts[of.id].name}`
        : `Product pages in ${shop.categories.get(of.id)?.name ?? 'a deleted category'}`,
      layout,
    ),
  ),
];

const contactFields = (contact: Contact): Told[] =>
  (Object.keys(contactWords) as (keyof Contact)[]).map((key) => [
    contactWords[key],
    key === 'social' ? contact.social.map(({ name, url }) => `${name} (${url})`).join(', ') : contact[key],
  ]);

/** What each of the settings is told as in a review; whoever adds one says it here, or it does not compile. */
const told: { [K in keyof Settings]: (shop: Shop, value: Settings[K]) => Told[] } = {
  name: (_, name) => [['Name', name]],
  tagline: (_, tagline) => [['In one sentence', tagline]],
  currency: (_, currency) => [['Currency', currency]],
  taxRate: (_, rate) => [['Tax', percent(rate)]],
  reducedTaxRate: (_, rate) => [['Reduced tax', percent(rate)]],
  taxIncluded: (_, isIncluded) => [['Prices', isIncluded ? 'with the tax' : 'without the tax']],
  timeZone: (_, zone) => [['Time zone', zone.replace(/_/g, ' ')]],
  locale: (_, locale) => [['Language', locale]],
  domain: (_, domain) => [['Domain', domain]],
  look: (_, look) => lookFields(look),
  signs: (_, signs) => signFields(signs),
  notice: noticeFields,
  cards: cardFields,
  listings: listingFields,
  productPage: productPageFields,
  contact: (_, contact) => contactFields(contact),
  tax: (shop, tax) => taxFields(shop, tax),
  offers: (_, offers) => offerSettingsFields(offers),
  selling: (shop, selling) => sellingFields(shop, selling),
  languages: (_, { others, glossary }) => [
    ...others.map(({ locale, isOn, untranslated, synonyms }): Told => [
      languageName(locale, 'en'),
      [
        isOn ? 'on the shop' : 'not on the shop',
        untranslated === 'show' ? 'what is not translated is shown' : 'what is not translated is hidden',
        synonyms.map(synonymWords).join('; '),
      ]
        .filter(Boolean)
        .join('; '),
    ]),
    [
      'Glossary',
      glossary
        .map(
          ({ term, as }) =>
            `${term}: ${Object.entries(as)
              .map(([locale, words]) => `${words} (${locale})`)
              .join(', ')}`,
        )
        .join('; '),
    ],
  ],
  searches: (shop, { leads }) => [
    ['Searches that lead to a page', leads.map(({ words, to }) => `“${words}”: ${linkWords(shop, to)}`).join('; ')],
  ],
  synonyms: (_, synonyms) => [['Words that mean the same', synonyms.map(synonymWords).join('; ')]],
};

/** Settings of a shop in words, by label. */
export const settingsFields = (shop: Shop, settings: Settings): Map<string, string> =>
  new Map(
    (Object.keys(told) as (keyof Settings)[]).flatMap((key) =>
      (told[key] as (shop: Shop, value: unknown) => Told[])(shop, settings[key]),
    ),
  );
