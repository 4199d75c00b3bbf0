import useSWR from 'swr';
import { benchInput, tasksFor, type BenchTask, type DoneStep, type Schedule } from '@/core/bench';
import type { BlendPlan } from '@/core/colour';
import { localNow, useList, useShop, type Shop, type Stored } from '@/records';
import { computeInWorker } from '@/worker';
import { resourcesOf, workOf } from './derive';
import { useBlends } from './useWorkshop';

export type PieceTask = BenchTask & { pieceId: string; pieceName: string };

type TaskInput = {
  pieces: Stored<'piece'>[];
  faces: Stored<'face'>[];
  damages: Stored<'damage'>[];
  veneers: Stored<'veneer'>[];
  shop: Shop;
  blends: ReadonlyMap<string, BlendPlan>;
};

function deriveTasks({ pieces, faces, damages, veneers, shop, blends }: TaskInput): PieceTask[] {
  return pieces
    .filter((p) => damages.some((d) => d.body.pieceId === p.id))
    .flatMap((p) =>
      tasksFor(workOf(p, faces, damages, veneers, shop, blends)).map((t) => ({
        ...t,
        pieceId: p.id,
        pieceName: p.body.name,
      })),
    );
}

/** Several parts of a page ask for the steps of the same records: they are derived once. */
let last: { input: TaskInput; tasks: PieceTask[] } | undefined;
function tasksOf(input: TaskInput): PieceTask[] {
  const same = last && (Object.keys(input) as (keyof TaskInput)[]).every((k) => last?.input[k] === input[k]);
  if (!last || !same) last = { input, tasks: deriveTasks(input) };
  return last.tasks;
}

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
  const tasks = loading
    ? []
    : tasksOf({
        pieces: pieces.records,
        faces: faces.records,
        damages: damages.records,
        veneers: veneers.records,
        shop,
        blends,
      });
  const ids = new Set(tasks.map((t) => t.id));
  const done = log.records
    .map((l): DoneStep => ({ taskId: l.body.taskId, doneAt: l.body.doneAt, actualMin: l.body.actualMin }))
    .filter((d) => ids.has(d.taskId));
  return { tasks, done, log: log.records, loading };
}

/** Steps a person ticks: waiting has no tick. */
export const isTicked = (task: BenchTask): boolean => task.attendedMin > 0;

export type Progress = { done: number; all: number };

/** How far each piece is. */
export function useProgress(): (pieceId: string) => Progress {
  const { tasks, done } = useTasks();
  const ticked = new Set(done.map((d) => d.taskId));
  const byPiece = new Map<string, Progress>();
  for (const t of tasks.filter(isTicked)) {
    const p = byPiece.get(t.pieceId) ?? { done: 0, all: 0 };
    byPiece.set(t.pieceId, { done: p.done + (ticked.has(t.id) ? 1 : 0), all: p.all + 1 });
  }
  return (pieceId) => byPiece.get(pieceId) ?? { done: 0, all: 0 };
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
