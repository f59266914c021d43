import { Link } from 'react-router';
import { useProductExposure } from '../../../data/exposure';
import type { FloorAnswer } from '../../../data/shopfront';
import { PlacesOfProduct, SeenBy } from '../../../shared/where-it-shows';
import { Button } from '../../../shared/ui/button';
import { countWords } from '../../../../core/shared/count-words';
import { Thumb } from '../../../shared/ui/thumb';

interface Props {
  floor: FloorAnswer;
  isLighting: boolean;
  /** numbers on goods say how many of a hundred visits see them */
  isWarm: boolean;
  /** lets the last strip of a page that repeats something skip what stands above */
  skipRepeats: (pageId: string) => void;
}

const clicksWords = (clicks: number | null) =>
  clicks === null
    ? 'can only be searched for'
    : clicks === 0
      ? 'on the home page'
      : `${countWords(clicks, 'click', 'clicks')} from home`;

/** Where what is lit shows, and what is odd about the floor as a whole. */
export function LitPanel({ floor, isLighting, isWarm, skipRepeats }: Props) {
  const { one } = floor;
  const { data: exposure } = useProductExposure(one?.id);
  const repeated = floor.places.filter(({ kind, repeats }) => kind === 'page' && repeats.length > 0);
  const lost = floor.places.filter(({ clicks, unseen }) => clicks === null && unseen === null);
  const lit = floor.places.filter((place) => place.lit > 0);
  return (
    <div className="flex flex-col gap-4">
      {one ? (
        <section aria-label="Where it shows" className="flex flex-col gap-2">
          <h2 className="font-display text-[15px] font-bold">Where it shows</h2>
          <div className="flex items-center gap-3">
            <Thumb src={one.thumbnail} className="size-12 shrink-0" />
            <span className="min-w-0">
              <Link to={`/goods/${one.id}`} className="block truncate font-semibold hover:underline">
                {one.title}
              </Link>
              <span className={one.clicks === null ? 'text-rose-ink' : 'text-ink-2'}>{clicksWords(one.clicks)}</span>
            </span>
          </div>
          <PlacesOfProduct places={one.places} />
          {exposure && <SeenBy {...exposure} />}
        </section>
      ) : (
        isLighting && (
          <section aria-label="What is lit">
            <h2 className="font-display text-[15px] font-bold">
              {countWords(floor.lit, 'product is', 'products are')} lit
            </h2>
            <p className={lit.length > 0 ? 'text-ink-2' : 'text-rose-ink'}>
              {lit.length > 0 ? `They are on ${countWords(lit.length, 'page', 'pages')}.` : 'They are on no page.'}
            </p>
          </section>
        )
      )}
      {repeated.map((place) => (
        <section key={place.id} className="rounded-[10px] bg-marigold-soft p-3 text-marigold-ink">
          <p>
            <strong>Shown twice on {place.name}.</strong>{' '}
            {place.repeats
              .slice(0, 3)
              .map((id) => floor.titles[id])
              .join(', ')}
            {place.repeats.length > 3 && ` and ${place.repeats.length - 3} more`}.
          </p>
          <Button className="mt-2" onClick={() => skipRepeats(place.id)}>
            Skip repeats
          </Button>
        </section>
      ))}
      {lost.length > 0 && (
        <section aria-label="Without a way in">
          <h2 className="font-display text-[15px] font-bold">
            Shoppers cannot reach {countWords(lost.length, 'page', 'pages')}
          </h2>
          <p className="text-ink-2">Put them into a menu, or lead to them from another page.</p>
          <p className="mt-1 text-rose-ink">
            {lost
              .slice(0, 12)
              .map(({ name }) => name)
              .join(', ')}
            {lost.length > 12 && ` and ${lost.length - 12} more`}
          </p>
        </section>
      )}
      {floor.lost > 0 && (
        <p className="text-rose-ink">
          {countWords(floor.lost, 'product is', 'products are')} on the shop, but can only be searched for.
        </p>
      )}
      <p className="text-xs text-ink-2">
        A red dot: sold out. A yellow dot: twice on this page.
        {isWarm &&
          ' The darker the number, the more visits see the product; beside the name, how many come to the page.'}{' '}
        Drop goods on a strip to hold them there.
      </p>
    </div>
  );
}
