import { columnPlaceOf, type ImportChoices, type Matching } from '../../core/exchange/choices';
import { cellText, type ExchangeColumn, type WriteTerms } from '../../core/exchange/column';
import type { Find, Found } from '../../core/exchange/group-rows';
import type { Product, Variant } from '../../core/model/product';
import { plainBarcode } from '../../core/shared/barcode';
import { nameIdentity } from '../../core/shared/same-name';
import { slugFrom } from '../../core/shared/slug';
import type { Catalog } from '../state/catalog';

/** How goods tell of themselves, and how what a file tells is made comparable. */
interface Told {
  of: 'product' | 'variant';
  text: (product: Product, variant: Variant) => string;
  key: (text: string) => string;
}

const usual: Readonly<Record<string, Told>> = {
  sku: { of: 'variant', text: (_product, { sku }) => sku, key: (text) => text.trim().toLowerCase() },
  barcode: { of: 'variant', text: (_product, { barcode }) => barcode, key: plainBarcode },
  slug: { of: 'product', text: ({ slug }) => slug, key: slugFrom },
  title: { of: 'product', text: ({ title }) => title, key: nameIdentity },
};

/** What a column of the file that is none of the usual numbers is compared with. */
function toldByColumn(column: ExchangeColumn | undefined, label: string, terms: WriteTerms): Told {
  if (column)
    return {
      of: column.of,
      text: (product, variant) => cellText(column.write(product, variant, terms)),
      key: nameIdentity,
    };
  const own = nameIdentity(label);
  return {
    of: 'product',
    text: ({ customFields }) => customFields.find((field) => nameIdentity(field.label) === own)?.value ?? '',
    key: nameIdentity,
  };
}

export interface FindTerms extends WriteTerms {
  choices: ImportChoices;
  columns: readonly ExchangeColumn[];
  head: readonly string[];
}

/** Finds what rows speak of among the products of the shop. */
export function finderOf(catalog: Catalog, terms: FindTerms): Find {
  const maps = new Map<Matching, { told: Told; found: Map<string, Found | 'several'> }>();
  const build = (by: Matching) => {
    const place = columnPlaceOf(by);
    const key = place === undefined ? undefined : terms.choices.columns[place];
    const column = terms.columns.find((each) => each.key === key);
    const told = place === undefined ? usual[by]! : toldByColumn(column, terms.head[place] ?? '', terms);
    const found = new Map<string, Found | 'several'>();
    const put = (text: string, one: Found) => {
      if (text === '') return;
      const known = found.get(told.key(text));
      // Titles may be the same: the first one counts, as for addresses and numbers, which are there once.
      if (known === undefined) found.set(told.key(text), one);
      else if (place !== undefined) found.set(told.key(text), 'several');
    };
    for (const product of catalog.working.products.values())
      if (told.of === 'product') put(told.text(product, product.variants[0]!), { product });
      else for (const variant of product.variants) put(told.text(product, variant), { product, variant });
    return { told, found };
  };
  return (by, text) => {
    let built = maps.get(by);
    if (!built) maps.set(by, (built = build(by)));
    return built.found.get(built.told.key(text));
  };
}
