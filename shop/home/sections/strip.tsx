import { ChevronLeft, ChevronRight } from 'lucide-react';
import { useRef } from 'react';
import { useBase } from '../../base';
import { ProductCard } from '../../ui/product-card';
import { useOwnCards } from '../../own-cards';
import { Words } from '../../ui/words';
import { wideCards, wideColumns } from './columns';
import type { SectionProps } from './section-props';
import { say } from '../../tongue';

const round =
  'flex size-9 items-center justify-center rounded-full border border-line bg-paper text-ink hover:border-ink';

/** Goods in a grid, or in a row that scrolls. */
export function Strip({ section, at, isFirst }: SectionProps<'strip'>) {
  const base = useBase();
  const row = useRef<HTMLUListElement>(null);
  const own = useOwnCards(section.own, section.count);
  const items = section.own ? own : section.items;
  if (items.length === 0 && !section.emptyWords) return null;
  const isRow = section.shape === 'row';
  const isCentred = section.align === 'centre';
  const scroll = (by: number) =>
    row.current?.scrollBy({ left: by * row.current.clientWidth * 0.9, behavior: 'smooth' });
  const phone = section.phoneColumns === 1 ? 'grid-cols-1' : 'grid-cols-2';
  const phoneCard = section.phoneColumns === 1 ? 'basis-full' : 'basis-[calc((100%-1rem)/2)]';
  const isOfCards = !isRow && section.fewer !== 'leave' && items.length % section.columns !== 0;
  const frame = isRow
    ? 'relative flex snap-x snap-mandatory gap-4 overflow-x-auto pb-3 lg:gap-6'
    : isOfCards
      ? `flex flex-wrap gap-x-4 gap-y-8 md:gap-x-6 ${section.fewer === 'centre' ? 'justify-center' : ''}`
      : `grid gap-x-4 gap-y-8 lg:gap-x-6 ${phone} ${wideColumns[section.columns]}`;
  const card = isRow
    ? `shrink-0 snap-start ${phoneCard} ${wideCards[section.columns]}`
    : isOfCards
      ? `${phoneCard} ${wideCards[section.columns]} ${section.fewer === 'stretch' ? 'grow' : ''}`
      : '';
  const rest = section.total - items.length;
  return (
    <>
      <div
        className={`mb-5 flex flex-wrap items-baseline gap-x-4 gap-y-1 ${isCentred ? 'flex-col items-center' : 'justify-between'}`}
      >
        <div className={isCentred ? 'text-center' : 'min-w-0'}>
          <Words
            as={isFirst ? 'h1' : 'h2'}
            section={section.id}
            field="title"
            text={section.title}
            hint="Title"
            className="font-display text-2xl font-bold tracking-tight"
          />
          <Words
            as="p"
            section={section.id}
            field="subtitle"
            text={section.subtitle}
            hint="A line below the title"
            className="mt-1 max-w-prose text-ink-soft"
          />
        </div>
        <span className="flex items-center gap-3">
          {section.more && (rest > 0 || section.moreWords) && (
            <a
              href={base + section.more}
              className="shrink-0 text-sm font-medium text-sea underline-offset-4 hover:underline"
            >
              {section.moreWords || say('strip.all', { count: section.total })}
            </a>
          )}
          {isRow && items.length > 2 && (
            <span className="flex gap-1.5">
              <button type="button" className={round} aria-label={say('strip.back')} onClick={() => scroll(-1)}>
                <ChevronLeft size={16} aria-hidden="true" />
              </button>
              <button type="button" className={round} aria-label={say('strip.on')} onClick={() => scroll(1)}>
                <ChevronRight size={16} aria-hidden="true" />
              </button>
            </span>
          )}
        </span>
      </div>
      {items.length === 0 ? (
        <p className="rounded-2xl bg-mist px-6 py-10 text-center text-ink-soft">{section.emptyWords}</p>
      ) : (
        // A row that scrolls can be scrolled by keys.

        <ul ref={row} className={frame} {...(isRow && { tabIndex: 0, 'aria-label': section.title })}>
          {items.map((item, i) => (
            <li key={item.id} className={card} data-card={item.id}>
              <ProductCard
                card={item}
                columns={section.columns}
                phoneColumns={section.phoneColumns}
                eager={at < 2 && i < 4 && (at === 0 && i < 2 ? 'first' : true)}
                without={section.without}
              />
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
