import clsx from 'clsx';
import { memo } from 'react';
import { Link } from 'react-router';
import type { FloorAnswer } from '../../../data/shopfront';
import { useGoodsDrop } from '../../../shared/ui/goods-drag';
import { shareWords } from '../../../shared/ui/share';

export type FloorPlace = FloorAnswer['places'][number];
type Part = FloorPlace['parts'][number];

const kindWords: Record<FloorPlace['kind'], string> = {
  page: 'page',
  category: 'category',
  collection: 'collection',
  brand: 'brand',
  tag: 'tag',
  product: 'product',
};

/** Where a page of the shop is worked on in the desk. */
function deskPath({ kind, id }: FloorPlace): string {
  if (kind === 'page') return `/shopfront?page=${id}`;
  return (
    { category: `/groups/category/${id}`, brand: `/groups/brands/${id}`, tag: `/groups/tags/${id}` }[kind as string] ??
    `/groups/${id}`
  );
}

/** How often visits see goods and come to pages, to be shown on them. */
export interface Warmth {
  /** by id of a product, hundredths of a percent */
  goods: ReadonlyMap<string, number>;
  /** of the product that is seen most */
  most: number;
  /** by kind and id of a page */
  places: ReadonlyMap<string, number>;
}

interface Props {
  place: FloorPlace;
  isLighting: boolean;
  /** null while it is not wanted */
  warmth: Warmth | null;
  /** takes goods that are dropped on a strip */
  hold: (pageId: string, sectionId: string, ids: string[]) => void;
}

/** How many of a hundred visits see a product, on a ground that is the darker the more they are. */
function Seen({ share, most }: { share: number; most: number }) {
  const part = Math.sqrt(share / Math.max(1, most));
  return (
    <span
      className={clsx(
        'absolute inset-x-0 bottom-0 text-center text-[9px] leading-3',
        part > 0.7 ? 'text-sheet' : 'text-ink',
      )}
      style={{
        background: `color-mix(in srgb, var(--color-petrol) ${Math.round(part * 100)}%, var(--color-petrol-soft))`,
      }}
    >
      {shareWords(share)}
    </span>
  );
}

function Goods({
  goods,
  isDimmed,
  repeats,
  warmth,
}: {
  goods: Part['goods'];
  isDimmed: boolean;
  repeats: ReadonlySet<string>;
  warmth: Warmth | null;
}) {
  return (
    <ol className="grid grid-cols-4 gap-[3px]">
      {goods.map(({ id, thumbnail, position, isLit, isSoldOut }) => (
        <li
          key={`${id} ${position}`}
          title={`${position}.${isSoldOut ? ' sold out' : ''}${repeats.has(id) ? ' stands here twice' : ''}`}
          className={clsx(
            'relative aspect-square overflow-hidden rounded-[3px] bg-sunk',
            isLit && 'z-10 outline-2 outline-rose',
            isDimmed && !isLit && 'opacity-35',
          )}
        >
          {thumbnail && (
            <img src={thumbnail} alt="" loading="lazy" decoding="async" className="size-full object-cover" />
          )}
          {warmth && <Seen share={warmth.goods.get(id) ?? 0} most={warmth.most} />}
          {isLit && position > 12 && (
            <span className="absolute inset-x-0 bottom-0 bg-rose text-center text-[9px] text-sheet">{position}</span>
          )}
          {isSoldOut && <span className="absolute right-0.5 top-0.5 size-2 rounded-full bg-rose" />}
          {repeats.has(id) && <span className="absolute left-0.5 top-0.5 size-2 rounded-full bg-marigold" />}
        </li>
      ))}
    </ol>
  );
}

function PartBox({ place, part, isLighting, warmth, hold }: Props & { part: Part }) {
  const takesGoods = place.kind === 'page' && part.kind === 'strip';
  const { isOver, props } = useGoodsDrop((ids) => hold(place.id, part.id, ids));
  const repeats = new Set(place.repeats);
  return (
    <li
      {...(takesGoods ? props : {})}
      className={clsx(
        'rounded-[6px] bg-edge p-1.5',
        part.unseen && 'opacity-50',
        takesGoods && isOver && 'outline-2 outline-marigold',
      )}
    >
      <div className="mb-1 flex items-baseline justify-between gap-2 text-[10px] leading-tight">
        <span className="min-w-0 truncate font-semibold">{part.name}</span>
        <span className="shrink-0 text-ink-2">
          {part.unseen ??
            (part.goods.length > 0 && part.total > 0
              ? `${part.goods.length < part.total ? `${part.total}` : part.goods.length}`
              : '')}
        </span>
      </div>
      {part.goods.length > 0 && <Goods goods={part.goods} isDimmed={isLighting} repeats={repeats} warmth={warmth} />}
      {part.warnings.length > 0 && !part.unseen && (
        <p className="mt-1 truncate text-[10px] text-rose-ink" title={part.warnings.join(' ')}>
          {part.warnings[0]}
        </p>
      )}
    </li>
  );
}

/** One page of the shop, drawn small. */
export const FloorCard = memo(function FloorCard(props: Props) {
  const { place, isLighting, warmth } = props;
  const comes = warmth?.places.get(`${place.kind}:${place.id}`);
  const isLost = place.clicks === null || place.unseen !== null;
  const isLit = isLighting && place.lit > 0;
  return (
    <article
      aria-label={place.name}
      style={{ contentVisibility: 'auto', containIntrinsicSize: 'auto 190px auto 240px' }}
      className={clsx(
        'w-[190px] rounded-[10px] border-2 bg-sheet p-2 shadow-sm',
        isLit ? 'border-rose' : isLost ? 'border-dashed border-ink-3 bg-paper' : 'border-transparent',
      )}
    >
      <Link to={deskPath(place)} className="mb-1.5 flex items-baseline justify-between gap-2 hover:underline">
        <span className="min-w-0 truncate text-xs font-bold">{place.name}</span>
        <span className={clsx('shrink-0 text-[10px]', isLost ? 'font-semibold text-rose-ink' : 'text-ink-2')}>
          {place.unseen ??
            (place.clicks === null
              ? 'no way in'
              : isLit
                ? `${place.lit} lit`
                : comes !== undefined
                  ? shareWords(comes)
                  : kindWords[place.kind])}
        </span>
      </Link>
      <ul className="flex flex-col gap-1.5">
        {place.parts.map((part, i) => (
          <PartBox key={part.id || i} {...props} part={part} />
        ))}
        {place.parts.length === 0 && <li className="px-1 text-[10px] text-ink-2">empty</li>}
      </ul>
    </article>
  );
});
