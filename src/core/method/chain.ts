import { METHODS, methodById, phaseIndex, type MarkedCriterion, type MethodId } from '../catalogue';
import { memory, sourced } from '../sources';
import { lowerFirst } from '../terms';

/** A repair as it is done: what comes before the method, the method, and what follows it. */
export type Chain = { first: MethodId[]; method: MethodId; then: MethodId[] };

/** Marks that each further method of a chain takes off its speed. */
const STEP_COST = sourced(0.5, memory('every further step is another start and another wait'));

const order = new Map(METHODS.map((m, i) => [m.id, i]));
const startPhase = (id: MethodId): number => phaseIndex(methodById(id).steps[0]?.phase ?? 'intake');

/** Methods in the order of work: by the phase they begin in, then as the catalogue has them. */
export const inWorkOrder = (ids: readonly MethodId[]): MethodId[] =>
  [...new Set(ids)].sort(
    (a, b) => startPhase(a) - startPhase(b) || (order.get(a) ?? 0) - (order.get(b) ?? 0),
  );

/**
 * Marks of a chain as a whole: as weak, as final and as hard as its weakest, most final and hardest link. What lies
 * underneath is not seen; every further link costs time.
 */
export function chainMarks(
  first: readonly MethodId[],
  main: MethodId,
  then: readonly MethodId[],
): Record<MarkedCriterion, number> {
  const all = [...first, main, ...then];
  if (all.length === 1) return methodById(main).marks;
  const least = (ids: readonly MethodId[], c: MarkedCriterion): number =>
    Math.min(...ids.map((id) => methodById(id).marks[c]));
  return {
    strength: least(all, 'strength'),
    invisibility: least([main, ...then], 'invisibility'),
    reversibility: least(all, 'reversibility'),
    speed: Math.max(0, least(all, 'speed') - STEP_COST.value * (all.length - 1)),
    ease: least(all, 'ease'),
  };
}

/** A chain in a sentence: “Harden the core with thin epoxy, then veneer patch”. */
export const chainWords = (first: readonly MethodId[], main: MethodId, then: readonly MethodId[]): string =>
  [...first, main, ...then]
    .map((id, i) => {
      const { label } = methodById(id);
      return i === 0 ? label : lowerFirst(label);
    })
    .join(', then ');
