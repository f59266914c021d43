import { Words } from '../../ui/words';
import { Heading } from './heading';
import { wideColumns } from './columns';
import type { SectionProps } from './section-props';

export function Quotes({ section, isFirst }: SectionProps<'quotes'>) {
  if (section.quotes.length === 0) return null;
  return (
    <>
      <Heading section={section} isFirst={isFirst} />
      <ul className={`grid gap-4 lg:gap-6 ${wideColumns[Math.min(3, section.quotes.length)]}`}>
        {section.quotes.map(({ words, who, stars }, i) => (
          <li key={i} className="rounded-3xl border border-line bg-paper p-6 text-ink">
            <figure className="flex h-full flex-col gap-4">
              {stars !== null && (
                <p className="text-sea" role="img" aria-label={`${stars} of 5 stars`}>
                  {'★'.repeat(stars)}
                  <span className="text-line">{'★'.repeat(5 - stars)}</span>
                </p>
              )}
              <blockquote className="grow text-lg leading-relaxed">
                <Words as="p" section={section.id} field={`quotes.${i}.words`} text={words} hint="What was said" />
              </blockquote>
              <figcaption className="text-sm text-ink-soft">
                <Words section={section.id} field={`quotes.${i}.who`} text={who} hint="Who said it" />
              </figcaption>
            </figure>
          </li>
        ))}
      </ul>
    </>
  );
}
