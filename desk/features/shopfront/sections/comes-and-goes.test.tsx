/** @jest-environment jsdom */
import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { ComesAndGoes } from './comes-and-goes';

const goods = (...titles: string[]) =>
  titles.map((title) => ({ id: title, title, thumbnail: null, why: 'ordered' as const }));
const told = () => {
  const section = screen.queryByRole('region', { name: 'Since you opened it' });
  return (
    section &&
    within(section)
      .getAllByRole('listitem')
      .map(({ lastElementChild }) => lastElementChild!.textContent)
  );
};

test('who comes and who goes is told against what stood there at first, or from wherever one compares', async () => {
  const { rerender } = render(<ComesAndGoes goods={goods('Wren', 'Ibis')} />);
  expect(told()).toBeNull();
  rerender(<ComesAndGoes goods={goods('Ibis', 'Gannet', 'Tern')} />);
  expect(told()).toEqual(['Gannet', 'Tern', 'Wren']);
  expect(screen.getByText('2 come')).toBeTruthy();
  expect(screen.getByText('1 goes')).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'compare from here' }));
  expect(told()).toBeNull();
  rerender(<ComesAndGoes goods={goods('Ibis', 'Tern', 'Gannet')} />);
  expect(told()).toBeNull();
});
