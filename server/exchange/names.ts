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

function listOf(things: Iterable<Named>, make?: (name: string) => string): NameList {
  const names = new Map<string, string>();
  const ids = new Map<string, string>();
  const put = (id: string, name: string) => {
    names.set(id, name);
    ids.set(nameIdentity(name), id);
    return id;
  };
  for (const { id, name } of things) put(id, name);
  const known = (name: string) => ids.get(nameIdentity(name));
  return {
    nameOf: (id) => names.get(id) ?? '',
    has: (name) => known(name) !== undefined,
    idOf: (name) => known(name) ?? (make && put(make(name.trim()), name.trim())),
  };
}

/** The names along a path, as shops of several sorts write one. */
const levelsOf = (path: string): string[] =>
  path
    .split(/\s*(?:>|»|\/(?=\s)|(?<=\s)\/)\s*/)
    .map((name) => name.trim())
    .filter(Boolean);

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
  const paths = new Map<string, string>();
  const byPath = new Map<string, string>();
  const putPath = (id: string, path: string) => {
    paths.set(id, path);
    byPath.set(nameIdentity(path), id);
  };
  for (const id of shop.categories.keys())
    putPath(
      id,
      shop.tree
        .path(id)
        .map(({ name }) => name)
        .join(PATH_BETWEEN),
    );
  const children = new Map<string | null, number>();
  const placeBelow = (parentId: string | null) => {
    const place = children.get(parentId) ?? shop.tree.children(parentId).length;
    children.set(parentId, place + 1);
    return place;
  };
  const makeCategory = (names: readonly string[]): string => {
    const path = names.join(PATH_BETWEEN);
    const known = byPath.get(nameIdentity(path));
    if (known !== undefined) return known;
    const parentId = names.length > 1 ? makeCategory(names.slice(0, -1)) : null;
    const [id, name] = [newId('category'), names.at(-1)!];
    const place = { parentId, position: placeBelow(parentId), slug: slugOf('category', name) };
    made.categories.push({ ...categoryDefaults, ...place, id, name });
    putPath(id, path);
    return id;
  };
  /** The category that a whole path leads to, or the only one that is called so. */
  const knownCategory = (text: string): string | undefined => {
    const known = byPath.get(nameIdentity(text)) ?? byPath.get(nameIdentity(levelsOf(text).join(PATH_BETWEEN)));
    if (known !== undefined) return known;
    const alone = [...shop.categories.values()].filter(({ name }) => nameIdentity(name) === nameIdentity(text));
    return alone.length === 1 ? alone[0]!.id : undefined;
  };
  const category: NameList = {
    nameOf: (id) => paths.get(id) ?? '',
    has: (text) => knownCategory(text) !== undefined,
    idOf: (text) => {
      const known = knownCategory(text);
      if (known !== undefined) return known;
      const names = levelsOf(text);
      return makes && names.length > 0 && names.length <= MAX_CATEGORY_DEPTH ? makeCategory(names) : undefined;
    },
  };
  return {
    made,
    names: {
      brand: listOf(shop.brands.values(), makes ? named('brand', made.brands) : undefined),
      tag: listOf(shop.tags.values(), makes ? named('tag', made.tags) : undefined),
      category,
      specSheet: listOf(shop.specSheets.values()),
    },
  };
}
