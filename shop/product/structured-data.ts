import type { ProductView, VariantView } from '../../core/placement/product-view';

const amount = (minor: number) => (minor / 100).toFixed(2);

function offer(product: ProductView, variant: VariantView): object {
  const available = variant.inStock ? 'InStock' : product.orderDelay === null ? 'OutOfStock' : 'BackOrder';
  return {
    '@type': 'Offer',
    url: `${product.url}?v=${variant.id}`,
    ...(variant.sku ? { sku: variant.sku } : {}),
    ...(variant.barcode ? { gtin: variant.barcode } : {}),
    price: amount(variant.price),
    priceCurrency: product.currency,
    ...(product.saleUntil && variant.wasPrice !== null ? { priceValidUntil: product.saleUntil.slice(0, 10) } : {}),
    availability: `https://schema.org/${available}`,
    itemCondition: 'https://schema.org/NewCondition',
  };
}

/** What search engines read of a product: schema.org Product with an Offer for each variant whose price is told. */
export function structuredProduct(product: ProductView): object {
  const images = product.pictures.map(({ media }) => `/media/${media}/1600.webp`);
  return {
    '@context': 'https://schema.org',
    '@type': 'Product',
    name: product.title,
    url: product.url,
    ...(product.meta.description ? { description: product.meta.description } : {}),
    ...(images.length ? { image: images } : {}),
    ...(product.brand ? { brand: { '@type': 'Brand', name: product.brand } } : {}),
    ...(product.pricing === 'shown' ? { offers: product.variants.map((variant) => offer(product, variant)) } : {}),
    additionalProperty: product.specs.flatMap(({ rows }) =>
      rows.map(({ label, value }) => ({ '@type': 'PropertyValue', name: label, value })),
    ),
  };
}
