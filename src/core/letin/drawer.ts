import Joi from 'joi';
import { assertRange } from '../check';
import { memory, practice, sourced, type Source } from '../sources';

type FrontBack = readonly [front: number, back: number];
export type DrawerInput = {
  /** The opening inside, and the drawer outside, at the front and at the back. mm */
  openingWideMm: FrontBack;
  openingHighMm: FrontBack;
  drawerWideMm: FrontBack;
  drawerHighMm: FrontBack;
  /** How much the sides have worn away below, or the runners hollow. mm */
  wornMm: FrontBack;
  lengthMm: number;
  /** How much higher the sides become in the dampest season. mm */
  growsMm: number;
};

type Place = 'wide at the front' | 'wide at the back' | 'high at the front' | 'high at the back';
export type DrawerPlan = {
  /** Play at each place with the wear made good, negative where it binds. mm */
  playMm: Record<Place, number>;
  binds: Place[];
  /** What is planed off at each place so that it slides, no more than that. mm */
  planeMm: Partial<Record<Place, number>>;
  /** Glued under each worn side, whose edge is planed straight down to it first: its height at the front and at the back. */
  strip?: { frontMm: number; backMm: number; lengthMm: number };
  words: string;
};

/** What a drawer needs to slide. mm */
const PLAY_MM = {
  wide: sourced(1, memory('half a millimetre on each side')),
  high: sourced(1, memory('a millimetre over the sides on the day, before the damp season')),
};
/** More is not a drawer that has swollen. mm */
const MOST_OVER_MM = 30;
/** Wear is felt from here. mm */
const WORN_MM = sourced(0.5, memory('half a millimetre of wear lets a drawer drop and tip'));
const STRIP_LEAST_MM = sourced(2, memory('a thinner wear strip breaks when it is planed'));
export const DRAWER_SOURCE: Source = practice(
  'find where it binds by chalk or by the shine; plane the drawer, not the case; wear is made good with hard wood, grain along; wax last',
);

const pair = (least: number, most: number): Joi.ArraySchema =>
  Joi.array().items(Joi.number().min(least).max(most)).length(2).required();
/** Input of `letin.drawer`: `{openingWideMm, openingHighMm, drawerWideMm, drawerHighMm, wornMm: [front, back] each, lengthMm, growsMm}`. */
export const drawerSchema = Joi.object({
  openingWideMm: pair(20, 3000),
  openingHighMm: pair(10, 1500),
  drawerWideMm: pair(20, 3000),
  drawerHighMm: pair(10, 1500),
  wornMm: pair(0, 50),
  lengthMm: Joi.number().min(20).max(2000).required(),
  growsMm: Joi.number().min(0).max(50).required(),
});

/**
 * Registry `letin.drawer`: where a drawer binds, what is planed off there, and the strip that makes good its wear.
 *
 * @throws RangeError for a drawer far larger than its opening
 */
export function drawerPlan(input: DrawerInput): DrawerPlan {
  const { openingWideMm: ow, openingHighMm: oh, drawerWideMm: dw, drawerHighMm: dh, wornMm, lengthMm, growsMm } = input; // prettier-ignore
  assertRange('The growth of the sides', growsMm, 'mm', 0, 50);
  // Measured as it is, a worn side is lower than it was: made good, it stands higher again.
  const playMm: Record<Place, number> = {
    'wide at the front': ow[0] - dw[0],
    'wide at the back': ow[1] - dw[1],
    'high at the front': oh[0] - dh[0] - wornMm[0],
    'high at the back': oh[1] - dh[1] - wornMm[1],
  };
  if (Object.values(playMm).some((p) => p < -MOST_OVER_MM))
    throw new RangeError(
      `The drawer is more than ${MOST_OVER_MM} mm larger than its opening. Measure both again; it may belong to another one.`,
    );
  const needed = (place: Place): number =>
    place.startsWith('wide') ? PLAY_MM.wide.value : PLAY_MM.high.value + growsMm;
  const places = ['wide at the front', 'wide at the back', 'high at the front', 'high at the back'] as const;
  const binds = places.filter((p) => playMm[p] < needed(p));
  const planeMm = Object.fromEntries(binds.map((p) => [p, needed(p) - playMm[p]]));
  const worn = Math.max(...wornMm) >= WORN_MM.value;
  const stripMm = (wornBy: number): number => Math.max(STRIP_LEAST_MM.value, wornBy);
  const words = [
    binds.length === 0 ? 'It is free on all sides: wax the runners.' : `It binds ${binds.join(', ')}.`,
    ...(worn ? ['Make good the wear first, then ease it: a drawer that tips binds crosswise.'] : []),
  ].join(' ');
  return {
    playMm,
    binds,
    planeMm,
    ...(worn ? { strip: { frontMm: stripMm(wornMm[0]), backMm: stripMm(wornMm[1]), lengthMm } } : {}),
    words,
  };
}
