import Joi from 'joi';
import { attempt } from '../check';
import { calendarOf, minutesFrom, type Calendar, type WorkingHours } from '../calendar';

export type ScheduleTask = {
  id: string;
  attendedMin: number;
  unattendedMin: number;
  after: string[];
  /** Held from start to end. */
  needs?: Record<string, number>;
  /** Held during the attended part only, such as hands. */
  attendedNeeds?: Record<string, number>;
  /** Not before this local time. */
  notBefore?: string;
  /** Already begun at this local time: it is taken as it is, whatever the hours were. */
  startedAt?: string;
};

export type ScheduleInput = {
  tasks: ScheduleTask[];
  resources: Record<string, number>;
  start: string;
  workingHours: WorkingHours;
  /** How many orders are tried beyond the rules of thumb; 400 when not given, fewer for many tasks. */
  tries?: number;
};

export type ScheduledTask = { id: string; start: string; attendedEnd: string; end: string };
export type Schedule = { tasks: ScheduledTask[]; finish: string; lowerBound: string };

const quantities = Joi.object().pattern(Joi.string().max(60), Joi.number().min(0).max(1e6));
const minutes = Joi.number().min(0).max(527_040);

/** Input of `bench.schedule`. */
export const scheduleSchema = Joi.object({
  tasks: Joi.array()
    .items(
      Joi.object({
        id: Joi.string().min(1).max(200).required(),
        attendedMin: minutes.required(),
        unattendedMin: minutes.required(),
        after: Joi.array().items(Joi.string().max(200)).required(),
        needs: quantities,
        attendedNeeds: quantities,
        notBefore: Joi.string().max(30),
        startedAt: Joi.string().max(30),
      }),
    )
    .max(2000)
    .required(),
  resources: quantities.required(),
  start: Joi.string().max(30).required(),
  workingHours: Joi.object({ from: Joi.string().required(), to: Joi.string().required() }).required(),
  tries: Joi.number().integer().min(0).max(20_000),
});

export type Demand = { resource: string; amount: number };
export type Node = {
  id: string;
  attended: number;
  unattended: number;
  preds: number[];
  succs: number[];
  whole: Demand[];
  hands: Demand[];
  notBefore: number;
  startedAt?: number;
};

const demands = (needs: Record<string, number> | undefined): Demand[] =>
  Object.entries(needs ?? {}).flatMap(([resource, amount]) => (amount > 0 ? [{ resource, amount }] : []));

export function networkOf(input: ScheduleInput, calendar: Calendar): Node[] {
  const index = new Map<string, number>();
  input.tasks.forEach((t, i) => {
    if (index.has(t.id)) throw new RangeError(`Two tasks have the name “${t.id}”.`);
    index.set(t.id, i);
  });
  const longest = calendar.roundTheClock ? Infinity : calendar.toMin - calendar.fromMin;
  const nodes = input.tasks.map((t): Node => {
    if (t.attendedMin > longest && t.startedAt === undefined) {
      throw new RangeError(
        `“${t.id}” takes ${t.attendedMin} min of attended work in one piece, but a working day has ${longest} min. Split it, or work longer.`,
      );
    }
    const whole = demands(t.needs);
    const hands = demands(t.attendedNeeds);
    const together = new Map<string, number>();
    for (const d of [...whole, ...hands])
      together.set(d.resource, (together.get(d.resource) ?? 0) + d.amount);
    for (const [resource, amount] of together) {
      const have = Object.hasOwn(input.resources, resource) ? (input.resources[resource] ?? 0) : 0;
      if (amount > have)
        throw new RangeError(`“${t.id}” needs ${amount} of “${resource}”, but there are only ${have}.`);
    }
    const preds = t.after.map((id) => {
      const p = index.get(id);
      if (p === undefined)
        throw new RangeError(`“${t.id}” comes after “${id}”, which is not among the tasks.`);
      return p;
    });
    return {
      id: t.id,
      attended: t.attendedMin,
      unattended: t.unattendedMin,
      preds: [...new Set(preds)],
      succs: [],
      whole,
      hands,
      notBefore: t.notBefore === undefined ? -Infinity : minutesFrom(t.notBefore),
      ...(t.startedAt === undefined ? {} : { startedAt: minutesFrom(t.startedAt) }),
    };
  });
  nodes.forEach((n, i) => n.preds.forEach((p) => nodes[p]?.succs.push(i)));
  return nodes;
}

/** Counts one predecessor of a task as done; true when that was the last. */
export function release(open: number[], task: number): boolean {
  const left = (open[task] ?? 0) - 1;
  open[task] = left;
  return left === 0;
}

/** Predecessors first. @throws RangeError that names the tasks of a cycle */
export function topological(nodes: readonly Node[]): number[] {
  const open = nodes.map((n) => n.preds.length);
  const order = nodes.flatMap((_, i) => (open[i] === 0 ? [i] : []));
  for (let k = 0; k < order.length; k++) {
    for (const s of nodes[order[k] ?? 0]?.succs ?? []) if (release(open, s)) order.push(s);
  }
  if (order.length < nodes.length) {
    const stuck = new Set(nodes.map((_, i) => i).filter((i) => (open[i] ?? 0) > 0));
    // Walk backwards inside what is stuck until a task repeats: that stretch is a cycle.
    const path: number[] = [];
    let at = [...stuck][0] ?? 0;
    while (!path.includes(at)) {
      path.push(at);
      at = nodes[at]?.preds.find((p) => stuck.has(p)) ?? at;
    }
    const names = [...path.slice(path.indexOf(at)), at].reverse().map((i) => `“${nodes[i]?.id}”`);
    throw new RangeError(`The tasks wait for each other in a circle: ${names.join(' before ')}.`);
  }
  return order;
}

/**
 * Why one of these tasks could never be done: it is longer than a day's work, needs more than there is, or waits in a circle.
 * Nothing when all of them can.
 */
export function impossible(input: ScheduleInput): string | undefined {
  const checked = attempt(() => topological(networkOf(input, calendarOf(input.workingHours))));
  return checked.ok ? undefined : checked.problem;
}
