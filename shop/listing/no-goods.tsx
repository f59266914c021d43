import type { ListingView } from '../../core/storefront/views';
import { useBase } from '../base';
import { hasFilters, withoutFilters, withPage } from './address';
import { say } from '../tongue';

interface Props {
  listing: ListingView;
  /** what was searched for; '' for nothing */
  q: string;
  url: string;
  go: (url: string) => void;
}

/** Says what was left out of a search so that something is found, and how many have all of it. */
export function NotAllOfIt({ listing: { without, full, total }, q }: Pick<Props, 'listing' | 'q'>) {
  if (without.length === 0 && full === total) return null;
  const quoted = without.map((word) => `“${word}”`).join(', ');
  return (
    <p className="mb-5 rounded-xl bg-mist px-4 py-2.5 text-sm text-ink">
      {without.length > 0
        ? say(full < total ? 'listing.withoutClose' : 'listing.without', { q, words: quoted })
        : say('listing.full', { count: full, q })}
    </p>
  );
}

/** Where there are no goods: why, and ways onward. */
export function NoGoods({ listing: { total, page, pageSize }, q, url, go }: Props) {
  const base = useBase();
  const isFiltered = hasFilters(url);
  const last = Math.ceil(total / pageSize);
  const act = 'mt-5 inline-block rounded-button bg-deep px-5 py-2.5 text-sm font-semibold text-white';
  if (total > 0)
    return (
      <div className="rounded-2xl bg-mist px-6 py-16 text-center">
        <p className="font-display text-xl font-bold text-ink">{say('listing.noPage', { page: String(page) })}</p>
        <p className="mt-2 text-ink-soft">
          {say('listing.stand', { count: total, pages: say('listing.pageCount', { count: last }) })}
        </p>
        <a href={base + withPage(url, last)} className={act}>
          {say('listing.toLast')}
        </a>
      </div>
    );
  return (
    <div className="rounded-2xl bg-mist px-6 py-16 text-center">
      <p className="font-display text-xl font-bold text-ink">
        {isFiltered || q ? say('listing.nothingMatches') : say('listing.nothingYet')}
      </p>
      <p className="mt-2 text-ink-soft">
        {isFiltered
          ? q
            ? say('listing.noWordsFiltered', { q })
            : say('listing.noneFiltered')
          : q
            ? say('listing.noWords', { q })
            : say('listing.empty')}
      </p>
      {isFiltered ? (
        <button type="button" onClick={() => go(withoutFilters(url))} className={act}>
          {say('listing.unfiltered')}
        </button>
      ) : (
        <a href={`${base}/search`} className={act}>
          {say('listing.everything')}
        </a>
      )}
    </div>
  );
}
