import {
  adhesiveById,
  floodMixes,
  glueQuantity,
  FLOODED_WASTE_SHARE,
  glueTimes,
  heldTimes,
  suggestAdhesive,
  TIMES_AT_C,
  wantedPressure,
  WASTE_SHARE,
  type Adhesive,
  type AdhesiveId,
  type GlueTimes,
} from '@/core/adhesive';
import type { FaceWork, LinkWork, PieceWork, RepairWork } from '@/core/bench';
import type { BlendPlan } from '@/core/colour';
import { areaOf, type Polygon } from '@/core/geometry';
import { methodById, type MethodFamily, type MethodId } from '@/core/catalogue';
import type { Ways } from '@/core/ways';
import {
  clampById,
  COMMON_PACE,
  layingMinutes,
  placedLayout,
  pressLayout,
  suggestClamp,
  type ClampKind,
  type Pace,
  type PlacedLayout,
  type PressInput,
  type PressLayout,
} from '@/core/press';
import { measured, sourced, type Sourced } from '@/core/sources';
import { sandingBudget, type SandingBudget } from '@/core/sanding';
import type { RiskySurface } from '@/core/safety';
import { PATCH_DEFAULTS, patchOutline, suggestShape, thicknessPlan, type Patch } from '@/core/veneer';
import type { Damage, Face, Piece, Shop, Stored, Veneer } from '@/records';
import { chainFor, linksOfChain, treatedAs, waysOf } from './deciding';
import { attempt, damageLabel, surveyed, type Result, type Surveyed } from './surveying';

/** Repairs that are pressed flat over an area. */
export const PRESSED_FAMILIES: MethodFamily[] = ['reglue', 'patch'];

export type PressPlan = {
  adhesive: Adhesive;
  why: string;
  clamp: ClampKind;
  /** The kinds in use. */
  clampWords: string;
  /** What the jaws go round beside the panel: block, platen and caul. */
  overBoardMm: number;
  /** What the shop's vacuum bag gives, if it has one. */
  bagKPa?: number;
  owned: number;
  layout: PressLayout;
  /** Where each clamp and caul stands: as the user or the search placed it, or by the rule. */
  placed: PlacedLayout;
  /** The rule's own layout is in use. */
  byRule: boolean;
  /** What is pressed: the loose area, or the patch. */
  outline: Polygon;
  areaMm2: number;
  grams: number;
  targetKPa: number;
  /** What clamps are counted for until the user picks another. */
  wanted: Sourced;
  caul: { widthMm: number; heightMm: number };
  platenMm: number;
  times: Result<GlueTimes>;
  mixes: ReturnType<typeof floodMixes> | undefined;
  layingMin: number;
  pace: Pace;
};

/** What stays outside the joint, by the way this piece is glued. */
const wasteOf = ({ glueAndForce }: Ways): typeof WASTE_SHARE =>
  glueAndForce === 'flooded' ? FLOODED_WASTE_SHARE : WASTE_SHARE;

export type Gluing = {
  suggested: ReturnType<typeof suggestAdhesive>;
  adhesive: Adhesive;
  /** At the shop's temperature, held as long as this piece's ways have it. */
  times: Result<GlueTimes>;
};

/** The glue of a method in this shop: the one that was chosen, else the first that would do and sets here. */
export function gluing(
  piece: Piece,
  method: MethodId,
  chosen: AdhesiveId | undefined,
  { glues = {}, temperatureC }: Shop,
): Gluing {
  const { splitGlue, clampTime } = waysOf(piece);
  const suggested = suggestAdhesive(method, piece.school, { temperatureC, splitGlue, own: glues });
  const id = chosen ?? suggested.id;
  const adhesive = adhesiveById(id, glues[id]);
  return {
    suggested,
    adhesive,
    times: attempt(() => heldTimes(glueTimes(adhesive, temperatureC), clampTime)),
  };
}

export const ownedClamps = (shop: Shop): { kind: ClampKind; count: number }[] =>
  shop.clamps
    .filter((c) => c.count > 0)
    .map((c) => ({ kind: clampOf(c.id, shop), count: c.count }))
    .filter((c) => c.kind.acts === 'point');

/** A clamp kind with the force that was measured in this shop. */
export function clampOf(id: ClampKind['id'], shop: Shop): ClampKind {
  const own = shop.clamps.find((c) => c.id === id)?.forceN;
  const kind = clampById(id);
  return own === undefined ? kind : { ...kind, forceN: sourced(own, measured('your own clamp')) };
}

/** A block under the other jaw. mm; common practice. */
export const BLOCK_MM = 20;

/** Repairs that lay the whole face. */
const WHOLE_FACE: readonly MethodId[] = ['reveneer', 'liftAndRelay'];

/** Glue and press for a damage whose method is glued. */
export function pressPlan(
  piece: Piece,
  method: MethodId,
  damage: Damage,
  survey: Surveyed,
  shop: Shop,
): Result<PressPlan> {
  return attempt(() => {
    const { suggested, adhesive, times } = gluing(piece, method, damage.glue.adhesive, shop);
    const face = survey.board.plane.outline;
    const isPatch = methodById(method).family === 'patch';
    // A new sheet and a panel taken up whole are glued over the whole face, not over the mark.
    const outline = WHOLE_FACE.includes(method)
      ? face
      : isPatch
        ? patchFor(damage, survey, piece).recess
        : survey.outline;
    const owned = ownedClamps(shop);
    const suggestedClamp = suggestClamp(
      outline,
      face,
      owned.map((o) => o.kind),
    );
    const own = damage.glue.placed;
    const kinds = [...new Set(own?.clamps.map((c) => c.clamp))].map((id) => clampOf(id, shop));
    const clamp = kinds[0] ?? (damage.glue.clamp ? clampOf(damage.glue.clamp, shop) : suggestedClamp);
    if (!clamp)
      throw new RangeError(
        'There are no clamps in the shop, so nothing holds the veneer down. Enter the clamps you own.',
      );
    const wanted = wantedPressure(adhesive, waysOf(piece).glueAndForce);
    const targetKPa = damage.glue.targetKPa ?? wanted.value;
    const caul = {
      widthMm: damage.glue.caulWidthMm ?? shop.caulWidthMm,
      heightMm: damage.glue.caulHeightMm ?? shop.caulHeightMm,
    };
    const platenMm = damage.glue.platenMm ?? shop.platenMm;
    const countOf = (id: ClampKind['id']): number => owned.find((o) => o.kind.id === id)?.count ?? 0;
    const count = kinds.length > 0 ? kinds.reduce((s, k) => s + countOf(k.id), 0) : countOf(clamp.id);
    const input: PressInput = {
      loose: outline,
      face,
      clamp,
      clampsOwned: Math.max(1, count),
      caul,
      platenMm,
      targetKPa,
    };
    const rule = pressLayout(input);
    const layout = own
      ? placedLayout(rule, input, own, (id) => ({
          kind: clampOf(id, shop),
          count: countOf(id),
        }))
      : rule;
    const pace = shop.pace ?? COMMON_PACE;
    const areaMm2 = areaOf(outline);
    return {
      adhesive,
      why: adhesive.id === suggested.id ? suggested.why : `Your own choice. ${adhesive.note}`,
      clamp,
      clampWords: (kinds.length > 0 ? kinds : [clamp]).map((k) => k.label).join(' and '),
      overBoardMm: platenMm + (own?.cauls[0]?.heightMm ?? caul.heightMm) + BLOCK_MM,
      ...(shop.clamps.some((c) => c.id === 'vacuum' && c.count > 0)
        ? { bagKPa: clampOf('vacuum', shop).forceN.value }
        : {}),
      owned: count,
      layout,
      placed: own ?? {
        cauls: rule.cauls.map((c) => ({ ...c, heightMm: caul.heightMm, camberMm: 0 })),
        clamps: rule.clamps.map((at) => ({ at, clamp: clamp.id, forceN: clamp.forceN.value })),
      },
      byRule: own === undefined,
      outline,
      areaMm2,
      grams: glueQuantity(adhesive, areaMm2, wasteOf(waysOf(piece))).grams,
      targetKPa,
      wanted,
      caul,
      platenMm,
      times,
      mixes:
        method === 'floodAndPress' && adhesive.thinsWithWater ? floodMixes(adhesive, areaMm2) : undefined,
      layingMin: layingMinutes(areaMm2, layout.clamps.length, pace),
      pace,
    };
  });
}

/** The patch of a damage, with the user's own figures or the defaults. */
export function patchFor(damage: Damage, survey: Surveyed, piece: Piece): Patch {
  const { patch } = damage;
  const underPaint = piece.school === 'paint' || piece.goal === 'paint';
  return patchOutline({
    damage: survey.outline,
    face: survey.board.plane.outline,
    grainDeg: survey.board.grainDeg,
    shape: patch.shape ?? suggestShape(survey.measures.areaMm2, underPaint),
    marginMm: patch.marginMm ?? PATCH_DEFAULTS.marginMm.value,
    overhangMm: patch.overhangMm ?? PATCH_DEFAULTS.overhangMm.value,
    slantDeg: patch.slantDeg ?? PATCH_DEFAULTS.slantDeg.value,
  });
}

/** The sanding budget of a face, and of a patch on it when a veneer is chosen. */
export function sandingOf(piece: Piece, face: Face, veneer?: Veneer): Result<SandingBudget> | undefined {
  if (face.build === 'solid') return undefined;
  const underPaint = piece.goal === 'paint';
  return attempt(() => {
    const proud = veneer ? Math.max(0, thicknessPlan(face.veneerMm, veneer.thicknessMm).proudMm) : 0;
    return sandingBudget(veneer?.thicknessMm ?? face.veneerMm, proud, underPaint, waysOf(piece).coarsest);
  });
}

/** Along a split or an edge joint one clamp a hand's breadth, as for pressing veneer: three on 300 mm (common practice). mm. */
const CLAMP_SPACING_MM = 100;

/** Clamps across a split, a joint or a let-in piece: of the kind that the shop has most of. */
function acrossClamps(survey: Surveyed | undefined, shop: Shop): Record<string, number> | undefined {
  const [most] = ownedClamps(shop).sort((a, b) => b.count - a.count);
  if (!most) return undefined;
  const wanted = Math.ceil((survey?.lengthMm ?? CLAMP_SPACING_MM) / CLAMP_SPACING_MM);
  return { [most.kind.id]: Math.min(most.count, Math.max(1, wanted)) };
}

/** The clamps of a layout by kind; of none more than are owned, which the press page says in red. */
function clampsOf({ placed, layout, clamp, byRule }: PressPlan, shop: Shop): Record<string, number> {
  const kinds = byRule ? layout.clamps.map(() => clamp.id) : placed.clamps.map((c) => c.clamp);
  const counts: Record<string, number> = {};
  for (const id of kinds) {
    const owned = shop.clamps.find((c) => c.id === id)?.count ?? 0;
    if ((counts[id] ?? 0) < owned) counts[id] = (counts[id] ?? 0) + 1;
  }
  return counts;
}

/** One link of a chain with its glue and clamps. Glue that cannot set at this temperature is given its times at 20 °C. */
function linkWork(
  method: MethodId,
  main: boolean,
  { piece, damage, survey, shop }: { piece: Piece; damage: Damage; survey: Result<Surveyed>; shop: Shop },
): LinkWork {
  const { family, steps } = methodById(method);
  const pressed = PRESSED_FAMILIES.includes(family) && steps.some((s) => s.glued);
  // Every link of a chain has its own glue and clamps.
  const own: Damage = main ? damage : { ...damage, glue: damage.linkGlue?.[method] ?? {} };
  const plan = survey.ok && pressed ? pressPlan(piece, method, own, survey.value, shop) : undefined;
  const press = plan?.ok ? plan.value : undefined;
  const areaMm2 = press?.areaMm2 ?? damage.roughAreaMm2 ?? 2000;
  if (!steps.some((s) => s.glued)) return { method, areaMm2 };
  const { adhesive, times: here } = gluing(piece, method, own.glue.adhesive, shop);
  const times = here.ok
    ? here.value
    : heldTimes(glueTimes(adhesive, TIMES_AT_C.value), waysOf(piece).clampTime);
  const clamps =
    method === 'tack'
      ? undefined
      : !pressed
        ? acrossClamps(survey.ok ? survey.value : undefined, shop)
        : press && press.owned > 0
          ? clampsOf(press, shop)
          : undefined;
  return {
    method,
    areaMm2,
    glue: {
      id: adhesive.id,
      label: adhesive.label,
      clampMin: times.clampMin,
      workableMin: times.workableMin,
      ...(here.ok
        ? {}
        : { caution: `${here.problem} The plan reckons with its times at ${TIMES_AT_C.value} °C.` }),
    },
    ...(clamps ? { clamps } : {}),
    ...(press ? { layingMin: press.layingMin } : {}),
  };
}

const REFRESHES: MethodId[] = ['reviveFinish', 'reoil'];

/** All of a piece's work as the bench planner takes it. */
export function workOf(
  piece: Stored<'piece'>,
  faces: readonly Stored<'face'>[],
  damages: readonly Stored<'damage'>[],
  veneers: readonly Stored<'veneer'>[],
  shop: Shop,
  blends: ReadonlyMap<string, BlendPlan>,
): PieceWork {
  const mine = damages.filter((d) => d.body.pieceId === piece.id);
  const { holds } = piece.body;
  const repairs = mine.flatMap((d): (RepairWork & { faceId?: string })[] => {
    const face = faces.find((f) => f.id === d.body.faceId)?.body;
    const onFace = mine.filter((o) => o.body.faceId === d.body.faceId).map((o) => o.body);
    const chain = chainFor(piece.body, face, d.body, onFace, shop);
    if (!chain || chain.method === 'leave') return [];
    const survey = surveyed(d.body, face);
    const veneer = veneers.find((v) => v.id === d.body.patch.veneerId)?.body;
    const blend = blends.get(d.id);
    const treated = treatedAs(piece.body, face);
    return [
      {
        damageId: d.id,
        ...(d.body.faceId ? { faceId: d.body.faceId } : {}),
        label: damageLabel(d.body),
        kind: d.body.kind,
        method: chain.method,
        chain: linksOfChain(chain).map((m) =>
          linkWork(m, m === chain.method, { piece: treated, damage: d.body, survey, shop }),
        ),
        shimSheets:
          face && veneer && face.veneerMm > 0 ? thicknessPlan(face.veneerMm, veneer.thicknessMm).sheets : 0,
        ...(blend ? { blend } : {}),
        surface: surfaceRisk(piece.body, face),
      },
    ];
  });
  const own = faces.filter((f) => f.body.pieceId === piece.id);
  const face = own[0]?.body;
  const sanding = face ? sandingOf(piece.body, face) : undefined;
  return {
    pieceId: piece.id,
    goal: piece.body.goal,
    faces: own.map((f): FaceWork => {
      const { name, build, veneerMm, species, finishNow, goal = piece.body.goal } = f.body;
      const refreshed = repairs.some((r) => r.faceId === f.id && REFRESHES.includes(r.method));
      return { name, build, veneerMm, species, finishNow, goal, refreshed: refreshed && goal === finishNow };
    }),
    ...(holds ? { holds } : {}),
    ways: waysOf(piece.body),
    repairs,
    ...(sanding?.ok ? { sanding: sanding.value } : {}),
  };
}

/** What the cautions of a step ask of the surface it is done on. */
export const surfaceRisk = (piece: Piece, face: Face | undefined): RiskySurface => ({
  ...(face ? { finishNow: face.finishNow, species: face.species } : {}),
  ...(piece.holds ? { holds: piece.holds } : {}),
});

/** Hands and clamps, as the scheduler counts them. */
export const resourcesOf = (shop: Shop): Record<string, number> => ({
  hands: shop.hands,
  ...Object.fromEntries(shop.clamps.map((c) => [c.id, c.count])),
});
