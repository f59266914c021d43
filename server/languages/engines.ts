import type { engineRoutes } from '../../contract/engines';
import type { AnswerOf, BodyOf, QueryOf } from '../../contract/route';
import { chosenListingSchema, keptById, type ChosenListing } from '../../core/model/chosen-listing';
import { freeSlug, slugFrom } from '../../core/shared/slug';
import type { Shop } from '../../core/shop/shop';
import { chosenGoods, chosenTwin, chosenUrl } from '../../core/storefront/chosen-listings';
import { listingView } from '../../core/storefront/listing-view';
import { targetName } from '../../core/storefront/pages/targets';
import { searchConflicts, shownPages } from '../../core/storefront/search-conflicts';
import { parse } from '../http/answer';
import { newId } from '../shared/ids';
import { invalidField, notFound } from '../shared/problem';
import { refusals } from '../shared/refusals';
import type { Catalog } from '../state/catalog';
import { mergedFields } from '../state/merged-fields';
import { dropForward, putForward } from '../store/forwards';
import { deleteBody, putBody } from '../store/json-bodies';
import { setNoindex } from '../store/noindex';

const MOST_PAGES = 500;
const MOST_CONFLICTS = 300;

/** Filters of a place with their values; those that are groups by id. */
function filtersOf(shop: Shop, at: ChosenListing['at']): AnswerOf<typeof engineRoutes.filters>['filters'] {
  const request = {
    at: at ?? { kind: 'all' as const },
    q: '',
    page: 1,
    sort: '',
    choices: new Map(),
    price: null,
    spans: new Map(),
  };
  const isById = (key: string) => (keptById as readonly string[]).includes(key);
  return listingView(shop, request, shop.now).facets.flatMap((facet) =>
    facet.type !== 'choice' || facet.key === 'new' || facet.key === 'stock'
      ? []
      : [
          {
            key: facet.key,
            label: facet.label,
            values: facet.values.map(({ value, label, count }) => ({
              value: isById(facet.key) ? (shop.bySlug(facet.key as 'category' | 'brand', value) ?? value) : value,
              label,
              count,
            })),
          },
        ],
  );
}

/** Group and filters in words: "Deltas: Ember, Pine". */
function wordsOf(shop: Shop, { at, choices }: ChosenListing): string {
  const filters = new Map(filtersOf(shop, at).map((filter) => [filter.key, filter]));
  const values = choices.flatMap(({ key, values: all }) =>
    all.map((value) => filters.get(key)?.values.find((each) => each.value === value)?.label ?? value),
  );
  return `${at ? (targetName(shop, at) ?? 'something deleted') : 'All goods'}: ${values.join(', ')}`;
}

export function enginesAnswer({ working: { shop } }: Catalog, origin: string): AnswerOf<typeof engineRoutes.overview> {
  const pages = shownPages(shop);
  return {
    origin,
    shopName: shop.settings.name,
    total: pages.length,
    pages: pages.slice(0, MOST_PAGES).map(({ text: _text, ...page }) => page),
    conflicts: searchConflicts(shop).slice(0, MOST_CONFLICTS),
    chosen: [...shop.chosen.values()].map((chosen) => ({
      chosen,
      words: wordsOf(shop, chosen),
      url: chosenUrl(chosen),
      goods: chosenGoods(shop, chosen),
    })),
  };
}

export const filtersAnswer = (
  { working: { shop } }: Catalog,
  { kind, id }: QueryOf<typeof engineRoutes.filters>,
): AnswerOf<typeof engineRoutes.filters> => ({ filters: filtersOf(shop, kind && id ? { kind, id } : null) });

function chosenOrRefuse({ working }: Catalog, id: string): ChosenListing {
  const chosen = working.shop.chosen.get(id);
  if (!chosen) throw notFound(refusals.noSuchChosen);
  return chosen;
}

const slugsBut = ({ working }: Catalog, id: string | null) =>
  new Set([...working.shop.chosen.values()].flatMap((each) => (each.id === id ? [] : [each.slug])));

export function chooseListing(
  catalog: Catalog,
  user: string,
  { at, choices, title }: BodyOf<typeof engineRoutes.choose>,
): string {
  const twin = chosenTwin(catalog.working.shop, { at, choices });
  if (twin) throw invalidField(['choices'], refusals.chosenAlready(twin.title));
  const taken = slugsBut(catalog, null);
  const chosen = parse(chosenListingSchema, {
    id: newId('chosenListing'),
    at,
    choices,
    title,
    slug: freeSlug(slugFrom(title), (slug) => taken.has(slug)),
    text: '',
    metaTitle: '',
    metaDescription: '',
    picture: null,
  });
  catalog.journal.change({ did: 'listingChosen', name: title }, catalog.actor(user), () =>
    putBody(catalog.db, 'chosen_listing', chosen),
  );
  return chosen.id;
}

const fieldNames = {
  slug: 'address',
  title: 'title',
  text: 'text',
  metaTitle: 'meta title',
  metaDescription: 'meta description',
  picture: 'picture',
} as const;

/** Changes its words; an address that changes forwards. */
export function changeChosen(
  catalog: Catalog,
  user: string,
  id: string,
  { was, ...fields }: BodyOf<typeof engineRoutes.changeChosen>,
): ChosenListing {
  const before = chosenOrRefuse(catalog, id);
  const next = parse(chosenListingSchema, {
    ...before,
    ...mergedFields(before, fields as Required<typeof fields>, was, fieldNames),
  });
  if (slugsBut(catalog, id).has(next.slug)) throw invalidField(['slug'], refusals.takenAddress('listing'));
  const { db } = catalog;
  catalog.journal.change({ did: 'chosenChanged', name: next.title }, catalog.actor(user), () => {
    putBody(db, 'chosen_listing', next);
    if (next.slug === before.slug) return;
    dropForward(db, chosenUrl(next));
    putForward(db, { path: chosenUrl(before), to: { kind: 'address', url: chosenUrl(next) }, by: 'renamed' });
  });
  return next;
}

export function dropChosen(catalog: Catalog, user: string, id: string): void {
  const { title } = chosenOrRefuse(catalog, id);
  catalog.journal.change({ did: 'chosenDropped', name: title }, catalog.actor(user), () =>
    deleteBody(catalog.db, 'chosen_listing', id),
  );
}

/** Keeps a thing from search engines, or lets them show it. */
export function changeNoindex(
  catalog: Catalog,
  user: string,
  { kind, id, noindex }: BodyOf<typeof engineRoutes.setNoindex>,
): void {
  const name = targetName(catalog.working.shop, { kind, id });
  if (name === undefined) throw notFound(refusals.nothingHere);
  catalog.journal.change({ did: 'indexChanged', name, shown: !noindex }, catalog.actor(user), () =>
    setNoindex(catalog.db, kind, id, noindex),
  );
}
