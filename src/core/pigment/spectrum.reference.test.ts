import { CMF } from 'color-space/spaces/wavelength.js';
import Color from 'colorjs.io';
import fc from 'fast-check';
import { solveQP } from 'quadprog';
import { deltaE00, labFromRgb, linearOf, type Lab } from '../colour';
import { BANDS } from './bands';
import { labOf, spectrumOf, whiteUnder } from './spectrum';

const ROWS = BANDS.value;
const flat = (value: number): Float64Array => new Float64Array(ROWS.length).fill(value);

test('the observer is the one that another package carries', () => {
  const theirs = new Map(CMF.map(([nm, ...xyz]) => [nm, xyz]));
  const shared = ROWS.filter((row) => theirs.has(row.nm));
  expect(shared).toHaveLength(33);
  for (const row of shared) expect([row.x, row.y, row.z]).toEqual(theirs.get(row.nm));
});

test('daylight and lamp light are white where CIE 15 has them', () => {
  const sum = (axis: 'x' | 'y' | 'z'): number => ROWS.reduce((s, row) => s + row[axis] * row.d65, 0);
  // Tabulated 95.047, 100, 108.883 (D65) and 109.850, 100, 35.585 (A); sums over 10 nm differ by a tenth of a per cent.
  expect((100 * sum('x')) / sum('y')).toBeCloseTo(95.047, 0);
  expect(Math.abs((100 * sum('z')) / sum('y') - 108.883)).toBeLessThan(0.15);
  expect(Math.abs(100 * whiteUnder('lamp').x - 109.85)).toBeLessThan(0.15);
  expect(Math.abs(100 * whiteUnder('lamp').z - 35.585)).toBeLessThan(0.15);
});

test('a surface that returns all light alike is grey under every light', () => {
  for (const light of ['daylight', 'lamp'] as const) {
    const [l, a, b] = labOf(flat(1), light);
    expect([l, a, b].map((v) => Math.round(v * 1e6) / 1e6 + 0)).toEqual([100, 0, 0]);
    const grey = labOf(flat(0.1841865), light);
    expect(grey[0]).toBeCloseTo(50, 3);
    expect(Math.hypot(grey[1], grey[2])).toBeLessThan(1e-9);
  }
});

test('a colour comes back out of its spectrum', () => {
  const channel = fc.integer({ min: 12, max: 243 });
  fc.assert(
    fc.property(channel, channel, channel, (r, g, b) => {
      const lab = labFromRgb(r, g, b);
      expect(deltaE00(labOf(spectrumOf(lab)), lab)).toBeLessThan(0.02);
    }),
  );
});

test('a spectrum has the colour that an independent library gives it', () => {
  for (const [r, g, b] of [
    [139, 90, 43],
    [222, 184, 135],
    [60, 36, 22],
  ] as const) {
    // Its Lab is under D50, so the two are compared as XYZ under D65.
    const xyz = new Color('srgb', [r / 255, g / 255, b / 255]).to('xyz-d65').coords;
    const lab = labOf(spectrumOf(labFromRgb(r, g, b)));
    const theirs = new Color('lab-d65', [lab[0], lab[1], lab[2]]).to('xyz-d65').coords;
    theirs.forEach((v, i) => expect(v).toBeCloseTo(xyz[i] ?? NaN, 4));
  }
});

describe('the curves of the primaries', () => {
  test('never leave 0…1, add up to 1, and are red, green and blue of a screen', () => {
    for (const { red, green, blue } of ROWS) {
      for (const v of [red, green, blue]) expect(v >= 0 && v <= 1).toBe(true);
      expect(red + green + blue).toBeCloseTo(1, 5);
    }
    (['red', 'green', 'blue'] as const).forEach((name, k) => {
      const linear = linearOf(labOf(Float64Array.from(ROWS, (row) => row[name])));
      linear.forEach((v, i) => expect(v).toBeCloseTo(i === k ? 1 : 0, 3));
    });
  });

  test('are the smoothest of all that do so: a solver of quadratic programmes finds none smoother', () => {
    const n = ROWS.length;
    const size = 3 * n;
    const square = (rows: number, columns: number): number[][] =>
      Array.from({ length: rows + 1 }, () => new Array<number>(columns + 1).fill(0));
    const slopes = square(size, size);
    const add = (i: number, j: number, v: number): void => {
      const row = slopes[i];
      if (row) row[j] = (row[j] ?? 0) + v;
    };
    for (let c = 0; c < 3; c++)
      for (let i = 1; i < n; i++) {
        const a = c * n + i;
        add(a, a, 2);
        add(a + 1, a + 1, 2);
        add(a, a + 1, -2);
        add(a + 1, a, -2);
      }
    for (let i = 1; i <= size; i++) add(i, i, 1e-7);
    // What each band of a reflectance adds to linear red, green and blue.
    const toLinear = ROWS.map((_, i) => {
      const one = flat(0);
      one[i] = 1;
      return linearOf(labOf(one));
    });
    const conditions: { at: (k: number) => number; least: number }[] = ROWS.map((_, i) => ({
      at: (k) => (k % n === i ? 1 : 0),
      least: 1,
    }));
    for (let c = 0; c < 2; c++)
      for (let j = 0; j < 3; j++)
        conditions.push({
          at: (k) => (Math.floor(k / n) === c ? (toLinear[k % n]?.[j] ?? 0) : 0),
          least: c === j ? 1 : 0,
        });
    const equal = conditions.length;
    for (let i = 0; i < size; i++) conditions.push({ at: (k) => (k === i ? 1 : 0), least: 0 });
    const table = square(size, conditions.length);
    conditions.forEach((condition, q) => {
      for (let k = 0; k < size; k++) {
        const row = table[k + 1];
        if (row) row[q + 1] = condition.at(k);
      }
    });
    const solved = solveQP(
      slopes,
      new Array<number>(size + 1).fill(0),
      table,
      [0, ...conditions.map((c) => c.least)],
      equal,
    );
    expect(solved.message).toBe('');
    const theirs = solved.solution.slice(1);
    const ours = (['red', 'green', 'blue'] as const).flatMap((name) => ROWS.map((row) => row[name]));
    const roughness = (curves: readonly number[]): number =>
      curves.reduce((s, v, k) => (k % n === 0 ? s : s + (v - (curves[k - 1] ?? 0)) ** 2), 0);
    expect(roughness(ours) / roughness(theirs)).toBeCloseTo(1, 3);
    ours.forEach((v, k) => expect(Math.abs(v - (theirs[k] ?? NaN))).toBeLessThan(2e-3));
  });
});

test('a colour no screen shows is taken at one that it does', () => {
  const beyond: Lab = [50, 120, -20];
  for (const r of spectrumOf(beyond)) expect(r > 0 && r <= 1).toBe(true);
});
