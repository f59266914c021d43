import { useHref } from '../../base';
import { Picture } from '../../ui/picture';
import { wideColumns } from './columns';
import { Heading } from './heading';
import type { SectionProps } from './section-props';

/** Width by height; "own" is that of the picture. */
const ratios = { own: undefined, landscape: 4 / 3, square: 1, portrait: 3 / 4 };

export function Pictures({ section, isFirst }: SectionProps<'pictures'>) {
  const href = useHref();
  if (section.pictures.length === 0) return null;
  const columns = Math.min(section.columns, section.pictures.length);
  return (
    <>
      <Heading section={section} isFirst={isFirst} />
      <ul className={`grid gap-4 lg:gap-6 ${columns > 1 ? 'grid-cols-2' : ''} ${wideColumns[columns]}`}>
        {section.pictures.map(({ picture, caption, url }, i) => {
          const drawn = (
            <Picture
              // What the caption says is not said again.
              picture={caption === picture.alt ? { ...picture, alt: '' } : picture}
              sizes={`(min-width: 768px) ${Math.round(100 / columns)}vw, 100vw`}
              widest={Math.round(1_200 / columns)}
              ratio={ratios[section.shape] ?? picture.width / picture.height}
              className="rounded-2xl"
            />
          );
          return (
            <li key={i}>
              <figure>
                {url ? <a href={href(url)}>{drawn}</a> : drawn}
                {caption && <figcaption className="mt-2 text-sm text-ink-soft">{caption}</figcaption>}
              </figure>
            </li>
          );
        })}
      </ul>
    </>
  );
}
