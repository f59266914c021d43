import type { ListingView } from '../../core/storefront/views';
import { useBase } from '../base';
import { hasFilters, withoutFilters, withPage } from './address';

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
        ? `Nothing here has all of “${q}”. This is what there is without ${quoted}${full < total ? ', and what comes close' : ''}.`
        : `${full === 1 ? 'One of these has' : `${full} of these have`} all of “${q}”; the others come close.`}
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
        <p className="font-display text-xl font-bold text-ink">There is no page {page}</p>
        <p className="mt-2 text-ink-soft">
          {total} {total === 1 ? 'product stands' : 'products stand'} on {last === 1 ? 'one page' : `${last} pages`}.
        </p>
        <a href={base + withPage(url, last)} className={act}>
          To the last page
        </a>
      </div>
    );
  return (
    <div className="rounded-2xl bg-mist px-6 py-16 text-center">
      <p className="font-display text-xl font-bold text-ink">
        {isFiltered || q ? 'Nothing matches' : 'Nothing here yet'}
      </p>
      <p className="mt-2 text-ink-soft">
        {isFiltered
          ? q
            ? `No product here has the words “${q}” with these filters.`
            : 'No product here passes all these filters.'
          : q
            ? `No product has the words “${q}”.`
            : 'There are no goods in this part of the shop at the moment.'}
      </p>
      {isFiltered ? (
        <button type="button" onClick={() => go(withoutFilters(url))} className={act}>
          Show without filters
        </button>
      ) : (
        <a href={`${base}/search`} className={act}>
          Show everything there is
        </a>
      )}
    </div>
  );
}
