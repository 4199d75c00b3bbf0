import type { Adhesive, GlueTimes } from '../adhesive';
import { methodById, type MethodId } from '../catalogue';
import type { Result } from '../check';
import { LAYING } from '../figures';
import { distance } from '../geometry';
import type { Stages } from '../glueup';
import { clampById } from '../press';
import { formatSmall } from '../units';
import { heldWith, type Held } from './held';
import { gluedGrams, linkPlansOf } from './links';
import { gluing, pressPlan, type PressPlan } from './press';
import type { Repair } from './repairs';
import { stagesOf } from './stages';
import type { KnownShop } from './types';
import { glueChoice } from './worksheet';

/** Everything the clock of a glue-up goes by, whether it is pressed under a platen or clamped across. */
export type GlueUp = {
  adhesive: Adhesive;
  times: GlueTimes;
  /** Nothing where none is laid. */
  grams?: number;
  /** Clamps in words: “2 × C-clamp”. */
  clampWords: string;
  stages?: Stages;
  /** Name of its step at the bench. */
  key: string;
  press?: PressPlan;
  held?: Held;
  /** What the clock teaches once a stage is clamped: the kind of work, and its minutes at the book's pace. */
  learns?: { step: string; bookMin: number };
};

/** The glue-up of one link of a repair. Says why there is none: no size, nothing glued, or too cold for the glue. */
export function glueUpOf(repair: Repair, method: MethodId, shop: KnownShop): Result<GlueUp> {
  const { damage, survey, treated, chain } = repair;
  const key = methodById(method).steps.find((s) => s.glued)?.key;
  if (key === undefined)
    return { ok: false, problem: 'This repair is not glued, so there is no clock to run.' };
  if (!survey.ok) return survey;
  const main = chain?.method ?? method;
  const chosen = glueChoice(damage.body, method, main);
  const link = linkPlansOf(repair, shop).find((l) => l.method === method);
  const pressed = link?.press !== undefined || ['press', 'patch'].includes(link?.worksheet ?? '');
  const plan = pressed
    ? pressPlan(treated, method, { ...damage.body, glue: chosen }, survey.value, shop)
    : undefined;
  if (plan && !plan.ok) return plan;
  const press = plan?.value;
  const { adhesive, times } = gluing(treated, method, chosen, shop);
  if (!times.ok) return times;
  const held = chosen.held ? heldWith(chosen.held, repair, method, chosen, shop, press) : undefined;
  if (held && !held.ok) return held;
  const stages = press && !held ? stagesOf(press) : undefined;
  const grams = link && gluedGrams(link);
  const clampWords = Object.entries(link?.clamps ?? {})
    .map(([kind, count]) => `${count} × ${clampById(kind).label}`)
    .join(' and ');
  return {
    ok: true,
    value: {
      adhesive,
      times: times.value,
      ...(grams === undefined ? {} : { grams }),
      clampWords,
      key,
      ...(stages ? { stages } : {}),
      ...(press ? { press } : {}),
      ...(held ? { held: held.value } : {}),
      ...(press && !held
        ? { learns: { step: LAYING, bookMin: press.bookLayingMin / (stages?.stages.length ?? 1) } }
        : {}),
    },
  };
}

/** What has to be within reach before the glue is out, each with its size. @param length a length in words */
export function withinReach(
  { adhesive, grams, clampWords, press, held }: GlueUp,
  length: (mm: number) => string,
): string[] {
  const glue = grams === undefined ? [] : [`${adhesive.label}, ${formatSmall(grams)} g`];
  const last = ['Brush, thin knife, damp sponge', 'Everything closed once, dry'];
  if (held) return [...(clampWords ? [clampWords] : []), ...held.also, 'Release sheet', ...glue, ...last];
  if (!press)
    return [...(clampWords ? [`${clampWords}, with pads under the jaws`] : []), 'Release sheet under the clamps', ...glue, ...last]; // prettier-ignore
  const { placed, mixes } = press;
  const [caul] = placed.cauls;
  const longest = Math.max(0, ...placed.cauls.map((c) => distance(c.from, c.to)));
  const bow = caul && caul.camberMm > 0.05 ? `, bowed by ${length(caul.camberMm)}` : '';
  return [
    `${clampWords}, opened to the board and ${length(press.overBoardMm)} more`,
    ...(caul
      ? [
          `${placed.cauls.length} ${placed.cauls.length === 1 ? 'caul' : 'cauls'} ${length(caul.widthMm)} × ${length(caul.heightMm)}, ${length(longest)} long${bow}`,
        ]
      : []),
    `Platen ${length(press.platenMm)}`,
    'Release sheet, larger than the platen',
    'A block under the other jaws',
    ...glue,
    ...(mixes
      ? [`Three cups: ${mixes.map((m) => `${formatSmall(m.glueMl + m.waterMl)} ml`).join(', ')}`]
      : []),
    ...last,
  ];
}

/**
 * When the clamps for the next stage are free: at once where enough are left over, else when those of this stage come off.
 *
 * @param clampsOffAtMs moment at which the clamps of this stage come off
 */
export function nextClamps(
  { stages, press }: GlueUp,
  clampsOffAtMs: number,
): { needed: number; freeNow: number; atMs?: number } | undefined {
  const [stage] = stages?.stages ?? [];
  if (!stage || !press || (stages?.stages.length ?? 0) < 2) return undefined;
  const freeNow = Math.max(0, press.owned - stage.clamps);
  const needed = stage.clamps;
  return freeNow >= needed ? { needed, freeNow } : { needed, freeNow, atMs: clampsOffAtMs };
}
