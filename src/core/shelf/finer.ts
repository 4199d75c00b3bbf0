import Joi from 'joi';
import { breathe, type JobContext } from '../check';
import { deltaE00, labSchema, type Lab } from '../colour';
import {
  bareGround,
  coatedOnce,
  coatSchema,
  laidByHand,
  lightnessShare,
  readyCoat,
  seenOf,
  withinGoal,
  WORTH_A_COAT,
  type ChooseInput,
  type Coat,
  type CoatsResult,
  type Ground,
  type Ready,
} from '../pigment';
import { MOST_BOARD_COATS, MOST_CARRIER_PARTS, type CoatsOf } from './colour';
import { MOST_COATS } from './plans';
import { thinnedCoat, wantedCoats } from './recipe';
import { thinnings } from './thinned';

/** What all of them are worth at most. ΔE00 */
const SPENT = MOST_COATS * WORTH_A_COAT.value;
/** Of each kind so many are tried thinned. */
const MOST_OF_A_KIND = 6;

export type ThinInput = {
  start: Lab;
  goal: Lab;
  recipe: readonly CoatsOf[];
  products: readonly Coat[];
  /** Without it no coat may make the place darker or redder than the goal. */
  allow: { darker: boolean; redder: boolean };
};
export type Thinned = { coats: CoatsOf[]; deltaE00: number; lab: Lab };

/** Input of `colour.thin`. */
export const thinSchema = Joi.object({
  start: labSchema.required(),
  goal: labSchema.required(),
  recipe: Joi.array()
    .items(
      Joi.object({
        colourId: Joi.string().max(100).required(),
        coats: Joi.number().integer().min(0).max(MOST_BOARD_COATS).required(),
        carrierParts: Joi.number().integer().min(1).max(MOST_CARRIER_PARTS),
      }),
    )
    .unique('colourId')
    .max(8)
    .required(),
  products: Joi.array().items(coatSchema).unique('id').max(60).required(),
  allow: Joi.object({ darker: Joi.boolean().required(), redder: Joi.boolean().required() }).required(),
});

/** What `colour.thin` is asked after a way was chosen from the same products. */
export const thinInput = (
  { start, goal, products, allow }: ChooseInput,
  { steps }: CoatsResult,
): ThinInput => ({
  start,
  goal,
  products,
  recipe: steps.map((s) => ({ colourId: s.id, coats: s.coats })),
  allow: { darker: allow?.darker ?? false, redder: allow?.redder ?? false },
});

/** One way of thinning a product, as a coat of it is laid. */
type Thin = { carrierParts: number; laid: Ready };

const LAYERS = ['dye', 'glaze', 'toner'] as const;

/** Each product with its ways of thinning, those first that the recipe holds. */
function thinsOf(products: readonly Coat[], recipe: readonly CoatsOf[]) {
  const held = (p: Coat): number => Number(recipe.some((c) => c.colourId === p.id));
  return products
    .filter((p) => p.strength > 0)
    .sort((a, b) => held(b) - held(a))
    .slice(0, MOST_OF_A_KIND)
    .map((p) => ({
      colourId: p.id,
      thins: thinnings('').map(({ value: carrierParts }): Thin => ({
        carrierParts,
        laid: readyCoat(thinnedCoat(p, carrierParts)),
      })),
    }));
}

/** A place as some coats have left it. */
type Way = { ground: Ground; coats: readonly CoatsOf[]; used: number };
type Best = { coats: readonly CoatsOf[]; off: number };

/**
 * Registry `colour.thin`: coats of products that are thinned, where that comes nearer than a recipe of whole coats: what is too strong by
 * halves and quarters is what a goal is missed by.
 * None or one dye, glaze and toner, each thinned every way and in every number of coats with the others; the clears stay as they are.
 *
 * @returns nothing where what is gained is not worth the coats it takes
 */
export async function thinnedNearer(
  { start, goal, recipe, products, allow }: ThinInput,
  job: JobContext = {},
): Promise<{ nearer?: Thinned }> {
  const clears = recipe.filter(({ colourId }) => products.find((p) => p.id === colourId)?.kind === 'clear');
  const finish = wantedCoats(clears, products).flatMap(({ coat, coats }) =>
    Array.from({ length: coats }, () => readyCoat(coat)),
  );
  const finished = (ground: Ground): Lab => seenOf(finish.reduce(coatedOnce, ground));
  const keeps = withinGoal(start, goal, allow);
  const { deltaE00: before, steps } = laidByHand(start, goal, wantedCoats(recipe, products));
  // Where the products as they come could not keep the rule, it is no rule for thinning either.
  const ruled = steps.every((s) => s.each.every(({ lab }) => keeps(lab)));
  const layers = LAYERS.map((kind) =>
    thinsOf(
      products.filter((p) => p.kind === kind),
      recipe,
    ),
  );
  // The nearest for each number of coats.
  const best: (Best | undefined)[] = [];
  let least = before;
  const after = (k: number, { ground, coats, used }: Way): Way[] => {
    const ways: Way[] = [{ ground, coats, used }];
    for (const { colourId, thins } of layers[k] ?? [])
      for (const { carrierParts, laid } of thins) {
        let now = ground;
        for (let n = 1; used + n <= MOST_COATS; n++) {
          now = coatedOnce(now, laid);
          if (ruled && !keeps(seenOf(now))) break;
          // Two coats at half strength are one at full.
          if (n % 2 === 0 && carrierParts > 0) continue;
          const of: CoatsOf = { colourId, coats: n, ...(carrierParts > 0 ? { carrierParts } : {}) };
          ways.push({ ground: now, coats: [...coats, of], used: used + n });
        }
      }
    return ways;
  };
  const dyed = after(0, { ground: bareGround(start), coats: [], used: 0 });
  for (const [i, way] of dyed.entries()) {
    await breathe(job, i / dyed.length);
    for (const glazed of after(1, way)) {
      // Toners only darken: what is too dark by more than the nearest is off, and all its coats are worth, stays so.
      const [lightness] = finished(glazed.ground);
      if (lightness < goal[0] && lightnessShare(lightness, goal[0]) > least + SPENT) continue;
      for (const { ground, coats, used } of after(2, glazed)) {
        if (!coats.some((c) => c.carrierParts)) continue;
        const lab = finished(ground);
        if (ruled && !keeps(lab)) continue;
        const off = deltaE00(lab, goal);
        least = Math.min(least, off);
        if (off < (best[used]?.off ?? Infinity)) best[used] = { coats, off };
      }
    }
  }
  const asItComes = recipe.reduce((n, { coats }) => n + coats, 0) - finish.length;
  let found: Best | undefined;
  let price = before + asItComes * WORTH_A_COAT.value;
  for (const [used, b] of best.entries()) {
    if (!b || b.off > before - WORTH_A_COAT.value) continue;
    const own = b.off + used * WORTH_A_COAT.value;
    if (own < price) [found, price] = [b, own];
  }
  if (!found) return {};
  const coats = [...found.coats, ...clears];
  const { deltaE00: off, final } = laidByHand(start, goal, wantedCoats(coats, products));
  return { nearer: { coats, deltaE00: off, lab: final } };
}
