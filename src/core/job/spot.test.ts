import { boundingBox, project, type Point } from '../geometry';
import { newFace } from './defaults';
import { spotSearch, spotWords } from './spot';
import { boardOf } from './survey';

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
