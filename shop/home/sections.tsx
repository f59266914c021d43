import type { SectionView } from '../../core/storefront/pages/page-view';
import { useBase } from '../base';
import { Picture } from '../ui/picture';
import { ProductCard } from '../ui/product-card';

type View<K extends SectionView['kind']> = Extract<SectionView, { kind: K }>;

function Banner({ section, isFirst }: { section: View<'banner'>; isFirst: boolean }) {
  const base = useBase();
  const Heading = isFirst ? 'h1' : 'h2';
  return (
    <section
      className="overflow-hidden rounded-3xl bg-deep text-white md:grid md:grid-cols-2"
      data-section={section.id}
    >
      <div className="flex flex-col items-start justify-center gap-4 px-6 py-10 md:px-12 md:py-16">
        <Heading className="font-display text-4xl font-bold leading-[1.05] tracking-tight md:text-5xl">
          {section.title}
        </Heading>
        {section.text && <p className="max-w-prose text-lg leading-relaxed text-white/85">{section.text}</p>}
        {section.link && (
          <a
            href={base + section.link.url}
            className="mt-2 rounded-full bg-white px-6 py-3 font-semibold text-deep hover:bg-mist"
          >
            {section.link.label}
          </a>
        )}
      </div>
      {section.picture && (
        <Picture
          picture={section.picture}
          sizes="(min-width: 768px) 600px, 100vw"
          eager
          className="h-full max-h-[440px] max-md:aspect-[3/2]"
        />
      )}
    </section>
  );
}

function Strip({ section, isFirst }: { section: View<'strip'>; isFirst: boolean }) {
  const base = useBase();
  if (section.items.length === 0) return null;
  return (
    <section data-section={section.id}>
      <div className="mb-5 flex items-baseline justify-between gap-4">
        <h2 className="font-display text-2xl font-bold tracking-tight text-ink">{section.title}</h2>
        {section.more && section.total > section.items.length && (
          <a
            href={base + section.more}
            className="shrink-0 text-sm font-medium text-sea underline-offset-4 hover:underline"
          >
            All {section.total}
          </a>
        )}
      </div>
      <ul className="grid grid-cols-2 gap-x-4 gap-y-8 md:grid-cols-3 lg:grid-cols-4 lg:gap-x-6">
        {section.items.map((card, i) => (
          <li key={card.id}>
            <ProductCard card={card} eager={isFirst && i < 4} />
          </li>
        ))}
      </ul>
    </section>
  );
}

function Tiles({ section }: { section: View<'tiles'> }) {
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

export function Sections({ sections }: { sections: readonly SectionView[] }) {
  return (
    <div className="flex flex-col gap-14">
      {sections.map((section, i) => {
        if (section.kind === 'banner') return <Banner key={section.id} section={section} isFirst={i === 0} />;
        if (section.kind === 'strip') return <Strip key={section.id} section={section} isFirst={i < 2} />;
        return <Tiles key={section.id} section={section} />;
      })}
    </div>
  );
}
