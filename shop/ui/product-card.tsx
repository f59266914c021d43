import { useContext, useState, type ReactNode } from 'react';
import { frames, type BadgeColour, type CardPart } from '../../core/model/card-choices';
import type { ProductCard as Card } from '../../core/storefront/views';
import { useBasketDesk } from '../basket/basket-store';
import { useBase } from '../base';
import { CardLookContext } from './card-look';
import { QuickLookContext } from './quick-look-context';
import { Picture } from './picture';
import { Price, UnitPrice, untoldPrice } from './price';
import { inTongue, say } from '../tongue';

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

const badgeLook: Readonly<Record<BadgeColour, string>> = {
  sale: 'bg-sale text-white',
  sea: 'bg-sea text-white',
  deep: 'bg-deep text-white',
  tint: 'bg-tint text-ink',
  mist: 'bg-mist text-ink',
  paper: 'bg-paper text-ink',
};

const Badges = ({ badges }: Pick<Card, 'badges'>) =>
  badges.length > 0 && (
    <span className="absolute left-3 top-3 flex max-w-[calc(100%-1.5rem)] flex-col items-start gap-1.5">
      {badges.map(({ words, colour }, i) => (
        <span key={i} className={`rounded-button px-2.5 py-1 text-xs font-semibold ${badgeLook[colour]}`}>
          {words}
        </span>
      ))}
    </span>
  );

const Swatches = ({ swatches }: Pick<Card, 'swatches'>) =>
  swatches.length > 1 && (
    <span className="flex shrink-0 items-center gap-1" title={swatches.map(({ label }) => label).join(', ')}>
      {swatches.slice(0, MAX_SWATCHES).map(({ label, colour }) => (
        <span key={label} className="size-3 rounded-full ring-1 ring-black/10" style={{ background: colour }} />
      ))}
      {swatches.length > MAX_SWATCHES && (
        <span className="text-xs text-ink-soft">+{swatches.length - MAX_SWATCHES}</span>
      )}
    </span>
  );

const quiet = (words: string | null | undefined) => words && <span className="text-xs text-ink-soft">{words}</span>;

/** What each part of a card says; the picture has a place of its own. */
const drawnParts: Record<Exclude<CardPart, 'picture'>, (card: Card, isRange: boolean) => ReactNode> = {
  brand: ({ brand }) => quiet(brand),
  category: ({ category }) => quiet(category),
  title: ({ title }) => (
    <span className="line-clamp-2 font-medium leading-snug text-ink decoration-1 underline-offset-4 group-hover:underline">
      {title}
    </span>
  ),
  price: ({ price, pricing, wasPrice }, isRange) =>
    pricing === 'shown' ? (
      <Price price={price.min} upTo={price.max} wasPrice={wasPrice} currency={price.currency} isRange={isRange} />
    ) : (
      <span className="text-sm text-ink-soft">{untoldPrice(pricing)}</span>
    ),
  swatches: ({ swatches }) => <Swatches swatches={swatches} />,
  unitPrice: ({ unitPrice, price }) => unitPrice && <UnitPrice of={unitPrice} currency={price.currency} />,
  stock: ({ stock }) => quiet(stock),
  button: ({ button, buys }) =>
    button &&
    !buys && (
      <span className="mt-1.5 rounded-button border border-ink px-4 py-2 text-center text-sm font-semibold text-ink group-hover:bg-mist">
        {button}
      </span>
    ),
};

/** Puts the only version of a product into the basket, right from its card. */
function CardBuys({ slug, title, variant, words }: { slug: string; title: string; variant: string; words: string }) {
  const desk = useBasketDesk();
  const [problem, setProblem] = useState('');
  return (
    <form
      method="post"
      action={inTongue('/basket/add')}
      onSubmit={(event) => {
        if (!desk) return;
        event.preventDefault();
        void desk.add({ slug, variant, quantity: 1 }).then((refused) => setProblem(refused ?? ''));
      }}
    >
      <input type="hidden" name="slug" value={slug} />
      <input type="hidden" name="variant" value={variant} />
      <button
        type="submit"
        className="mt-3 w-full rounded-button border border-ink px-4 py-2 text-center text-sm font-semibold text-ink hover:bg-mist"
      >
        {words}
        <span className="sr-only">: {title}</span>
      </button>
      {problem && (
        <p role="alert" className="mt-1 text-sm text-sale">
          {problem}
        </p>
      )}
    </form>
  );
}

/** A product in a grid or strip. With a variant filter on, it shows and opens the variant that matched. */
export function ProductCard({ card, columns = 4, phoneColumns = 2, eager, without = [] }: Props) {
  const base = useBase();
  const quickLook = useContext(QuickLookContext);
  // Most cards are never pointed at, and a finger does not point: their second picture is not even loaded.
  const [isPointedAt, setPointedAt] = useState(false);
  const { parts, price: priced, frame } = useContext(CardLookContext);
  const width = Math.round(PAGE / columns);
  const picture = {
    sizes: `(min-width: 1024px) ${width}px, ${phoneColumns === 1 ? 92 : 45}vw`,
    widest: width,
    ratio: frames[frame].ratio,
  };
  // Of a price that is not shown, neither is the price of a litre.
  const isShown = (part: CardPart) => !without.includes(part) && !(part === 'unitPrice' && without.includes('price'));
  const shown = parts.filter(isShown);
  const blocks: ReactNode[] = [];
  let words: ReactNode[] = [];
  const endWords = () => {
    if (words.length > 0)
      blocks.push(
        <span key={blocks.length} className="flex flex-col gap-1 px-0.5">
          {words}
        </span>,
      );
    words = [];
  };
  shown.forEach((part, i) => {
    if (part === 'picture') {
      endWords();
      blocks.push(
        <span key="picture" className="card-picture relative block overflow-hidden rounded-2xl">
          <Picture
            {...picture}
            picture={card.picture}
            eager={eager}
            className={`transition duration-300 group-hover:scale-[1.03] motion-reduce:transition-none ${card.inStock ? '' : 'opacity-55 saturate-50'}`}
          />
          {card.second && isPointedAt && (
            <span className="absolute inset-0 opacity-0 transition-opacity duration-300 group-hover:opacity-100 motion-reduce:transition-none [@media(hover:none)]:hidden">
              <Picture {...picture} picture={{ ...card.second, alt: '' }} />
            </span>
          )}
          <Badges badges={card.badges} />
        </span>,
      );
      return;
    }
    // Colours stand beside the price where they follow it.
    if (part === 'swatches' && shown[i - 1] === 'price') return;
    const drawn = drawnParts[part](card, priced === 'range');
    words.push(
      part === 'price' && shown[i + 1] === 'swatches' ? (
        <span key={part} className="flex items-center justify-between gap-2">
          {drawn}
          <Swatches swatches={card.swatches} />
        </span>
      ) : (
        drawn && (
          <span key={part} className="contents">
            {drawn}
          </span>
        )
      ),
    );
  });
  endWords();
  return (
    <div className="group relative" onPointerEnter={({ pointerType }) => pointerType !== 'touch' && setPointedAt(true)}>
      <a href={base + card.url} className="flex flex-col gap-3 rounded-2xl" data-product={card.id}>
        {blocks}
      </a>
      {card.buys && card.button && (
        <CardBuys slug={card.slug} title={card.title} variant={card.buys} words={card.button} />
      )}
      {quickLook && (
        <button
          type="button"
          onClick={() => quickLook(card.url)}
          // A finger has no pointing: it goes to the product right away.
          className="absolute right-3 top-3 rounded-button bg-paper px-3 py-1.5 text-xs font-semibold text-ink opacity-0 shadow-small transition hover:bg-mist focus-visible:opacity-100 group-hover:opacity-100 motion-reduce:transition-none [@media(hover:none)]:hidden"
        >
          {say('card.quickLook')}
          <span className="sr-only"> {say('card.quickLookAt', { title: card.title })}</span>
        </button>
      )}
    </div>
  );
}
