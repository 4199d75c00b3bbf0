// Plans and days over what is stored.
import type { JobContext } from '@/core/check';
import type { Bar, Front } from '@/core/front';
import type { BreakEven, Deadline, Moves, Plan } from '@/core/job';
import { lastBackup } from '@/records/lastBackup';
import { keepFront, loadFront } from '@/records/frontStore';
import type { Planner } from './planning';
import type { BenchPlan } from './shelf';

/** What was known of the pieces last, where anything was. */
async function known(): Promise<{ last?: Front }> {
  const last = await loadFront();
  return last ? { last } : {};
}

/** A full store keeps the page from being quick next time, and nothing else. */
async function keepIfNew(front: Front, last: Front | undefined): Promise<void> {
  if (JSON.stringify(front) !== JSON.stringify(last)) await keepFront(front).catch(() => undefined);
}

type OfPiece = { pieceId: string };
/** Local time without zone. */
type From = { at: string };

export const plans = (planner: Planner) => ({
  /** The plan of a piece as it is stored now; nothing when there is no such piece. */
  plan: ({ pieceId }: OfPiece, context: JobContext): Promise<Plan | undefined> =>
    planner.plan(pieceId, context),

  /** Patches or a new sheet for a face; nothing where there is no such question. */
  breakEven: ({ faceId }: { faceId: string }, context: JobContext): Promise<BreakEven | undefined> =>
    planner.breakEven(faceId, context),

  /** The days over all pieces. @param tries 0 for a first answer at once */
  bench: async ({ at, tries }: From & { tries?: number }, context: JobContext): Promise<BenchPlan> =>
    planner.bench(at, context, { ...(tries === undefined ? {} : { tries }), ...(await known()) }),

  /** How the day a piece is wanted by stands; nothing without such a day. */
  deadline: ({ pieceId, at }: OfPiece & From, context: JobContext): Promise<Deadline | undefined> =>
    planner.deadline(pieceId, at, context),

  /** What moving a phase, or finishing a part apart, would change. */
  moves: ({ pieceId, at }: OfPiece & From, context: JobContext): Promise<Moves | undefined> =>
    planner.moves(pieceId, at, context),

  /** The pieces on the first page, with the days as they were last known; kept for the next time it is opened. */
  async front(_: object, context: JobContext): Promise<Front> {
    const last = await loadFront();
    const front = await planner.front(last, await lastBackup(), context);
    await keepIfNew(front, last);
    return front;
  },

  /** The days ahead over all pieces, kept beside the pieces. */
  async days({ at }: From, context: JobContext): Promise<Bar[]> {
    const bars = await planner.days(at, context, await known());
    const last = await loadFront();
    if (last) await keepIfNew({ ...last, bars }, last);
    return bars;
  },
});
