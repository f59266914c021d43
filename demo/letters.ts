import { answerQuestion, ask, lettersOf, waitFor } from '../server/orders/letters';
import type { Catalog } from '../server/state/catalog';

/** Two questions that are open, one that was answered, and somebody who waits for each of two goods that are sold out. */
export function writeLetters(catalog: Catalog): void {
  const { shop } = catalog.live;
  const slugOf = (title: string) => [...shop.products.values()].find((product) => product.title === title)!.slug;
  ask(catalog, shop, {
    slug: slugOf('Harrier delta 180'),
    email: 'noor@example.com',
    text: 'My son is six. Can he hold it by himself in four Beaufort?',
  });
  const [first] = lettersOf(catalog).questions;
  answerQuestion(
    catalog,
    first!.id,
    'Up to three he can. In four it pulls as hard as a small dog, so keep a hand on the line.',
  );
  ask(catalog, shop, {
    slug: slugOf('Braided line'),
    email: 'ilse@example.com',
    text: 'Does it come on reels of 500 m for a club?',
  });
  ask(catalog, shop, {
    slug: slugOf('Bowed diamond 140'),
    email: 'tomas@example.com',
    text: 'Which of the frames fits in a rucksack of 60 cm?',
  });
  const soldOut = shop.listed
    .toArray()
    .map((slot) => shop.products.get(shop.index.id(slot))!)
    .filter(({ id, kind }) => kind === 'physical' && shop.facts(id)!.stock <= 0)
    .slice(0, 2);
  for (const product of soldOut)
    waitFor(catalog, shop, { slug: product.slug, variant: product.variants[0]!.id, email: 'mads@example.com' });
}
