import { LARGEST, mediaUrl } from '../../core/storefront/picture-sizes';
import type { ProductView, VariantView } from '../../core/storefront/views';

const amount = (minor: number) => (minor / 100).toFixed(2);

const availabilityOf = (product: ProductView, inStock: boolean) => {
  const available = inStock ? 'InStock' : product.orderDelay === null ? 'OutOfStock' : 'BackOrder';
  return `https://schema.org/${available}`;
};

const addressOf = (variant: VariantView, address: string) => `${address}?v=${variant.id}`;

function offer(product: ProductView, variant: VariantView, address: string): object {
  return {
    '@type': 'Offer',
    url: addressOf(variant, address),
    price: amount(variant.price),
    priceCurrency: product.currency,
    ...(product.saleUntil && variant.wasPrice !== null ? { priceValidUntil: product.saleUntil.slice(0, 10) } : {}),
    availability: availabilityOf(product, variant.inStock),
    itemCondition: 'https://schema.org/NewCondition',
  };
}

/** A bundle of parts has no one price: its ends are told. */
function rangeOffer(product: ProductView): object {
  return {
    '@type': 'AggregateOffer',
    lowPrice: amount(product.priceRange.low),
    highPrice: amount(product.priceRange.high),
    priceCurrency: product.currency,
    availability: availabilityOf(product, product.inStock),
  };
}

const codes = ({ sku, barcode }: VariantView) => ({ ...(sku ? { sku } : {}), ...(barcode ? { gtin: barcode } : {}) });

/** What options are about, of those that schema.org has a property for. */
const properties: readonly { property: string; called: RegExp }[] = [
  { property: 'color', called: /^(colou?r|farbe)/i },
  { property: 'size', called: /^(size|größe)/i },
  { property: 'material', called: /^material/i },
  { property: 'pattern', called: /^(pattern|muster)/i },
];
const propertyOf = (label: string) => properties.find(({ called }) => called.test(label))?.property;

/** One variant, as one of the products of a group. */
function variantProduct(product: ProductView, variant: VariantView, address: string, origin: string): object {
  const values = product.options.flatMap(({ key, label, values: all }) => {
    const value = all.find((each) => each.key === variant.options[key])?.label;
    return value === undefined ? [] : [{ label, value }];
  });
  const picture = product.pictures.find(({ id }) => id === variant.pictureId);
  const known = values.flatMap(({ label, value }) => {
    const property = propertyOf(label);
    return property ? [[property, value] as const] : [];
  });
  const others = values.filter(({ label }) => propertyOf(label) === undefined);
  return {
    '@type': 'Product',
    name: [product.title, ...values.map(({ value }) => value)].join(', '),
    url: addressOf(variant, address),
    ...codes(variant),
    ...(picture ? { image: origin + mediaUrl(picture.media, LARGEST) } : {}),
    ...Object.fromEntries(known),
    ...(others.length > 0
      ? { additionalProperty: others.map(({ label, value }) => ({ '@type': 'PropertyValue', name: label, value })) }
      : {}),
    ...(product.pricing === 'shown' ? { offers: offer(product, variant, address) } : {}),
  };
}

/** Whether it comes in versions that are each sold by themselves. */
const isGroup = ({ options, variants, bundle }: ProductView) =>
  bundle === null && options.length > 0 && variants.length > 1;

function soldAs(product: ProductView, address: string, origin: string): object {
  if (isGroup(product))
    return {
      '@type': 'ProductGroup',
      productGroupID: product.id,
      variesBy: product.options.map(({ label }) => {
        const property = propertyOf(label);
        return property ? `https://schema.org/${property}` : label;
      }),
      hasVariant: product.variants.map((variant) => variantProduct(product, variant, address, origin)),
    };
  const [only] = product.variants;
  const isRange = product.bundle !== null && product.bundle.off !== null;
  return {
    '@type': 'Product',
    ...(only ? codes(only) : {}),
    ...(product.pricing === 'shown' && only
      ? { offers: isRange ? rangeOffer(product) : offer(product, only, address) }
      : {}),
  };
}

/**
 * What search engines read of a product: schema.org Product with its Offer, or, where it comes in versions, ProductGroup
 * with a Product for each. Prices only where shoppers are told them. `origin`: where the shop is, such as https://shop.example; `address`: where the product is.
 */
export function structuredProduct(product: ProductView, origin: string, address: string): object {
  const images = product.pictures.map(({ media }) => origin + mediaUrl(media, LARGEST));
  return {
    '@context': 'https://schema.org',
    ...soldAs(product, address, origin),
    name: product.title,
    url: address,
    ...(product.meta.description ? { description: product.meta.description } : {}),
    ...(images.length ? { image: images } : {}),
    ...(product.brand ? { brand: { '@type': 'Brand', name: product.brand } } : {}),
    additionalProperty: product.specs.flatMap(({ rows }) =>
      rows.map(({ label, value }) => ({ '@type': 'PropertyValue', name: label, value })),
    ),
  };
}
