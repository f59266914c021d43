/** @jest-environment jsdom */
import { act, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Route, Routes } from 'react-router';
import { draw, serveWith, type Answers } from '../../testing/desk';
import { MakerGoodPage } from './maker-good';
import { MakerHome } from './maker-home';

const overview = {
  shopName: 'Lark & Line',
  currency: 'EUR',
  suppliers: [{ id: 'su_1', name: 'Windwerk' }],
  languages: [{ locale: 'de', name: 'German' }],
  goods: [
    {
      id: 'p_1',
      title: 'Tern',
      thumbnail: null,
      supplier: 'Windwerk',
      standing: 'on the shop',
      stock: 0,
      isWaiting: false,
    },
  ],
  proposals: [],
};
const good = {
  id: 'p_1',
  supplierId: 'su_1',
  pictures: [],
  product: { title: 'Tern', summary: '', description: '' },
  variants: [{ id: 'v_1', name: '', fields: { sku: 'TE', price: 3_900, cost: null, barcode: '', stock: 0 } }],
  texts: { de: { title: '', summary: '', description: '' } },
  waiting: null,
};
const answers: Answers = {
  'GET /api/maker': () => ({ body: overview }),
  'GET /api/maker/goods/p_1': () => ({ body: good }),
};
const screens = (
  <Routes>
    <Route path="/" element={<MakerHome />} />
    <Route path="/my/:id" element={<MakerGoodPage />} />
  </Routes>
);
beforeEach(() => localStorage.clear());

test('only what was typed is proposed, by field, variant and language; it is kept until it is sent', async () => {
  const asked = serveWith({ ...answers, 'POST /api/maker/proposals': () => ({ body: { id: 'pr_1' } }) });
  const first = draw(screens, '/my/p_1');
  await userEvent.type(await screen.findByLabelText('Title'), ' II');
  const price = screen.getByLabelText('Price');
  await userEvent.clear(price);
  await userEvent.type(price, '41.50');
  await userEvent.type(screen.getByLabelText('Title in German'), 'Seeschwalbe');
  first.unmount();
  const { router } = draw(screens, '/my/p_1');
  expect(await screen.findByDisplayValue('Tern II')).toBeTruthy();
  await userEvent.type(screen.getByLabelText('A word to the shop'), 'New cloth');
  await userEvent.click(screen.getByRole('button', { name: 'Propose it' }));
  await waitFor(() => expect(router.state.location.pathname).toBe('/'));
  expect(asked.find(({ what }) => what === 'POST /api/maker/proposals')!.body).toEqual({
    productId: 'p_1',
    supplierId: 'su_1',
    product: { title: 'Tern II' },
    variants: { v_1: { price: 4_150 } },
    pictures: [],
    texts: { de: { title: 'Seeschwalbe' } },
    note: 'New cloth',
  });
  expect(localStorage.getItem('dispona.proposal.p_1')).toBeNull();
});

test('what is typed while it is on its way stays, and is said not to be in it', async () => {
  let answer = () => {};
  const asked = serveWith({
    ...answers,
    'POST /api/maker/proposals': () => new Promise((resolve) => (answer = () => resolve({ body: { id: 'pr_1' } }))),
  });
  const { router } = draw(screens, '/my/p_1');
  const note = await screen.findByLabelText<HTMLTextAreaElement>('A word to the shop');
  await userEvent.type(note, 'New cloth');
  const send = screen.getByRole<HTMLButtonElement>('button', { name: 'Propose it' });
  await userEvent.click(send);
  await userEvent.type(note, ', and lighter');
  answer();
  await waitFor(() => expect(send.disabled).toBe(false));
  expect(router.state.location.pathname).toBe('/my/p_1');
  expect(note.value).toBe('New cloth, and lighter');
  await userEvent.click(send);
  answer();
  await waitFor(() => expect(router.state.location.pathname).toBe('/'));
  expect(
    asked.filter(({ what }) => what.startsWith('POST')).map(({ body }) => (body as { note: string }).note),
  ).toEqual(['New cloth', 'New cloth, and lighter']);
});

test('a new product comes in several sizes: a price for all, another for one, and what is refused at its row', async () => {
  let errors: { path: (string | number)[]; message: string }[] | null = [
    { path: ['variants', '1', 'price'], message: 'A price is above zero.' },
    { path: ['options', 0, 'values', 1], message: '“L” is already a value of Size.' },
  ];
  const asked = serveWith({
    ...answers,
    'POST /api/maker/proposals': () =>
      errors
        ? { status: 422, body: { type: 'urn:dispona:invalid', title: 'Not right.', status: 422, errors } }
        : { body: { id: 'pr_1' } },
  });
  draw(screens, '/my/new');
  await userEvent.type(await screen.findByLabelText('Title'), 'Kestrel');
  await userEvent.click(screen.getByRole('button', { name: 'It comes in several sizes or colours' }));
  await userEvent.type(screen.getByLabelText('Option 1'), 'Size');
  await userEvent.type(screen.getByLabelText('Values of option 1'), 'M, L');
  const row = (name: string) => within(screen.getByRole('group', { name }));
  await userEvent.type(row('All of them').getByLabelText('Price'), '40');
  expect(row('All of them').queryByLabelText('Barcode')).toBeNull();
  expect(row('L').getByLabelText<HTMLInputElement>('Price').value).toBe('40.00');
  await userEvent.clear(row('L').getByLabelText('Price'));
  await userEvent.type(row('L').getByLabelText('Price'), '50');
  // Another value in front takes nothing away from the one that was priced.
  const values = screen.getByLabelText('Values of option 1');
  await userEvent.clear(values);
  await userEvent.type(values, 'S, M, L');
  expect(row('L').getByLabelText<HTMLInputElement>('Price').value).toBe('50.00');
  await userEvent.click(screen.getByRole('button', { name: 'Propose it' }));
  expect(await row('M').findByText('A price is above zero.')).toBeTruthy();
  expect(screen.getByText('“L” is already a value of Size.')).toBeTruthy();
  errors = null;
  await userEvent.click(screen.getByRole('button', { name: 'Propose it' }));
  await waitFor(() => expect(asked.filter(({ what }) => what.startsWith('POST'))).toHaveLength(2));
  expect(asked.filter(({ what }) => what.startsWith('POST'))[1]!.body).toMatchObject({
    productId: null,
    supplierId: 'su_1',
    options: [{ name: 'Size', values: ['S', 'M', 'L'] }],
    variants: { new: { price: 4_000 }, '2': { price: 5_000 } },
  });
});

test('two tabs of one product type into the same: neither takes away what the other typed', async () => {
  serveWith(answers);
  draw(screens, '/my/p_1');
  await userEvent.type(await screen.findByLabelText('Title'), ' II');
  // Another tab types a word, just before this one hears of it.
  const key = 'dispona.proposal.p_1';
  const kept = JSON.parse(localStorage.getItem(key)!) as object;
  localStorage.setItem(key, JSON.stringify({ ...kept, note: 'From the other tab' }));
  await userEvent.type(screen.getByLabelText('Title in German'), 'See');
  expect(screen.getByDisplayValue('From the other tab')).toBeTruthy();
  expect(JSON.parse(localStorage.getItem(key)!)).toMatchObject({
    product: { title: 'Tern II' },
    note: 'From the other tab',
    texts: { de: { title: 'See' } },
  });
  // And once it hears of it, it shows it.
  localStorage.setItem(key, JSON.stringify({ ...kept, note: 'Later' }));
  act(() => void window.dispatchEvent(new StorageEvent('storage', { key })));
  expect(screen.getByDisplayValue('Later')).toBeTruthy();
});

test('what is refused is told at its field, and stays typed', async () => {
  serveWith({
    ...answers,
    'POST /api/maker/proposals': () => ({
      status: 422,
      body: {
        type: 'urn:dispona:invalid',
        title: 'Some fields are not right.',
        status: 422,
        errors: [{ path: ['variants', 'new', 'price'], message: 'A new product needs a price.' }],
      },
    }),
  });
  draw(screens, '/my/new');
  await userEvent.type(await screen.findByLabelText('Title'), 'Heron');
  await userEvent.click(screen.getByRole('button', { name: 'Propose it' }));
  expect((await screen.findByRole('alert')).textContent).toBe('A new product needs a price.');
  expect(screen.getByDisplayValue('Heron')).toBeTruthy();
});

test('what came of a file is told, with the rows that were refused and the columns that nothing was taken from', async () => {
  serveWith({
    ...answers,
    'POST /api/maker/import': () => ({
      body: {
        changed: 2,
        added: 1,
        same: 4,
        refused: [{ row: 7, message: 'This is none of your goods.' }],
        ignored: ['Stock'],
      },
    }),
  });
  draw(screens, '/');
  expect(await screen.findByText('on the shop, sold out')).toBeTruthy();
  await userEvent.upload(screen.getByLabelText('A file with your goods'), new File(['SKU'], 'goods.csv'));
  const told = await screen.findByRole('status');
  expect(told.textContent).toMatch(/2 changes and 1 new product proposed; 4 as they are already/);
  expect(told.textContent).toMatch(/from these columns: Stock/);
  expect(told.textContent).toMatch(/Row 7: This is none of your goods/);
});
