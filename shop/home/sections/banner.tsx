import { useBase } from '../../base';
import { Picture } from '../../ui/picture';
import type { SectionProps } from './section-props';

export function Banner({ section, at }: SectionProps<'banner'>) {
  const base = useBase();
  const Heading = at === 0 ? 'h1' : 'h2';
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
