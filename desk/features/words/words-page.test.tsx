/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Route, Routes } from 'react-router';
import { startShop } from '../../../server/testing/harness';
import { noteMissed, noteSearched } from '../../../server/store/shopper-counts';
import { draw } from '../../testing/desk';
import { onServer } from '../../testing/real-fetch';
import { WordsPage } from './words-page';

const server = onServer(() => startShop({ Harrier: 2_000, 'Heron delta': 1_000 }));
const open = (at: string) =>
  draw(
    <Routes>
      <Route path="/words/:locale?" element={<WordsPage />} />
    </Routes>,
    at,
  );
const speakGerman = () => server().call('POST', '/api/languages', { locale: 'de' });
const told = (path: string, i = 0) =>
  server().catalog.working.shop.wordings.get(`de/product/${server().ids[i]}`)?.texts[path]?.text;
const settings = () => server().catalog.working.shop.settings;

test('a language is added, counted by sort of thing, and put on the shop', async () => {
  open('/words');
  await userEvent.click(await screen.findByRole('button', { name: 'German' }));
  const goods = await screen.findByRole('row', { name: /^Products/ });
  expect(within(goods).getByText(/2 missing/)).toBeTruthy();
  await userEvent.click(screen.getByRole('checkbox', { name: 'On the shop' }));
  await waitFor(() => expect(settings().languages.others[0]!.isOn).toBe(true));
  // A tag that is none is refused at the field, and stays there.
  const tag = screen.getByLabelText('Another language, by its tag');
  await userEvent.type(tag, 'klingon!');
  await userEvent.click(screen.getByRole('button', { name: 'Add' }));
  expect(await within(screen.getByRole('region', { name: 'Add a language' })).findByRole('alert')).toBeTruthy();
  expect((tag as HTMLInputElement).value).toBe('klingon!');
}, 40_000);

test('keys lead from one text to the next; a text that is refused stays where it was typed', async () => {
  await speakGerman();
  open(`/words/de?at=product/${server().ids[0]}/title&kind=product`);
  const title = await screen.findByRole('textbox', { name: 'title, translated' });
  await userEvent.type(title, 'Weihe');
  await userEvent.keyboard('{Control>}{Enter}{/Control}');
  expect(await screen.findByRole('list', { name: 'Texts of Heron delta' })).toBeTruthy();
  expect([told('title'), told('slug')]).toEqual(['Weihe', 'weihe']);
  // What another product has already.
  const address = await screen.findByRole('textbox', { name: 'address, translated' });
  await userEvent.type(address, 'weihe');
  await userEvent.keyboard('{Control>}{Enter}{/Control}');
  expect(await screen.findByRole('alert')).toBeTruthy();
  expect((address as HTMLTextAreaElement).value).toBe('weihe');
  expect(screen.getByRole('list', { name: 'Texts of Heron delta' })).toBeTruthy();
}, 40_000);

test('a draft is looked at before it counts, and what the glossary says otherwise is warned of', async () => {
  await speakGerman();
  const languages = settings().languages;
  await server().call('PATCH', '/api/settings', {
    languages: { ...languages, glossary: [{ term: 'delta', as: { de: 'Deltadrachen' } }] },
  });
  await server().call('POST', '/api/languages/de/drafts', { kind: 'product', id: server().ids[1] });
  open(`/words/de?at=product/${server().ids[1]}/title`);
  const title = await screen.findByRole('textbox', { name: 'title, translated' });
  expect((title as HTMLTextAreaElement).value).toMatch(/Deltadrachen/);
  expect(told('title', 1)).toBeUndefined();
  await userEvent.click(screen.getByRole('button', { name: 'The draft is right' }));
  await waitFor(() => expect(told('title', 1)).toMatch(/Deltadrachen/));
  await userEvent.clear(title);
  await userEvent.type(title, 'Reiher Drache');
  expect(await screen.findByText(/“delta” is “Deltadrachen”/)).toBeTruthy();
}, 40_000);

test('the glossary keeps what is typed into it', async () => {
  await speakGerman();
  open('/words?part=glossary');
  await userEvent.type(await screen.findByLabelText('New term'), 'sport kite{Enter}');
  await userEvent.type(await screen.findByLabelText('sport kite in German'), 'Lenkdrachen');
  await waitFor(() =>
    expect(settings().languages.glossary).toContainEqual({ term: 'sport kite', as: { de: 'Lenkdrachen' } }),
  );
}, 40_000);

test('a search that found nothing is mended: as the same words, by leading on, or by noting what is missing', async () => {
  const { catalog } = server();
  const day = Math.floor(catalog.now / 86_400) * 86_400;
  for (const words of ['parafoil', 'raptor'])
    noteSearched(catalog.db, { locale: settings().locale, words, day, times: 3, found: 0 });
  open('/words?part=searched');
  const row = async (words: string) => within(await screen.findByRole('row', { name: new RegExp(`^${words}`) }));
  await userEvent.click((await row('raptor')).getByRole('button', { name: 'Means the same as' }));
  await userEvent.type(await screen.findByLabelText('Means the same as'), 'harrier');
  await userEvent.click(screen.getByRole('button', { name: 'Keep it' }));
  await waitFor(() => expect(settings().synonyms).toContainEqual(['raptor', 'harrier']));
  await waitFor(async () => expect((await row('raptor')).getByText('1')).toBeTruthy());
  await userEvent.click((await row('parafoil')).getByRole('button', { name: 'Note as missing' }));
  await waitFor(() =>
    expect([...catalog.working.products.values()].map(({ title, status }) => [title, status])).toContainEqual([
      'Parafoil',
      'draft',
    ]),
  );
}, 40_000);

test('a path that was missed forwards to what is nearest; a table is looked at before it is taken', async () => {
  const { catalog } = server();
  noteMissed(catalog.db, { path: '/old/harrier.html', times: 4, last: catalog.clock().toISOString() });
  open('/words?part=forwards');
  await userEvent.click(await screen.findByRole('button', { name: 'Forward to Harrier' }));
  expect(await screen.findByRole('button', { name: 'Delete the forward of /old/harrier.html' })).toBeTruthy();
  const text = 'from,to\n/a,/p/harrier\n/b,nowhere\n';
  const table = Object.assign(new File([text], 'old.csv', { type: 'text/csv' }), { text: () => Promise.resolve(text) });
  await userEvent.upload(screen.getByLabelText('Table of forwards'), table);
  const dialog = within(await screen.findByRole('dialog', { name: '2 forwards' }));
  expect(dialog.getByText('1 new or changed, 0 as they are, 1 refused.')).toBeTruthy();
  await userEvent.click(dialog.getByRole('button', { name: 'Take 1' }));
  await waitFor(() => expect([...catalog.working.shop.forwards.keys()].sort()).toEqual(['/a', '/old/harrier.html']));
  // The home page cannot forward, and what is typed stays.
  await userEvent.click(screen.getByRole('button', { name: 'New forward' }));
  await userEvent.type(await screen.findByLabelText('Path'), '/');
  await userEvent.click(screen.getByRole('checkbox', { name: 'What was there is gone for good' }));
  await userEvent.click(screen.getByRole('button', { name: 'Forward it' }));
  expect(await screen.findByRole('alert')).toBeTruthy();
}, 40_000);

test('what does not go together is mended at one click', async () => {
  const { id } = (await server().call<{ id: string }>('POST', '/api/categories', { name: 'Deltas' })).body;
  await server().call('PUT', '/api/menu', {
    items: [{ id: null, label: '', target: { kind: 'category', id }, items: [] }],
  });
  await server().call('POST', '/api/engines/noindex', { kind: 'category', id, noindex: true });
  open('/words?part=engines');
  await userEvent.click(await screen.findByRole('button', { name: 'Let it be shown' }));
  await waitFor(() => expect(server().catalog.working.shop.categories.get(id)!.noindex).toBe(false));
  await waitFor(() => expect(screen.queryByText('Kept away, yet in a menu')).toBeNull());
}, 40_000);
