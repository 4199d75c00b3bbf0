import fc from 'fast-check';
import {
  facePlane,
  leavesFace,
  scaleQuality,
  sidesReached,
  tapOnFace,
  toFace,
  toPicture,
  type FacePlaneInput,
  type ScaleReference,
} from './facePlane';
import { homographyFrom, project } from './homography';
import { assertOutline, crossesItself, measureOutline } from './outline';
import { areaOfAll, offsetOutline } from './boolean';
import type { Point, Polygon } from './point';

const picture = { widthPx: 1600, heightPx: 1200 };
/** A made-up camera: a face of 600 × 450 mm seen at a slant. */
const CORNERS_PX: Point[] = [[220, 180], [1400, 140], [1500, 1080], [120, 1020]]; // prettier-ignore
const RECT: Point[] = [[0, 0], [600, 0], [600, 450], [0, 450]]; // prettier-ignore
const camera = homographyFrom(RECT, CORNERS_PX);
const seen = (p: Point): Point => {
  const [x, y] = project(camera, p);
  return [x / 1600, y / 1200];
};
const face: ScaleReference = {
  kind: 'rectangle',
  object: 'face',
  corners: RECT.map(seen),
  widthMm: 600,
  heightMm: 450,
};
const cardAt = (x: number, y: number): Point[] => [[x, y], [x + 85.6, y], [x + 85.6, y + 53.98], [x, y + 53.98]]; // prettier-ignore
const card: ScaleReference = {
  kind: 'rectangle',
  object: 'card',
  corners: cardAt(200, 150).map(seen),
  widthMm: 85.6,
  heightMm: 53.98,
};
/** The card alone, without help from the face's right angles. */
const cardAlone: ScaleReference = { ...card, squareFace: false };
const given = (scale: ScaleReference): FacePlaneInput => ({ picture, scale, faceCorners: RECT.map(seen) });

test.each([card, cardAlone])('a card on the face gives the size of the face', (by) => {
  const plane = facePlane(given(by));
  expect(plane.widthMm).toBeCloseTo(600, 3);
  expect(plane.heightMm).toBeCloseTo(450, 3);
  expect(plane.outline[0]?.[0]).toBeCloseTo(0, 3);
});

test('a card that lies askew gives the same, with the top edge turned level', () => {
  const turned = cardAt(0, 0).map(([x, y]): Point => [250 + x * 0.8 - y * 0.6, 150 + x * 0.6 + y * 0.8]);
  const plane = facePlane(given({ ...card, corners: turned.map(seen) }));
  expect(plane.widthMm).toBeCloseTo(600, 3);
  expect(plane.outline[1]?.[1]).toBeCloseTo(0, 3);
});

test('a known length scales a photo taken square on', () => {
  const plane = facePlane({
    picture,
    scale: { kind: 'length', ends: [[0.25, 0.5], [0.75, 0.5]], lengthMm: 400 }, // prettier-ignore
    faceCorners: [[0.1, 0.1], [0.9, 0.1], [0.9, 0.9], [0.1, 0.9]], // prettier-ignore
  });
  expect(plane.widthMm).toBeCloseTo(640, 6);
  expect(plane.heightMm).toBeCloseTo(480, 6);
});

test('there and back between face and picture', () => {
  const plane = facePlane(given(face));
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 600, noNaN: true }),
      fc.double({ min: 0, max: 450, noNaN: true }),
      (x, y) => {
        const [u, v] = toFace(plane, picture, toPicture(plane, picture, [x, y]));
        expect(u).toBeCloseTo(x, 5);
        expect(v).toBeCloseTo(y, 5);
      },
    ),
  );
});

test('the stated uncertainty covers what badly placed handles do, and a small card is worse than the face itself', () => {
  const byFace = scaleQuality(given(face));
  const byCard = scaleQuality(given(cardAlone));
  const helped = scaleQuality(given(card));
  // The face's own right angles take the guessing of the tilt away from the little card.
  expect(helped.widthUncertaintyMm).toBeLessThan(byCard.widthUncertaintyMm / 3);
  expect(helped.widthUncertaintyMm).toBeGreaterThan(byFace.widthUncertaintyMm);
  expect(byCard.widthUncertaintyMm).toBeGreaterThan(2 * byFace.widthUncertaintyMm);
  // Handles of the card displaced at random by one standard deviation: two of them cover about 95 in 100.
  let inside = 0;
  let k = 1;
  const gauss = (): number => {
    let s = -6;
    for (let i = 0; i < 12; i++) {
      k = (k * 48271) % 2147483647;
      s += k / 2147483647;
    }
    return s * 0.001;
  };
  for (let i = 0; i < 300; i++) {
    const shaken = (ps: Point[]): Point[] =>
      ps.map(([x, y]): Point => [x + gauss(), y + (gauss() * 1600) / 1200]);
    const width = facePlane({
      picture,
      scale: { ...cardAlone, corners: shaken(cardAt(200, 150).map(seen)) },
      faceCorners: shaken(RECT.map(seen)),
    }).widthMm;
    if (Math.abs(width - 600) <= byCard.widthUncertaintyMm) inside++;
  }
  expect(inside / 300).toBeGreaterThan(0.88);
});

test('bad corners and sizes are refused in plain words', () => {
  const [a, b, c, d] = RECT.map(seen);
  if (!a || !b || !c || !d) throw new Error('four');
  expect(() => facePlane(given({ ...face, corners: [a, c, b, d] }))).toThrow('cross');
  expect(() => facePlane(given({ ...face, widthMm: 0 }))).toThrow('The width of the known object is 0 mm');
  expect(() => facePlane(given({ kind: 'length', ends: [a, a], lengthMm: 100 }))).toThrow('lie on one spot');
});

test('right angles that are none do not fit', () => {
  const onLine = cardAt(200, 150).map(([x]): Point => [x, 150 + x * 0.001]);
  expect(() => facePlane(given({ ...card, corners: onLine.map(seen) }))).toThrow(RangeError);
});

describe('outlines', () => {
  const outline: Polygon = [[100, 0], [280, 0], [260, 40], [120, 40]]; // prettier-ignore
  test('measured along and across the grain', () => {
    expect(measureOutline(outline, 0)).toEqual({
      areaMm2: 6400,
      perimeterMm: expect.closeTo(180 + 140 + 2 * Math.hypot(20, 40), 6),
      alongMm: expect.closeTo(180, 6),
      acrossMm: expect.closeTo(40, 6),
    });
    expect(measureOutline(outline, 90).alongMm).toBeCloseTo(40, 6);
  });
  test('reaches the top side, leaves the face or not', () => {
    expect(sidesReached(RECT, outline)).toEqual([0]);
    expect(
      sidesReached(
        RECT,
        outline.map(([x, y]): Point => [x, y + 100]),
      ),
    ).toEqual([]);
    expect(
      leavesFace(
        RECT,
        outline.map(([x, y]): Point => [x, y - 2]),
      ),
    ).toBe(false);
    expect(
      leavesFace(
        RECT,
        outline.map(([x, y]): Point => [x, y - 20]),
      ),
    ).toBe(true);
  });
  test('two points, a crossing, a line', () => {
    expect(() => assertOutline(outline.slice(0, 2))).toThrow('has 2 points; an area needs at least three');
    expect(() => assertOutline([[0, 0], [10, 10], [10, 0], [0, 10]])).toThrow('crosses itself'); // prettier-ignore
    expect(() => assertOutline([[0, 0], [10, 10], [20, 20]])).toThrow(); // prettier-ignore
    expect(crossesItself(outline)).toBe(false);
  });
  test('100 × 60 grown by 5 with round corners: area 7678.540 exactly (area + perimeter·r + πr²)', () => {
    expect(areaOfAll(offsetOutline([[0, 0], [100, 0], [100, 60], [0, 60]], 5))).toBeCloseTo(6000 + 320 * 5 + Math.PI * 25, 0); // prettier-ignore
  });
});

describe('a tap near the edge of a face', () => {
  const face: Polygon = [[0, 0], [300, 0], [300, 200], [0, 200]]; // prettier-ignore

  test.each<[string, Point, ReturnType<typeof tapOnFace>]>([
    ['on it', [20, 30], { at: [20, 30], drawn: false }],
    ['just beside it, drawn to its edge', [120, -9], { at: [120, 0], drawn: true }],
    ['just beside a corner', [306, 206], { at: [300, 200], drawn: true }],
    ['far beside it, not taken', [120, -40], undefined],
  ])('%s', (_, at, taken) => {
    expect(tapOnFace(face, at)).toEqual(taken);
  });
});

test('a pixel in the middle of the face is as large as a millimetre beside it says', () => {
  const [a, b] = [seen([300, 225]), seen([301, 225])].map(([x, y]): Point => [x * picture.widthPx, y * picture.heightPx]); // prettier-ignore
  const px = a && b ? Math.hypot(b[0] - a[0], b[1] - a[1]) : NaN;
  expect(scaleQuality(given(face)).mmPerPixel * px).toBeCloseTo(1, 6);
});
