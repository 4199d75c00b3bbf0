/** A sparse symmetric matrix over a grid, gathered from squares: K = Σ c · b bᵀ, each b with few entries. */
export type Symmetric = {
  /** Adds c · b bᵀ for a vector with these entries. */
  addSquare: (at: readonly number[], values: readonly number[], c: number) => void;
  /** The same for a stencil round a node of the grid; it must lie on the grid with all its nodes. */
  addStencil: (stencil: Stencil, node: number, c: number) => void;
  freeze: () => Frozen;
};

/** b bᵀ of a vector that stands at the same places round every node: where each product goes, from the node's window on. */
export type Stencil = { place: Int32Array; product: Float64Array };

/** Rows of columns and values; both triangles and every place of the diagonal are stored. */
export type Frozen = { size: number; start: Int32Array; column: Int32Array; value: Float64Array };

/** A bending stencil reaches two nodes each way: a window of 5 × 5 round each node holds all of the plate. */
const REACH = 2;
const SIDE = 2 * REACH + 1;
const WINDOW = SIDE ** 2;

/**
 * @param columns nodes in a row of the grid
 * @param at steps across and down from the node; no two further apart than the window reaches
 */
export function stencil(
  columns: number,
  at: readonly (readonly [number, number])[],
  values: readonly number[],
): Stencil {
  const place: number[] = [];
  const product: number[] = [];
  at.forEach(([across, down], p) =>
    at.forEach(([other, below], q) => {
      place.push(
        (down * columns + across) * WINDOW + (below - down + REACH) * SIDE + (other - across + REACH),
      );
      product.push((values[p] ?? 0) * (values[q] ?? 0));
    }),
  );
  return { place: Int32Array.from(place), product: Float64Array.from(product) };
}

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
  const addFar = (i: number, j: number, v: number): void => {
    const row = (far[i] ??= new Map<number, number>());
    row.set(j, (row.get(j) ?? 0) + v);
  };
  const add = (i: number, j: number, v: number): void => {
    if (i < nodes && j < nodes) {
      const across = columnOf[j]! - columnOf[i]!;
      const down = rowOf[j]! - rowOf[i]!;
      if (across <= REACH && across >= -REACH && down <= REACH && down >= -REACH) {
        const there = i * WINDOW + (down + REACH) * SIDE + across + REACH;
        near[there] = near[there]! + v;
        used[there] = 1;
        if (i === j) return;
        const back = j * WINDOW + (REACH - down) * SIDE + REACH - across;
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
    addStencil: ({ place, product }, node, c) => {
      for (let k = 0; k < place.length; k++) {
        const there = node * WINDOW + place[k]!;
        near[there] = near[there]! + c * product[k]!;
        used[there] = 1;
      }
    },
    freeze: () => {
      const start = new Int32Array(size + 1);
      for (let i = 0; i < size; i++) {
        let count = far[i]?.size ?? 0;
        if (i < nodes) for (let s = i * WINDOW; s < (i + 1) * WINDOW; s++) count += used[s]!;
        start[i + 1] = start[i]! + count;
      }
      const column = new Int32Array(start[size]!);
      const value = new Float64Array(start[size]!);
      let p = 0;
      for (let i = 0; i < size; i++) {
        if (i < nodes) {
          for (let s = 0; s < WINDOW; s++) {
            const at = i * WINDOW + s;
            if (!used[at]) continue;
            const across = (s % SIDE) - REACH;
            const down = Math.floor(s / SIDE) - REACH;
            column[p] = i + down * columns + across;
            value[p++] = near[at]!;
          }
        }
        for (const [j, v] of far[i] ?? []) {
          column[p] = j;
          value[p++] = v;
        }
      }
      return { size, start, column, value };
    },
  };
}
