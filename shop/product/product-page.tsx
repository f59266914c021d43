import { useState } from 'react';
import type { ProductView } from '../../core/storefront/views';
import type { RelationStrip } from '../../core/storefront/relation-strips';
import { useBase } from '../base';
import { Crumbs } from '../ui/crumbs';
import { ProductCard } from '../ui/product-card';
import { BundleChooser } from './bundle-chooser';
import { FileLinks } from './file-links';
import { Gallery } from './gallery';
import { SpecTable } from './spec-table';
import { VariantPrice } from './variant-price';
import { firstVariant, isAvailable, variantWith } from './pick';

type Variant = ProductView['variants'][number];

interface Props {
  product: ProductView;
  variantId: string | null;
  strips: readonly RelationStrip[];
}

function Picker({
  product,
  current,
  choose,
}: {
  product: ProductView;
  current: Variant;
  choose: (variant: Variant) => void;
}) {
  return product.options.map((option) => {
    const chosen = option.values.find(({ key }) => key === current.options[option.key]);
    return (
      <fieldset key={option.key} className="mt-6">
        <legend className="mb-2 text-sm text-ink-soft">
          {option.label}: <span className="font-semibold text-ink">{chosen?.label}</span>
        </legend>
        <div className="flex flex-wrap gap-2">
          {option.values.map((value) => {
            const canBeHad = isAvailable(product, current, option.key, value.key);
            return (
              <button
                key={value.key}
                type="button"
                aria-pressed={value === chosen}
                title={canBeHad || product.orderDelay !== null ? value.label : `${value.label}, sold out`}
                onClick={() => choose(variantWith(product, current, option.key, value.key))}
                className={`flex items-center gap-2 rounded-full border px-4 py-2 text-sm text-ink hover:border-ink aria-pressed:border-ink aria-pressed:ring-1 aria-pressed:ring-ink ${canBeHad ? 'border-line' : 'border-dashed border-line text-ink-soft line-through'}`}
              >
                {value.picture ? (
                  <img src={value.picture} alt="" className="size-5 rounded-full object-cover ring-1 ring-black/10" />
                ) : (
                  value.colour && (
                    <span className="size-4 rounded-full ring-1 ring-black/10" style={{ background: value.colour }} />
                  )
                )}
                {value.label}
              </button>
            );
          })}
        </div>
      </fieldset>
    );
  });
}

/** Stock in the words of what is sold. */
const stockWords = {
  goods: { none: 'Sold out in this version', few: 'In stock, only a few left', some: 'In stock' },
  service: { none: 'Fully booked', few: 'Only a few places left', some: 'Places are free' },
  digital: { none: 'Sold out', few: 'Only a few left', some: 'To download at once' },
  bundle: {
    none: 'Sold out: one of its parts is missing',
    few: 'Can be had only a few times',
    some: 'All parts in stock',
  },
};

function Stock({ variant, product: { kind, orderDelay } }: { variant: Variant; product: ProductView }) {
  const words = stockWords[kind === 'physical' || kind === 'giftCard' ? 'goods' : kind];
  if (!variant.inStock && orderDelay !== null) return <p className="mt-4 font-medium text-ink">{orderDelay}</p>;
  if (!variant.inStock) return <p className="mt-4 font-medium text-sale">{words.none}</p>;
  if (variant.few) return <p className="mt-4 font-medium text-ink">{words.few}</p>;
  return <p className="mt-4 font-medium text-sea">{words.some}</p>;
}

export function ProductPage({ product, variantId, strips }: Props) {
  const base = useBase();
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
