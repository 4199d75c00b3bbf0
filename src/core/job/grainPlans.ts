import { offsetOutline, type Point, type Polygon } from '../geometry';
import { contentOf, inPicture } from './views';
import type { FaceGrain } from './kinds/face';
import type { Board } from './survey';

/** A line through the middle of the face at an angle, as places in the picture. */
export function arrowAt(board: Board, degrees: number): Point[] {
  const { width, height } = contentOf(board);
  const half = Math.min(width, height) * 0.35;
  const [dx, dy] = [half * Math.cos((degrees * Math.PI) / 180), half * Math.sin((degrees * Math.PI) / 180)];
  return [[width / 2 - dx, height / 2 - dy], [width / 2 + dx, height / 2 + dy]].map(([x = 0, y = 0]) => inPicture(board, [x, y])); // prettier-ignore
}

/** A quarter of the face, the next one for each leaf. */
export function newLeaf(board: Board, index: number): { name: string; outline: Point[]; degrees: number } {
  const { width, height } = contentOf(board);
  const [left, top] = [(index % 2) * (width / 2), (Math.floor(index / 2) % 2) * (height / 2)];
  const outline: Point[] = [
    [left, top],
    [left + width / 2, top],
    [left + width / 2, top + height / 2],
    [left, top + height / 2],
  ];
  return { name: '', outline: outline.map((p) => inPicture(board, p)), degrees: index % 2 ? 135 : 45 };
}

/** How a way for the grain to run is drawn at first; nothing where it runs one way. */
export function startPlan(kind: FaceGrain['kind'] | 'uniform', board: Board): FaceGrain | undefined {
  const { width, height } = contentOf(board);
  switch (kind) {
    case 'uniform':
      return undefined;
    case 'radial':
      return { kind, at: inPicture(board, [width / 2, height / 2]) };
    case 'border':
      return { kind, widthMm: Math.max(1, Math.min(60, Math.round(Math.min(width, height) / 8))) };
    case 'zones':
      return { kind, zones: [newLeaf(board, 0), newLeaf(board, 1)] };
  }
}

/** What of a face is read for its one direction of grain: a crossbanded border runs otherwise. */
export const grainReadOn = ({ plane, grain }: Board): Polygon =>
  grain.kind === 'border'
    ? (offsetOutline(plane.outline, -grain.widthMm)[0] ?? plane.outline)
    : plane.outline;
