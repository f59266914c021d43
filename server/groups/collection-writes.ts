import { refusals } from '../shared/refusals';
import type { Done } from '../../core/history/done';
import { collectionDefaults, type Collection } from '../../core/model/group';
import { MOST_PLACED } from '../../core/model/group-fields';
import { secondsOf } from '../../core/shared/moment';
import { NEWEST_FIRST } from '../../core/model/order';
import { firstSlots } from '../../core/storefront/pages/place-goods';
import { EMPTY_RULE, type Rule } from '../../core/model/rule';
import type { groupRoutes } from '../../contract/groups';
import type { BodyOf } from '../../contract/route';
import { deleteCollection, orderCollections, putCollection, shelfOrder } from '../store/groups';
import { keepRedirect } from '../store/redirects';
import { newId } from '../shared/ids';
import { invalid, invalidField } from '../shared/problem';
import type { Catalog } from '../state/catalog';
import { mergedFields } from '../state/merged-fields';
import { problemsOfRule } from './checks';
import { existing, groupOrRefuse, refuseTakenSlug, slugForGroup, withPageFields, pageWords } from './group-or-refuse';
import type { UserId } from '../state/product-or-refuse';

const MOST_COLLECTIONS = 2_000;

function refuseProblems(catalog: Catalog, id: string | null, rule: Rule): void {
  const problems = problemsOfRule(catalog, id, rule);
  if (problems.length > 0)
    throw invalid(
      problems.map(({ path, message }) => ({ path: ['rule', ...path.flatMap((i) => ['of', i])], message })),
      problems[0]!.message,
    );
}

function refuseTooMany(catalog: Catalog): void {
  if (catalog.working.shop.collections.size >= MOST_COLLECTIONS)
    throw invalidField(['name'], refusals.tooManyGroups(MOST_COLLECTIONS, 'collections'));
}

function add(catalog: Catalog, user: UserId, collection: Collection): string {
  refuseTooMany(catalog);
  catalog.journal.change({ did: 'groupAdded', kind: 'collection', name: collection.name }, catalog.actor(user), () =>
    putCollection(catalog.db, collection, catalog.working.shop.collections.size),
  );
  return collection.id;
}

export function createCollection(
  catalog: Catalog,
  user: UserId,
  { name, source, picked, rule }: BodyOf<typeof groupRoutes.createCollection>,
): string {
  // A new one may be without a rule: it takes in nothing, and its shelf says so.
  if (source === 'rule' && rule.of.length > 0) refuseProblems(catalog, null, rule);
  return add(catalog, user, {
    ...collectionDefaults,
    id: newId('collection'),
    name,
    slug: slugForGroup(catalog, 'collection', name),
    source,
    picked: existing(catalog, picked),
    rule: source === 'rule' ? rule : EMPTY_RULE,
    order: NEWEST_FIRST,
  });
}

/** Adds a collection like this one, with an address of its own. */
export function copyCollection(catalog: Catalog, user: UserId, id: string): string {
  const collection = groupOrRefuse(catalog, 'collection', id);
  const name = `${collection.name.slice(0, 112)} (copy)`;
  const slug = slugForGroup(catalog, 'collection', name);
  return add(catalog, user, { ...collection, id: newId('collection'), name, slug });
}

export function changeCollection(
  catalog: Catalog,
  user: UserId,
  id: string,
  { was, ...wanted }: BodyOf<typeof groupRoutes.updateCollection>,
): void {
  const collection = groupOrRefuse(catalog, 'collection', id);
  const fields = mergedFields(collection, wanted, was, pageWords.collection);
  refuseTakenSlug(catalog, 'collection', fields.slug, id);
  if (fields.rule) refuseProblems(catalog, id, fields.rule);
  const next = withPageFields(collection, fields);
  const { liveFrom, liveUntil, fewest, most } = next;
  if (liveFrom !== null && liveUntil !== null && secondsOf(liveFrom) >= secondsOf(liveUntil))
    throw invalidField([fields.liveUntil === undefined ? 'liveFrom' : 'liveUntil'], refusals.lastDayFirst);
  if (fewest !== null && most !== null && fewest > most)
    throw invalidField([fields.most === undefined ? 'fewest' : 'most'], refusals.sizesCrossed);
  for (const list of ['picked', 'pins', 'leftOut'] as const) next[list] = existing(catalog, next[list]);
  // What is left out cannot stand first.
  next.pins = next.pins.filter((productId) => !next.leftOut.includes(productId));
  catalog.journal.change({ did: 'groupChanged', kind: 'collection', name: next.name }, catalog.actor(user), () => {
    putCollection(catalog.db, next);
    if (next.slug !== collection.slug) keepRedirect(catalog.db, 'collection', collection.slug, next.slug, id);
  });
}

/** Freezes what the rule takes in now into a list picked by hand, or lets the rule, which was kept, fill it again. */
export function fillCollection(catalog: Catalog, user: UserId, id: string, source: Collection['source']): void {
  const collection = groupOrRefuse(catalog, 'collection', id);
  if (collection.source === source) return;
  const { shop } = catalog.working;
  const members = () => {
    const { slots, total } = firstSlots(shop, { kind: 'collection', id }, MOST_PLACED, catalog.now);
    if (total > MOST_PLACED) throw invalidField(['source'], refusals.tooManyToFreeze(MOST_PLACED, total));
    return slots.map((slot) => shop.index.id(slot));
  };
  const next = source === 'picked' ? { ...collection, source, picked: members() } : { ...collection, source };
  const done: Done = { did: source === 'picked' ? 'collectionFrozen' : 'collectionFilled', name: collection.name };
  catalog.journal.change(done, catalog.actor(user), () => putCollection(catalog.db, next));
}

export function arrangeCollections(catalog: Catalog, user: UserId, ids: readonly string[]): void {
  const all = shelfOrder(catalog.db);
  const wanted = [...new Set(ids)].filter((id) => all.includes(id));
  const rest = all.filter((id) => !wanted.includes(id));
  catalog.journal.change({ did: 'collectionsOrdered' }, catalog.actor(user), () =>
    orderCollections(catalog.db, [...wanted, ...rest]),
  );
}

/**
 * Puts products at the end of a picked collection. In one filled by rule they are pinned, which says where members stand
 * and makes no product a member. Answers how many are new there.
 */
export function addToCollection(catalog: Catalog, user: UserId, id: string, productIds: readonly string[]): number {
  const collection = groupOrRefuse(catalog, 'collection', id);
  const list = collection.source === 'rule' ? 'pins' : 'picked';
  const members = catalog.working.shop.memberships.of(id, catalog.now);
  const { index } = catalog.working.shop;
  const added = existing(catalog, productIds).filter((productId) => !collection[list].includes(productId));
  if (list === 'pins') {
    const outside = added.filter((productId) => !members.has(index.slot(productId) ?? -1));
    if (outside.length > 0)
      throw invalidField(
        ['ids'],
        `“${collection.name}” is filled by rule, which does not take ${outside.length === 1 ? 'this product' : `${outside.length} of these`} in. Change its rule, or freeze it and add by hand.`,
      );
  }
  const done: Done = {
    did: list === 'pins' ? 'productsPinned' : 'productsPut',
    name: collection.name,
    count: added.length,
  };
  catalog.journal.change(done, catalog.actor(user), () =>
    putCollection(catalog.db, { ...collection, [list]: [...collection[list], ...added] }),
  );
  return added.length;
}

export function removeCollection(catalog: Catalog, user: UserId, id: string): void {
  const { name } = groupOrRefuse(catalog, 'collection', id);
  catalog.journal.change({ did: 'groupDeleted', kind: 'collection', name }, catalog.actor(user), () =>
    deleteCollection(catalog.db, id),
  );
}
