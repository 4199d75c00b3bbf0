import { assertRange } from '../check';
import { assertOutline, contains } from './outline';
import {
  boundingBox,
  distance,
  distanceToBoundary,
  nearestOnSegment,
  sides,
  type Point,
  type Polygon,
} from './point';
import { compose, homographyFrom, invertHomography, project, type Homography } from './homography';
import { memory, published, sourced } from '../sources';

/** Things of known size that can lie on a face. The face itself has the size the user measured. */
export const REFERENCE_OBJECTS_SOURCE = published(
  'ISO/IEC 7810, ISO 216 and ANSI/ASME Y14.1',
  'sizes of cards and sheets',
);
export const REFERENCE_OBJECTS = {
  card: {
    label: 'Bank or identity card',
    widthMm: 85.6,
    heightMm: 53.98,
    standard: 'ISO/IEC 7810, size ID-1',
  },
  a4: { label: 'A4 sheet', widthMm: 297, heightMm: 210, standard: 'ISO 216, size A4' },
  letter: {
    label: 'Letter sheet',
    widthMm: 279.4,
    heightMm: 215.9,
    standard: 'ANSI Y14.1, size A (8 1/2 × 11 in)',
  },
} as const;

/** What tells the scale of a picture. Places are fractions of the picture's width and height, 0…1. */
export type ScaleReference =
  | {
      kind: 'rectangle';
      object: 'face' | keyof typeof REFERENCE_OBJECTS;
      /** The face has four right angles: its own corners then give the tilt, and the small known thing only the size. */
      squareFace?: boolean;
      corners: Point[];
      widthMm: number;
      heightMm: number;
    }
  | { kind: 'length'; ends: Point[]; lengthMm: number };

export type PictureFrame = { widthPx: number; heightPx: number };

/** A face to scale: x to the right and y down in mm, its outline's box starting at 0, 0. */
export type FacePlane = {
  pictureToFace: Homography;
  faceToPicture: Homography;
  outline: Polygon;
  widthMm: number;
  heightMm: number;
};

export type FacePlaneInput = {
  picture: PictureFrame;
  scale: ScaleReference;
  /** The face's own four corners in the picture; not used when the reference is the face. */
  faceCorners: Point[];
};

/** How well a handle is placed with the magnifier, as a share of the picture's longer side (one standard deviation). */
export const HANDLE_ERROR_SHARE_SOURCE = memory(
  'a finger with a magnifier hits within a thousandth of the picture',
);
export const HANDLE_ERROR_SHARE = 0.001;
/** How well a size is known: a tape or a rule, one standard deviation. */
export const SIZE_ERROR_MM_SOURCE = memory('a tape or a rule is read to half a millimetre');
export const SIZE_ERROR_MM = 0.5;

const rectangle = (widthMm: number, heightMm: number): Point[] => [
  [0, 0],
  [widthMm, 0],
  [widthMm, heightMm],
  [0, heightMm],
];

/**
 * Size of a face with four right angles, from something of known size that lies on it anyhow. The face's corners square the
 * picture up to a unit square; what is left are two stretches, W and H, for which every side and diagonal of the known thing is one
 * linear equation in W² and H²: dx²·W² + dy²·H² = length².
 */
function squareFaceSize(toUnit: Homography, cornersPx: Point[], widthMm: number, heightMm: number): Point {
  const q = cornersPx.map((p) => project(toUnit, p));
  const known = rectangle(widthMm, heightMm);
  const pairs = [[0, 1], [1, 2], [2, 3], [3, 0], [0, 2], [1, 3]] as const; // prettier-ignore
  let [a, b, c, u, v] = [0, 0, 0, 0, 0];
  for (const [i, j] of pairs) {
    const [from = [0, 0], to = [0, 0], m = [0, 0], n = [0, 0]] = [q[i], q[j], known[i], known[j]];
    const length2 = (n[0] - m[0]) ** 2 + (n[1] - m[1]) ** 2;
    // Each equation is divided by its length², so that long and short ones count alike.
    const x = (to[0] - from[0]) ** 2 / length2;
    const y = (to[1] - from[1]) ** 2 / length2;
    a += x * x;
    b += x * y;
    c += y * y;
    u += x;
    v += y;
  }
  const determinant = a * c - b * b;
  const [w2, h2] = [(u * c - v * b) / determinant, (v * a - u * b) / determinant];
  if (!(w2 > 0 && h2 > 0)) {
    throw new RangeError(
      'The corners of the known thing and of the face do not fit together. Check both sets of handles, or say that the face has no right angles.',
    );
  }
  return [Math.sqrt(w2), Math.sqrt(h2)];
}

function referencePlane({ picture, scale, faceCorners }: FacePlaneInput): Homography {
  const px = (p: Point): Point => [p[0] * picture.widthPx, p[1] * picture.heightPx];
  if (scale.kind === 'rectangle') {
    assertRange('The width of the known object', scale.widthMm, 'mm', 5, 5000);
    assertRange('The height of the known object', scale.heightMm, 'mm', 5, 5000);
    if (scale.object !== 'face' && scale.squareFace !== false) {
      const corners = faceCorners.map(px);
      const [w, h] = squareFaceSize(
        homographyFrom(corners, rectangle(1, 1)),
        scale.corners.map(px),
        scale.widthMm,
        scale.heightMm,
      );
      return homographyFrom(corners, rectangle(w, h));
    }
    return homographyFrom(scale.corners.map(px), rectangle(scale.widthMm, scale.heightMm));
  }
  assertRange('The known length', scale.lengthMm, 'mm', 5, 5000);
  const [a, b] = scale.ends.map(px);
  const lengthPx = a && b ? distance(a, b) : 0;
  if (lengthPx < 10)
    throw new RangeError('The two ends of the known length lie on one spot. Drag them apart.');
  const k = scale.lengthMm / lengthPx;
  return [k, 0, 0, 0, k, 0, 0, 0, 1];
}

/**
 * Lays a face out to scale from a picture.
 *
 * With the face itself as reference its corners are the rectangle that was measured; otherwise the reference gives the
 * plane and the face's own corners are read off in it. The top edge of the face is turned level.
 *
 * @throws RangeError for corners that cross or are degenerate, and for sizes outside 5…5000 mm
 */
export function facePlane(input: FacePlaneInput): FacePlane {
  const base = referencePlane(input);
  const { picture, scale, faceCorners } = input;
  const isFace = scale.kind === 'rectangle' && scale.object === 'face';
  const corners = isFace
    ? rectangle(scale.widthMm, scale.heightMm)
    : faceCorners.map((p) => project(base, [p[0] * picture.widthPx, p[1] * picture.heightPx]));
  assertOutline(corners);
  const [a, b] = corners;
  const turn = a && b ? Math.atan2(b[1] - a[1], b[0] - a[0]) : 0;
  const cos = Math.cos(-turn);
  const sin = Math.sin(-turn);
  const level = corners.map(([x, y]): Point => [x * cos - y * sin, x * sin + y * cos]);
  const box = boundingBox(level);
  const rigid: Homography = [cos, -sin, -box.left, sin, cos, -box.top, 0, 0, 1];
  const pictureToFace = compose(rigid, base);
  return {
    pictureToFace,
    faceToPicture: invertHomography(pictureToFace),
    outline: level.map(([x, y]): Point => [x - box.left, y - box.top]),
    widthMm: box.right - box.left,
    heightMm: box.bottom - box.top,
  };
}

export type ScaleQuality = {
  /** Millimetres of the face that one picture pixel covers at the face's centre. */
  mmPerPixel: number;
  /** Two standard deviations of the face's width and height. */
  widthUncertaintyMm: number;
  heightUncertaintyMm: number;
  /** Two standard deviations of a 100 mm length at the centre of the face. */
  per100UncertaintyMm: number;
};

const faceSize = (plane: FacePlane): Point => [plane.widthMm, plane.heightMm];

/** The picture points of a 100 mm line through the face's centre, measured again in another plane. */
function hundredIn(original: FacePlane, shifted: FacePlane): number {
  const cx = original.widthMm / 2;
  const cy = original.heightMm / 2;
  const ends = [cx - 50, cx + 50].map((x) =>
    project(shifted.pictureToFace, project(original.faceToPicture, [x, cy])),
  );
  const [a, b] = ends;
  return a && b ? distance(a, b) : 100;
}

/**
 * How far lengths on the face can be trusted, by moving each handle and each known size by its error in turn and adding
 * the effects in quadrature (first-order propagation). A tilted camera with only a known length is not covered: the
 * picture alone cannot tell.
 */
export function scaleQuality(input: FacePlaneInput): ScaleQuality {
  const plane = facePlane(input);
  const { scale, picture } = input;
  const step = HANDLE_ERROR_SHARE * Math.max(picture.widthPx, picture.heightPx);
  const shifts: FacePlaneInput[] = [];
  const nudge = (points: Point[], put: (moved: Point[]) => FacePlaneInput): void => {
    points.forEach((_, i) => {
      for (const d of [
        [step / picture.widthPx, 0],
        [0, step / picture.heightPx],
      ] as const) {
        shifts.push(put(points.map((p, j): Point => (i === j ? [p[0] + d[0], p[1] + d[1]] : p))));
      }
    });
  };
  if (scale.kind === 'rectangle') {
    nudge(scale.corners, (corners) => ({ ...input, scale: { ...scale, corners } }));
    if (scale.object === 'face') {
      shifts.push({ ...input, scale: { ...scale, widthMm: scale.widthMm + SIZE_ERROR_MM } });
      shifts.push({ ...input, scale: { ...scale, heightMm: scale.heightMm + SIZE_ERROR_MM } });
    }
  } else {
    nudge(scale.ends, (ends) => ({ ...input, scale: { ...scale, ends } }));
    shifts.push({ ...input, scale: { ...scale, lengthMm: scale.lengthMm + SIZE_ERROR_MM } });
  }
  if (!(scale.kind === 'rectangle' && scale.object === 'face')) {
    nudge(input.faceCorners, (faceCorners) => ({ ...input, faceCorners }));
  }
  const [width, height] = faceSize(plane);
  const squares = shifts.map((shifted) => {
    const other = facePlane(shifted);
    const [w, h] = faceSize(other);
    return [(w - width) ** 2, (h - height) ** 2, (hundredIn(plane, other) - 100) ** 2] as const;
  });
  const twoSigma = (k: 0 | 1 | 2): number => 2 * Math.sqrt(squares.reduce((s, v) => s + v[k], 0));
  const centre: Point = [width / 2, height / 2];
  const at = project(plane.faceToPicture, centre);
  const beside = project(plane.faceToPicture, [centre[0] + 1, centre[1]]);
  return {
    mmPerPixel: 1 / distance(at, beside),
    widthUncertaintyMm: twoSigma(0),
    heightUncertaintyMm: twoSigma(1),
    per100UncertaintyMm: twoSigma(2),
  };
}

/** Picture fractions to millimetres on the face. */
export const toFace = (plane: FacePlane, picture: PictureFrame, p: Point): Point =>
  project(plane.pictureToFace, [p[0] * picture.widthPx, p[1] * picture.heightPx]);

/** Millimetres on the face to picture fractions. */
export function toPicture(plane: FacePlane, picture: PictureFrame, p: Point): Point {
  const [x, y] = project(plane.faceToPicture, p);
  return [x / picture.widthPx, y / picture.heightPx];
}

/** An outline that comes this close to a side of the face reaches it: no finger taps closer. */
export const EDGE_REACH_MM = 3;

/** A finger this close beside the face meant its edge. mm. */
export const BESIDE_MM = sourced(12, memory('half a fingertip'));

/** Where a tap counts: on the face as it is, just beside it at its edge, far beside it nowhere. */
export function tapOnFace(face: Polygon, at: Point): { at: Point; drawn: boolean } | undefined {
  if (contains(face, at)) return { at, drawn: false };
  const nearest = sides(face)
    .map(([a, b]) => nearestOnSegment(at, a, b))
    .reduce<Point | undefined>(
      (best, p) => (best && distance(best, at) <= distance(p, at) ? best : p),
      undefined,
    );
  return nearest && distance(nearest, at) <= BESIDE_MM.value ? { at: nearest, drawn: true } : undefined;
}

/** Numbers of the face's sides that an outline reaches or passes. */
export function sidesReached(face: Polygon, outline: Polygon): number[] {
  return sides(face).flatMap(([a, b], i) => {
    const reached = outline.some(
      (p) =>
        distance(p, nearestOnSegment(p, a, b)) <= EDGE_REACH_MM ||
        (!contains(face, p) && nearestSide(face, p) === i),
    );
    return reached ? [i] : [];
  });
}

function nearestSide(face: Polygon, p: Point): number {
  const all = sides(face).map(([a, b]) => distance(p, nearestOnSegment(p, a, b)));
  return all.indexOf(Math.min(...all));
}

/** True when some of an outline lies farther outside the face than a finger's error. */
export const leavesFace = (face: Polygon, outline: Polygon): boolean =>
  outline.some((p) => !contains(face, p) && distanceToBoundary(p, face) > 2 * EDGE_REACH_MM);
