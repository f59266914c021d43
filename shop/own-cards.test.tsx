/** @jest-environment jsdom */
import { render, screen, waitFor } from '@testing-library/react';
import type { OwnSource } from '../core/model/sections/strip';
import { BasketContext, type BasketDesk } from './basket/basket-store';
import { useOwnCards } from './own-cards';

const asked: string[] = [];
beforeEach(() => {
  asked.length = 0;
  localStorage.clear();
  global.fetch = ((address: string) => {
    asked.push(address);
    return Promise.resolve({ json: () => Promise.resolve({ items: [{ id: 'p_1', title: 'Tern' }] }) });
  }) as unknown as typeof fetch;
});

function Titles({ source }: { source: OwnSource | null }) {
  return <p>{useOwnCards(source, 4).map(({ title }) => title)}</p>;
}
const shown = (source: OwnSource | null, pieces: number) => (
  <BasketContext value={{ pieces } as BasketDesk}>
    <Titles source={source} />
  </BasketContext>
);

test('what goes with the basket is asked for when there is one, and again when it changes', async () => {
  const { rerender } = render(shown('goesWithBasket', 0));
  expect(asked).toEqual([]);
  rerender(shown('goesWithBasket', 1));
  expect(await screen.findByText('Tern')).toBeTruthy();
  rerender(shown('goesWithBasket', 2));
  await waitFor(() => expect(asked).toEqual(Array(2).fill('/shop-api/basket/goes-with?count=4')));
  // An empty basket leaves nothing behind.
  rerender(shown('goesWithBasket', 0));
  await waitFor(() => expect(screen.queryByText('Tern')).toBeNull());
});

test('what was seen is asked for once, whatever the basket does; others ask for nothing', async () => {
  localStorage.setItem('seen', JSON.stringify(['tern', 'wren']));
  const { rerender } = render(shown('recentlySeen', 0));
  expect(await screen.findByText('Tern')).toBeTruthy();
  rerender(shown('recentlySeen', 3));
  expect(asked).toEqual(['/shop-api/cards?slugs=tern%2Cwren']);
  rerender(shown(null, 3));
  await waitFor(() => expect(screen.queryByText('Tern')).toBeNull());
  expect(asked).toHaveLength(1);
});
