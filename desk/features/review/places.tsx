import clsx from 'clsx';
import type { Review } from '../../data/review';
import { Thumb } from '../../shared/ui/thumb';
import { rowLook, Sheet } from './change-row';

type Place = Review['places'][number];

function Strip({ goods, mark }: { goods: Place['shown']; mark: (id: string) => 'joined' | 'left' | undefined }) {
  return goods.map((good) => {
    const how = mark(good.id);
    return (
      <span
        key={`${good.id} ${how}`}
        title={good.title}
        className={clsx(
          'rounded-[9px]',
          how === 'joined' && 'ring-2 ring-petrol',
          how === 'left' && 'opacity-50 outline-2 outline-dashed outline-rose',
        )}
      >
        <Thumb src={good.thumbnail} alt={good.title} className="size-8" />
      </span>
    );
  });
}

/** Who joins and who leaves each place of the shop. */
export function Places({ places }: { places: readonly Place[] }) {
  if (places.length === 0) return null;
  return (
    <Sheet title="Who appears where" note={`${places.length} ${places.length === 1 ? 'place' : 'places'}`}>
      {places.map((place) => {
        const joined = new Set(place.joined.map(({ id }) => id));
        return (
          <li key={`${place.kind} ${place.id}`} className={rowLook}>
            <span className="w-40 shrink-0">
              <span className="block truncate font-semibold">{place.page ?? place.title}</span>
              <span className="text-xs text-ink-2">{place.page ? place.title : place.kind}</span>
            </span>
            <span className="flex min-w-0 flex-1 flex-wrap items-center gap-1.5">
              <Strip
                goods={place.kind === 'section' ? place.shown : place.joined}
                mark={(id) => (joined.has(id) ? 'joined' : undefined)}
              />
              <Strip goods={place.left} mark={() => 'left'} />
              {place.reordered && place.joinedCount + place.leftCount === 0 && (
                <span className="text-ink-2">in another order</span>
              )}
            </span>
            <span className="shrink-0 pt-1 font-semibold">
              {place.joinedCount > 0 && <span className="text-petrol">+{place.joinedCount}</span>}{' '}
              {place.leftCount > 0 && <span className="text-rose">−{place.leftCount}</span>}
            </span>
          </li>
        );
      })}
    </Sheet>
  );
}
