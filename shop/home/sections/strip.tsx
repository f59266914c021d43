import { useBase } from '../../base';
import { ProductCard } from '../../ui/product-card';
import type { SectionProps } from './section-props';

export function Strip({ section, at }: SectionProps<'strip'>) {
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
            <ProductCard card={card} eager={at < 2 && i < 4} />
          </li>
        ))}
      </ul>
    </section>
  );
}
