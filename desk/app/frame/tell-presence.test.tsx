/** @jest-environment jsdom */
import { act, render } from '@testing-library/react';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { serveWith, type Asked } from '../../testing/desk';
import { unsaved } from '../../shared/autosave/unsaved';
import { useTellPresence } from './tell-presence';

function Telling() {
  useTellPresence();
  return null;
}
const field = {};
let asked: Asked[];
const told = () => asked.map(({ body }) => body as { path: string; title: string; unsaved: string[] });
const pass = (ms: number) => act(() => jest.advanceTimersByTimeAsync(ms));

beforeEach(() => {
  jest.useFakeTimers();
  asked = serveWith({ 'POST /api/presence': () => ({ body: { ok: true } }) });
  document.title = 'Tern · Dispona';
});
afterEach(() => {
  unsaved.clear(field);
  jest.useRealTimers();
});

const start = (at: string) => {
  const router = createMemoryRouter([{ path: '*', element: <Telling /> }], { initialEntries: [at] });
  return { router, ...render(<RouterProvider router={router} />) };
};

test('where one is, is told a moment after one came, again now and then, and not once for each key', async () => {
  const { router } = start('/goods/p_1');
  await pass(1_000);
  expect(told()).toEqual([expect.objectContaining({ path: '/goods/p_1', title: 'Tern', unsaved: [] })]);
  for (let key = 0; key < 10; key++) {
    unsaved.set(field, { problems: [], isOnItsWay: true, fields: ['title'] });
    await pass(80);
  }
  await pass(1_000);
  expect(told()).toHaveLength(2);
  expect(told()[1]).toMatchObject({ unsaved: ['title'] });
  unsaved.clear(field);
  await pass(1_000);
  expect(told()[2]).toMatchObject({ unsaved: [] });
  document.title = 'Groups · Dispona';
  await act(() => router.navigate('/groups'));
  await pass(1_000);
  expect(told()[3]).toMatchObject({ path: '/groups', title: 'Groups' });
  await pass(31_000);
  expect(told()).toHaveLength(5);
});

test('who leaves says so; a tab that nobody sees says nothing', async () => {
  const first = start('/goods');
  await pass(1_000);
  first.unmount();
  await pass(100);
  expect(told().at(-1)).toMatchObject({ path: '' });
  Object.defineProperty(document, 'hidden', { configurable: true, value: true });
  const before = told().length;
  start('/groups');
  await pass(5_000);
  expect(told()).toHaveLength(before);
  Object.defineProperty(document, 'hidden', { configurable: true, value: false });
});

test('a server that is away is no reason to stop telling', async () => {
  asked = serveWith({});
  start('/goods');
  await pass(1_000);
  await pass(31_000);
  expect(told()).toHaveLength(2);
});
