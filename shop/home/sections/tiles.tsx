import { useBase } from '../../base';
import { Picture } from '../../ui/picture';
import type { SectionProps } from './section-props';

export function Tiles({ section }: SectionProps<'tiles'>) {
  const base = useBase();
  if (section.tiles.length === 0) return null;
  return (
    <section data-section={section.id}>
      {section.title && (
        <h2 className="mb-5 font-display text-2xl font-bold tracking-tight text-ink">{section.title}</h2>
      )}
      <ul className="grid grid-cols-2 gap-4 md:grid-cols-3 lg:grid-cols-4 lg:gap-6">
        {section.tiles.map((tile) => (
          <li key={tile.url}>
            <a href={base + tile.url} className="group relative block overflow-hidden rounded-2xl">
              <Picture
                picture={tile.picture}
                sizes="(min-width: 1024px) 280px, 45vw"
                className="aspect-[4/3] transition duration-300 group-hover:scale-[1.03] motion-reduce:transition-none"
              />
              <span className="absolute inset-x-0 bottom-0 flex items-baseline justify-between gap-2 bg-gradient-to-t from-black/70 to-transparent px-4 pb-3 pt-10 text-white">
                <span className="font-display text-lg font-bold">{tile.label}</span>
                <span className="text-sm tabular-nums">{tile.count}</span>
              </span>
            </a>
          </li>
        ))}
      </ul>
    </section>
  );
}
