/** @jest-environment jsdom */
import { screen } from '@testing-library/react';
import { draw, serveWith } from '../../testing/desk';
import OthersHere, { HereToo } from './others-here';

const at = (name: string, path: string, unsaved: string[] = []) => ({
  userId: name,
  name,
  path,
  title: path === '/goods/p_1' ? 'Tern' : 'Goods',
  unsaved,
});
const others = (...all: ReturnType<typeof at>[]) =>
  serveWith({ 'GET /api/presence': () => ({ body: { others: all } }) });

test('each person stands once, where they moved last, with what they have not saved in words', async () => {
  others(at('Robin Reed', '/goods/p_1', ['title', 'metaTitle']), at('Robin Reed', '/goods'), at('Ada', '/goods'));
  draw(<OthersHere />);
  const robin = await screen.findByRole('link', {
    name: 'Robin Reed is at “Tern” and has not saved: title, meta title',
  });
  expect([robin.textContent, robin.getAttribute('href')]).toEqual(['RR', '/goods/p_1']);
  expect(screen.getAllByRole('link')).toHaveLength(2);
});

test('who is on the same screen is told there, and nobody where one is alone', async () => {
  others(at('Robin Reed', '/goods/p_1', ['summary']), at('Ada', '/goods'));
  const first = draw(<HereToo />, '/goods/p_1');
  expect((await screen.findByRole('status')).textContent).toBe('Robin Reed is here too, and is changing summary.');
  first.unmount();
  others(at('Ada', '/goods'));
  draw(<HereToo />, '/goods/p_1');
  expect(screen.queryByRole('status')).toBeNull();
});
