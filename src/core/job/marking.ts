import { MARK_DEFAULTS_MM, mapMark, type Mark, type MarkTool } from '../damage';
import { areaOf, boundingBox, centroidOf, distance, nearestOnSegment, sides, type Point, type Polygon } from '../geometry'; // prettier-ignore
import type { Damage } from './types';

/** How each kind of mark is set. */
export const MARK_TOOLS: Record<MarkTool, { label: string; hint: string }> = {
  area: { label: 'Area', hint: 'Tap on the picture, round the damage, point by point.' },
  line: { label: 'Line with a width', hint: 'Tap along the crack from end to end, then give its width.' },
  circle: { label: 'Round hole', hint: 'Tap the middle of the hole, then give its diameter.' },
  edge: {
    label: 'Run along an edge',
    hint: 'Tap both ends of the run on the edge, then say how far it reaches in.',
  },
  corner: { label: 'Corner', hint: 'Tap the corner, then give the length along both edges.' },
};

/** Going round the damage lengthens the closing side, so a tap near it goes there rather than into an older side. */
const CLOSING_SIDE_PULL = 0.6;

/** Puts a tapped point where the outline runs past it. */
export function withPoint(outline: readonly Point[], p: Point): Point[] {
  if (outline.length < 3) return [...outline, p];
  const gaps = sides(outline).map(
    ([a, b], i) =>
      distance(p, nearestOnSegment(p, a, b)) * (i === outline.length - 1 ? CLOSING_SIDE_PULL : 1),
  );
  const at = gaps.indexOf(Math.min(...gaps)) + 1;
  return [...outline.slice(0, at), p, ...outline.slice(at)];
}

/** A tapped point on a line: between its neighbours when it lies beside the line, else at the nearer end. */
export function onLine(points: readonly Point[], p: Point): Point[] {
  const [first, last] = [points[0], points[points.length - 1]];
  if (!first || !last || points.length < 2) return [...points, p];
  const gaps = points.slice(1).map((b, i) => distance(p, nearestOnSegment(p, points[i] ?? b, b)));
  const nearest = Math.min(...gaps);
  const toEnds = Math.min(distance(p, first), distance(p, last));
  if (toEnds <= nearest * 1.001)
    return distance(p, last) <= distance(p, first) ? [...points, p] : [p, ...points];
  const at = gaps.indexOf(nearest) + 1;
  return [...points.slice(0, at), p, ...points.slice(at)];
}

const legsOf = ({ leg }: typeof MARK_DEFAULTS_MM): [number, number] => [leg, leg];

/** What a tap does to a mark; all in mm. Nothing placed yet is an empty mark. */
export function tapped(tool: MarkTool, mark: Mark | undefined, p: Point): Mark {
  const d = MARK_DEFAULTS_MM;
  switch (tool) {
    case 'area':
      return { tool, outline: mark?.tool === 'area' ? withPoint(mark.outline, p) : [p] };
    case 'line':
      return mark?.tool === 'line'
        ? { ...mark, points: onLine(mark.points, p) }
        : { tool, points: [p], widthMm: d.width };
    case 'circle':
      return mark?.tool === 'circle' ? { ...mark, at: p } : { tool, at: p, diameterMm: d.diameter };
    case 'edge': {
      if (mark?.tool !== 'edge') return { tool, from: p, to: p, reachMm: d.reach };
      if (distance(mark.from, mark.to) < 0.5) return { ...mark, to: p };
      return distance(p, mark.from) < distance(p, mark.to) ? { ...mark, from: p } : { ...mark, to: p };
    }
    case 'corner':
      return mark?.tool === 'corner' ? { ...mark, at: p } : { tool, at: p, legsMm: legsOf(d) };
  }
}

/** The same damage marked with another tool: what it covered gives place and size. All in mm. */
export function remarked(tool: MarkTool, outline: Polygon): Mark | undefined {
  if (outline.length < 3) return undefined;
  const box = boundingBox(outline);
  const at = centroidOf(outline);
  const [width, height] = [box.right - box.left, box.bottom - box.top];
  const level = width >= height;
  const ends: [Point, Point] = level
    ? [[box.left, at[1]], [box.right, at[1]]] // prettier-ignore
    : [[at[0], box.top], [at[0], box.bottom]]; // prettier-ignore
  const limited = (mm: number, least: number, most: number): number => Math.min(most, Math.max(least, mm));
  switch (tool) {
    case 'area':
      return { tool, outline: [...outline] };
    case 'line':
      return { tool, points: ends, widthMm: limited(areaOf(outline) / Math.max(width, height, 1), 0.1, 60) };
    case 'circle':
      return { tool, at, diameterMm: limited(Math.sqrt((4 * areaOf(outline)) / Math.PI), 0.5, 2000) };
    case 'edge':
      return { tool, from: ends[0], to: ends[1], reachMm: limited(level ? height : width, 0.5, 2000) };
    case 'corner':
      return { tool, at, legsMm: [limited(height, 0.5, 2000), limited(width, 0.5, 2000)] };
  }
}

/** A mark moved by so much along both axes. */
export const shifted = (mark: Mark, [dx, dy]: Point): Mark => mapMark(mark, ([x, y]) => [x + dx, y + dy]);

/** What a record holds for a mark: areas keep their outline, other marks their own shape. */
export const storedMark = (mark: Mark): Pick<Damage, 'outline'> & { mark?: Damage['mark'] } =>
  mark.tool === 'area' ? { outline: mark.outline, mark: undefined } : { outline: [], mark };
