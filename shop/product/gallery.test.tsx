/** @jest-environment jsdom */
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { renderToString } from 'react-dom/server';
import type { ProductView } from '../../core/storefront/views';
import { Gallery } from './gallery';

const picture = (id: string): ProductView['pictures'][number] => ({
  id,
  media: id.repeat(32).slice(0, 32),
  alt: `Kite ${id}`,
  width: 1_000,
  height: 1_000,
  focus: { x: 0.5, y: 0.5 },
  fit: 'fills',
  background: '#ffffff',
});
const pictures = ['a', 'b', 'c'].map(picture);

function Held({ first = null }: { first?: string | null }) {
  const [shown, show] = useState(first);
  return <Gallery pictures={pictures} shown={shown} show={show} />;
}
beforeEach(() => {
  Element.prototype.scrollTo = () => undefined;
});
const status = () => screen.getByRole('status').textContent;

test('buttons, keys and the small pictures go from one to the next, around both ends', async () => {
  render(<Held />);
  expect(status()).toBe('Picture 1 of 3');
  await userEvent.click(screen.getByRole('button', { name: 'Previous picture' }));
  expect(status()).toBe('Picture 3 of 3');
  await userEvent.keyboard('{ArrowRight}');
  expect(status()).toBe('Picture 1 of 3');
  await userEvent.click(screen.getByRole('link', { name: 'Show picture 2: Kite b' }));
  expect(status()).toBe('Picture 2 of 3');
  expect(screen.getByRole('link', { name: 'Show picture 2: Kite b' }).getAttribute('aria-current')).toBe('true');
});

test('only the picture that is looked at is met by Tab', () => {
  render(<Held first="b" />);
  const whole = screen.getAllByRole('link', { name: /See the whole/ });
  expect(whole.map((link) => link.getAttribute('tabindex'))).toEqual(['-1', null, '-1']);
});

test('without script the one that is looked at comes first, and small ones lead to the large', () => {
  const html = renderToString(<Held first="b" />);
  expect(html).toMatch(/id="picture-b"[^>]*order-first/);
  expect(html).not.toMatch(/id="picture-a"[^>]*order-first/);
  expect(html).toContain('href="#picture-c"');
  expect(html).not.toContain('Next picture');
});

test('a product without pictures has a frame that says so', () => {
  render(<Gallery pictures={[]} shown={null} show={() => undefined} />);
  expect(screen.getByText('No picture yet')).toBeTruthy();
});
