import { boundingBox, rotate, sides, type Box, type Point, type Polygon } from '../geometry';
import type { Patch } from '../veneer';
import { checkBar, PAPERS, type Mark, type Page, type Paper } from './drawing';

export type PatchSheetInput = {
  title: string;
  patch: Pick<Patch, 'outline' | 'recess'>;
  damage: Polygon;
  grainDeg: number;
  paper: Paper;
  /** Lines printed under the title. */
  notes: string[];
  /** What each kind of line means. */
  legend?: string;
  /** Mirrored for the back of the sheet, where it is cut from there. */
  side?: 'show' | 'back';
};

const LEGEND = 'Full line: cut the patch. Dashed: cut the recess. Grey: the damage.';

/** Thin lines along the grain inside the outline stand so far apart. mm */
const HATCH_MM = 6;

const MARGIN_MM = 15;
const HEAD_MM = 45;
const FOOT_MM = 22;

/**
 * A 1:1 sheet: the cutting line, the recess, the damage and the grain, laid with the grain up the page. What is larger than
 * the paper runs over several pages that overlap by 10 mm and carry corner marks; each has its own 100 mm bar.
 */
export function patchSheet({
  title,
  patch,
  damage,
  grainDeg,
  paper,
  notes,
  legend = LEGEND,
  side = 'show',
}: PatchSheetInput): Page[] {
  const { widthMm, heightMm } = PAPERS[paper];
  const upright = (outline: Polygon): Polygon =>
    outline.map((p): Point => {
      const [x, y] = rotate(p, 90 - grainDeg);
      return [side === 'back' ? -x : x, y];
    });
  const cut = upright(patch.outline);
  const box = boundingBox(cut);
  const size = { w: box.right - box.left, h: box.bottom - box.top };
  const field = { w: widthMm - 2 * MARGIN_MM, h: heightMm - HEAD_MM - FOOT_MM - MARGIN_MM };
  const overlap = 10;
  const count = (length: number, room: number): number =>
    length <= room ? 1 : Math.ceil((length - overlap) / (room - overlap));
  const columns = count(size.w, field.w);
  const rows = count(size.h, field.h);
  const pages: Page[] = [];
  for (let row = 0; row < rows; row++) {
    for (let column = 0; column < columns; column++) {
      const centred = columns === 1 ? (field.w - size.w) / 2 : 0;
      const shift: Point = [
        MARGIN_MM + centred - box.left - column * (field.w - overlap),
        HEAD_MM - box.top - row * (field.h - overlap),
      ];
      const moved = (outline: Polygon): Polygon =>
        outline.map(([x, y]): Point => [x + shift[0], y + shift[1]]);
      const grainX = widthMm - MARGIN_MM - 4;
      const window = { left: MARGIN_MM, top: HEAD_MM, right: MARGIN_MM + field.w, bottom: HEAD_MM + field.h };
      const lines = (outline: Polygon, style: { widthMm: number; dashed?: boolean; grey?: number }): Mark[] =>
        sides(moved(upright(outline))).flatMap(([a, b]): Mark[] => {
          const part = clipSegment(a, b, window);
          return part ? [{ kind: 'line', from: part[0], to: part[1], ...style }] : [];
        });
      const hatch = hatchOf(moved(cut)).flatMap(([a, b]): Mark[] => {
        const part = clipSegment(a, b, window);
        return part ? [{ kind: 'line', from: part[0], to: part[1], widthMm: 0.1, grey: 0.75 }] : [];
      });
      const marks: Mark[] = [
        ...hatch,
        ...lines(patch.outline, { widthMm: 0.3 }),
        ...lines(patch.recess, { widthMm: 0.2, dashed: true }),
        ...lines(damage, { widthMm: 0.2, grey: 0.45 }),
        { kind: 'line', from: [grainX, HEAD_MM], to: [grainX, HEAD_MM + 30], widthMm: 0.4 },
        { kind: 'line', from: [grainX, HEAD_MM], to: [grainX - 1.5, HEAD_MM + 4], widthMm: 0.4 },
        { kind: 'line', from: [grainX, HEAD_MM], to: [grainX + 1.5, HEAD_MM + 4], widthMm: 0.4 },
        { kind: 'text', at: [grainX - 10, HEAD_MM + 35], text: 'Grain', sizeMm: 3 },
        { kind: 'text', at: [grainX - 26, HEAD_MM + 40], text: SIDES[side], sizeMm: 3 },
        { kind: 'text', at: [MARGIN_MM, MARGIN_MM], text: title, sizeMm: 5, bold: true },
        ...notes.map((text, i): Mark => ({
          kind: 'text',
          at: [MARGIN_MM, MARGIN_MM + 7 + i * 4.6],
          text,
          sizeMm: 3.2,
        })),
        ...checkBar([MARGIN_MM, heightMm - FOOT_MM]),
        {
          kind: 'text',
          at: [MARGIN_MM, heightMm - FOOT_MM + 12],
          text: legend,
          sizeMm: 2.8,
        },
      ];
      if (rows * columns > 1) {
        marks.push({
          kind: 'text',
          at: [widthMm - MARGIN_MM - 45, heightMm - FOOT_MM + 12],
          text: `Row ${row + 1} of ${rows}, column ${column + 1} of ${columns}`,
          sizeMm: 2.8,
          bold: true,
        });
        marks.push(...cornerMarks(field, overlap, { row, column, rows, columns }));
      }
      pages.push({ widthMm, heightMm, marks });
    }
  }
  return pages;
}

const SIDES = { show: 'Show side up', back: 'Back up, mirrored' };

/** Lines up the page inside an outline, evenly apart. */
function hatchOf(outline: Polygon): [Point, Point][] {
  const { left, right } = boundingBox(outline);
  const count = Math.floor((right - left) / HATCH_MM);
  return Array.from({ length: count }, (_, i) => left + ((i + 0.5) * (right - left)) / count).flatMap(
    (x): [Point, Point][] => {
      const ys = sides(outline)
        .flatMap(([a, b]) =>
          a[0] <= x === b[0] <= x ? [] : [a[1] + ((x - a[0]) / (b[0] - a[0])) * (b[1] - a[1])],
        )
        .sort((a, b) => a - b);
      return ys.flatMap((y, k): [Point, Point][] => {
        const to = ys[k + 1];
        return k % 2 === 0 && to !== undefined ? [[[x, y], [x, to]]] : []; // prettier-ignore
      });
    },
  );
}

/** The part of a segment inside a box (Liang–Barsky), if any. */
function clipSegment(a: Point, b: Point, box: Box): [Point, Point] | undefined {
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
  let [from, to] = [0, 1];
  for (const [p, q] of [
    [-dx, a[0] - box.left],
    [dx, box.right - a[0]],
    [-dy, a[1] - box.top],
    [dy, box.bottom - a[1]],
  ] as const) {
    if (p === 0 && q < 0) return undefined;
    if (p < 0) from = Math.max(from, q / p);
    if (p > 0) to = Math.min(to, q / p);
  }
  const at = (t: number): Point => [a[0] + t * dx, a[1] + t * dy];
  return from < to ? [at(from), at(to)] : undefined;
}

/** Crosses where neighbouring pages meet: lay one page on the next so that they coincide. */
function cornerMarks(
  field: { w: number; h: number },
  overlap: number,
  at: { row: number; column: number; rows: number; columns: number },
): Mark[] {
  const xs = [
    at.column > 0 ? overlap / 2 : undefined,
    at.column < at.columns - 1 ? field.w - overlap / 2 : undefined,
  ];
  const ys = [at.row > 0 ? overlap / 2 : undefined, at.row < at.rows - 1 ? field.h - overlap / 2 : undefined];
  const cross = (x: number, y: number): Mark[] => [
    { kind: 'line', from: [x - 3, y], to: [x + 3, y], widthMm: 0.15 },
    { kind: 'line', from: [x, y - 3], to: [x, y + 3], widthMm: 0.15 },
  ];
  const along = (length: number): number[] => [length * 0.25, length * 0.75];
  return [
    ...xs.flatMap((x) =>
      x === undefined ? [] : along(field.h).flatMap((y) => cross(MARGIN_MM + x, HEAD_MM + y)),
    ),
    ...ys.flatMap((y) =>
      y === undefined ? [] : along(field.w).flatMap((x) => cross(MARGIN_MM + x, HEAD_MM + y)),
    ),
  ];
}
