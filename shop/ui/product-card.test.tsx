/** @jest-environment jsdom */
import { fireEvent, render, screen } from '@testing-library/react';
import { usualCardLook, type CardPart } from '../../core/model/card-choices';
import type { CardLook } from '../../core/storefront/frame-view';
import type { ProductCard as Card } from '../../core/storefront/views';
import { CardLookContext } from './card-look';
import { ProductCard } from './product-card';

const picture = {
  media: 'a'.repeat(32),
  alt: 'Tern',
  width: 900,
  height: 900,
  focus: { x: 0.5, y: 0.5 },
  fit: 'fills' as const,
  background: '#ffffff',
};
const card: Card = {
  id: 'p_tern01',
  slug: 'tern',
  title: 'Tern',
  url: '/p/tern',
  image: null,
  picture,
  price: { min: 1_000, max: 2_000, currency: 'EUR' },
  pricing: 'shown',
  wasPrice: null,
  unitPrice: { amount: 25, words: 'per metre' },
  inStock: true,
  brand: 'Alula',
  variantId: 'v_1',
  swatches: [
    { label: 'Ember', colour: '#e4572e' },
    { label: 'Sea', colour: '#1d4f91' },
  ],
  badges: [{ words: 'New', colour: 'sea' }],
  category: 'Deltas',
  stock: 'In stock',
  button: 'Choose',
};

function draw(look: Partial<CardLook> = {}, over: Partial<Card> = {}, without: CardPart[] = []) {
  const { container } = render(
    <CardLookContext value={{ ...usualCardLook, ...look }}>
      <ProductCard card={{ ...card, ...over }} without={without} />
    </CardLookContext>,
  );
  return container;
}
const words = (container: HTMLElement) => container.textContent;

test('parts come in the order of the seller, and no others', () => {
  expect(words(draw({ parts: ['title', 'category', 'stock', 'button'] }))).toBe('TernDeltasIn stockChoose');
  expect(words(draw({ parts: ['button', 'title'] }))).toBe('ChooseTern');
});

test('colours stand beside the price where they follow it, else in a row of their own', () => {
  const beside = draw({ parts: ['price', 'swatches'] }).querySelector('[title="Ember, Sea"]')!;
  expect(beside.parentElement!.textContent).toContain('€10.00');
  const alone = draw({ parts: ['swatches', 'price'] }).querySelector('[title="Ember, Sea"]')!;
  expect(alone.parentElement!.textContent).not.toContain('€10.00');
});

test('a price is told as the lowest with “from”, or as both ends', () => {
  expect(words(draw({ parts: ['price'] }))).toBe('from€10.00');
  expect(words(draw({ parts: ['price'], price: 'range' }))).toMatch(/€10\.00\s*.\s*€?20\.00/);
});

test('a place leaves out parts; without a price there is no price per unit either', () => {
  expect(words(draw({}, {}, ['brand', 'price']))).toBe('NewTern');
});

test('badges stand on the picture', () => {
  draw();
  expect(screen.getByText('New').closest('.card-picture')).not.toBeNull();
});

test('a second picture is loaded when somebody points at the card, not by a finger, and says nothing twice', () => {
  const container = draw({}, { second: { ...picture, media: 'b'.repeat(32), alt: 'Tern, from behind' } });
  const alts = () => [...container.querySelectorAll('img')].map(({ alt }) => alt);
  const point = (pointerType: string) =>
    fireEvent(
      container.firstElementChild!,
      Object.assign(new Event('pointerover', { bubbles: true }), { pointerType }),
    );
  expect(alts()).toEqual(['Tern']);
  point('touch');
  expect(alts()).toEqual(['Tern']);
  point('mouse');
  expect(alts()).toEqual(['Tern', '']);
});

test('the whole card is one link', () => {
  draw({ parts: ['picture', 'title', 'button'] });
  expect(screen.getAllByRole('link')).toHaveLength(1);
  expect(screen.queryByRole('button')).toBeNull();
});
