import {
  boundingBox,
  compose,
  rotate,
  toFace,
  toPicture,
  type Homography,
  type Point,
  type Polygon,
} from '../geometry';
import type { Board } from './survey';

/** A face to be redrawn to scale: its picture, the map from the result's pixels to the picture's, and the result's size. */
export type FaceView = {
  pictureId: string;
  toSource: Homography;
  widthPx: number;
  heightPx: number;
  mmPerPixel: number;
};

const LONGEST_VIEW_PX = 1400;
/** No photo of a face shows more than this. */
const FINEST_MM = 0.25;

/** What is needed to redraw a face to scale. @param longestPx of its longer side */
export function viewOf({ plane }: Board, pictureId: string, longestPx = LONGEST_VIEW_PX): FaceView {
  const mmPerPixel = Math.max(plane.widthMm, plane.heightMm) / longestPx;
  return {
    pictureId,
    toSource: compose(plane.faceToPicture, [mmPerPixel, 0, 0, 0, mmPerPixel, 0, 0, 0, 1]),
    widthPx: Math.max(1, Math.round(plane.widthMm / mmPerPixel)),
    heightPx: Math.max(1, Math.round(plane.heightMm / mmPerPixel)),
    mmPerPixel,
  };
}

/** A part of the face alone, as close as that fits the same number of points; its origin is the part's upper left corner. */
export function closeViewOf(
  { plane }: Board,
  pictureId: string,
  part: Polygon,
): { view: FaceView; origin: Point } {
  const { left, right, top, bottom } = boundingBox(part);
  const mmPerPixel = Math.max(FINEST_MM, Math.max(right - left, bottom - top) / LONGEST_VIEW_PX);
  return {
    view: {
      pictureId,
      toSource: compose(plane.faceToPicture, [mmPerPixel, 0, left, 0, mmPerPixel, top, 0, 0, 1]),
      widthPx: Math.max(1, Math.round((right - left) / mmPerPixel)),
      heightPx: Math.max(1, Math.round((bottom - top) / mmPerPixel)),
      mmPerPixel,
    },
    origin: [left, top],
  };
}

/**
 * A part of the face turned so that its grain runs from left to right, as sheets are photographed.
 *
 * @param part in mm of the face
 * @returns the view, and a map of places on the face into it, mm
 */
export function grainViewOf(
  { plane, grainDeg }: Board,
  pictureId: string,
  part: Polygon,
  mmPerPixel: number,
): { view: FaceView; into: (p: Point) => Point } {
  const box = boundingBox(part.map((p) => rotate(p, -grainDeg)));
  const a = (grainDeg * Math.PI) / 180;
  const [cos, sin] = [Math.cos(a), Math.sin(a)];
  const [x0, y0] = rotate([box.left, box.top], grainDeg);
  const k = mmPerPixel;
  return {
    view: {
      pictureId,
      toSource: compose(plane.faceToPicture, [k * cos, -k * sin, x0, k * sin, k * cos, y0, 0, 0, 1]),
      widthPx: Math.max(1, Math.round((box.right - box.left) / k)),
      heightPx: Math.max(1, Math.round((box.bottom - box.top) / k)),
      mmPerPixel,
    },
    into: (p) => {
      const [x, y] = rotate(p, -grainDeg);
      return [x - box.left, y - box.top];
    },
  };
}

/** Size of a face along the grain of its veneer and across. mm */
export function alongAcross({ plane, grainDeg }: Board): { alongMm: number; acrossMm: number } {
  const { left, right, top, bottom } = boundingBox(plane.outline.map((p) => rotate(p, -grainDeg)));
  return { alongMm: right - left, acrossMm: bottom - top };
}

/** The neighbourhood of an outline on its face, for a drawing that shows a place rather than the whole. */
export function around(
  outline: Polygon,
  marginMm: number,
): { x: number; y: number; width: number; height: number } {
  const box = boundingBox(outline);
  return {
    x: box.left - marginMm,
    y: box.top - marginMm,
    width: box.right - box.left + 2 * marginMm,
    height: box.bottom - box.top + 2 * marginMm,
  };
}

/** A face's box, for drawings. */
export const contentOf = ({ plane }: Board): { width: number; height: number } => ({
  width: plane.widthMm,
  height: plane.heightMm,
});

/** Two ends of a line through a place in a direction, for drawings of the grain. */
export function strokeAt(at: Point, degrees: number, lengthMm: number): [Point, Point] {
  const [dx, dy] = rotate([lengthMm / 2, 0], degrees);
  return [
    [at[0] - dx, at[1] - dy],
    [at[0] + dx, at[1] + dy],
  ];
}

/** Places of the picture on the face, mm. */
export const onFaceMm = (board: Board, p: Point): Point => toFace(board.plane, board.frame, p);
/** Places of the face, mm, in the picture. */
export const inPicture = (board: Board, p: Point): Point => toPicture(board.plane, board.frame, p);
