import { useBase } from '../base';
import type { SectionView } from '../../core/storefront/pages/sections/sections';
import { part, type BodyProps } from '../parts';
import { Crumbs } from '../ui/crumbs';
import { contained } from '../ui/contained';
import { Picture } from '../ui/picture';
import { ListingGoods } from './listing-goods';
import { say } from '../tongue';

/** The page of a group or a search: its words, the sections that the seller put around it, and the goods. */
export function ListingPage({ page, data, url, go }: BodyProps<'listing'>) {
  const base = useBase();
  const { currency } = data.shop;
  const around = (sections: readonly SectionView[]) => {
    if (page.listing.page > 1 || sections.length === 0) return null;
    const Sections = part('sections');
    return <Sections sections={sections} isBelowHeading url={url} currency={currency} go={go} />;
  };
  const text = page.text && <p className="mt-3 max-w-prose leading-relaxed text-ink-soft">{page.text}</p>;
  return (
    <>
      <div className={contained}>
        <Crumbs crumbs={page.crumbs} />
        <div className={page.picture ? 'grid items-center gap-6 md:grid-cols-[1fr_18rem]' : ''}>
          <div className="min-w-0">
            <h1 className="break-words font-display text-3xl font-bold tracking-tight text-ink md:text-4xl">
              {page.title}
            </h1>
            {!page.isTextBelow && text}
            {page.tiles === undefined && page.children.length > 0 && (
              <nav aria-label={say('listing.in', { title: page.title })} className="mt-4">
                <ul className="flex flex-wrap gap-2">
                  {page.children.map(({ url: to, label }) => (
                    <li key={to}>
                      <a
                        href={base + to}
                        className="block rounded-button border border-line px-3.5 py-1.5 text-sm text-ink hover:border-ink"
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
              <Picture picture={page.picture} sizes="(min-width: 768px) 18rem, 100vw" widest={640} ratio={1.5} eager />
            </div>
          )}
        </div>
      </div>
      {page.tiles && page.tiles.length > 0 && (
        <nav aria-label={say('listing.in', { title: page.title })} className="mx-auto max-w-7xl px-4 pt-6 lg:px-8">
          <ul className="grid grid-cols-2 gap-4 md:grid-cols-4 lg:gap-6">
            {page.tiles.map((tile) => (
              <li key={tile.url}>
                <a href={base + tile.url} className="group block overflow-hidden rounded-2xl bg-mist">
                  <Picture picture={tile.picture} sizes="(min-width: 768px) 22vw, 45vw" widest={280} ratio={4 / 3} />
                  <span className="block px-4 py-3 font-semibold text-ink underline-offset-4 group-hover:underline">
                    {tile.label}
                  </span>
                </a>
              </li>
            ))}
          </ul>
        </nav>
      )}
      {around(page.above)}
      <div className="mx-auto max-w-7xl px-4 pt-8 lg:px-8">
        <ListingGoods listing={page.listing} q={page.q ?? ''} url={url} currency={currency} go={go} />
      </div>
      {page.isTextBelow && <div className={contained}>{text}</div>}
      {around(page.below)}
    </>
  );
}
