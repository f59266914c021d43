import { setUpKeys, setUpSteps, type SetUpKey, type SetUpStep } from './set-up-steps';
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

/** The seller's own products. */
export const ownProducts = ({ shop, examples }: SetUpFacts) =>
  [...shop.products.values()].filter(({ id }) => !examples.has(id));

/** When each step is done. */
const isDone: { [Key in SetUpKey]: (facts: SetUpFacts) => boolean } = {
  name: ({ shop: { settings } }) => settings.tagline !== '',
  product: (facts) => ownProducts(facts).length > 0,
  picture: (facts) => ownProducts(facts).some(({ pictures }) => pictures.length > 0),
  price: (facts) =>
    ownProducts(facts).some(
      ({ status, variants, priceOnRequest }) =>
        status === 'live' && (priceOnRequest || variants.some(({ price }) => price > 0)),
    ),
  tax: ({ shop: { settings } }) =>
    (['taxRate', 'reducedTaxRate', 'taxIncluded'] as const).some((key) => settings[key] !== emptySettings[key]),
  delivery: ({ shop: { settings } }) =>
    settings.productPage.deliveryWords !== '' && settings.productPage.returnWords !== '',
  category: (facts) => ownProducts(facts).some(({ categoryIds }) => categoryIds.length > 0),
  menu: ({ shop }) =>
    menuLinks(shop).some((link) => {
      const kind = openTarget(shop, link)?.kind;
      return kind === 'category' || kind === 'collection';
    }),
  home: ({ shop }) => [...shop.pages.values()].some(({ home, sections }) => home && sections.length > 0),
  look: ({ shop: { settings } }) =>
    settings.signs.logo !== null || canonicalJson(settings.look) !== canonicalJson(usualLook),
  legal: ({ shop }) =>
    legalKeys.every((key) =>
      [...shop.pages.values()].some(
        ({ slug, sections }) =>
          slug === legalPages[key].slug &&
          sections.every((section) => section.kind !== 'text' || openBlanks(section.html, shop.settings).length === 0),
      ),
    ),
  domain: ({ shop: { settings } }) => settings.domain !== '',
  live: ({ edition }) => edition > 0,
  open: ({ isClosed, edition }) => !isClosed && edition > 0,
};

/** What is done of setting a shop up, and what is left. */
export function setUpList(facts: SetUpFacts, skipped: ReadonlySet<string>): SetUpStep[] {
  return setUpKeys.map((key) => {
    const { title, why, at, ...rest } = setUpSteps[key];
    const canSkip = 'canSkip' in rest;
    const state = isDone[key](facts) ? 'done' : canSkip && skipped.has(key) ? 'skipped' : 'open';
    return { key, title, why, at, canSkip, state };
  });
}
