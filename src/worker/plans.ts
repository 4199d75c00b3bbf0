// Plans and days over what is stored.
import type { Bar, Front } from '@/core/front';
import type { Deadline, Moves, Plan } from '@/core/job';
import { lastBackup } from '@/records/lastBackup';
import { keepFront, loadFront } from '@/records/frontStore';
import type { Planner } from './planning';
import type { BenchPlan } from './shelf';
import { job, type Outcome } from './job';

/** What was known of the pieces last, where anything was. */
async function known(): Promise<{ last?: Front }> {
  const last = await loadFront();
  return last ? { last } : {};
}

/** A full store keeps the page from being quick next time, and nothing else. */
async function keepIfNew(front: Front, last: Front | undefined): Promise<void> {
  if (JSON.stringify(front) !== JSON.stringify(last)) await keepFront(front).catch(() => undefined);
}

export const plans = (planner: Planner) => ({
  /** The plan of a piece, from the records as they are stored now. */
  plan(id: number, pieceId: string): Promise<Outcome<Plan | undefined>> {
    return job(id, undefined, (context) => planner.plan(pieceId, context));
  },

  /** The days over all pieces. @param tries 0 for a first answer at once */
  bench(id: number, at: string, tries?: number): Promise<Outcome<BenchPlan>> {
    return job(id, undefined, async (context) =>
      planner.bench(at, context, { ...(tries === undefined ? {} : { tries }), ...(await known()) }),
    );
  },

  /** How the day a piece is wanted by stands. */
  deadline(id: number, pieceId: string, at: string): Promise<Outcome<Deadline | undefined>> {
    return job(id, undefined, (context) => planner.deadline(pieceId, at, context));
  },

  /** What moving a phase, or finishing a part apart, would change. */
  moves(id: number, pieceId: string, at: string): Promise<Outcome<Moves | undefined>> {
    return job(id, undefined, (context) => planner.moves(pieceId, at, context));
  },

  /** The pieces on the first page; kept for the next time it is opened. */
  front(id: number): Promise<Outcome<Front>> {
    return job(id, undefined, async (context) => {
      const last = await loadFront();
      const front = await planner.front(last, await lastBackup(), context);
      await keepIfNew(front, last);
      return front;
    });
  },

  /** The days ahead, kept beside the pieces. */
  days(id: number, at: string): Promise<Outcome<Bar[]>> {
    return job(id, undefined, async (context) => {
      const bars = await planner.days(at, context, await known());
      const last = await loadFront();
      if (last) await keepIfNew({ ...last, bars }, last);
      return bars;
    });
  },
});
