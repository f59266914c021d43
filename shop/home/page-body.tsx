import type { BodyProps } from '../parts';
import { contained } from '../ui/contained';
import { isHeaded, Sections } from './sections/sections';
import { say } from '../tongue';

/** A page that the seller built of sections. */
export function PageBody({ page: { page }, data, url, go }: BodyProps<'page'>) {
  return (
    <>
      {page.showsTitle ? (
        <h1 className={`${contained} break-words font-display text-4xl font-bold tracking-tight text-ink`}>
          {page.title}
        </h1>
      ) : (
        !isHeaded(page.sections) && <h1 className="sr-only">{page.title}</h1>
      )}
      {page.sections.length > 0 ? (
        <div className={page.showsTitle ? '' : 'first-sections'}>
          <Sections
            sections={page.sections}
            isBelowHeading={page.showsTitle || !isHeaded(page.sections)}
            url={url}
            currency={data.shop.currency}
            go={go}
          />
        </div>
      ) : (
        <p className="py-24 text-center text-ink-soft">{say('frame.nothingYet')}</p>
      )}
    </>
  );
}
