import Joi from 'joi';
import { breathe, type JobContext } from '../check';
import { labSchema, type Lab } from '../colour';
import { coatSchema, layColour, type Coat, type CoatKind, type CoatsResult } from './coats';

/** Products to choose from; the clear named by `clear` goes on last, at least once, since the goal lies under a finish too. */
export type ChooseInput = {
  start: Lab;
  goal: Lab;
  products: readonly Coat[];
  mostCoats: number;
  clear?: string;
  allow?: { darker?: boolean; redder?: boolean };
  top: number;
};
export type ChosenCoats = { choices: CoatsResult[]; notes: string[] };

/** Of each kind so many are tried with one another; what a shop has more of is left out from the end and told. */
const MOST_OF_A_KIND = 9;

/** Input of `colour.choose`. */
export const chooseSchema = Joi.object({
  start: labSchema.required(),
  goal: labSchema.required(),
  products: Joi.array().items(coatSchema).unique('id').max(100).required(),
  mostCoats: Joi.number().integer().min(1).max(12).required(),
  clear: Joi.string().max(100),
  allow: Joi.object({ darker: Joi.boolean(), redder: Joi.boolean() }),
  top: Joi.number().integer().min(1).max(10).required(),
});

/**
 * Registry `colour.choose`: which dye, which glaze and which toner of those owned, in how many coats each under the clear, come nearest to
 * a colour. None or one of each kind.
 *
 * @throws RangeError for a clear that is not among the products
 */
export async function chooseCoats(input: ChooseInput, job: JobContext = {}): Promise<ChosenCoats> {
  const { start, goal, products, mostCoats, allow, top } = input;
  const clear = products.find((p) => p.id === input.clear);
  if (input.clear !== undefined && clear?.kind !== 'clear')
    throw new RangeError(`“${input.clear}” is no clear finish among the products. Choose one that is.`);
  const left: string[] = [];
  const ofKind = (kind: CoatKind): (Coat | undefined)[] => {
    const all = products.filter((p) => p.kind === kind && p.strength > 0);
    left.push(...all.slice(MOST_OF_A_KIND).map((p) => p.id));
    return [undefined, ...all.slice(0, MOST_OF_A_KIND)];
  };
  const [dyes, glazes, toners] = [ofKind('dye'), ofKind('glaze'), ofKind('toner')];
  const sets = dyes.flatMap((d) => glazes.flatMap((g) => toners.map((t) => [d, g, t])));
  const found: CoatsResult[] = [];
  for (const [i, set] of sets.entries()) {
    await breathe(job, i / sets.length);
    const layers = set.flatMap((c) => (c ? [c] : []));
    const finish = clear ? [{ ...clear, leastCoats: 1 }] : [];
    const laid = await layColour({
      start,
      goal,
      layers: [...layers, ...finish],
      mostCoats,
      ...(allow ? { allow } : {}),
    });
    const used = new Set(laid.steps.map((s) => s.id));
    // Where one of them got no coat, the same comes from the smaller set.
    if (layers.every((l) => used.has(l.id))) found.push(laid);
  }
  found.sort((a, b) => a.deltaE00 - b.deltaE00);
  const choices = found.slice(0, top);
  return {
    choices,
    notes:
      left.length > 0
        ? [`Of each kind ${MOST_OF_A_KIND} were tried; ${left.length} more were left out.`]
        : [],
  };
}
