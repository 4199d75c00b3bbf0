import { attempt, type Result } from '../check';
import { DAMAGE_KINDS, mapMark, measureMark, type Mark, type MarkMeasures } from '../damage';
import {
  assertOutline,
  centroidOf,
  facePlane,
  grainAt,
  leavesFace,
  lineAngle,
  measureOutline,
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
} from '../geometry';
import type { Damage, Face } from './types';

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

/** Is anything known of it? A mark that was opened and left empty on its face is no damage: it makes no work and no line on paper. */
export const isBegun = (damage: Damage): boolean =>
  isMarked(damage) ||
  damage.faceId === undefined ||
  damage.method !== undefined ||
  damage.roughAreaMm2 !== undefined ||
  damage.methodReason !== '' ||
  [damage.answers, damage.glue, damage.patch, damage.taps, damage.grew, damage.figures].some(
    (part) => part !== undefined && Object.keys(part).length > 0,
  );

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
