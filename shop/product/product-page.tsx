import { useState } from 'react';
import type { ProductView } from '../../core/storefront/views';
import { useBase } from '../base';
import type { BodyProps } from '../parts';
import { contained } from '../ui/contained';
import { Crumbs } from '../ui/crumbs';
import { ProductCard } from '../ui/product-card';
import { BundleChooser } from './bundle-chooser';
import { FileLinks } from './file-links';
import { Gallery } from './gallery';
import { Picker } from './picker';
import { SpecTable } from './spec-table';
import { Stock } from './stock';
import { VariantPrice } from './variant-price';
import { useNoteSeen } from '../seen';
import { firstVariant } from './pick';

type Variant = ProductView['variants'][number];

/** The page of a product. Another product is another page: nothing of what was chosen goes over to it. */
export const ProductPage = ({ page }: BodyProps<'product'>) => (
  <div className={contained}>
    <Product key={page.product.id} {...page} />
  </div>
);

function Product({ product, variantId, strips }: BodyProps<'product'>['page']) {
  const base = useBase();
  useNoteSeen(product.slug);
  const [wanted, setWanted] = useState(variantId);
  const [shownPicture, setShownPicture] = useState<string | null>(null);
  const current = firstVariant(product, wanted);
  const delivery = current?.delivery ?? product.delivery;
  const choose = (variant: Variant) => {
    setWanted(variant.id);
    setShownPicture(null);
    window.history.replaceState(window.history.state, '', `?v=${variant.id}`);
  };
  return (
    <>
      <Crumbs crumbs={product.crumbs} />
      <div className="lg:grid lg:grid-cols-[1.15fr_1fr] lg:gap-14" data-product-page={product.id}>
        <Gallery
          pictures={product.pictures}
          shown={shownPicture ?? current?.pictureId ?? null}
          show={setShownPicture}
        />
        <div className="max-lg:mt-8">
          {product.brand && (
            <p className="text-sm text-ink-soft">
              {product.brandUrl ? (
                <a href={base + product.brandUrl} className="hover:text-ink hover:underline">
                  {product.brand}
                </a>
              ) : (
                product.brand
              )}
            </p>
          )}
          <h1 className="mt-1 break-words font-display text-3xl font-bold leading-tight tracking-tight text-ink md:text-4xl">
            {product.title}
          </h1>
          {product.summary && <p className="mt-4 text-lg leading-relaxed text-ink-soft">{product.summary}</p>}
          {current && (
            <>
              <VariantPrice product={product} variant={current} />
              {product.bundle ? (
                <BundleChooser bundle={product.bundle} fixed={current.price} currency={product.currency} />
              ) : (
                <Picker product={product} current={current} choose={choose} />
              )}
              <Stock variant={current} product={product} />
              {current.sku && <p className="mt-1 text-xs text-ink-soft">SKU {current.sku}</p>}
            </>
          )}
          {delivery.length > 0 && (
            <dl className="mt-6 flex flex-wrap gap-x-8 gap-y-2 text-sm">
              {delivery.map(({ label, value }) => (
                <div key={label}>
                  <dt className="text-ink-soft">{label}</dt>
                  <dd className="font-medium text-ink">{value}</dd>
                </div>
              ))}
            </dl>
          )}
          {product.description && (
            <div
              className="rich mt-8 border-t border-line pt-6"
              dangerouslySetInnerHTML={{ __html: product.description }}
            />
          )}
          <SpecTable specs={product.specs} />
          <FileLinks product={product} variant={current} />
        </div>
      </div>
      {strips.map(({ kind, title, cards }) => (
        <section key={kind} className="mt-20" aria-labelledby={`strip-${kind}`}>
          <h2 id={`strip-${kind}`} className="mb-5 font-display text-2xl font-bold tracking-tight text-ink">
            {title}
          </h2>
          <ul className="grid grid-cols-2 gap-x-4 gap-y-8 md:grid-cols-4 lg:gap-x-6">
            {cards.map((card) => (
              <li key={card.id}>
                <ProductCard card={card} />
              </li>
            ))}
          </ul>
        </section>
      ))}
    </>
  );
}
