import { useHref } from '../../base';
import { Picture } from '../../ui/picture';
import { wideColumns } from './columns';
import { Heading } from './heading';
import type { SectionProps } from './section-props';

/** Width by height. */
const ratios = { landscape: 4 / 3, square: 1, portrait: 3 / 4, round: 1 };

export function Tiles({ section, isFirst }: SectionProps<'tiles'>) {
  const href = useHref();
  if (section.tiles.length === 0) return null;
  const isRound = section.shape === 'round';
  return (
    <>
      <Heading section={section} isFirst={isFirst} />
      <ul className={`grid grid-cols-2 gap-4 lg:gap-6 ${wideColumns[section.columns]}`}>
        {section.tiles.map((tile) => (
          <li key={tile.url}>
            <a
              href={href(tile.url)}
              className={`group relative block ${isRound ? 'text-center' : 'overflow-hidden rounded-2xl'}`}
            >
              <Picture
                picture={tile.picture}
                sizes="(min-width: 1024px) 280px, 45vw"
                widest={400}
                ratio={ratios[section.shape]}
                className={`${isRound ? 'rounded-full' : ''} transition duration-300 group-hover:scale-[1.03] motion-reduce:transition-none`}
              />
              <span
                className={
                  isRound
                    ? 'mt-3 flex flex-col font-display text-lg font-bold'
                    : 'absolute inset-x-0 bottom-0 flex items-baseline justify-between gap-2 bg-gradient-to-t from-black/70 to-transparent px-4 pb-3 pt-10 font-display text-lg font-bold text-white'
                }
              >
                <span className="min-w-0">{tile.label}</span>
                {tile.count !== null && (
                  <span className="font-sans text-sm font-normal tabular-nums">{tile.count}</span>
                )}
              </span>
            </a>
          </li>
        ))}
      </ul>
    </>
  );
}
