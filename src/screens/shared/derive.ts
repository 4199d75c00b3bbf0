import {
  adhesiveById,
  floodMixes,
  glueQuantity,
  glueTimes,
  suggestAdhesive,
  type Adhesive,
  type AdhesiveId,
  type GlueTimes,
} from '@/core/adhesive';
import type { PieceWork, RepairWork } from '@/core/bench';
import type { BlendPlan } from '@/core/colour';
import { areaOf, type Polygon } from '@/core/geometry';
import { methodById, type MethodFamily, type MethodId } from '@/core/method';
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
import { measured, sourced } from '@/core/sources';
import { sandingBudget, type SandingBudget } from '@/core/sanding';
import { PATCH_DEFAULTS, patchOutline, suggestShape, thicknessPlan, type Patch } from '@/core/veneer';
import type { Damage, Face, Piece, Shop, Stored, Veneer } from '@/records';
import { methodOf, treatedAs } from './deciding';
import { attempt, damageLabel, surveyed, type Result, type Surveyed } from './surveying';

/** Repairs whose glue is waited for, and those of them that are pressed flat over an area. */
const GLUED_FAMILIES: MethodFamily[] = ['reglue', 'patch', 'structure', 'letIn'];
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
  caul: { widthMm: number; heightMm: number };
  platenMm: number;
  times: Result<GlueTimes>;
  mixes: ReturnType<typeof floodMixes> | undefined;
  layingMin: number;
  pace: Pace;
};

/** A glue as it is in this shop. */
const glueOf = (id: AdhesiveId, shop: Shop): Adhesive => adhesiveById(id, shop.glues?.[id]);

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

/** Glue and press for a damage whose method is glued. */
export function pressPlan(
  piece: Piece,
  method: MethodId,
  damage: Damage,
  survey: Surveyed,
  shop: Shop,
): Result<PressPlan> {
  return attempt(() => {
    const suggested = suggestAdhesive(method, piece.school);
    const adhesive = glueOf(damage.glue.adhesive ?? suggested.id, shop);
    const face = survey.board.plane.outline;
    const isPatch = methodById(method).family === 'patch';
    const outline = isPatch ? patchFor(damage, survey, piece).recess : survey.outline;
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
    const targetKPa = damage.glue.targetKPa ?? adhesive.leastPressureKPa.value;
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
      grams: glueQuantity(adhesive, areaMm2).grams,
      targetKPa,
      caul,
      platenMm,
      times: attempt(() => glueTimes(adhesive, shop.temperatureC)),
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
    return sandingBudget(veneer?.thicknessMm ?? face.veneerMm, proud, underPaint);
  });
}

/** Along a split or an edge joint one clamp a hand's breadth, as for pressing veneer: three on 300 mm (common practice). mm. */
const CLAMP_SPACING_MM = 100;

/** Clamps across a split, a joint or a let-in piece: of the kind that the shop has most of. */
function acrossClamps(
  survey: Surveyed | undefined,
  shop: Shop,
): { resource: string; count: number } | undefined {
  const [most] = ownedClamps(shop).sort((a, b) => b.count - a.count);
  if (!most) return undefined;
  const wanted = Math.ceil((survey?.lengthMm ?? CLAMP_SPACING_MM) / CLAMP_SPACING_MM);
  return { resource: most.kind.id, count: Math.min(most.count, Math.max(1, wanted)) };
}

/** All of a piece's work as the bench planner takes it. Glue that cannot set at this temperature is given its times at 20 °C. */
export function workOf(
  piece: Stored<'piece'>,
  faces: readonly Stored<'face'>[],
  damages: readonly Stored<'damage'>[],
  veneers: readonly Stored<'veneer'>[],
  shop: Shop,
  blends: ReadonlyMap<string, BlendPlan>,
): PieceWork {
  const mine = damages.filter((d) => d.body.pieceId === piece.id);
  const repairs = mine.flatMap((d): RepairWork[] => {
    const face = faces.find((f) => f.id === d.body.faceId)?.body;
    const onFace = mine.filter((o) => o.body.faceId === d.body.faceId).map((o) => o.body);
    const method = methodOf(piece.body, face, d.body, onFace, shop);
    const treated = treatedAs(piece.body, face);
    if (!method) return [];
    const survey = surveyed(d.body, face);
    const { family } = methodById(method);
    const pressed = PRESSED_FAMILIES.includes(family);
    const plan = survey.ok && pressed ? pressPlan(treated, method, d.body, survey.value, shop) : undefined;
    const press = plan?.ok ? plan.value : undefined;
    const adhesive = press?.adhesive ?? glueOf(suggestAdhesive(method, treated.school).id, shop);
    const here = press?.times ?? attempt(() => glueTimes(adhesive, shop.temperatureC));
    const times = here.ok ? here.value : glueTimes(adhesive, 20);
    const caution = here.ok ? {} : { caution: `${here.problem} The plan reckons with its times at 20 °C.` };
    const veneer = veneers.find((v) => v.id === d.body.patch.veneerId)?.body;
    const glued = GLUED_FAMILIES.includes(family);
    const count = press ? Math.min(press.layout.clamps.length, Math.max(1, press.owned)) : 0;
    const handHeld = method === 'tack';
    const clamps =
      !glued || handHeld
        ? undefined
        : pressed
          ? press && press.owned > 0
            ? { resource: press.clamp.id, count }
            : undefined
          : acrossClamps(survey.ok ? survey.value : undefined, shop);
    const blend = blends.get(d.id);
    return [
      {
        damageId: d.id,
        label: damageLabel(d.body),
        method,
        areaMm2: press?.areaMm2 ?? d.body.roughAreaMm2 ?? 2000,
        ...(glued
          ? {
              glue: {
                id: adhesive.id,
                label: adhesive.label,
                clampMin: times.clampMin,
                workableMin: times.workableMin,
                ...caution,
              },
            }
          : {}),
        ...(clamps ? { clamps } : {}),
        shimSheets:
          face && veneer && face.veneerMm > 0 ? thicknessPlan(face.veneerMm, veneer.thicknessMm).sheets : 0,
        powderyGlueLine: d.body.answers.glueLine === 'powdery',
        ...(blend ? { blend } : {}),
      },
    ];
  });
  const face = faces.find((f) => f.body.pieceId === piece.id)?.body;
  const sanding = face ? sandingOf(piece.body, face) : undefined;
  return {
    pieceId: piece.id,
    school: piece.body.school,
    goal: piece.body.goal,
    finishNowIsPaint: face?.finishNow === 'paint',
    repairs,
    ...(sanding?.ok ? { sanding: sanding.value } : {}),
  };
}

/** Hands and clamps, as the scheduler counts them. */
export const resourcesOf = (shop: Shop): Record<string, number> => ({
  hands: shop.hands,
  ...Object.fromEntries(shop.clamps.map((c) => [c.id, c.count])),
});
