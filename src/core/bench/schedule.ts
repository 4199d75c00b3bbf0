import Joi from 'joi';
import { emptyTimeline, fullUntil, hold } from './timeline';
import { attempt, breathe, seededRandom, type JobContext } from '../check';
import {
  afterWorking,
  calendarOf,
  localFrom,
  minutesFrom,
  nextWorkable,
  type Calendar,
  type WorkingHours,
} from '../calendar';

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

type Demand = { resource: string; amount: number };
type Node = {
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

function networkOf(input: ScheduleInput, calendar: Calendar): Node[] {
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
function release(open: number[], task: number): boolean {
  const left = (open[task] ?? 0) - 1;
  open[task] = left;
  return left === 0;
}

/**
 * Why one of these tasks could never be done: it is longer than a day's work, needs more than there is, or waits in a circle.
 * Nothing when all of them can.
 */
export function impossible(input: ScheduleInput): string | undefined {
  const checked = attempt(() => topological(networkOf(input, calendarOf(input.workingHours))));
  return checked.ok ? undefined : checked.problem;
}

/** Predecessors first. @throws RangeError that names the tasks of a cycle */
function topological(nodes: readonly Node[]): number[] {
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

type Placed = { start: number; attendedEnd: number; end: number };

/** Places tasks in a given order, each at its earliest time; returns places by task and the finish. */
function place(
  nodes: readonly Node[],
  order: readonly number[],
  capacity: ReadonlyMap<string, number>,
  calendar: Calendar,
  start: number,
): { placed: Placed[]; finish: number } {
  const used = new Map([...capacity.keys()].map((r) => [r, emptyTimeline()]));
  const placed = new Array<Placed>(nodes.length);
  const blockedUntil = ({ resource, amount }: Demand, from: number, to: number): number | undefined => {
    const line = used.get(resource);
    return line && fullUntil(line, from, to, (capacity.get(resource) ?? 0) - amount);
  };
  const take = ({ resource, amount }: Demand, from: number, to: number): void => {
    const line = used.get(resource);
    if (line) hold(line, from, to, amount);
  };
  const put = (i: number, node: Node, begin: number): void => {
    const attendedEnd = begin + node.attended;
    const end = attendedEnd + node.unattended;
    node.whole.forEach((d) => take(d, begin, end));
    node.hands.forEach((d) => take(d, begin, attendedEnd));
    placed[i] = { start: begin, attendedEnd, end };
  };
  nodes.forEach((node, i) => {
    if (node.startedAt !== undefined) put(i, node, node.startedAt);
  });
  for (const i of order) {
    const node = nodes[i];
    if (!node || placed[i]) continue;
    let begin = Math.max(start, node.notBefore);
    for (const p of node.preds) begin = Math.max(begin, placed[p]?.end ?? start);
    for (;;) {
      begin = nextWorkable(calendar, begin, node.attended);
      const attendedEnd = begin + node.attended;
      const end = attendedEnd + node.unattended;
      let until = begin;
      for (const d of node.whole) until = Math.max(until, blockedUntil(d, begin, end) ?? begin);
      for (const d of node.hands) {
        const also = node.whole.find((w) => w.resource === d.resource)?.amount ?? 0;
        const both = { resource: d.resource, amount: d.amount + also };
        until = Math.max(until, blockedUntil(both, begin, attendedEnd) ?? begin);
      }
      if (until === begin) break;
      begin = until;
    }
    put(i, node, begin);
  }
  let finish = start;
  for (const p of placed) finish = Math.max(finish, p.end);
  return { placed, finish };
}

/** Turns priorities into an order in which predecessors come first: the highest priority among those that are ready. */
function orderBy(nodes: readonly Node[], priority: readonly number[]): number[] {
  const open = nodes.map((n) => n.preds.length);
  const ready = nodes.flatMap((_, i) => (open[i] === 0 ? [i] : []));
  const order: number[] = [];
  while (ready.length > 0) {
    let best = 0;
    for (let k = 1; k < ready.length; k++) {
      if ((priority[ready[k] ?? 0] ?? 0) > (priority[ready[best] ?? 0] ?? 0)) best = k;
    }
    const [i = 0] = ready.splice(best, 1);
    order.push(i);
    for (const s of nodes[i]?.succs ?? []) if (release(open, s)) ready.push(s);
  }
  return order;
}

/** No schedule can finish earlier: by the longest chain in the calendar, and by the work each resource must carry. */
function bound(
  nodes: readonly Node[],
  order: readonly number[],
  input: ScheduleInput,
  calendar: Calendar,
  start: number,
): number {
  const ends = new Array<number>(nodes.length).fill(start);
  for (const i of order) {
    const n = nodes[i];
    if (!n) continue;
    const earliest = Math.max(start, n.notBefore, ...n.preds.map((p) => ends[p] ?? start));
    const begin = n.startedAt ?? nextWorkable(calendar, earliest, n.attended);
    ends[i] = begin + n.attended + n.unattended;
  }
  const bounds = [start, ...ends];
  const waiting = nodes.filter((n) => n.startedAt === undefined);
  for (const [resource, capacity] of Object.entries(input.resources)) {
    const amountIn = (ds: Demand[]): number => ds.find((d) => d.resource === resource)?.amount ?? 0;
    const holding = waiting.filter((n) => amountIn(n.whole) > 0);
    if (holding.length > 0 && capacity > 0) {
      const work = holding.reduce((s, n) => s + amountIn(n.whole) * (n.attended + n.unattended), 0);
      bounds.push(nextWorkable(calendar, start, 0) + work / capacity);
    }
    const attended = waiting.filter((n) => amountIn(n.whole) + amountIn(n.hands) > 0 && n.attended > 0);
    if (attended.length > 0 && capacity > 0) {
      const work = attended.reduce((s, n) => s + (amountIn(n.whole) + amountIn(n.hands)) * n.attended, 0);
      bounds.push(
        afterWorking(calendar, start, work / capacity) + Math.min(...attended.map((n) => n.unattended)),
      );
    }
  }
  return Math.max(...bounds);
}

/** So many placings of a task are done between two breaths, about ten milliseconds' worth. */
const PLACINGS_PER_BREATH = 5000;
/** A search that is longer than this is cut short: many tasks get fewer tries. */
const MOST_PLACINGS = 150_000;

/**
 * Registry `bench.schedule`: when to do what, as early as the order of work, the hands, the clamps and the working hours
 * allow.
 *
 * Attended parts lie inside working hours in one piece; unattended parts (glue setting, finish drying) run on through
 * the night. Each order of tasks is placed greedily; several rules of thumb and a seeded search over orders are tried,
 * and the earliest finish is kept. Deterministic.
 *
 * @returns local times without zone, and a finish that no schedule can beat (`lowerBound`)
 * @throws RangeError that names it, for a cycle, an unknown predecessor, a need above what exists, a task longer than a day's work
 */
export async function schedule(input: ScheduleInput, job: JobContext = {}): Promise<Schedule> {
  const calendar = calendarOf(input.workingHours);
  const start = minutesFrom(input.start);
  const nodes = networkOf(input, calendar);
  const order = topological(nodes);
  const lower = bound(nodes, order, input, calendar, start);
  const capacity = new Map(Object.entries(input.resources));
  const tail = new Array<number>(nodes.length).fill(0);
  for (const i of [...order].reverse()) {
    const n = nodes[i];
    if (n) tail[i] = n.attended + n.unattended + Math.max(0, ...n.succs.map((s) => tail[s] ?? 0));
  }
  const of = (value: (n: Node, i: number) => number): number[] => nodes.map(value);
  const starts = [
    of((_, i) => -i),
    of((_, i) => tail[i] ?? 0),
    of((n) => n.unattended - n.attended),
    of((n, i) => (tail[i] ?? 0) - n.attended),
    of((n) => n.whole.reduce((s, d) => s + d.amount, 0) * (n.attended + n.unattended)),
    of((n) => n.attended),
    of((n) => -n.attended),
  ];
  let best: { placed: Placed[]; finish: number; priority: number[] } | undefined;
  // Of two schedules with one finish, the one whose tasks end earlier in sum leaves more slack.
  const sum = (ps: Placed[]): number => ps.reduce((s, p) => s + p.end, 0);
  const consider = (priority: number[]): void => {
    const result = place(nodes, orderBy(nodes, priority), capacity, calendar, start);
    const better =
      !best ||
      result.finish < best.finish ||
      (result.finish === best.finish && sum(result.placed) < sum(best.placed));
    if (better) best = { ...result, priority };
  };
  const perBreath = Math.max(1, Math.floor(PLACINGS_PER_BREATH / Math.max(1, nodes.length)));
  for (const [k, priority] of starts.entries()) {
    if (k % perBreath === 0) await breathe(job, 0);
    consider(priority);
  }
  const random = seededRandom(7);
  const tries = input.tries ?? Math.min(400, Math.ceil(MOST_PLACINGS / Math.max(1, nodes.length)));
  const scale = Math.max(1, ...tail);
  for (let k = 0; k < tries && best && best.finish > lower; k++) {
    if (k % perBreath === 0) await breathe(job, k / tries);
    const wide = k % 3 === 0;
    consider(best.priority.map((p) => (wide ? random() * scale : p + (random() - 0.5) * scale * 0.4)));
  }
  await breathe(job, 1);
  const placed = best?.placed ?? [];
  return {
    tasks: nodes.map((n, i) => {
      const p = placed[i] ?? { start, attendedEnd: start, end: start };
      return {
        id: n.id,
        start: localFrom(p.start),
        attendedEnd: localFrom(p.attendedEnd),
        end: localFrom(p.end),
      };
    }),
    finish: localFrom(best?.finish ?? start),
    lowerBound: localFrom(lower),
  };
}
