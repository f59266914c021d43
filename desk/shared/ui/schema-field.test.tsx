/** @jest-environment jsdom */
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { z } from 'zod';
import { draw } from '../../testing/desk';
import { SchemaField } from './schema-field';

const mail = z.union([z.literal(''), z.email('Type an address.')]);
const days = z.number({ error: 'Type how many.' }).int('Type a whole number.').max(365, 'At most a year.');

function Both({ tell }: { tell: (now: object) => void }) {
  const [now, setNow] = useState({ mail: '', days: 30 });
  const set = (over: object) => {
    const next = { ...now, ...over };
    setNow(next);
    tell(next);
  };
  return (
    <>
      <SchemaField label="Mail" schema={mail} value={now.mail} change={(next: string) => set({ mail: next })} />
      <SchemaField label="Days" schema={days} value={now.days} change={(next: number) => set({ days: next })} />
    </>
  );
}

test('half an address stays in the field and says what is wrong, and the field beside it is saved meanwhile', async () => {
  const tell = jest.fn();
  draw(<Both tell={tell} />);
  await userEvent.type(screen.getByLabelText('Mail'), 'robin@');
  expect(tell).not.toHaveBeenCalled();
  expect(screen.getByRole('alert').textContent).toBe('Type an address.');
  await userEvent.clear(screen.getByLabelText('Days'));
  await userEvent.type(screen.getByLabelText('Days'), '14');
  expect(tell).toHaveBeenLastCalledWith({ mail: '', days: 14 });
  expect(screen.getByLabelText<HTMLInputElement>('Mail').value).toBe('robin@');
  await userEvent.type(screen.getByLabelText('Mail'), 'line.example');
  expect(tell).toHaveBeenLastCalledWith({ mail: 'robin@line.example', days: 14 });
  expect(screen.queryByRole('alert')).toBeNull();
});

test.each([
  ['', 'Type how many.'],
  ['3.5', 'Type a whole number.'],
  ['400', 'At most a year.'],
])('“%s” days are refused: %s', async (typed, message) => {
  draw(<Both tell={jest.fn()} />);
  await userEvent.clear(screen.getByLabelText('Days'));
  if (typed) await userEvent.type(screen.getByLabelText('Days'), typed);
  expect(screen.getByRole('alert').textContent).toBe(message);
});
