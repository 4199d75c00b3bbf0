import { boundingBox, project, type Point } from '../geometry';
import { newFace } from './defaults';
import { handTurn, patchOnItsSheet, patchOnSheet, spotFaults, spotHandles, spotSearch, spotWords, type Spot } from './spot'; // prettier-ignore
import { boardOf } from './survey';
import { closeViewOf, grainViewOf } from './views';
import type { Veneer } from './types';

/** A face of 600 × 400 mm, seen askew in its photo, its grain running down to the right. */
const board = boardOf({
  ...newFace('p', 'Top'),
  picture: { id: 'x', widthPx: 1200, heightPx: 800 },
  scale: { kind: 'rectangle', object: 'face', corners: [[0.1, 0.12], [0.9, 0.08], [0.95, 0.9], [0.06, 0.93]], widthMm: 600, heightMm: 400 },
  grain: [[0.3, 0.3], [0.6, 0.6]],
}); // prettier-ignore
const PATCH: Point[] = [[200, 150], [260, 150], [260, 190], [200, 190]]; // prettier-ignore

test('the view shows each place of the face where the outline says it lies, whatever the grain', () => {
  if (!board.ok) throw new Error(board.problem);
  const { plane, grainDeg } = board.value;
  const search = spotSearch({ board: board.value, others: [] }, 'x', { outline: PATCH }, { pictureId: 's', wideMm: 100 }); // prettier-ignore
  expect(Math.abs(grainDeg)).toBeGreaterThan(10);
  for (const [i, p] of PATCH.entries()) {
    const [x, y] = search.outline[i] ?? [NaN, NaN];
    const seen = project(search.view.toSource, [x / search.view.mmPerPixel, y / search.view.mmPerPixel]);
    const wanted = project(plane.faceToPicture, p);
    expect(Math.hypot(seen[0] - wanted[0], seen[1] - wanted[1])).toBeLessThan(1e-6);
  }
  // All of the patch and a ring round it are in the view.
  const { left, top, right, bottom } = boundingBox(search.outline);
  expect(Math.min(left, top)).toBeGreaterThan(search.ringMm);
  expect(right + search.ringMm).toBeLessThan(search.view.widthPx * search.view.mmPerPixel);
  expect(bottom + search.ringMm).toBeLessThan(search.view.heightPx * search.view.mmPerPixel);
});

test.each([
  [{ xMm: 40, yMm: 30, degrees: 0.2, flipped: false }, 'Its middle 40 mm from the left and 30 mm from the top of the photo'], 
  [{ xMm: 40, yMm: 30, degrees: -177, flipped: true }, 'Its middle 40 mm from the left and 30 mm from the top of the photo, from the other face of the sheet, end for end, turned by 3°'],
])('in words: %j', (spot, words) => {
  expect(spotWords(spot, (mm) => `${mm} mm`)).toBe(words);
}); // prettier-ignore

describe('a patch placed by hand on its sheet', () => {
  const outline: Point[] = [[10, 10], [50, 10], [50, 30], [10, 30]]; // prettier-ignore
  const sheet = { pictureId: 's', wideMm: 200 };
  const at = { xMm: 60, yMm: 40, degrees: 0, flipped: false };

  test('its handles: the middle, and a place beyond its end that turns it by as much as the finger goes round', () => {
    const [middle, turn] = spotHandles(outline, at);
    expect(middle).toMatchObject({ x: 60, y: 40, whole: true });
    expect(turn).toMatchObject({ x: 83, y: 40 });
    expect(handTurn(at, [60, 90])).toBe(90);
    expect(handTurn(at, [160, 40 + 100 * Math.tan(Math.PI / 36)])).toBe(5);
    const half = patchOnSheet(outline, { ...at, degrees: 180 });
    expect(half[0]?.map(Math.round)).toEqual([80, 50]);
  });

  test('what speaks against a place: the rim, a hole, grain that is seen', () => {
    expect(spotFaults(outline, at, sheet, 100)).toEqual([]);
    expect(spotFaults(outline, { ...at, xMm: 15 }, sheet, 100)).toEqual([
      'It hangs over the rim of the sheet.',
    ]);
    const holes = [[[0.25, 0.3], [0.4, 0.3], [0.4, 0.5]]] as [number, number][][]; // prettier-ignore
    expect(spotFaults(outline, at, { ...sheet, holes }, 100)).toEqual(['Some of it was cut out of the sheet before.']); // prettier-ignore
    expect(spotFaults(outline, { ...at, degrees: -172 }, sheet, 100)[0]).toMatch(
      /turned by 8°; more than 6°/,
    );
    expect(spotFaults(outline, { ...at, degrees: 180 }, sheet, 100)).toEqual([]);
  });
});

test('a patch is printed on its sheet only where that has a photo whose size is known', () => {
  const spot: Spot = { xMm: 150, yMm: 100, degrees: 0, flipped: false };
  const words = (mm: number): string => `${mm}`;
  const sheet: Veneer = {
    name: 'Old walnut',
    species: 'walnut',
    thicknessMm: 0.6,
    alongMm: 400,
    acrossMm: 300,
    note: '',
    pictureId: 'x',
    photoWideMm: 400,
  };
  expect(patchOnItsSheet(sheet, { outline: PATCH }, 30, spot, words)).toMatchObject({ pictureId: 'x', name: 'Old walnut', wideMm: 400 }); // prettier-ignore
  const { pictureId: _p, ...noPhoto } = sheet;
  const { photoWideMm: _w, ...noScale } = sheet;
  expect(patchOnItsSheet(noPhoto, { outline: PATCH }, 30, spot, words)).toBeUndefined();
  expect(patchOnItsSheet(noScale, { outline: PATCH }, 30, spot, words)).toBeUndefined();
});

test('a close view is as fine for a part far from the corner as for the same part near it', () => {
  if (!board.ok) throw new Error(board.problem);
  const at = (x: number, y: number) =>
    closeViewOf(
      board.value,
      'x',
      PATCH.map(([px, py]): Point => [px - 200 + x, py - 150 + y]),
    ).view;
  const [near, far] = [at(10, 10), at(500, 320)];
  expect(far.mmPerPixel).toBe(near.mmPerPixel);
  expect([far.widthPx, far.heightPx]).toEqual([near.widthPx, near.heightPx]);
  // 60 × 40 mm, as many points along as along.
  expect(far.widthPx * far.mmPerPixel).toBeCloseTo(60, 0);
  expect(far.heightPx * far.mmPerPixel).toBeCloseTo(40, 0);
});

test('a view along the grain of a thin strip is one point high at least', () => {
  if (!board.ok) throw new Error(board.problem);
  const { view } = grainViewOf(board.value, 'x', [[100, 100], [100.2, 100], [100.2, 100.2]], 0.5); // prettier-ignore
  expect(view.heightPx).toBe(1);
});
