import { refusals } from '../shared/refusals';
import type { Done } from '../../core/history/done';
import { namedDefaults, type Brand, type Tag } from '../../core/model/group';
import { isSameName } from '../../core/shared/same-name';
import { groupsOf } from '../../core/shop/open-groups';
import type { groupRoutes } from '../../contract/groups';
import type { BodyOf } from '../../contract/route';
import { deleteNamed, putNamed } from '../store/groups';
import { productIdsIn } from '../store/products';
import { setProductTags, updateProduct } from '../store/put-products';
import { keepRedirect, moveRedirects } from '../store/redirects';
import { newId } from '../shared/ids';
import { invalidField, notFound } from '../shared/problem';
import type { Catalog } from '../state/catalog';
import { mergedFields } from '../state/merged-fields';
import { groupOrRefuse, refuseTakenSlug, slugForGroup, withPageFields, pageWords } from './group-or-refuse';
import type { UserId } from '../state/product-or-refuse';
import { renameTarget } from './rename-target';

export type NamedKind = 'brand' | 'tag';

/** The kind that an address names. */
export function namedKindOrRefuse(kind: string | undefined): NamedKind {
  if (kind === 'brand' || kind === 'tag') return kind;
  throw notFound(refusals.brandsAndTags);
}

function ofName(catalog: Catalog, kind: NamedKind, name: string): Brand | Tag | undefined {
  const all = [...groupsOf(catalog.working.shop, kind).values()];
  return all.find((each) => isSameName(each.name, name)) as Brand | Tag | undefined;
}

/** The brand or tag of this name, made when there is none. */
export function namedOrNew(catalog: Catalog, user: UserId, kind: NamedKind, name: string): Brand | Tag {
  const known = ofName(catalog, kind, name);
  if (known) return known;
  const thing = { ...namedDefaults, id: newId(kind), name, slug: slugForGroup(catalog, kind, name) };
  catalog.journal.change({ did: 'groupAdded', kind, name }, catalog.actor(user), () =>
    putNamed(catalog.db, kind, thing),
  );
  return thing;
}

/** Changes a brand or tag; a new name reaches all products, which hold it by its id. */
export function changeNamed(
  catalog: Catalog,
  user: UserId,
  kind: NamedKind,
  id: string,
  { was, ...wanted }: BodyOf<typeof groupRoutes.updateNamed>,
): Brand | Tag {
  const thing = groupOrRefuse(catalog, kind, id);
  const fields = mergedFields(thing, wanted, was, pageWords[kind]);
  refuseTakenSlug(catalog, kind, fields.slug, id);
  const same = fields.name === undefined ? undefined : ofName(catalog, kind, fields.name);
  if (same && same.id !== id) throw invalidField(['name'], refusals.mergeInstead(kind, same.name));
  const next = withPageFields(thing, fields);
  const done: Done =
    next.name === thing.name
      ? { did: 'groupChanged', kind, name: next.name }
      : { did: 'groupRenamed', kind, name: next.name, from: thing.name };
  catalog.journal.change(done, catalog.actor(user), () => {
    putNamed(catalog.db, kind, next);
    if (next.slug !== thing.slug) keepRedirect(catalog.db, kind, thing.slug, next.slug, id);
  });
  return groupOrRefuse(catalog, kind, id);
}

/** Puts a brand or tag into another: products, rules, links and its address go over. Answers how many products had it. */
export function mergeNamed(catalog: Catalog, user: UserId, kind: NamedKind, id: string, into: string): number {
  const thing = groupOrRefuse(catalog, kind, id);
  const target = groupOrRefuse(catalog, kind, into);
  if (id === into) throw invalidField(['into'], refusals.intoItself(kind));
  const { db } = catalog;
  const holders = productIdsIn(db, kind, id);
  catalog.journal.change({ did: 'groupMerged', kind, name: thing.name, into: target.name }, catalog.actor(user), () => {
    for (const productId of holders) {
      const { tagIds } = catalog.working.products.get(productId)!;
      if (kind === 'brand') updateProduct(db, productId, { brandId: into });
      else setProductTags(db, productId, [...new Set(tagIds.map((each) => (each === id ? into : each)))]);
    }
    renameTarget(catalog, { kind, id }, into);
    deleteNamed(db, kind, id);
    moveRedirects(db, kind, id, into);
    keepRedirect(db, kind, thing.slug, null, into);
  });
  return holders.length;
}

export function removeNamed(catalog: Catalog, user: UserId, kind: NamedKind, id: string): void {
  const { name } = groupOrRefuse(catalog, kind, id);
  catalog.journal.change({ did: 'groupDeleted', kind, name }, catalog.actor(user), () =>
    deleteNamed(catalog.db, kind, id),
  );
}
