import type { PlacedLayout } from '../press';
import { movedPlacing, placingHandles, withClamp } from './placing';

const PLACED: PlacedLayout = {
  cauls: [{ from: [0, 20], to: [300, 20], widthMm: 45, heightMm: 38, camberMm: 0 }],
  clamps: [
    { at: [50, 20], clamp: 'fStyle', forceN: 2000 },
    { at: [250, 20], clamp: 'fStyle', forceN: 2000 },
    { at: [150, 200], clamp: 'goBar', forceN: 120 },
  ],
};

test('a clamp goes where it is dragged, in whole millimetres', () => {
  expect(movedPlacing(PLACED, 'clamp 1', [200.4, 21.6]).clamps[1]?.at).toEqual([200, 22]);
});

test('a caul takes the clamps on it along, not those beside it', () => {
  const moved = movedPlacing(PLACED, 'caul 0', [96, 60]);
  expect(moved.cauls[0]).toMatchObject({ from: [0, 60], to: [300, 60] });
  expect(moved.clamps.map((c) => c.at)).toEqual([[50, 60], [250, 60], [150, 200]]); // prettier-ignore
});

test('an end of a caul is dragged alone, and never onto the other end', () => {
  expect(movedPlacing(PLACED, 'to 0', [280, 30]).cauls[0]?.to).toEqual([280, 30]);
  expect(movedPlacing(PLACED, 'from 0', [295, 20])).toBe(PLACED);
});

test('one more clamp goes into the widest gap of the first caul', () => {
  const [, , , added] = withClamp(PLACED).clamps;
  expect(added).toMatchObject({ at: [150, 20], clamp: 'goBar' });
});

test('every clamp and every caul has its handles', () => {
  expect(placingHandles(PLACED).map((h) => h.id)).toEqual(['from 0', 'to 0', 'caul 0', 'clamp 0', 'clamp 1', 'clamp 2']); // prettier-ignore
});

test('a caul is held a third along it, between its ends and beside its middle, where a clamp stands', () => {
  const caul = PLACED.cauls[0];
  if (!caul) throw new Error('no caul');
  const { from, to } = caul;
  const handle = placingHandles(PLACED).find((h) => h.whole);
  const share = Math.hypot((handle?.x ?? 0) - from[0], (handle?.y ?? 0) - from[1]) / Math.hypot(to[0] - from[0], to[1] - from[1]); // prettier-ignore
  expect(share).toBeGreaterThan(0.25);
  expect(share).toBeLessThan(0.4);
});
