/** @jest-environment jsdom */
import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { FacetView } from '../../core/storefront/views';
import { isChosen } from './address';
import { Filters } from './filters';

type Choice = Extract<FacetView, { type: 'choice' }>;
const asked: string[] = [];
beforeEach(() => void (asked.length = 0));

const value = (label: string, count = 3, colour?: string) => ({
  value: label.toLowerCase(),
  label,
  count,
  selected: false,
  ...(colour !== undefined && { colour }),
});
const many = Array.from({ length: 20 }, (_, i) => value(`Maker ${String(i + 1).padStart(2, '0')}`));
function draw(facet: Partial<Choice>, url = '/c/kites', isRow = false) {
  const whole = { key: 'brand', label: 'Brand', type: 'choice', values: [], ...facet } as Choice;
  return render(
    <Filters facets={[whole]} url={url} currency="EUR" isRow={isRow} go={(next) => void asked.push(next)} />,
  );
}
const names = () => screen.getAllByRole('checkbox').map((each) => (each as HTMLInputElement).value);

test('a value is chosen and let go of; others that were chosen stay in the address', async () => {
  draw({ values: [value('Lark'), value('Harbour')] }, '/c/kites?f.brand=lark&sort=title');
  await userEvent.click(screen.getByRole('checkbox', { name: /Harbour/ }));
  expect(['lark', 'harbour'].map((each) => isChosen(asked[0]!, 'brand', each))).toEqual([true, true]);
  expect(asked[0]).toContain('sort=title');
  await userEvent.click(screen.getByRole('checkbox', { name: /Lark/ }));
  expect(asked[1]).toBe('/c/kites?sort=title');
});

test('of many values the first are in sight and what is chosen always; the others come out at a press', async () => {
  draw({ values: many }, '/c/kites?f.brand=maker+19');
  expect(names()).toHaveLength(8);
  expect(names()[0]).toBe('maker 19');
  await userEvent.click(screen.getByRole('button', { name: '12 more' }));
  expect(names()).toHaveLength(20);
});

test('one of very many is found by a part of its name, however its letters are written', async () => {
  draw({ values: [...many, value('Grüne Wiese')] });
  await userEvent.type(screen.getByRole('searchbox', { name: 'Find in Brand' }), 'GRUNE');
  expect(names()).toEqual(['grüne wiese']);
  await userEvent.type(screen.getByRole('searchbox'), ' mountain');
  expect(screen.getByText('None has “GRUNE mountain”.')).toBeTruthy();
});

test('how many are in sight at first is the word of the seller', () => {
  draw({ values: many, top: 3 });
  expect(names()).toHaveLength(3);
});

test('colours are told by name and number to those who do not see them', () => {
  draw({ key: 'colour', label: 'Colour', swatches: true, values: [value('Red', 4, '#c00'), value('Plain', 2)] });
  const red = screen.getByRole('checkbox', { name: 'Red, 4' });
  expect(red.closest('label')!.title).toBe('Red, 4');
  expect(screen.getByRole('checkbox', { name: /Plain/ }).closest('label')!.style.background).toBe('');
});

test('in a row above the goods each filter is closed until it is wanted', () => {
  const { container } = draw({ values: [value('Lark')] }, '/c/kites', true);
  expect(container.querySelector('details')!.open).toBe(false);
});

test('without script the form keeps what is asked for beside the filters', () => {
  const { container } = draw({ values: [value('Lark')] }, '/c/kites?sort=title&q=delta&f.brand=lark');
  const hidden = [...container.querySelectorAll<HTMLInputElement>('input[type=hidden]')];
  expect(hidden.map(({ name, value: kept }) => [name, kept]).sort()).toEqual([
    ['q', 'delta'],
    ['sort', 'title'],
  ]);
  expect(within(container).getByRole<HTMLInputElement>('checkbox').checked).toBe(true);
});
