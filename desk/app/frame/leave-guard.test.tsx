/** @jest-environment jsdom */
import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { act } from 'react';
import { createMemoryRouter, Link, Outlet, RouterProvider } from 'react-router';
import { unsaved, type Unsaved } from '../../shared/autosave/unsaved';
import { LeaveGuard } from './leave-guard';

const holder = {};
const say = (state: Unsaved | null) => act(() => (state ? unsaved.set(holder, state) : unsaved.clear(holder)));
afterEach(() => say(null));

function open() {
  const element = (
    <>
      <LeaveGuard />
      <Link to="/there">There</Link>
      <Outlet />
    </>
  );
  const router = createMemoryRouter([{ element, children: [{ path: '*', element: null }] }], {
    initialEntries: ['/here'],
  });
  render(<RouterProvider router={router} />);
  return router;
}

test('what is saved late ends the question whether to leave, and leads on', async () => {
  const router = open();
  say({ problems: [], isOnItsWay: true });
  await userEvent.click(screen.getByText('There'));
  // The server takes longer than anybody waits in silence.
  expect(await screen.findByRole('dialog', {}, { timeout: 10_000 })).toBeTruthy();
  expect(router.state.location.pathname).toBe('/here');
  say(null);
  await waitFor(() => expect(router.state.location.pathname).toBe('/there'));
  expect(screen.queryByRole('dialog')).toBeNull();
});

test('what cannot be saved asks at once, and whoever stays is not led on when it is saved', async () => {
  const router = open();
  say({ problems: ['Price: Type an amount.'], isOnItsWay: false });
  await userEvent.click(screen.getByText('There'));
  await screen.findByRole('dialog');
  await userEvent.click(screen.getByRole('button', { name: /stay|keep|back/i }));
  say(null);
  await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  expect(router.state.location.pathname).toBe('/here');
});
