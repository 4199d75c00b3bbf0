import type { Point } from '../geometry';
import { stencil, symmetric, type Frozen } from './sparse';

export type Grid = { columns: number; rows: number; dx: number; dy: number };

export type PlateInput = {
  panel: { widthMm: number; heightMm: number };
  platen: { thicknessMm: number; modulusMPa: number; poisson: number };
  cauls: readonly CaulInput[];
  clamps: readonly { at: Point; forceN: number; caul?: number | undefined }[];
};

/** A straight bar on the platen; with a camber its middle touches first and its ends stand off by so much. */
export type CaulInput = {
  from: Point;
  to: Point;
  widthMm: number;
  heightMm: number;
  modulusMPa: number;
  camberMm: number;
};

/** A place where a caul may press on the platen. */
export type Contact = {
  at: number[];
  /** Shortening of the contact is the sum of these times the movements, less the gap. */
  weights: number[];
  stiffness: number;
  gapMm: number;
};

export type Model = {
  grid: Grid;
  /** Unknowns: the nodes of the platen, then those of the cauls. */
  nodes: number;
  size: number;
  x: Float64Array;
  y: Float64Array;
  /** Bending, with room for every contact: contacts and the foundation come with each step. */
  bending: Frozen;
  area: Float64Array;
  load: Float64Array;
  contacts: Contact[];
};

export const gridFor = ({ widthMm, heightMm }: PlateInput['panel'], gridMm: number): Grid => {
  const columns = Math.max(3, Math.round(widthMm / gridMm) + 1);
  const rows = Math.max(3, Math.round(heightMm / gridMm) + 1);
  return { columns, rows, dx: widthMm / (columns - 1), dy: heightMm / (rows - 1) };
};

/** The four nodes round a place with their shares. */
export function bilinear(
  { columns, rows, dx, dy }: Grid,
  [px, py]: Point,
): { at: number[]; share: number[] } {
  const i = Math.min(columns - 2, Math.max(0, Math.floor(px / dx)));
  const j = Math.min(rows - 2, Math.max(0, Math.floor(py / dy)));
  const [u, v] = [px / dx - i, py / dy - j];
  const n = j * columns + i;
  return {
    at: [n, n + 1, n + columns, n + columns + 1],
    share: [(1 - u) * (1 - v), u * (1 - v), (1 - u) * v, u * v],
  };
}

/** Across the grain wood is about a twentieth as stiff as along it; a caul is squeezed through its height by that. */
const ACROSS_SHARE = 1 / 20;

/**
 * Plate and beams as squares of curvatures over the grid (Kirchhoff plate, Euler beams), so that energy is never negative and
 * free edges come by themselves: at an edge only the curvature along it counts, with what is left when the moment across is nil.
 */
export function modelOf({ panel, platen, cauls, clamps }: PlateInput, gridMm: number): Model {
  const grid = gridFor(panel, gridMm);
  const { columns, rows, dx, dy } = grid;
  const nodes = columns * rows;
  const rigidity = (platen.modulusMPa * platen.thicknessMm ** 3) / (12 * (1 - platen.poisson ** 2));
  const bars = cauls.map((caul) => {
    const lengthMm = Math.hypot(caul.to[0] - caul.from[0], caul.to[1] - caul.from[1]);
    const parts = Math.max(4, Math.ceil(lengthMm / Math.min(dx, dy)));
    return { caul, lengthMm, parts, step: lengthMm / parts };
  });
  const first: number[] = [];
  let size = nodes;
  for (const bar of bars) {
    first.push(size);
    size += bar.parts + 1;
  }
  const x = new Float64Array(size);
  const y = new Float64Array(size);
  const area = new Float64Array(nodes);
  const bending = symmetric(size, columns, nodes);
  const { poisson } = platen;
  const across = [[-1, 0], [0, 0], [1, 0]] as const; // prettier-ignore
  const down = [[0, -1], [0, 0], [0, 1]] as const; // prettier-ignore
  const xx = [1 / dx ** 2, -2 / dx ** 2, 1 / dx ** 2];
  const yy = [1 / dy ** 2, -2 / dy ** 2, 1 / dy ** 2];
  const corners = [[0, 0], [1, 0], [0, 1], [1, 1]] as const; // prettier-ignore
  const twist = stencil(columns, corners, [1, -1, -1, 1]);
  const alongX = stencil(columns, across, xx);
  const alongY = stencil(columns, down, yy);
  const both = stencil(columns, [...across, ...down], [...xx, ...yy]);
  for (let j = 0; j < rows; j++) {
    for (let i = 0; i < columns; i++) {
      const n = j * columns + i;
      x[n] = i * dx;
      y[n] = j * dy;
      const [edgeX, edgeY] = [i === 0 || i === columns - 1, j === 0 || j === rows - 1];
      const a = dx * dy * (edgeX ? 0.5 : 1) * (edgeY ? 0.5 : 1);
      area[n] = a;
      if (!edgeX && !edgeY) {
        bending.addStencil(alongX, n, rigidity * (1 - poisson) * a);
        bending.addStencil(alongY, n, rigidity * (1 - poisson) * a);
        bending.addStencil(both, n, rigidity * poisson * a);
      } else if (!edgeX) bending.addStencil(alongX, n, rigidity * (1 - poisson ** 2) * a);
      else if (!edgeY) bending.addStencil(alongY, n, rigidity * (1 - poisson ** 2) * a);
      if (i + 1 < columns && j + 1 < rows)
        bending.addStencil(twist, n, (2 * rigidity * (1 - poisson)) / (dx * dy));
    }
  }
  const load = new Float64Array(size);
  const contacts: Contact[] = [];
  bars.forEach(({ caul, lengthMm, parts, step }, b) => {
    const start = first[b] ?? 0;
    const stiffness = (caul.modulusMPa * caul.widthMm * caul.heightMm ** 3) / 12;
    const [ux, uy] = [(caul.to[0] - caul.from[0]) / lengthMm, (caul.to[1] - caul.from[1]) / lengthMm];
    const lanes = Math.max(1, Math.round(caul.widthMm / Math.min(dx, dy)));
    for (let k = 0; k <= parts; k++) {
      const s = k * step;
      const n = start + k;
      x[n] = caul.from[0] + ux * s;
      y[n] = caul.from[1] + uy * s;
      if (k > 0 && k < parts) {
        const c = 1 / step ** 2;
        bending.addSquare([n - 1, n, n + 1], [c, -2 * c, c], stiffness * step);
      }
      const t = (2 * s) / lengthMm - 1;
      for (let lane = 0; lane < lanes; lane++) {
        const off = ((lane + 0.5) / lanes - 0.5) * caul.widthMm;
        const place: Point = [(x[n] ?? 0) - uy * off, (y[n] ?? 0) + ux * off];
        if (place[0] < 0 || place[1] < 0 || place[0] > panel.widthMm || place[1] > panel.heightMm) continue;
        const under = bilinear(grid, place);
        contacts.push({
          at: [n, ...under.at],
          weights: [1, ...under.share.map((w) => -w)],
          stiffness:
            ((caul.modulusMPa * ACROSS_SHARE) / caul.heightMm) *
            (step * (k === 0 || k === parts ? 0.5 : 1)) *
            (caul.widthMm / lanes),
          gapMm: caul.camberMm * t * t,
        });
      }
    }
  });
  for (const clamp of clamps) {
    const bar = clamp.caul === undefined ? undefined : bars[clamp.caul];
    if (!bar || clamp.caul === undefined) {
      const { at, share } = bilinear(grid, clamp.at);
      at.forEach((n, i) => (load[n] = (load[n] ?? 0) + clamp.forceN * (share[i] ?? 0)));
      continue;
    }
    const { caul, lengthMm, parts, step } = bar;
    const along =
      ((clamp.at[0] - caul.from[0]) * (caul.to[0] - caul.from[0]) +
        (clamp.at[1] - caul.from[1]) * (caul.to[1] - caul.from[1])) /
      lengthMm;
    const s = Math.min(parts - 1e-9, Math.max(0, along / step));
    const k = Math.min(parts - 1, Math.floor(s));
    const n = (first[clamp.caul] ?? 0) + k;
    load[n] = (load[n] ?? 0) + clamp.forceN * (1 - (s - k));
    load[n + 1] = (load[n + 1] ?? 0) + clamp.forceN * (s - k);
  }
  // Places of contacts and of the diagonal are kept free, so that one elimination order serves every step.
  for (const c of contacts) bending.addSquare(c.at, c.weights, 0);
  for (let n = 0; n < size; n++) bending.addSquare([n], [1], 0);
  return { grid, nodes, size, x, y, bending: bending.freeze(), area, load, contacts };
}
