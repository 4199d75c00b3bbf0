import {
  benchInput,
  creditedTo,
  schedule,
  tasksFor,
  type BenchTask,
  type DoneStep,
  type FaceWork,
  type Schedule,
} from '../bench';
import { takesColour, tonesIn, type MaterialId, type MethodId } from '../catalogue';
import { colouringOf } from './colouring';
import { worksheetsOf, type ColourStage, type DecidedCoats } from './colourStage';
import type { Colour } from '../shelf';
import { attempt, type JobContext } from '../check';
import { eveningOf } from './evening';
import type { Learned } from '../figures';
import type { BlendPlan, Tones, TopFinish } from '../colour';
import { isUnderPaint } from './decide';
import { formatMinutes } from '../units';
import { aboutRange } from './timeWords';
import type { LinkPlan } from './links';
import { repairsOf, type Repair } from './repairs';
import type { ReachPlan } from '../apart';
import { reachOf } from './apart';
import { damageLabel, isBegun } from './survey';
import { conditionFor } from './condition';
import { hasWork, isTicked, trailOf, type Trail } from './trail';
import type { Chosen, Damage, Face, Named, Piece, KnownShop, Veneer } from './types';
import { wordsOf } from './words';
import { resourcesOf, workOf } from './work';

/** A job: a piece with all that its plan is made of. */
export type Job = {
  piece: Named<Piece>;
  faces: readonly Named<Face>[];
  damages: readonly Named<Damage>[];
  /** By the damage's id; what is given here goes before what stands in the damage. */
  choices?: Readonly<Record<string, Partial<Chosen>>>;
  stock?: readonly Named<Veneer>[];
  /** The colours on the shop's shelf, as far as they were decided on. */
  shelf?: readonly Named<Colour>[];
  shop: KnownShop;
  /** What is ticked off at the bench. */
  done?: readonly DoneStep[];
  /** Colours read from photos: of the old wood around a damage, of a veneer of the stock, of a place. */
  tones?: {
    around: Readonly<Record<string, Tones>>;
    stock: Readonly<Record<string, Tones>>;
    /** Of the place itself, where it is toned in. */
    within?: Readonly<Record<string, Tones>>;
  };
};

/** One damage from what was seen to how it is mended. */
export type RepairPlan = {
  damageId: string;
  faceId?: string;
  label: string;
  /** Chosen by the user; else what comes first in the ranking. */
  chosen: boolean;
  method?: MethodId;
  /** The whole chain in words, why, and what stands against it. */
  words: string;
  /** Why it has no size yet. */
  problem?: string;
  links: LinkPlan[];
  blend?: BlendPlan;
  /** Own products that were decided on, with what is mixed of them. */
  colours: DecidedCoats[];
  /** What has to come off so that a clamp reaches it. */
  reach?: ReachPlan;
};

/** Everything that pages, bench, report and record show of a piece. */
export type Plan = {
  pieceId: string;
  repairs: RepairPlan[];
  /** Every face with its size, its preparation and its finish. */
  faces: FaceWork[];
  tasks: BenchTask[];
  /** What is ticked off, under the names of the tasks. */
  done: DoneStep[];
  /** What of the user's own steps and changes could not be followed. */
  problems: string[];
  resources: Record<string, number>;
  /** Own products that even its parts out. */
  evening: DecidedCoats[];
  /** What has to be at hand, over all repairs. */
  materials: MaterialId[];
  /** Condition of the whole piece, 0 to 100; none while nothing of it is marked. */
  conditionScore?: number;
  trail: Trail;
};

export const topFinishOf = ({ goal }: Piece): TopFinish =>
  goal === 'keep' || goal === 'paint' ? 'shellac' : goal;

/** The colouring of what is new in a repair, or of what is toned in; nothing under paint, or while a colour is not known. */
function blendOf({ damage, face, treated }: Repair, links: readonly LinkPlan[], { tones, stock = [] }: Job) {
  const old = tones?.around[damage.id];
  const toned = links.some((l) => tonesIn(l.method));
  const sheet = stock.find((v) => v.id === damage.body.patch.veneerId);
  const species = toned ? face?.body.species : sheet?.body.species;
  const bare = toned ? tones?.within?.[damage.id] : tones?.stock[damage.body.patch.veneerId ?? ''];
  if (!old || !bare || isUnderPaint(treated) || !links.some((l) => takesColour(l.method))) return undefined;
  const methods = links.map((l) => l.method);
  const plan = attempt(() => colouringOf(damage.body, old, bare, topFinishOf(treated), methods, species));
  return plan.ok ? plan.value : undefined;
}

const goneWords = ({ repair, colour: { gone } }: { repair: Repair; colour: ColourStage }): string[] =>
  gone === 0
    ? []
    : [`${damageLabel(repair.damage.body)}: ${gone === 1 ? 'a product of its recipe is' : `${gone} products of its recipe are`} on the shelf no longer, and stand in no step. Choose again on its Blend page.`]; // prettier-ignore

/** What was seen and decided of a job: its damages that are begun, with the choices given for them. */
export function decidedOf(
  { piece, faces, damages, choices = {}, shop }: Job,
  tick: () => void = () => undefined,
): Repair[] {
  const own = faces.filter((f) => f.body.pieceId === piece.id);
  const begun = damages.filter((d) => isBegun(d.body));
  const decided = begun.map((d) => ({ ...d, body: choices[d.id] ? { ...d.body, ...choices[d.id] } : d.body })); // prettier-ignore
  return repairsOf(piece, own, decided, shop, tick);
}

/**
 * The damages of a job from what was seen and decided (`decidedOf`) to every link worked out (`worksheetsOf`, `blendOf`, `reachOf`).
 *
 * @param tick called after each repair, so that whoever waits for a large piece knows that it is being worked on
 */
export function workedOf(job: Job, tick: () => void = () => undefined, decided = decidedOf(job, tick)) {
  const { piece, shelf = [], shop } = job;
  return decided.map((repair) => {
    const { links, colour } = worksheetsOf(repair, shop, shelf);
    tick();
    const blend = blendOf(repair, links, job);
    return {
      repair,
      links,
      colour,
      reach: reachOf(repair, links, piece.body, shop),
      ...(blend ? { blend } : {}),
    };
  });
}

/**
 * The whole plan of a piece. Each stage takes the value of the one before it: what was seen, decided and worked out
 * (`workedOf`), the work (`workOf`), its steps (`tasksFor`), the trail (`trailOf`).
 *
 * @param tick called after each repair, so that whoever waits for a large piece knows that it is being worked on
 * @param decided the first stage, where whoever asks has needed it already
 */
export function planOf(job: Job, tick: () => void = () => undefined, decided = decidedOf(job, tick)): Plan {
  const { piece, faces, shop, done = [] } = job;
  const own = faces.filter((f) => f.body.pieceId === piece.id);
  const worked = workedOf(job, tick, decided);
  const evening = eveningOf(piece.body, own, job.shelf ?? []);
  const evened = { ...piece, body: { ...piece.body, ownSteps: evening.ownSteps } };
  const work = workOf(evened, own, worked, job.stock ?? [], done);
  // Nothing is planned before there is something to do.
  const { tasks, problems } = hasWork(piece, own, worked)
    ? tasksFor(work, shop)
    : { tasks: [], problems: [] };
  const credited = creditedTo(tasks, done);
  const ticked = new Set(credited.map((d) => d.taskId));
  const all = tasks.filter(isTicked);
  const marked = worked.map((w) => w.repair.damage);
  return {
    pieceId: piece.id,
    repairs: worked.map(({ repair, repair: { damage, chain, survey }, links, colour, blend, reach }) => ({
      damageId: damage.id,
      ...(damage.body.faceId ? { faceId: damage.body.faceId } : {}),
      label: damageLabel(damage.body),
      chosen: damage.body.method !== undefined,
      ...(chain ? { method: chain.method } : {}),
      words: wordsOf(repair, links, piece, shop),
      ...(survey.ok ? {} : { problem: survey.problem }),
      links,
      ...(blend ? { blend } : {}),
      colours: colour.coats,
      ...(reach?.ok ? { reach: reach.value } : {}),
    })),
    faces: work.faces,
    tasks,
    done: credited,
    problems: [...problems, ...worked.flatMap(goneWords), ...evening.problems],
    evening: evening.coats,
    resources: resourcesOf(shop),
    materials: [...new Set(worked.flatMap((w) => w.links.flatMap((l) => l.amounts.map((a) => a.material))))],
    ...(marked.length > 0 ? { conditionScore: conditionFor(marked, own).score } : {}),
    trail: trailOf(piece, own, worked, {
      done: all.filter((t) => ticked.has(t.id)).length,
      all: all.length,
    }),
  };
}

/**
 * Registry `job.plan`: the plan of a piece, with its own days when it is said from when.
 *
 * @param at local time without zone; no schedule without it
 */
export async function jobPlan(
  { at, learned, ...given }: Job & { learned?: Learned; at?: string },
  context: JobContext = {},
): Promise<Plan & { schedule?: Schedule }> {
  const job = { ...given, shop: { ...given.shop, ...(learned ? { learned } : {}) } };
  const plan = planOf(job);
  if (at === undefined || plan.tasks.length === 0) return plan;
  const shop = { resources: plan.resources, workingHours: job.shop.workingHours };
  return { ...plan, schedule: await schedule(benchInput(plan.tasks, plan.done, shop, at), context) };
}

/** The steps of one link of a repair, in the order of the work. */
export function stepsOfLink({ repairs, tasks }: Plan, damageId: string, method: MethodId): BenchTask[] {
  const main = repairs.find((r) => r.damageId === damageId)?.method;
  const own = tasks.filter((t) => t.places?.includes(damageId));
  // Colouring is shown with the method that was chosen.
  return own.filter((t) => (t.method ?? main) === method);
}

/** The range of a step's minutes as the log shows it, or else the book; nothing where there is none. */
export const rangeWords = ({ attendedRange: r }: Pick<BenchTask, 'attendedRange'>): string | undefined =>
  r && r.mostMin > r.leastMin
    ? `${r.learned ? 'yours took ' : ''}${formatMinutes(r.leastMin)} to ${formatMinutes(r.mostMin)}`
    : undefined;

/** How long a hand is at a step, with its range. */
export function handWords(task: Pick<BenchTask, 'attendedMin' | 'attendedRange'>): string {
  const range = rangeWords(task);
  return `${formatMinutes(task.attendedMin)}${range ? ` (${range})` : ''}`;
}

/** From the least to the most that some steps take, in words; nothing where they do not vary. */
export function handsRange(
  tasks: readonly Pick<BenchTask, 'attendedMin' | 'attendedRange'>[],
): string | undefined {
  const sum = (of: (t: (typeof tasks)[number]) => number): number => tasks.reduce((all, t) => all + of(t), 0);
  return aboutRange(
    sum((t) => t.attendedRange?.leastMin ?? t.attendedMin),
    sum((t) => t.attendedRange?.mostMin ?? t.attendedMin),
  );
}

/** With how many others the steps of a place are shared, whose minutes are told whole since they are done whole. */
export function sharedWith(tasks: readonly Pick<BenchTask, 'places'>[]): string | undefined {
  const others = Math.max(0, ...tasks.map((t) => (t.places?.length ?? 1) - 1));
  return others === 0 ? undefined : `with ${others === 1 ? 'one place' : `${others} places`} alike`;
}

/** Minutes of hands at some steps. */
export const handsMin = (tasks: readonly Pick<BenchTask, 'attendedMin'>[]): number =>
  tasks.reduce((sum, t) => sum + t.attendedMin, 0);
