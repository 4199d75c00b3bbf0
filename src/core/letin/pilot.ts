import Joi from 'joi';
import { assertRange } from '../check';
import { practice, published, sourced, type Source } from '../sources';

export type PilotInput = {
  /** Gauge number of an inch screw, the nominal diameter of a metric one, or its core measured between the threads. mm */
  screw: { gauge: number } | { diameterMm: number } | { coreMm: number };
  lengthMm: number;
  /** What the screw goes through before it bites: a hinge, a rail; 0 for a leaf of metal that is drilled. mm */
  throughMm: number;
  boardMm: number;
  /** Of the wood it bites in: mass over volume at 12 % moisture, relative to water. */
  specificGravity: number;
};

export type PilotPlan = {
  shankMm: number;
  rootMm: number;
  /** For the thread. */
  pilotMm: number;
  /** Through the upper piece, so that the screw draws it down. */
  clearanceMm: number;
  /** How deep the pilot hole goes into the board. */
  deepMm: number;
  /** Least distances from the hole's middle. mm */
  endMm: number;
  edgeMm: number;
  apartMm: number;
  words: string;
};

/** Wood screws by gauge: shank and root of the thread, inches. */
export const GAUGES: { rows: readonly { gauge: number; shankIn: number; rootIn: number }[]; source: Source } =
  {
    rows: [
      { gauge: 6, shankIn: 0.138, rootIn: 0.113 },
      { gauge: 7, shankIn: 0.151, rootIn: 0.122 },
      { gauge: 8, shankIn: 0.164, rootIn: 0.131 },
      { gauge: 9, shankIn: 0.177, rootIn: 0.142 },
      { gauge: 10, shankIn: 0.19, rootIn: 0.152 },
      { gauge: 12, shankIn: 0.216, rootIn: 0.171 },
      { gauge: 14, shankIn: 0.242, rootIn: 0.196 },
      { gauge: 16, shankIn: 0.268, rootIn: 0.209 },
    ],
    source: published(
      'ASME B18.6.1 and ANSI/AWC National Design Specification, Appendix L',
      'standard wood screws: shank 0.060 + 0.013 in by the number, and the root of the thread; written down from memory',
    ),
  };
/** Smaller screws of hinges and locks have no row there: their root is taken in the same proportion. */
const SHANK_IN = (gauge: number): number => 0.06 + 0.013 * gauge;
const SMALL_ROOT_SHARE = sourced(
  0.8,
  practice('the root of a small wood screw is about four fifths of its shank'),
);
/** Metric wood screws. */
const METRIC_ROOT_SHARE = sourced(
  0.7,
  published('DIN 7998', 'the core of a wood screw’s thread is 0.7 of its nominal diameter; from memory'),
);
export const PILOT_SOURCE: Source = published(
  'ANSI/AWC National Design Specification for Wood Construction, wood screws',
  'pilot holes of 70 % of the thread’s root where the wood weighs up to 0.6 of water, 90 % beyond; the shank’s hole as wide as the shank; distances with a hole bored: 10 diameters to the end, 2.5 to the edge, 10 along the grain between two; from memory',
);
const DENSE_GRAVITY = 0.6;
const SHARE = { light: 0.7, dense: 0.9 };
const DISTANCE = { end: 10, edge: 2.5, apart: 10 };
const MM_PER_IN = 25.4;
/** Wood left under the point. mm */
const FLOOR_MM = sourced(2, practice('the point stays two millimetres off the other face'));

const mm = (least: number, most: number): Joi.NumberSchema => Joi.number().min(least).max(most).required();
/** Input of `letin.pilot`: `{screw: {gauge}|{diameterMm}|{coreMm}, lengthMm, throughMm, boardMm, specificGravity}`. */
export const pilotSchema = Joi.object({
  screw: Joi.alternatives(
    Joi.object({ gauge: Joi.number().integer().min(2).max(16).required() }),
    Joi.object({ diameterMm: mm(1.5, 10) }),
    Joi.object({ coreMm: mm(0.8, 12) }),
  ).required(),
  lengthMm: mm(4, 150),
  throughMm: mm(0, 100),
  boardMm: mm(1, 200),
  specificGravity: mm(0.1, 1.4),
});

function threadOf(screw: PilotInput['screw']): { shankMm: number; rootMm: number } {
  if ('coreMm' in screw) return { shankMm: screw.coreMm / METRIC_ROOT_SHARE.value, rootMm: screw.coreMm };
  if ('diameterMm' in screw)
    return { shankMm: screw.diameterMm, rootMm: METRIC_ROOT_SHARE.value * screw.diameterMm };
  const row = GAUGES.rows.find((g) => g.gauge === screw.gauge);
  const shankIn = row?.shankIn ?? SHANK_IN(screw.gauge);
  return {
    shankMm: MM_PER_IN * shankIn,
    rootMm: MM_PER_IN * (row?.rootIn ?? SMALL_ROOT_SHARE.value * shankIn),
  };
}

/**
 * Registry `letin.pilot`: holes for a screw that is set anew: pilot, clearance, depth, and how far from an end, an edge and the
 * next screw.
 *
 * @throws RangeError for a screw that comes out at the other face, or never reaches the board
 */
export function pilotPlan({ screw, lengthMm, throughMm, boardMm, specificGravity }: PilotInput): PilotPlan {
  assertRange('The specific gravity', specificGravity, '', 0.1, 1.4);
  const { shankMm, rootMm } = threadOf(screw);
  const bites = lengthMm - throughMm;
  if (bites <= 0)
    throw new RangeError(
      `The screw is ${lengthMm} mm long and ${throughMm} mm are gone before it reaches the board. Take a longer one.`,
    );
  if (bites > boardMm - FLOOR_MM.value)
    throw new RangeError(
      `The screw would come within ${FLOOR_MM.value} mm of the other face, or through it. Take one of at most ${Math.max(0, boardMm + throughMm - FLOOR_MM.value).toFixed(0)} mm.`,
    );
  const dense = specificGravity > DENSE_GRAVITY;
  return {
    shankMm,
    rootMm,
    pilotMm: (dense ? SHARE.dense : SHARE.light) * rootMm,
    clearanceMm: shankMm,
    deepMm: bites,
    endMm: DISTANCE.end * shankMm,
    edgeMm: DISTANCE.edge * shankMm,
    apartMm: DISTANCE.apart * shankMm,
    words: dense
      ? 'Dense wood: wax the thread, and cut it first with a steel screw of the same size where the screw is brass.'
      : 'Drive it by hand the last turns; one that spins has torn its thread.',
  };
}
