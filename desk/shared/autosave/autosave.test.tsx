/** @jest-environment jsdom */
import { act, fireEvent, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useCallback, useState } from 'react';
import { CallError } from '../../data/api';
import { TextField } from '../ui/field';
import { SaveStateWords } from '../ui/save-state';
import type { Parcel, Receipt } from './autosave';
import { unsaved } from './unsaved';
import { useAutosave, useText } from './use-autosave';

type Save = (parcel: Parcel) => Promise<Receipt>;

function Form({ save, first }: { save: Save; first: Record<string, string> }) {
  const [shown, setShown] = useState({ values: first, revision: 1 });
  const lookUp = useCallback((key: string) => shown.values[key], [shown.values]);
  const autosave = useAutosave(lookUp, shown.revision, {
    save: async (parcel) => {
      const receipt = await save(parcel);
      const trimmed = Object.fromEntries(
        Object.entries(parcel.values).map(([key, value]) => [key, String(value).trim()]),
      );
      setShown((now) => ({ values: { ...now.values, ...trimmed }, revision: receipt.revision ?? 0 }));
      return receipt;
    },
    keyOf: ([key]) => String(key),
  });
  return (
    <main>
      <TextField label="Title" {...useText(autosave, 'title')} />
      <TextField label="Address" {...useText(autosave, 'slug')} />
      <SaveStateWords save={autosave} />
    </main>
  );
}

const title = () => screen.getByLabelText<HTMLInputElement>('Title');
const pass = (ms: number) => act(() => jest.advanceTimersByTimeAsync(ms));
const refusal = (status: number, key: string, message: string) =>
  new CallError({ type: 'about:invalid', title: message, status, errors: [{ path: [key], message }] });

let hands: ReturnType<typeof userEvent.setup>;
beforeEach(() => {
  jest.useFakeTimers();
  hands = userEvent.setup({ advanceTimers: jest.advanceTimersByTime });
});
afterEach(() => jest.useRealTimers());

test('a pause after a space does not eat the space; leaving the field trims what is shown', async () => {
  let revision = 1;
  const save = jest.fn<Promise<Receipt>, [Parcel]>(async () => ({ revision: ++revision }));
  render(<Form save={save} first={{ title: 'Delta', slug: 'delta' }} />);
  await hands.type(title(), ' two ');
  await pass(400);
  expect(save).toHaveBeenCalledWith({ values: { title: 'Delta two ' }, was: { title: 'Delta' } });
  expect(title().value).toBe('Delta two ');
  await hands.type(title(), 'lines');
  expect(title().value).toBe('Delta two lines');
  await pass(400);
  await hands.tab();
  expect(title().value).toBe('Delta two lines');
  expect(screen.getByText('saved just now')).toBeTruthy();
  expect(unsaved.isAny()).toBe(false);
});

test('one write at a time: what is typed meanwhile goes out behind it', async () => {
  const answers: ((receipt: Receipt) => void)[] = [];
  const save = jest.fn<Promise<Receipt>, [Parcel]>(() => new Promise((done) => answers.push(done)));
  render(<Form save={save} first={{ title: 'A', slug: 'a' }} />);
  await hands.type(title(), 'B');
  await pass(400);
  await hands.type(title(), 'C');
  await pass(2_000);
  expect(save).toHaveBeenCalledTimes(1);
  await act(async () => answers[0]!({ revision: 2 }));
  await pass(10);
  expect(save).toHaveBeenLastCalledWith({ values: { title: 'ABC' }, was: { title: 'AB' } });
  expect(title().value).toBe('ABC');
});

test('a refused field says why, in the head too, and its neighbour is saved all the same', async () => {
  const save = jest.fn<Promise<Receipt>, [Parcel]>(async ({ values }) => {
    if ('slug' in values) throw refusal(422, 'slug', 'no spaces, please');
    return { revision: 2 };
  });
  render(<Form save={save} first={{ title: 'A', slug: 'a' }} />);
  await hands.type(screen.getByLabelText('Address'), ' b');
  await hands.type(title(), 'B');
  await pass(400);
  await pass(400);
  expect(screen.getByRole('alert').textContent).toBe('no spaces, please');
  expect(screen.getByText('Not saved: no spaces, please')).toBeTruthy();
  expect(save).toHaveBeenCalledWith({ values: { title: 'AB' }, was: { title: 'A' } });
  expect(unsaved.isStuck()).toBe(true);
  await hands.click(screen.getByRole('button', { name: 'Show' }));
  expect(document.activeElement).toBe(screen.getByLabelText('Address'));
});

test('when the server is away what was typed stays, and is sent again by itself', async () => {
  let isAway = true;
  const save = jest.fn<Promise<Receipt>, [Parcel]>(async () => {
    if (isAway) throw new CallError({ type: 'about:away', title: 'The server cannot be reached.', status: 0 });
    return { revision: 2 };
  });
  render(<Form save={save} first={{ title: 'A', slug: 'a' }} />);
  await hands.type(title(), 'B');
  await pass(400);
  expect(screen.getByRole('alert').textContent).toContain('The server cannot be reached.');
  isAway = false;
  await pass(4_100);
  expect(screen.getByText('saved just now')).toBeTruthy();
  expect(title().value).toBe('AB');
});

test('leaving the screen sends what still waits', async () => {
  const save = jest.fn<Promise<Receipt>, [Parcel]>(async () => ({ revision: 2 }));
  const { unmount } = render(<Form save={save} first={{ title: 'A', slug: 'a' }} />);
  fireEvent.change(title(), { target: { value: 'Last words' } });
  unmount();
  expect(save).toHaveBeenCalledWith({ values: { title: 'Last words' }, was: { title: 'A' } });
  expect(unsaved.isAny()).toBe(false);
});
