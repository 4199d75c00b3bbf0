/**
 * The cheapest way through a band from its first column to its last, one row a column: to the same row of the next, or to one beside it.
 *
 * @param cost of a place; Infinity where there is none
 * @param climbCosts of changing the row by one
 * @returns the row in every column; nothing where no way leads through
 */
export function cheapestWay(
  columns: number,
  rows: number,
  cost: (column: number, row: number) => number,
  climbCosts: number,
): number[] | undefined {
  const totals: Float64Array[] = [];
  for (let i = 0; i < columns; i++) {
    const before = totals[i - 1];
    totals.push(
      Float64Array.from({ length: rows }, (_, j) => cheapestBefore(before, j, climbCosts).total + cost(i, j)),
    );
  }
  const last = totals[columns - 1];
  let row = last ? last.indexOf(Math.min(...last)) : -1;
  if (!last || row < 0 || !Number.isFinite(last[row])) return undefined;
  const way: number[] = [];
  for (let i = columns - 1; i >= 0; i--) {
    way.unshift(row);
    row = cheapestBefore(totals[i - 1], row, climbCosts).at;
  }
  return way;
}

function cheapestBefore(
  before: Float64Array | undefined,
  row: number,
  climbCosts: number,
): { at: number; total: number } {
  let [at, total] = [row, before ? (before[row] ?? Infinity) : 0];
  for (const k of [row - 1, row + 1]) {
    const climbed = (before?.[k] ?? Infinity) + climbCosts;
    if (climbed < total) [at, total] = [k, climbed];
  }
  return { at, total };
}
