/** @jest-environment jsdom */
import { act, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Suggestions } from '../../core/storefront/views';
import { WindowContext } from '../base';
import { SearchBox } from './search-box';

/** Questions that nobody has answered yet, by what was asked. */
let open = new Map<string, (found: Partial<Suggestions>) => Promise<void>>();
const asked: string[] = [];
beforeEach(() => {
  localStorage.clear();
  open = new Map();
  asked.length = 0;
  globalThis.fetch = ((url: string, { signal }: RequestInit) => {
    asked.push(url);
    return new Promise((resolve, reject) => {
      signal!.addEventListener('abort', () => reject(new Error('stopped')));
      open.set(decodeURIComponent(url.split('q=')[1]!), (found) =>
        act(async () => {
          const whole = { words: [], places: [], goods: [], total: 0, ...found };
          resolve({ ok: true, json: () => Promise.resolve(whole) });
          for (let i = 0; i < 4; i++) await Promise.resolve();
        }),
      );
    });
  }) as never;
});
const field = () => screen.getByRole<HTMLInputElement>('combobox');
const options = () => screen.queryAllByRole('option').map(({ textContent }) => textContent);
const draw = (base = '') =>
  render(
    <WindowContext value={base !== ''}>
      <SearchBox base={base} initial="" />
    </WindowContext>,
  );
const answer = async (q: string, found: Partial<Suggestions>) => {
  await waitFor(() => expect(open.has(q)).toBe(true));
  await open.get(q)!(found);
};
const places: Suggestions['places'] = [{ kind: 'category', label: 'Deltas', url: '/c/deltas', count: 12 }];

test('what is typed is completed; the arrows go through the words and places, and back into the field', async () => {
  draw();
  await userEvent.type(field(), 'del');
  await answer('del', { words: ['delta', 'delta kite'], places });
  expect(options()).toEqual(['delta', 'delta kite', 'Deltascategory, 12']);
  await userEvent.keyboard('{ArrowDown}{ArrowDown}');
  expect(document.getElementById(field().getAttribute('aria-activedescendant')!)!.textContent).toBe('delta kite');
  await userEvent.keyboard('{ArrowDown}{ArrowDown}');
  expect(field().getAttribute('aria-activedescendant')).toBeNull();
  await userEvent.keyboard('{ArrowUp}');
  expect(screen.getByRole('option', { selected: true }).getAttribute('href')).toBe('/c/deltas');
  await userEvent.keyboard('{Escape}');
  expect(options()).toEqual([]);
  expect(field().value).toBe('del');
});

test('an answer to what was typed before is not shown beside other words', async () => {
  draw();
  await userEvent.type(field(), 'ree');
  await answer('ree', { words: ['reel'] });
  expect(options()).toEqual(['reel']);
  await userEvent.clear(field());
  await userEvent.type(field(), 'tail');
  expect(options()).toEqual([]);
  await answer('tail', { words: ['tail, 10 m'] });
  expect(options()).toEqual(['tail, 10 m']);
});

test('letters that come quickly are asked for once, and the shop window asks the preview', async () => {
  draw('/preview');
  await userEvent.type(field(), 'kite');
  await waitFor(() => expect(asked.at(-1)).toBe('/preview/suggest?q=kite'));
  expect(asked.length).toBeLessThan(4);
});

test('where nothing is found, that is said; what is missing a moment ago is not said of longer words', async () => {
  draw();
  await userEvent.type(field(), 'zzz');
  await answer('zzz', {});
  expect(screen.getByText(/Nothing found for “zzz”/)).toBeTruthy();
  expect(screen.getByRole('status').textContent).toBe('No suggestions');
  await userEvent.type(field(), 'y');
  expect(screen.queryByText(/Nothing found for “zzzy”/)).toBeNull();
});

test('what was searched for is offered again to whoever comes into the empty field, the last first, each once', async () => {
  const { container } = draw();
  container.addEventListener('submit', (event) => event.preventDefault());
  for (const words of ['reel', 'Delta', 'delta']) {
    await userEvent.clear(field());
    await userEvent.type(field(), `${words}{Enter}`);
  }
  await userEvent.clear(field());
  await userEvent.click(document.body);
  await userEvent.click(field());
  expect(options()).toEqual(['delta', 'reel']);
  expect(screen.getByText('You searched for')).toBeTruthy();
});

test('all results are one press away when there are more than are shown', async () => {
  draw();
  await userEvent.type(field(), 'kite');
  await answer('kite', { words: ['kite'], total: 312 });
  expect(screen.getByRole('button', { name: 'All 312 results' })).toBeTruthy();
});
