/** @jest-environment jsdom */
import { fireEvent, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import fc from 'fast-check';
import { RangeFacet } from './range-facet';
import { stepOf } from './range-slider';

const facet = {
  key: 'price',
  label: 'Price',
  type: 'range' as const,
  values: { min: 950, max: 35_500 },
  selected: null,
};
type Selected = { min: number | null; max: number | null } | null;
const asked: string[] = [];
const drawn = (selected: Selected) => (
  <RangeFacet
    facet={{ ...facet, selected }}
    url="/c/kites?sort=title"
    currency="EUR"
    go={(url) => void asked.push(url)}
  />
);
let answer: (selected: Selected) => void;
beforeEach(() => {
  asked.length = 0;
  const { rerender } = render(drawn(null));
  answer = (selected) => rerender(drawn(selected));
});
const lowest = () => screen.getByLabelText('Lowest price');

test('what is typed narrows when the field is left, read as people write it', async () => {
  await userEvent.type(lowest(), '€20');
  await userEvent.type(screen.getByLabelText('Highest price'), '1.000,50');
  await userEvent.tab();
  expect(asked.at(-1)).toBe('/c/kites?sort=title&f.price=20..1000.5');
});

test('what cannot be read is said when the field is left, not while it is typed', async () => {
  await userEvent.type(lowest(), '€');
  expect(screen.queryByRole('alert')).toBeNull();
  await userEvent.tab();
  await userEvent.tab();
  await userEvent.click(document.body);
  expect(screen.getByRole('alert').textContent).toContain('“€” cannot be read');
  expect(asked).toEqual([]);
});

test('an end that is dragged stands in its field at once, and narrows when it is let go', () => {
  const end = screen.getByLabelText('Lowest price, slider');
  fireEvent.change(end, { target: { value: '60' } });
  expect((lowest() as HTMLInputElement).value).toBe('60');
  expect(end.getAttribute('aria-valuetext')).toBe('€60.00');
  expect(asked).toEqual([]);
  fireEvent.pointerUp(end);
  expect(asked).toEqual(['/c/kites?sort=title&f.price=60..']);
});

test('the two ends never cross', () => {
  fireEvent.change(screen.getByLabelText('Highest price, slider'), { target: { value: '50' } });
  fireEvent.change(screen.getByLabelText('Lowest price, slider'), { target: { value: '90' } });
  expect((lowest() as HTMLInputElement).value).toBe('50');
});

test('a range is parted into at most a hundred steps of a round size, and not fewer than ten where it can be', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.5, max: 1e6, noNaN: true }), (span) => {
      const step = stepOf(span, 0.01);
      expect(span / step).toBeLessThanOrEqual(100.001);
      expect(span / step).toBeGreaterThanOrEqual(10);
      expect(String(step).replace(/[0.e+-]/g, '')).toMatch(/^[125]/);
    }),
  );
});

test('a late answer takes neither the focus nor what is being typed at the other end', async () => {
  await userEvent.type(lowest(), '20');
  await userEvent.tab();
  const highest = screen.getByLabelText<HTMLInputElement>('Highest price');
  await userEvent.type(highest, '1');
  answer({ min: 2_000, max: null });
  expect(document.activeElement).toBe(highest);
  expect([(lowest() as HTMLInputElement).value, highest.value]).toEqual(['20', '1']);
  await userEvent.type(highest, '00');
  await userEvent.tab();
  expect(asked.at(-1)).toBe('/c/kites?sort=title&f.price=20..100');
});

test('an end that is moved by keys keeps the focus when the answer comes, and gives way when filters are taken away', () => {
  const end = screen.getByLabelText('Lowest price, slider');
  end.focus();
  fireEvent.change(end, { target: { value: '60' } });
  fireEvent.keyUp(end, { key: 'ArrowRight' });
  answer({ min: 6_000, max: null });
  expect(document.activeElement).toBe(end);
  answer(null);
  expect((lowest() as HTMLInputElement).value).toBe('');
});
