import { byTime } from '@/core/calendar';
import { benchInput, drivingChain, impossible, schedule } from '@/core/bench';
import { breathe, type JobContext } from '@/core/check';
import { slackDays } from '@/core/front';
import {
  handsMin,
  isTicked,
  possibleMoves,
  quickerWays,
  resourcesOf,
  type Deadline,
  type Job,
  type Moves,
  type Piece,
  type Reached,
} from '@/core/job';
import type { Stored } from '@/records/types';
import type { BenchPlan, PieceTask, PlanFor, Shelf } from './shelf';

/** Orders tried for each plan that is only compared: enough to be near the best, few enough to wait for. */
const COMPARED_TRIES = 100;

/** Each takes a plan and its days. */
const MOST_WAYS = 12;

/** A piece among the days of the bench, and how another plan of it is made. */
export type Compared = {
  piece: Stored<'piece'>;
  shelf: Shelf;
  bench: BenchPlan;
  planFor: PlanFor;
  at: string;
};

const reachedOf = ({ ready, steps, handsMin }: Reached): Reached => ({ ready, steps, handsMin });

const onlyOf = (tasks: readonly PieceTask[], pieceId: string): PieceTask[] =>
  tasks.filter((t) => t.pieceId === pieceId);

/** The day on which the last step of a piece ends. */
function readyDay({ tasks, schedule: days }: BenchPlan, pieceId: string): string | undefined {
  const own = new Set(onlyOf(tasks, pieceId).map((t) => t.id));
  const ends = days?.tasks.filter((t) => own.has(t.id)).map((t) => t.end) ?? [];
  return ends.length > 0 ? ends.reduce((a, b) => (a > b ? a : b)).slice(0, 10) : undefined;
}

/** The days with a piece mended otherwise: a first answer is enough to compare. */
async function readyWith(
  { piece, shelf, bench: { tasks, done }, planFor, at }: Compared,
  { choices, otherwise }: { choices?: Job['choices']; otherwise?: Partial<Piece> },
  context: JobContext,
): Promise<(Reached & { order: string }) | undefined> {
  const other = await planFor(piece, shelf, choices, otherwise, context);
  const own = other.tasks.map((t) => ({ ...t, pieceId: piece.id, pieceName: piece.body.name }));
  const others = tasks.filter((t) => t.pieceId !== piece.id);
  const all = [...others, ...own];
  const known = new Set(others.map((t) => t.id));
  const hours = { resources: resourcesOf(shelf.shop), workingHours: shelf.shop.workingHours };
  const input = benchInput(all, [...done.filter((d) => known.has(d.taskId)), ...other.done], hours, at);
  if (impossible(input)) return undefined;
  const ready = readyDay(
    { tasks: all, done, schedule: await schedule({ ...input, tries: COMPARED_TRIES }, context) },
    piece.id,
  );
  return ready === undefined
    ? undefined
    : {
        ready,
        steps: other.tasks.filter(isTicked).length,
        handsMin: handsMin(other.tasks),
        order: JSON.stringify(other.tasks.map((t) => [t.id, t.phase])),
      };
}

/** How the day a piece is wanted by stands, what holds it up, and what could be done where it is late. */
export async function deadlineOf(
  compared: Compared,
  wanted: string,
  context: JobContext,
): Promise<Deadline | undefined> {
  const { piece, shelf, bench } = compared;
  const ready = readyDay(bench, piece.id);
  if (ready === undefined) return undefined;
  const own = onlyOf(bench.tasks, piece.id);
  const title = new Map(own.map((t) => [t.id, t.title]));
  const ways: Deadline['ways'] = [];
  const slack = slackDays(wanted, ready);
  if (slack < 0) {
    const { faces, damages } = shelf.own(piece.id);
    const quicker = quickerWays(piece, faces, damages, shelf.shop);
    for (const way of quicker.slice(0, MOST_WAYS)) {
      await breathe(context, ways.length / quicker.length);
      const choices = { [way.damageId]: { method: way.method } };
      const then = await readyWith(compared, { choices }, context);
      if (then !== undefined && then.ready < ready)
        ways.push({ ...way, ready: then.ready, slackDays: slackDays(wanted, then.ready) });
    }
  }
  return {
    wanted,
    ready,
    slackDays: slack,
    chain: drivingChain(own, bench.schedule?.tasks ?? []).flatMap((id) => title.get(id) ?? []),
    ways: ways.sort((a, b) => byTime(a.ready, b.ready)),
  };
}

/** What every move of the order would change: steps, hands and the day the piece is ready. */
export async function movesOf(compared: Compared, context: JobContext): Promise<Moves> {
  const { piece, shelf } = compared;
  const now = await readyWith(compared, {}, context);
  const moves: Moves['moves'] = [];
  for (const move of possibleMoves(piece.body, shelf.own(piece.id).faces)) {
    await breathe(context, 0.5);
    const then = await readyWith(compared, { otherwise: move.otherwise }, context);
    // A move that touches no step of this piece is none.
    if (then && then.order !== now?.order) moves.push({ ...move, ...reachedOf(then) });
  }
  return { ...(now ? { now: reachedOf(now) } : {}), moves };
}
