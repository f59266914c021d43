import { useBase } from '../base';
import { Sections } from '../home/sections/sections';
import type { ListingPageData } from '../data';
import { Crumbs } from '../ui/crumbs';
import { Picture } from '../ui/picture';
import { ListingGoods } from './listing-goods';

interface Props {
  page: ListingPageData;
  url: string;
  currency: string;
  /** shows another state of the listing without loading the page again */
  go: (url: string) => void;
}

/** The page of a group or a search: its words, the sections that the seller put around it, and the goods. */
export function ListingPage({ page, url, currency, go }: Props) {
  const base = useBase();
  const isFirstPage = page.listing.page === 1;
  return (
    <>
      <div className="mx-auto max-w-7xl px-4 pt-8 lg:px-8 lg:pt-10">
        <Crumbs crumbs={page.crumbs} />
        <div className={page.picture ? 'grid items-center gap-6 md:grid-cols-[1fr_18rem]' : ''}>
          <div className="min-w-0">
            <h1 className="break-words font-display text-3xl font-bold tracking-tight text-ink md:text-4xl">
              {page.title}
            </h1>
            {page.text && <p className="mt-3 max-w-prose leading-relaxed text-ink-soft">{page.text}</p>}
            {page.children.length > 0 && (
              <nav aria-label={`In ${page.title}`} className="mt-4">
                <ul className="flex flex-wrap gap-2">
                  {page.children.map(({ url: to, label }) => (
                    <li key={to}>
                      <a
                        href={base + to}
                        className="block rounded-full border border-line px-3.5 py-1.5 text-sm text-ink hover:border-ink"
                      >
                        {label}
                      </a>
                    </li>
                  ))}
                </ul>
              </nav>
            )}
          </div>
          {page.picture && (
            <div className="aspect-[3/2] overflow-hidden rounded-2xl max-md:order-first">
              <Picture picture={page.picture} sizes="(min-width: 768px) 18rem, 100vw" eager />
            </div>
          )}
        </div>
      </div>
      {isFirstPage && <Sections sections={page.above} isBelowHeading url={url} currency={currency} go={go} />}
      <div className="mx-auto max-w-7xl px-4 pt-8 lg:px-8">
        <ListingGoods listing={page.listing} q={page.q ?? ''} url={url} currency={currency} go={go} />
      </div>
      {isFirstPage && <Sections sections={page.below} isBelowHeading url={url} currency={currency} go={go} />}
    </>
  );
}
