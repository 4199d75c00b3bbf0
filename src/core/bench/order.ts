import { PHASES, type PhaseId } from '../catalogue';
import type { Ways } from '../ways';

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
