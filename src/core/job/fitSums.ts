import type { MethodId } from '../catalogue';
import { attempt, type Result } from '../check';
import { FELT_MM, feetPlan, type FeetPlan, type Foot } from '../letin';
import { memory, sourced } from '../sources';
import type { Repair } from './repairs';
import { entered } from './sums';
import { sumStarts } from './sumStarts';

/** Sums of what has no face of its own: feet on the floor, joints inside a piece. */

/** Gaps are measured under four feet, kept under these names. */
export const FEET = [
  { key: 'feet.frontleft', label: 'Gap, front left', name: 'front left', right: false, back: false },
  { key: 'feet.frontright', label: 'Gap, front right', name: 'front right', right: true, back: false },
  { key: 'feet.backleft', label: 'Gap, back left', name: 'back left', right: false, back: true },
  { key: 'feet.backright', label: 'Gap, back right', name: 'back right', right: true, back: true },
] as const;

export type FeetSum = {
  way: 'add' | 'take';
  feet: Foot[];
  /** One foot where it stands on the floor. mm */
  footWideMm: number;
  footDeepMm: number;
  plan: Result<FeetPlan>;
  /** What is glued under the feet: pieces, the thickest of them, and how much is glued on one side. */
  blocks?: { count: number; thickMm: number; gluedMm2: number };
};

/** What is built up under the feet of a repair, or taken off them, by what was entered. */
export function feetOf(repair: Repair, method: MethodId): FeetSum {
  const { stand } = sumStarts(repair);
  const of = entered(repair);
  const way = method === 'trimFeet' ? 'take' : 'add';
  const [wide, deep] = [of('feet.wide', stand.wideMm), of('feet.deep', stand.deepMm)];
  const feet = FEET.map(({ key, name, right, back }): Foot => ({
    name,
    xMm: right ? wide : 0,
    yMm: back ? deep : 0,
    gapMm: of(key, key === 'feet.frontleft' ? stand.gapMm : 0),
  }));
  const footWideMm = of('feet.footwide', stand.footMm);
  const footDeepMm = of('feet.footdeep', stand.footMm);
  const plan = attempt(() => feetPlan({ feet, way }));
  const under = plan.ok && way === 'add' ? plan.value.changes.filter((c) => c.mm >= FELT_MM.value) : [];
  if (under.length === 0) return { way, feet, footWideMm, footDeepMm, plan };
  const blocks = {
    count: under.length,
    thickMm: Math.max(...under.map((c) => c.mm)),
    gluedMm2: under.length * footWideMm * footDeepMm,
  };
  return { way, feet, footWideMm, footDeepMm, plan, blocks };
}

/** How much of one tenon, dowel or tongue is glued, and how many there are. */
const JOINT = {
  wideMm: sourced(30, memory('a rail’s tenon; measure yours')),
  dowelMm: sourced(10, memory('a chair’s dowel; measure yours')),
  deepMm: sourced(30, memory('tenons and dowels go in about three centimetres; measure yours')),
};

export type JointSum = { dowels: boolean; wideMm: number; deepMm: number; count: number; gluedMm2: number };

/** What is glued of a joint, one side counted: round a dowel, on both cheeks of a tenon or tail. Sizes as they were entered. */
export function jointGlueOf(repair: Repair): JointSum {
  const of = entered(repair);
  const dowels = (repair.damage.body.figures?.['apart.joint'] ?? 'dowels') === 'dowels';
  const wideMm = of('apart.wide', dowels ? JOINT.dowelMm.value : JOINT.wideMm.value);
  const deepMm = of('apart.deep', JOINT.deepMm.value);
  const count = of('apart.count', dowels ? 2 : 1);
  const round = dowels ? Math.PI * wideMm : 2 * wideMm;
  return { dowels, wideMm, deepMm, count, gluedMm2: count * round * deepMm };
}
