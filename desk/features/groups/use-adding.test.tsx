/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react';
import { useAdding } from './use-adding';

/** A server that answers when it is told to. */
function slowServer() {
  const asked: { name: string; parentId: string | null; place?: number }[] = [];
  const waiting: { done: (made: { id: string }) => void; failed: (why: Error) => void; name: string }[] = [];
  const create = (body: (typeof asked)[number]) => {
    asked.push(body);
    return new Promise<{ id: string }>((done, failed) => waiting.push({ done, failed, name: body.name }));
  };
  /** Answers all that was asked, and what is asked because of it. */
  const answerAll = async (refused = '') => {
    for (let i = 0; i < 12; i++)
      await act(async () => {
        const { done, failed, name } = waiting.shift() ?? {};
        if (name === refused && name !== undefined) failed!(new Error('taken'));
        else done?.({ id: `c_${name}` });
        await Promise.resolve();
      });
  };
  return { asked, create, answerAll };
}

const draw = (categories: { id: string; parentId: string | null }[], server: ReturnType<typeof slowServer>) =>
  renderHook(() => useAdding(categories, server.create)).result;
type Drawn = ReturnType<typeof draw>;

const type = (hook: Drawn, name: string, goesOn = true) =>
  act(async () => hook.current.keep(name, goesOn, hook.current.adding!));

test('names typed before the server answers are made in their order', async () => {
  const server = slowServer();
  const hook = draw([], server);
  act(() => hook.current.begin(null));
  for (const name of ['Kites', 'Reels', 'Spares']) await type(hook, name);
  expect(server.asked.map(({ name }) => name)).toEqual(['Kites']);
  await server.answerAll();
  expect(server.asked).toEqual([
    { name: 'Kites', parentId: null },
    { name: 'Reels', parentId: null },
    { name: 'Spares', parentId: null },
  ]);
  expect(hook.current.adding!.shownAfter).toBe('c_Spares');
});

test('one indented goes below the one above it, though that is still being made; out again, beside it', async () => {
  const server = slowServer();
  const hook = draw([], server);
  act(() => hook.current.begin(null));
  await type(hook, 'Reels');
  act(() => hook.current.shift('in'));
  act(() => hook.current.shift('in'));
  expect(hook.current.adding!.parents).toHaveLength(2);
  await type(hook, 'Hand reels');
  await type(hook, 'Winders');
  act(() => hook.current.shift('out'));
  await type(hook, 'Spares', false);
  await server.answerAll();
  expect(server.asked.map(({ name, parentId }) => [name, parentId])).toEqual([
    ['Reels', null],
    ['Hand reels', 'c_Reels'],
    ['Winders', 'c_Reels'],
    ['Spares', null],
  ]);
  expect(hook.current.adding).toBeNull();
});

test('between others, names keep their places one after the other', async () => {
  const server = slowServer();
  const rows = ['a', 'b', 'c'].map((id) => ({ id, parentId: 'top' }));
  const hook = draw([{ id: 'top', parentId: null }, ...rows], server);
  act(() => hook.current.begin(rows[0]!));
  expect(hook.current.adding!.parents).toHaveLength(2);
  await type(hook, 'One');
  await type(hook, 'Two');
  await server.answerAll();
  expect(server.asked).toEqual([
    { name: 'One', parentId: 'top', place: 1 },
    { name: 'Two', parentId: 'top', place: 2 },
  ]);
});

test('a name that cannot be made comes back into its line', async () => {
  const server = slowServer();
  const hook = draw([], server);
  act(() => hook.current.begin(null));
  await type(hook, 'Kites', false);
  await server.answerAll('Kites');
  expect(hook.current.adding!.name).toBe('Kites');
});

test('names that cannot be made are not lost while the next is typed, and one below them is not put elsewhere', async () => {
  const server = slowServer();
  const hook = draw([], server);
  act(() => hook.current.begin(null));
  await type(hook, 'Kites');
  act(() => hook.current.shift('in'));
  await type(hook, 'Deltas');
  await server.answerAll('Kites');
  expect(server.asked.map(({ name }) => name)).toEqual(['Kites']);
  act(() => hook.current.stop());
  expect(hook.current.adding!.name).toBe('Kites');
  act(() => hook.current.stop());
  expect(hook.current.adding!.name).toBe('Deltas');
  act(() => hook.current.stop());
  expect(hook.current.adding).toBeNull();
});
