import { Link } from 'react-router';
import { countWords } from '../../core/shared/count-words';
import type { PlaceOfProduct } from '../../core/storefront/views';
import type { ExposureOfProduct } from '../data/exposure';
import { shareWords } from './ui/share';

const clicksWords = (clicks: number) =>
  clicks === 0 ? 'on the home page' : `${countWords(clicks, 'click', 'clicks')} from home`;

/** Where a place is worked on in the desk. */
function deskPath({ kind, id }: PlaceOfProduct): string {
  if (kind === 'section') return `/shopfront?page=${id}`;
  if (kind === 'collection') return `/groups/${id}`;
  return kind === 'category' ? `/groups/category/${id}` : `/groups/${kind}s/${id}`;
}

/** Every place of a product: how far it is from home, why it stands where it does, and what would move it. */
export function PlacesOfProduct({ places }: { places: readonly PlaceOfProduct[] }) {
  if (places.length === 0)
    return (
      <p className="font-semibold text-rose-ink">
        It shows nowhere. Put it into a category that is in the menu, or on a page.
      </p>
    );
  return (
    <ul>
      {places.map((place) => {
        const { kind, id, label, position, of, page, clicks, why, moves } = place;
        return (
          <li key={`${kind} ${id} ${label}`} className="border-b border-hair py-1.5 last:border-0">
            <span className="flex justify-between gap-3">
              <Link to={deskPath(place)} className="min-w-0 truncate font-semibold hover:underline">
                {label}
              </Link>
              <span className="shrink-0 tabular-nums text-ink-2">
                {position} of {of}
              </span>
            </span>
            <span className="block text-xs text-ink-2">
              {clicksWords(clicks)}
              {page > 1 && `, page ${page}`} · {why}
            </span>
            <span className="block text-xs text-ink-2">{moves}</span>
          </li>
        );
      })}
    </ul>
  );
}

/** How often visits see a product, and where they see it first. */
export function SeenBy({ share, first }: ExposureOfProduct) {
  const most = first[0]?.share ?? 0;
  return (
    <div>
      <p>
        <strong className="font-display text-lg">{shareWords(share)}</strong> of visits see it. First seen at:
      </p>
      <ul className="mt-1 flex flex-col gap-0.5">
        {first.slice(0, 6).map(({ name, share: part }) => (
          <li key={name} className="grid grid-cols-[minmax(0,1fr)_5rem_3.5rem] items-center gap-2 text-xs">
            <span className="truncate" title={name}>
              {name}
            </span>
            <span className="h-2 rounded-full bg-sunk">
              <span
                className="block h-2 rounded-full bg-petrol"
                style={{ width: `${most > 0 ? Math.max(2, (part / most) * 100) : 0}%` }}
              />
            </span>
            <span className="text-right tabular-nums text-ink-2">{shareWords(part)}</span>
          </li>
        ))}
      </ul>
    </div>
  );
}
