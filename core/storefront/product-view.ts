import type { ProductView, VariantView } from './views';
import { formatPriceRange } from '../shared/money';
import { sizeWords } from '../model/product-file';
import { lastDayBefore } from '../shared/moment';
import { plainText } from '../shared/plain-text';
import { specWords } from '../products/spec-values';
import { durationWords, packageWords, weightWords } from '../shared/units';
import type { ProductDocument } from '../model/document';
import { isSaleTime, lessPercent, unitPrice } from '../pricing/price';
import { shopPrice, shopStock } from '../shop/shop-price';
import { toldOffers } from './told-offers';
import { withoutSummary } from './without-summary';
import { bundleView } from './bundle-view';
import { FEW, pictureView, pricingOf } from './card';
import { mediaUrl } from './picture-sizes';
import { optionKey, optionValueKey } from '../shop/facts';
import { isOpen, urlOfGroup } from '../shop/open-groups';
import type { Shop } from '../shop/shop';

const META_TITLE = 60;
const META_DESCRIPTION = 155;

const cut = (text: string, letters: number) =>
  text.length > letters ? `${text.slice(0, letters - 1).trimEnd()}…` : text;

/** What search engines are told of a product: its own words, or what title and summary give. */
export function metaOf(shop: Shop, product: ProductDocument): ProductView['meta'] {
  const plain = product.summary || plainText(product.description);
  return {
    title: product.metaTitle || cut(`${product.title} · ${shop.settings.name}`, META_TITLE),
    description: product.metaDescription || cut(plain, META_DESCRIPTION),
    noindex: product.noindex,
  };
}

function specTable(shop: Shop, product: ProductDocument): ProductView['specs'] {
  const sheet = shop.specSheets.get(product.specSheetId ?? '');
  const tongue = { locale: shop.settings.locale, yes: shop.say('told.yes'), no: shop.say('told.no') };
  const groups = new Map<string, { label: string; value: string }[]>();
  const add = (heading: string, label: string, value: string) => {
    if (value === '') return;
    const rows = groups.get(heading);
    if (rows) rows.push({ label, value });
    else groups.set(heading, [{ label, value }]);
  };
  for (const attribute of sheet?.attributes ?? [])
    if (attribute.shown)
      add(attribute.heading, attribute.name, specWords(attribute, product.specs[attribute.id], tongue));
  for (const { label, value } of product.customFields) add('', label, value);
  return [...groups].map(([heading, rows]) => ({ heading, rows }));
}

/** What a shopper wants to know of getting it. */
function deliveryFacts({ settings, say }: Shop, product: ProductDocument): ProductView['delivery'] {
  const { weight, size, dispatchDays, duration, ownValue } = product;
  return [
    ...(duration === null ? [] : [{ label: say('fact.duration'), value: durationWords(duration) }]),
    ...(ownValue === null
      ? []
      : [
          {
            label: say('fact.ownValue'),
            value: formatPriceRange(ownValue.from, ownValue.upTo, settings.currency, settings.locale),
          },
        ]),
    ...(dispatchDays === null
      ? []
      : [
          {
            label: say('fact.dispatch'),
            value: dispatchDays === 0 ? say('fact.sameDay') : say('fact.withinDays', { count: dispatchDays }),
          },
        ]),
    ...(weight === null ? [] : [{ label: say('fact.weight'), value: weightWords(weight, settings.locale) }]),
    ...(size === null ? [] : [{ label: say('fact.package'), value: packageWords(size, settings.locale) }]),
  ];
}

function variantDelivery(
  shop: Shop,
  product: ProductDocument,
  { weight, size, packageType, dispatchDays }: ProductDocument['variants'][number],
): ProductView['delivery'] | null {
  const own = Object.entries({ weight, size, packageType: packageType || null, dispatchDays }).filter(
    ([, value]) => value !== null,
  );
  return own.length === 0 ? null : deliveryFacts(shop, { ...product, ...Object.fromEntries(own) });
}

/** "Each can be fetched 5 times, within 30 days." */
function downloadTerms({ say }: Shop, { downloadLimit, downloadDays }: ProductDocument): string {
  const parts = [
    ...(downloadLimit === null ? [] : [say('fact.times', { count: downloadLimit })]),
    ...(downloadDays === null ? [] : [say('fact.fetchWithin', { count: downloadDays })]),
  ];
  return parts.length > 0 ? say('fact.fetched', { terms: parts.join(', ') }) : '';
}

/** A product as shoppers meet it on its own page. */
export function productView(shop: Shop, product: ProductDocument): ProductView {
  const face = product.pictures[0];
  const main = product.categoryIds[0];
  const { now } = shop;
  const unit = product.unitPricing;
  // Addresses name options as the main language does, so that they lead to the same in every language.
  const named = shop.inMain(product).options;
  const isInStock = (id: string) => {
    const stock = shopStock(shop, product, id);
    return stock === null || stock > 0;
  };
  const inStock = product.variants.some(({ id }) => isInStock(id));
  const pricing = pricingOf(product, inStock);
  const hidden = { price: 0, wasPrice: null };
  const variants = product.variants.map((variant): VariantView => {
    const stock = shopStock(shop, product, variant.id);
    const picture = product.pictures.find(({ id }) => id === variant.pictureId) ?? face;
    const { price, wasPrice } = pricing === 'shown' ? shopPrice(shop, product, variant) : hidden;
    const perUnit = pricing === 'shown' ? unitPrice(price, variant.content, unit) : null;
    return {
      id: variant.id,
      sku: variant.sku,
      barcode: variant.barcode,
      options: Object.fromEntries(
        named.flatMap((option, i) => {
          const value = option.values.find(({ id }) => id === variant.values[i]);
          return value ? [[optionKey(option.name), optionValueKey(value.name)]] : [];
        }),
      ),
      price,
      wasPrice,
      lowestBefore: wasPrice === null ? null : (shop.inputs.lowestBefore?.(variant.id) ?? null),
      unitPrice: perUnit === null ? null : { amount: perUnit, words: shop.say(`unit.${unit!}`) },
      quantityPrices:
        pricing === 'shown'
          ? product.quantityPrices.map(({ from, off }) => ({ from, price: lessPercent(price, off) }))
          : [],
      inStock: isInStock(variant.id),
      few: stock !== null && stock > 0 && stock <= FEW,
      image: picture ? mediaUrl(picture.media, 960) : null,
      pictureId: picture?.id ?? null,
      delivery: variantDelivery(shop, product, variant),
    };
  });
  const isReduced = variants.some(({ wasPrice }) => wasPrice !== null);
  const saleUntil = isReduced && isSaleTime(product, now) ? product.saleUntil : null;
  return {
    id: product.id,
    kind: product.kind,
    slug: product.slug,
    title: product.title,
    summary: product.summary,
    description: withoutSummary(product),
    url: `/p/${product.slug}`,
    currency: shop.settings.currency,
    brand: shop.brands.get(product.brandId ?? '')?.name ?? null,
    brandUrl: (product.brandId && urlOfGroup(shop, { kind: 'brand', id: product.brandId })) ?? null,
    inStock,
    crumbs:
      main && isOpen(shop, { kind: 'category', id: main })
        ? shop.tree.path(main).map(({ name, slug }) => ({ label: name, url: `/c/${slug}` }))
        : [],
    pictures: product.pictures.map((picture) => ({ id: picture.id, ...pictureView(picture, product.title) })),
    options: product.options.map((option, i) => ({
      key: optionKey(named[i]!.name),
      label: option.name,
      values: option.values.map(({ name, swatch, pictureId }, j) => {
        const picture = product.pictures.find(({ id }) => id === pictureId);
        return {
          key: optionValueKey(named[i]!.values[j]!.name),
          label: name,
          colour: swatch,
          picture: picture ? mediaUrl(picture.media, 160) : null,
        };
      }),
    })),
    variants,
    offers: pricing === 'shown' ? toldOffers(shop, product) : [],
    ...(product.ownValue && pricing === 'shown' && { ownValue: product.ownValue }),
    pricing,
    quantityPrices: product.quantityPrices,
    saleUntil,
    saleLastDay: saleUntil && lastDayBefore(saleUntil, shop.settings.timeZone, shop.settings.locale),
    orderDelay: product.whenSoldOut === 'order' ? product.orderDelay || shop.say('told.canBeOrdered') : null,
    specs: specTable(shop, product),
    delivery: deliveryFacts(shop, product),
    bundle: pricing === 'shown' ? bundleView(shop, product) : null,
    priceRange:
      pricing === 'shown'
        ? { low: shop.facts(product.id)!.price, high: shop.facts(product.id)!.priceMax }
        : { low: 0, high: 0 },
    downloads: product.files
      .filter(({ role }) => role === 'download')
      .map(({ name, bytes, variantId }) => ({ name, size: sizeWords(bytes), variantId })),
    downloadTerms: downloadTerms(shop, product),
    files: product.files.flatMap(({ id, role, name, bytes }) =>
      role === 'download' ? [] : [{ role, name, size: sizeWords(bytes), url: `/files/${product.id}/${id}` }],
    ),
    meta: metaOf(shop, product),
  };
}
