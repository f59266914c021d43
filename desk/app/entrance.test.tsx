/** @jest-environment jsdom */
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { person, startServer } from '../../server/testing/harness';
import { draw } from '../testing/desk';
import { onServer } from '../testing/real-fetch';
import { Entrance } from './entrance';

onServer(startServer);
const fill = async (label: string | RegExp, text: string) => userEvent.type(screen.getByLabelText(label), text);

test('a wrong password is refused in words, a right one lets in', async () => {
  const { client } = draw(<Entrance needsSetup={false} needsCode={false} />);
  await fill('E-mail', person.email);
  await fill('Password', 'not this one at all');
  await userEvent.click(screen.getByRole('button', { name: 'Sign in' }));
  expect(await screen.findByText('E-mail and password do not go together.')).toBeTruthy();
  expect(client.getQueryData(['session'])).toBeUndefined();
  await userEvent.clear(screen.getByLabelText('Password'));
  await fill('Password', person.password);
  await userEvent.click(screen.getByRole('button', { name: 'Sign in' }));
  await waitFor(() => expect(client.getQueryData(['session'])).toMatchObject({ user: { email: person.email } }));
});

test('setting up asks for what a shop needs, and says at each field what is missing', async () => {
  draw(<Entrance needsSetup needsCode />);
  for (const label of ['Code', 'Name of the shop', 'Your name', 'E-mail'])
    expect(screen.getByLabelText(new RegExp(label))).toBeTruthy();
  await userEvent.click(screen.getAllByRole('button').at(-1)!);
  expect(await screen.findByText('The shop needs a name.')).toBeTruthy();
  expect(screen.getByText('A password needs at least 12 characters.')).toBeTruthy();
});
