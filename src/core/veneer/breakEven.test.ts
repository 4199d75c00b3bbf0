import fc from 'fast-check';
import { breakEven, PATCH_RATES } from './breakEven';

const loss = { seamMm: 150, areaMm2: 1200 };

test('minutes and the turning point, by hand', () => {
  // A patch of 150 mm seam: 55 + 21 = 76 min. A sheet on 0.25 m²: 200 + 60 = 260 min; 260 / 76 = 3.4.
  const one = breakEven([loss], 250_000);
  expect(one).toMatchObject({
    patchMin: 76,
    sheetMin: 260,
    seamMm: 150,
    lossMm2: 1200,
    cheaper: 'patch',
    turnsAt: 4,
  });
  expect(breakEven([loss, loss, loss, loss], 250_000)).toMatchObject({ cheaper: 'sheet', turnsAt: 4 });
});

test('at the turning point a sheet takes less time, one loss fewer it does not', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 20, max: 900 }),
      fc.integer({ min: 1000, max: 2_000_000 }),
      (seamMm, face) => {
        const same = (n: number) => Array.from({ length: n }, () => ({ seamMm, areaMm2: 1 }));
        const { turnsAt } = breakEven(same(1), face);
        expect(breakEven(same(turnsAt), face).cheaper).toBe('sheet');
        expect(breakEven(same(turnsAt - 1), face).cheaper).toBe('patch');
      },
    ),
  );
});

test('a face without losses needs nothing, and own figures go first', () => {
  expect(breakEven([], 250_000)).toMatchObject({ patchMin: 0, cheaper: 'patch' });
  expect(breakEven([loss], 250_000, { ...PATCH_RATES, perPatchMin: 10 }).patchMin).toBe(31);
  expect(() => breakEven([loss], 0)).toThrow('The area of the face is 0 mm²');
});
