import { refusals } from '../shared/refusals';
import { fieldWords } from '../../core/model/fields';
import { categoryFields, collectionFields, namedFields } from '../../core/model/group-fields';
import type { Brand, Category, Collection, Tag } from '../../core/model/group';
import { freeSlug, slugFrom } from '../../core/shared/slug';
import { groupsOf, type GroupKind } from '../../core/shop/open-groups';
import { isSlugTaken } from '../store/groups';
import { invalidField, notFound } from '../shared/problem';
import type { Catalog } from '../state/catalog';

interface Groups {
  category: Category;
  collection: Collection;
  brand: Brand;
  tag: Tag;
}

export function groupOrRefuse<K extends GroupKind>(catalog: Catalog, kind: K, id: string): Groups[K] {
  const group = groupsOf(catalog.working.shop, kind).get(id);
  if (!group) throw notFound(refusals.gone(kind));
  return group as Groups[K];
}

/** An address for a new group of this name that no other has. */
export function slugForGroup(catalog: Catalog, kind: GroupKind, name: string): string {
  return freeSlug(slugFrom(name, kind), (slug) => isSlugTaken(catalog.db, kind, slug));
}

export function refuseTakenSlug(catalog: Catalog, kind: GroupKind, slug: string | undefined, id: string): void {
  if (slug && isSlugTaken(catalog.db, kind, slug, id)) throw invalidField(['slug'], refusals.takenAddress(kind));
}

/** What the fields of a group's page make of it: a picture can be taken away, or its words changed. */
export function withPageFields<T extends { picture: Brand['picture'] }>(
  group: T,
  { alt, ...fields }: Partial<T> & { alt?: string },
): T {
  const next = { ...group, ...fields };
  return alt !== undefined && next.picture ? { ...next, picture: { ...next.picture, alt } } : next;
}

const extraWords = { alt: 'alt text', place: 'place' };

/** What the fields of a group are called inside a sentence, with those that only its page has. */
export const pageWords = {
  category: { ...fieldWords(categoryFields), ...extraWords },
  collection: { ...fieldWords(collectionFields), ...extraWords },
  brand: { ...fieldWords(namedFields), ...extraWords },
  tag: { ...fieldWords(namedFields), ...extraWords },
};

/** Those of the products that exist, each once. */
export const existing = (catalog: Catalog, ids: readonly string[]): string[] =>
  [...new Set(ids)].filter((id) => catalog.working.products.has(id));
