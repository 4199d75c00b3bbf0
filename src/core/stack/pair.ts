import { assertRange } from '../check';
import { published, type Source } from '../sources';
import { bowHeightMm } from './camber';

export const PAIR_SOURCE: Source = published(
  'Beams under a uniform load, by Macaulay’s brackets (Timoshenko, Strength of Materials)',
  'E I y⁗ = w; outer caul held at its ends, inner caul by its props',
);

type Section = { widthMm: number; heightMm: number };

export type PairInput = {
  /** Between the clamps at the two ends of the outer caul; the inner one is as long. */
  lengthMm: number;
  outer: Section;
  inner: Section;
  modulusMPa: number;
  pressureKPa: number;
  /** Width of what the cauls press on, across them. */
  pressedWidthMm: number;
  /** One prop in the middle, or two at equal distances from the ends. */
  props: 1 | 2;
};

export type Pair = {
  /** What each of the two end clamps must give. */
  endForceN: number;
  propForceN: number;
  /** From the end to the prop. mm. */
  propAtMm: number;
  outerMm: number;
  innerMm: number;
  /** What is planed: heights over the lowest place of each caul, at the same places. */
  stations: { xMm: number; outerMm: number; innerMm: number }[];
};

/** With two props here the ends and the middle bend back alike, and least. Of the length. */
const BEST_PROP_SHARE = 0.22315;
const STATIONS = 20;

/** How far a caul that is held by props bends away from the work, against the props; mm at a place along it. */
function behindProps(
  { lengthMm, inner, modulusMPa, pressureKPa, pressedWidthMm, props }: PairInput,
  propAtMm: number,
) {
  const load = (pressureKPa / 1000) * pressedWidthMm;
  const stiffness = (modulusMPa * inner.widthMm * inner.heightMm ** 3) / 12;
  const at = props === 1 ? [propAtMm] : [propAtMm, lengthMm - propAtMm];
  const each = (load * lengthMm) / at.length;
  const raw = (x: number): number =>
    (load * x ** 4) / 24 - at.reduce((sum, p) => sum + (each * Math.max(0, x - p) ** 3) / 6, 0);
  // The line that is still free is laid through the props; with one prop the two halves are alike.
  const slope = (raw(lengthMm) - raw(0)) / lengthMm;
  const [first = 0] = at;
  const level = raw(first) - slope * first;
  return (x: number): number => (raw(x) - slope * x - level) / stiffness;
}

/**
 * A panel pressed in its case: an outer caul drawn down at its ends and an inner one held by one or two props. Both bend, and both
 * are planed to what they bend, so that they lie flat and press evenly.
 *
 * @throws RangeError for sizes and pressures out of range
 */
export function pairOfCauls(input: PairInput): Pair {
  const { lengthMm, outer, inner, pressureKPa, pressedWidthMm, props } = input;
  assertRange('The length between the clamps', lengthMm, 'mm', 50, 4000);
  for (const [name, { widthMm, heightMm }] of [['outer', outer], ['inner', inner]] as const) {
    assertRange(`The width of the ${name} caul`, widthMm, 'mm', 5, 500);
    assertRange(`The height of the ${name} caul`, heightMm, 'mm', 5, 300);
  } // prettier-ignore
  assertRange('The pressure', pressureKPa, 'kPa', 1, 5000);
  assertRange('The pressed width', pressedWidthMm, 'mm', 1, 2000);
  const force = (pressureKPa / 1000) * pressedWidthMm * lengthMm;
  const propAtMm = props === 1 ? lengthMm / 2 : BEST_PROP_SHARE * lengthMm;
  const bends = behindProps(input, propAtMm);
  const outerBow = (x: number): number => bowHeightMm({ ...input, ...outer }, x);
  const xs = Array.from({ length: STATIONS + 1 }, (_, i) => (i / STATIONS) * lengthMm);
  const lowest = Math.min(...xs.map(bends), bends(propAtMm));
  const stations = xs.map((x) => ({ xMm: x, outerMm: outerBow(x), innerMm: bends(x) - lowest }));
  return {
    endForceN: force / 2,
    propForceN: force / props,
    propAtMm,
    outerMm: outerBow(lengthMm / 2),
    innerMm: Math.max(...stations.map((s) => s.innerMm)),
    stations,
  };
}
