import useSWR from 'swr';
import { benchInput, tasksFor, type BenchTask, type DoneStep, type Schedule } from '@/core/bench';
import type { BlendPlan } from '@/core/colour';
import { localNow, useList, useShop, type Shop, type Stored } from '@/records';
import { computeInWorker } from '@/worker';
import { useBlends } from './useWorkshop';
import { resourcesOf, workOf } from '@/core/job';

export type PieceTask = BenchTask & { pieceId: string; pieceName: string };

type TaskInput = {
  pieces: Stored<'piece'>[];
  faces: Stored<'face'>[];
  damages: Stored<'damage'>[];
  veneers: Stored<'veneer'>[];
  shop: Shop;
  blends: ReadonlyMap<string, BlendPlan>;
};

const stepsOf = (piece: Stored<'piece'>, { faces, damages, veneers, shop, blends }: TaskInput): PieceTask[] =>
  tasksFor(workOf(piece, faces, damages, veneers, shop, blends)).map((t) => ({
    ...t,
    pieceId: piece.id,
    pieceName: piece.body.name,
  }));

/** Steps by piece, each piece's derived when it is first asked for: a long list asks for few of them. */
type Steps = { of: (pieceId: string) => PieceTask[]; all: () => PieceTask[] };

function derive(input: TaskInput): Steps {
  const known = new Map<string, PieceTask[]>();
  const damaged = new Set(input.damages.map((d) => d.body.pieceId));
  const of = (pieceId: string): PieceTask[] => {
    const found = known.get(pieceId);
    if (found) return found;
    const piece = input.pieces.find((p) => p.id === pieceId);
    const steps = piece && damaged.has(pieceId) ? stepsOf(piece, input) : [];
    known.set(pieceId, steps);
    return steps;
  };
  return { of, all: () => input.pieces.flatMap((p) => of(p.id)) };
}

/** Several parts of a page ask for the steps of the same records: they are derived once. */
let last: { input: TaskInput; steps: Steps } | undefined;
function stepsFor(input: TaskInput): Steps {
  const same = last && (Object.keys(input) as (keyof TaskInput)[]).every((k) => last?.input[k] === input[k]);
  if (!last || !same) last = { input, steps: derive(input) };
  return last.steps;
}

const NO_STEPS: Steps = { of: () => [], all: () => [] };

function useSteps(): { steps: Steps; log: Stored<'log'>[]; loading: boolean } {
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
  const steps = loading
    ? NO_STEPS
    : stepsFor({
        pieces: pieces.records,
        faces: faces.records,
        damages: damages.records,
        veneers: veneers.records,
        shop,
        blends,
      });
  return { steps, log: log.records, loading };
}

/** Steps of all pieces, without times. */
export function useTasks(): { tasks: PieceTask[]; done: DoneStep[]; log: Stored<'log'>[]; loading: boolean } {
  const { steps, log, loading } = useSteps();
  const tasks = steps.all();
  const ids = new Set(tasks.map((t) => t.id));
  const done = log
    .map((l): DoneStep => ({ taskId: l.body.taskId, doneAt: l.body.doneAt, actualMin: l.body.actualMin }))
    .filter((d) => ids.has(d.taskId));
  return { tasks, done, log, loading };
}

/** Steps a person ticks: waiting has no tick. */
export const isTicked = (task: BenchTask): boolean => task.attendedMin > 0;

/** Steps done of all; not known while they are still being worked out. */
export type Progress = { done: number; all: number; known: boolean };

/** How far a piece is. */
export function useProgress(): (pieceId: string) => Progress {
  const { steps, log, loading } = useSteps();
  const ticked = new Set(log.map((l) => l.body.taskId));
  return (pieceId) => {
    const all = steps.of(pieceId).filter(isTicked);
    return { done: all.filter((t) => ticked.has(t.id)).length, all: all.length, known: !loading };
  };
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
