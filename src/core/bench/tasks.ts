import type { BlendPlan } from '../colour';
import type { FinishGoal, MethodId, School } from '../method';
import { layingMinutes } from '../press';
import type { AdhesiveId } from '../adhesive';
import { cautionsFor, type CautionId } from '../safety';
import type { SandingBudget } from '../sanding';
import { COATS, FILLS, GLUE_STEP, PATCH_PREPARATION, REGLUE_PREPARATION, type Step } from './steps';
import { PHASES, phaseIndex, type PhaseId } from './phases';
import { WOOD_STEPS } from './woodSteps';

export type BenchTask = {
  id: string;
  phase: PhaseId;
  title: string;
  detail: string;
  attendedMin: number;
  unattendedMin: number;
  after: string[];
  needs: Record<string, number>;
  attendedNeeds: Record<string, number>;
  cautions: CautionId[];
};

export type RepairWork = {
  damageId: string;
  /** Such as “1 Lifted edge”. */
  label: string;
  method: MethodId;
  areaMm2: number;
  /** `caution` is said with the pressing itself, such as a shop too cold for this glue. */
  glue?: { id: AdhesiveId; label: string; clampMin: number; workableMin: number; caution?: string };
  clamps?: { resource: string; count: number };
  shimSheets: number;
  powderyGlueLine: boolean;
  blend?: BlendPlan;
};

export type PieceWork = {
  pieceId: string;
  school: School;
  goal: FinishGoal;
  finishNowIsPaint: boolean;
  repairs: RepairWork[];
  sanding?: SandingBudget;
};

/** Repairs to structure, let-in wood and surfaces; where they are glued, the glue's own times are waited. */
function woodSteps({ method, glue, clamps }: RepairWork): Step[] | undefined {
  return WOOD_STEPS[method]?.flatMap((s): Step[] => {
    if (!s.glued || !glue) return [s];
    const rest = glue.workableMin - glue.clampMin;
    const pressed: Step = {
      ...s,
      detail: [s.detail, `${glue.label}.`, glue.caution].filter(Boolean).join(' '),
      unattended: glue.clampMin,
      needs: clamps ? { [clamps.resource]: clamps.count } : {},
    };
    const cure: Step = {
      key: 'cure',
      phase: s.phase,
      title: 'Glue hardens',
      detail: 'No work on it before.',
      attended: 0,
      unattended: rest,
    };
    return rest > 0 ? [pressed, cure] : [pressed];
  });
}

function repairSteps(repair: RepairWork, goal: FinishGoal): Step[] {
  const { method, glue, clamps, areaMm2, label } = repair;
  // The steps of the whole piece strip and finish it anyway.
  if (method === 'renewFinish' && goal !== 'keep') return [];
  const wood = woodSteps(repair);
  if (wood) return wood;
  const reglue = REGLUE_PREPARATION[method];
  const patch = PATCH_PREPARATION[method];
  const fills = FILLS[method];
  if (fills) return fills;
  const before = reglue ?? patch;
  if (!before || !glue) return [];
  const phase: PhaseId = reglue ? 'reglue' : 'patch';
  const count = clamps?.count ?? 0;
  const prepared = before.map((s) =>
    s.key === 'clean' && repair.powderyGlueLine && method === 'floodAndPress'
      ? {
          ...s,
          detail: `${s.detail} Wash out powdery glue with warm water and a little vinegar; let it dry.`,
          attended: 30,
          unattended: 240,
        }
      : s,
  );
  const shims =
    repair.shimSheets > 0
      ? ` Shim with ${repair.shimSheets} ${repair.shimSheets === 1 ? 'sheet' : 'sheets'} of paper, glued on both sides.`
      : '';
  const press = GLUE_STEP[method] ?? {
    title: 'Glue and press the patch',
    detail: `Glue in the recess, patch in, release sheet, platen, clamps.${shims} Wipe squeeze-out at once.`,
  };
  const steps: Step[] = [
    ...prepared,
    {
      key: 'press',
      phase,
      title: press.title,
      detail: [press.detail, `${glue.label}.`, glue.caution].filter(Boolean).join(' '),
      attended: Math.max(5, Math.ceil(layingMinutes(areaMm2, count)) + 8),
      unattended: glue.clampMin,
      needs: clamps ? { [clamps.resource]: count } : {},
    },
  ];
  if (count > 0) {
    steps.push({
      key: 'off',
      phase,
      title: 'Clamps off',
      detail: `Take off clamps and platen of ${label.toLowerCase()}; tap it: no hollow sound.`,
      attended: 5,
    });
  }
  if (glue.workableMin > glue.clampMin) {
    steps.push({
      key: 'cure',
      phase,
      title: 'Glue hardens',
      detail: 'No work on it before.',
      attended: 0,
      unattended: glue.workableMin - glue.clampMin,
      after: ['press'],
    });
  }
  if (patch) {
    steps.push({
      key: 'trim',
      phase: 'level',
      title: 'Trim and level the patch',
      detail:
        'Overhang off with a knife along the grain; across it with a backing block. Then plane, file, scraper.',
      attended: 20,
    });
  }
  return steps;
}

function blendSteps(repair: RepairWork): Step[] {
  const phaseOf = { dye: 'stain', lines: 'stain', seal: 'seal', glaze: 'blend', toner: 'blend' } as const;
  const attended = { dye: 15, lines: 15, seal: 10, glaze: 20, toner: 10 } as const;
  return (repair.blend?.steps ?? []).map((s) => ({
    key: s.id,
    phase: phaseOf[s.id],
    title: s.title,
    detail: s.scuffGrit ? `${s.detail} Scuff with ${s.scuffGrit.value} when dry.` : s.detail,
    attended: attended[s.id],
    unattended: s.waitMin.value,
  }));
}

function pieceSteps(piece: PieceWork): Step[] {
  const steps: Step[] = [
    {
      key: 'intake',
      phase: 'intake',
      title: 'Photograph, clean, take off hardware',
      detail: 'Bag and label screws; note odd ones. Vacuum and wash down.',
      attended: 25,
    },
  ];
  if (piece.goal !== 'keep') {
    const coats = COATS[piece.goal];
    steps.push(
      piece.goal === 'paint' && piece.finishNowIsPaint
        ? {
            key: 'strip',
            phase: 'strip',
            title: 'Key the old paint',
            detail: 'Wash and scuff. Test for lead first; no dry sanding of old paint.',
            attended: 30,
            unattended: 30,
          }
        : {
            key: 'strip',
            phase: 'strip',
            title: 'Strip the old finish',
            detail:
              'Chemically or with a scraper; on thin veneer not with sandpaper. Rinse as the label says and let it dry.',
            attended: 60,
            unattended: 480,
          },
    );
    const grits = piece.sanding?.grits.join(', ');
    steps.push({
      key: 'sand',
      phase: 'level',
      title: 'Sand the face',
      detail: grits
        ? `By hand with ${grits}, with the grain; edges with the last grit only.`
        : 'By hand, with the grain.',
      attended: 30,
    });
    for (let i = 1; i <= coats.count; i++) {
      steps.push({
        key: `coat${i}`,
        phase: 'topCoat',
        title: `${coats.title}, coat ${i} of ${coats.count}`,
        detail: coats.detail,
        attended: coats.attended,
        unattended: i < coats.count ? coats.between : coats.hardMin,
      });
    }
    steps.push({
      key: 'rub',
      phase: 'rubOut',
      title: 'Rub out',
      detail: 'Level dust and lap marks; bring the sheen together.',
      attended: 30,
    });
  }
  steps.push({
    key: 'reassemble',
    phase: 'reassemble',
    title: 'Reassemble and photograph',
    detail: 'Hardware on, felt pads, photos after, and what was used written down.',
    attended: 25,
  });
  return steps;
}

/**
 * All steps of a piece's repairs in the order of work. Each waits for the steps of its own repair that come before it, and
 * for everything of the last phase before its own. Names of steps are stable, so that the log can refer to them.
 */
export function tasksFor(piece: PieceWork): BenchTask[] {
  const tasks: BenchTask[] = [];
  const add = (prefix: string, label: string | undefined, steps: Step[], cautions: CautionId[]): void => {
    steps.forEach((step, i) => {
      const own = step.after ?? (i > 0 ? [steps[i - 1]?.key ?? ''] : []);
      tasks.push({
        id: `${prefix}/${step.key}`,
        phase: step.phase,
        title: label ? `${step.title}: ${label}` : step.title,
        detail: step.detail,
        attendedMin: Math.ceil(step.attended),
        unattendedMin: Math.ceil(step.unattended ?? 0),
        after: own.map((key) => `${prefix}/${key}`),
        needs: step.needs ?? {},
        attendedNeeds: step.attended > 0 ? { hands: 1 } : {},
        cautions,
      });
    });
  };
  for (const repair of piece.repairs) {
    if (repair.method === 'leave') continue;
    add(
      repair.damageId,
      repair.label,
      [...repairSteps(repair, piece.goal), ...blendSteps(repair)],
      cautionsFor(repair.method, repair.glue?.id),
    );
  }
  const stripping: CautionId[] = piece.finishNowIsPaint
    ? ['leadPaint', 'stripper', 'always']
    : ['stripper', 'solvent', 'always'];
  const finishing: CautionId[] = piece.goal === 'oil' ? ['oilyRags', 'always'] : ['solvent', 'always'];
  for (const step of pieceSteps(piece)) {
    const cautions =
      step.phase === 'strip'
        ? stripping
        : step.phase === 'topCoat'
          ? finishing
          : step.phase === 'level'
            ? (['dust', 'always'] satisfies CautionId[])
            : [];
    add(piece.pieceId, undefined, [{ ...step, after: [] }], cautions);
  }
  // Coats follow each other; everything else of a piece is tied by phases.
  tasks.forEach((t) => {
    const coat = /^(.*\/coat)(\d)$/.exec(t.id);
    if (coat && Number(coat[2]) > 1) t.after.push(`${coat[1]}${Number(coat[2]) - 1}`);
    // The whole face is sanded when its patches are level.
    if (t.id === `${piece.pieceId}/sand`)
      t.after.push(...tasks.filter((o) => o.phase === 'level' && o !== t).map((o) => o.id));
  });
  return linkPhases(tasks);
}

function linkPhases(tasks: readonly BenchTask[]): BenchTask[] {
  const filled = PHASES.map((p) => tasks.filter((t) => t.phase === p.id));
  return tasks
    .map((t) => {
      const earlier = filled.slice(0, phaseIndex(t.phase)).filter((group) => group.length > 0);
      const previous = earlier[earlier.length - 1]?.map((o) => o.id) ?? [];
      return { ...t, after: [...new Set([...t.after, ...previous])] };
    })
    .sort((a, b) => phaseIndex(a.phase) - phaseIndex(b.phase));
}
