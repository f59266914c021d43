/** @jest-environment jsdom */
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { WindowContext } from '../base';
import { LetterForm } from './letter-form';

const sent: unknown[] = [];
const answers: { status: number; body: object }[] = [];
beforeEach(() => {
  sent.length = 0;
  answers.length = 0;
  globalThis.fetch = ((_url: string, init: RequestInit) => {
    sent.push(JSON.parse(init.body as string));
    const { status, body } = answers.shift()!;
    return Promise.resolve({ ok: status < 400, json: () => Promise.resolve(body) });
  }) as never;
});

const draw = (base = '') =>
  render(
    <WindowContext value={base !== ''}>
      <LetterForm
        api="/shop-api/questions"
        action="/ask"
        about={{ slug: 'tern', variant: 'v_1' }}
        words="Your question"
        button="Send"
        thanks="Thank you."
        isDone={false}
      />
    </WindowContext>,
  );
const fill = async () => {
  await userEvent.type(screen.getByLabelText('Your question'), 'How wide?');
  await userEvent.type(screen.getByLabelText('Your mail address'), 'ada@example');
};

test('what is refused is said at its field, and what was typed stays; then it is sent', async () => {
  answers.push({ status: 422, body: { errors: [{ path: ['email'], message: 'This is not a mail address.' }] } });
  answers.push({ status: 200, body: { ok: true } });
  draw();
  await fill();
  await userEvent.click(screen.getByRole('button', { name: 'Send' }));
  expect((await screen.findByRole('alert')).textContent).toBe('This is not a mail address.');
  const email = screen.getByLabelText('Your mail address');
  expect([email.getAttribute('aria-invalid'), (email as HTMLInputElement).value]).toEqual(['true', 'ada@example']);
  expect(screen.getByDisplayValue('How wide?')).toBeTruthy();
  await userEvent.type(email, '.com');
  await userEvent.click(screen.getByRole('button', { name: 'Send' }));
  expect((await screen.findByRole('status')).textContent).toBe('Thank you.');
  expect(sent.at(-1)).toEqual({ slug: 'tern', variant: 'v_1', text: 'How wide?', email: 'ada@example.com' });
});

test('in the shop window nothing is sent, and that is said', async () => {
  draw('/preview');
  await fill();
  await userEvent.click(screen.getByRole('button', { name: 'Send' }));
  expect((await screen.findByRole('alert')).textContent).toMatch(/nothing is sent/);
  expect(sent).toEqual([]);
});
