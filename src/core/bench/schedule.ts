import TinyQueue from 'tinyqueue';
import { createLooked, shapesOf, type Shapes } from './looked';
import { emptyTimeline, fullUntil, hold } from './timeline';
import { breathe, seededRandom, type JobContext } from '../check';
import { afterWorking, calendarOf, localFrom, minutesFrom, nextWorkable, type Calendar } from '../calendar';
import {
  networkOf,
  release,
  topological,
  type Demand,
  type Node,
  type Schedule,
  type ScheduleInput,
} from './network';

type Placed = { start: number; attendedEnd: number; end: number };

/** Places tasks in a given order, each at its earliest time; returns places by task and the finish. */
function place(
  nodes: readonly Node[],
  shapes: Shapes,
  order: readonly number[],
  capacity: ReadonlyMap<string, number>,
  calendar: Calendar,
  start: number,
): { placed: Placed[]; finish: number } {
  const used = new Map([...capacity.keys()].map((r) => [r, emptyTimeline()]));
  const placed = new Array<Placed>(nodes.length);
  const looked = createLooked(shapes);
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
    const earliest = begin;
    begin = looked.from(node, earliest);
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
    looked.found(node, earliest, begin);
    put(i, node, begin);
  }
  let finish = start;
  for (const p of placed) finish = Math.max(finish, p.end);
  return { placed, finish };
}

/** Turns priorities into an order in which predecessors come first: the highest priority among those that are ready, and of equals the one that was ready first. */
function orderBy(nodes: readonly Node[], priority: readonly number[]): number[] {
  const open = nodes.map((n) => n.preds.length);
  const ready = new TinyQueue<{ task: number; priority: number; turn: number }>(
    [],
    (a, b) => b.priority - a.priority || a.turn - b.turn,
  );
  let turn = 0;
  const add = (task: number): void => ready.push({ task, priority: priority[task] ?? 0, turn: turn++ });
  open.forEach((left, task) => left === 0 && add(task));
  const order: number[] = [];
  for (let next = ready.pop(); next; next = ready.pop()) {
    order.push(next.task);
    for (const s of nodes[next.task]?.succs ?? []) if (release(open, s)) add(s);
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
/** A first answer is there after so many. */
const FIRST_PLACINGS = 30_000;

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
  const shapes = shapesOf(nodes);
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
    const result = place(nodes, shapes, orderBy(nodes, priority), capacity, calendar, start);
    const better =
      !best ||
      result.finish < best.finish ||
      (result.finish === best.finish && sum(result.placed) < sum(best.placed));
    if (better) best = { ...result, priority };
  };
  const perBreath = Math.max(1, Math.floor(PLACINGS_PER_BREATH / Math.max(1, nodes.length)));
  // A first answer over very many tasks takes the best of fewer rules.
  const rules = input.tries === 0 ? Math.max(2, Math.floor(FIRST_PLACINGS / Math.max(1, nodes.length))) : starts.length; // prettier-ignore
  for (const [k, priority] of starts.slice(0, rules).entries()) {
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
