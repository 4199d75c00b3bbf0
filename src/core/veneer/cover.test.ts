import fc from 'fast-check';
import { leavesPlan, type LeafMatch } from './leaves';
import { shimsPlan } from './shims';
import { thicknessPlan } from './thickness';

describe('shims under part of a patch', () => {
  test('common practice: 0.4 mm with paper of 0.1 mm takes two sheets with their glue; 1/64 in one or two; half shims where it thins out', () => {
    expect(shimsPlan({ oldMm: [1, 1], newMm: 0.6, lengthMm: 80 }).zones).toMatchObject([{ fromMm: 0, toMm: 80, sheets: 2 }]); // prettier-ignore
    expect([1, 2]).toContain(
      shimsPlan({ oldMm: [1, 1], newMm: 1 - 25.4 / 64, lengthMm: 80 }).zones[0]?.sheets,
    );
    const half = shimsPlan({ oldMm: [0.9, 0.6], newMm: 0.6, lengthMm: 100 });
    expect(half.zones.map((z) => z.sheets)).toEqual([2, 1, 0]);
    expect(half.words).toContain('half shim');
    expect(shimsPlan({ oldMm: [0.6, 0.6], newMm: 0.9, lengthMm: 50 }).words).toContain('Level the patch');
  });

  test('at every place of the patch as many sheets as that place alone would take, and the zones cover it without a gap', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.4, max: 2, noNaN: true }),
        fc.double({ min: 0.4, max: 2, noNaN: true }),
        fc.double({ min: 0.4, max: 1.2, noNaN: true }),
        (one, other, newMm) => {
          const { zones } = shimsPlan({ oldMm: [one, other], newMm, lengthMm: 120 });
          expect(zones[0]?.fromMm).toBe(0);
          expect(zones.at(-1)?.toMm).toBeCloseTo(120, 9);
          zones.slice(1).forEach((z, i) => expect(z.fromMm).toBe(zones[i]?.toMm));
          for (const { fromMm, toMm, sheets } of zones) {
            const t = (fromMm + toMm) / 240;
            expect(
              Math.abs(thicknessPlan(one + (other - one) * t, newMm).sheets - sheets),
            ).toBeLessThanOrEqual(toMm - fromMm < 5 ? 1 : 0);
          }
        },
      ),
    );
  });

  test('thicknesses that cannot be are refused', () => {
    expect(() => shimsPlan({ oldMm: [0, 1], newMm: 0.6, lengthMm: 80 })).toThrow(RangeError);
  });
});

describe('a whole face', () => {
  const base = { alongMm: 600, acrossMm: 450, overhangMm: 10, leafAlongMm: 700, leafAcrossMm: 204 };

  test('by hand: three leaves of 200 usable, slip with the rest, book equal, centre four with a seam in the middle', () => {
    expect(leavesPlan({ ...base, match: 'slip' })).toMatchObject({ leaves: 3, widthsMm: [200, 200, 70], seamsMm: [190, 390], turned: [false, false, false], lengthMm: 620 }); // prettier-ignore
    const book = leavesPlan({ ...base, match: 'book' });
    expect(book.widthsMm.map((w) => w.toFixed(1))).toEqual(['156.7', '156.7', '156.7']);
    expect(book.turned).toEqual([false, true, false]);
    const centre = leavesPlan({ ...base, match: 'centre' });
    expect(centre.leaves).toBe(4);
    expect(centre.seamsMm[1]).toBeCloseTo(225, 9);
    expect(leavesPlan({ ...base, leafAcrossMm: 480, match: 'centre' }).leaves).toBe(1);
  });

  test('widths always cover the face with its overhang, none is wider than a leaf, and no narrow strip is laid at an edge', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 60, max: 1200 }),
        fc.integer({ min: 90, max: 400 }),
        fc.constantFrom<LeafMatch>('slip', 'book', 'centre'),
        (acrossMm, leafAcrossMm, match) => {
          const plan = leavesPlan({ ...base, acrossMm, leafAcrossMm, match });
          expect(plan.widthsMm.reduce((a, b) => a + b, 0)).toBeCloseTo(acrossMm + 20, 6);
          expect(Math.max(...plan.widthsMm)).toBeLessThanOrEqual(leafAcrossMm + 1e-9);
          expect(plan.seamsMm).toHaveLength(plan.leaves - 1);
          if (plan.leaves > 1) expect(acrossMm - (plan.seamsMm.at(-1) ?? 0)).toBeGreaterThanOrEqual(30);
        },
      ),
    );
  });

  test('leaves that are too short or too narrow are told', () => {
    expect(() => leavesPlan({ ...base, leafAlongMm: 500, match: 'slip' })).toThrow(
      '620 mm with its overhang',
    );
    expect(() => leavesPlan({ ...base, leafAcrossMm: 4, match: 'slip' })).toThrow('too narrow');
  });
});
