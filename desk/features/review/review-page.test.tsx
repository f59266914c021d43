/** @jest-environment jsdom */
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { useState, type ReactNode } from 'react';
import userEvent from '@testing-library/user-event';
import { addProduct, startServer } from '../../../server/testing/harness';
import { draw } from '../../testing/desk';
import { onServer } from '../../testing/real-fetch';
import { noWindow, WindowContext } from '../../shared/window-state';
import { ReviewPage } from './review-page';
import { editionAt } from './ribbon';

let harrier: string;
const server = onServer(async () => {
  const made = await startServer();
  harrier = (await addProduct(made, 'Harrier delta', 6_400)).product.id;
  await made.call('POST', '/api/editions', { label: 'First kites' });
  return made;
});
const rename = (title: string) =>
  server().call('PATCH', `/api/products/${harrier}`, { seen: Number.MAX_SAFE_INTEGER, fields: { title } });

test('with nothing changed, shoppers see everything', async () => {
  draw(<ReviewPage />);
  expect(await screen.findByText('Shoppers see everything you have')).toBeTruthy();
  expect(screen.queryByRole('button', { name: /live$/ })).toBeNull();
  expect(await screen.findByText(/First kites/)).toBeTruthy();
});

test('a changed title is told with what it was, and put live under the words that were typed', async () => {
  await rename('Harrier delta, large');
  draw(<ReviewPage />);
  const put = await screen.findByRole('button', { name: 'Put 1 change live' });
  expect(screen.getAllByText('Harrier delta, large').length).toBeGreaterThan(0);
  expect(screen.getByText('Harrier delta')).toBeTruthy();
  await userEvent.type(screen.getByLabelText('What this edition is about'), 'Larger');
  await userEvent.click(put);
  expect(await screen.findByText('Shoppers see everything you have')).toBeTruthy();
  expect(server().catalog.live.shop.products.get(harrier)!.title).toBe('Harrier delta, large');
  expect(await screen.findByText(/Larger/)).toBeTruthy();
});

test('going back asks first, and makes the older edition live again', async () => {
  draw(<ReviewPage />);
  const older = (await screen.findByText(/First kites/)).closest('li')!;
  await userEvent.click(within(older).getByRole('button', { name: 'Go back to this' }));
  const dialog = await screen.findByRole('dialog');
  await userEvent.click(within(dialog).getAllByRole('button').at(-1)!);
  await waitFor(() => expect(server().catalog.live.shop.products.get(harrier)!.title).toBe('Harrier delta'));
});

test('a change is held back by a key, stays out, and is let go on by its button', async () => {
  await rename('Harrier delta 2');
  draw(<ReviewPage />);
  const row = (await screen.findByText('Harrier delta 2', { selector: 'a' })).closest('li')!;
  row.focus();
  await userEvent.keyboard('b');
  expect(await within(row).findByText('Held back')).toBeTruthy();
  expect(await screen.findByText('1 change held back')).toBeTruthy();
  expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Put 0 changes live' }).disabled).toBe(true);
  await userEvent.click(await within(row).findByRole('button', { name: 'Let go on' }));
  expect(await screen.findByRole('button', { name: 'Put 1 change live' })).toBeTruthy();
});

test('one change is taken back alone', async () => {
  draw(<ReviewPage />);
  await userEvent.click(await screen.findByRole('button', { name: 'Take back “Harrier delta 2”' }));
  expect(await screen.findByText('Shoppers see everything you have')).toBeTruthy();
  expect(server().catalog.working.products.get(harrier)!.title).toBe('Harrier delta');
});

test('an edition is planned for later, tells what it holds, and is called off', async () => {
  await rename('Harrier of May');
  const { client } = draw(<ReviewPage />);
  await userEvent.click(await screen.findByRole('button', { name: 'Later …' }));
  const dialog = await screen.findByRole('dialog');
  fireEvent.change(within(dialog).getByLabelText('Goes live'), { target: { value: '2020-05-08T06:00' } });
  await userEvent.click(within(dialog).getByRole('button', { name: 'Plan it' }));
  expect(await within(dialog).findByText('Choose a moment that is still to come.')).toBeTruthy();
  fireEvent.change(within(dialog).getByLabelText('Goes live'), { target: { value: '2099-05-08T06:00' } });
  await userEvent.click(within(dialog).getByRole('button', { name: 'Plan it' }));
  const editions = screen.getByRole('complementary', { name: 'Editions' });

  expect(await within(editions).findByText(/1 change · Kim/)).toBeTruthy();
  await rename('Harrier of June');
  await client.invalidateQueries();
  expect(await within(editions).findByText(/Changed again since.*Harrier of June/)).toBeTruthy();
  await userEvent.click(within(editions).getByRole('button', { name: 'Call it off' }));
  expect(await screen.findByRole('button', { name: 'Put 1 change live' })).toBeTruthy();
});

test('editions are compared, named, and one thing of an old one is brought back', async () => {
  await server().call('POST', '/api/editions', { label: 'June' });
  draw(<ReviewPage />, '/review?from=1');
  expect(await screen.findByRole('heading', { name: 'Compare editions' })).toBeTruthy();
  await userEvent.click(await screen.findByRole('button', { name: 'Bring “Harrier of June” back from edition 1' }));
  await waitFor(() => expect(server().catalog.working.products.get(harrier)!.title).toBe('Harrier delta'));
});

/** A shop window that only says where it is. */
function Windowed({ children }: { children: ReactNode }) {
  const [moment, setMoment] = useState<string | null>(null);
  const [edition, setEdition] = useState<{ id: string; words: string } | null>(null);
  return (
    <WindowContext value={{ ...noWindow, moment, setMoment, edition, setEdition }}>
      <p>window at {moment ?? edition?.id ?? 'the work'}</p>
      <button type="button" onClick={() => setEdition(null)}>
        away
      </button>
      {children}
    </WindowContext>
  );
}

test('the day of the ribbon is moved by keys: ahead to what will be, back before the first edition', async () => {
  draw(
    <Windowed>
      <ReviewPage />
    </Windowed>,
  );
  const day = await screen.findByRole('slider', { name: 'Day that the shop window shows' });
  act(() => day.focus());
  await userEvent.keyboard('{ArrowRight}{ArrowRight}');
  expect(day.getAttribute('aria-valuetext')).toMatch(/if nothing is changed until then/);
  const shown = /window at (\S+)/.exec(screen.getByText(/^window at/).textContent)![1]!;
  expect(Math.round((Date.parse(shown) - Date.now()) / 86_400_000)).toBe(2);
  await userEvent.keyboard('{Home}{ArrowLeft}');
  expect(day.getAttribute('aria-valuetext')).toMatch(/before the first edition/);
  expect(screen.getByText('window at the work')).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'Back to today' }));
  expect(day.getAttribute('aria-valuenow')).toBe('0');
});

test('the ribbon marks what begins and ends by the clock, with the goods that it is about', async () => {
  const seen = Number.MAX_SAFE_INTEGER;
  const liveUntil = new Date(Date.now() + 5 * 86_400_000).toISOString();
  await server().call('PATCH', `/api/products/${harrier}`, { seen, fields: { liveUntil } });
  draw(<ReviewPage />);
  const mark = await screen.findByTitle(/off the shop from here on: /);
  expect(mark.getAttribute('title')).toContain('Harrier delta');
  await server().call('POST', '/api/undo');
});

test('where something else turns the window, the ribbon says what is shown, and follows it back', async () => {
  draw(
    <Windowed>
      <ReviewPage />
    </Windowed>,
  );
  await userEvent.click((await screen.findAllByRole('button', { name: 'See it' })).at(-1)!);
  const day = screen.getByRole('slider', { name: 'Day that the shop window shows' });
  expect(day.getAttribute('aria-valuetext')).toBe('The shop as edition 1 had it');
  await userEvent.click(screen.getByRole('button', { name: 'away' }));
  expect(day.getAttribute('aria-valuetext')).toBe('Today, with the work as it is');
});

test('which edition shoppers saw at a moment is the last one before it', () => {
  const made = (number: number, at: string) => ({ number, at, label: '', note: '', userName: null, ofEdition: null });
  const editions = [made(2, '2026-05-02T00:00:00Z'), made(1, '2026-04-01T00:00:00Z')];
  expect(editionAt(editions, Date.parse('2026-05-03'))?.number).toBe(2);
  expect(editionAt(editions, Date.parse('2026-05-01'))?.number).toBe(1);
  expect(editionAt(editions, Date.parse('2026-03-01'))).toBeUndefined();
});

test('which old editions are kept is a rule, whose days are checked', async () => {
  draw(<ReviewPage />);
  await screen.findByText(/All editions are kept/);
  await userEvent.click(screen.getByRole('button', { name: 'Change' }));
  const dialog = await screen.findByRole('dialog');
  await userEvent.click(within(dialog).getByRole('button', { name: 'one a month' }));
  const days = within(dialog).getByLabelText('Old is what is older than so many days');
  await userEvent.clear(days);
  await userEvent.click(within(dialog).getByRole('button', { name: 'Keep them so' }));
  expect(await within(dialog).findByText('Type a number of days.')).toBeTruthy();
  await userEvent.type(days, '60');
  await userEvent.click(within(dialog).getByRole('button', { name: 'Keep them so' }));
  expect(await screen.findByText(/All of 60 days are kept, before that one a month/)).toBeTruthy();
});
