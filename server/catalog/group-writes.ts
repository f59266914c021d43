import { freeSlug, slugFrom } from '../../core/catalog/identity';
import type { Brand, Category, Collection, Tag } from '../../core/catalog/group';
import { checkRule } from '../../core/rules/check';
import { EMPTY_RULE } from '../../core/rules/rule';
import {
  deleteCategory,
  deleteCollection,
  deleteNamed,
  isSlugTaken,
  keepRedirect,
  putCategory,
  putCollection,
  putNamed,
} from '../database/groups';
import { productIdsIn } from '../database/products';
import { setProductCategories } from '../database/put-products';
import { newId } from '../ids';
import { invalid, invalidField, notFound } from '../problem';
import type { Catalog } from './catalog';
import type { UserId } from './product-or-refuse';

type GroupKind = 'category' | 'collection' | 'brand' | 'tag';

export function categoryOrRefuse(catalog: Catalog, id: string): Category {
  const category = catalog.working.shop.categories.get(id);
  if (!category) throw notFound('This category does not exist any more.');
  return category;
}

export function collectionOrRefuse(catalog: Catalog, id: string): Collection {
  const collection = catalog.working.shop.collections.get(id);
  if (!collection) throw notFound('This collection does not exist any more.');
  return collection;
}

function slugFor(catalog: Catalog, kind: GroupKind, name: string): string {
  return freeSlug(slugFrom(name, kind), (slug) => isSlugTaken(catalog.db, kind, slug));
}

function refuseTakenSlug(catalog: Catalog, kind: GroupKind, slug: string | undefined, id: string): void {
  if (slug && isSlugTaken(catalog.db, kind, slug, id))
    throw invalidField(['slug'], `Another ${kind} has this address already.`);
}

export function createCategory(catalog: Catalog, user: UserId, name: string, parentId: string | null): Category {
  const { tree } = catalog.working.shop;
  const siblings = tree.children(parentId);
  const category: Category = {
    id: newId('category'),
    parentId,
    position: (siblings.at(-1)?.position ?? -1) + 1,
    name,
    slug: slugFor(catalog, 'category', name),
    text: '',
  };
  if (parentId) {
    categoryOrRefuse(catalog, parentId);
    const problem = tree.refuseChild(parentId);
    if (problem) throw invalidField(['parentId'], problem);
  }
  catalog.journal.change(`Added category “${name}”`, catalog.actor(user), () => putCategory(catalog.db, category));
  return category;
}

export function changeCategory(
  catalog: Catalog,
  user: UserId,
  id: string,
  change: Partial<Pick<Category, 'name' | 'slug' | 'text' | 'parentId'>> & { place?: number },
): Category {
  const category = categoryOrRefuse(catalog, id);
  const { place, ...fields } = change;
  refuseTakenSlug(catalog, 'category', fields.slug, id);
  const { tree } = catalog.working.shop;
  const next = { ...category, ...fields };
  const isMove = place !== undefined || next.parentId !== category.parentId;
  const problem = isMove ? tree.refuseMove(id, next.parentId) : undefined;
  if (problem) throw invalidField(['parentId'], problem);
  const label = isMove ? `Moved category “${next.name}”` : `Changed category “${next.name}”`;
  catalog.journal.change(label, catalog.actor(user), () => {
    if (isMove) {
      const siblings = tree.children(next.parentId).filter((sibling) => sibling.id !== id);
      siblings.splice(Math.min(place ?? siblings.length, siblings.length), 0, next);
      siblings.forEach((sibling, position) => putCategory(catalog.db, { ...sibling, position }));
    } else putCategory(catalog.db, next);
    if (next.slug !== category.slug) keepRedirect(catalog.db, 'category', category.slug, next.slug, id);
  });
  return categoryOrRefuse(catalog, id);
}

/** Deletes a category with those below it. Its products move to the parent, or just leave. */
export function removeCategory(catalog: Catalog, user: UserId, id: string, products: 'toParent' | 'leave'): void {
  const category = categoryOrRefuse(catalog, id);
  const { db } = catalog;
  const branch = catalog.working.shop.tree.branch(id);
  const gone = new Set(branch.map((each) => each.id));
  if (products === 'toParent' && !category.parentId)
    throw invalidField(['products'], 'This category stands at the top, so there is no parent to move its products to.');
  catalog.journal.change(`Deleted category “${category.name}”`, catalog.actor(user), () => {
    const holders = new Set(branch.flatMap((each) => productIdsIn(db, 'category', each.id)));
    for (const productId of holders) {
      const kept = catalog.working.products
        .get(productId)!
        .categoryIds.map((each) => (gone.has(each) ? (products === 'toParent' ? category.parentId! : null) : each));
      setProductCategories(db, productId, [...new Set(kept.filter((each) => each !== null))]);
    }
    for (const each of branch.reverse()) deleteCategory(db, each.id);
  });
}

/** Puts products into a category, beside those they are in already. Answers how many were not in it. */
export function addToCategory(catalog: Catalog, user: UserId, id: string, productIds: readonly string[]): number {
  const category = categoryOrRefuse(catalog, id);
  const added = productIds.filter((productId) => {
    const product = catalog.working.products.get(productId);
    return product && !product.categoryIds.includes(id);
  });
  catalog.journal.change(`Put ${added.length} products into “${category.name}”`, catalog.actor(user), () => {
    for (const productId of added)
      setProductCategories(catalog.db, productId, [...catalog.working.products.get(productId)!.categoryIds, id]);
  });
  return added.length;
}

export function createCollection(
  catalog: Catalog,
  user: UserId,
  { name, source, picked, rule }: Pick<Collection, 'name' | 'source' | 'picked' | 'rule'>,
): string {
  const collection: Collection = {
    id: newId('collection'),
    name,
    slug: slugFor(catalog, 'collection', name),
    text: '',
    source,
    picked: picked.filter((productId) => catalog.working.products.has(productId)),
    rule: source === 'rule' ? rule : EMPTY_RULE,
    sort: 'newest',
  };
  const problem =
    collection.rule.of.length > 0 ? checkRule(collection.rule, catalog.working.shop.fields)[0] : undefined;
  if (problem) throw invalidField(['rule'], problem.message);
  catalog.journal.change(`Added collection “${name}”`, catalog.actor(user), () =>
    putCollection(catalog.db, collection, catalog.working.shop.collections.size),
  );
  return collection.id;
}

export function changeCollection(
  catalog: Catalog,
  user: UserId,
  id: string,
  fields: Partial<Pick<Collection, 'name' | 'slug' | 'text' | 'picked' | 'rule' | 'sort'>>,
): void {
  const collection = collectionOrRefuse(catalog, id);
  refuseTakenSlug(catalog, 'collection', fields.slug, id);
  if (fields.rule) {
    const problems = checkRule(fields.rule, catalog.working.shop.fields);
    if (problems.length > 0)
      throw invalid(
        problems.map(({ path, message }) => ({ path: ['rule', ...path.flatMap((i) => ['of', i])], message })),
        problems[0]!.message,
      );
  }
  const next = { ...collection, ...fields };
  next.picked = [...new Set(next.picked)].filter((productId) => catalog.working.products.has(productId));
  catalog.journal.change(`Changed collection “${next.name}”`, catalog.actor(user), () => {
    putCollection(catalog.db, next, 0);
    if (next.slug !== collection.slug) keepRedirect(catalog.db, 'collection', collection.slug, next.slug, id);
  });
}

/** Puts products at the end of a picked collection. Answers how many were not in it. */
export function addToCollection(catalog: Catalog, user: UserId, id: string, productIds: readonly string[]): number {
  const collection = collectionOrRefuse(catalog, id);
  if (collection.source === 'rule')
    throw invalidField(['ids'], `“${collection.name}” is filled by rule: change its rule instead of adding to it.`);
  const added = productIds.filter(
    (productId) => catalog.working.products.has(productId) && !collection.picked.includes(productId),
  );
  catalog.journal.change(`Put ${added.length} products into “${collection.name}”`, catalog.actor(user), () =>
    putCollection(catalog.db, { ...collection, picked: [...collection.picked, ...added] }, 0),
  );
  return added.length;
}

export function removeCollection(catalog: Catalog, user: UserId, id: string): void {
  const { name } = collectionOrRefuse(catalog, id);
  catalog.journal.change(`Deleted collection “${name}”`, catalog.actor(user), () => deleteCollection(catalog.db, id));
}

/** The brand or tag of this name, made when there is none. */
export function namedOrNew(catalog: Catalog, user: UserId, kind: 'brand' | 'tag', name: string): Brand | Tag {
  const { brands, tags } = catalog.working.shop;
  const all = [...(kind === 'brand' ? brands : tags).values()];
  const known = all.find((each) => each.name.toLowerCase() === name.toLowerCase());
  if (known) return known;
  const thing = { id: newId(kind), name, slug: slugFor(catalog, kind, name) };
  catalog.journal.change(`Added ${kind} “${name}”`, catalog.actor(user), () => putNamed(catalog.db, kind, thing));
  return thing;
}

export function removeNamed(catalog: Catalog, user: UserId, kind: 'brand' | 'tag', id: string): void {
  const { brands, tags } = catalog.working.shop;
  const thing = (kind === 'brand' ? brands : tags).get(id);
  if (!thing) throw notFound(`This ${kind} does not exist any more.`);
  catalog.journal.change(`Deleted ${kind} “${thing.name}”`, catalog.actor(user), () =>
    deleteNamed(catalog.db, kind, id),
  );
}
