import fc from 'fast-check';
import { lookSchema, usualLook } from '../model/look';
import { type ColourRole } from '../model/look-choices';
import { contrastOf, nearestPassing } from './contrast';
import { pairFaults, pairs, READABLE } from './pairs';
import { presets } from './presets';
import { lookProperties } from './properties';

const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`);

test.each(presets)('“$name” can be read throughout', ({ look }) => {
  expect(lookSchema.parse(look)).toEqual(look);
  expect(pairFaults(look)).toEqual([]);
});

test('no two looks are alike in letters, corners, density and head: they are more than colours', () => {
  const drawn = presets.map(({ look: { display, text, corners, density, header, buttons, size } }) =>
    [display, text, corners, density, header, buttons, size].join(),
  );
  expect(new Set(drawn).size).toBe(presets.length);
  expect(new Set(presets.map(({ look }) => look.display)).size).toBe(presets.length);
});

test('a mended colour can be read, and one that could be read is left alone', () => {
  fc.assert(
    fc.property(hex, hex, (colour, ground) => {
      const mended = nearestPassing(colour, [ground], READABLE);
      // Of black and white one can always be read.
      expect(contrastOf(mended!, ground)).toBeGreaterThanOrEqual(READABLE);
      if (contrastOf(colour, ground) >= READABLE) expect(mended).toBe(colour);
    }),
  );
});

test('a mended colour is mended for good', () => {
  fc.assert(
    fc.property(hex, hex, (colour, ground) => {
      const mended = nearestPassing(colour, [ground], READABLE)!;
      expect(nearestPassing(mended, [ground], READABLE)).toBe(mended);
    }),
  );
});

test('a pale button is found, and its mend spoils nothing else', () => {
  const pale = { ...usualLook, colours: { ...usualLook.colours, sea: '#8fd3dc' } };
  const faults = pairFaults(pale);
  expect(faults.map(({ where }) => where)).toContain('White on buttons');
  const { role, to } = faults[0]!.mend!;
  expect(pairFaults({ ...pale, colours: { ...pale.colours, [role]: to } })).toEqual([]);
});

test('every mend that is offered leaves that colour readable against all that it meets', () => {
  const roles = Object.keys(usualLook.colours) as ColourRole[];
  fc.assert(
    fc.property(fc.constantFrom(...roles), hex, (role, colour) => {
      const look = { ...usualLook, colours: { ...usualLook.colours, [role]: colour } };
      for (const { mend } of pairFaults(look)) {
        if (!mend) continue;
        const after = { ...look, colours: { ...look.colours, [mend.role]: mend.to } };
        const own = pairs.filter(({ over, on }) => over === mend.role || on === mend.role).map(({ where }) => where);
        expect(pairFaults(after).filter(({ where }) => own.includes(where))).toEqual([]);
      }
    }),
  );
});

test('every choice of a look is seen in the properties that the shop is drawn with', () => {
  const { shape } = lookSchema;
  const text = (look: typeof usualLook) => JSON.stringify(lookProperties(look));
  for (const [key, field] of Object.entries(shape)) {
    // Head and foot are drawn by the page, not by a property.
    if (key === 'colours' || key === 'header' || key === 'footer') continue;
    const drawn = (field as { options: string[] }).options.map((value) => text({ ...usualLook, [key]: value }));
    expect([key, new Set(drawn).size]).toEqual([key, drawn.length]);
  }
});
