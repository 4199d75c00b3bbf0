import { grainAt } from './grain';
import { areaOf, assertOutline, crossesItself, perimeterOf } from './outline';
import { isConvex } from './boolean';
import { bandLengthMm, shapeOutline } from './shape';

test('areas are those of the shapes', () => {
  expect(areaOf(shapeOutline({ kind: 'rectangle' }, 600, 400))).toBeCloseTo(240_000, 6);
  expect(areaOf(shapeOutline({ kind: 'round' }, 500, 500))).toBeCloseTo((Math.PI / 4) * 500 ** 2, 3);
  expect(areaOf(shapeOutline({ kind: 'round' }, 600, 400))).toBeCloseTo((Math.PI / 4) * 600 * 400, 3);
  expect(areaOf(shapeOutline({ kind: 'halfRound', straight: 'bottom' }, 900, 450))).toBeCloseTo((Math.PI / 8) * 900 ** 2, 0); // prettier-ignore
  const hexagon = [[0.25, 0], [0.75, 0], [1, 0.5], [0.75, 1], [0.25, 1], [0, 0.5]] as const; // prettier-ignore
  expect(areaOf(shapeOutline({ kind: 'polygon', corners: hexagon }, 400, 400))).toBeCloseTo(
    0.75 * 160_000,
    6,
  );
});

test.each([
  { kind: 'round' } as const,
  { kind: 'halfRound', straight: 'top' } as const,
  { kind: 'band', round: true } as const,
])('$kind is a plain outline', (shape) => {
  expect(() => assertOutline(shapeOutline(shape, 300, 200))).not.toThrow();
});

test('a half-round top keeps its straight side where it was said to be', () => {
  const top = shapeOutline({ kind: 'halfRound', straight: 'top' }, 900, 450);
  const straight = top.filter(([, y]) => Math.abs(y) < 1);
  expect(Math.max(...straight.map((p) => p[0])) - Math.min(...straight.map((p) => p[0]))).toBeCloseTo(
    900,
    -1,
  );
});

test('the edge of a round top unrolls to its circumference, that of an oval to its perimeter', () => {
  expect(bandLengthMm(500, 500, true)).toBeCloseTo(Math.PI * 500, 6);
  // Numerical reference: the many-sided outline of the same oval.
  expect(bandLengthMm(600, 400, true) / perimeterOf(shapeOutline({ kind: 'round' }, 600, 400))).toBeCloseTo(
    1,
    3,
  );
  expect(bandLengthMm(600, 22, false)).toBe(600);
});

describe('grain', () => {
  const face = shapeOutline({ kind: 'rectangle' }, 600, 400);
  test('runs to the middle of a sunburst', () => {
    const plan = { kind: 'radial', at: [300, 200] } as const;
    expect(grainAt(plan, face, [500, 200])).toBe(0);
    expect(grainAt(plan, face, [300, 30])).toBe(90);
    expect(grainAt(plan, face, [400, 300])).toBeCloseTo(45);
  });
  test('runs square to the nearest edge in a crossbanded border, and along the face inside it', () => {
    const plan = { kind: 'border', widthMm: 40, degrees: 0 } as const;
    expect(grainAt(plan, face, [300, 15])).toBe(90);
    expect(grainAt(plan, face, [20, 200])).toBe(0);
    expect(grainAt(plan, face, [300, 200])).toBe(0);
  });
  test('is that of the zone a place lies in', () => {
    const zones = [{ outline: [[0, 0], [100, 0], [100, 400], [0, 400]] as const, degrees: 90 }]; // prettier-ignore
    const plan = { kind: 'zones', zones, degrees: 12 } as const;
    expect(grainAt(plan, face, [50, 50])).toBe(90);
    expect(grainAt(plan, face, [300, 50])).toBe(12);
  });
});

test('an outline of a few tenths of a millimetre is judged as one of a metre', () => {
  const bow: [number, number][] = [[0, 0], [1, 1], [1, 0], [0, 1]]; // prettier-ignore
  const square: [number, number][] = [[0, 0], [1, 0], [1, 1], [0, 1]]; // prettier-ignore
  for (const size of [0.2, 1, 1000]) {
    const sized = (o: [number, number][]) => o.map(([x, y]): [number, number] => [size * x, size * y]);
    expect(crossesItself(sized(square))).toBe(false);
    expect(crossesItself(sized(bow))).toBe(true);
  }
});

test('a corner that turns the other way is seen in any outline, however it lies', () => {
  const square = [[0, 0], [10, 0], [10, 10], [0, 10]] as const; // prettier-ignore
  const dented = [[0, 0], [10, 0], [10, 10], [5, 4], [0, 10]] as const; // prettier-ignore
  for (let degrees = 0; degrees < 360; degrees += 23) {
    const a = (degrees * Math.PI) / 180;
    const turned = (o: readonly (readonly [number, number])[]) =>
      o.map(([x, y]): [number, number] => [
        x * Math.cos(a) - y * Math.sin(a),
        x * Math.sin(a) + y * Math.cos(a),
      ]);
    expect(isConvex(turned(square))).toBe(true);
    expect(isConvex([...turned(square)].reverse())).toBe(true);
    expect(isConvex(turned(dented))).toBe(false);
  }
});
