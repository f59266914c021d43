import fc from 'fast-check';
import { counted, readReckoning, replaced } from './column-changes';

test('words are replaced whatever their capitals, or only as typed; signs of patterns are plain signs', () => {
  expect(replaced('Delta delta', 'delta', 'box', false)).toBe('box box');
  expect(replaced('Delta delta', 'delta', 'box', true)).toBe('Delta box');
  expect(replaced('1.8 m (wide)', '(wide)', '$&', false)).toBe('1.8 m $&');
  expect(replaced('as it is', '', 'x', false)).toBe('as it is');
});

test.each([
  ['12', '+5', '17'],
  ['12', '-10 %', '10.8'],
  ['12', '−2', '10'],
  ['12', '*1,5', '18'],
  ['12', '/ 5', '2.4'],
  ['1,5 kg', '*2', '3 kg'],
  ['-4 °C', '+1', '-3 °C'],
])('%s %s is %s', (text, typed, after) => {
  expect(counted(text, typed)).toBe(after);
});

test.each(['5', '+', '+five', '*10 %', '/0', '/0,0', '=2'])('“%s” reckons nothing', (typed) => {
  expect(readReckoning(typed)).toBeUndefined();
  expect(counted('12', typed)).toBeUndefined();
});

test('a cell without a number stays', () => {
  expect(counted('as long as wanted', '+5')).toBeUndefined();
  expect(counted('', '+5')).toBeUndefined();
});

test('what is added and taken off again, or multiplied and divided, is what it was', () => {
  fc.assert(
    fc.property(fc.integer({ min: -10_000, max: 10_000 }), fc.integer({ min: 1, max: 500 }), (x, by) => {
      expect(counted(counted(String(x), `+${by}`)!, `-${by}`)).toBe(String(x));
      expect(counted(counted(String(x), `*${by}`)!, `/${by}`)).toBe(String(x));
    }),
  );
});
