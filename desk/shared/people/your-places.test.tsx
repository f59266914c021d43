/** @jest-environment jsdom */
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { draw, serveWith } from '../../testing/desk';
import { YourPlaces } from './your-places';

const place = (id: string, device: string, isThis = false) => ({
  id,
  device,
  opened: '2026-11-01T10:00:00.000Z',
  used: '2026-11-02T10:00:00.000Z',
  isThis,
});

test('each place can be left by itself, but this one; or all others at once', async () => {
  let places = [place('a', 'Firefox on Linux', true), place('b', 'Safari on iOS'), place('c', 'An unknown device')];
  const asked = serveWith({
    'GET /api/sessions': () => ({ body: { sessions: places } }),
    'DELETE /api/sessions/b': () => {
      places = places.filter(({ id }) => id !== 'b');
      return { body: { ok: true } };
    },
    'POST /api/session/others': () => {
      places = places.filter(({ isThis }) => isThis);
      return { body: { ok: true } };
    },
  });
  draw(<YourPlaces close={() => undefined} />);
  expect(await screen.findByText('(here)')).toBeTruthy();
  expect(screen.getAllByRole('button', { name: /^Sign out of/ })).toHaveLength(2);
  await userEvent.click(screen.getByRole('button', { name: /^Sign out of Safari on iOS/ }));
  await waitFor(() => expect(screen.queryByText('Safari on iOS')).toBeNull());
  await userEvent.click(screen.getByRole('button', { name: 'Sign out everywhere else' }));
  await waitFor(() => expect(screen.queryByText('An unknown device')).toBeNull());
  expect(screen.queryByRole('button', { name: 'Sign out everywhere else' })).toBeNull();
  expect(asked.filter(({ what }) => what.startsWith('DELETE'))).toHaveLength(1);
});
