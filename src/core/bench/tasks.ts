import type { MethodId, PhaseId } from '../catalogue';
import type { BlendPlan } from '../colour';
import type { DamageKind } from '../damage';
import { cautionsFor, type CautionId, type Hazard, type RiskySurface } from '../safety';
import { figureOf, type Learned } from '../figures';
import type { SandingBudget } from '../sanding';
import { describeSource } from '../sources';
import type { FinishGoal } from '../terms';
import type { Ways } from '../ways';
import type { COATS, OwnCoats } from './coats';
import { phaseOrder } from './order';
import { pieceSteps, type FaceWork } from './pieceSteps';
import { repairSteps, type LinkWork } from './repairSteps';

export type BenchTask = {
  id: string;
  phase: PhaseId;
  title: string;
  detail: string;
  attendedMin: number;
  /** Where your log shows that it varies. */
  attendedRange?: { leastMin: number; mostMin: number };
  /** What is learned from it when it is ticked off: the kind of work, and the book's minutes. */
  learns?: { step: string; bookMin: number };
  unattendedMin: number;
  after: string[];
  needs: Record<string, number>;
  attendedNeeds: Record<string, number>;
  cautions: CautionId[];
  /** Where its minutes come from. */
  from: string;
};

export type RepairWork = {
  damageId: string;
  /** Such as “1 Lifted edge”. */
  label: string;
  kind?: DamageKind;
  /** The method that was chosen; the other links of the chain come before or after it. */
  method: MethodId;
  chain: LinkWork[];
  shimSheets: number;
  blend?: BlendPlan;
  /** What it is done on, for its cautions. */
  surface: RiskySurface;
};

export type PieceWork = {
  pieceId: string;
  goal: FinishGoal;
  faces: FaceWork[];
  /** What is in the piece or feared of it. */
  holds?: readonly Hazard[];
  ways: Ways;
  repairs: RepairWork[];
  sanding?: SandingBudget;
};

const WET_ONLY = 'Old paint around it: test it for lead, work wet, nothing dry.';

/**
 * All steps of a piece's repairs in the order of work. Each waits for the steps of its own repair that come before it, and
 * for everything of the last phase before its own. Names of steps are stable, so that the log can refer to them.
 */
export function tasksFor(
  piece: PieceWork,
  { learned = {}, coats }: { learned?: Learned; coats?: Partial<Record<keyof typeof COATS, OwnCoats>> } = {},
): BenchTask[] {
  const tasks: BenchTask[] = [];
  const add = (
    prefix: string,
    label: string | undefined,
    step: ReturnType<typeof repairSteps>[number],
    surface: RiskySurface,
  ): void => {
    const attended = figureOf(step.attended, { shares: learned[step.learns ?? ''] ?? [] });
    const cautions = cautionsFor(step.deeds, surface, step.glue);
    const wet = label && cautions.includes('leadPaint') ? ` ${WET_ONLY}` : '';
    tasks.push({
      id: `${prefix}/${step.key}`,
      phase: step.phase,
      title: label ? `${step.title}: ${label}` : step.title,
      detail: `${step.detail}${wet}`,
      attendedMin: Math.ceil(attended.value),
      ...(attended.least !== undefined && attended.most !== undefined
        ? { attendedRange: { leastMin: Math.floor(attended.least), mostMin: Math.ceil(attended.most) } }
        : {}),
      ...(step.learns && step.attended.value > 0
        ? { learns: { step: step.learns, bookMin: step.attended.value } }
        : {}),
      unattendedMin: Math.ceil(step.wait?.value ?? 0),
      after: (step.after ?? []).map((key) => `${prefix}/${key}`),
      needs: step.needs,
      attendedNeeds: step.attended.value > 0 ? { hands: 1 } : {},
      cautions,
      from: [
        `Work: ${describeSource(attended.source)}`,
        ...(step.wait ? [`Waiting: ${describeSource(step.wait.source)}`] : []),
      ].join(' '),
    });
  };
  for (const repair of piece.repairs) {
    const { goal, ways } = piece;
    const steps = repairSteps({ ...repair, main: repair.method, goal, ways });
    for (const step of steps) add(repair.damageId, repair.label, step, repair.surface);
  }
  for (const step of pieceSteps({ ...piece, holds: piece.holds, ...(coats ? { coats } : {}) }))
    add(piece.pieceId, undefined, { ...step, needs: {} }, step.surface);
  // Coats follow each other; everything else of a piece is tied by phases.
  tasks.forEach((t) => {
    const coat = /^(.*\/coat)(\d)$/.exec(t.id);
    if (coat && Number(coat[2]) > 1) t.after.push(`${coat[1]}${Number(coat[2]) - 1}`);
    // The whole face is sanded when its patches are level.
    if (t.id === `${piece.pieceId}/sand`)
      t.after.push(...tasks.filter((o) => o.phase === 'level' && o !== t).map((o) => o.id));
  });
  return linkPhases(tasks, phaseOrder(piece.ways));
}

function linkPhases(tasks: readonly BenchTask[], order: readonly PhaseId[]): BenchTask[] {
  const groups = order.map((id) => tasks.filter((t) => t.phase === id));
  const at = (t: BenchTask): number => order.indexOf(t.phase);
  return tasks
    .map((t) => {
      const earlier = groups.slice(0, at(t)).filter((group) => group.length > 0);
      const previous = earlier[earlier.length - 1]?.map((o) => o.id) ?? [];
      return { ...t, after: [...new Set([...t.after, ...previous])] };
    })
    .sort((a, b) => at(a) - at(b));
}
