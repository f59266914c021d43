import { refusals } from '../shared/refusals';
import type { Done } from '../../core/history/done';
import { categoryDefaults, type Category } from '../../core/model/group';
import type { groupRoutes } from '../../contract/groups';
import type { BodyOf } from '../../contract/route';
import { deleteCategory, putCategory } from '../store/groups';
import { productIdsIn } from '../store/products';
import { setProductCategories } from '../store/put-products';
import { keepRedirect, moveRedirects } from '../store/redirects';
import { newId } from '../shared/ids';
import { invalidField } from '../shared/problem';
import type { Catalog } from '../state/catalog';
import { mergedFields } from '../state/merged-fields';
import { existing, groupOrRefuse, refuseTakenSlug, slugForGroup, withPageFields, pageWords } from './group-or-refuse';
import type { UserId } from '../state/product-or-refuse';
import { renameTarget } from './rename-target';

/** Most categories of a shop. */
const MOST_CATEGORIES = 5_000;

/** Puts a category among the children of its parent at `place`, at their end when there is none, and numbers them again. */
function putAmong(catalog: Catalog, category: Category, place: number | undefined): void {
  const siblings = catalog.working.shop.tree.children(category.parentId).filter(({ id }) => id !== category.id);
  siblings.splice(Math.min(place ?? siblings.length, siblings.length), 0, category);
  siblings.forEach((sibling, position) => putCategory(catalog.db, { ...sibling, position }));
}

export function createCategory(
  catalog: Catalog,
  user: UserId,
  { name, parentId, place }: BodyOf<typeof groupRoutes.createCategory>,
): Category {
  const { shop } = catalog.working;
  if (parentId) {
    groupOrRefuse(catalog, 'category', parentId);
    const problem = shop.tree.refuseChild(parentId);
    if (problem) throw invalidField(['parentId'], problem);
  }
  if (shop.categories.size >= MOST_CATEGORIES)
    throw invalidField(['name'], refusals.tooManyGroups(MOST_CATEGORIES, 'categories'));
  const category: Category = {
    ...categoryDefaults,
    id: newId('category'),
    parentId,
    position: (shop.tree.children(parentId).at(-1)?.position ?? -1) + 1,
    name,
    slug: slugForGroup(catalog, 'category', name),
  };
  catalog.journal.change({ did: 'groupAdded', kind: 'category', name }, catalog.actor(user), () => {
    if (place === undefined) putCategory(catalog.db, category);
    else putAmong(catalog, category, place);
  });
  return groupOrRefuse(catalog, 'category', category.id);
}

export function changeCategory(
  catalog: Catalog,
  user: UserId,
  id: string,
  { place, was, ...wanted }: BodyOf<typeof groupRoutes.updateCategory>,
): Category {
  const category = groupOrRefuse(catalog, 'category', id);
  const fields = mergedFields(category, wanted, was, pageWords.category);
  refuseTakenSlug(catalog, 'category', fields.slug, id);
  const { shop } = catalog.working;
  if (fields.specSheetId && !shop.specSheets.has(fields.specSheetId))
    throw invalidField(['specSheetId'], refusals.sheetDeleted);
  const next = withPageFields(category, fields);
  next.pins = existing(catalog, next.pins);
  const isMove = place !== undefined || next.parentId !== category.parentId;
  const problem = isMove ? shop.tree.refuseMove(id, next.parentId) : undefined;
  if (problem) throw invalidField(['parentId'], problem);
  const done: Done = isMove
    ? { did: 'categoryMoved', name: next.name }
    : { did: 'groupChanged', kind: 'category', name: next.name };
  catalog.journal.change(done, catalog.actor(user), () => {
    if (isMove) putAmong(catalog, next, place);
    else putCategory(catalog.db, next);
    if (next.slug !== category.slug) keepRedirect(catalog.db, 'category', category.slug, next.slug, id);
  });
  return groupOrRefuse(catalog, 'category', id);
}

/** What becomes of the products of categories that go: they move to `to`, or just leave where it is null. */
function moveProducts(catalog: Catalog, gone: ReadonlySet<string>, to: string | null): void {
  const holders = new Set([...gone].flatMap((id) => productIdsIn(catalog.db, 'category', id)));
  for (const productId of holders) {
    const kept = catalog.working.products
      .get(productId)!
      .categoryIds.flatMap((each) => (gone.has(each) ? (to ?? []) : each));
    setProductCategories(catalog.db, productId, [...new Set(kept)]);
  }
}

type Leftover = 'toParent' | 'toOther' | 'leave';

/** Deletes a category with those below it. Its products move to its parent, to another category, or just leave. */
export function removeCategory(
  catalog: Catalog,
  user: UserId,
  id: string,
  { products, other }: { products: Leftover; other?: string },
): void {
  const category = groupOrRefuse(catalog, 'category', id);
  const branch = catalog.working.shop.tree.branch(id);
  const gone = new Set(branch.map((each) => each.id));
  const to = { toParent: category.parentId, toOther: other ?? null, leave: null }[products];
  if (products === 'toParent' && !to) throw invalidField(['products'], refusals.noParentToMoveTo);
  if (products === 'toOther') {
    if (!to) throw invalidField(['other'], refusals.chooseCategory);
    groupOrRefuse(catalog, 'category', to);
    if (gone.has(to)) throw invalidField(['other'], refusals.categoryGoesToo);
  }
  catalog.journal.change({ did: 'groupDeleted', kind: 'category', name: category.name }, catalog.actor(user), () => {
    moveProducts(catalog, gone, to);
    for (const each of branch.reverse()) {
      deleteCategory(catalog.db, each.id);
      if (to) {
        moveRedirects(catalog.db, 'category', each.id, to);
        keepRedirect(catalog.db, 'category', each.slug, null, to);
      }
    }
  });
}

/** Puts a category into another: products, what stands below it, rules, links and its address go over. */
export function mergeCategory(catalog: Catalog, user: UserId, id: string, into: string): void {
  const category = groupOrRefuse(catalog, 'category', id);
  const target = groupOrRefuse(catalog, 'category', into);
  const { tree } = catalog.working.shop;
  if (tree.branch(id).some((each) => each.id === into)) throw invalidField(['into'], refusals.categoryIntoItself);
  const children = tree.children(id);
  for (const child of children) {
    const problem = tree.refuseMove(child.id, into);
    if (problem) throw invalidField(['into'], refusals.wouldMoveToo(child.name, problem));
  }
  const { db } = catalog;
  catalog.journal.change(
    { did: 'groupMerged', kind: 'category', name: category.name, into: target.name },
    catalog.actor(user),
    () => {
      moveProducts(catalog, new Set([id]), into);
      const last = tree.children(into).at(-1)?.position ?? -1;
      children.forEach((child, i) => putCategory(db, { ...child, parentId: into, position: last + 1 + i }));
      renameTarget(catalog, { kind: 'category', id }, into);
      deleteCategory(db, id);
      moveRedirects(db, 'category', id, into);
      keepRedirect(db, 'category', category.slug, null, into);
    },
  );
}

/** Puts products into a category, beside those they are in already. Answers how many were not in it. */
export function addToCategory(catalog: Catalog, user: UserId, id: string, productIds: readonly string[]): number {
  const category = groupOrRefuse(catalog, 'category', id);
  const added = existing(catalog, productIds).filter(
    (productId) => !catalog.working.products.get(productId)!.categoryIds.includes(id),
  );
  catalog.journal.change({ did: 'productsPut', name: category.name, count: added.length }, catalog.actor(user), () => {
    for (const productId of added)
      setProductCategories(catalog.db, productId, [...catalog.working.products.get(productId)!.categoryIds, id]);
  });
  return added.length;
}
