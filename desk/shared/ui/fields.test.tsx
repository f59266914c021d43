/** @jest-environment jsdom */
import { act, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { unsaved } from '../autosave/unsaved';
import { Button } from './button';
import { MeasureField } from './measure-field';
import { NameField } from './name-field';
import { readWholeOrNone } from './readings';

describe('a name that is changed in place', () => {
  const draw = (keep: (name: string) => void) => render(<NameField aria-label="Name" value="Red" keep={keep} />);

  test('is kept when the field is left, by Enter and by Tab, without spaces around it', async () => {
    const keep = jest.fn();
    draw(keep);
    await userEvent.type(screen.getByLabelText('Name'), ' wine {Enter}');
    expect(keep).toHaveBeenCalledWith('Red wine');
    await userEvent.type(screen.getByLabelText('Name'), 'dish');
    await userEvent.tab();
    expect(keep).toHaveBeenLastCalledWith('Reddish');
  });

  test('is not changed by Escape', async () => {
    const keep = jest.fn();
    draw(keep);
    await userEvent.type(screen.getByLabelText('Name'), ' wine{Escape}');
    await userEvent.tab();
    expect(keep).not.toHaveBeenCalled();
    expect(screen.getByLabelText<HTMLInputElement>('Name').value).toBe('Red');
  });

  test('is kept by whoever leaves the screen in the middle of it', async () => {
    const keep = jest.fn();
    draw(keep);
    await userEvent.type(screen.getByLabelText('Name'), ' wine');
    expect(unsaved.isAny()).toBe(true);
    act(unsaved.flush);
    expect(keep).toHaveBeenCalledWith('Red wine');
    expect(unsaved.isAny()).toBe(false);
  });
});

function Days() {
  const [value, setValue] = useState<number | null>(3);
  return (
    <MeasureField
      label="Days"
      shown={value === null ? '' : String(value)}
      read={readWholeOrNone}
      change={(next) => setValue(next as number | null)}
    />
  );
}

test('what cannot be read stays as it was typed, says why, and is known to be unsaved', async () => {
  const { unmount } = render(<Days />);
  const field = screen.getByLabelText<HTMLInputElement>('Days');
  await userEvent.clear(field);
  await userEvent.type(field, 'soon');
  await userEvent.tab();
  expect(field.value).toBe('soon');
  expect(screen.getByRole('alert').textContent).toBe('Type a whole number, or nothing.');
  expect(unsaved.problems()).toEqual(['Days: Type a whole number, or nothing.']);
  await userEvent.clear(field);
  await userEvent.type(field, '12');
  await userEvent.tab();
  expect(unsaved.isAny()).toBe(false);
  unmount();
});

test('the second click of a double click does nothing', async () => {
  const run = jest.fn();
  render(<Button onClick={run}>Copy</Button>);
  await userEvent.dblClick(screen.getByRole('button'));
  expect(run).toHaveBeenCalledTimes(1);
});
