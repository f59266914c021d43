import type { Slot } from '../model/bundle';
import { sizeWords } from '../model/product-file';
import { formatMoney, formatPriceRange } from '../shared/money';
import { momentWords } from '../shared/moment';
import { plainText } from '../shared/plain-text';
import { relationKinds, type Relation, type RelationKind, type WhenSoldOut } from '../model/product-values';
import { specWords } from '../products/spec-values';
import { variantName } from '../products/variants';
import type { Shop } from '../shop/shop';
import { shopPrice } from '../shop/shop-price';
import { unitPricingWords } from '../pricing/price';
import { kindParts } from '../products/kinds';
import { sentenceOf } from '../rules/text/sentence';
import type { ProductDocument, VariantDocument } from '../model/document';
import { namesOf } from '../model/fields';
import { variantFields } from '../model/variant-fields';
import { taxClassNames } from '../pricing/tax';
import { canonicalJson } from '../shared/canonical-json';

/** The beginning of a long text. */
export const short = (text: string) => (text.length > 160 ? `${text.slice(0, 157)}…` : text);

/** "Ember, S; Pine, L" */
const excludedWords = ({ options, excludedCombinations }: ProductDocument) =>
  excludedCombinations.map((values) => variantName(options, { values })).join('; ');

const soldOutWords: Record<WhenSoldOut, string> = {
  keep: 'keeps showing',
  last: 'shows last',
  hide: 'hides',
  order: 'can be ordered',
};

/** Begins the label of the price of one variant. */
export const PRICE_OF = 'Price ';

/** Said of what only collections and offers follow from. */
const UNSEEN = '(shoppers do not see it)';

/** Labels of a product's fields whose values mean nothing to a reader: only that they changed is told. */
export const opaqueFields = [
  'Pictures',
  'Picture words and focus',
  'Variant pictures',
  'Swatches',
  'Contents and delivery by variant',
  'Description',
] as const;

/** Fields of variants that are told one by one; all others in one line. */
const toldByThemselves: readonly string[] = ['sku', 'barcode', 'price', 'salePrice', 'cost', 'pictureId'];
const otherVariantFields = namesOf(variantFields, ({ audience }) => audience !== 'seller').filter(
  (name) => !toldByThemselves.includes(name),
) as Exclude<keyof VariantDocument, 'id' | 'values'>[];

/** All that shoppers can notice of a product, by label, in their words; '' where there is nothing. */
export function productFields(shop: Shop, product: ProductDocument): Map<string, string> {
  const { currency } = shop.settings;
  const fields = new Map<string, string>();
  fields.set('Title', product.title);
  fields.set('Address', `/p/${product.slug}`);
  fields.set('Summary', short(product.summary));
  fields.set('Description', plainText(product.description));
  fields.set('Kind', kindParts[product.kind].name);
  fields.set('Featured', product.featured ? 'yes' : '');
  fields.set('Place among featured goods', product.featured ? String(product.featuredPlace) : '');
  fields.set('Tax', taxClassNames[product.taxClass]);
  fields.set('Combinations that are not sold', excludedWords(product));
  fields.set('Brand', shop.brands.get(product.brandId ?? '')?.name ?? '');
  fields.set('Categories', product.categoryIds.flatMap((id) => shop.categories.get(id)?.name ?? []).join(', '));
  fields.set('Tags', product.tagIds.flatMap((id) => shop.tags.get(id)?.name ?? []).join(', '));
  fields.set(
    'Options',
    product.options
      .map((option) => `${option.name}: ${option.values.map((value) => value.name).join(', ')}`)
      .join('; '),
  );
  fields.set(
    'Swatches',
    product.options.flatMap(({ values }) => values.map(({ swatch, pictureId }) => `${swatch} ${pictureId}`)).join(', '),
  );
  fields.set('Pictures', product.pictures.map((picture) => picture.media).join(' '));
  fields.set(
    'Picture words and focus',
    product.pictures.map((picture) => `${picture.alt} ${picture.fit} ${picture.focus.x} ${picture.focus.y}`).join('; '),
  );
  for (const variant of product.variants)
    fields.set(PRICE_OF + variantName(product.options, variant), priceWords(shop, product, variant));
  if (product.saleFrom || product.saleUntil) fields.set('Sale', spanWords(shop, product.saleFrom, product.saleUntil));
  fields.set(
    'Quantity prices',
    product.quantityPrices.map(({ from, off }) => `${from}+: ${off / 100} % off`).join(', '),
  );
  fields.set('Unit price', product.unitPricing ? unitPricingWords[product.unitPricing].words : '');
  fields.set(
    'Whether the price is told',
    product.priceOnRequest ? 'on request' : product.hidePriceWhenSoldOut ? 'not when sold out' : '',
  );
  fields.set('When sold out', soldOutWords[product.whenSoldOut]);
  fields.set('Order delay', product.whenSoldOut === 'order' ? product.orderDelay : '');
  fields.set('On the shop', spanWords(shop, product.liveFrom, product.liveUntil));
  const sheet = shop.specSheets.get(product.specSheetId ?? '');
  for (const attribute of sheet?.attributes ?? [])
    fields.set(`Spec ${attribute.name}`, specWords(attribute, product.specs[attribute.id]));
  for (const { label, value } of product.customFields) fields.set(`Own field ${label}`, value);
  fields.set('Weight', product.weight === null ? '' : `${product.weight} g`);
  fields.set(
    'Package',
    [product.packageType, product.size && `${product.size.length} × ${product.size.width} × ${product.size.height} mm`]
      .filter(Boolean)
      .join(', '),
  );
  fields.set('Dispatch', product.dispatchDays === null ? '' : `within ${product.dispatchDays} days`);
  fields.set('Duration', product.duration === null ? '' : `${product.duration} min`);
  fields.set(
    'Own value',
    product.ownValue ? formatPriceRange(product.ownValue.from, product.ownValue.upTo, currency) : '',
  );
  for (const slot of product.bundle?.slots ?? []) fields.set(`Slot ${slot.label}`, slotText(shop, slot));
  fields.set(
    'Bundle price',
    product.bundle?.pricing.how === 'parts' ? `parts less ${product.bundle.pricing.off / 100} %` : '',
  );
  fields.set('Files', product.files.map(({ role, name, bytes }) => `${role} ${name}, ${sizeWords(bytes)}`).join('; '));
  fields.set(
    'Downloads',
    [product.downloadLimit && `${product.downloadLimit} times`, product.downloadDays && `${product.downloadDays} days`]
      .filter(Boolean)
      .join(', '),
  );
  fields.set('Meta title', product.metaTitle);
  fields.set('Meta description', product.metaDescription);
  fields.set('Search engines', product.noindex ? 'kept out' : '');
  for (const kind of relationKinds) fields.set(relationWords[kind], relationText(shop, product.relations[kind]));
  fields.set(
    'Barcode',
    product.variants
      .map(({ barcode }) => barcode)
      .filter(Boolean)
      .join(', '),
  );
  fields.set(
    'Contents and delivery by variant',
    product.variants
      .map((variant) => otherVariantFields.map((name) => canonicalJson(variant[name])).join(' '))
      .join(', '),
  );
  fields.set('Supplier', product.supplier && `${product.supplier} ${UNSEEN}`);
  const costs = product.variants.map(({ cost }) => (cost === null ? 'not known' : formatMoney(cost, currency)));
  const isKnown = product.variants.some(({ cost }) => cost !== null);
  fields.set('Cost', isKnown ? `${[...new Set(costs)].join(', ')} ${UNSEEN}` : '');
  fields.set('SKU', product.variants.map((variant) => variant.sku).join(', '));
  fields.set(
    'Variant pictures',
    product.variants.map((variant) => product.pictures.findIndex(({ id }) => id === variant.pictureId) + 1).join(' '),
  );
  return fields;
}

function priceWords(shop: Shop, product: ProductDocument, variant: ProductDocument['variants'][number]): string {
  const { currency } = shop.settings;
  const { price, wasPrice } = shopPrice(shop, product, variant);
  const range = shop.bundles.get(product.id)?.price;
  if (range) return formatPriceRange(range.low, range.high, currency);
  return formatMoney(price, currency) + (wasPrice === null ? '' : `, was ${formatMoney(wasPrice, currency)}`);
}

function slotText(shop: Shop, { from, min, max, usual }: Slot): string {
  const pieces = min === max ? `${min} of` : `${min} to ${max} of`;
  const goods =
    from.how === 'rule'
      ? sentenceOf(from.rule, shop.fields, shop.settings.currency)
      : from.ids.map((id) => shop.products.get(id)?.title ?? 'a deleted product').join(', ');
  const first = usual === null ? '' : `, first ${shop.products.get(usual)?.title ?? 'a deleted product'}`;
  return `${pieces} ${goods}${first}`;
}

const relationWords: Record<RelationKind, string> = {
  goesWith: 'Goes with',
  stepUp: 'Step up',
  similar: 'Similar',
};

function relationText(shop: Shop, relation: Relation): string {
  if (relation.how === 'none') return '';
  if (relation.how === 'sameCategory') return 'others of the main category';
  if (relation.how === 'rule') return sentenceOf(relation.rule, shop.fields, shop.settings.currency);
  return relation.ids.flatMap((id) => shop.products.get(id)?.title ?? []).join(', ');
}

/** "from 3 May 2027, 10:00, until …" in the shop's time zone. */
function spanWords(shop: Shop, from: string | null, until: string | null): string {
  const { timeZone } = shop.settings;
  return [from && `from ${momentWords(from, timeZone)}`, until && `until ${momentWords(until, timeZone)}`]
    .filter(Boolean)
    .join(' ');
}
