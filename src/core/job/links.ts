import { glueTimes, heldTimes, TIMES_AT_C } from '../adhesive';
import type { GlueWork, LinkWork } from '../bench';
import { methodById, PRESSED_FAMILIES, type MethodId } from '../catalogue';
import { cautionsOf, type CautionId } from '../safety';
import { amountsOf, fittedOf, type Amount } from './amounts';
import { linksOfChain, waysOf } from './decide';
import { gluedAreaMm2 } from './glued';
import { heldWith, heldWords, type Held } from './held';
import { gluing, ownedClamps, pressPlan, type PressPlan } from './press';
import type { Repair } from './repairs';
import { closeOf, CLOSING_CLAMP, fillOf, sumsOf } from './sums';
import { stagesOf } from './stages';
import type { Surveyed } from './survey';
import { surfaceRisk } from './risk';
import type { Damage, KnownShop } from './types';
import { glueChoice, worksheetOf, type Worksheet } from './worksheet';

/** Along a split or an edge joint one clamp a hand's breadth, as for pressing veneer: three on 300 mm (common practice). mm. */
const CLAMP_SPACING_MM = 100;
/** Taken where a damage has no size yet. mm². */
const UNKNOWN_AREA_MM2 = 2000;

/** One method of a repair worked out: what its page, the bench and the record say of it. */
export type LinkPlan = LinkWork & {
  label: string;
  worksheet: Worksheet;
  amounts: Amount[];
  cautions: CautionId[];
  /** What holds it in place of a flat press, where that was chosen. */
  held?: Held;
  /** What its press aims at, where it is pressed. */
  press?: { targetKPa: number; grams: number; clamps: number; owned: number; clampWords: string };
};

/** Clamps across a split, a joint or a let-in piece: of the kind that the shop has most of. */
function acrossClamps(survey: Surveyed | undefined, shop: KnownShop): Record<string, number> | undefined {
  const [most] = ownedClamps(shop).sort((a, b) => b.count - a.count);
  if (!most) return undefined;
  // 300 mm that were measured as a hair more are three, not four.
  const wanted = Math.ceil((survey?.lengthMm ?? CLAMP_SPACING_MM) / CLAMP_SPACING_MM - 1e-9);
  return { [most.kind.id]: Math.min(most.count, Math.max(1, wanted)) };
}

/** Bar clamps that draw a gaping joint together, as its sum has worked them out; nothing where hands draw it together, it stays open, or none is owned. */
function closingClamps(
  repair: Repair,
  method: MethodId,
  shop: KnownShop,
): Record<string, number> | undefined {
  if (!sumsOf(method).includes('close')) return undefined;
  const { owned, plan } = closeOf(repair, shop);
  return owned > 0 && plan.ok && plan.value.closes && !plan.value.byHand
    ? { [CLOSING_CLAMP]: plan.value.clamps }
    : undefined;
}

/** The layers of a fill as its sum has worked them out. */
function layersOf(repair: Repair, method: MethodId): LinkWork['layers'] {
  const plan = fillOf(repair, method)?.plan;
  if (!plan?.ok) return undefined;
  const { layers, depthMm } = plan.value;
  return layers.map(({ toMm, waitMin }) => ({ waitMin, underMm: depthMm - toMm }));
}

/** The clamps of a layout by kind, of one of its stages; of none more than are owned, which the press page says in red. */
function clampsOf({ placed, layout, clamp, byRule }: PressPlan, stages: number, shop: KnownShop) {
  const kinds = byRule ? layout.clamps.map(() => clamp.id) : placed.clamps.map((c) => c.clamp);
  const counts: Record<string, number> = {};
  for (const id of new Set(kinds)) {
    const owned = shop.clamps.find((c) => c.id === id)?.count ?? 0;
    const all = kinds.filter((k) => k === id).length;
    const count = Math.min(owned, Math.ceil(all / stages));
    if (count > 0) counts[id] = count;
  }
  return counts;
}

/** The glue of a link. Glue that cannot set at this temperature is given its times at 20 °C, and says so. */
function glueOf({ treated }: Repair, method: MethodId, chosen: Damage['glue'], shop: KnownShop) {
  const { adhesive, times: here } = gluing(treated, method, chosen, shop);
  const times = here.ok
    ? here.value
    : heldTimes(glueTimes(adhesive, TIMES_AT_C.value), waysOf(treated).clampTime);
  const caution = here.ok
    ? {}
    : { caution: `${here.problem} The plan reckons with its times at ${TIMES_AT_C.value} °C.` };
  const glue: GlueWork = {
    id: adhesive.id,
    label: adhesive.label,
    clampMin: times.clampMin,
    workableMin: times.workableMin,
    ...caution,
  };
  return { adhesive, glue };
}

/** Of no kind more than the shop owns: what is missing stands in its words. */
const ownedOf = (clamps: Record<string, number>, shop: KnownShop): Record<string, number> =>
  Object.fromEntries(
    Object.entries(clamps)
      .map(([id, n]): [string, number] => [id, Math.min(n, shop.clamps.find((c) => c.id === id)?.count ?? 0)])
      .filter(([, n]) => n > 0),
  );

function linkPlan(repair: Repair, method: MethodId, main: MethodId, shop: KnownShop): LinkPlan {
  const { damage, face, survey, treated } = repair;
  const { family, label, steps } = methodById(method);
  const glued = steps.some((s) => s.glued);
  const pressed = PRESSED_FAMILIES.includes(family) && glued;
  // Every link of a chain has its own glue and clamps.
  const chosen = glueChoice(damage.body, method, main);
  const plan =
    survey.ok && pressed
      ? pressPlan(treated, method, { ...damage.body, glue: chosen }, survey.value, shop)
      : undefined;
  const press = plan?.ok ? plan.value : undefined;
  const poured = worksheetOf(method) === 'joint';
  const { adhesive, glue } = glueOf(repair, method, chosen, shop);
  const sized = survey.ok ? survey.value : undefined;
  const shown = {
    label,
    worksheet: worksheetOf(method),
    amounts: amountsOf(repair, method, glued || poured ? adhesive : undefined, press),
    cautions: cautionsOf([method], surfaceRisk(treated, face?.body), glued ? adhesive.id : undefined),
  };
  const areaMm2 =
    press?.areaMm2 ??
    (sized && glued && !pressed ? gluedAreaMm2(sized, damage.body, face?.body) / 2 : undefined) ??
    fittedOf(repair, method)?.gluedMm2 ??
    sized?.measures.areaMm2 ??
    damage.body.roughAreaMm2 ??
    UNKNOWN_AREA_MM2;
  const layers = layersOf(repair, method);
  if (!glued) return { ...shown, method, areaMm2, ...(layers ? { layers } : {}) };
  const heldNow = chosen.held ? heldWith(chosen.held, repair, method, chosen, shop, press) : undefined;
  const held = heldNow?.ok ? heldNow.value : undefined;
  if (held)
    return {
      ...shown,
      method,
      areaMm2,
      glue,
      clamps: ownedOf(held.clamps, shop),
      held,
      heldWords: heldWords(held),
      ...(held.handMin === undefined ? {} : { stages: [held.handMin] }),
    };
  const stages = press ? stagesOf(press) : undefined;
  const clamps =
    method === 'tack'
      ? undefined
      : !pressed
        ? (closingClamps(repair, method, shop) ?? acrossClamps(sized, shop))
        : press && press.owned > 0
          ? clampsOf(press, stages?.stages.length ?? 1, shop)
          : undefined;
  return {
    ...shown,
    method,
    areaMm2,
    glue,
    ...(clamps ? { clamps } : {}),
    ...(press
      ? {
          stages: stages?.stages.map((s) => s.layingMin) ?? [press.layingMin],
          press: {
            targetKPa: press.targetKPa,
            grams: press.grams,
            clamps: press.layout.clamps.length,
            owned: press.owned,
            clampWords: press.clampWords,
          },
        }
      : {}),
  };
}

/** The links of a repair in the order of work, each worked out; none for a damage that is left as it is. */
export function linkPlansOf(repair: Repair, shop: KnownShop): LinkPlan[] {
  const { chain } = repair;
  if (!chain || chain.method === 'leave') return [];
  return linksOfChain(chain).map((method) => linkPlan(repair, method, chain.method, shop));
}
