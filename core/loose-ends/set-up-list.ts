import { openBlanks } from '../legal/blanks';
import { legalKeys, legalPages } from '../legal/legal-pages';
import { canonicalJson } from '../shared/canonical-json';
import { usualLook } from '../model/look';
import { emptySettings } from '../model/settings';
import type { ResolvedShop } from '../shop/resolved-shop';
import { menuLinks } from '../storefront/reach';
import { openTarget } from '../storefront/pages/targets';

/** What the list is worked out from: the working copy, and what holds at once. */
export interface SetUpFacts {
  shop: ResolvedShop;
  /** number of the live edition; 0 where none is */
  edition: number;
  isClosed: boolean;
  /** products that came as examples */
  examples: ReadonlySet<string>;
}

/** Where a step is done, in the desk. */
export type SetUpPlace =
  | 'settings'
  | 'goods'
  | 'picture'
  | 'price'
  | 'tax'
  | 'delivery'
  | 'categories'
  | 'menu'
  | 'home'
  | 'look'
  | 'legal'
  | 'domain'
  | 'review'
  | 'opening';

interface Step {
  title: string;
  /** why a shop needs it */
  why: string;
  at: SetUpPlace;
  isDone: (facts: SetUpFacts) => boolean;
  /** a shop can do without it, or it is right as it is: the seller says so */
  canSkip?: true;
}

/** The seller's own products. */
export const ownProducts = ({ shop, examples }: SetUpFacts) =>
  [...shop.products.values()].filter(({ id }) => !examples.has(id));

/** What a new shop needs, in the order in which people do it. */
const setUpSteps = {
  name: {
    title: 'Say what the shop is about',
    why: 'Its name and one sentence stand on every page and in search results.',
    at: 'settings',
    isDone: ({ shop: { settings } }) => settings.name !== emptySettings.name && settings.tagline !== '',
  },
  product: {
    title: 'Add your first product',
    why: 'A title is enough to begin with.',
    at: 'goods',
    isDone: (facts) => ownProducts(facts).length > 0,
  },
  picture: {
    title: 'Give it a picture',
    why: 'Goods without a picture are passed over.',
    at: 'picture',
    isDone: (facts) => ownProducts(facts).some(({ pictures }) => pictures.length > 0),
  },
  price: {
    title: 'Give it a price, and put it on the shop',
    why: 'Drafts are seen by nobody but you.',
    at: 'price',
    isDone: (facts) =>
      ownProducts(facts).some(
        ({ status, variants, priceOnRequest }) =>
          status === 'live' && (priceOnRequest || variants.some(({ price }) => price > 0)),
      ),
  },
  tax: {
    title: 'Check the tax',
    why: 'Whether prices contain it, and how much it is.',
    at: 'tax',
    canSkip: true,
    isDone: ({ shop: { settings } }) =>
      (['taxRate', 'reducedTaxRate', 'taxIncluded'] as const).some((key) => settings[key] !== emptySettings[key]),
  },
  delivery: {
    title: 'Say how you send, and take back',
    why: 'Two sentences that stand on every product and in the legal pages.',
    at: 'delivery',
    isDone: ({ shop: { settings } }) =>
      settings.productPage.deliveryWords !== '' && settings.productPage.returnWords !== '',
  },
  category: {
    title: 'Make a category and put goods into it',
    why: 'That is how shoppers find their way.',
    at: 'categories',
    isDone: (facts) => ownProducts(facts).some(({ categoryIds }) => categoryIds.length > 0),
  },
  menu: {
    title: 'Put it into the menu',
    why: 'What no menu and no page leads to is found by nobody.',
    at: 'menu',
    isDone: ({ shop }) =>
      menuLinks(shop).some((link) => {
        const kind = openTarget(shop, link)?.kind;
        return kind === 'category' || kind === 'collection';
      }),
  },
  home: {
    title: 'Build the home page',
    why: 'A banner and a row of goods are a good start.',
    at: 'home',
    isDone: ({ shop }) => [...shop.pages.values()].some(({ home, sections }) => home && sections.length > 0),
  },
  look: {
    title: 'Choose a look',
    why: 'A logo, its colours, the letters.',
    at: 'look',
    canSkip: true,
    isDone: ({ shop: { settings } }) =>
      settings.signs.logo !== null || canonicalJson(settings.look) !== canonicalJson(usualLook),
  },
  legal: {
    title: 'Add the legal pages',
    why: 'Who you are, the terms, how to withdraw, privacy, and how people get and pay their goods.',
    at: 'legal',
    isDone: ({ shop }) =>
      legalKeys.every((key) =>
        [...shop.pages.values()].some(
          ({ slug, sections }) =>
            slug === legalPages[key].slug &&
            sections.every(
              (section) => section.kind !== 'text' || openBlanks(section.html, shop.settings).length === 0,
            ),
        ),
      ),
  },
  domain: {
    title: 'Choose an address',
    why: 'A name of your own that people remember.',
    at: 'domain',
    canSkip: true,
    isDone: ({ shop: { settings } }) => settings.domain !== '',
  },
  live: {
    title: 'Put it live',
    why: 'Until then shoppers see nothing of what you made.',
    at: 'review',
    isDone: ({ edition }) => edition > 0,
  },
  open: {
    title: 'Open the shop',
    why: 'Let people in.',
    at: 'opening',
    isDone: ({ isClosed, edition }) => !isClosed && edition > 0,
  },
} as const satisfies Record<string, Step>;
export type SetUpKey = keyof typeof setUpSteps;
export const setUpKeys = Object.keys(setUpSteps) as [SetUpKey, ...SetUpKey[]];

export interface SetUpStep {
  key: SetUpKey;
  title: string;
  why: string;
  at: SetUpPlace;
  canSkip: boolean;
  state: 'done' | 'skipped' | 'open';
}

/** What is done of setting a shop up, and what is left. */
export function setUpList(facts: SetUpFacts, skipped: ReadonlySet<string>): SetUpStep[] {
  return setUpKeys.map((key) => {
    const { title, why, at, isDone, ...rest }: Step = setUpSteps[key];
    const canSkip = rest.canSkip === true;
    const state = isDone(facts) ? 'done' : canSkip && skipped.has(key) ? 'skipped' : 'open';
    return { key, title, why, at, canSkip, state };
  });
}
