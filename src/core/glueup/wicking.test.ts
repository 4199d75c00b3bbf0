import { drawnInMm, wickDepthMm, wickSeconds, WICKS_UP_TO_MM } from './wicking';

const GAMMA = 0.035;
const COS = Math.cos((40 * Math.PI) / 180);

// Flow between parallel walls integrated step by step: Poiseuille's mean speed w² Δp / 12 μ L under the pull 2 γ cos θ / w.
test('depth and time of Washburn’s formula agree with the flow integrated step by step', () => {
  const [w, mu] = [0.1e-3, 4e-3];
  const pull = (2 * GAMMA * COS) / w;
  let [l, t] = [1e-5, 0];
  const dt = 1e-5;
  while (l < 0.02) {
    l += ((w ** 2 * pull) / (12 * mu * l)) * dt;
    t += dt;
  }
  expect(wickSeconds(0.1, 4, 20) / t).toBeCloseTo(1, 2);
  expect(wickDepthMm(0.1, 4, t)).toBeCloseTo(20, 1);
});

test('by hand: 0.1 mm, 4 mPa·s: 20 mm deep in 1.79 s; a thousand times as thick takes a thousand times as long', () => {
  // 3 · 0.02² / (0.035 · cos 40° · 0.0001 / 0.004) = 1.790 s.
  expect(wickSeconds(0.1, 4, 20)).toBeCloseTo(1.79, 2);
  expect(wickSeconds(0.1, 4000, 20) / wickSeconds(0.1, 4, 20)).toBeCloseTo(1000, 6);
});

test('depth and time undo each other', () => {
  expect(wickDepthMm(0.2, 50, wickSeconds(0.2, 50, 18))).toBeCloseTo(18, 9);
  expect(wickDepthMm(0.2, 50, 0)).toBe(0);
  expect(() => wickDepthMm(0, 4, 1)).toThrow('The gap is 0 mm');
});

test('a wide split draws nothing, nor does a glue that does not flow; a closed one is taken as the closest there is', () => {
  expect(drawnInMm(0.1, 4, 0.5)).toBeCloseTo(wickDepthMm(0.1, 4, 30), 9);
  expect(drawnInMm(WICKS_UP_TO_MM + 0.01, 4, 0.5)).toBe(0);
  expect(drawnInMm(0.1, undefined, 20)).toBe(0);
  expect(drawnInMm(0, 4, 0.5)).toBeCloseTo(wickDepthMm(0.02, 4, 30), 9);
});

// By hand: the pull 2 γ cos θ / w of a gap of 0.3 mm lifts water-heavy glue (1100 kg/m³) by 17 mm, a finger's breadth.
test('at the widest gap that draws, the pull carries a finger’s breadth of glue', () => {
  const pull = (2 * GAMMA * COS) / (WICKS_UP_TO_MM / 1000);
  expect((1000 * pull) / (1100 * 9.81)).toBeCloseTo(16.6, 1);
});
