import { Fragment, useState, type ReactNode } from 'react';
import { isStrip, usualProductLayout, type ProductPart } from '../../core/model/product-parts';
import type { RelationStrip } from '../../core/storefront/relation-strips';
import type { ProductView } from '../../core/storefront/views';
import { useBase } from '../base';
import type { BodyProps } from '../parts';
import { useNoteSeen, useOwnCards } from '../own-cards';
import { CardGrid } from '../ui/card-grid';
import { contained } from '../ui/contained';
import { Crumbs } from '../ui/crumbs';
import { FileLinks } from './file-links';
import { Gallery } from './gallery';
import { AskAboutIt } from './lead-on';
import { DeliveryFacts, Description, Promises, TrustFacts } from './page-parts';
import { firstVariant } from './pick';
import { SpecTable } from './spec-table';
import { VariantChoice } from './variant-choice';
import { say } from '../tongue';

type Variant = ProductView['variants'][number];
/** `done`: what was sent as a plain form just now. */
type ProductProps = BodyProps<'product'>['page'] & { done: string | null };

/** Goods seen lately that are shown below another. */
const SEEN = 4;

/** The page of a product. Another product is another page: nothing of what was chosen goes over to it. */
export const ProductPage = ({ page, data }: BodyProps<'product'>) => (
  <div className={contained}>
    <Product key={page.product.id} {...page} done={new URLSearchParams(data.url.split('?')[1]).get('done')} />
  </div>
);

function Product({ product, variantId, strips, done, layout, promises, trust }: ProductProps) {
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
  const { parts, gallery, stays } = layout ?? usualProductLayout;
  const strip = (kind: RelationStrip['kind']) => {
    const found = strips.find((each) => each.kind === kind);
    return found && <CardGrid id={`strip-${kind}`} title={found.title} cards={found.cards} />;
  };
  const drawn: Record<ProductPart, (folded: boolean) => ReactNode> = {
    brand: () =>
      product.brand && (
        <p className="mb-1 text-sm text-ink-soft">
          {product.brandUrl ? (
            <a href={base + product.brandUrl} className="hover:text-ink hover:underline">
              {product.brand}
            </a>
          ) : (
            product.brand
          )}
        </p>
      ),
    title: () => (
      <h1 className="break-words font-display text-3xl font-bold leading-tight tracking-tight text-ink md:text-4xl">
        {product.title}
      </h1>
    ),
    summary: () => product.summary && <p className="mt-4 text-lg leading-relaxed text-ink-soft">{product.summary}</p>,
    choice: () => current && <VariantChoice product={product} current={current} choose={choose} done={done} />,
    sku: () =>
      current?.sku && (
        <p className="mt-1 text-xs text-ink-soft">
          {say('product.sku')} {current.sku}
        </p>
      ),
    delivery: (folded) => delivery.length > 0 && <DeliveryFacts facts={delivery} folded={folded} />,
    promises: (folded) => promises && <Promises {...promises} folded={folded} />,
    trust: () => trust && <TrustFacts facts={trust} />,
    description: (folded) =>
      product.description && <Description html={product.description} title={product.title} folded={folded} />,
    specs: (folded) => <SpecTable specs={product.specs} folded={folded} />,
    files: (folded) => <FileLinks product={product} variant={current} folded={folded} />,
    questions: () => current && <AskAboutIt product={product} variant={current} done={done} />,
    goesWith: () => strip('goesWith'),
    stepUp: () => strip('stepUp'),
    similar: () => strip('similar'),
    seen: () => <SeenLately besides={[product.id, ...strips.flatMap(({ cards }) => cards.map(({ id }) => id))]} />,
  };
  const at = (place: 'beside' | 'below') =>
    parts
      .filter(({ part, shown, place: own }) => shown && (isStrip(part) ? 'below' : own) === place)
      .map(({ part, folded }) => <Fragment key={part}>{drawn[part](folded)}</Fragment>);
  return (
    <>
      <Crumbs crumbs={product.crumbs} />
      <div className="lg:grid lg:grid-cols-[1.15fr_1fr] lg:gap-14" data-product-page={product.id}>
        <Gallery
          pictures={product.pictures}
          shown={shownPicture ?? current?.pictureId ?? null}
          show={setShownPicture}
          arrangement={gallery}
          stays={stays === 'pictures'}
        />
        <div className={`min-w-0 max-lg:mt-8 ${stays === 'words' ? 'lg:sticky lg:top-6 lg:self-start' : ''}`}>
          {at('beside')}
        </div>
      </div>
      {at('below')}
    </>
  );
}

/** What this shopper looked at before, but for what stands on the page already. */
function SeenLately({ besides }: { besides: readonly string[] }) {
  const seen = useOwnCards('recentlySeen', SEEN + besides.length);
  const cards = seen.filter(({ id }) => !besides.includes(id)).slice(0, SEEN);
  if (cards.length === 0) return null;
  return <CardGrid id="seen-lately" title={say('product.seen')} cards={cards} />;
}
