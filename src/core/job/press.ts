import {
  adhesiveById,
  FLOODED_WASTE_SHARE,
  floodMixes,
  glueQuantity,
  glueTimes,
  heldTimes,
  suggestAdhesive,
  wantedPressure,
  WASTE_SHARE,
  type Adhesive,
  type AdhesiveId,
  type GlueTimes,
} from '../adhesive';
import { methodById, type MethodId } from '../catalogue';
import { attempt, type Result } from '../check';
import { figureOf } from '../figures';
import { areaOf, type Polygon } from '../geometry';
import {
  clampById,
  layingMinutes,
  paceOf,
  placedLayout,
  pressLayout,
  suggestClamp,
  type ClampKind,
  type Pace,
  type PlacedLayout,
  type PressInput,
  type PressLayout,
} from '../press';
import { sandingBudget, type SandingBudget } from '../sanding';
import { practice, sourced, type Sourced } from '../sources';
import { ownPatch, PATCH_DEFAULTS, patchOutline, suggestShape, thicknessPlan, type Patch } from '../veneer';
import type { Ways } from '../ways';
import { isUnderPaint, waysOf } from './decide';
import type { Surveyed } from './survey';
import type { Damage, Face, GlueChoice, Piece, KnownShop, Veneer } from './types';
import { onFaceMm } from './views';

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
  /** Glue that is laid, with its waste; 0 where the old glue is warmed. */
  grams: number;
  millilitres: number;
  targetKPa: number;
  /** What clamps are counted for until the user picks another. */
  wanted: Sourced;
  caul: { widthMm: number; heightMm: number };
  platenMm: number;
  times: Result<GlueTimes>;
  mixes: ReturnType<typeof floodMixes> | undefined;
  layingMin: number;
  /** At the book's pace. */
  bookLayingMin: number;
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

const HOT_HIDE: readonly AdhesiveId[] = ['hotHideSlow', 'hotHide', 'hotHideFast'];

/** The hot hide glue that a hammer wants: the one that was chosen, else the common one. */
export const hotHideOf = (chosen: AdhesiveId | undefined): AdhesiveId =>
  HOT_HIDE.find((h) => h === chosen) ?? 'hotHide';

/** The glue of a method in this shop: the one that was chosen, else the first that would do and sets here. */
export function gluing(
  piece: Piece,
  method: MethodId,
  { adhesive: asked, held }: GlueChoice,
  { glues = {}, temperatureC }: KnownShop,
): Gluing {
  const { splitGlue, clampTime } = waysOf(piece);
  const suggested = suggestAdhesive(method, piece.school, { temperatureC, splitGlue, own: glues });
  const id = held === 'hammer' ? hotHideOf(asked) : (asked ?? suggested.id);
  const adhesive = adhesiveById(id, glues[id]);
  return {
    suggested,
    adhesive,
    times: attempt(() => heldTimes(glueTimes(adhesive, temperatureC), clampTime)),
  };
}

export const ownedClamps = (shop: KnownShop): { kind: ClampKind; count: number }[] =>
  shop.clamps
    .filter(({ id, count }) => count > 0 && clampById(id).acts === 'point')
    .map(({ id, count }) => ({ kind: clampOf(id, shop), count }));

/** A clamp kind with the force that was measured in this shop. */
export function clampOf(id: ClampKind['id'], shop: KnownShop): ClampKind {
  const value = shop.clamps.find((c) => c.id === id)?.forceN;
  const kind = clampById(id);
  return value === undefined
    ? kind
    : { ...kind, forceN: figureOf(kind.forceN, { own: { value, by: 'your own clamp' } }) };
}

/** A block under the other jaw. mm. */
export const BLOCK_MM = sourced(20, practice('a block of scrap under the other jaw'));

/** Glue and press for a damage whose method is glued. */
export function pressPlan(
  piece: Piece,
  method: MethodId,
  damage: Damage,
  survey: Surveyed,
  shop: KnownShop,
): Result<PressPlan> {
  return attempt(() => {
    const { suggested, adhesive, times } = gluing(piece, method, damage.glue, shop);
    const face = survey.board.plane.outline;
    const isPatch = methodById(method).family === 'patch';
    // A new sheet and a panel taken up whole are glued over the whole face, not over the mark.
    const outline =
      methodById(method).extent === 'face'
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
    const known = paceOf(shop);
    const pace = {
      spreadMinPer100Cm2: known.spreadMinPer100Cm2.value,
      secondsPerClamp: known.secondsPerClamp.value,
    };
    const areaMm2 = areaOf(outline);
    return {
      adhesive,
      why: adhesive.id === suggested.id ? suggested.why : `Your own choice. ${adhesive.note}`,
      clamp,
      clampWords: (kinds.length > 0 ? kinds : [clamp]).map((k) => k.label).join(' and '),
      overBoardMm: platenMm + (own?.cauls[0]?.heightMm ?? caul.heightMm) + BLOCK_MM.value,
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
      // Old glue that is warmed holds again: none is laid.
      ...(methodById(method).glue === 'oldHide'
        ? { grams: 0, millilitres: 0 }
        : glueQuantity(adhesive, areaMm2, wasteOf(waysOf(piece)))),
      targetKPa,
      wanted,
      caul,
      platenMm,
      times,
      mixes:
        method === 'floodAndPress' && adhesive.thinsWithWater ? floodMixes(adhesive, areaMm2) : undefined,
      layingMin: layingMinutes(areaMm2, layout.clamps.length, pace),
      bookLayingMin: layingMinutes(areaMm2, layout.clamps.length),
      pace,
    };
  });
}

/** The patch of a damage, with the user's own figures or the defaults. */
export function patchFor(damage: Damage, survey: Surveyed, piece: Piece): Patch {
  const { patch } = damage;
  const { board } = survey;
  if (patch.own)
    return ownPatch(
      patch.own.map((p) => onFaceMm(board, p)),
      board.plane.outline,
      board.grainDeg,
    );
  return patchOutline({
    damage: survey.outline,
    face: survey.board.plane.outline,
    grainDeg: survey.board.grainDeg,
    shape: patch.shape ?? suggestShape(survey.measures.areaMm2, isUnderPaint(piece)),
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
