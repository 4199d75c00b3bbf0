import { assertRange } from '../check';
import { derived, type Source } from '../sources';

/** How far a piece is taken apart. */
export type Standing = 'assembled' | 'partOff' | 'apart';
export const STANDINGS: Record<Standing, string> = {
  assembled: 'As it stands',
  partOff: 'With a part off',
  apart: 'Taken apart',
};

export const REACH_SOURCE: Source = derived(
  'the way from the nearest edge to the far rim of the place, against the throat of each clamp that is owned',
);

type OwnedClamp = {
  id: string;
  label: string;
  acts: string;
  count: number;
  reachMm: number;
  openingMm: number;
  forceN: number;
};

export type ReachInput = {
  /** From each of the four edges to the far rim of the place. mm. */
  toEdgesMm: readonly number[];
  /** Where the back can be reached. */
  back: 'open' | 'partOff' | 'apart';
  /** Board, platen, caul and block under one jaw. mm. */
  stackMm: number;
  areaMm2: number;
  targetKPa: number;
  clamps: readonly OwnedClamp[];
  /** Minutes that taking off a part, and taking it all apart, would cost. */
  costMin: Record<Exclude<Standing, 'assembled'>, number>;
  /** Parts that are better not opened. */
  stops: boolean;
};

export type Reach = {
  standing: Standing;
  reaches: boolean;
  /** What reaches, by label. */
  with: string[];
  why: string;
  minutes: number;
};

export type ReachPlan = { ways: Reach[]; best?: Standing };

const OPEN_FROM: Record<ReachInput['back'], readonly Standing[]> = {
  open: ['assembled', 'partOff', 'apart'],
  partOff: ['partOff', 'apart'],
  apart: ['apart'],
};

/**
 * What has to come off so that a clamp can reach a place: as it stands, with a part off, and apart, each worked out and compared. A
 * clamp whose jaws take the stack reaches as far as its throat; where the back is closed only what presses from above is left. The
 * least that reaches is best.
 *
 * @throws RangeError for sizes out of range
 */
export function reachPlan(input: ReachInput): ReachPlan {
  assertRange('The stack', input.stackMm, 'mm', 0, 2000);
  assertRange('The area', input.areaMm2, 'mm²', 0, 1e8);
  const way = Math.min(...input.toEdgesMm);
  const ways = (Object.keys(STANDINGS) as Standing[]).map((standing): Reach => {
    const minutes = standing === 'assembled' ? 0 : input.costMin[standing];
    if (standing === 'apart' && input.stops)
      return { standing, reaches: false, with: [], minutes, why: 'A joint on the way is better not opened.' };
    const gripping = input.clamps.filter((c) => c.acts === 'point' && c.count > 0);
    if (!OPEN_FROM[input.back].includes(standing)) {
      const above = gripping.filter((c) => PRESSES_FROM_ABOVE.includes(c.id));
      const force = above.reduce((sum, c) => sum + c.count * c.forceN, 0);
      const needed = (input.targetKPa * input.areaMm2) / 1000;
      const enough = force >= needed;
      return {
        standing,
        reaches: enough,
        with: enough ? above.map((c) => c.label) : [],
        minutes,
        why: enough
          ? 'The back is closed; weights and bars from above are enough for this place.'
          : `The back is closed: no jaw finds a hold, and from above there are ${Math.round(force)} N of the ${Math.round(needed)} N it takes. Or prop an inner caul against the other side.`,
      };
    }
    const taking = gripping.filter((c) => !PRESSES_FROM_ABOVE.includes(c.id) && c.openingMm >= input.stackMm);
    const direct = taking.filter((c) => c.reachMm >= way);
    if (direct.length > 0)
      return { standing, reaches: true, with: direct.map((c) => c.label), minutes, why: 'Their throats reach the far rim from the nearest edge.' }; // prettier-ignore
    // Two clamps on a caul from edge to edge press what lies between them.
    const pairs = taking.filter((c) => c.count >= 2);
    return pairs.length > 0
      ? { standing, reaches: true, with: pairs.map((c) => `${c.label}, two on a caul from edge to edge`), minutes, why: `No throat reaches ${Math.round(way)} mm in; a cambered caul across the board does.` } // prettier-ignore
      : { standing, reaches: false, with: [], minutes, why: taking.length === 0 ? `No clamp that is owned opens ${Math.round(input.stackMm)} mm.` : `No throat reaches ${Math.round(way)} mm in, and a caul takes two alike.` }; // prettier-ignore
  });
  const best = ways.filter((w) => w.reaches).sort((a, b) => a.minutes - b.minutes)[0];
  return { ways, ...(best ? { best: best.standing } : {}) };
}

const PRESSES_FROM_ABOVE: readonly string[] = ['goBar', 'weight'];
