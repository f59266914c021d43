/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Route, Routes } from 'react-router';
import { addProduct, startServer } from '../../../server/testing/harness';
import { noteMissed } from '../../../server/store/shopper-counts';
import { choose, complete, draw, retype } from '../../testing/desk';
import { onServer } from '../../testing/real-fetch';
import { WordsPage } from './words-page';

const ids: Record<string, string> = {};
const server = onServer(async () => {
  const made = await startServer();
  const make = async (path: string, body: object) => (await made.call<{ id: string }>('POST', path, body)).body.id;
  ids.lark = await make('/api/brands', { name: 'Lark' });
  ids.kites = await make('/api/categories', { name: 'Kites' });
  for (const [key, title] of [
    ['harrier', 'Harrier delta'],
    ['wren', 'Wren sled'],
  ] as const) {
    ids[key] = (await addProduct(made, title)).product.id;
    await made.call('PATCH', `/api/products/${ids[key]}`, {
      seen: Number.MAX_SAFE_INTEGER,
      fields: { categoryIds: [ids.kites], ...(key === 'harrier' && { brandId: ids.lark }) },
    });
  }
  await made.call('POST', '/api/languages', { locale: 'de' });
  return made;
});
const shop = () => server().catalog.working.shop;
const open = (at: string) =>
  draw(
    <Routes>
      <Route path="/words/:locale?" element={<WordsPage />} />
    </Routes>,
    at,
  );

describe('forwards', () => {
  const forwards = () => [...shop().forwards.values()];

  test('one is made by name or to an address, found, and deleted', async () => {
    open('/words?part=forwards');
    expect(await screen.findByText('No path forwards')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'New forward' }));
    await userEvent.type(await screen.findByLabelText('Path'), '/kites/red.html');
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Forward it' }).disabled).toBe(true);
    await complete('Leads to', 'Harr', 'Harrier delta');
    await userEvent.click(screen.getByRole('button', { name: 'Forward it' }));
    await waitFor(() => expect(forwards()).toMatchObject([{ to: { kind: 'product', id: ids.harrier } }]));
    await userEvent.click(await screen.findByRole('button', { name: 'New forward' }));
    await userEvent.type(await screen.findByLabelText('Path'), '/old-blog');
    await userEvent.click(screen.getByLabelText('What was there is gone for good'));
    await userEvent.click(screen.getByRole('button', { name: 'Forward it' }));
    expect(await screen.findByText('gone for good')).toBeTruthy();
    await userEvent.type(screen.getByLabelText('Find a path'), 'blog');
    await waitFor(() => expect(screen.queryByText('/kites/red.html')).toBeNull());
    await userEvent.click(screen.getByRole('button', { name: 'Delete the forward of /old-blog' }));
    await waitFor(() => expect(forwards()).toHaveLength(1));
  });

  test('what was asked for in vain is said to be gone, led elsewhere, or left', async () => {
    const { catalog } = server();
    for (const path of ['/a.php', '/b.php', '/c.php'])
      noteMissed(catalog.db, { path, times: 2, last: catalog.clock().toISOString() });
    open('/words?part=forwards');
    const missed = within(await screen.findByRole('region', { name: 'Asked for in vain' }));
    const line = (path: string) => within(missed.getByText(path).closest('li')!);
    await userEvent.click(line('/a.php').getByRole('button', { name: 'Gone for good' }));
    await waitFor(() => expect(shop().forwards.get('/a.php')).toMatchObject({ to: null }));
    await userEvent.click(line('/b.php').getByRole('button', { name: 'Leave it' }));
    await waitFor(() => expect(missed.queryByText('/b.php')).toBeNull());
    await userEvent.click(line('/c.php').getByRole('button', { name: 'Forward elsewhere' }));
    expect((await screen.findByLabelText<HTMLInputElement>('Path')).value).toBe('/c.php');
  });
});

describe('languages', () => {
  const language = () => shop().settings.languages.others.find(({ locale }) => locale === 'de');

  test('what is not translated is hidden where the seller says so', async () => {
    open('/words');
    await userEvent.click(await screen.findByLabelText('Hide what is not translated'));
    await waitFor(() => expect(language()!.untranslated).toBe('hide'));
    expect(screen.getByRole('link', { name: 'German' }).getAttribute('href')).toMatch(/^\/words\/de/);
  });

  test('drafts are made for all that is missing, told as simulated, and dropped again', async () => {
    open('/words');
    await userEvent.click(await screen.findByRole('button', { name: 'Draft for me (simulated)' }));
    const drop = await screen.findByRole('button', { name: /^Drop \d+ drafts$/ });
    await userEvent.click(drop);
    await waitFor(() => expect(screen.queryByRole('button', { name: /^Drop/ })).toBeNull());
  });

  test('one is taken away after a question that counts what goes with it', async () => {
    await server().call('POST', '/api/languages', { locale: 'fr' });
    open('/words');
    const french = (await screen.findByRole('link', { name: 'French' })).closest('th')!;
    await userEvent.click(within(french).getByRole('button', { name: 'Take away' }));
    expect(await screen.findByText(/^0 translated texts go with it/)).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Take French away' }));
    await waitFor(() => expect(shop().settings.languages.others.map(({ locale }) => locale)).toEqual(['de']));
  });

  test('a file of a translator is looked at before it is taken, and one text of it is left out', async () => {
    open('/words');
    await userEvent.click((await screen.findAllByRole('button', { name: 'Files' }))[0]!);
    const csv = await server().raw('/api/languages/de/file?format=csv&states=missing', {
      headers: { Cookie: server().cookie },
    });
    const [head, ...lines] = (await csv.text()).trim().split('\n');
    // kind, id, path, words, text, translation, state
    const filled = lines
      .map((line) => line.split(','))
      .filter(([kind, , path]) => kind === 'product' && path === 'title')
      .map((cells) => cells.map((cell, i) => (i === 5 ? 'Drachen' : cell)).join(','));
    expect(filled).toHaveLength(2);
    const text = [head, ...filled].join('\n');
    const file = Object.assign(new File([text], 'de.csv', { type: 'text/csv' }), { text: () => Promise.resolve(text) });
    await userEvent.upload(screen.getByLabelText('File with translations'), file);
    const dialog = within(await screen.findByRole('dialog', { name: /de\.csv|texts/i }));
    expect(dialog.getAllByText('Drachen').length).toBeGreaterThan(0);
    await userEvent.click(dialog.getAllByRole('checkbox')[0]!);
    await userEvent.click(dialog.getByRole('button', { name: /^Take \d+ texts?$/ }));
    await waitFor(() =>
      expect(
        [ids.harrier, ids.wren].map((id) => shop().wordings.get(`de/product/${id}`)?.texts.title?.text ?? null).sort(),
      ).toEqual(['Drachen', null].sort()),
    );
  });
});

describe('what search engines may show', () => {
  const chosen = () => [...shop().chosen.values()];

  test('a narrowed listing is chosen, worded, and given up; a second one of the same goods is refused at its field', async () => {
    open('/words?part=engines');
    const begin = async () => {
      await userEvent.click(await screen.findByRole('button', { name: 'Choose one' }));
      await complete('All goods, or those of a group', 'Kit', 'Kites');
      await userEvent.click(await screen.findByRole('button', { name: /^Lark/ }));
      await userEvent.type(screen.getByLabelText('Title'), 'Kites by Lark');
      await userEvent.click(screen.getByRole('button', { name: 'Choose it' }));
    };
    await begin();
    await waitFor(() => expect(chosen()).toMatchObject([{ title: 'Kites by Lark' }]));
    await begin();
    expect(await screen.findByRole('alert')).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>('Title').value).toBe('Kites by Lark');
    await userEvent.click(screen.getByRole('button', { name: 'Not now' }));
    await userEvent.click(await screen.findByRole('button', { name: 'Words' }));
    await retype(screen.getByLabelText('Text on the page'), 'Made by Lark, flown everywhere.');
    await waitFor(() => expect(chosen()[0]!.text).toBe('Made by Lark, flown everywhere.'));
    await retype(screen.getByLabelText('Title on the page'), ' ');
    expect(await screen.findByRole('alert')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'No longer choose Kites by Lark' }));
    await waitFor(() => expect(chosen()).toEqual([]));
  });
});

test('what is to be translated is narrowed by sort, name and state', async () => {
  open('/words/de');
  const things = within(await screen.findByRole('complementary', { name: 'What to translate' }));
  await choose('Sort of thing', 'Products');
  await waitFor(() => expect(things.queryByText('Kites')).toBeNull());
  expect(await things.findByText('Harrier delta')).toBeTruthy();
  await userEvent.type(things.getByLabelText('Find by name'), 'wren');
  await waitFor(() => expect(things.queryByText('Harrier delta')).toBeNull());
  await userEvent.click(things.getByRole('button', { name: /draft/i }));
  expect(await things.findByText('Nothing here is in that state.')).toBeTruthy();
});
