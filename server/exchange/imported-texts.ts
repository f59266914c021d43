import type { PlannedProduct } from '../../core/exchange/planned';
import type { Product } from '../../core/model/product';
import { wordingKey } from '../../core/model/wording';
import { slugOfName, takenSlugs } from '../../core/shop/translated-slugs';
import type { KeptText } from '../store/wordings';
import type { Catalog } from '../state/catalog';

/** A product as it becomes, with its texts in other languages. */
export interface WithTexts extends Pick<PlannedProduct, 'texts'> {
  after: Pick<Product, 'id' | 'slug'> | undefined;
}

/**
 * What a file says of products in other languages, as it is kept. A title gives the product an address in its language where it
 * has none yet.
 */
export function importedTexts({ working: { shop } }: Catalog, planned: readonly WithTexts[]): KeptText[] {
  const taken = new Map<string, Set<string>>();
  const takenIn = (locale: string) => {
    if (!taken.has(locale)) taken.set(locale, takenSlugs(shop, locale, 'product'));
    return taken.get(locale)!;
  };
  return planned.flatMap(({ after, texts }) =>
    after
      ? texts.flatMap(({ locale, path, text, source }): KeptText[] => {
          const row = { locale, kind: 'product' as const, targetId: after.id };
          const kept = { ...row, path, text, source };
          const known = shop.wordings.get(wordingKey({ locale, kind: 'product', id: after.id }))?.texts.slug;
          if (path !== 'title' || text === null || known) return [kept];
          const slug = slugOfName(text, locale, after.slug, takenIn(locale));
          if (slug === undefined) return [kept];
          takenIn(locale).add(slug);
          return [kept, { ...row, path: 'slug', text: slug, source: after.slug }];
        })
      : [],
  );
}
