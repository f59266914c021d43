import { setTimeout as wait } from 'node:timers/promises';
import { WriteLock } from './write-lock';

test('long work waits for writes under way, writes wait for long work, and none is forgotten', async () => {
  const lock = new WriteLock();
  const told: string[] = [];
  const run = (name: string, ms: number) => async () => {
    told.push(`${name} begins`);
    await wait(ms);
    told.push(`${name} ends`);
    return name;
  };
  const all = [
    lock.shared(run('a', 20)),
    lock.shared(run('b', 5)),
    lock.exclusive(run('long', 10)),
    lock.shared(run('c', 1)),
    lock.exclusive(run('longer', 5)),
    lock.shared(run('d', 1)),
  ];
  expect(await Promise.all(all)).toEqual(['a', 'b', 'long', 'c', 'longer', 'd']);
  expect(told).toEqual([
    'a begins',
    'b begins',
    'b ends',
    'a ends',
    'long begins',
    'long ends',
    'c begins',
    'c ends',
    'longer begins',
    'longer ends',
    'd begins',
    'd ends',
  ]);
});

test('work that fails makes room for what waits', async () => {
  const lock = new WriteLock();
  const failing = lock.exclusive(() => Promise.reject(new Error('no')));
  const next = lock.shared(() => 'yes');
  await expect(failing).rejects.toThrow('no');
  expect(await next).toBe('yes');
});
