import { PHASES, phaseIndex, phaseLabel, type PhaseId } from '../catalogue';
import { practice, type Source } from '../sources';
import type { WayId, Ways } from '../ways';

/** Phases that never change places, and why. Common practice. */
export const PRECEDENCE: readonly { first: PhaseId; then: PhaseId; why: string }[] = [
  { first: 'structure', then: 'strip', why: 'Stripper runs into open joints and kills the glue that comes after it.' },
  { first: 'reglue', then: 'strip', why: 'Stripper runs under loose veneer, and the old finish protects the wood from clamps.' },
  { first: 'structure', then: 'patch', why: 'A patch over a joint that still moves is torn.' },
  { first: 'reglue', then: 'patch', why: 'A patch needs the veneer around it to lie still.' },
  { first: 'strip', then: 'level', why: 'Old finish clogs paper and hides what is level.' },
  { first: 'patch', then: 'level', why: 'A patch is levelled with its surround.' },
  { first: 'level', then: 'bareFill', why: 'A fill made before is sanded hollow.' },
  { first: 'bareFill', then: 'bleach', why: 'What is filled has to be there when the colour is judged.' },
  { first: 'bleach', then: 'stain', why: 'Bleach takes the dye out again.' },
  { first: 'level', then: 'stain', why: 'Sanding goes through dye.' },
  { first: 'stain', then: 'seal', why: 'Dye does not pass through a sealer.' },
  { first: 'seal', then: 'blend', why: 'On raw wood a blend cannot be wiped back.' },
  { first: 'blend', then: 'finishFill', why: 'A fill is matched to the colour that the wood has in the end.' },
  { first: 'finishFill', then: 'topCoat', why: 'The film goes over the fill; wax alone goes last, nothing bonds over it.' },
  { first: 'strip', then: 'topCoat', why: 'Nothing is coated before it is prepared.' },
  { first: 'topCoat', then: 'rubOut', why: 'There is nothing to rub out before.' },
]; // prettier-ignore
export const ORDER_SOURCE: Source = practice('the order of work');

/** Moves that the trade makes: a phase before another, and the way that says so. */
export const MOVES: readonly { phase: PhaseId; over: PhaseId; way: WayId; before: string; after: string }[] =
  [
    { phase: 'patch', over: 'strip', way: 'patchOrder', before: 'before', after: 'after' },
    { phase: 'bareFill', over: 'strip', way: 'crackOrder', before: 'before', after: 'after' },
    { phase: 'reglue', over: 'structure', way: 'veneerOrder', before: 'before', after: 'after' },
  ];

/** The phases in the order that the piece's ways give them; regluing always comes before stripping. */
export function phaseOrder(ways: Ways): PhaseId[] {
  const rest = PHASES.map((p) => p.id).filter(
    (id) =>
      !(id === 'patch' && ways.patchOrder === 'before') &&
      !(id === 'reglue' && ways.veneerOrder === 'before'),
  );
  const before = (id: PhaseId, other: PhaseId): void => void rest.splice(rest.indexOf(other), 0, id);
  if (ways.patchOrder === 'before') before('patch', 'strip');
  if (ways.veneerOrder === 'before') before('reglue', 'structure');
  return rest;
}

/** What stands against an order of phases; nothing when the trade works so. */
export function orderProblems(order: readonly PhaseId[]): string[] {
  const at = (id: PhaseId): number => order.indexOf(id);
  return PRECEDENCE.filter(({ first, then }) => at(first) >= 0 && at(then) >= 0 && at(first) > at(then)).map(
    ({ first, then, why }) => `${phaseLabel(first)} comes before ${phaseLabel(then).toLowerCase()}. ${why}`,
  );
}

/** In front of which phase one is dropped to come earlier: over the one that the trade moves it over, or the one before. */
export const earlierBefore = (order: readonly PhaseId[], phase: PhaseId): PhaseId | undefined =>
  MOVES.find((m) => m.phase === phase)?.over ?? order[Math.max(0, order.indexOf(phase) - 1)];

/** In front of which phase one is dropped to come one later; none for the end. */
export const laterBefore = (order: readonly PhaseId[], phase: PhaseId): PhaseId | undefined =>
  order[order.indexOf(phase) + 2];

export type MoveResult = { ok: true; way: WayId; value: string } | { ok: false; why: string };

/**
 * What dragging a phase in front of another means: the way that is switched, or why it is never done.
 *
 * @param before the phase in front of which it was dropped; none for the end
 */
export function movePhase(ways: Ways, phase: PhaseId, before: PhaseId | undefined): MoveResult {
  const order = phaseOrder(ways);
  const rest = order.filter((p) => p !== phase);
  const to = before === undefined ? rest.length : rest.indexOf(before);
  const moved = [...rest.slice(0, to), phase, ...rest.slice(to)];
  if (moved.join() === order.join()) return { ok: false, why: 'It stands there already.' };
  const move = MOVES.find((m) => m.phase === phase);
  if (move) {
    const isBefore = moved.indexOf(phase) < moved.indexOf(move.over);
    const value = isBefore ? move.before : move.after;
    if (ways[move.way] !== value) {
      // Only cracks go before the strip; the other fills stay where they are.
      const order = phase === 'bareFill' ? [] : orderProblems(phaseOrder({ ...ways, [move.way]: value }));
      return order.length > 0 ? { ok: false, why: order.join(' ') } : { ok: true, way: move.way, value };
    }
  }
  const [problem] = orderProblems(moved);
  return {
    ok: false,
    why: problem ?? `${phaseLabel(phase)} gains nothing there: ${PHASES[phaseIndex(phase)]?.why ?? ''}`,
  };
}
