import { useState } from 'react';
import type { ProductView } from '../../core/storefront/views';
import { useBase } from '../base';
import type { BodyProps } from '../parts';
import { useNoteSeen, useSeenCards } from '../seen';
import { CardGrid } from '../ui/card-grid';
import { contained } from '../ui/contained';
import { Crumbs } from '../ui/crumbs';
import { FileLinks } from './file-links';
import { Gallery } from './gallery';
import { AskAboutIt } from './lead-on';
import { firstVariant } from './pick';
import { SpecTable } from './spec-table';
import { VariantChoice } from './variant-choice';

type Variant = ProductView['variants'][number];

/** Goods seen lately that are shown below another. */
const SEEN = 4;

/** The page of a product. Another product is another page: nothing of what was chosen goes over to it. */
export const ProductPage = ({ page, data }: BodyProps<'product'>) => (
  <div className={contained}>
    <Product key={page.product.id} {...page} done={new URLSearchParams(data.url.split('?')[1]).get('done')} />
  </div>
);

function Product({ product, variantId, strips, done }: BodyProps<'product'>['page'] & { done: string | null }) {
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
        <div className="min-w-0 max-lg:mt-8">
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
              <VariantChoice product={product} current={current} choose={choose} done={done} />
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
          {current && <AskAboutIt product={product} variant={current} done={done} />}
        </div>
      </div>
      {strips.map(({ kind, title, cards }) => (
        <CardGrid key={kind} id={`strip-${kind}`} title={title} cards={cards} />
      ))}
      <SeenLately besides={[product.id, ...strips.flatMap(({ cards }) => cards.map(({ id }) => id))]} />
    </>
  );
}

/** What this shopper looked at before, but for what stands on the page already. */
function SeenLately({ besides }: { besides: readonly string[] }) {
  const seen = useSeenCards(true, SEEN + besides.length);
  const cards = seen.filter(({ id }) => !besides.includes(id)).slice(0, SEEN);
  if (cards.length === 0) return null;
  return <CardGrid id="seen-lately" title="Seen recently" cards={cards} />;
}
