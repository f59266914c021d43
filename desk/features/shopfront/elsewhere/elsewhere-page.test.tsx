/** @jest-environment jsdom */
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { startShop } from '../../../../server/testing/harness';
import { draw } from '../../../testing/desk';
import { onServer } from '../../../testing/real-fetch';
import { ElsewherePage } from './elsewhere-page';

const server = onServer(() => startShop({ Tern: 2_000, Wren: 1_000 }));
const embedNow = () => [...server().catalog.working.shop.embeds.values()][0]!;

beforeAll(() => {
  globalThis.ResizeObserver ??= class {
    observe() {}
    unobserve() {}
    disconnect() {}
  };
});

test('goods for another site are made, told in lines, and what cannot be saved waits on screen', async () => {
  draw(<ElsewherePage />, '/shopfront?view=elsewhere');
  await userEvent.click(await screen.findByRole('button', { name: 'New' }));
  const lines = await screen.findByLabelText<HTMLTextAreaElement>('Lines for the other site');
  const { id } = embedNow();
  expect(lines.value.split('\n')).toEqual([
    `<dispona-goods of="${id}"></dispona-goods>`,
    `<script type="module" src="https://shop.example/embed/${id}.js"></script>`,
    '<noscript><a href="https://shop.example/">Goods for another site</a></noscript>',
  ]);
  await userEvent.click(screen.getByRole('radio', { name: '3' }));
  await waitFor(() => expect(embedNow().strip.columns).toBe(3));
  const size = screen.getByLabelText('Size of letters');
  await userEvent.clear(size);
  await userEvent.type(size, '99');
  expect(await screen.findByText('At most 24.')).toBeTruthy();
  await userEvent.click(screen.getByRole('checkbox', { name: 'Shoppers fill a basket there' }));
  await waitFor(() => expect(embedNow()).toMatchObject({ basket: false, look: { size: 16 } }));
  await userEvent.clear(size);
  await userEvent.type(size, '18');
  await waitFor(() => expect(embedNow().look.size).toBe(18));
  await userEvent.click(screen.getByRole('button', { name: 'Delete' }));
  await userEvent.click(await screen.findByRole('button', { name: 'Take it off' }));
  expect(await screen.findByText('Your goods on any page')).toBeTruthy();
}, 40_000);
