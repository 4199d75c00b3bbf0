import type { PhaseId } from '../catalogue';
import type { CautionId } from '../safety';
import type { BenchTask } from './task';

/** A step that the user has added to a piece. */
export type OwnStep = {
  id: string;
  phase: PhaseId;
  title: string;
  detail: string;
  attendedMin: number;
  waitMin: number;
  faceId?: string;
  /** A product of the colour shelf that it lays on faces, with the thin coats on each; a part without a face of its own has none. */
  lays?: { colourId: string; on: { faceId?: string; coats: number }[] };
  /** A step that comes before it beside those of the earlier phases. */
  after?: string;
};

/** What the user has changed of a step of the plan. */
export type StepChange = {
  taskId: string;
  /** Left out, and why. */
  skip?: string;
  attendedMin?: number;
  waitMin?: number;
  /** Done in so many goes. */
  goes?: number;
  /** Not before this step. */
  after?: string;
  /** The damages that the step was done for when it was changed; the one of its name where none is given. */
  places?: string[];
};

/** What an own step may take. min. */
export const OWN_MINUTES = { least: 1, most: 1440 };
/** What it may then be left alone. min. */
export const OWN_WAIT_MINUTES = { least: 0, most: 40_320 };
export const MOST_GOES = 12;

const ALWAYS: CautionId[] = ['always'];
const FROM = 'Your own step.';

/** The user's steps of a piece, not yet tied to the others. */
export const ownTasks = (pieceId: string, steps: readonly OwnStep[]): BenchTask[] =>
  steps.map((s) => ({
    id: ownTaskId(pieceId, s),
    phase: s.phase,
    title: s.title,
    detail: s.detail,
    attendedMin: s.attendedMin,
    unattendedMin: s.waitMin,
    after: s.after === undefined ? [] : [s.after],
    needs: {},
    attendedNeeds: { hands: 1 },
    cautions: ALWAYS,
    from: FROM,
    ...(s.faceId === undefined ? {} : { faces: [s.faceId] }),
  }));

export const ownTaskId = (pieceId: string, { id }: Pick<OwnStep, 'id'>): string => `${pieceId}/own.${id}`;

/** Whether one step waits, at the end of it, for another. */
function waitsFor(tasks: readonly BenchTask[], from: string, target: string): boolean {
  const byId = new Map(tasks.map((t) => [t.id, t]));
  const seen = new Set<string>();
  const open = [from];
  for (let id = open.pop(); id !== undefined; id = open.pop()) {
    if (id === target) return true;
    if (seen.has(id)) continue;
    seen.add(id);
    open.push(...(byId.get(id)?.after ?? []));
  }
  return false;
}

/** Leaves a step out; what waited for it waits for what it waited for. */
function without(tasks: readonly BenchTask[], left: BenchTask): BenchTask[] {
  return tasks
    .filter((t) => t !== left)
    .map((t) =>
      t.after.includes(left.id)
        ? { ...t, after: [...new Set([...t.after.filter((a) => a !== left.id), ...left.after])] }
        : t,
    );
}

/** In several goes, the last under the step's own name: it carries the wait, and what follows waits for it. */
export function inGoes(task: BenchTask, goes: number): BenchTask[] {
  const share = Math.ceil(task.attendedMin / goes);
  const title = (n: number): string => `${task.title}, ${n} of ${goes}`;
  const range = task.attendedRange && {
    leastMin: Math.floor(task.attendedRange.leastMin / goes),
    mostMin: Math.ceil(task.attendedRange.mostMin / goes),
  };
  const plain: BenchTask = { ...task, ...(range ? { attendedRange: range } : {}) };
  // What the log learns of a go would be taken for the whole.
  delete plain.learns;
  const earlier = Array.from({ length: goes - 1 }, (_, i): BenchTask => {
    const go: BenchTask = {
      ...plain,
      id: `${task.id}.go${i + 1}`,
      title: title(i + 1),
      attendedMin: share,
      unattendedMin: 0,
      after: i === 0 ? task.after : [`${task.id}.go${i}`],
    };
    delete go.spends;
    return go;
  });
  return [
    ...earlier,
    {
      ...plain,
      title: title(goes),
      attendedMin: Math.max(1, task.attendedMin - share * (goes - 1)),
      after: [`${task.id}.go${goes - 1}`],
    },
  ];
}

/**
 * The plan as the user has changed it. What cannot be done is left as it was, and said: a step that is not there any more, one
 * that is done already, an order in which steps would wait for each other.
 */
export function changedTasks(
  tasks: readonly BenchTask[],
  changes: readonly StepChange[],
  done: ReadonlySet<string>,
): { tasks: BenchTask[]; problems: string[] } {
  const problems: string[] = [];
  let now = [...tasks];
  for (const change of changes) {
    const task = now.find((t) => t.id === change.taskId);
    if (!task) {
      if (change.skip === undefined)
        problems.push('A step that you changed is not in the plan any more; the change is kept in case it comes back.'); // prettier-ignore
      continue;
    }
    if (change.skip !== undefined) {
      if (done.has(task.id)) problems.push(`“${task.title}” is done and stays done; it cannot be left out.`);
      else now = without(now, task);
      continue;
    }
    const own = {
      ...task,
      ...(change.attendedMin === undefined ? {} : { attendedMin: change.attendedMin }),
      ...(change.waitMin === undefined ? {} : { unattendedMin: change.waitMin }),
      ...(change.attendedMin === undefined && change.waitMin === undefined
        ? {}
        : { from: 'Your own figure for this step.' }),
    };
    if (change.attendedMin !== undefined) delete own.attendedRange;
    let changed: BenchTask = own;
    if (change.after !== undefined) {
      const before = now.find((t) => t.id === change.after);
      if (before && waitsFor(now, before.id, task.id))
        problems.push(
          `“${task.title}” cannot wait for “${before.title}”: that one waits for it already. The order stays as it was.`,
        );
      else if (before) changed = { ...own, after: [...new Set([...own.after, before.id])] };
    }
    const goes = change.goes !== undefined && change.goes > 1 ? inGoes(changed, change.goes) : [changed];
    now = now.flatMap((t) => (t === task ? goes : [t]));
  }
  return { tasks: now, problems: [...new Set(problems)] };
}

/** Own steps may name a step that comes before them; one that would chase itself loses that tie, and it is said. */
export function untangled(
  tasks: readonly BenchTask[],
  own: ReadonlySet<string>,
): { tasks: BenchTask[]; problems: string[] } {
  const problems: string[] = [];
  const known = new Set(tasks.map((t) => t.id));
  let now = tasks.map((t) => ({ ...t, after: t.after.filter((id) => known.has(id)) }));
  for (const id of own) {
    const task = now.find((t) => t.id === id);
    if (!task) continue;
    const bad = task.after.filter((a) => waitsFor(now, a, id));
    if (bad.length === 0) continue;
    const names = now.filter((t) => bad.includes(t.id)).map((t) => `“${t.title}”`);
    problems.push(`“${task.title}” cannot come after ${names.join(' and ')}: they wait for each other. It is done in its phase instead.`); // prettier-ignore
    now = now.map((t) => (t.id === id ? { ...t, after: t.after.filter((a) => !bad.includes(a)) } : t));
  }
  return { tasks: now, problems };
}
