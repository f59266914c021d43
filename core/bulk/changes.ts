import { formatMoney, formatPriceRange } from '../shared/money';
import { momentWords } from '../shared/moment';
import type { Product, Variant } from '../model/product';
import { type SpecSheet } from '../model/spec-sheet';
import { specWords } from '../products/spec-values';
import { statusWords } from '../products/status';
import { taxClassNames } from '../pricing/tax';
import { packageWords, weightWords } from '../shared/units';

/** Words for what a product names by id. */
export interface NamesOf {
  brand: (id: string) => string;
  category: (id: string) => string;
  tag: (id: string) => string;
  sheets: ReadonlyMap<string, SpecSheet>;
  currency: string;
  timeZone: string;
}

/** One thing of a product that becomes another, in words; '' where there is nothing. */
export interface ChangeLine {
  label: string;
  before: string;
  after: string;
}

/** Lowest to highest of what variants have; those without are left out. */
function money(variants: readonly Variant[], of: 'price' | 'salePrice' | 'cost', currency: string): string {
  const amounts = variants.map((variant) => variant[of]).filter((amount) => amount !== null);
  return amounts.length === 0 ? '' : formatPriceRange(Math.min(...amounts), Math.max(...amounts), currency);
}

function stockWords(variants: readonly Variant[]): string {
  const counted = variants.map(({ stock }) => stock).filter((stock) => stock !== null);
  if (counted.length === 0) return 'not counted';
  const sum = counted.reduce((total, stock) => total + stock, 0);
  return counted.length < variants.length ? `${sum}, some not counted` : String(sum);
}

/** What a bulk action changes of a product, in words, in the order a seller reads a product. */
export function changeLines(before: Product, after: Product, names: NamesOf): ChangeLine[] {
  const lines: ChangeLine[] = [];
  const line = (label: string, read: (product: Product) => string) => {
    const [from, to] = [read(before), read(after)];
    if (from !== to) lines.push({ label, before: from, after: to });
  };
  const day = (moment: string | null) => (moment ? momentWords(moment, names.timeZone) : '');
  line('Title', ({ title }) => title);
  line('Standing', ({ status }) => statusWords[status]);
  line('Featured', ({ featured }) => (featured ? 'yes' : 'no'));
  line('Price', ({ variants }) => money(variants, 'price', names.currency));
  line('Sale price', ({ variants }) => money(variants, 'salePrice', names.currency));
  line('Cost', ({ variants }) => money(variants, 'cost', names.currency));
  // Single prices can change while the range stays.
  if (lines.every(({ label }) => label !== 'Price')) {
    const changed = after.variants.filter((variant, i) => variant.price !== before.variants[i]?.price);
    if (changed.length > 0 && after.variants.length === before.variants.length) {
      const was = before.variants.find(({ id }) => id === changed[0]!.id);
      lines.push({
        label: `Price of ${changed.length} variants`,
        before: was ? formatMoney(was.price, names.currency) : '',
        after: formatMoney(changed[0]!.price, names.currency),
      });
    }
  }
  line('Sale from', ({ saleFrom }) => day(saleFrom));
  line('Sale until', ({ saleUntil }) => day(saleUntil));
  line('Stock', ({ variants }) => stockWords(variants));
  line('On the shop from', ({ liveFrom }) => day(liveFrom));
  line('On the shop until', ({ liveUntil }) => day(liveUntil));
  line('Categories', ({ categoryIds }) => categoryIds.map(names.category).join(', '));
  line('Tags', ({ tagIds }) => tagIds.map(names.tag).join(', '));
  line('Brand', ({ brandId }) => (brandId ? names.brand(brandId) : ''));
  line('Supplier', ({ supplier }) => supplier);
  line('Tax class', ({ taxClass }) => taxClassNames[taxClass]);
  line('Spec sheet', ({ specSheetId }) => names.sheets.get(specSheetId ?? '')?.name ?? '');
  for (const attribute of names.sheets.get(after.specSheetId ?? '')?.attributes ?? [])
    line(attribute.name, ({ specs }) => specWords(attribute, specs[attribute.id]));
  line('Weight', ({ weight }) => (weight === null ? '' : weightWords(weight)));
  line('Package size', ({ size }) => packageWords(size));
  line('Package', ({ packageType }) => packageType);
  line('Days to dispatch', ({ dispatchDays }) => String(dispatchDays ?? ''));
  line('Pictures', ({ pictures }) => {
    const fits = pictures.filter(({ fit }) => fit === 'fits').length;
    return pictures.length === 0 ? '' : `${pictures.length - fits} fill, ${fits} fit`;
  });
  return lines;
}
