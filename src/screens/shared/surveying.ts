import { DAMAGE_KINDS, mapMark, measureMark, type Mark, type MarkMeasures } from '@/core/damage';
import {
  assertOutline,
  boundingBox,
  centroidOf,
  compose,
  facePlane,
  grainAt,
  leavesFace,
  lineAngle,
  measureOutline,
  rotate,
  shapeOutline,
  sidesReached,
  toFace,
  type FacePlane,
  type FaceShape,
  type GrainPlan,
  type OutlineMeasures,
  type PictureFrame,
  type Point,
  type Polygon,
} from '@/core/geometry';
import type { Damage, Face } from '@/records';
import type { FaceView } from '@/worker';

/** A result, or the sentence that says why there is none. */
export type Result<T> = { ok: true; value: T } | { ok: false; problem: string };

export function attempt<T>(work: () => T): Result<T> {
  try {
    return { ok: true, value: work() };
  } catch (error) {
    if (error instanceof RangeError) return { ok: false, problem: error.message };
    throw error;
  }
}

const PLAIN_BOARD_PX = 1000;

/** The picture's size, or that of a plain board for a face without a picture. */
export function frameOf(face: Face): PictureFrame {
  if (face.picture) return face.picture;
  const s = face.scale;
  const ratio = s?.kind === 'rectangle' ? s.heightMm / s.widthMm : 0.7;
  return { widthPx: PLAIN_BOARD_PX, heightPx: PLAIN_BOARD_PX * ratio };
}

export type Board = {
  plane: FacePlane;
  frame: PictureFrame;
  /** The face's main direction of grain; a damage has its own in {@link Surveyed}. */
  grainDeg: number;
  grain: GrainPlan;
};

function grainPlanOf({ grainPlan }: Face, onFace: (p: Point) => Point, degrees: number): GrainPlan {
  switch (grainPlan?.kind) {
    case undefined:
      return { kind: 'uniform', degrees };
    case 'radial':
      return { kind: 'radial', at: onFace(grainPlan.at) };
    case 'border':
      return { kind: 'border', widthMm: grainPlan.widthMm, degrees };
    case 'zones': {
      const zones = grainPlan.zones.map((z) => ({ outline: z.outline.map(onFace), degrees: z.degrees }));
      return { kind: 'zones', zones, degrees };
    }
  }
}

function shaped(plane: FacePlane, shape: FaceShape | undefined): FacePlane {
  return shape && shape.kind !== 'rectangle' && shape.kind !== 'band'
    ? { ...plane, outline: shapeOutline(shape, plane.widthMm, plane.heightMm) }
    : plane;
}

// Records are never changed in place, so what was worked out for one holds as long as it lives.
const boards = new WeakMap<Face, Result<Board>>();
const surveys = new WeakMap<Damage, { face: Face; result: Result<Surveyed> }>();

/** The face to scale; nothing until the user has set a scale. */
export function boardOf(face: Face): Result<Board> {
  const known = boards.get(face);
  if (known) return known;
  const result = makeBoard(face);
  boards.set(face, result);
  return result;
}

function makeBoard(face: Face): Result<Board> {
  const { scale } = face;
  if (!scale) return { ok: false, problem: 'The face has no scale yet.' };
  return attempt(() => {
    const frame = frameOf(face);
    const plane = shaped(facePlane({ picture: frame, scale, faceCorners: face.faceCorners }), face.shape);
    const onFace = (p: Point): Point => toFace(plane, frame, p);
    const [a, b] = (face.grain ?? []).map(onFace);
    const grainDeg = a && b ? lineAngle(a, b) : 0;
    return { plane, frame, grainDeg, grain: grainPlanOf(face, onFace, grainDeg) };
  });
}

/** Is the direction of the grain known? A sunburst and leaves of their own need no arrow. */
export const grainIsKnown = (face: Face): boolean =>
  face.grain !== undefined || (face.grainPlan !== undefined && face.grainPlan.kind !== 'border');

const LONGEST_VIEW_PX = 1400;
/** No photo of a face shows more than this. */
const FINEST_MM = 0.25;

/** What the worker needs to redraw a face to scale. */
export function viewOf({ plane }: Board, jpeg: string): FaceView {
  const mmPerPixel = Math.max(plane.widthMm, plane.heightMm) / LONGEST_VIEW_PX;
  return {
    jpeg,
    toSource: compose(plane.faceToPicture, [mmPerPixel, 0, 0, 0, mmPerPixel, 0, 0, 0, 1]),
    widthPx: Math.max(1, Math.round(plane.widthMm / mmPerPixel)),
    heightPx: Math.max(1, Math.round(plane.heightMm / mmPerPixel)),
    mmPerPixel,
  };
}

/** A part of the face alone, as close as that fits the same number of points; its origin is the part's upper left corner. */
export function closeViewOf(
  { plane }: Board,
  jpeg: string,
  part: Polygon,
): { view: FaceView; origin: Point } {
  const { left, right, top, bottom } = boundingBox(part);
  const mmPerPixel = Math.max(FINEST_MM, Math.max(right - left, bottom - top) / LONGEST_VIEW_PX);
  return {
    view: {
      jpeg,
      toSource: compose(plane.faceToPicture, [mmPerPixel, 0, left, 0, mmPerPixel, top, 0, 0, 1]),
      widthPx: Math.max(1, Math.round((right - left) / mmPerPixel)),
      heightPx: Math.max(1, Math.round((bottom - top) / mmPerPixel)),
      mmPerPixel,
    },
    origin: [left, top],
  };
}

/** The mark of a damage, its places as fractions of the picture. */
export const markOf = (damage: Damage): Mark => damage.mark ?? { tool: 'area', outline: damage.outline };

export const markMm = (damage: Damage, { plane, frame }: Board): Mark =>
  mapMark(markOf(damage), (p) => toFace(plane, frame, p));

/** Has anything been marked yet? */
export const isMarked = (damage: Damage): boolean => {
  const mark = markOf(damage);
  return mark.tool === 'area'
    ? mark.outline.length > 0
    : mark.tool === 'line'
      ? mark.points.length > 0
      : true;
};

/** What a damage covers on its face, mm; empty while its mark is not complete. */
export function outlineMm(damage: Damage, board: Board): Polygon {
  const measured = attempt(() => measureMark(markMm(damage, board), board.plane.outline).outline);
  return measured.ok ? measured.value : [];
}

export type Surveyed = {
  board: Board;
  outline: Polygon;
  measures: OutlineMeasures;
  atEdge: boolean;
  /** Direction of the grain where the damage lies. */
  grainDeg: number;
} & Omit<MarkMeasures, 'outline'>;

/** A damage to scale: its outline in mm and what is measured from it. */
export function surveyed(damage: Damage, face: Face | undefined): Result<Surveyed> {
  if (!face) return { ok: false, problem: 'The damage has no face yet.' };
  const known = surveys.get(damage);
  if (known?.face === face) return known.result;
  const result = survey(damage, face);
  surveys.set(damage, { face, result });
  return result;
}

/** Sizes along and across the grain. A crack is measured along its line, not by the box of its band. */
function measuresOf(
  outline: Polygon,
  grainDeg: number,
  sizes: Omit<MarkMeasures, 'outline'>,
): OutlineMeasures {
  const measures = measureOutline(outline, grainDeg);
  return sizes.gapMm !== undefined && sizes.lengthMm !== undefined
    ? { ...measures, areaMm2: sizes.lengthMm * sizes.gapMm }
    : measures;
}

function survey(damage: Damage, face: Face): Result<Surveyed> {
  const result = boardOf(face);
  if (!result.ok) return result;
  const board = result.value;
  return attempt(() => {
    const { outline, ...sizes } = measureMark(markMm(damage, board), board.plane.outline);
    assertOutline(outline);
    if (leavesFace(board.plane.outline, outline)) {
      throw new RangeError('The damage leaves the face. Drag its points back onto the wood.');
    }
    const grainDeg = grainAt(board.grain, board.plane.outline, centroidOf(outline));
    return {
      // What follows from the grain, such as a patch, follows it where the damage lies.
      board: { ...board, grainDeg },
      outline,
      measures: measuresOf(outline, grainDeg, sizes),
      atEdge: sidesReached(board.plane.outline, outline).length > 0,
      grainDeg,
      ...sizes,
    };
  });
}

export const damageLabel = (damage: Damage): string =>
  `${DAMAGE_KINDS[damage.kind].label}, no. ${damage.number}`;

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
