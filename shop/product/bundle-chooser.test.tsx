/** @jest-environment jsdom */
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import type { BundleView } from '../../core/storefront/views';
import { startChoice, type BundleChoice } from './bundle-choice';
import { BundleChooser } from './bundle-chooser';

const part = (title: string, variants: [string, number, number][]) => ({
  id: title,
  title,
  url: `/p/${title.toLowerCase()}`,
  picture: null,
  variants: variants.map(([label, price, most]) => ({ id: `${title}${label}`, label, price, most })),
});
const bundle: BundleView = {
  off: 1_000,
  slots: [
    {
      id: 'kite',
      label: 'Kite',
      min: 1,
      max: 1,
      usual: null,
      parts: [
        part('Tern', [
          ['S', 2_000, 4],
          ['M', 3_000, 2],
          ['L', 4_000, 0],
        ]),
        part('Wren', [['', 1_000, 9]]),
      ],
    },
    { id: 'line', label: 'Lines', min: 1, max: 3, usual: null, parts: [part('Cord', [['', 500, 9]])] },
    { id: 'tail', label: 'Tail', min: 0, max: 1, usual: null, parts: [part('Streamer', [['', 400, 0]])] },
  ],
};
let last: BundleChoice;
function Chooser({ of = bundle }: { of?: BundleView }) {
  const [choice, setChoice] = useState(() => startChoice(of));
  last = choice;
  return <BundleChooser bundle={of} choice={choice} setChoice={setChoice} fixed={4_900} currency="EUR" />;
}

test('another kite is chosen at a press, in another size; the sum follows', async () => {
  render(<Chooser />);
  expect(screen.getByText('€22.50')).toBeTruthy();
  await userEvent.selectOptions(screen.getByLabelText('Version of Tern'), 'M');
  expect(last.kite).toEqual({ TernM: 1 });
  expect(screen.getByText('€31.50')).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'Choose Wren' }));
  expect(last.kite).toEqual({ Wren: 1 });
  expect(screen.getByRole('button', { name: 'Choose Wren', pressed: true })).toBeTruthy();
  expect(screen.getByText('€15.00 one by one, €1.50 saved')).toBeTruthy();
});

test('a size that was looked at before is the one that is chosen', async () => {
  render(<Chooser />);
  await userEvent.click(screen.getByRole('button', { name: 'Choose Wren' }));
  await userEvent.selectOptions(screen.getByLabelText('Version of Tern'), 'M');
  expect(last.kite).toEqual({ Wren: 1 });
  await userEvent.click(screen.getByRole('button', { name: 'Choose Tern' }));
  expect(last.kite).toEqual({ TernM: 1 });
});

test('lines are counted up to what the slot takes; too few say how many are missing', async () => {
  render(<Chooser />);
  for (let i = 0; i < 4; i++) await userEvent.click(screen.getByRole('button', { name: 'One more Cord' }));
  expect(last.line).toEqual({ Cord: 3 });
  for (let i = 0; i < 3; i++) await userEvent.click(screen.getByRole('button', { name: 'One less Cord' }));
  expect(screen.getByText('Choose 1 more: Lines')).toBeTruthy();
  expect(screen.getByRole<HTMLButtonElement>('button', { name: 'One less Cord' }).disabled).toBe(true);
});

test('what is sold out cannot be chosen, by itself or as a version', () => {
  render(<Chooser />);
  expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Choose Streamer' }).disabled).toBe(true);
  expect(screen.getByRole<HTMLOptionElement>('option', { name: 'L, sold out' }).disabled).toBe(true);
});

test('where the bundle has one price, its parts tell none', () => {
  render(<Chooser of={{ ...bundle, off: null }} />);
  expect(screen.getByText('€49.00')).toBeTruthy();
  expect(screen.queryByText('€20.00')).toBeNull();
  expect(screen.getAllByText('Can be had').length).toBeGreaterThan(0);
});
