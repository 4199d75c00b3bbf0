import Joi from 'joi';
import { assertRange } from '../check';
import { bufferLine, distance, nearestOnSegment, sides, type Point, type Polygon } from '../geometry';
import type { MarkTool } from './kinds';

/** A damage on its face. Places are in the units of the face they are given in; sizes always in mm. */
export type Mark =
  | { tool: 'area'; outline: Point[] }
  | { tool: 'line'; points: Point[]; widthMm: number }
  | { tool: 'circle'; at: Point; diameterMm: number }
  | { tool: 'edge'; from: Point; to: Point; reachMm: number }
  | { tool: 'corner'; at: Point; legsMm: [number, number] };

export const MARK_LIMITS_MM = { width: { least: 0.05, most: 60 }, size: { least: 0.5, most: 2000 } };

/** Schema of a mark whose places pass `place`. */
export const markSchema = (place: Joi.Schema): Joi.AlternativesSchema => {
  const size = Joi.number().min(MARK_LIMITS_MM.size.least).max(MARK_LIMITS_MM.size.most).required();
  const tool = (name: MarkTool, rest: Joi.SchemaMap): Joi.ObjectSchema =>
    Joi.object({ tool: Joi.string().valid(name).required(), ...rest });
  return Joi.alternatives(
    tool('line', {
      points: Joi.array().items(place).max(200).required(),
      widthMm: Joi.number().min(MARK_LIMITS_MM.width.least).max(MARK_LIMITS_MM.width.most).required(),
    }),
    tool('circle', { at: place.required(), diameterMm: size }),
    tool('edge', { from: place.required(), to: place.required(), reachMm: size }),
    tool('corner', { at: place.required(), legsMm: Joi.array().ordered(size, size).length(2).required() }),
  );
};

/** What a tool begins with, before the user has said more. */
export const MARK_DEFAULTS_MM = { width: 0.5, diameter: 8, reach: 12, leg: 20 };

const CIRCLE_SIDES = 48;

const round = ([x, y]: Point, diameter: number): Polygon =>
  Array.from({ length: CIRCLE_SIDES }, (_, i): Point => {
    const a = (2 * Math.PI * i) / CIRCLE_SIDES;
    // A regular polygon lies inside its circle; this much larger it has the circle's area.
    const r =
      (diameter / 2) * Math.sqrt((2 * Math.PI) / CIRCLE_SIDES / Math.sin((2 * Math.PI) / CIRCLE_SIDES));
    return [x + r * Math.cos(a), y + r * Math.sin(a)];
  });

/** Where on an outline a place lies: the number of its side and how far along that side, mm. */
function onBoundary(face: Polygon, p: Point): { side: number; along: number; at: Point } {
  const found = sides(face).map(([a, b], side) => {
    const at = nearestOnSegment(p, a, b);
    return { side, along: distance(a, at), at, off: distance(p, at) };
  });
  return found.reduce(
    (best, f) => (f.off < best.off ? f : best),
    found[0] ?? { side: 0, along: 0, at: p, off: 0 },
  );
}

/** The run of the boundary between two places on it, the shorter way round. */
export function alongBoundary(face: Polygon, from: Point, to: Point): Point[] {
  const [a, b] = [onBoundary(face, from), onBoundary(face, to)];
  const forward = (s: typeof a, e: typeof a): Point[] => {
    const run: Point[] = [s.at];
    const n = face.length;
    const steps = s.side === e.side && e.along >= s.along ? 0 : (e.side - s.side + n) % n || n;
    for (let i = 1; i <= steps; i++) {
      const corner = face[(s.side + i) % n];
      if (corner) run.push(corner);
    }
    return [...run, e.at];
  };
  const length = (run: Point[]): number =>
    run.slice(1).reduce((sum, p, i) => sum + distance(run[i] ?? p, p), 0);
  const [one, other] = [forward(a, b), forward(b, a).reverse()];
  return length(one) <= length(other) ? one : other;
}

export type MarkMeasures = { outline: Polygon; lengthMm?: number; gapMm?: number; diameterMm?: number };

/**
 * The outline that a mark covers on its face, with the sizes that belong to its tool.
 *
 * @param mark places in mm on the face
 * @param face the face's outline, mm
 * @throws RangeError that says what is still missing, or which size is out of range
 */
export function measureMark(mark: Mark, face: Polygon): MarkMeasures {
  const { width, size } = MARK_LIMITS_MM;
  switch (mark.tool) {
    case 'area':
      return { outline: mark.outline };
    case 'line': {
      if (mark.points.length < 2)
        throw new RangeError('A line needs two points or more. Tap along the crack from end to end.');
      assertRange('The width of the line', mark.widthMm, 'mm', width.least, width.most);
      const lengthMm = mark.points.slice(1).reduce((s, p, i) => s + distance(mark.points[i] ?? p, p), 0);
      if (lengthMm < 1) throw new RangeError('The points of the line lie on one spot. Drag them apart.');
      return { outline: bufferLine(mark.points, mark.widthMm), lengthMm, gapMm: mark.widthMm };
    }
    case 'circle':
      assertRange('The diameter', mark.diameterMm, 'mm', size.least, size.most);
      return { outline: round(mark.at, mark.diameterMm), diameterMm: mark.diameterMm };
    case 'edge': {
      assertRange('How far it reaches in from the edge', mark.reachMm, 'mm', size.least, size.most);
      const run = alongBoundary(face, mark.from, mark.to);
      const lengthMm = run.slice(1).reduce((s, p, i) => s + distance(run[i] ?? p, p), 0);
      if (lengthMm < 1)
        throw new RangeError('Both ends of the run lie on one spot. Drag them apart along the edge.');
      return { outline: bufferLine(run, 2 * mark.reachMm, face), lengthMm };
    }
    case 'corner': {
      mark.legsMm.forEach((leg) => assertRange('The length along an edge', leg, 'mm', size.least, size.most));
      const n = face.length;
      const nearest = face.reduce(
        (best, c, i) => (distance(c, mark.at) < distance(face[best] ?? c, mark.at) ? i : best),
        0,
      );
      const [before, corner, after] = [face[(nearest + n - 1) % n], face[nearest], face[(nearest + 1) % n]];
      if (!before || !corner || !after) throw new RangeError('This face has no corners.');
      const towards = (to: Point, mm: number): Point => {
        const k = Math.min(1, mm / distance(corner, to));
        return [corner[0] + k * (to[0] - corner[0]), corner[1] + k * (to[1] - corner[1])];
      };
      return { outline: [corner, towards(after, mark.legsMm[1]), towards(before, mark.legsMm[0])] };
    }
  }
}

/** A mark's places put through a map, such as from the picture to the face. */
export function mapMark(mark: Mark, map: (p: Point) => Point): Mark {
  switch (mark.tool) {
    case 'area':
      return { ...mark, outline: mark.outline.map(map) };
    case 'line':
      return { ...mark, points: mark.points.map(map) };
    case 'edge':
      return { ...mark, from: map(mark.from), to: map(mark.to) };
    default:
      return { ...mark, at: map(mark.at) };
  }
}

/** The places of a mark that a finger can drag, with what to call them. */
export function markPoints(mark: Mark): { label: string; at: Point }[] {
  switch (mark.tool) {
    case 'area':
      return mark.outline.map((at, i) => ({ label: `Point ${i + 1} of ${mark.outline.length}`, at }));
    case 'line':
      return mark.points.map((at, i) => ({ label: `Point ${i + 1} of ${mark.points.length}`, at }));
    case 'edge':
      return [
        { label: 'Beginning of the run', at: mark.from },
        { label: 'End of the run', at: mark.to },
      ];
    case 'circle':
      return [{ label: 'Middle', at: mark.at }];
    case 'corner':
      return [{ label: 'Corner', at: mark.at }];
  }
}

/** The mark with one of its places moved. */
export function moveMarkPoint(mark: Mark, index: number, to: Point): Mark {
  let i = -1;
  return mapMark(mark, (p) => (++i === index ? to : p));
}

/** An area or a line with one place more at its end; any other mark as it is. */
export function addMarkPoint(mark: Mark, at: Point): Mark {
  if (mark.tool === 'area') return { ...mark, outline: [...mark.outline, at] };
  if (mark.tool === 'line') return { ...mark, points: [...mark.points, at] };
  return mark;
}

/** An area or a line without one of its places; any other mark as it is. */
export function removeMarkPoint(mark: Mark, index: number): Mark {
  if (mark.tool === 'area') return { ...mark, outline: mark.outline.filter((_, k) => k !== index) };
  if (mark.tool === 'line') return { ...mark, points: mark.points.filter((_, k) => k !== index) };
  return mark;
}

/** Left and right changed over about the middle of a face of this width, as on the matching other side. */
export function mirrorMark(mark: Mark, widthMm: number): Mark {
  const flipped = mapMark(mark, ([x, y]) => [widthMm - x, y]);
  switch (flipped.tool) {
    case 'area':
      return { ...flipped, outline: [...flipped.outline].reverse() };
    case 'edge':
      return { ...flipped, from: flipped.to, to: flipped.from };
    case 'corner':
      // The side before a corner becomes the side after it.
      return { ...flipped, legsMm: [flipped.legsMm[1], flipped.legsMm[0]] };
    default:
      return flipped;
  }
}
