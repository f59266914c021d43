/** @jest-environment jsdom */
import { renderHook, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { addProduct, startServer } from '../../../server/testing/harness';
import { useTray } from '../../shared/tray-store';
import { draw } from '../../testing/desk';
import { onServer } from '../../testing/real-fetch';
import { LooseEndsPage } from './loose-ends-page';

let free: string;
onServer(async () => {
  const made = await startServer();
  free = (await addProduct(made, 'Free kite', 0)).product.id;
  await addProduct(made, 'Dear kite', 9_000);
  return made;
});

const sorts = () => screen.findByRole('navigation', { name: 'Sorts of loose ends' });

test('each sort says why it matters, and each loose end leads to where it is mended', async () => {
  draw(<LooseEndsPage />, '/loose-ends?check=noPrice');
  expect(await screen.findByText(/It would be given away/)).toBeTruthy();
  expect(screen.getByRole('link', { name: 'Mend Free kite' }).getAttribute('href')).toBe(`/goods/${free}`);
  await userEvent.click(within(await sorts()).getByRole('button', { name: /No picture/ }));
  expect(await screen.findByText('Dear kite')).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'All into the tray' }));
  const { result } = renderHook(() => useTray());
  expect(result.current.length).toBe(2);
});

test('one is put aside with a reason, which is asked for, and taken up again', async () => {
  draw(<LooseEndsPage />, '/loose-ends?check=noPrice');
  await userEvent.click(await screen.findByRole('button', { name: 'Put Free kite aside' }));
  const dialog = await screen.findByRole('dialog');
  await userEvent.click(within(dialog).getByRole('button', { name: 'Put it aside' }));
  expect(await within(dialog).findByText('Say why, in a word or two.')).toBeTruthy();
  await userEvent.type(within(dialog).getByLabelText('Why it may stay so'), 'A present');
  await userEvent.click(within(dialog).getByRole('button', { name: 'Put it aside' }));
  expect(await screen.findByText('put aside: A present')).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'Take up Free kite again' }));
  expect(await screen.findByRole('button', { name: 'Put Free kite aside' })).toBeTruthy();
});
