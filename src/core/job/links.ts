import { assumedOf, assumedWords, type Assumed } from './assumed';
import { glueTimes, heldTimes, TIMES_AT_C } from '../adhesive';
import type { GlueWork, LinkWork } from '../bench';
import { methodById, PRESSED_FAMILIES, tonesIn, USES, type MethodId } from '../catalogue';
import { drawsTogether } from '../press';
import { cautionsOf, type CautionId } from '../safety';
import { standingOf } from '../shelf';
import { formatLength } from '../units';
import { amountsOf, fittedOf, type Amount } from './amounts';
import { amountWords, materialLabel } from './amountWords';
import { linksOfChain, waysOf } from './decide';
import { gluedAreaMm2 } from './glued';
import { heldWith, heldWords, type Held } from './held';
import { letInWords } from './letInWords';
import { gluing, ownedClamps, pressPlan, type PressPlan } from './press';
import type { Repair } from './repairs';
import type { FillSum } from './fills';
import { workedSums, type WorkedSums } from './workedSums';
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
  /** What its page shows of how it was worked out. */
  sums: WorkedSums;
  /** Sizes that were taken for granted. */
  assumed: Assumed[];
  cautions: CautionId[];
  /** What holds it in place of a flat press, where that was chosen. */
  held?: Held;
  /** What its press aims at, where it is pressed. */
  press?: { targetKPa: number; clamps: number; owned: number; clampWords: string };
};

type Across = { clamps?: Record<string, number>; words?: string };

/** Clamps across a split, a joint or a let-in piece: of the kind that the shop has most of, among those that open wide enough. @param openMm nothing where any opens wide enough */
function acrossClamps(survey: Surveyed | undefined, shop: KnownShop, openMm = 0): Across {
  const owned = ownedClamps(shop);
  const [most] = owned
    .filter((c) => openMm === 0 || (drawsTogether(c.kind) && c.kind.openingMm.value >= openMm))
    .sort((a, b) => b.count - a.count);
  // 300 mm that were measured as a hair more are three, not four.
  const wanted = Math.max(1, Math.ceil((survey?.lengthMm ?? CLAMP_SPACING_MM) / CLAMP_SPACING_MM - 1e-9));
  if (most) return { clamps: { [most.kind.id]: Math.min(most.count, wanted) } };
  return owned.length > 0
    ? { words: `None of your clamps opens ${Math.ceil(openMm)} mm: tape across it, a strap with a stick, or wedges against a stop hold it.` } // prettier-ignore
    : {};
}

/** Clamps that draw a gaping joint together and hold it, as its sum has worked them out; nothing for a method without that sum. */
function closingClamps(
  { close }: WorkedSums,
  sized: Surveyed | undefined,
  shop: KnownShop,
): Across | undefined {
  if (!close) return undefined;
  const { owned, kind, plan, across, boardsMm } = close;
  const openMm = across.length > 0 ? Math.max(...across.map((c) => c.openingMm)) : boardsMm;
  if (!plan.ok || !plan.value.closes || plan.value.byHand) return acrossClamps(sized, shop, openMm);
  if (owned > 0) return { clamps: { [kind.id]: plan.value.clamps } };
  const { clamps: count, eachN } = plan.value;
  return { words: `It takes ${count} bar ${count === 1 ? 'clamp' : 'clamps'} of ${Math.ceil(eachN)} N that ${count === 1 ? 'opens' : 'open'} ${Math.ceil(openMm)} mm; you have none. Get or borrow ${count === 1 ? 'one' : 'them'} before the glue is out.` }; // prettier-ignore
}

/** The layers of a fill as its sum has worked them out. */
function layersOf({ fill: { plan, cap } = {} }: { fill?: Partial<FillSum> }): LinkWork['layers'] {
  if (!plan?.ok) return undefined;
  const underCap = cap?.ok ? cap.value.depthMm : 0;
  const { layers, depthMm } = plan.value;
  return layers.map(({ madeUpMl, sinksToMm, waitMin }) => ({
    ml: madeUpMl,
    waitMin,
    underMm: depthMm + underCap - sinksToMm,
  }));
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

/** What a press asks for that the shop has not: told wherever its clamps are told. */
function wantingWords({ layout: { clamps, outOfReach }, owned }: PressPlan): Pick<Across, 'words'> {
  if (outOfReach > 0)
    return { words: `${outOfReach} of the ${clamps.length} places lie deeper than any clamp of yours reaches: see its press page before the glue is out.` }; // prettier-ignore
  if (owned >= clamps.length) return {};
  return { words: owned === 0 ? `It takes ${clamps.length} clamps; you have none. Get or borrow them before the glue is out.` : `It asks for ${clamps.length} clamps in all; you have ${owned}.` }; // prettier-ignore
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

/** What is cut for a link, said at the step it is cut in. */
function woodWords(
  method: MethodId,
  amounts: readonly Amount[],
  { lengthUnit }: KnownShop,
): Record<string, string> {
  const { steps } = methodById(method);
  const before = steps.slice(
    0,
    steps.findIndex((s) => s.glued),
  );
  const step = before.find((s) => s.deeds.includes('cut') || s.deeds.includes('buyWood')) ?? steps[0];
  const sizes = amounts.flatMap((a) => (a.of === 'wood' ? [`${materialLabel(a)}: ${amountWords(a, (mm) => formatLength(mm, lengthUnit))}.`] : [])); // prettier-ignore
  return step && sizes.length > 0 ? { [step.key]: sizes.join(' ') } : {};
}

/** What two say of the steps, one after the other where they speak of the same. */
const saidTogether = (a: Record<string, string>, b: Record<string, string>): Record<string, string> => ({
  ...a,
  ...Object.fromEntries(
    Object.entries(b).map(([key, words]) => [key, a[key] ? `${a[key]} ${words}` : words]),
  ),
});

/** Where a place has no size, that its amounts are not known and why; nothing where none would follow from it. */
function unsizedWords({ survey }: Repair, method: MethodId, sums: WorkedSums): string | undefined {
  if (survey.ok || fittedOf(sums) || methodById(method).needs.every((m) => USES[m].by === 'tool'))
    return undefined;
  return `No size yet, so no amounts: ${survey.problem}`;
}

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
  const assumed = assumedOf(repair, method);
  const sums = workedSums(repair, method, shop);
  const amounts = amountsOf(repair, method, glued || poured ? adhesive : undefined, press, sums);
  const begins =
    assumed.length > 0
      ? `Assumed, measure it: ${assumedWords(assumed)}.`
      : unsizedWords(repair, method, sums);
  const says = saidTogether(woodWords(method, amounts, shop), letInWords(sums));
  const shown = {
    ...(Object.keys(says).length > 0 ? { says } : {}),
    ...(begins ? { begins } : {}),
    label,
    assumed,
    worksheet: worksheetOf(method),
    amounts,
    sums,
    cautions: cautionsOf([method], surfaceRisk(treated, face?.body), glued ? adhesive.id : undefined),
  };
  const areaMm2 =
    press?.areaMm2 ??
    fittedOf(sums)?.gluedMm2 ??
    (sized && glued && !pressed ? gluedAreaMm2(sized, damage.body, face?.body) / 2 : undefined) ??
    sized?.measures.areaMm2 ??
    damage.body.roughAreaMm2 ??
    UNKNOWN_AREA_MM2;
  const layers = layersOf(sums);
  // What was found to need no colour is not toned all the same.
  if (tonesIn(method) && standingOf(damage.body.tried ?? []).at === 'done')
    return { ...shown, amounts: [], method, areaMm2, unneeded: true };
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
  const { clamps, words }: Across =
    method === 'tack'
      ? {}
      : !pressed
        ? (closingClamps(sums, sized, shop) ?? acrossClamps(sized, shop))
        : press
          ? {
              ...(press.owned > 0 ? { clamps: clampsOf(press, stages?.stages.length ?? 1, shop) } : {}),
              ...wantingWords(press),
            }
          : {};
  return {
    ...shown,
    method,
    areaMm2,
    glue,
    ...(clamps ? { clamps } : {}),
    ...(words ? { heldWords: words } : {}),
    ...(press
      ? {
          stages: stages?.stages.map((s) => s.layingMin) ?? [press.layingMin],
          press: {
            targetKPa: press.targetKPa,
            clamps: press.layout.clamps.length,
            owned: press.owned,
            clampWords: press.clampWords,
          },
        }
      : {}),
  };
}

/** Glue that is laid for a link, with its waste; nothing where the old glue is warmed: the one figure that its page, the clock of the glue-up and the list show. g */
export const gluedGrams = ({ amounts }: LinkPlan): number | undefined =>
  amounts.flatMap((a) => (a.of === 'weight' ? a.grams : []))[0];

/** The links of a repair in the order of work, each worked out; none for a damage that is left as it is. */
export function linkPlansOf(repair: Repair, shop: KnownShop): LinkPlan[] {
  const { chain } = repair;
  if (!chain || chain.method === 'leave') return [];
  return linksOfChain(chain).map((method) => linkPlan(repair, method, chain.method, shop));
}
