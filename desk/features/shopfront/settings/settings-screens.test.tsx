/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { startShop } from '../../../../server/testing/harness';
import { draw } from '../../../testing/desk';
import { onServer } from '../../../testing/real-fetch';
import { useSettings } from '../../../data/shopfront';
import { SettingsPage } from './settings-page';

const server = onServer(() => startShop({ Avocet: 1_000 }));
const saved = () => server().catalog.working.shop.settings;

function Page() {
  const { data } = useSettings();
  return data ? <SettingsPage settings={data} /> : null;
}
const open = (part: string) => draw(<Page />, `/shopfront?view=settings&part=${part}`);

test('who stands behind the shop is typed; half a mail address keeps nothing else from being saved', async () => {
  open('contact');
  await userEvent.type(await screen.findByLabelText('Mail'), 'robin@');
  await userEvent.type(screen.getByLabelText('Town'), 'Windhaven');
  await waitFor(() => expect(saved().contact).toMatchObject({ city: 'Windhaven', mail: '' }));
  expect(screen.getByText('Type an address such as hello@example.com.')).toBeTruthy();
  await userEvent.type(screen.getByLabelText('Mail'), 'line.example');
  await waitFor(() => expect(saved().contact.mail).toBe('robin@line.example'));
});

test('a link elsewhere is added once both its fields are right', async () => {
  open('contact');
  await userEvent.type(await screen.findByLabelText('What a new link is called'), 'Our photos');
  await userEvent.type(screen.getByLabelText('Address of a new link'), 'photos.example');
  await userEvent.click(screen.getByRole('button', { name: 'Add the link' }));
  expect(screen.getByRole('alert').textContent).toMatch(/starts with https/);
  await userEvent.clear(screen.getByLabelText('Address of a new link'));
  await userEvent.type(screen.getByLabelText('Address of a new link'), 'https://photos.example/lark{Enter}');
  await waitFor(() =>
    expect(saved().contact.social).toEqual([{ name: 'Our photos', url: 'https://photos.example/lark' }]),
  );
  await userEvent.click(screen.getByRole('button', { name: 'Remove Our photos' }));
  await waitFor(() => expect(saved().contact.social).toEqual([]));
});

test('legal pages are made in one step and say what is still blank', async () => {
  open('legal');
  await userEvent.click(await screen.findByRole('button', { name: 'Make all and put them at the foot' }));
  expect((await screen.findAllByText(/still blank: .*Company/)).length).toBeGreaterThan(0);
  expect(server().catalog.working.shop.pages.size).toBe(6);
  expect(screen.queryByRole('button', { name: 'Make it' })).toBeNull();
});

test('a domain is asked for, taken, and given up', async () => {
  open('domain');
  const field = await screen.findByLabelText('Domain');
  await userEvent.type(field, 'https://lark.example');
  expect(screen.getByRole('alert').textContent).toMatch(/without https/);
  await userEvent.clear(field);
  await userEvent.type(field, 'lark-and-line.example{Enter}');
  const status = await screen.findByRole('status');
  const instead = within(status).queryAllByRole('button', { name: /\.example$/ })[0];
  if (instead) await userEvent.click(instead);
  await userEvent.click(await screen.findByRole('button', { name: 'Use it' }));
  await waitFor(() => expect(saved().domain).toMatch(/\.example$/));
  expect((await screen.findAllByText('set')).length).toBe(3);
  await userEvent.click(screen.getByRole('button', { name: 'Stop using this domain' }));
  await waitFor(() => expect(saved().domain).toBe(''));
});

test('somebody is invited by a link that is shown once, and the invitation is taken back', async () => {
  open('people');
  await userEvent.type(await screen.findByLabelText('Their mail address'), 'robin@line.example');
  await userEvent.click(screen.getByRole('button', { name: 'Make a link' }));
  expect((await screen.findByText(/\/desk\/join#/)).textContent).toMatch(/join#[\w-]{20,}$/);
  const invited = await screen.findByRole('heading', { name: 'Invited' });
  await userEvent.click(within(invited.parentElement!).getByRole('button', { name: 'Take back' }));
  await waitFor(() => expect(screen.queryByRole('heading', { name: 'Invited' })).toBeNull());
});

test('whoever is here already is not invited, and is told at the field', async () => {
  open('people');
  await userEvent.type(await screen.findByLabelText('Their mail address'), 'kim@example.com{Enter}');
  expect((await screen.findByRole('alert')).textContent).toBe('This person can sign in already.');
});

test('a maker is invited for a supplier; their rights and a link for a new password are one click away', async () => {
  const { id } = (await server().call<{ id: string }>('POST', '/api/suppliers', { name: 'Windwerk' })).body;
  open('people');
  await userEvent.type(await screen.findByLabelText('Their mail address'), 'mara@windwerk.example');
  await userEvent.click(await screen.findByRole('button', { name: 'As: helper' }));
  await userEvent.click(await screen.findByRole('option', { name: 'maker' }));
  expect((await screen.findByRole<HTMLInputElement>('checkbox', { name: 'Windwerk' })).disabled).toBe(true);
  await userEvent.click(screen.getByRole('button', { name: 'Make a link' }));
  const link = (await screen.findByText(/\/join#/)).textContent;
  expect(await screen.findByText(/as maker, by Kim/)).toBeTruthy();
  const { user } = (
    await server().call<{ user: { id: string } }>('POST', '/api/invited', {
      code: link.split('#')[1],
      name: 'Mara',
      password: 'a gust at dawn',
    })
  ).body;
  const rights = async () =>
    (
      await server().call<{ people: { id: string; suppliers: string[] | null }[] }>('GET', '/api/people')
    ).body.people.find((person) => person.id === user.id)!;
  expect((await rights()).suppliers).toEqual([id]);
  await server().call('PATCH', `/api/people/${user.id}`, { role: 'helper' });
  expect((await rights()).suppliers).toBeNull();
});

test('a link with which somebody chooses a new password is shown once, beside their name', async () => {
  open('people');
  await userEvent.click(await screen.findByRole('button', { name: 'Let Mara choose a new password' }));
  const code = (await screen.findByText(/\/join#/)).textContent.split('#')[1]!;
  const { isHere, email } = (
    await server().call<{ isHere: boolean; email: string }>('GET', `/api/invited?code=${code}`)
  ).body;
  expect([isHere, email]).toEqual([true, 'mara@windwerk.example']);
  await userEvent.click(screen.getByRole('button', { name: 'Where you are signed in' }));
  expect(await screen.findByText('(here)')).toBeTruthy();
});
