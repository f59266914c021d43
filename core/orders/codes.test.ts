import fc from 'fast-check';
import { groupedCode, isMadeCode, makeCode } from './codes';

const codeArbitrary = fc
  .infiniteStream(fc.nat())
  .map((numbers) => makeCode((below) => numbers.next().value! % below, 10));

test('a made code is known as one; a wrong letter, or two that changed places, are noticed', () => {
  fc.assert(
    fc.property(codeArbitrary, fc.nat(9), fc.constantFrom(...'34679ACDEFGHJKMNPQRTUVWXY'), (code, at, letter) => {
      expect(code).toHaveLength(10);
      expect(isMadeCode(code)).toBe(true);
      if (code[at] !== letter) expect(isMadeCode(code.slice(0, at) + letter + code.slice(at + 1))).toBe(false);
      const next = at + 1;
      if (next < 9 && code[at] !== code[next])
        expect(isMadeCode(code.slice(0, at) + code[next] + code[at] + code.slice(next + 1))).toBe(false);
    }),
  );
});

test('codes are read in groups of four', () => {
  expect(groupedCode('ACDEFGHJKM')).toBe('ACDE-FGHJ-KM');
});
