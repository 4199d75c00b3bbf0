import { derived, memory, sourced } from '../sources';
import { LEAST_SHARE, MOST_SHARE } from './bySize';
import type { RepairWork } from './repairWork';
import type { DoneStep } from './task';
import type { WorkedStep } from './worked';

/** A place with the steps of its repair. */
export type Place = { repair: RepairWork; steps: readonly WorkedStep[] };

/** A step over the places it is done at together. */
export type SharedStep = {
  step: WorkedStep;
  places: readonly Place[];
  /** Its name among the tasks, and the name under which it was ticked off where that is another. */
  id: string;
  aka?: string;
  /** Names of the tasks it waits for. */
  after: string[];
};

/** Of the minutes of one place so much is getting out, setting up, gauging and clearing away, and is done once for all that are alike. */
export const SET_UP_SHARE = sourced(
  0.5,
  memory('half of the minutes of a small place are spent before and after the work itself'),
);
/** More places than this nobody glues in one go, where no clamp sets the number. */
export const MOST_IN_A_ROUND = sourced(
  6,
  memory('more places one does not keep an eye on while the glue takes'),
);
/** A place larger than this is a job by itself. mm² */
export const LARGEST_ALIKE_MM2 = sourced(
  40_000,
  memory('twenty centimetres square is no small place any more'),
);

/** What has to be the same for two places to be worked together: part, method, glue, clamps and every step by its name. */
const alikeness = ({ repair, steps }: Place): string =>
  JSON.stringify([
    repair.method,
    repair.part,
    repair.proposed,
    repair.round,
    repair.surface,
    steps.map((s) => [s.key, s.title, s.phase, s.glue, Object.keys(s.needs).sort()]),
  ]);

const standsAlone = ({ repair, steps }: Place): boolean =>
  repair.alone === true ||
  steps.length === 0 ||
  repair.chain.some((l) => l.areaMm2 > LARGEST_ALIKE_MM2.value);

/** Places that are worked together, in the order of the first of each; one that is like no other stands by itself. */
export function batchesOf(places: readonly Place[]): Place[][] {
  const batches = new Map<string, Place[]>();
  for (const place of places) {
    const key = standsAlone(place) ? place.repair.damageId : alikeness(place);
    batches.set(key, [...(batches.get(key) ?? []), place]);
  }
  return [...batches.values()];
}

/** How many places are glued in one go, as far as the clamps go that are owned; one at least. */
export function roundSize(
  needs: Readonly<Record<string, number>>,
  owned: Readonly<Record<string, number>>,
): number {
  const held = Object.entries(needs).filter(([, count]) => count > 0);
  if (held.length === 0) return MOST_IN_A_ROUND.value;
  return Math.max(1, Math.min(...held.map(([kind, count]) => Math.floor((owned[kind] ?? 0) / count))));
}

const inChunks = <T>(list: readonly T[], size: number): T[][] =>
  Array.from({ length: Math.ceil(list.length / size) }, (_, i) => list.slice(i * size, (i + 1) * size));

/** Minutes over some places: what is set up once, and the rest of each. */
const shared = (minutes: readonly number[], setUp: number): number =>
  setUp * Math.max(...minutes) + (1 - setUp) * minutes.reduce((sum, m) => sum + m, 0);

const sumOf = (needs: readonly Readonly<Record<string, number>>[]): Record<string, number> => {
  const all: Record<string, number> = {};
  for (const need of needs)
    for (const [kind, count] of Object.entries(need)) all[kind] = (all[kind] ?? 0) + count;
  return all;
};

/** What is said once for all places, and what each says of itself: its sizes, and its words where those are not the same for all. */
function wordsOf(places: readonly Place[], steps: readonly WorkedStep[]): Pick<WorkedStep, 'detail' | 'own'> {
  const [{ detail } = { detail: '' }] = steps;
  const isCommon = steps.every((s) => s.detail === detail);
  const own = ownWords(
    places,
    steps.map((s) => (isCommon ? (s.own ?? '') : [s.detail, s.own].filter(Boolean).join(' '))),
  );
  return { detail: isCommon ? detail : '', ...(own === undefined ? {} : { own }) };
}

function ownWords(places: readonly Place[], said: readonly string[]): string | undefined {
  if (said.every((w) => w === '')) return undefined;
  if (said.every((w) => w === said[0])) return `Each: ${said[0] ?? ''}`;
  return places
    .map(({ repair }, i) => [repair.label, said[i] ?? ''] as const)
    .filter(([, words]) => words !== '')
    .map(([label, words]) => `${label}: ${words}`)
    .join(' ');
}

/** One step for several places: set up once, its own figures place by place. */
function sharedStep(places: readonly Place[], steps: readonly WorkedStep[]): WorkedStep | undefined {
  const [first] = steps;
  if (!first || steps.length === 1) return first;
  const setUp = SET_UP_SHARE.value;
  const least = steps.map((s) => s.range?.leastMin ?? s.attended.value * LEAST_SHARE.value);
  const most = steps.map((s) => s.range?.mostMin ?? s.attended.value * MOST_SHARE.value);
  const works = first.attended.value > 0;
  const waits = steps.flatMap((s) => (s.wait ? [s.wait] : []));
  const longest = waits.reduce<WorkedStep['wait']>((a, b) => (a && a.value >= b.value ? a : b), undefined);
  const volumes = steps.flatMap((s) => (s.ml === undefined ? [] : [s.ml]));
  return {
    ...first,
    ...wordsOf(places, steps),
    ...(volumes.length > 0 ? { ml: volumes.reduce((sum, ml) => sum + ml, 0) } : {}),
    attended: sourced(
      shared(
        steps.map((s) => s.attended.value),
        setUp,
      ),
      works
        ? derived(
            `${steps.length} places in one go; ${Math.round(100 * setUp)} % of the minutes of one go into setting up, which is done once`,
          )
        : first.attended.source,
    ),
    ...(works ? { range: { leastMin: shared(least, setUp), mostMin: shared(most, setUp) } } : {}),
    ...(longest ? { wait: longest } : {}),
    needs: sumOf(steps.map((s) => s.needs)),
  };
}

/** What the log says of a step of a place: the name it was ticked off under. */
type Ticked = (damageId: string, key: string) => string | undefined;

/** A step that was ticked off with its places counts for each of them. */
function tickedIn(done: readonly DoneStep[]): Ticked {
  const names = new Map<string, string>();
  for (const { taskId, places } of done) {
    const cut = taskId.indexOf('/');
    const key = taskId.slice(cut + 1);
    for (const id of places ?? [taskId.slice(0, cut)]) names.set(`${id}/${key}`, taskId);
  }
  return (damageId, key) => names.get(`${damageId}/${key}`);
}

/** Who does a step together: those who have it behind them as they did it, the others as far as the clamps go. */
function groupsOf(
  places: readonly Place[],
  step: WorkedStep,
  rounds: readonly (readonly Place[])[] | undefined,
  ticked: Ticked,
): Place[][] {
  const done = new Map<string, Place[]>();
  const open: Place[] = [];
  for (const place of places) {
    const name = ticked(place.repair.damageId, step.key);
    if (name === undefined) open.push(place);
    else done.set(name, [...(done.get(name) ?? []), place]);
  }
  const inRounds = rounds ? rounds.map((round) => open.filter((p) => round.includes(p))) : [open];
  return [...done.values(), ...inRounds].filter((group) => group.length > 0);
}

/** The steps of one batch. What is glued is glued in rounds as clamps come free; what is done before and after is done to all. */
function batchSteps(
  places: readonly Place[],
  ticked: Ticked,
  owned: Readonly<Record<string, number>>,
): SharedStep[] {
  const holder = new Map<string, string>();
  let rounds: Place[][] | undefined;
  return (places[0]?.steps ?? []).flatMap((like, i) => {
    const stepOf = (place: Place): WorkedStep => place.steps[i] ?? like;
    if (!like.held) rounds = undefined;
    else if (!rounds) rounds = groupsOf(places, like, inChunks(places, roundSize(like.needs, owned)), ticked);
    return groupsOf(places, like, rounds, ticked).flatMap((group): SharedStep[] => {
      const step = sharedStep(group, group.map(stepOf));
      const lead = group[0]?.repair.damageId;
      if (!step || lead === undefined) return [];
      const id = `${lead}/${step.key}`;
      const name = ticked(lead, step.key);
      for (const { repair } of group) holder.set(`${repair.damageId}/${step.key}`, id);
      const after = group.flatMap((p) =>
        (stepOf(p).after ?? []).flatMap((key) => holder.get(`${p.repair.damageId}/${key}`) ?? []),
      );
      const aka = name === undefined || name === id ? {} : { aka: name };
      return [{ step, places: group, id, ...aka, after: [...new Set(after)] }];
    });
  });
}

/**
 * The steps of all repairs, alike places worked together: set up once, glued in rounds as clamps come free, trimmed in one go. A place
 * that the user does by itself, that is large, or that differs in a step, has steps of its own.
 *
 * @param owned clamps by kind
 * @param done what is ticked off: it stays as it was done, alone or together
 */
export const together = (
  places: readonly Place[],
  done: readonly DoneStep[],
  owned: Readonly<Record<string, number>>,
): SharedStep[] => {
  const ticked = tickedIn(done);
  return batchesOf(places).flatMap((batch) => batchSteps(batch, ticked, owned));
};
