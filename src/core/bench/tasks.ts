import type { BlendPlan } from '../colour';
import type { FinishGoal, MethodId, School } from '../method';
import { layingMinutes } from '../press';
import { cautionsFor, type CautionId } from '../safety';
import type { SandingBudget } from '../sanding';
import { PHASES, phaseIndex, type PhaseId } from './phases';

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
  glue?: { label: string; clampMin: number; workableMin: number };
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

type Step = {
  key: string;
  phase: PhaseId;
  title: string;
  detail: string;
  attended: number;
  unattended?: number;
  needs?: Record<string, number>;
  /** Keys of steps of the same repair; the step before it when not given. */
  after?: string[];
};

/** Attended minutes here are common practice for a careful hand; the log shows what they really took. */
const REGLUE_PREPARATION: Partial<Record<MethodId, Step[]>> = {
  floodAndPress: [
    {
      key: 'clean',
      phase: 'reglue',
      title: 'Clean the glue line',
      detail: 'Slide out loose glue and dust with a thin knife; vacuum. Keep every splinter.',
      attended: 15,
    },
    {
      key: 'dryRun',
      phase: 'reglue',
      title: 'Dry run',
      detail: 'Lay out platen, cauls, release sheet and clamps and close them once without glue.',
      attended: 10,
    },
  ],
  injectAndPress: [
    {
      key: 'slit',
      phase: 'reglue',
      title: 'Slit along the grain',
      detail: 'One cut with a thin blade, as long as the syringe needs.',
      attended: 10,
    },
    {
      key: 'dryRun',
      phase: 'reglue',
      title: 'Dry run',
      detail: 'Platen, release sheet and clamps once without glue.',
      attended: 10,
    },
  ],
  reactivate: [
    {
      key: 'dryRun',
      phase: 'reglue',
      title: 'Dry run',
      detail: 'Iron, damp cloth, caul and clamps within reach; try the iron on a hidden spot.',
      attended: 10,
    },
  ],
  liftAndRelay: [
    {
      key: 'lift',
      phase: 'reglue',
      title: 'Lift the veneer',
      detail:
        'Cut inlay lines first. Warm and slide a wide knife along the grain; keep it flat between boards.',
      attended: 90,
    },
    {
      key: 'clean',
      phase: 'reglue',
      title: 'Clean both sides',
      detail: 'Scrape; warm water with a little vinegar; dry flat under weight.',
      attended: 45,
      unattended: 720,
    },
    {
      key: 'dryRun',
      phase: 'reglue',
      title: 'Dry run',
      detail: 'Both platens, all cauls and clamps once without glue.',
      attended: 20,
    },
  ],
  tack: [],
};

const PATCH_PREPARATION: Partial<Record<MethodId, Step[]>> = {
  veneerPatch: [
    {
      key: 'cut',
      phase: 'patch',
      title: 'Cut patch and recess',
      detail:
        'Print the outline at 1:1, check its bar, knife patch and recess together along a rule. Bevel a hair so that the joint closes.',
      attended: 35,
    },
    {
      key: 'fit',
      phase: 'patch',
      title: 'Fit dry',
      detail: 'Grain with grain, no light in the joint. Dry run with platen and clamps.',
      attended: 20,
    },
  ],
  harvestedPatch: [
    {
      key: 'harvest',
      phase: 'patch',
      title: 'Lift the donor veneer',
      detail: 'Warm it, slide a thin knife along the grain, press it flat between boards.',
      attended: 40,
      unattended: 240,
    },
    {
      key: 'cut',
      phase: 'patch',
      title: 'Cut patch and recess',
      detail: 'Print the outline at 1:1, check its bar, knife patch and recess together along a rule.',
      attended: 35,
    },
    {
      key: 'fit',
      phase: 'patch',
      title: 'Fit dry',
      detail: 'Grain with grain, no light in the joint. Dry run with platen and clamps.',
      attended: 20,
    },
    {
      key: 'close',
      phase: 'patch',
      title: 'Close the donor place',
      detail: 'Lay new veneer where the old was taken.',
      attended: 30,
      after: ['fit'],
    },
  ],
  edgeStrip: [
    {
      key: 'cut',
      phase: 'patch',
      title: 'Tape and cut the strip',
      detail: 'Tape its back before cutting; a cross-grain strip breaks otherwise.',
      attended: 25,
    },
    {
      key: 'fit',
      phase: 'patch',
      title: 'Fit dry',
      detail: 'Ends on a slant, strip flush with both sides.',
      attended: 15,
    },
  ],
  sawnStrip: [
    {
      key: 'cut',
      phase: 'patch',
      title: 'Saw the strips',
      detail: 'Slice a block as long as the edge is high; cut one or two spare.',
      attended: 40,
    },
    {
      key: 'fit',
      phase: 'patch',
      title: 'Fit dry',
      detail: 'Ends on a slant, strip flush with both sides.',
      attended: 20,
    },
  ],
  reveneer: [
    {
      key: 'prepare',
      phase: 'patch',
      title: 'Prepare the face',
      detail: 'Fill and level the old face, tooth it, cut the sheet with overhang all round.',
      attended: 120,
    },
    {
      key: 'fit',
      phase: 'patch',
      title: 'Dry run',
      detail: 'All platens, cauls and clamps once without glue.',
      attended: 25,
    },
  ],
};

const FILLS: Partial<Record<MethodId, Step[]>> = {
  bareFiller: [
    {
      key: 'fill1',
      phase: 'bareFill',
      title: 'First fill',
      detail: 'Work across the place, not along it; leave it proud.',
      attended: 10,
      unattended: 120,
    },
    {
      key: 'fill2',
      phase: 'bareFill',
      title: 'Second fill',
      detail: 'It has shrunk; fill again, proud.',
      attended: 10,
      unattended: 180,
    },
    {
      key: 'sand',
      phase: 'bareFill',
      title: 'Sand the fill level',
      detail: 'With a block, with the grain.',
      attended: 15,
    },
  ],
  polyesterFiller: [
    {
      key: 'fill1',
      phase: 'bareFill',
      title: 'Mix and fill',
      detail: 'Mix to the label; it is hard within the hour.',
      attended: 15,
      unattended: 45,
    },
    {
      key: 'fill2',
      phase: 'bareFill',
      title: 'Skim and sand',
      detail: 'A thin second pass, then sand level.',
      attended: 25,
      unattended: 45,
    },
  ],
  epoxyPutty: [
    {
      key: 'fill1',
      phase: 'bareFill',
      title: 'Knead, press on, shape',
      detail: 'Workable for about 30 min; shape it wet against a taped board.',
      attended: 25,
      unattended: 60,
    },
    {
      key: 'sand',
      phase: 'bareFill',
      title: 'Shape and sand',
      detail: 'File, then sand level.',
      attended: 20,
    },
  ],
  burnIn: [
    {
      key: 'burn',
      phase: 'finishFill',
      title: 'Burn in',
      detail:
        'Balm band one knife width around; ground tone, then a line tone or two with the grain; level with the knife.',
      attended: 30,
    },
  ],
  hardWax: [
    {
      key: 'wax',
      phase: 'finishFill',
      title: 'Melt and blend hard wax',
      detail: 'Two or three colours drop by drop; sets in about 30 s; level along, then across, gently.',
      attended: 20,
    },
  ],
  softWax: [
    {
      key: 'wax',
      phase: 'finishFill',
      title: 'Rub in soft wax',
      detail: 'Rub in across, buff along.',
      attended: 8,
    },
  ],
  colourPutty: [
    {
      key: 'putty',
      phase: 'finishFill',
      title: 'Press in colour putty',
      detail: 'Blend to the ground tone; wipe the surround.',
      attended: 8,
    },
  ],
};

const GLUE_STEP: Partial<Record<MethodId, { title: string; detail: string }>> = {
  floodAndPress: {
    title: 'Flood and clamp',
    detail:
      'Three mixes: thin, half, neat at the mouth; pump and tilt. Release sheet, platen, cauls, clamps from the middle outwards. Wipe squeeze-out at once.',
  },
  injectAndPress: {
    title: 'Inject and clamp',
    detail: 'Syringe from the far end back; press out what is too much; platen and clamps.',
  },
  reactivate: {
    title: 'Iron and clamp',
    detail: 'Damp cloth, iron till the glue gives, then caul and clamps at once.',
  },
  liftAndRelay: {
    title: 'Spread and press',
    detail: 'Glue on the core, not on the veneer; lay from the middle; all cauls and clamps.',
  },
  tack: { title: 'Tack down', detail: 'One drop at the mouth, hold with a stick wrapped in release paper.' },
};

function repairSteps(repair: RepairWork): Step[] {
  const { method, glue, clamps, areaMm2, label } = repair;
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
      detail: `${press.detail} ${glue.label}.`,
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

type Coats = {
  title: string;
  detail: string;
  count: number;
  attended: number;
  between: number;
  hardMin: number;
};
const COATS: Record<Exclude<FinishGoal, 'keep'>, Coats> = {
  shellac: {
    title: 'Shellac',
    detail: 'Thin coats; scuff at 320 between.',
    count: 3,
    attended: 20,
    between: 120,
    hardMin: 1440,
  },
  lacquer: {
    title: 'Lacquer',
    detail: 'Three coats; scuff at 400 between.',
    count: 3,
    attended: 20,
    between: 60,
    hardMin: 1440,
  },
  varnish: {
    title: 'Varnish',
    detail: 'Three coats, dust-free; scuff at 320 between.',
    count: 3,
    attended: 25,
    between: 720,
    hardMin: 2880,
  },
  oil: {
    title: 'Hard-wax oil',
    detail: 'With a pad finer than the last grit; buff off after 1–2 h. Fully hard after about 30 days.',
    count: 2,
    attended: 25,
    between: 720,
    hardMin: 1440,
  },
  paint: {
    title: 'Prime and paint',
    detail: 'Primer, then two coats; scuff at 320 between.',
    count: 3,
    attended: 25,
    between: 240,
    hardMin: 1440,
  },
};

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
      [...repairSteps(repair), ...blendSteps(repair)],
      cautionsFor(repair.method),
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
