import { boundingBox, centroidOf, differenceOf, isConvex, keepBelow, offsetOutline, sides, sweptOver, sweptRound, type Point, type Polygon } from '../geometry'; // prettier-ignore
import { outlineOn } from '../spot';
import type { NestSheet } from './types';

/** An outline about its middle, turned. */
export const turned = (piece: Polygon, degrees: number, flipped: boolean): Point[] =>
  outlineOn(piece, centroidOf(piece), { degrees, flipped }, [0, 0]);
export const at = (piece: Polygon, [x, y]: Point): Point[] =>
  piece.map(([px, py]): Point => [px + x, py + y]);

/** What was cut from one sheet so far, grown by the room of a knife. */
export type Taken = { sheet: NestSheet; room: Polygon[]; outlines: Point[][]; grown: Polygon[] };

export const takenFrom = (sheet: NestSheet, gapMm: number): Taken => ({
  sheet,
  // A cut keeps off the rim by the same room.
  room: gapMm > 0 ? offsetOutline(sheet.outline, -gapMm, 'pointed') : [sheet.outline],
  outlines: [],
  grown: (sheet.holes ?? []).flatMap((h) => offsetOutline(h, gapMm, 'pointed')),
});

/** Places of a piece's middle at which it lies on the sheet and on nothing that is gone. */
function freePlaces({ room, grown }: Taken, piece: Polygon): Polygon[] {
  const back = piece.map(([x, y]): Point => [-x, -y]);
  return differenceOf(
    room.flatMap((o) => placesWithin(o, piece, back)),
    grown.flatMap((o) => sweptOver(o, back)),
  );
}

/** Places of a piece's middle at which it lies within an outline. */
function placesWithin(room: Polygon, piece: Polygon, back: Polygon): Polygon[] {
  const [corner] = piece;
  if (!corner) return [];
  if (!isConvex(room)) return differenceOf([at(room, [-corner[0], -corner[1]])], sweptRound(room, back));
  // Within every side of the outline, as far as the piece reaches towards it.
  const [mx, my] = centroidOf(room);
  const kept = sides(room).reduce<Polygon>(
    (left, [a, b]) => {
      const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
      if (length === 0 || left.length === 0) return left;
      const across: Point = [(b[1] - a[1]) / length, (a[0] - b[0]) / length];
      const out =
        across[0] * (mx - a[0]) + across[1] * (my - a[1]) > 0 ? ([-across[0], -across[1]] as const) : across;
      const reach = Math.max(...piece.map((p) => out[0] * p[0] + out[1] * p[1]));
      return keepBelow(left, out, out[0] * a[0] + out[1] * a[1] - reach + TOUCHING_MM);
    },
    room.map(([x, y]): Point => [x, y]),
  );
  return kept.length >= 1 ? [kept] : [];
}
/** A piece as wide as its room still goes in. mm */
const TOUCHING_MM = 1e-4;

/** The place that leaves the most of the sheet beyond it: nearest to its end, then to its side. */
export function firstPlace(taken: Taken, piece: Polygon): { at: Point; reach: number } | undefined {
  const { right } = boundingBox(piece);
  let best: { at: Point; reach: number } | undefined;
  for (const region of freePlaces(taken, piece))
    for (const p of region) {
      const reach = p[0] + right;
      if (!best || reach < best.reach - 1e-6 || (reach < best.reach + 1e-6 && p[1] < best.at[1]))
        best = { at: p, reach };
    }
  return best;
}
