import { categoryDefaults, namedDefaults, type Brand, type Category } from '../../core/model/group';
import { PATH_BETWEEN, type ExchangeNames, type NameList } from '../../core/exchange/column';
import { MAX_CATEGORY_DEPTH } from '../../core/groups/category-tree';
import { nameIdentity } from '../../core/shared/same-name';
import { freeSlug, slugFrom } from '../../core/shared/slug';
import type { NewGroups } from '../jobs/work';
import { newId } from '../shared/ids';
import type { Catalog } from '../state/catalog';
import { isSlugTaken } from '../store/groups';

interface Named {
  id: string;
  name: string;
}

function listOf(things: Iterable<Named>, make?: (name: string) => string | undefined): NameList {
  const names = new Map<string, string>();
  const ids = new Map<string, string>();
  for (const { id, name } of things) {
    names.set(id, name);
    ids.set(nameIdentity(name), id);
  }
  return {
    nameOf: (id) => names.get(id) ?? '',
    idOf: (name) => {
      const known = ids.get(nameIdentity(name));
      if (known !== undefined || !make) return known;
      const id = make(name.trim());
      if (id === undefined) return undefined;
      names.set(id, name.trim());
      ids.set(nameIdentity(name), id);
      return id;
    },
  };
}

/** The names that files tell things by; those that are not there are made where `makes` says so, and told in `made`. */
export function namesOfShop(
  { db, working: { shop } }: Catalog,
  makes: boolean,
): { names: ExchangeNames; made: NewGroups } {
  const made = { brands: [] as Brand[], tags: [] as Brand[], categories: [] as Category[] };
  const slugs = new Set<string>();
  const slugOf = (kind: 'brand' | 'tag' | 'category', name: string) => {
    const slug = freeSlug(slugFrom(name), (wanted) => slugs.has(`${kind} ${wanted}`) || isSlugTaken(db, kind, wanted));
    slugs.add(`${kind} ${slug}`);
    return slug;
  };
  const named = (kind: 'brand' | 'tag', into: Brand[]) => (name: string) => {
    const id = newId(kind);
    into.push({ ...namedDefaults, id, name, slug: slugOf(kind, name) });
    return id;
  };
  const paths = [...shop.categories.keys()].map((id) => ({
    id,
    name: shop.tree
      .path(id)
      .map(({ name }) => name)
      .join(PATH_BETWEEN),
  }));
  const byPath = new Map(paths.map(({ id, name }) => [nameIdentity(name), id]));
  const children = new Map<string | null, number>();
  const placeBelow = (parentId: string | null) => {
    const place = children.get(parentId) ?? shop.tree.children(parentId).length;
    children.set(parentId, place + 1);
    return place;
  };
  const category = listOf(paths, undefined);
  const categoryOf = (path: string): string | undefined => {
    const names = path
      .split(/\s*(?:>|»|\/(?=\s)|(?<=\s)\/)\s*/)
      .map((name) => name.trim())
      .filter(Boolean);
    const whole = (count: number) => nameIdentity(names.slice(0, count).join(PATH_BETWEEN));
    const known = byPath.get(whole(names.length));
    // A name alone may stand for the one category that is called so.
    const alone =
      names.length === 1 ? [...shop.categories.values()].filter((each) => nameIdentity(each.name) === whole(1)) : [];
    if (known !== undefined || alone.length === 1) return known ?? alone[0]!.id;
    if (!makes || names.length === 0 || names.length > MAX_CATEGORY_DEPTH) return undefined;
    let parentId: string | null = null;
    for (let i = 1; i <= names.length; i++) {
      let id = byPath.get(whole(i));
      if (id === undefined) {
        id = newId('category');
        const name = names[i - 1]!;
        made.categories.push({
          ...categoryDefaults,
          id,
          parentId,
          position: placeBelow(parentId),
          name,
          slug: slugOf('category', name),
        });
        byPath.set(whole(i), id);
      }
      parentId = id;
    }
    return parentId ?? undefined;
  };
  const madePath = (id: string): string => {
    const one = made.categories.find((each) => each.id === id);
    if (!one) return category.nameOf(id);
    return one.parentId === null ? one.name : `${madePath(one.parentId)}${PATH_BETWEEN}${one.name}`;
  };
  return {
    made,
    names: {
      brand: listOf(shop.brands.values(), makes ? named('brand', made.brands) : undefined),
      tag: listOf(shop.tags.values(), makes ? named('tag', made.tags) : undefined),
      category: { nameOf: madePath, idOf: categoryOf },
      specSheet: listOf(shop.specSheets.values()),
    },
  };
}
