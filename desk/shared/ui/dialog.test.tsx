/** @jest-environment jsdom */
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { unsaved } from '../autosave/unsaved';
import { Dialog } from './dialog';
import { TextField } from './field';

const close = jest.fn();
beforeEach(() => close.mockClear());

function Form({ isForm = true, isOpen = true }: { isForm?: boolean; isOpen?: boolean }) {
  const [name, setName] = useState('reel');
  return (
    <Dialog title="A name" isOpen={isOpen} close={close} isForm={isForm}>
      <TextField label="Name" value={name} onChange={({ target }) => setName(target.value)} />
      <input aria-label="Find" type="search" />
      <button type="button" onClick={() => setName('reel')}>
        As it was
      </button>
    </Dialog>
  );
}
const asked = () => screen.queryByRole('alertdialog', { name: 'Drop what you typed?' });

test('Escape closes what nothing was typed into', async () => {
  render(<Form />);
  await userEvent.click(screen.getByLabelText('Name'));
  await userEvent.type(screen.getByLabelText('Find'), 'only looked for');
  await userEvent.keyboard('{Escape}');
  expect(close).toHaveBeenCalledTimes(1);
});

test('what was typed is not dropped by Escape: one is asked, goes on, and drops it only by saying so', async () => {
  render(<Form />);
  await userEvent.type(screen.getByLabelText('Name'), ', wooden');
  await userEvent.keyboard('{Escape}');
  expect(close).not.toHaveBeenCalled();
  await userEvent.click(screen.getByRole('button', { name: 'Go on' }));
  expect(asked()).toBeNull();
  expect(screen.getByDisplayValue('reel, wooden')).toBeTruthy();
  await userEvent.keyboard('{Escape}');
  // Escape once more is a way back too.
  await userEvent.keyboard('{Escape}');
  expect(asked()).toBeNull();
  await userEvent.keyboard('{Escape}');
  await userEvent.click(screen.getByRole('button', { name: 'Drop it' }));
  expect(close).toHaveBeenCalledTimes(1);
});

test('what was typed and taken away again is nothing to lose', async () => {
  render(<Form />);
  await userEvent.type(screen.getByLabelText('Name'), ', wooden');
  await userEvent.click(screen.getByRole('button', { name: 'As it was' }));
  await userEvent.keyboard('{Escape}');
  expect(close).toHaveBeenCalledTimes(1);
});

test('whoever leaves the screen is told of it, as of everything that is not saved', async () => {
  const first = render(<Form />);
  await userEvent.type(screen.getByLabelText('Name'), '!');
  expect(unsaved.problems()).toEqual(['A name: what you typed is not sent.']);
  first.unmount();
  expect(unsaved.isAny()).toBe(false);
  const { rerender } = render(<Form />);
  await userEvent.type(screen.getByLabelText('Name'), '!');
  rerender(<Form isOpen={false} />);
  expect(unsaved.isAny()).toBe(false);
});

test('a dialog that is no form closes at once', async () => {
  render(<Form isForm={false} />);
  await userEvent.type(screen.getByLabelText('Name'), '!');
  await userEvent.keyboard('{Escape}');
  expect(close).toHaveBeenCalledTimes(1);
  expect(unsaved.isAny()).toBe(false);
});
