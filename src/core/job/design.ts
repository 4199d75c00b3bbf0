import { boundingBox, rotate, type Point, type Polygon } from '../geometry';
import { memory, sourced } from '../sources';
import { PATCH_DEFAULTS, type DesignInput } from '../veneer';
import { isUnderPaint } from './decide';
import type { Board, Surveyed } from './survey';
import type { Damage, Piece } from './types';
import { grainViewOf, type FaceView } from './views';

/** What the designer of a patch's outline begins from. */
export const designFor = (damage: Damage, survey: Surveyed, piece: Piece): DesignInput => ({
  damage: survey.outline,
  face: survey.board.plane.outline,
  grainDeg: survey.board.grainDeg,
  marginMm: damage.patch.marginMm ?? PATCH_DEFAULTS.marginMm.value,
  overhangMm: damage.patch.overhangMm ?? PATCH_DEFAULTS.overhangMm.value,
  underPaint: isUnderPaint(piece),
});

/** Wood round the damage that is looked at for lines, along and across the grain. mm */
const LOOKED_AT = {
  along: sourced(90, memory('the slanted ends of a patch reach so far')),
  across: sourced(24, memory('a line farther off is not followed')),
};
const FINEST_MM = 0.2;
const MOST_PX = 1400;

export type Tracing = {
  view: FaceView;
  /** In the view, mm. */
  damage: Point[];
  /** From the view back onto the face. */
  out: (p: Point) => Point;
};

/** The wood round a damage with its grain from left to right, where lines of the figure are looked for. */
export function tracingOf(board: Board, pictureId: string, damage: Polygon): Tracing {
  const turned = boundingBox(damage.map((p) => rotate(p, -board.grainDeg)));
  const [left, right] = [turned.left - LOOKED_AT.along.value, turned.right + LOOKED_AT.along.value];
  const [top, bottom] = [turned.top - LOOKED_AT.across.value, turned.bottom + LOOKED_AT.across.value];
  const part = [[left, top], [right, top], [right, bottom], [left, bottom]].map(([x = 0, y = 0]) => rotate([x, y], board.grainDeg)); // prettier-ignore
  const mmPerPixel = Math.max(FINEST_MM, (right - left) / MOST_PX);
  const { view, into } = grainViewOf(board, pictureId, part, mmPerPixel);
  return {
    view,
    damage: damage.map(into),
    out: ([x, y]) => rotate([x + left, y + top], board.grainDeg),
  };
}

/** One more corner in the middle of an outline's longest side, so that it can be dragged. */
export function withCorner(outline: Polygon): Point[] {
  const lengths = outline.map((p, i) => {
    const next = outline[(i + 1) % outline.length] ?? p;
    return Math.hypot(next[0] - p[0], next[1] - p[1]);
  });
  const at = lengths.indexOf(Math.max(...lengths));
  const [a, b] = [outline[at], outline[(at + 1) % outline.length]];
  if (!a || !b) return [...outline];
  return [...outline.slice(0, at + 1), [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2], ...outline.slice(at + 1)];
}
