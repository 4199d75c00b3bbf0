import { boundingBox, containment, type Polygon } from '../geometry';

export type Rectangle = { xMm: number; yMm: number; alongMm: number; acrossMm: number };

/** Cells of the grid that is looked at; finer than this nobody needs an offcut. */
const MOST_CELLS = 120;

/**
 * The largest upright rectangle on what is left of a sheet, to the width of a cell: sheets are looked at in 120 by 120 cells at most.
 * For every row the heights of free cells above it, and the largest rectangle under that skyline.
 */
export function largestRectangle(sheet: Polygon, holes: readonly Polygon[]): Rectangle {
  const { left, top, right, bottom } = boundingBox(sheet);
  const cell = Math.max(1, Math.max(right - left, bottom - top) / MOST_CELLS);
  const [columns, rows] = [Math.floor((right - left) / cell), Math.floor((bottom - top) / cell)];
  const on = containment(sheet);
  const gone = holes.map((h) => ({ box: boundingBox(h), inside: containment(h) }));
  const free = (i: number, j: number): boolean => {
    // A cell is free when its corners and its middle are.
    const spots = [[0.02, 0.02], [0.98, 0.02], [0.98, 0.98], [0.02, 0.98], [0.5, 0.5]] as const; // prettier-ignore
    return spots.every(([u, v]) => {
      const [x, y] = [left + (i + u) * cell, top + (j + v) * cell];
      return on(x, y) && !gone.some(({ box, inside }) => x >= box.left && x <= box.right && y >= box.top && y <= box.bottom && inside(x, y)); // prettier-ignore
    });
  };
  const heights = new Array<number>(columns).fill(0);
  let best = { area: 0, from: 0, to: 0, row: 0, tall: 0 };
  for (let j = 0; j < rows; j++) {
    for (let i = 0; i < columns; i++) heights[i] = free(i, j) ? (heights[i] ?? 0) + 1 : 0;
    for (let from = 0; from < columns; from++) {
      let tall = heights[from] ?? 0;
      for (let to = from; to < columns && tall > 0; to++) {
        tall = Math.min(tall, heights[to] ?? 0);
        const area = tall * (to - from + 1);
        if (area > best.area) best = { area, from, to, row: j, tall };
      }
    }
  }
  const { from, to, row, tall, area } = best;
  return area === 0
    ? { xMm: left, yMm: top, alongMm: 0, acrossMm: 0 }
    : {
        xMm: left + from * cell,
        yMm: top + (row - tall + 1) * cell,
        alongMm: (to - from + 1) * cell,
        acrossMm: tall * cell,
      };
}
