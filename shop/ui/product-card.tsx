import type { ProductCard as Card } from '../../core/storefront/views';
import { useContext } from 'react';
import { useBase } from '../base';
import { QuickLookContext } from './quick-look-context';
import { Picture } from './picture';
import { Price, UnitPrice, untoldPrice } from './price';

const MAX_SWATCHES = 5;
/** Pixels that cards share on a wide screen. */
const PAGE = 1_170;

interface Props {
  card: Card;
  /** how many stand side by side on a wide screen, and on a phone */
  columns?: number;
  phoneColumns?: number;
  eager?: boolean | 'first';
  /** parts that are not shown */
  without?: readonly string[];
}

/** A product in a grid or strip. With a variant filter on, it shows and opens the variant that matched. */
export function ProductCard({ card, columns = 4, phoneColumns = 2, eager, without = [] }: Props) {
  const base = useBase();
  const look = useContext(QuickLookContext);
  const { price, swatches } = card;
  const width = Math.round(PAGE / columns);
  const has = (part: string) => !without.includes(part);
  const link = (
    <a href={base + card.url} className="flex flex-col gap-3 rounded-2xl" data-product={card.id}>
      <span className="relative block overflow-hidden rounded-2xl">
        <Picture
          picture={card.picture}
          sizes={`(min-width: 1024px) ${width}px, ${phoneColumns === 1 ? 92 : 45}vw`}
          widest={width}
          eager={eager}
          className={`transition duration-300 group-hover:scale-[1.03] motion-reduce:transition-none ${card.inStock ? '' : 'opacity-55 saturate-50'}`}
        />
        {!card.inStock ? (
          <span className="absolute left-3 top-3 rounded-button bg-paper px-2.5 py-1 text-xs font-semibold text-ink">
            Sold out
          </span>
        ) : (
          card.wasPrice !== null && (
            <span className="absolute left-3 top-3 rounded-button bg-sale px-2.5 py-1 text-xs font-semibold text-white">
              −{Math.round(100 - (100 * price.min) / card.wasPrice)} %
            </span>
          )
        )}
      </span>
      <span className="flex flex-col gap-1 px-0.5">
        {card.brand && has('brand') && <span className="text-xs text-ink-soft">{card.brand}</span>}
        <span className="line-clamp-2 font-medium leading-snug text-ink decoration-1 underline-offset-4 group-hover:underline">
          {card.title}
        </span>
        <span className="flex items-center justify-between gap-2">
          {!has('price') ? (
            <span />
          ) : card.pricing === 'shown' ? (
            <Price price={price.min} upTo={price.max} wasPrice={card.wasPrice} currency={price.currency} />
          ) : (
            <span className="text-sm text-ink-soft">{untoldPrice[card.pricing]}</span>
          )}
          {swatches.length > 1 && has('swatches') && (
            <span className="flex shrink-0 items-center gap-1" title={swatches.map(({ label }) => label).join(', ')}>
              {swatches.slice(0, MAX_SWATCHES).map(({ label, colour }) => (
                <span key={label} className="size-3 rounded-full ring-1 ring-black/10" style={{ background: colour }} />
              ))}
              {swatches.length > MAX_SWATCHES && (
                <span className="text-xs text-ink-soft">+{swatches.length - MAX_SWATCHES}</span>
              )}
            </span>
          )}
        </span>
        {card.unitPrice && has('unitPrice') && has('price') && (
          <UnitPrice of={card.unitPrice} currency={price.currency} />
        )}
      </span>
    </a>
  );
  return (
    <div className="group relative">
      {link}
      {look && (
        <button
          type="button"
          onClick={() => look(card.url)}
          // A finger has no pointing: it goes to the product right away.
          className="absolute right-3 top-3 rounded-button bg-paper px-3 py-1.5 text-xs font-semibold text-ink opacity-0 shadow transition hover:bg-mist focus-visible:opacity-100 group-hover:opacity-100 motion-reduce:transition-none [@media(hover:none)]:hidden"
        >
          Quick look<span className="sr-only"> at {card.title}</span>
        </button>
      )}
    </div>
  );
}
