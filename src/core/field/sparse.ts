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
  /** The window's slot for a pair of nodes, or −1 when they lie farther apart. */
  const slot = (i: number, j: number): number => {
    if (i >= nodes || j >= nodes) return -1;
    const across = (j % columns) - (i % columns);
    const down = Math.floor(j / columns) - Math.floor(i / columns);
    return Math.abs(across) > REACH || Math.abs(down) > REACH
      ? -1
      : i * WINDOW + (down + REACH) * (2 * REACH + 1) + across + REACH;
  };
  const add = (i: number, j: number, v: number): void => {
    const s = slot(i, j);
    if (s >= 0) {
      near[s] = (near[s] ?? 0) + v;
      used[s] = 1;
      return;
    }
    const row = (far[i] ??= new Map<number, number>());
    row.set(j, (row.get(j) ?? 0) + v);
  };
  return {
    addSquare: (at, b, c) => {
      for (let p = 0; p < at.length; p++)
        for (let q = 0; q < at.length; q++) add(at[p] ?? 0, at[q] ?? 0, c * (b[p] ?? 0) * (b[q] ?? 0));
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
