import type { CaulInput } from '../field';
import { bridgeBowMm, camberOf, MOST_CAMBER_SHARE } from '../stack';
import { boundingBox, crossingsAt, intersectionOf, type Point, type Polygon } from '../geometry';
import { depthFromEdge } from '../press';
import type { ArrangeInput, OwnedClamp, PlacedClamp } from './input';

/** Every clamp is turned alike; a layout is worked out at this force and scaled afterwards. N. */
export const UNIT_FORCE_N = 1000;
/** Cauls reach so far beyond what they press. mm. */
const BEYOND_MM = 15;
const MOST_ROWS = 4;
/** The outer clamps stand this share of a clamp's stretch in from the end: evenly, nearer the ends, and near the ends. */
const INSETS = [0.5, 0.3, 0.12];

export type Candidate = {
  cauls: CaulInput[];
  clamps: PlacedClamp[];
  /** The most that each clamp can give, N: that of the weakest kind in use, or what a bow that is still planed asks for. */
  mostForceN: number;
};
type Section = ArrangeInput['cauls'][number];

/** Takes for each place the strongest clamp left that reaches it; nothing when one place is left without. */
export function assignClamps(
  places: readonly Point[],
  face: Polygon,
  owned: readonly OwnedClamp[],
): OwnedClamp[] | undefined {
  const left = new Map(owned.map((c) => [c.id, c.count]));
  const strongest = [...owned].sort((a, b) => b.forceN - a.forceN);
  const taken: OwnedClamp[] = [];
  // The deepest places have the least choice.
  const order = places
    .map((at, i) => ({ i, depth: depthFromEdge(face, at) }))
    .sort((a, b) => b.depth - a.depth);
  for (const { i, depth } of order) {
    const clamp = strongest.find((c) => c.reachMm >= depth && (left.get(c.id) ?? 0) > 0);
    if (!clamp) return undefined;
    left.set(clamp.id, (left.get(clamp.id) ?? 0) - 1);
    taken[i] = clamp;
  }
  return taken;
}

type RowOf = { y: number; heightMm: number; left: number; right: number };

/** The region cut into rows along the panel's width, each with the stretch it needs. */
function rowsOf(region: Polygon, count: number): RowOf[] {
  const box = boundingBox(region);
  const heightMm = (box.bottom - box.top) / count;
  return Array.from({ length: count }, (_, r) => {
    const top = box.top + r * heightMm;
    const band: Polygon = [[box.left - 1, top], [box.right + 1, top], [box.right + 1, top + heightMm], [box.left - 1, top + heightMm]]; // prettier-ignore
    const cut = intersectionOf([region], [band]).flat();
    const { left, right } = cut.length > 0 ? boundingBox(cut) : box;
    return { y: top + heightMm / 2, heightMm, left, right };
  });
}

const along = (from: number, to: number, count: number, inset: number): number[] => {
  const margin = ((to - from) / count) * inset;
  return count === 1
    ? [(from + to) / 2]
    : Array.from({ length: count }, (_, i) => from + margin + (i * (to - from - 2 * margin)) / (count - 1));
};

/** Ways to press with so many clamps under one caul section: rows, how near the ends, straight or bowed cauls. */
export function candidatesFor(count: number, section: Section, input: ArrangeInput): Candidate[] {
  const { region, face, panel, clamps: owned } = input;
  const found: Candidate[] = [...crossBars(count, section, input), ...bridges(count, section, input)];
  for (let rows = 1; rows <= Math.min(count, MOST_ROWS); rows++) {
    // More rows than the caul's own width fits are bars that lie on each other.
    const stretches = rowsOf(region, rows);
    if (rows > 1 && (stretches[0]?.heightMm ?? 0) < section.widthMm) continue;
    const counts = stretches.map((_, r) => Math.floor(count / rows) + (r < count % rows ? 1 : 0));
    const insets = counts.some((c) => c > 1) ? INSETS : INSETS.slice(0, 1);
    for (const inset of insets) {
      const clamps: PlacedClamp[] = stretches.flatMap((s, r) =>
        along(s.left, s.right, counts[r] ?? 1, inset).map((x) => ({
          at: [x, s.y] satisfies Point,
          forceN: UNIT_FORCE_N,
          kind: '',
          caul: r,
        })),
      );
      const kinds = assignClamps(
        clamps.map((c) => c.at),
        face,
        owned,
      );
      if (!kinds) continue;
      const named = clamps.map((c, i) => ({ ...c, kind: kinds[i]?.id ?? '' }));
      const mostForceN = Math.min(...kinds.map((k) => k.forceN));
      const straight = stretches.map((s): CaulInput => ({
        from: [Math.max(0, s.left - BEYOND_MM), s.y],
        to: [Math.min(panel.widthMm, s.right + BEYOND_MM), s.y],
        ...section,
        camberMm: 0,
      }));
      found.push({ cauls: straight, clamps: named, mostForceN });
      const pairs = counts.every((c) => c === 2) && inset === INSETS[INSETS.length - 1];
      const bowed = pairs ? bow(straight, stretches) : undefined;
      if (bowed)
        found.push({ cauls: bowed, clamps: named, mostForceN: Math.min(mostForceN, planedUpToN(bowed)) });
    }
  }
  return found;
}

/** A bar across the region under each clamp, side by side along it. */
function crossBars(
  count: number,
  section: Section,
  { region, face, panel, clamps: owned }: ArrangeInput,
): Candidate[] {
  const box = boundingBox(region);
  return INSETS.flatMap((inset): Candidate[] => {
    const xs = along(box.left, box.right, count, inset);
    const close = xs.length > 1 && (xs[1] ?? 0) - (xs[0] ?? 0) < section.widthMm;
    if (close || box.bottom - box.top < section.widthMm / 2 || (count === 1 && inset !== INSETS[0]))
      return [];
    const cauls = xs.map((x): CaulInput => ({
      from: [x, Math.max(0, box.top - BEYOND_MM)],
      to: [x, Math.min(panel.heightMm, box.bottom + BEYOND_MM)],
      ...section,
      camberMm: 0,
    }));
    const places = xs.map((x): Point => [x, (box.top + box.bottom) / 2]);
    const kinds = assignClamps(places, face, owned);
    if (!kinds) return [];
    const clamps = places.map((at, caul) => ({
      at,
      forceN: UNIT_FORCE_N,
      kind: kinds[caul]?.id ?? '',
      caul,
    }));
    return [{ cauls, clamps, mostForceN: Math.min(...kinds.map((k) => k.forceN)) }];
  });
}

/** Clamps of a bar across the whole face stand so far in from its edge. mm. */
const EDGE_IN_MM = 20;
/** With ends less alike than this a bar is more a lever than a bridge. */
const LEAST_LEVER = 0.25;
/** Ends so alike that a bow, which is the same to both sides, fits. */
const ALIKE = 0.8;

/** Where a level line through a place leaves the face on either side; nothing where the place is not inside. */
function acrossFace(face: Polygon, [x, y]: Point): [number, number] | undefined {
  const crossings = crossingsAt(face, y);
  const before = crossings.filter((c) => c < x);
  const after = crossings.filter((c) => c > x);
  return before.length > 0 && after.length > 0 ? [Math.max(...before), Math.min(...after)] : undefined;
}

const swapped = ([x, y]: Point): Point => [y, x];

/** Bars from edge to edge of the face over the region, clamped at both ends, for what lies deeper than a clamp reaches. */
function bridges(
  count: number,
  section: Section,
  { region, face, clamps: owned }: ArrangeInput,
): Candidate[] {
  if (count % 2 === 1) return [];
  const box = boundingBox(region);
  return [true, false].flatMap((upright) => {
    const [from, to, near, far] = upright
      ? [box.left, box.right, box.top, box.bottom]
      : [box.top, box.bottom, box.left, box.right];
    const middle = (near + far) / 2;
    const lying = upright ? face.map(swapped) : face;
    const bars = count / 2;
    if (bars > 1 && (to - from) / bars < section.widthMm) return [];
    return (bars > 1 ? INSETS : INSETS.slice(0, 1)).flatMap((inset): Candidate[] => {
      const made = along(from, to, bars, inset).map((beside) => {
        const spot = (t: number): Point => (upright ? swapped([t, beside]) : [t, beside]);
        const ends = acrossFace(lying, [middle, beside]);
        if (!ends) return undefined;
        const [a, b] = [middle - ends[0] - EDGE_IN_MM, ends[1] - EDGE_IN_MM - middle];
        // A bar that ends over the region is no bridge; the clamps reach it from that edge.
        if (Math.min(a, b) < (far - near) / 2 || Math.min(a, b) < LEAST_LEVER * Math.max(a, b))
          return undefined;
        return {
          caul: { from: spot(ends[0]), to: spot(ends[1]), ...section, camberMm: 0 } satisfies CaulInput,
          // Forces as the lever asks: the nearer end takes the more.
          ends: [
            { at: spot(middle - a), forceN: UNIT_FORCE_N * Math.min(1, b / a) },
            { at: spot(middle + b), forceN: UNIT_FORCE_N * Math.min(1, a / b) },
          ],
          spanMm: a + b,
          alike: Math.min(a, b) / Math.max(a, b) >= ALIKE,
        };
      });
      const whole = made.flatMap((m) => (m ? [m] : []));
      if (whole.length < bars) return [];
      const places = whole.flatMap((m, caul) => m.ends.map((e) => ({ ...e, caul })));
      const kinds = assignClamps(
        places.map((p) => p.at),
        face,
        owned,
      );
      if (!kinds) return [];
      const clamps = places.map((p, i) => ({ ...p, kind: kinds[i]?.id ?? '' }));
      const mostForceN = Math.min(...kinds.map((k) => k.forceN));
      const straight = { cauls: whole.map((m) => m.caul), clamps, mostForceN };
      if (!whole.every((m) => m.alike)) return [straight];
      const bowed = whole.map(({ caul, spanMm }) => ({
        ...caul,
        camberMm: bridgeBowMm(UNIT_FORCE_N, spanMm, far - near, section) * (lengthOf(caul) / spanMm) ** 2,
      }));
      return [straight, { cauls: bowed, clamps, mostForceN: Math.min(mostForceN, planedUpToN(bowed)) }];
    });
  });
}

const lengthOf = ({ from, to }: CaulInput): number => Math.hypot(to[0] - from[0], to[1] - from[1]);

/** The bow grows with the force; beyond this one the caul is too slender for it. N. */
const planedUpToN = (bowed: readonly CaulInput[]): number =>
  UNIT_FORCE_N *
  Math.min(...bowed.map((c) => (lengthOf(c) * MOST_CAMBER_SHARE) / Math.max(c.camberMm, 1e-9)));

/** The same cauls with the bow that spreads two end clamps of the unit force evenly; nothing where that is no longer planed. */
function bow(cauls: readonly CaulInput[], rows: readonly RowOf[]): CaulInput[] | undefined {
  const bowed: CaulInput[] = [];
  for (const [i, c] of cauls.entries()) {
    const lengthMm = c.to[0] - c.from[0];
    if (lengthMm < 50) return undefined;
    const pressedWidthMm = Math.max(1, rows[i]?.heightMm ?? c.widthMm);
    const pressureKPa = Math.min(5000, Math.max(1, (2 * UNIT_FORCE_N * 1000) / (lengthMm * pressedWidthMm)));
    const { midCamberMm } = camberOf({ lengthMm, widthMm: c.widthMm, heightMm: c.heightMm, modulusMPa: c.modulusMPa, pressureKPa, pressedWidthMm }); // prettier-ignore
    if (midCamberMm > lengthMm * MOST_CAMBER_SHARE) return undefined;
    bowed.push({ ...c, camberMm: midCamberMm });
  }
  return bowed;
}
