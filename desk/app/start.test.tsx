/** @jest-environment jsdom */
import { waitFor } from '@testing-library/react';
import { addProduct, startServer } from '../../server/testing/harness';
import { draw } from '../testing/desk';
import { onServer } from '../testing/real-fetch';
import { Start } from './start';

const server = onServer(() => startServer());

test('the desk begins with the set-up list, with the goods once there are some, and with the day once something is live', async () => {
  const leadsTo = async (path: string) => {
    const { router, unmount } = draw(<Start />);
    await waitFor(() => expect(router.state.location.pathname).toBe(path));
    unmount();
  };
  await leadsTo('/set-up');
  await addProduct(server(), 'Tern');
  await leadsTo('/goods');
  await server().call('POST', '/api/editions', {});
  await leadsTo('/today');
});
