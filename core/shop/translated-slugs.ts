import type { AddressedKind } from '../model/document';
import { freeSlug, slugFrom } from '../shared/slug';
import type { Shop } from './shop';

/** Addresses that are taken in a language; `but`: the thing that asks. O(things of that kind). */
export function takenSlugs(shop: Shop, locale: string, kind: AddressedKind, but?: string): Set<string> {
  const translated = shop.inLanguage(locale);
  const maps = {
    product: translated.products,
    category: translated.categories,
    collection: translated.collections,
    brand: translated.brands,
    tag: translated.tags,
    page: translated.pages,
  };
  return new Set([...maps[kind]].flatMap(([id, { slug }]) => (id === but ? [] : [slug])));
}

/** The address that follows from a translated name; undefined where it is the one that the thing has anyway. */
export function slugOfName(name: string, locale: string, own: string, taken: ReadonlySet<string>): string | undefined {
  const slug = freeSlug(slugFrom(name, own, locale), (each) => taken.has(each));
  return slug === own ? undefined : slug;
}
