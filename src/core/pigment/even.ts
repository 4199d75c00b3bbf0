import Joi from 'joi';
import { breathe, type JobContext } from '../check';
import { deltaE00, labSchema, type Lab } from '../colour';
import { practice, type Source } from '../sources';
import { coatSchema, layColour, type Coat } from './coats';

export type EvenInput = {
  /** Parts as they look now, under one finish. */
  parts: readonly { id: string; lab: Lab }[];
  products: readonly Coat[];
  /** On one part. */
  mostCoats: number;
  /** They shall differ by no more. ΔE00 */
  within: number;
};

export type EvenPlan = {
  /** The part that the others are brought to; it gets nothing. */
  goal: string;
  /** Products in the order in which they go on, with the coats on each part; parts that get none of it are left out. */
  steps: { productId: string; on: { partId: string; coats: number }[] }[];
  parts: { id: string; lab: Lab; deltaE00: number; coats: number }[];
  /** Largest difference between two parts, before and after. ΔE00 */
  before: number;
  after: number;
  reached: boolean;
  words: string;
};

export const EVEN_SOURCE: Source = practice(
  'colour is added, never removed, so parts go to the darkest of them; the warm tone first on what is too cold, then the brown on all that lacks it',
);
/** A hand keeps two toners in mind. */
const MOST_PRODUCTS = 2;
const MOST_OF_ALL = 14;

/** Input of `colour.even`: `{parts: [{id, lab}], products: [{id, kind, lab, strength}], mostCoats, within}`. */
export const evenSchema = Joi.object({
  parts: Joi.array()
    .items(Joi.object({ id: Joi.string().min(1).max(100).required(), lab: labSchema.required() }))
    .unique('id')
    .min(2)
    .max(12)
    .required(),
  products: Joi.array().items(coatSchema).unique('id').max(100).required(),
  mostCoats: Joi.number().integer().min(1).max(8).required(),
  within: Joi.number().min(0).max(50).required(),
});

const apart = (labs: readonly Lab[]): number =>
  Math.max(0, ...labs.flatMap((a, i) => labs.slice(i + 1).map((b) => deltaE00(a, b))));

/**
 * Registry `colour.even`: one or two products of the shelf, the same for all, in so many thin coats on each part that they come to look alike;
 * every part is tried as the one that the others are brought to.
 *
 * @throws RangeError when there is nothing to put on
 */
export async function evenOut(input: EvenInput, job: JobContext = {}): Promise<EvenPlan> {
  const { parts, mostCoats, within } = input;
  const products = input.products.filter((p) => p.kind !== 'clear' && p.strength > 0).slice(0, MOST_OF_ALL);
  if (products.length === 0)
    throw new RangeError('There is no dye, glaze or toner to even the parts out with. Put one on the shelf.');
  const sets = products.flatMap((a, i) => [[a], ...products.slice(i + 1).map((b) => [a, b])]).filter((s) => s.length <= MOST_PRODUCTS); // prettier-ignore
  let best: { goal: string; set: Coat[]; laid: Map<string, Laid>; after: number; coats: number } | undefined;
  for (const [g, goal] of parts.entries())
    for (const [k, set] of sets.entries()) {
      if (k % 8 === 0) await breathe(job, (g + k / sets.length) / parts.length);
      const laid = new Map<string, Laid>();
      for (const part of parts) {
        const { steps, final } = part === goal
          ? { steps: [], final: part.lab }
          : await layColour({ start: part.lab, goal: goal.lab, layers: set, mostCoats });
        laid.set(part.id, { lab: steps.length === 0 ? part.lab : final, coats: new Map(steps.map((s) => [s.id, s.coats])) });
      }
      const after = apart([...laid.values()].map((l) => l.lab));
      const coats = [...laid.values()].reduce((n, l) => n + counted(l), 0);
      if (!best || after < best.after - CLOSER || (after < best.after + CLOSER && coats < best.coats))
        best = { goal: goal.id, set, laid, after, coats };
    } // prettier-ignore
  const before = apart(parts.map((p) => p.lab));
  const found = best ?? { goal: parts[0]?.id ?? '', set: [], laid: new Map<string, Laid>(), after: before, coats: 0 }; // prettier-ignore
  const goalLab = parts.find((p) => p.id === found.goal)?.lab ?? [0, 0, 0];
  const reached = found.after <= within;
  return {
    goal: found.goal,
    steps: inOrder(found.set).flatMap(({ id: productId }) => {
      const on = parts.flatMap(({ id: partId }) => {
        const coats = found.laid.get(partId)?.coats.get(productId) ?? 0;
        return coats > 0 ? [{ partId, coats }] : [];
      });
      // The part that takes most goes first: what is left in the gun serves the others.
      return on.length > 0 ? [{ productId, on: on.sort((a, b) => b.coats - a.coats) }] : [];
    }),
    parts: parts.map(({ id, lab }) => {
      const laid = found.laid.get(id);
      return { id, lab: laid?.lab ?? lab, deltaE00: deltaE00(laid?.lab ?? lab, goalLab), coats: laid ? counted(laid) : 0 }; // prettier-ignore
    }),
    before,
    after: found.after,
    reached,
    words: reached
      ? 'Lay every product on all its parts before the next, and look at them side by side after each coat.'
      : `Together they come no nearer than ${found.after.toFixed(1)} ΔE00. What is darker than the rest cannot be made lighter: bleach it, or bring another product.`,
  };
}

type Laid = { lab: Lab; coats: ReadonlyMap<string, number> };
const counted = ({ coats }: Laid): number => [...coats.values()].reduce((a, b) => a + b, 0);
/** So much closer is worth another coat. ΔE00 */
const CLOSER = 0.1;

const KINDS: readonly Coat['kind'][] = ['dye', 'glaze', 'toner', 'clear'];
const inOrder = (set: readonly Coat[]): Coat[] =>
  [...set].sort((a, b) => KINDS.indexOf(a.kind) - KINDS.indexOf(b.kind) || b.lab[1] - a.lab[1]);
