/** @jest-environment jsdom */
import { fireEvent, render } from '@testing-library/react';
import { letterKeys, useShortcuts } from './keyboard';

const run = { n: jest.fn(), goods: jest.fn(), undo: jest.fn() };
const shortcuts = [
  { keys: 'n', words: 'new product', run: run.n },
  { keys: 'g g', words: 'go to Goods', run: run.goods },
  { keys: 'mod+z', words: 'undo', run: run.undo },
];

function Desk() {
  useShortcuts(shortcuts);
  return (
    <>
      <input aria-label="field" />
      <input aria-label="tick" type="checkbox" />
    </>
  );
}

/** Presses a key at a moment, on an element. */
function press(on: Element, key: string, at: number, more: object = {}) {
  const event = new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...more });
  Object.defineProperty(event, 'timeStamp', { value: at });
  fireEvent(on, event);
}

beforeEach(() => {
  jest.clearAllMocks();
  letterKeys.set(true);
});

test('letters typed into a field are letters, and for a second after it too', () => {
  const { getByLabelText } = render(<Desk />);
  press(getByLabelText('field'), 'n', 10_000);
  press(document.body, 'n', 10_500);
  expect(run.n).not.toHaveBeenCalled();
  press(document.body, 'n', 11_200);
  expect(run.n).toHaveBeenCalledTimes(1);
});

test('a tick takes no letters: commands work there', () => {
  const { getByLabelText } = render(<Desk />);
  press(getByLabelText('tick'), 'n', 20_000);
  expect(run.n).toHaveBeenCalledTimes(1);
});

test('undo in a field is left to the field', () => {
  const { getByLabelText } = render(<Desk />);
  press(getByLabelText('field'), 'z', 30_000, { ctrlKey: true });
  expect(run.undo).not.toHaveBeenCalled();
  press(document.body, 'z', 32_000, { ctrlKey: true });
  expect(run.undo).toHaveBeenCalledTimes(1);
});

test('two keys one after the other go to a desk; one-letter keys can be switched off', () => {
  render(<Desk />);
  press(document.body, 'g', 40_000);
  press(document.body, 'g', 40_400);
  expect(run.goods).toHaveBeenCalledTimes(1);
  letterKeys.set(false);
  press(document.body, 'n', 50_000);
  expect(run.n).not.toHaveBeenCalled();
});
