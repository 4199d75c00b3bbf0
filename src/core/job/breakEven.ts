import { tasksFor, type RepairWork } from '../bench';
import { methodById, type MethodId } from '../catalogue';
import { VENEER_LOSS_KINDS } from '../damage';
import { perimeterOf } from '../geometry';
import { handsMin, handsRange, workedOf, type Job } from './plan';
import { boardOf, isBegun, surveyed, type Surveyed } from './survey';
import type { Chosen, Damage, Face, Named } from './types';
import { derived, type Source } from '../sources';
import { workOf } from './work';

/** Minutes of hands at the bench, with their range in words. */
export type Hands = { min: number; range?: string };

/** The losses of one face as patches, against one new sheet. */
export type BreakEven = {
  losses: number;
  patches: Hands;
  sheet: Hands;
  cheaper: 'patches' | 'sheet';
  /** With so many losses like these a sheet takes less time; nothing where even the most that are tried take less. */
  turnsAt?: number;
  seamMm: number;
  lossMm2: number;
};

export const BREAK_EVEN_SOURCE: Source = derived(
  'the minutes of the steps that the bench would book for the patches together, and for one sheet over the face; finishing the face afterwards is not in it',
);

/** Nobody would patch so many; more are not tried. */
const MOST_LOSSES = 400;
const SHEET: MethodId = 'reveneer';

/** The patch that was chosen for a loss, or else one let in. */
function patchChosen({ method }: Damage): MethodId {
  const row = method && methodById(method);
  return method && row?.family === 'patch' && row.extent === 'place' ? method : 'veneerPatch';
}

/** The places of a face that have lost veneer and have a size, each with its survey; none on solid wood or without a scale. */
export function lossesOf<D extends Named<Damage>>(
  face: Named<Face>,
  damages: readonly D[],
): { damage: D; survey: Surveyed }[] {
  if (face.body.build === 'solid' || !boardOf(face.body).ok) return [];
  return damages.flatMap((damage) => {
    const { body } = damage;
    if (body.faceId !== face.id || !isBegun(body) || !VENEER_LOSS_KINDS.includes(body.kind)) return [];
    const survey = surveyed(body, face.body);
    return survey.ok ? [{ damage, survey: survey.value }] : [];
  });
}

/** Which of the two takes less time, and from how many losses on that turns. */
export function turnWords({ cheaper, turnsAt }: BreakEven): string {
  if (turnsAt === undefined) return 'Patches take less time, however many there are.';
  return cheaper === 'patches'
    ? `Patches take less time. With ${turnsAt} losses like these a new sheet would.`
    : `A new sheet takes less time; from ${turnsAt} ${turnsAt === 1 ? 'loss' : 'losses'} like these on it does.`;
}

/**
 * Many patches or one new sheet for a face, in minutes of hands, by the steps that the bench would book for either: alike patches
 * together, glued in rounds as the clamps go. What is done to the whole face afterwards is not in it.
 *
 * @param tick called in between, so that whoever waits knows that it is being worked on
 * @returns nothing for solid wood, a face without a size, or one that has lost no veneer
 */
export function breakEven(
  job: Job,
  faceId: string,
  tick: () => void = () => undefined,
): BreakEven | undefined {
  const face = job.faces.find((f) => f.id === faceId);
  if (!face) return undefined;
  const found = lossesOf(face, job.damages);
  const largest = found.reduce<(typeof found)[number] | undefined>(
    (a, b) => (a && a.survey.measures.areaMm2 >= b.survey.measures.areaMm2 ? a : b),
    undefined,
  );
  if (!largest) return undefined;
  const works = (damages: readonly Named<Damage>[], chosen: (d: Damage) => Partial<Chosen>) => {
    const choices = Object.fromEntries(damages.map((d) => [d.id, chosen(d.body)]));
    return workOf(
      job.piece,
      [face],
      workedOf({ ...job, faces: [face], damages, choices }, tick),
      job.stock ?? [],
    );
  };
  const patching = works(
    found.map((f) => f.damage),
    (d) => ({ method: patchChosen(d) }),
  );
  const hands = (work: typeof patching, repairs: readonly RepairWork[]): Hands => {
    tick();
    const steps = tasksFor({ ...work, repairs: [...repairs] }, job.shop).tasks.filter((t) => t.places);
    const range = handsRange(steps);
    return { min: handsMin(steps), ...(range ? { range } : {}) };
  };
  const sheeting = works([largest.damage], () => ({ method: SHEET }));
  const sheet = hands(sheeting, sheeting.repairs);
  /** So many losses, the ones that are there over and over. */
  const patches = (count: number): Hands =>
    hands(
      patching,
      Array.from({ length: count }, (_, i) => patching.repairs[i % patching.repairs.length])
        .flatMap((r) => r ?? [])
        .map((r, i) => ({ ...r, damageId: `${i}`, number: i + 1 })),
    );
  const own = patches(patching.repairs.length);
  const turnsAt = leastOver((count) => patches(count).min > sheet.min);
  return {
    losses: found.length,
    patches: own,
    sheet,
    cheaper: own.min <= sheet.min ? 'patches' : 'sheet',
    ...(turnsAt === undefined ? {} : { turnsAt }),
    seamMm: found.reduce((s, f) => s + perimeterOf(f.survey.outline), 0),
    lossMm2: found.reduce((s, f) => s + f.survey.measures.areaMm2, 0),
  };
}

/** The least count for which it holds, where it goes on holding; nothing up to the most that is tried. */
function leastOver(holds: (count: number) => boolean): number | undefined {
  let [low, high] = [0, 1];
  while (!holds(high)) {
    if (high >= MOST_LOSSES) return undefined;
    [low, high] = [high, Math.min(MOST_LOSSES, 2 * high)];
  }
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (holds(middle)) high = middle;
    else low = middle;
  }
  return high;
}
