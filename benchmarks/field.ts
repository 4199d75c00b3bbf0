// The pressure under a platen: sparse elimination beside a general dense one, on the same system; growth with the grid; memory.
import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import { pressField, type FieldInput } from '../src/core/field';
import { elimination } from '../src/core/field/cholesky';
import { dissect } from '../src/core/field/dissection';
import { modelOf } from '../src/core/field/plate';

const layout = (gridMm: number): FieldInput => ({
  panel: { widthMm: 1200, heightMm: 600 },
  platen: { thicknessMm: 18, modulusMPa: 3000, poisson: 0.25 },
  foundation: { stiffnessMPaPerMm: 1 },
  cauls: [150, 300, 450].map((y) => ({
    from: [20, y],
    to: [1180, y],
    widthMm: 45,
    heightMm: 38,
    modulusMPa: 11_000,
    camberMm: 1,
  })),
  clamps: [150, 300, 450].flatMap((y, caul) =>
    [60, 330, 600, 870, 1140].map((x) => ({ at: [x, y] as const, forceN: 2000, caul })),
  ),
  gridMm,
  target: { leastKPa: 50, mostKPa: 1000 },
});

const timed = async (runs: number, work: () => unknown): Promise<number> => {
  const times: number[] = [];
  for (let i = 0; i < runs; i++) {
    const start = performance.now();
    await work();
    times.push(performance.now() - start);
  }
  return times.sort((a, b) => a - b)[times.length >> 1] ?? 0;
};

type Row = (name: string, value: string, peer?: string, ratio?: string) => void;

/** One linear solution of the same system, both ways. */
async function linear(gridMm: number, row: Row): Promise<void> {
  const model = modelOf(layout(gridMm), gridMm);
  const { size, bending, area, load, nodes, x, y } = model;
  const extra = new Float64Array(size).map((_, n) => (n < nodes ? (area[n] ?? 0) : 1));
  const ours = await timed(3, () =>
    elimination(bending, dissect(bending, x, y))({ value: bending.value, extra })(Float64Array.from(load)),
  );
  const theirs = await timed(1, () => {
    const dense = Matrix.zeros(size, size);
    for (let i = 0; i < size; i++) {
      for (let e = bending.start[i] ?? 0; e < (bending.start[i + 1] ?? 0); e++)
        dense.set(i, bending.column[e] ?? 0, bending.value[e] ?? 0);
      dense.set(i, i, dense.get(i, i) + (extra[i] ?? 0));
    }
    return new CholeskyDecomposition(dense).solve(Matrix.columnVector(Array.from(load)));
  });
  row(
    `One linear solution, ${gridMm} mm grid, ${size} unknowns`,
    `${ours.toFixed(0)} ms`,
    `ml-matrix, dense Cholesky ${(theirs / 1000).toFixed(1)} s`,
    `1/${(theirs / ours).toFixed(0)}`,
  );
}

export async function pressing(row: Row): Promise<void> {
  await linear(20, row);
  await linear(15, row);
  for (const gridMm of [40, 20, 10, 5]) {
    const before = process.memoryUsage().rss;
    // Warm: a clamp that is dragged asks for the same computation some twenty times a second.
    await timed(gridMm === 40 ? 30 : 2, () => pressField(layout(gridMm)));
    const ms = await timed(gridMm === 5 ? 3 : 9, () => pressField(layout(gridMm)));
    const grown = (process.memoryUsage().rss - before) / 1e6;
    const { columns, rows } = (await pressField(layout(gridMm))).grid;
    row(
      `press.field, 1200 × 600 mm, three cauls, 15 clamps, ${gridMm} mm grid (${columns * rows} nodes)`,
      `${ms.toFixed(0)} ms`,
      `memory grown by ${Math.max(0, grown).toFixed(0)} MB`,
    );
  }
}
