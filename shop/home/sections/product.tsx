import { useState } from 'react';
import { useBase } from '../../base';
import { Gallery } from '../../product/gallery';
import { firstVariant } from '../../product/pick';
import { VariantChoice } from '../../product/variant-choice';
import { Words } from '../../ui/words';
import type { SectionProps } from './section-props';
import { say } from '../../tongue';

/** A product right on the page: pictures, words, price and choices. */
export function Product({ section, isFirst }: SectionProps<'product'>) {
  const base = useBase();
  const [wanted, setWanted] = useState<string | null>(null);
  const [shown, setShown] = useState<string | null>(null);
  const { product } = section;
  if (!product) return null;
  const current = firstVariant(product, wanted);
  const pictures = section.pictures === 'all' ? product.pictures : product.pictures.slice(0, 1);
  return (
    <div className="grid gap-8 lg:grid-cols-2 lg:gap-14" data-card={product.id}>
      <div className={section.side === 'right' ? 'lg:order-last' : ''}>
        <Gallery pictures={pictures} shown={shown ?? current?.pictureId ?? null} show={setShown} />
      </div>
      <div className="min-w-0 self-center">
        {product.brand && <p className="text-sm opacity-75">{product.brand}</p>}
        <Words
          as={isFirst ? 'h1' : 'h2'}
          section={section.id}
          field="title"
          text={section.title || product.title}
          hint="Title"
          className="mt-1 font-display text-3xl font-bold leading-tight tracking-tight md:text-4xl"
        />
        <Words
          as="p"
          section={section.id}
          field="text"
          text={section.text || product.summary}
          hint="Words about it"
          className="mt-4 text-lg leading-relaxed opacity-80"
        />
        {current && (
          <>
            <VariantChoice product={product} current={current} choose={({ id }) => (setWanted(id), setShown(null))} />
            <a
              href={`${base}${product.url}${current.id === product.variants[0]?.id ? '' : `?v=${current.id}`}`}
              className="mt-6 inline-block rounded-button bg-deep px-6 py-3 font-semibold text-white hover:brightness-90"
            >
              {say('product.details')}
            </a>
          </>
        )}
      </div>
    </div>
  );
}
