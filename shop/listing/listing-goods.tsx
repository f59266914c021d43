import { useCallback, useEffect, useRef, useState } from 'react';
import type { FacetView, ListingView } from '../../core/storefront/views';
import { useBase } from '../base';
import { ProductCard } from '../ui/product-card';
import { filterCount, kept, pathOf, sortOf, withoutFilters, withPage, withSort, withSpan, withValue } from './address';
import { FilterDrawer } from './filter-drawer';
import { Filters } from './filters';
import { rangeWords } from './range-facet';
import { NoGoods, NotAllOfIt } from './no-goods';
import { say } from '../tongue';

/** How goods stand where the seller wants nothing else. */
const usualLayout: NonNullable<ListingView['layout']> = {
  columns: 4,
  phoneColumns: 2,
  paging: 'pages',
  filtersAt: 'beside',
};

const listingColumns: Readonly<Record<number, string>> = {
  2: 'md:grid-cols-2',
  3: 'md:grid-cols-3',
  4: 'md:grid-cols-3 xl:grid-cols-4',
  5: 'md:grid-cols-3 lg:grid-cols-4 xl:grid-cols-5',
  6: 'md:grid-cols-4 xl:grid-cols-6',
};

interface Props {
  listing: ListingView;
  /** what was searched for; '' for nothing */
  q: string;
  url: string;
  currency: string;
  /** shows another state of the listing without loading it again */
  go: (url: string) => void;
}

/** "Wingspan 80 cm to 120 cm", "from €20.00" */
function selectedWords(facet: Extract<FacetView, { type: 'range' }>, currency: string): string {
  const { min, max } = facet.selected!;
  const words = (x: number) => rangeWords(facet, x, currency);
  const span =
    min === null
      ? say('listing.upTo', { high: words(max!) })
      : max === null
        ? say('listing.from', { low: words(min) })
        : say('listing.span', { low: words(min), high: words(max) });
  return facet.key === 'price' ? span : `${facet.label} ${span}`;
}

const COUNT_ID = 'goods-count';
const SORT_ID = 'goods-sort';

/** Chosen filters as words that can be taken away one by one. */
function Chosen({ facets, url, currency, go }: Omit<Props, 'listing' | 'q'> & { facets: readonly FacetView[] }) {
  const chips = facets.flatMap((facet) => {
    if (facet.type === 'range')
      return facet.selected
        ? [
            {
              key: facet.key,
              label: selectedWords(facet, currency),
              without: withSpan(url, facet.key, null),
            },
          ]
        : [];
    return facet.values
      .filter((value) => value.selected)
      .map((value) => ({
        key: `${facet.key} ${value.value}`,
        label: value.label,
        without: withValue(url, facet.key, value.value, false),
      }));
  });
  if (chips.length === 0) return null;
  // The button that was pressed goes: the count above is the next thing to read.
  const goOn = (to: string) => {
    go(to);
    document.getElementById(COUNT_ID)?.focus();
  };
  return (
    <ul className="mb-5 flex flex-wrap items-center gap-2" aria-label={say('listing.chosen')}>
      {chips.map((chip) => (
        <li key={chip.key}>
          <button
            type="button"
            onClick={() => goOn(chip.without)}
            className="rounded-button bg-mist px-3 py-1.5 text-sm text-ink hover:bg-line"
          >
            {chip.label} <span aria-hidden="true">×</span>
            <span className="sr-only">, {say('listing.remove')}</span>
          </button>
        </li>
      ))}
      <li>
        <button
          type="button"
          onClick={() => goOn(withoutFilters(url))}
          className="px-2 text-sm text-sea hover:underline"
        >
          {say('listing.removeAll')}
        </button>
      </li>
    </ul>
  );
}

/** Further goods below those that are there, where the seller wants no pages. */
function More({ listing, url, go }: Pick<Props, 'listing' | 'url' | 'go'>) {
  const base = useBase();
  const { total, pageSize, page } = listing;
  const left = total - page * pageSize;
  if (left <= 0) return null;
  const next = withPage(url, page + 1);
  return (
    <p className="mt-12 text-center">
      <a
        href={base + next}
        onClick={(event) => {
          if (event.ctrlKey || event.metaKey || event.shiftKey || event.altKey) return;
          event.preventDefault();
          go(next);
        }}
        className="inline-block rounded-button border border-ink px-6 py-3 font-semibold text-ink hover:bg-mist"
      >
        {say('listing.showMore', { count: Math.min(left, pageSize) })}
      </a>
    </p>
  );
}

function Pages({ listing, url, go }: Pick<Props, 'listing' | 'url' | 'go'>) {
  const base = useBase();
  const { total, pageSize, page: current } = listing;
  const last = Math.ceil(total / pageSize);
  if (last <= 1) return null;
  const near = Array.from({ length: last }, (_, i) => i + 1).filter(
    (n) => n === 1 || n === last || Math.abs(n - current) <= 2,
  );
  return (
    <nav aria-label={say('listing.pages')} className="mt-12 flex justify-center">
      <ul className="flex items-center gap-1">
        {near.map((n, i) => (
          <li key={n} className="flex items-center">
            {i > 0 && n - near[i - 1]! > 1 && <span className="px-2 text-ink-soft">…</span>}
            <a
              href={base + withPage(url, n)}
              aria-current={n === current ? 'page' : undefined}
              onClick={(event) => {
                // Whoever wants it in a tab of its own gets that.
                if (event.ctrlKey || event.metaKey || event.shiftKey || event.altKey) return;
                event.preventDefault();
                go(withPage(url, n));
                window.scrollTo({ top: 0 });
                document.getElementById('content')?.focus({ preventScroll: true });
              }}
              className="flex size-10 items-center justify-center rounded-full text-sm tabular-nums text-ink hover:bg-mist aria-[current]:bg-deep aria-[current]:text-white"
            >
              {n}
            </a>
          </li>
        ))}
      </ul>
    </nav>
  );
}

/** Goods with filters, sorts and pages. On a phone the filters come out in a drawer. */
export function ListingGoods({ listing, q, url, currency, go }: Props) {
  const [isDrawerOpen, setDrawerOpen] = useState(false);
  const head = useRef<HTMLDivElement>(null);
  const opener = useRef<HTMLButtonElement>(null);
  const base = useBase();
  const chosen = filterCount(url);
  const { items } = listing;
  // Fewer goods than before must not leave the shopper below them.
  const shown = useRef(items);
  useEffect(() => {
    const before = shown.current;
    shown.current = items;
    if (items.length >= before.length) return;
    const box = head.current?.parentElement?.getBoundingClientRect();
    if (box && box.bottom < 120) head.current?.scrollIntoView({ block: 'start' });
  }, [items]);
  const closeDrawer = useCallback(() => {
    setDrawerOpen(false);
    opener.current?.focus();
  }, []);
  const { columns, phoneColumns, paging, filtersAt } = listing.layout ?? usualLayout;
  const filters = <Filters facets={listing.facets} url={url} currency={currency} go={go} />;
  const isBeside = filtersAt === 'beside';
  const wantedSort = sortOf(url);
  const sort = listing.sorts.some(({ key }) => key === wantedSort) ? wantedSort : listing.sort;
  return (
    <>
      <div className={isBeside ? 'lg:grid lg:grid-cols-[15rem_1fr] lg:gap-10' : ''}>
        {isBeside && (
          <aside
            className="max-lg:hidden lg:sticky lg:top-4 lg:max-h-[calc(100dvh-2rem)] lg:self-start lg:overflow-y-auto lg:pr-1"
            aria-label={say('listing.filters')}
          >
            {filters}
          </aside>
        )}
        {filtersAt === 'above' && (
          <aside className="mb-6 max-lg:hidden" aria-label={say('listing.filters')}>
            <Filters facets={listing.facets} url={url} currency={currency} go={go} isRow />
          </aside>
        )}
        <div>
          <div ref={head} className="mb-5 flex scroll-mt-4 flex-wrap items-center justify-between gap-3">
            <p id={COUNT_ID} tabIndex={-1} className="text-sm text-ink-soft outline-none" aria-live="polite">
              <strong className="tabular-nums text-ink">{listing.total}</strong>{' '}
              {say('listing.count', { count: listing.total })}
            </p>
            <div className="flex max-w-full flex-wrap items-center gap-3">
              {filtersAt !== 'none' && (
                <button
                  ref={opener}
                  type="button"
                  aria-haspopup="dialog"
                  onClick={() => setDrawerOpen(true)}
                  className={`rounded-button border border-line px-4 py-2 text-sm font-medium text-ink ${filtersAt === 'drawer' ? '' : 'lg:hidden'}`}
                >
                  {say('listing.filter')}
                  {chosen > 0 && ` (${chosen})`}
                </button>
              )}
              <form method="get" action={base + pathOf(url)} className="flex min-w-0 max-w-full items-center gap-2">
                {kept(url, (name) => name === 'sort').map(([name, value], i) => (
                  <input key={i} type="hidden" name={name} value={value} />
                ))}
                <label htmlFor={SORT_ID} className="text-sm text-ink-soft">
                  {say('listing.sort')}
                </label>
                <select
                  id={SORT_ID}
                  name="sort"
                  value={sort}
                  onChange={(event) => go(withSort(url, event.target.value))}
                  className="min-w-0 rounded-button border border-line bg-paper px-3 py-2 text-sm text-ink"
                >
                  {listing.sorts.map(({ key, label }) => (
                    <option key={key} value={key}>
                      {label}
                    </option>
                  ))}
                </select>
                <noscript>
                  <button type="submit" className="rounded-button border border-line px-3 py-2 text-sm text-ink">
                    {say('listing.sort')}
                  </button>
                </noscript>
              </form>
            </div>
          </div>
          {q !== '' && listing.total > 0 && <NotAllOfIt listing={listing} q={q} />}
          <Chosen facets={listing.facets} url={url} currency={currency} go={go} />
          {items.length > 0 ? (
            <ul
              className={`goods grid gap-x-4 gap-y-8 lg:gap-x-6 ${phoneColumns === 1 ? 'grid-cols-1' : 'grid-cols-2'} ${listingColumns[columns]}`}
            >
              {items.map((card, i) => (
                <li key={card.id}>
                  <ProductCard
                    card={card}
                    columns={columns}
                    phoneColumns={phoneColumns}
                    eager={i < 2 ? 'first' : i < 4}
                  />
                </li>
              ))}
            </ul>
          ) : (
            <NoGoods listing={listing} q={q} url={url} go={go} />
          )}
          {paging === 'more' ? (
            <More listing={listing} url={url} go={go} />
          ) : (
            <Pages listing={listing} url={url} go={go} />
          )}
        </div>
      </div>
      {isDrawerOpen && (
        <FilterDrawer isWide={filtersAt === 'drawer'} close={closeDrawer} total={listing.total} wanted={url}>
          {filters}
        </FilterDrawer>
      )}
    </>
  );
}
