import { areaOf, lineAngle, type Point } from '../geometry';
import { boardOf } from './survey';
import { newFace } from './defaults';
import { arrowAt, newLeaf, startPlan } from './grainPlans';
import { onFaceMm } from './views';

const WHOLE: Point[] = [[0, 0], [1, 0], [1, 1], [0, 1]]; // prettier-ignore
const made = boardOf({
  ...newFace('p', 'Top'),
  picture: { id: 'photo', widthPx: 800, heightPx: 600 },
  scale: { kind: 'rectangle', object: 'face', corners: WHOLE, widthMm: 600, heightMm: 450 },
  faceCorners: WHOLE,
});
if (!made.ok) throw new Error(made.problem);
const board = made.value;
const onFace = (p: Point): Point => onFaceMm(board, p);

test.each([0, 30, 90, 135, 179])(
  'an arrow at %d° lies at that angle on the face, across its middle',
  (degrees) => {
    const [from = [0, 0], to = [0, 0]] = arrowAt(board, degrees).map(onFace);
    expect(lineAngle(from, to)).toBeCloseTo(degrees, 6);
    expect((from[0] + to[0]) / 2).toBeCloseTo(300, 6);
    expect((from[1] + to[1]) / 2).toBeCloseTo(225, 6);
    expect(Math.hypot(to[0] - from[0], to[1] - from[1])).toBeCloseTo(2 * 0.35 * 450, 6);
  },
);

test('four leaves one after another cover the face, and the fifth lies on the first', () => {
  const leaves = [0, 1, 2, 3].map((i) => newLeaf(board, i).outline.map(onFace));
  expect(leaves.map((l) => Math.round(Math.abs(areaOf(l))))).toEqual([67500, 67500, 67500, 67500]);
  expect(new Set(leaves.map((l) => l[0]?.map(Math.round).join())).size).toBe(4);
  expect(newLeaf(board, 4).outline).toEqual(newLeaf(board, 0).outline);
});

test('each way for the grain to run starts with something to drag, one way with the arrow alone', () => {
  expect(startPlan('uniform', board)).toBeUndefined();
  const radial = startPlan('radial', board);
  expect(radial?.kind === 'radial' && onFace(radial.at).map(Math.round)).toEqual([300, 225]);
  const border = startPlan('border', board);
  expect(border?.kind === 'border' && border.widthMm).toBe(56);
  const zones = startPlan('zones', board);
  expect(zones?.kind === 'zones' && zones.zones.length).toBe(2);
});
