/** @jest-environment jsdom */
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { draw, serveWith } from '../../testing/desk';
import { AddGoods } from './add-goods';
import { WhatBreaks } from '../../shared/what-breaks';

const row = (id: string, title: string) => ({ id, title, brand: null, thumbnail: null, frame: null });
const goods = ['Wren', 'Tern', 'Harrier'].map((title, i) => row(`p_${i}`, title));

describe('adding goods to a shelf', () => {
  test('Enter adds the one under the cursor, arrows move it, and the words stay for the next', async () => {
    serveWith({ 'POST /api/goods/list': () => ({ body: { rows: goods } }) });
    const add = jest.fn();
    draw(<AddGoods picked={[]} add={add} />);
    const field = screen.getByLabelText('Add goods');
    await userEvent.type(field, 'r');
    await screen.findByText('Wren');
    await userEvent.keyboard('{Enter}');
    await userEvent.keyboard('{ArrowDown}{Enter}');
    expect(add.mock.calls).toEqual([[['p_0']], [['p_1']]]);
    expect((field as HTMLInputElement).value).toBe('r');
  });

  test('goods on the shelf already are not offered, and nothing found is said', async () => {
    let rows = goods;
    serveWith({ 'POST /api/goods/list': () => ({ body: { rows } }) });
    draw(<AddGoods picked={['p_0', 'p_1', 'p_2']} add={jest.fn()} />);
    await userEvent.type(screen.getByLabelText('Add goods'), 'w');
    await screen.findByText('All that has these words is on the shelf already.');
    rows = [];
    await userEvent.type(screen.getByLabelText('Add goods'), 'x');
    await screen.findByText('Nothing found for “wx”.');
  });

  test('at most twenty are offered', async () => {
    const many = Array.from({ length: 60 }, (_, i) => row(`p_${i}`, `Kite ${i}`));
    serveWith({ 'POST /api/goods/list': () => ({ body: { rows: many } }) });
    draw(<AddGoods picked={['p_0']} add={jest.fn()} />);
    await userEvent.type(screen.getByLabelText('Add goods'), 'kite');
    await waitFor(() => expect(screen.getAllByRole('option')).toHaveLength(20));
    expect(screen.queryByText('Kite 0')).toBeNull();
  });
});

test('what breaks when a group goes is named with ways there', async () => {
  const uses = [
    { in: 'menu', id: '', label: 'Wings' },
    { in: 'collection', id: 'k_1', label: 'Gusts' },
  ];
  const asked = serveWith({ 'GET /api/uses/tag/t_1': () => ({ body: { total: 2, uses } }) });
  draw(<WhatBreaks kind="tag" id="t_1" />);
  await screen.findByText(/2 things name it/);
  expect(screen.getByRole('link', { name: 'Gusts' }).getAttribute('href')).toBe('/groups/k_1');
  expect(asked.map(({ what }) => what)).toEqual(['GET /api/uses/tag/t_1']);
});
