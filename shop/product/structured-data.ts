import type { ProductView, VariantView } from '../../core/storefront/views';

const amount = (minor: number) => (minor / 100).toFixed(2);

const availabilityOf = (product: ProductView, inStock: boolean) => {
  const available = inStock ? 'InStock' : product.orderDelay === null ? 'OutOfStock' : 'BackOrder';
  return `https://schema.org/${available}`;
};

function offer(product: ProductView, variant: VariantView, address: string): object {
  return {
    '@type': 'Offer',
    url: `${address}?v=${variant.id}`,
    ...(variant.sku ? { sku: variant.sku } : {}),
    ...(variant.barcode ? { gtin: variant.barcode } : {}),
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

function offersOf(product: ProductView, address: string): object {
  if (product.pricing !== 'shown') return {};
  const isRange = product.bundle !== null && product.bundle.off !== null;
  return {
    offers: isRange ? rangeOffer(product) : product.variants.map((variant) => offer(product, variant, address)),
  };
}

/** What search engines read of a product: schema.org Product with an Offer for each variant whose price is told.
 * `origin`: where the shop is, such as https://shop.example. */
export function structuredProduct(product: ProductView, origin: string): object {
  const address = origin + product.url;
  const images = product.pictures.map(({ media }) => `${origin}/media/${media}/1600.webp`);
  return {
    '@context': 'https://schema.org',
    '@type': 'Product',
    name: product.title,
    url: address,
    ...(product.meta.description ? { description: product.meta.description } : {}),
    ...(images.length ? { image: images } : {}),
    ...(product.brand ? { brand: { '@type': 'Brand', name: product.brand } } : {}),
    ...offersOf(product, address),
    additionalProperty: product.specs.flatMap(({ rows }) =>
      rows.map(({ label, value }) => ({ '@type': 'PropertyValue', name: label, value })),
    ),
  };
}
