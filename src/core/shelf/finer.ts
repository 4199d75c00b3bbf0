import Joi from 'joi';
import { labSchema, type Lab } from '../colour';
import { coatSchema, laidByHand, WORTH_A_COAT, type Coat } from '../pigment';
import { MOST_BOARD_COATS, MOST_CARRIER_PARTS, type CoatsOf } from './colour';
import { wantedCoats } from './recipe';
import { thinnings } from './thinned';

/** As many thin coats of one product are tried. */
const MOST_COATS = 8;
/** A place is as well a touch on the dark or the red side. CIELAB */
const TOUCH = 0.3;
/** Each product is looked at so many times, with the others as they have become. */
const ROUNDS = 3;

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

/**
 * Registry `colour.thin`: a recipe with its products thinned, where that comes nearer: coats that are too strong by halves and quarters are what a goal is missed by.
 * One product after another takes its best thinning and number of coats, the others as they are.
 *
 * @returns nothing where thinning gains less than what is worth a coat
 */
export function thinnedNearer({ start, goal, recipe, products, allow }: ThinInput): { nearer?: Thinned } {
  const lay = (coats: readonly CoatsOf[]) => laidByHand(start, goal, wantedCoats(coats, products));
  const keeps = (coats: readonly CoatsOf[]): boolean =>
    lay(coats).steps.every((s) =>
      s.each.every(
        ({ lab }) =>
          (allow.darker || lab[0] >= Math.min(goal[0], start[0]) - TOUCH) &&
          (allow.redder || lab[1] <= Math.max(goal[1], start[1]) + TOUCH),
      ),
    );
  const before = lay(recipe).deltaE00;
  // Where the products as they come could not keep the rule, it is no rule for thinning either.
  const ruled = keeps(recipe);
  let best = { coats: recipe.map((c) => ({ ...c })), off: before };
  for (let round = 0; round < ROUNDS; round++)
    for (const { colourId } of recipe) {
      if (products.find((p) => p.id === colourId)?.kind === 'clear') continue;
      for (const { value: carrierParts } of thinnings(''))
        for (let coats = 0; coats <= MOST_COATS; coats++) {
          const next = best.coats.map((c): CoatsOf =>
            c.colourId === colourId ? { colourId, coats, ...(carrierParts > 0 ? { carrierParts } : {}) } : c,
          );
          const off = lay(next).deltaE00;
          if (off < best.off - 1e-9 && (!ruled || keeps(next))) best = { coats: next, off };
        }
    }
  if (best.off > before - WORTH_A_COAT.value) return {};
  const coats = best.coats.filter((c) => c.coats > 0);
  return { nearer: { coats, deltaE00: best.off, lab: lay(coats).final } };
}
