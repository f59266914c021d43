/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ProposalAnswer } from '../../../contract/suppliers';
import { draw, serveWith } from '../../testing/desk';
import { ProposalsPage } from './proposals-page';

const row = (
  key: string,
  label: string,
  over: Partial<ProposalAnswer['rows'][number]>,
): ProposalAnswer['rows'][number] => ({
  key,
  of: 'product',
  field: 'title',
  variantId: null,
  locale: null,
  label,
  now: '',
  will: '',
  nowWords: '',
  willWords: '',
  isOutdated: false,
  ...over,
});
const proposal = (over: Partial<ProposalAnswer> = {}): ProposalAnswer => ({
  id: 'pr_1',
  supplier: 'Windwerk',
  by: 'Mara',
  productId: 'p_1',
  isNew: false,
  isGone: false,
  title: 'Tern',
  thumbnail: null,
  rows: [
    row('product/title', 'Title', { will: 'Tern II', willWords: 'Tern II', nowWords: 'Tern', isOutdated: true }),
    row('variant/v_1/cost', 'Cost', {
      of: 'variant',
      field: 'cost',
      variantId: 'v_1',
      now: 1_800,
      will: 1_950,
      nowWords: '€18.00',
      willWords: '€19.50',
    }),
    row('text/de/title', 'Title in German', {
      of: 'text',
      locale: 'de',
      will: 'Seeschwalbe',
      willWords: 'Seeschwalbe',
    }),
  ],
  pictures: [],
  note: '',
  state: 'waiting',
  reply: '',
  madeAt: '2026-11-01T10:00:00.000Z',
  answeredAt: null,
  ...over,
});
const answer = (waiting: ProposalAnswer[], answered: ProposalAnswer[] = []) => ({
  'GET /api/proposals': () => ({ body: { currency: 'EUR', waiting, answered } }),
  'GET /api/status': () => ({ body: { changes: 1, edition: 1, timeZone: 'UTC', undo: null, redo: null } }),
});

test('what is typed over a row, and what is unticked, goes with the taking', async () => {
  const asked = serveWith({
    ...answer([proposal()]),
    'POST /api/proposals/pr_1/take': () => ({ body: { productId: 'p_1' } }),
  });
  draw(<ProposalsPage />);
  const card = await screen.findByRole('article', { name: 'Tern' });
  expect(within(card).getByText('you changed it since this was proposed')).toBeTruthy();
  const cost = within(card).getByLabelText('Cost');
  await userEvent.clear(cost);
  await userEvent.type(cost, '19.20');
  await userEvent.click(within(card).getByRole('checkbox', { name: 'Take Title' }));
  await userEvent.type(within(card).getByLabelText('Title in German'), ' klein');
  await userEvent.click(within(card).getByRole('button', { name: 'Take what is ticked' }));
  await waitFor(() => expect(asked.some(({ what }) => what.endsWith('/take'))).toBe(true));
  expect(asked.find(({ what }) => what.endsWith('/take'))!.body).toEqual({
    without: ['product/title'],
    edits: { product: {}, variants: { v_1: { cost: 1_920 } }, texts: { de: { title: 'Seeschwalbe klein' } } },
    reply: '',
  });
});

test('what the server refuses is told at its row; a word that is missing, at its field', async () => {
  const refused = (path: (string | number)[], message: string) => ({
    status: 422,
    body: {
      type: 'urn:dispona:invalid',
      title: 'Some fields are not right.',
      status: 422,
      errors: [{ path, message }],
    },
  });
  serveWith({
    ...answer([proposal()]),
    'POST /api/proposals/pr_1/take': () => refused(['edits', 'variants', 'v_1', 'cost'], 'This is too much.'),
    'POST /api/proposals/pr_1/refuse': () => refused(['reply'], 'Tell them why.'),
  });
  draw(<ProposalsPage />);
  await userEvent.click(await screen.findByRole('button', { name: 'Take it' }));
  const alert = await screen.findByRole('alert');
  expect(alert.textContent).toBe('This is too much.');
  expect(screen.getByLabelText('Cost').getAttribute('aria-invalid')).toBe('true');
  await userEvent.click(screen.getByRole('button', { name: 'Refuse' }));
  expect(await screen.findByText('Tell them why.')).toBeTruthy();
});

test('what is gone cannot be taken; what was answered is told with the word; nothing waiting says what could', async () => {
  serveWith(
    answer(
      [proposal({ isGone: true, productId: null })],
      [
        proposal({
          id: 'pr_2',
          title: 'Wren',
          state: 'refused',
          reply: 'Not now.',
          answeredAt: '2026-11-02T10:00:00.000Z',
        }),
      ],
    ),
  );
  const first = draw(<ProposalsPage />);
  expect((await screen.findByRole<HTMLButtonElement>('button', { name: 'Take it' })).disabled).toBe(true);
  expect(screen.getByText(/deleted since/)).toBeTruthy();
  expect(screen.getByText(/“Not now\.”/)).toBeTruthy();
  first.unmount();
  serveWith(answer([]));
  draw(<ProposalsPage />);
  expect(await screen.findByText('Nothing to answer')).toBeTruthy();
});
