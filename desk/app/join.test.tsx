/** @jest-environment jsdom */
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { draw, serveWith } from '../testing/desk';
import { Join } from './join';

const invited = { 'GET /api/invited': () => ({ body: { email: 'robin@line.example', shopName: 'Lark & Line' } }) };

test('somebody who was invited types a name and a password, and is told what is wrong with them', async () => {
  let isFirst = true;
  const asked = serveWith({
    ...invited,
    'POST /api/invited': () => {
      const wasFirst = isFirst;
      isFirst = false;
      return wasFirst
        ? {
            status: 422,
            body: {
              type: 'urn:dispona:invalid',
              title: 'Some fields are not right.',
              status: 422,
              errors: [{ path: ['password'], message: 'A password needs at least 12 characters.' }],
            },
          }
        : {
            body: {
              user: { id: 'u_1', name: 'Robin', email: 'robin@line.example', role: 'helper' },
              token: 't',
              needsSetup: false,
              needsCode: false,
            },
          };
    },
  });
  const { client } = draw(<Join code="abc" />);
  expect(await screen.findByRole('heading', { name: 'Help with Lark & Line' })).toBeTruthy();
  await userEvent.type(screen.getByLabelText('Your name'), 'Robin');
  await userEvent.type(screen.getByLabelText('A password'), 'short{Enter}');
  expect((await screen.findByRole('alert')).textContent).toMatch(/at least 12/);
  await userEvent.type(screen.getByLabelText('A password'), ' but longer now{Enter}');
  await waitFor(() =>
    expect(client.getQueryData(['session'])).toMatchObject({ user: { name: 'Robin', role: 'helper' } }),
  );
  expect(asked.at(-1)?.body).toEqual({ code: 'abc', name: 'Robin', password: 'short but longer now' });
});

test('a link that was used says so, and leads to the sign-in', async () => {
  serveWith({
    'GET /api/invited': () => ({
      status: 404,
      body: { type: 'urn:dispona:not-found', title: 'This link was used already, or is too old.', status: 404 },
    }),
  });
  draw(<Join code="old" />);
  expect(await screen.findByRole('heading', { name: 'This link does not work' })).toBeTruthy();
  expect(screen.getByRole('link', { name: 'Sign in instead' })).toBeTruthy();
});

test('who is here already is asked for a new password only, and keeps their name', async () => {
  const asked = serveWith({
    'GET /api/invited': () => ({ body: { email: 'robin@line.example', shopName: 'Lark & Line', isHere: true } }),
    'POST /api/invited': () => ({
      body: {
        user: {
          id: 'u_1',
          name: 'Robin',
          email: 'robin@line.example',
          role: 'helper',
          languages: null,
          suppliers: null,
        },
        token: 't',
        needsSetup: false,
        needsCode: false,
      },
    }),
  });
  draw(<Join code="abc" />);
  expect(await screen.findByRole('heading', { name: 'Choose a new password' })).toBeTruthy();
  expect(screen.queryByLabelText('Your name')).toBeNull();
  await userEvent.type(screen.getByLabelText('Your new password'), 'kites over the dyke{Enter}');
  await waitFor(() => expect(asked.at(-1)?.body).toEqual({ code: 'abc', name: '', password: 'kites over the dyke' }));
});
