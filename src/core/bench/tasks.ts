import type { MethodId, PhaseId } from '../catalogue';
import { cautionsFor, type Hazard, type RiskySurface } from '../safety';
import { figureOf, type Learned } from '../figures';
import { memory, sourced, describeSource } from '../sources';
import type { FinishGoal } from '../terms';
import { formatSmall } from '../units';
import type { Ways } from '../ways';
import type { COATS, OwnCoats } from './coats';
import { phaseOrder } from './order';
import {
  changedTasks,
  inGoes,
  ownTaskId,
  ownTasks,
  untangled,
  type OwnStep,
  type StepChange,
} from './ownSteps';
import type { FaceWork } from './passes';
import { pieceSteps, type ApartWork, type PieceStep } from './pieceSteps';
import { repairSteps } from './repairSteps';
import type { RepairWork } from './repairWork';
import type { BenchTask, DoneStep } from './task';
import { together } from './batches';
import type { WorkedStep } from './worked';

export type PieceWork = {
  pieceId: string;
  goal: FinishGoal;
  faces: FaceWork[];
  /** What is in the piece or feared of it. */
  holds?: readonly Hazard[];
  ways: Ways;
  repairs: RepairWork[];
  /** What has to come off. */
  apart?: ApartWork;
  /** Steps that the user has added, and what was changed of the plan's. */
  ownSteps?: readonly OwnStep[];
  changes?: readonly StepChange[];
  /** What is ticked off. */
  done?: readonly DoneStep[];
};

/** The steps of a piece, and what of the user's changes could not be followed. */
export type PieceTasks = { tasks: BenchTask[]; problems: string[] };

/** Longer than this nobody stands at one thing: it is done in several goes. min. */
const MOST_IN_ONE_GO_MIN = sourced(180, memory('a morning at one thing is enough'));

const WET_ONLY = 'Old paint around it: test it for lead, work wet, nothing dry.';

type Shown = {
  id: string;
  /** Of the names it waits for, and of the one it had. */
  after: string[];
  aka?: string;
  label?: string;
  main?: MethodId;
  proposed?: true;
  places?: string[];
  faces?: string[];
  part?: string;
};

function taskOf(
  step: Pick<PieceStep, 'range' | 'spends' | 'coat' | 'sands'> & WorkedStep,
  { id, after, aka, label, main, proposed, places, faces, part }: Shown,
  surface: RiskySurface,
  learned: Learned,
): BenchTask {
  const attended = figureOf(step.attended, { shares: learned[step.learns ?? ''] ?? [] });
  const cautions = cautionsFor(step.deeds, surface, step.glue);
  const wet = label && cautions.includes('leadPaint') ? WET_ONLY : '';
  const inAll =
    step.ml !== undefined && (places ?? []).length > 1 ? `${formatSmall(step.ml)} ml in all.` : '';
  // What the log shows goes before the book, and so does its range.
  const range =
    attended.least !== undefined && attended.most !== undefined
      ? { leastMin: Math.floor(attended.least), mostMin: Math.ceil(attended.most), learned: true as const }
      : step.range && { leastMin: Math.floor(step.range.leastMin), mostMin: Math.ceil(step.range.mostMin) };
  return {
    id,
    phase: step.phase,
    title: `${label ? `${step.title}: ${label}` : step.title}${proposed ? ' (proposed)' : ''}`,
    detail: [step.detail, step.own, inAll, wet].filter(Boolean).join(' '),
    attendedMin: Math.ceil(attended.value),
    ...(range ? { attendedRange: range } : {}),
    ...(step.learns && step.attended.value > 0
      ? { learns: { step: step.learns, bookMin: step.attended.value } }
      : {}),
    unattendedMin: Math.ceil(step.wait?.value ?? 0),
    after,
    needs: step.needs,
    attendedNeeds: step.attended.value > 0 ? { hands: 1 } : {},
    cautions,
    from: [
      `Work: ${describeSource(attended.source)}`,
      ...(step.wait ? [`Waiting: ${describeSource(step.wait.source)}`] : []),
    ].join(' '),
    ...(places ? { places } : {}),
    ...(step.of ? { method: step.of } : {}),
    ...(main ? { main } : {}),
    ...(faces && faces.length > 0 ? { faces } : {}),
    ...(part ? { part } : {}),
    ...(step.spends ? { spends: step.spends } : {}),
    ...(step.coat ? { coat: step.coat } : {}),
    ...(step.sands ? { sands: step.sands } : {}),
    ...(aka === undefined ? {} : { aka }),
  };
}

/** “1 Chip”, or how many places and which: “5 places (1–4, 7)”. @param repairs one or more */
function placesLabel(repairs: readonly RepairWork[]): string {
  const [first] = repairs;
  if (first && repairs.length === 1) return first.label;
  const numbers = repairs.map((r) => r.number).sort((a, b) => a - b);
  const runs: number[][] = [];
  for (const n of numbers) {
    const run = runs[runs.length - 1];
    if (run && run[run.length - 1] === n - 1) run.push(n);
    else runs.push([n]);
  }
  const spans = runs.map((run) => (run.length > 2 ? `${run[0]}–${run[run.length - 1]}` : run.join(', ')));
  return `${repairs.length} places (${spans.join(', ')})`;
}

/** The name of a step of a repair that has grown so many times: it is done anew. */
export const inRound = (key: string, round = 0): string => (round === 0 ? key : `${key}~${round + 1}`);

const stepInRound = (step: WorkedStep, round: number): WorkedStep => ({
  ...step,
  key: inRound(step.key, round),
  ...(step.after ? { after: step.after.map((k) => inRound(k, round)) } : {}),
});

/** Coats of one finish follow each other, and whole faces are sanded when their patches are level. */
function tied(tasks: readonly BenchTask[]): BenchTask[] {
  const levelled = tasks.filter((t) => t.phase === 'level' && !t.sands);
  return tasks.map((t) => {
    const { coat } = t;
    if (coat) {
      const before = tasks.filter((o) => o.coat?.finish === coat.finish && o.coat.nth === coat.nth - 1 && o.part === t.part); // prettier-ignore
      return { ...t, after: [...t.after, ...before.map((o) => o.id)] };
    }
    if (!t.sands) return t;
    const own = levelled.filter((o) => !o.faces || o.faces.some((f) => t.faces?.includes(f)));
    return { ...t, after: [...t.after, ...own.map((o) => o.id)] };
  });
}

/**
 * All steps of a piece in the order of work, its repairs and its faces. Each waits for the steps of its own repair that come
 * before it, and for everything of the last phase before its own in the part that is finished together. Names of steps are
 * stable, so that the log can refer to them.
 */
export function tasksFor(
  piece: PieceWork,
  {
    learned = {},
    coats,
    clamps = [],
  }: {
    learned?: Learned;
    coats?: Partial<Record<keyof typeof COATS, OwnCoats>>;
    clamps?: readonly { id: string; count: number }[];
  } = {},
): PieceTasks {
  const { goal, ways, pieceId, done = [], ownSteps = [], changes = [] } = piece;
  const places = piece.repairs.map((repair) => {
    const { damageId, round = 0 } = repair;
    const isChanged = changes.some((c) => c.places === undefined && c.taskId.startsWith(`${damageId}/`));
    return {
      repair: isChanged ? { ...repair, alone: true as const } : repair,
      steps: repairSteps({ ...repair, main: repair.method, goal, ways }).map((s) => stepInRound(s, round)),
    };
  });
  const owned = Object.fromEntries(clamps.map((c) => [c.id, c.count]));
  const repaired = together(places, done, owned).map(({ step, places: at, ...names }) => {
    const repairs = at.map((p) => p.repair);
    const { method: main, proposed, part, surface } = repairs[0] ?? { surface: {} };
    const shown: Shown = {
      ...names,
      label: placesLabel(repairs),
      ...(main ? { main } : {}),
      places: repairs.map((r) => r.damageId),
      faces: [...new Set(repairs.flatMap((r) => r.faceId ?? []))],
      ...(proposed ? { proposed } : {}),
      ...(part ? { part } : {}),
    };
    return taskOf(step, shown, surface, learned);
  });
  const named = (key: string): string => `${pieceId}/${key}`;
  const whole = pieceSteps({ ...piece, holds: piece.holds, ...(coats ? { coats } : {}) }).map((s) => {
    const shown: Shown = {
      id: named(s.key),
      after: (s.after ?? []).map(named),
      ...(s.aka ? { aka: named(s.aka) } : {}),
      ...(s.faces ? { faces: s.faces } : {}),
      ...(s.part ? { part: s.part } : {}),
    };
    return taskOf({ ...s, needs: {} }, shown, s.surface, learned);
  });
  const own = ownTasks(pieceId, ownSteps);
  const linked = linkPhases([...tied([...repaired, ...whole]), ...own], phaseOrder(ways));
  const free = untangled(linked, new Set(ownSteps.map((s) => ownTaskId(pieceId, s))));
  const ticked = new Set(done.map((d) => d.taskId));
  const changed = changedTasks(free.tasks, changes, ticked);
  return {
    tasks: changed.tasks.flatMap((t) => {
      const goes = Math.ceil(t.attendedMin / MOST_IN_ONE_GO_MIN.value);
      return goes > 1 && !ticked.has(t.id) ? inGoes(t, goes) : [t];
    }),
    problems: [...free.problems, ...changed.problems],
  };
}

/** What is finished apart waits for its own earlier phases only; the whole piece is put together when every part is ready. */
function linkPhases(tasks: readonly BenchTask[], order: readonly PhaseId[]): BenchTask[] {
  const at = (t: BenchTask): number => order.indexOf(t.phase);
  const last = order.length - 1;
  const parts = [...new Set(tasks.map((t) => t.part ?? ''))];
  return tasks
    .map((t) => {
      const previous = (part: string): BenchTask[] => {
        const earlier = order
          .slice(0, at(t))
          .map((id) =>
            tasks.filter((o) => o.phase === id && ((o.part ?? '') === part || o.phase === 'intake')),
          )
          .filter((group) => group.length > 0);
        return earlier[earlier.length - 1] ?? [];
      };
      const before = (at(t) === last ? parts : [t.part ?? '']).flatMap(previous).map((o) => o.id);
      return { ...t, after: [...new Set([...t.after, ...before])] };
    })
    .sort((a, b) => at(a) - at(b));
}
