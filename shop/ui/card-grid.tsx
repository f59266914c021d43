import type { ProductCard as Card } from '../../core/storefront/views';
import { ProductCard } from './product-card';

/** Cards in rows of four below a title. */
export const CardGrid = ({ id, title, cards }: { id: string; title: string; cards: readonly Card[] }) => (
  <section className="mt-20" aria-labelledby={id}>
    <h2 id={id} className="mb-5 font-display text-2xl font-bold tracking-tight text-ink">
      {title}
    </h2>
    <ul className="grid grid-cols-2 gap-x-4 gap-y-8 md:grid-cols-4 lg:gap-x-6">
      {cards.map((card) => (
        <li key={card.id}>
          <ProductCard card={card} />
        </li>
      ))}
    </ul>
  </section>
);
