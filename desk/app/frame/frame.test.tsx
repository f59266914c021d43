/** @jest-environment jsdom */
import { act, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useRoutes } from 'react-router';
import { addProduct, startServer } from '../../../server/testing/harness';
import { tray } from '../../shared/tray-store';
import { draw } from '../../testing/desk';
import { onServer } from '../../testing/real-fetch';
import { READY, REDRAW } from '../../../contract/shop-window';
import { Frame } from './frame';

/** Stands for the stream of what others change. */
class Events {
  static last: Events | undefined;
  readonly told = new Map<string, (event: { data: string }) => void>();
  onmessage: unknown;
  constructor() {
    Events.last = this;
  }
  addEventListener(name: string, listener: (event: { data: string }) => void) {
    this.told.set(name, listener);
  }
  close() {}
}
Object.assign(globalThis, { EventSource: Events });

let harrier: string;
const server = onServer(async () => {
  const made = await startServer();
  harrier = (await addProduct(made, 'Harrier delta', 6_400)).product.id;
  return made;
});
beforeEach(() => act(() => tray.empty()));

function Screens() {
  return useRoutes([
    {
      element: <Frame />,
      children: [
        { path: '/goods', element: <h1>The goods</h1> },
        { path: '/goods/:id', element: <h1>A product</h1> },
        { path: '/groups', element: <h1>The groups</h1> },
        { path: '/shopfront', element: <h1>The shopfront</h1> },
        { path: '*', element: <h1>Somewhere else</h1> },
      ],
    },
  ]);
}
const open = async () => {
  const drawn = draw(<Screens />, '/goods');
  await screen.findByText('The goods');
  return drawn;
};
const rest = () => act(() => new Promise((resolve) => setTimeout(resolve, 1_100)));

test('anything is found by name from everywhere, and opened', async () => {
  const { router } = await open();
  await userEvent.keyboard('/');
  await userEvent.type(screen.getByLabelText('Find or do anything'), 'harrier');
  await userEvent.click(await screen.findByRole('option', { name: /Harrier delta/ }));
  await waitFor(() => expect(router.state.location.pathname).toBe(`/goods/${harrier}`));
});

test('two keys one after the other lead to a desk', async () => {
  const { router } = await open();
  await rest();
  await userEvent.keyboard('gr');
  await waitFor(() => expect(router.state.location.pathname).toBe('/groups'));
  await userEvent.keyboard('gs');
  await waitFor(() => expect(router.state.location.pathname).toBe('/shopfront'));
});

test('how much is to be put live, and what undo would take back, is told in the head', async () => {
  await server().call('POST', '/api/editions', {});
  await server().call('PATCH', `/api/products/${harrier}`, {
    seen: Number.MAX_SAFE_INTEGER,
    fields: { title: 'Harrier delta two' },
  });
  await open();
  expect(await screen.findByRole('link', { name: /Review 1 change/ })).toBeTruthy();
  const undo = await screen.findByRole('button', { name: /^Undo: Changed title/ });
  await userEvent.click(undo);
  await waitFor(() => expect(server().catalog.working.products.get(harrier)!.title).toBe('Harrier delta'));
  expect(await screen.findByRole('button', { name: /^Redo: Changed title/ })).toBeTruthy();
});

test('goods that are picked up are along the bottom edge, on every desk, until the tray is emptied', async () => {
  await open();
  act(() => tray.add([harrier]));
  const bar = await screen.findByRole('region', { name: 'Tray' });
  await waitFor(() => expect(bar.textContent).toContain('1'));
  await userEvent.click(screen.getByRole('link', { name: 'Groups' }));
  expect(await screen.findByRole('region', { name: 'Tray' })).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'Empty tray' }));
  await waitFor(() => expect(screen.queryByRole('region', { name: 'Tray' })).toBeNull());
});

describe('the tray', () => {
  const shelves = () => [...server().catalog.working.shop.collections.values()];
  const fill = async () => {
    const wren = (await addProduct(server(), 'Wren sled', 1_850)).product.id;
    await open();
    act(() => tray.add([harrier, wren]));
    await screen.findByText(/^2 products, kept/);
    return wren;
  };

  test('shows what is in it, and one is taken out', async () => {
    await fill();
    await userEvent.click(screen.getByRole('button', { name: 'Show the goods in the tray' }));
    await userEvent.click(await screen.findByRole('button', { name: 'Take Wren sled out of the tray' }));
    expect(await screen.findByText(/^1 product, kept/)).toBeTruthy();
  });

  test('becomes a new collection, once, however often one clicks; and goes into one that is there', async () => {
    await fill();
    await userEvent.click(screen.getByRole('button', { name: 'Add to group…' }));
    await userEvent.type(await screen.findByRole('textbox'), 'For the beach');
    await userEvent.dblClick(await screen.findByRole('button', { name: /For the beach/ }));
    await waitFor(() =>
      expect(shelves().map(({ name, picked }) => [name, picked.length])).toEqual([['For the beach', 2]]),
    );
    const tern = (await addProduct(server(), 'Tern flyer', 1_250)).product.id;
    act(() => tray.add([tern]));
    await userEvent.click(await screen.findByRole('button', { name: 'Add to group…' }));
    await userEvent.click(await screen.findByRole('button', { name: /For the beach/ }));
    await waitFor(() => expect(shelves()[0]!.picked).toHaveLength(3));
    expect(shelves()).toHaveLength(1);
  });

  test('what can be done to many is chosen from one list, by name', async () => {
    const wren = await fill();
    await userEvent.click(screen.getByRole('button', { name: 'Change…' }));
    await userEvent.click(await screen.findByRole('menuitem', { name: 'Supplier' }));
    await userEvent.type(await screen.findByRole('combobox', { name: 'Supplier' }), 'Windwerk');
    await userEvent.click(await screen.findByRole('button', { name: 'Change 2 products' }));
    await waitFor(() => expect(server().catalog.working.products.get(wren)!.supplier).toBe('Windwerk'));
  });
});

test('a page of the shop window that loads while the shop changes is drawn again once it listens', async () => {
  await open();
  const frame = await screen.findByTitle<HTMLIFrameElement>('The shop as shoppers will see it');
  const sent: unknown[] = [];
  jest.spyOn(frame.contentWindow!, 'postMessage').mockImplementation((message: unknown) => void sent.push(message));
  const ready = () =>
    act(
      () =>
        void window.dispatchEvent(
          new MessageEvent('message', { data: READY, origin: window.location.origin, source: frame.contentWindow }),
        ),
    );
  ready();
  expect(sent).toEqual([]);
  act(() => Events.last!.told.get('changed')!({ data: JSON.stringify({ id: 1, subjects: null }) }));
  expect(sent).toEqual([REDRAW]);
  ready();
  expect(sent).toEqual([REDRAW, REDRAW]);
});

test('deeds are found by their words as goods are; what nothing is called is said', async () => {
  await open();
  const find = screen.getByLabelText<HTMLInputElement>('Find or do anything');
  await userEvent.type(find, 'zzz');
  expect(await screen.findByText(/^Nothing is called “zzz”/)).toBeTruthy();
  await userEvent.clear(find);
  await userEvent.type(find, 'new prod');
  await userEvent.click(await screen.findByRole('option', { name: /New product/i }));
  expect(await screen.findByRole('dialog', { name: 'New product' })).toBeTruthy();
  expect(find.value).toBe('');
});

test('a new product needs a title and an amount, and a double click makes one', async () => {
  const { router } = await open();
  await rest();
  await userEvent.keyboard('n');
  await userEvent.type(await screen.findByLabelText('Price'), 'cheap');
  await userEvent.click(screen.getByRole('button', { name: /Make|Create|Add/ }));
  expect(await screen.findByText('Type an amount, like 24.50.')).toBeTruthy();
  await userEvent.clear(screen.getByLabelText('Price'));
  await userEvent.type(screen.getByLabelText('Price'), '12,50');
  await userEvent.type(screen.getByLabelText('Title'), 'Puffin kite');
  await userEvent.dblClick(screen.getByRole('button', { name: /Make|Create|Add/ }));
  await waitFor(() => expect(router.state.location.pathname).toMatch(/^\/goods\/p_/));
  const made = [...server().catalog.working.products.values()].filter(({ title }) => title === 'Puffin kite');
  expect(made.map(({ variants }) => variants[0]!.price)).toEqual([1_250]);
});
