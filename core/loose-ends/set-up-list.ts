import { setUpKeys, setUpSteps, type SetUpKey, type SetUpStep } from './set-up-steps';
import { legalStates } from './legal-states';
import type { ProductDocument } from '../model/document';
import { canonicalJson } from '../shared/canonical-json';
import { usualLook } from '../model/look';
import { emptySettings } from '../model/settings';
import type { Shop } from '../shop/shop';
import { menuLinks } from '../storefront/reach';
import { openTarget } from '../storefront/pages/targets';

/** What the list is worked out from: the working copy, and what holds at once. */
export interface SetUpFacts {
  shop: Shop;
  /** number of the live edition; 0 where none is */
  edition: number;
  isClosed: boolean;
  /** products that came as examples */
  examples: ReadonlySet<string>;
}

/** The first of the seller's own products that something holds of; undefined where it holds of none. O(products). */
export function ownProduct(
  { shop, examples }: SetUpFacts,
  holds: (product: ProductDocument) => boolean = () => true,
): ProductDocument | undefined {
  for (const product of shop.products.values()) if (!examples.has(product.id) && holds(product)) return product;
  return undefined;
}

/** When each step is done. */
const isDone: { [Key in SetUpKey]: (facts: SetUpFacts) => boolean } = {
  name: ({ shop: { settings } }) => settings.tagline !== '',
  product: (facts) => ownProduct(facts) !== undefined,
  picture: (facts) => ownProduct(facts, ({ pictures }) => pictures.length > 0) !== undefined,
  price: (facts) =>
    ownProduct(
      facts,
      ({ status, variants, priceOnRequest }) =>
        status === 'live' && (priceOnRequest || variants.some(({ price }) => price > 0)),
    ) !== undefined,
  tax: ({ shop: { settings } }) =>
    (['taxRate', 'reducedTaxRate', 'taxIncluded'] as const).some((key) => settings[key] !== emptySettings[key]),
  delivery: ({ shop: { settings } }) =>
    settings.productPage.deliveryWords !== '' && settings.productPage.returnWords !== '',
  selling: ({ shop: { settings } }) => canonicalJson(settings.selling) !== canonicalJson(emptySettings.selling),
  category: (facts) => ownProduct(facts, ({ categoryIds }) => categoryIds.length > 0) !== undefined,
  menu: ({ shop }) =>
    menuLinks(shop).some((link) => {
      const kind = openTarget(shop, link)?.kind;
      return kind === 'category' || kind === 'collection';
    }),
  home: ({ shop }) => [...shop.pages.values()].some(({ home, sections }) => home && sections.length > 0),
  look: ({ shop: { settings } }) =>
    settings.signs.logo !== null || canonicalJson(settings.look) !== canonicalJson(usualLook),
  legal: ({ shop }) => legalStates(shop).every(({ page, isAtFoot, open }) => page && isAtFoot && open.length === 0),
  domain: ({ shop: { settings } }) => settings.domain !== '',
  live: ({ edition }) => edition > 0,
  open: ({ isClosed, edition }) => !isClosed && edition > 0,
};

/** What is done of setting a shop up, and what is left. */
export function setUpList(facts: SetUpFacts, skipped: ReadonlySet<string>): SetUpStep[] {
  return setUpKeys.map((key) => {
    const { title, why, ...rest } = setUpSteps[key];
    const canSkip = 'canSkip' in rest;
    const state = isDone[key](facts) ? 'done' : canSkip && skipped.has(key) ? 'skipped' : 'open';
    return { key, title, why, canSkip, state };
  });
}
