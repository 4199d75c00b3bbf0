import { assertRange } from '../check';
import {
  areaOf,
  areaOfAll,
  assertOutline,
  boundingBox,
  centroidOf,
  contains,
  distance,
  intersectionOf,
  nearestOnSegment,
  rotate,
  sides,
  sidesReached,
  unionOf,
  type Point,
  type Polygon,
} from '../geometry';
import { memory, practice, sourced } from '../sources';
import type { ClampId, ClampKind } from './clamps';

export type PressInput = {
  /** The loose area on the face, mm. */
  loose: Polygon;
  face: Polygon;
  clamp: ClampKind;
  clampsOwned: number;
  caul: { widthMm: number; heightMm: number };
  platenMm: number;
  targetKPa: number;
};

export type Caul = { from: Point; to: Point; widthMm: number };

/** Cauls and clamps where a person, or the search, has put them on the face. */
export type PlacedLayout = {
  cauls: (Caul & { heightMm: number; camberMm: number })[];
  clamps: { at: Point; clamp: ClampId; forceN: number }[];
  /** What it was placed for; not known for layouts from before this was kept. */
  loose?: { areaMm2: number; at: Point };
};

export type PressLayout = {
  /** Clamp places on the face, mm. */
  clamps: Point[];
  cauls: Caul[];
  platen: Polygon;
  /** What the clamps press on under the 45° rule, one piece per clamp. */
  footprints: Polygon[];
  /** Share of the loose area under a footprint, 0…1. */
  coverage: number;
  pressedMm2: number;
  forceNeededN: number;
  forcePerClampN: number;
  clampGivesN: number;
  /** Pressure over the pressed area when every clamp is turned firm. kPa. */
  pressureKPa: number;
  /** Force and number of clamps that the rule of three per 300 mm asks for, for comparison. */
  practiceClamps: number;
  /** In how many goes it is pressed with the clamps owned. */
  stages: number;
  /** Clamp places that the clamp does not reach from the nearest edge. */
  outOfReach: number;
  /** Direction of the caul, degrees. */
  directionDeg: number;
};

/** A clamp's pressure spreads at about this angle through what lies under it. */
export const SPREAD_ANGLE_DEG = sourced(45, practice("a clamp's pressure spreads at about 45°"));
/** Sections of about 300 mm with three clamps. */
export const SECTION = { lengthMm: sourced(300, practice()), clamps: sourced(3, practice()) };
/** The platen reaches this far beyond the loose area. mm. */
const PLATEN_BEYOND_MM = 15;
const MOST_CLAMPS = 60;

const spread = (thicknessMm: number): number =>
  thicknessMm * Math.tan((SPREAD_ANGLE_DEG.value * Math.PI) / 180);

/** Cauls lie aslant on a face when that makes what they press so much narrower. */
const SLANT_WORTH = 0.85;

function pressDirection(loose: Polygon, face: Polygon): number {
  const reached = sidesReached(face, loose)
    .flatMap((i) => {
      const side = sides(face)[i];
      return side ? [side] : [];
    })
    .map(([a, b]) => {
      const angle = (Math.atan2(b[1] - a[1], b[0] - a[0]) * 180) / Math.PI;
      const box = boundingBox(loose.map((p) => rotate(p, -angle)));
      return { angle, length: box.right - box.left };
    });
  const along = reached.sort((a, b) => b.length - a.length)[0];
  if (along) return along.angle;
  // Away from the edges cauls lie along the narrow shape, and along the face where that makes little difference.
  const acrossAt = (angle: number): number => {
    const box = boundingBox(loose.map((p) => rotate(p, -angle)));
    return box.bottom - box.top;
  };
  const onFace = sides(face).map(([a, b]) => (Math.atan2(b[1] - a[1], b[0] - a[0]) * 180) / Math.PI);
  const turned = Array.from({ length: 12 }, (_, i) => i * 15);
  const narrowest = (angles: readonly number[]): number =>
    angles.reduce((best, a) => (acrossAt(a) < acrossAt(best) - 1e-6 ? a : best));
  const [straight, slanted] = [narrowest(onFace), narrowest(turned)];
  return acrossAt(slanted) < SLANT_WORTH * acrossAt(straight) ? slanted : straight;
}

/** The stretch of an outline, in its own turned frame, that lies between two heights. */
function stretch(turned: Polygon, top: number, bottom: number): [number, number] | undefined {
  const { left, right } = boundingBox(turned);
  const band: Polygon = [[left - 1, top], [right + 1, top], [right + 1, bottom], [left - 1, bottom]]; // prettier-ignore
  const cut = intersectionOf([turned], [band]).flat();
  if (cut.length === 0) return undefined;
  const box = boundingBox(cut);
  return [box.left, box.right];
}

const evenly = (from: number, to: number, count: number): number[] =>
  Array.from({ length: count }, (_, i) => from + ((i + 0.5) * (to - from)) / count);

function footprintAt(at: Point, directionDeg: number, halfAlong: number, halfAcross: number): Polygon {
  const corners: Point[] = [[-halfAlong, -halfAcross], [halfAlong, -halfAcross], [halfAlong, halfAcross], [-halfAlong, halfAcross]]; // prettier-ignore
  return corners.map((c) => {
    const [x, y] = rotate(c, directionDeg);
    return [at[0] + x, at[1] + y];
  });
}

export const depthFromEdge = (face: Polygon, p: Point): number =>
  Math.min(...sides(face).map(([a, b]) => distance(p, nearestOnSegment(p, a, b))));

/** An outline may be nudged by so much before clamps that were placed for it are looked at again. */
const SAME_PLACE = { areaShare: 0.03, mm: 4 };

/** The size and middle of an outline, to know it again by. */
export const placeOf = (loose: Polygon): { areaMm2: number; at: Point } => {
  const [x, y] = centroidOf(loose);
  return { areaMm2: Math.round(areaOf(loose)), at: [Math.round(x), Math.round(y)] };
};

/** Has the outline changed since the clamps were placed? */
export function outgrown({ loose: then }: PlacedLayout, loose: Polygon): boolean {
  if (!then) return false;
  const now = placeOf(loose);
  return (
    Math.abs(now.areaMm2 - then.areaMm2) > SAME_PLACE.areaShare * then.areaMm2 ||
    distance(now.at, then.at) > SAME_PLACE.mm
  );
}

/** The caul that a place lies on, if any. */
export const caulUnder = (cauls: readonly Caul[], at: Point): number =>
  cauls.findIndex((c) => distance(at, nearestOnSegment(at, c.from, c.to)) <= c.widthMm / 2 + 0.5);

/** The stretch of a caul that lies over the platen, mm from its `from` end; all of it when none does. */
export function underCaul(caul: Caul, platen: Polygon): [number, number] {
  const lengthMm = distance(caul.from, caul.to);
  const angle = (Math.atan2(caul.to[1] - caul.from[1], caul.to[0] - caul.from[0]) * 180) / Math.PI;
  const lying = platen.map((p) => rotate([p[0] - caul.from[0], p[1] - caul.from[1]], -angle));
  const half = caul.widthMm / 2;
  return stretch(lying, -half, half) ?? [0, lengthMm];
}

/** What a caul that bridges the face presses on for the clamp at one of its ends: the half of its stretch over the platen. */
function halfUnder(caul: Caul, clampAt: Point, { platen }: PressLayout, beyondMm: number): Polygon {
  const angle = (Math.atan2(caul.to[1] - caul.from[1], caul.to[0] - caul.from[0]) * 180) / Math.PI;
  const [left, right] = underCaul(caul, platen);
  const middle = (left + right) / 2;
  const centre = distance(clampAt, caul.from) < middle ? (left + middle) / 2 : (middle + right) / 2;
  const [dx, dy] = rotate([centre, 0], angle);
  return footprintAt(
    [caul.from[0] + dx, caul.from[1] + dy],
    angle,
    (right - left) / 4,
    caul.widthMm / 2 + beyondMm,
  );
}

/**
 * The rule's figures for cauls and clamps that have been placed: what lies under their cones, how hard, and what is beyond reach.
 *
 * @param kindOf figures of a clamp kind, and how many are owned
 * @throws RangeError when nothing is placed
 */
export function placedLayout(
  base: PressLayout,
  input: PressInput,
  placed: PlacedLayout,
  kindOf: (id: ClampId) => { kind: ClampKind; count: number },
): PressLayout {
  const n = placed.clamps.length;
  if (n === 0) throw new RangeError('There are no clamps: nothing holds it down. Add a clamp.');
  const footprints = placed.clamps.map(({ at, clamp }) => {
    const caul = placed.cauls[caulUnder(placed.cauls, at)];
    if (caul && !contains(base.platen, at)) return halfUnder(caul, at, base, spread(input.platenMm));
    const direction = caul
      ? (Math.atan2(caul.to[1] - caul.from[1], caul.to[0] - caul.from[0]) * 180) / Math.PI
      : base.directionDeg;
    const pad = kindOf(clamp).kind.padMm.value / 2;
    return footprintAt(
      at,
      direction,
      pad + spread((caul?.heightMm ?? 0) + input.platenMm),
      (caul ? caul.widthMm / 2 : pad) + spread(input.platenMm),
    );
  });
  const pressed = intersectionOf(unionOf(footprints), [input.face]);
  const pressedMm2 = areaOfAll(pressed);
  const force = placed.clamps.reduce((s, c) => s + c.forceN, 0);
  const forceNeededN = (pressedMm2 * input.targetKPa) / 1000;
  const used = new Map<ClampId, number>();
  for (const { clamp } of placed.clamps) used.set(clamp, (used.get(clamp) ?? 0) + 1);
  return {
    ...base,
    clamps: placed.clamps.map((c) => c.at),
    cauls: placed.cauls.map(({ from, to, widthMm }) => ({ from, to, widthMm })),
    footprints,
    coverage: Math.min(1, areaOfAll(intersectionOf(pressed, [input.loose])) / areaOf(input.loose)),
    pressedMm2,
    forceNeededN,
    forcePerClampN: forceNeededN / n,
    clampGivesN: force / n,
    pressureKPa: pressedMm2 > 0 ? (1000 * force) / pressedMm2 : 0,
    stages: Math.max(...[...used].map(([id, k]) => Math.ceil(k / Math.max(1, kindOf(id).count)))),
    outOfReach: placed.clamps.filter(
      (c) => depthFromEdge(input.face, c.at) > kindOf(c.clamp).kind.reachMm.value,
    ).length,
  };
}

/**
 * Where clamps go on a loose area, by the 45° rule: rows of cauls along the mouth on a platen, clamps so close that the
 * cones from their pads, spread through caul and platen, meet on the veneer; more of them where the target pressure asks.
 *
 * @throws RangeError for an outline that is none, a platen or caul without thickness, no clamps, a negative pressure
 */
export function pressLayout(input: PressInput): PressLayout {
  const { loose, face, clamp, caul, platenMm, targetKPa, clampsOwned } = input;
  assertOutline(loose);
  assertRange('The platen thickness', platenMm, 'mm', 3, 100);
  assertRange('The caul height', caul.heightMm, 'mm', 10, 150);
  assertRange('The caul width', caul.widthMm, 'mm', 10, 300);
  assertRange('The target pressure', targetKPa, 'kPa', 5, 2000);
  assertRange('The number of clamps owned', clampsOwned, '', 1, 500);
  const directionDeg = pressDirection(loose, face);
  const turned = loose.map((p) => rotate(p, -directionDeg));
  const box = boundingBox(turned);
  const halfAcross = caul.widthMm / 2 + spread(platenMm);
  const halfAlong = clamp.padMm.value / 2 + spread(caul.heightMm + platenMm);
  const rows = Math.max(1, Math.ceil((box.bottom - box.top) / (2 * halfAcross)));
  const rowHeight = (box.bottom - box.top) / rows;
  const stretches = Array.from({ length: rows }, (_, r) => {
    const top = box.top + r * rowHeight;
    const [left, right] = stretch(turned, top, top + rowHeight) ?? [box.left, box.right];
    const least = Math.max(1, Math.ceil((right - left) / (2 * halfAlong)));
    return { y: top + rowHeight / 2, left, right, least };
  });
  const place = (counts: number[]) => {
    const centres = stretches.flatMap((s, r) =>
      evenly(s.left, s.right, counts[r] ?? 1).map((x): Point => [x, s.y]),
    );
    const footprints = centres.map((p) =>
      footprintAt(rotate(p, directionDeg), directionDeg, halfAlong, halfAcross),
    );
    const pressed = intersectionOf(unionOf(footprints), [face]);
    return { centres, footprints, pressed, pressedMm2: areaOfAll(pressed) };
  };
  let counts = stretches.map((s) => s.least);
  let placed = place(counts);
  const total = (): number => counts.reduce((a, b) => a + b, 0);
  const needed = (): number => (placed.pressedMm2 * targetKPa) / 1000;
  while (needed() > total() * clamp.forceN.value && total() < MOST_CLAMPS) {
    // The next clamp goes to the row where each one has most to press.
    const loads = stretches.map((s, r) => (s.right - s.left) / (counts[r] ?? 1));
    const row = loads.indexOf(Math.max(...loads));
    counts = counts.map((c, r) => (r === row ? c + 1 : c));
    placed = place(counts);
  }
  const clamps = placed.centres.map((p) => rotate(p, directionDeg));
  const n = clamps.length;
  const covered = areaOfAll(intersectionOf(placed.pressed, [loose]));
  const platenBox = [
    [box.left - PLATEN_BEYOND_MM, box.top - PLATEN_BEYOND_MM],
    [box.right + PLATEN_BEYOND_MM, box.top - PLATEN_BEYOND_MM],
    [box.right + PLATEN_BEYOND_MM, box.bottom + PLATEN_BEYOND_MM],
    [box.left - PLATEN_BEYOND_MM, box.bottom + PLATEN_BEYOND_MM],
  ].map(([x = 0, y = 0]) => rotate([x, y], directionDeg));
  return {
    clamps,
    cauls: stretches.map((s) => ({
      from: rotate([s.left - PLATEN_BEYOND_MM, s.y], directionDeg),
      to: rotate([s.right + PLATEN_BEYOND_MM, s.y], directionDeg),
      widthMm: caul.widthMm,
    })),
    platen: platenBox,
    footprints: placed.footprints,
    coverage: Math.min(1, covered / areaOf(loose)),
    pressedMm2: placed.pressedMm2,
    forceNeededN: needed(),
    forcePerClampN: needed() / n,
    clampGivesN: clamp.forceN.value,
    pressureKPa: (n * clamp.forceN.value * 1000) / placed.pressedMm2,
    practiceClamps: Math.max(
      1,
      Math.ceil(((box.right - box.left) / SECTION.lengthMm.value) * SECTION.clamps.value),
    ),
    stages: Math.ceil(n / clampsOwned),
    outOfReach: clamps.filter((p) => depthFromEdge(face, p) > clamp.reachMm.value).length,
    directionDeg,
  };
}

/** The first owned clamp kind that reaches the middle of the loose area; the farthest reaching one if none does. */
export function suggestClamp(
  loose: Polygon,
  face: Polygon,
  owned: readonly ClampKind[],
): ClampKind | undefined {
  const middle = centroidOf(loose);
  const depth = depthFromEdge(face, middle);
  const byForce = [...owned].sort((a, b) => b.forceN.value - a.forceN.value);
  return (
    byForce.find((c) => c.reachMm.value >= depth + c.padMm.value / 2) ??
    [...owned].sort((a, b) => b.reachMm.value - a.reachMm.value)[0]
  );
}

/** Minutes to spread glue and set clamps. */
export const LAYING = {
  spreadMinPer100Cm2: sourced(1, memory('brushing or flooding 100 cm² takes about a minute')),
  minPerClamp: sourced(0.5, memory('a clamp is set in about half a minute')),
};

/** A person's own pace, once timed. */
export type Pace = { spreadMinPer100Cm2: number; secondsPerClamp: number };
const COMMON_PACE: Pace = {
  spreadMinPer100Cm2: LAYING.spreadMinPer100Cm2.value,
  secondsPerClamp: 60 * LAYING.minPerClamp.value,
};

/** How long it takes from first glue to last clamp. */
export const layingMinutes = (areaMm2: number, clamps: number, pace = COMMON_PACE): number =>
  (areaMm2 / 10_000) * pace.spreadMinPer100Cm2 + (clamps * pace.secondsPerClamp) / 60;
