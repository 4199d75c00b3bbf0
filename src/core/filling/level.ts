import Joi from 'joi';
import { assertRange } from '../check';
import { LEAST_LEFT_MM } from '../sanding';
import { memory, published, sourced, type Source } from '../sources';

export type Sheen = 'satin' | 'gloss';

/** A slope that hand and light do not find, rise over run. */
const UNSEEN_SLOPE: Record<Sheen, { value: number }> = {
  satin: sourced(1 / 150, memory('under a satin film a slope of about one to 150 is not found')),
  gloss: sourced(1 / 300, memory('a gloss mirrors a slope of about one to 300')),
};
export const LEVEL_SOURCE: Source = memory(
  'slopes that hand and raking light do not find: one to 150 under satin, one to 300 under gloss',
);

export type LevelInput = {
  /** How far the repair stands over its surround; less than nothing: how far it has sunk. mm. */
  stepMm: number;
  /** Veneer on both sides of the step; 0 for solid wood. mm. */
  veneerMm: number;
  /** From the step to the nearest edge of the face. mm. */
  roomMm: number;
  sheen: Sheen;
};

export type LevelPlan = {
  tool: 'spokeshave' | 'blockPlane' | 'scraper' | 'paper';
  /** How far the surround is taken down towards the step, so that nobody finds it. */
  featherMm: number;
  /** Wood taken at the step itself, from the side that stands proud. */
  takenMm: number;
  leftMm?: number;
  verdict: 'level' | 'fill' | 'byHandAtEdge';
  why: string;
};

export const LEVEL_TOOLS_SOURCE: Source = memory(
  'which tool takes how much, from a hair to some millimetres',
);
export const LEVEL_TOOLS: Record<LevelPlan['tool'], string> = {
  spokeshave: 'Spokeshave, then scraper',
  blockPlane: 'Block plane with the grain, then scraper',
  scraper: 'Card scraper',
  paper: 'Block and P220 (ISO 6344)',
};

/** Input of `level.plan`: `{stepMm, veneerMm, roomMm, sheen: 'satin' | 'gloss'}`. */
export const levelSchema = Joi.object({
  stepMm: Joi.number().min(-20).max(20).required(),
  veneerMm: Joi.number().min(0).max(6).required(),
  roomMm: Joi.number().min(0).max(5000).required(),
  sheen: Joi.string().valid('satin', 'gloss').required(),
});

/** From these heights on each tool takes over. mm. */
const BY_HEIGHT: readonly { from: number; tool: LevelPlan['tool'] }[] = [
  { from: 1.5, tool: 'spokeshave' },
  { from: 0.4, tool: 'blockPlane' },
  { from: 0.1, tool: 'scraper' },
  { from: 0, tool: 'paper' },
];

/**
 * Registry `level.plan`: how a step between a repair and its surround is made level: with what, how far it is feathered, and
 * whether the veneer bears it.
 *
 * @throws RangeError for sizes out of range
 */
export function levelPlan({ stepMm, veneerMm, roomMm, sheen }: LevelInput): LevelPlan {
  assertRange('The step', stepMm, 'mm', -20, 20);
  assertRange('The veneer', veneerMm, 'mm', 0, 6);
  const height = Math.abs(stepMm);
  const featherMm = height / UNSEEN_SLOPE[sheen].value;
  const tool = BY_HEIGHT.find((t) => height >= t.from)?.tool ?? 'paper';
  // What stands proud is taken; a repair that has sunk asks its surround to come down to it.
  const leftMm = veneerMm > 0 ? veneerMm - height : undefined;
  const left = leftMm === undefined ? {} : { leftMm };
  const plan = { tool, featherMm, takenMm: height, ...left };
  if (leftMm !== undefined && leftMm < LEAST_LEFT_MM.value)
    return {
      ...plan,
      verdict: 'fill',
      why: `Taking ${height.toFixed(1)} mm leaves ${Math.max(0, leftMm).toFixed(2)} mm of ${veneerMm} mm veneer: fill the low side instead.`,
    };
  if (featherMm > roomMm)
    return {
      ...plan,
      verdict: 'byHandAtEdge',
      why: `A slope that nobody finds takes ${Math.round(featherMm)} mm, and the edge is ${Math.round(roomMm)} mm away: by hand only there, with the last grit, or fill the low side.`,
    };
  return {
    ...plan,
    verdict: 'level',
    why: `Taken down over ${Math.round(featherMm)} mm the step is a slope that hand and light do not find.`,
  };
}

export const SHADOW_SOURCE: Source = published(
  'Geometry of a raking light',
  'depth = shadow × tan(height of the lamp)',
);

/**
 * Depth of a dent from the shadow its rim throws in raking light. mm.
 *
 * @param shadowMm length of the shadow on the face
 * @param lampDeg height of the lamp over the face, 1…80°
 */
export function depthFromShadowMm(shadowMm: number, lampDeg: number): number {
  assertRange('The shadow', shadowMm, 'mm', 0, 500);
  assertRange('The height of the lamp', lampDeg, '°', 1, 80);
  return shadowMm * Math.tan((lampDeg * Math.PI) / 180);
}
