import useSWR from 'swr';
import { benchInput, tasksFor, type BenchTask, type DoneStep, type Schedule } from '@/core/bench';
import { localNow, useList, useShop, type Stored } from '@/records';
import { computeInWorker } from '@/worker';
import { resourcesOf, workOf } from './derive';
import type { PieceView } from './usePiece';
import { useBlends } from './useWorkshop';

export type PieceTask = BenchTask & { pieceId: string; pieceName: string };

/** Steps of all pieces, without times. */
export function useTasks(): { tasks: PieceTask[]; done: DoneStep[]; log: Stored<'log'>[]; loading: boolean } {
  const pieces = useList('piece');
  const faces = useList('face');
  const damages = useList('damage');
  const veneers = useList('veneer');
  const log = useList('log');
  const { shop, loading: shopLoading } = useShop();
  const { blends, loading: blendsLoading } = useBlends();
  const loading =
    pieces.loading ||
    faces.loading ||
    damages.loading ||
    veneers.loading ||
    log.loading ||
    shopLoading ||
    blendsLoading;
  const withWork = pieces.records.filter((p) => damages.records.some((d) => d.body.pieceId === p.id));
  const tasks = loading
    ? []
    : withWork.flatMap((p) =>
        tasksFor(workOf(p, faces.records, damages.records, veneers.records, shop, blends)).map((t) => ({
          ...t,
          pieceId: p.id,
          pieceName: p.body.name,
        })),
      );
  const ids = new Set(tasks.map((t) => t.id));
  const done = log.records
    .map((l): DoneStep => ({ taskId: l.body.taskId, doneAt: l.body.doneAt, actualMin: l.body.actualMin }))
    .filter((d) => ids.has(d.taskId));
  return { tasks, done, log: log.records, loading };
}

/** Steps a person ticks: waiting has no tick. */
export const isTicked = (task: BenchTask): boolean => task.attendedMin > 0;

export function usePieceProgress(view: PieceView): { done: number; all: number } {
  const { tasks, done } = useTasks();
  const mine = tasks.filter((t) => t.pieceId === view.piece?.id && isTicked(t));
  const ticked = new Set(done.map((d) => d.taskId));
  return { done: mine.filter((t) => ticked.has(t.id)).length, all: mine.length };
}

/** The quarter of an hour that is running: a plan is not made anew every second. */
function planningTime(): string {
  const now = localNow();
  const quarter = String(Math.floor(Number(now.slice(14, 16)) / 15) * 15).padStart(2, '0');
  return `${now.slice(0, 14)}${quarter}:00`;
}

export type BenchPlan = {
  tasks: PieceTask[];
  done: DoneStep[];
  log: Stored<'log'>[];
  schedule?: Schedule;
  loading: boolean;
  problem?: string;
};

/** When to do what, over all pieces, planned in the worker. */
export function useBenchPlan(): BenchPlan {
  const { tasks, done, log, loading } = useTasks();
  const { shop } = useShop();
  const input = benchInput(
    tasks,
    done,
    { resources: resourcesOf(shop), workingHours: shop.workingHours },
    planningTime(),
  );
  const key = loading || tasks.length === 0 ? null : ['schedule', JSON.stringify(input)];
  const { data, error, isLoading } = useSWR<Schedule, Error>(
    key,
    async () => (await computeInWorker('bench.schedule', input)) as Schedule,
    {
      keepPreviousData: true,
      shouldRetryOnError: false,
    },
  );
  return {
    tasks,
    done,
    log,
    ...(data ? { schedule: data } : {}),
    loading: loading || isLoading,
    ...(error ? { problem: error.message } : {}),
  };
}
