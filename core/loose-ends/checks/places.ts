import { shelfWarning } from '../../groups/shelf-warning';
import { statusAt } from '../../products/status';
import { firstSlots } from '../../storefront/pages/place-goods';
import { sectionsOfPage } from '../../storefront/pages/page-goods';
import { sectionName, sectionSummary } from '../../storefront/pages/sections/sections';
import { groupsOf } from '../../shop/open-groups';
import { reachableListings, reachOf } from '../../storefront/reach';
import { isUnreached } from '../../storefront/why-not-met';
import { waysTo } from '../../storefront/where-it-shows';
import type { Check } from '../check';

/** Share of visits that are taken to come to something that so many clicks lead to. */
const nearness = (clicks: number | undefined): number => (clicks === undefined ? 0 : 1 / (1 + clicks));

export const unreachable: Check = {
  key: 'unreachable',
  label: 'Open, but no way leads there',
  about: 'It is in no menu, and nothing links to it. Put it into a menu, or close it.',
  harm: 4,
  find: ({ shop }) => {
    const groups = (['category', 'collection'] as const).flatMap((kind) =>
      [...groupsOf(shop, kind).values()].map(({ id, name }) => ({ kind, id, title: name })),
    );
    const pages = [...shop.pages.values()].map(({ id, title }) => ({ kind: 'page' as const, id, title }));
    return [...groups, ...pages]
      .filter(({ kind, id }) => isUnreached(shop, { kind, id }))
      .map(({ kind, id, title }) => ({ on: { kind, key: id, title }, words: '', share: 0 }));
  },
};

export const shelfSize: Check = {
  key: 'shelfSize',
  label: 'Collection too small, too large or empty',
  about: 'Shoppers who come there find less than its name says. Change its rule, or take it off the shop.',
  harm: 4,
  find: ({ shop }) =>
    [...shop.collections.values()].flatMap((collection) => {
      const { id, name } = collection;
      if (waysTo(shop, 'collection', id).length === 0 || statusAt(collection, shop.now) !== 'live') return [];
      const words = shelfWarning(collection, shop.memberships.of(id, shop.now).count());
      const share = nearness(reachOf(shop).clicks.get(`collection:${id}`));
      return words ? [{ on: { kind: 'collection', key: id, title: name }, words, share }] : [];
    }),
};

export const oddSection: Check = {
  key: 'oddSection',
  label: 'Section with something odd',
  about: 'It leads to what is gone, shows what is sold out, or has fewer goods than columns.',
  harm: 5,
  find: ({ shop }) =>
    [...shop.pages.values()].flatMap((page) =>
      sectionsOfPage(shop, page, shop.now).flatMap(({ section, goods }) =>
        sectionSummary(shop, section, { now: shop.now }, goods).warnings.map((warning) => ({
          on: { kind: 'page' as const, key: page.id, title: page.title },
          words: `“${sectionName(shop, section)}”: ${warning}`,
          share: nearness(reachOf(shop).clicks.get(`page:${page.id}`)),
        })),
      ),
    ),
};

/** So many of the first goods of a listing are in sight at once. */
const IN_FRONT = 4;

export const soldOutInFront: Check = {
  key: 'soldOutInFront',
  label: 'Sold out in front',
  about: 'What shoppers see first of this listing cannot be bought. Let sold-out goods stand last, or unpin them.',
  harm: 4,
  find: ({ shop }) =>
    reachableListings(shop).flatMap((at) => {
      const { slots } = firstSlots(shop, at, IN_FRONT, shop.now);
      const soldOut = slots.filter((slot) => shop.facts(shop.index.id(slot))?.status.includes('soldOut'));
      if (soldOut.length === 0) return [];
      const titles = soldOut.map((slot) => shop.products.get(shop.index.id(slot))!.title);
      return [
        {
          on: { kind: at.kind, key: at.id, title: groupsOf(shop, at.kind).get(at.id)!.name },
          words: titles.join(', '),
          share: nearness(reachOf(shop).clicks.get(`${at.kind}:${at.id}`)),
        },
      ];
    }),
};
