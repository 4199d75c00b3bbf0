/** A sparse symmetric matrix over a grid, gathered from squares: K = Σ c · b bᵀ, each b with few entries. */
export type Symmetric = {
  /** Adds c · b bᵀ for a vector with these entries. */
  addSquare: (at: readonly number[], values: readonly number[], c: number) => void;
  freeze: () => Frozen;
};

/** Rows of columns and values; both triangles and every place of the diagonal are stored. */
export type Frozen = { size: number; start: Int32Array; column: Int32Array; value: Float64Array };

/** A bending stencil reaches two nodes each way: a window of 5 × 5 round each node holds all of the plate. */
const REACH = 2;
const WINDOW = (2 * REACH + 1) ** 2;

/**
 * @param columns nodes in a row of the grid
 * @param nodes nodes of the grid; unknowns beyond them are those of the bars
 */
export function symmetric(size: number, columns: number, nodes: number): Symmetric {
  const near = new Float64Array(nodes * WINDOW);
  const used = new Uint8Array(nodes * WINDOW);
  const far: Map<number, number>[] = [];
  const columnOf = Int32Array.from({ length: nodes }, (_, n) => n % columns);
  const rowOf = Int32Array.from({ length: nodes }, (_, n) => Math.floor(n / columns));
  const side = 2 * REACH + 1;
  const addFar = (i: number, j: number, v: number): void => {
    const row = (far[i] ??= new Map<number, number>());
    row.set(j, (row.get(j) ?? 0) + v);
  };
  const add = (i: number, j: number, v: number): void => {
    if (i < nodes && j < nodes) {
      const across = columnOf[j]! - columnOf[i]!;
      const down = rowOf[j]! - rowOf[i]!;
      if (across <= REACH && across >= -REACH && down <= REACH && down >= -REACH) {
        const there = i * WINDOW + (down + REACH) * side + across + REACH;
        near[there] = near[there]! + v;
        used[there] = 1;
        if (i === j) return;
        const back = j * WINDOW + (REACH - down) * side + REACH - across;
        near[back] = near[back]! + v;
        used[back] = 1;
        return;
      }
    }
    addFar(i, j, v);
    if (i !== j) addFar(j, i, v);
  };
  return {
    addSquare: (at, b, c) => {
      for (let p = 0; p < at.length; p++) {
        const i = at[p]!;
        const cb = c * b[p]!;
        // The same unknown may stand in a square twice: each pair is then met in both orders.
        for (let q = p; q < at.length; q++) {
          const j = at[q]!;
          add(i, j, (i === j && q !== p ? 2 : 1) * cb * b[q]!);
        }
      }
    },
    freeze: () => {
      const start = new Int32Array(size + 1);
      const column: number[] = [];
      const value: number[] = [];
      for (let i = 0; i < size; i++) {
        if (i < nodes) {
          for (let s = 0; s < WINDOW; s++) {
            const at = i * WINDOW + s;
            if (!used[at]) continue;
            const across = (s % (2 * REACH + 1)) - REACH;
            const down = Math.floor(s / (2 * REACH + 1)) - REACH;
            column.push(i + down * columns + across);
            value.push(near[at] ?? 0);
          }
        }
        for (const [j, v] of far[i] ?? []) {
          column.push(j);
          value.push(v);
        }
        start[i + 1] = column.length;
      }
      return { size, start, column: Int32Array.from(column), value: Float64Array.from(value) };
    },
  };
}
