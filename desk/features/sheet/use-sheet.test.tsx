/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react';
import type { SheetProduct } from '../../../contract/sheet';
import type { SheetColumn } from './sheet-columns';
import { useSheet } from './use-sheet';

const product = {
  id: 'p_1',
  title: 'Wren',
  supplier: 'Rods',
  options: [],
  variants: [],
  specs: {},
} as never as SheetProduct;
const column = (key: 'title' | 'supplier'): SheetColumn =>
  ({
    key,
    label: key,
    of: 'product',
    width: 100,
    isNumber: false,
    canEdit: () => true,
    valueOf: (row: SheetProduct) => row[key as never],
    show: (value: unknown) => String(value),
    read: (text: string) => (text.includes('!') ? { problem: 'No exclamation marks.' } : { value: text }),
  }) as never;
const [title, supplier] = [column('title'), column('supplier')];

function sheet() {
  const products = [product];
  const { result } = renderHook(() => useSheet(products, false));
  const type = (of: SheetColumn, text: string) =>
    act(() => void result.current.type([{ row: result.current.rows[0]!, column: of, text }]));
  const text = (of: SheetColumn) => result.current.textAt(result.current.rows[0]!, of);
  return { result, type, text };
}

test('a cell that cannot be saved keeps its text and holds up no other', () => {
  const { result, type, text } = sheet();
  type(title, 'Wren!');
  type(supplier, 'Poles');
  expect([result.current.changed, result.current.wrong]).toEqual([1, 1]);
  expect(result.current.changes()).toEqual([{ id: 'p_1', fields: { supplier: 'Poles' }, variants: [] }]);
  act(() => result.current.settle(result.current.drafts));
  expect(text(title)).toBe('Wren!');
  expect(result.current.reason).toBe('No exclamation marks.');
});

test('a cell typed while the save was on its way is still to be saved', () => {
  const { result, type, text } = sheet();
  type(title, 'Tern');
  const sent = result.current.drafts;
  type(title, 'Tern two');
  type(supplier, 'Poles');
  act(() => result.current.settle(sent));
  expect(text(title)).toBe('Tern two');
  expect(result.current.changes()[0]!.fields).toEqual({ title: 'Tern two', supplier: 'Poles' });
});

test('what the server refused is told at its cell; the next save sends the others', () => {
  const { result, type } = sheet();
  type(title, 'Tern');
  type(supplier, 'Poles');
  const sent = result.current.changes();
  act(() =>
    result.current.refuse(sent, [{ path: ['changes', 0, 'fields', 'title'], message: 'This title is taken.' }]),
  );
  expect(result.current.errorAt(result.current.rows[0]!, title)).toBe('This title is taken.');
  expect(result.current.changes()[0]!.fields).toEqual({ supplier: 'Poles' });
});

test('undo takes back cells one after the other, redo does them again, and saved changes are left alone', () => {
  const { result, type, text } = sheet();
  type(title, 'Tern');
  type(title, 'Tern two');
  const did = (run: () => boolean) => {
    let answer = false;
    act(() => void (answer = run()));
    return answer;
  };
  expect(did(() => result.current.takeBack())).toBe(true);
  expect(text(title)).toBe('Tern');
  expect(did(() => result.current.doAgain())).toBe(true);
  expect(text(title)).toBe('Tern two');
  did(() => result.current.takeBack());
  did(() => result.current.takeBack());
  expect(text(title)).toBe('Wren');
  // With nothing of its own left, undo is the desk's again.
  expect(did(() => result.current.takeBack())).toBe(false);
});
