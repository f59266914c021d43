import fc from 'fast-check';
import { barcodeProblem } from './barcode';

describe('barcodes', () => {
  test.each(['', '4006381333931', '036000291452', '96385074', '978-0-306-40615-7', '0-306-40615-2', '00012345600012'])(
    '“%s” is right',
    (code) => expect(barcodeProblem(code)).toBeUndefined(),
  );
  test.each([
    ['4006381333932', /last digit should be 1/],
    ['12345', /8, 12, 13 or 14 digits/],
    ['40063813339AB', /digits only/],
    ['0-306-40615-9', /last character should be 2/],
  ])('“%s” is refused', (code, words) => expect(barcodeProblem(code)).toMatch(words));

  test('one wrong digit is always told', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 12 }), fc.integer({ min: 1, max: 9 }), (place, by) => {
        const code = [...'4006381333931'];
        code[place] = String((Number(code[place]) + by) % 10);
        expect(barcodeProblem(code.join(''))).toBeDefined();
      }),
    );
  });
});
