import {
  adhesiveById,
  floodMixes,
  glueQuantity,
  glueTimes,
  suggestAdhesive,
  type Adhesive,
} from '@/core/adhesive';
import type { PieceWork, RepairWork } from '@/core/bench';
import type { BlendPlan } from '@/core/colour';
import { DAMAGE_KINDS, type DamageFacts } from '@/core/damage';
import {
  areaOf,
  assertOutline,
  boundingBox,
  compose,
  facePlane,
  leavesFace,
  lineAngle,
  measureOutline,
  sidesReached,
  toFace,
  type FacePlane,
  type OutlineMeasures,
  type PictureFrame,
  type Polygon,
} from '@/core/geometry';
import { methodById, rankMethods, type MethodId, type Ranking, type RepairCase } from '@/core/method';
import {
  clampById,
  layingMinutes,
  pressLayout,
  suggestClamp,
  type ClampKind,
  type PressLayout,
} from '@/core/press';
import { sandingBudget, type SandingBudget } from '@/core/sanding';
import { PATCH_DEFAULTS, patchOutline, suggestShape, thicknessPlan, type Patch } from '@/core/veneer';
import type { Damage, Face, Piece, Shop, Stored, Veneer } from '@/records';
import type { FaceView } from '@/worker';

/** A result, or the sentence that says why there is none. */
export type Result<T> = { ok: true; value: T } | { ok: false; problem: string };

export function attempt<T>(work: () => T): Result<T> {
  try {
    return { ok: true, value: work() };
  } catch (error) {
    if (error instanceof RangeError) return { ok: false, problem: error.message };
    throw error;
  }
}

const PLAIN_BOARD_PX = 1000;

/** The picture's size, or that of a plain board for a face without a picture. */
export function frameOf(face: Face): PictureFrame {
  if (face.picture) return face.picture;
  const s = face.scale;
  const ratio = s?.kind === 'rectangle' ? s.heightMm / s.widthMm : 0.7;
  return { widthPx: PLAIN_BOARD_PX, heightPx: PLAIN_BOARD_PX * ratio };
}

export type Board = { plane: FacePlane; frame: PictureFrame; grainDeg: number };

/** The face to scale; nothing until the user has set a scale. */
export function boardOf(face: Face): Result<Board> {
  const { scale } = face;
  if (!scale) return { ok: false, problem: 'The face has no scale yet.' };
  return attempt(() => {
    const frame = frameOf(face);
    const plane = facePlane({ picture: frame, scale, faceCorners: face.faceCorners });
    const [a, b] = (face.grain ?? []).map((p) => toFace(plane, frame, p));
    return { plane, frame, grainDeg: a && b ? lineAngle(a, b) : 0 };
  });
}

const LONGEST_VIEW_PX = 1400;

/** What the worker needs to redraw a face to scale. */
export function viewOf({ plane }: Board, jpeg: string): FaceView {
  const mmPerPixel = Math.max(plane.widthMm, plane.heightMm) / LONGEST_VIEW_PX;
  return {
    jpeg,
    toSource: compose(plane.faceToPicture, [mmPerPixel, 0, 0, 0, mmPerPixel, 0, 0, 0, 1]),
    widthPx: Math.max(1, Math.round(plane.widthMm / mmPerPixel)),
    heightPx: Math.max(1, Math.round(plane.heightMm / mmPerPixel)),
    mmPerPixel,
  };
}

export const outlineMm = (damage: Damage, { plane, frame }: Board): Polygon =>
  damage.outline.map((p) => toFace(plane, frame, p));

export type Surveyed = { board: Board; outline: Polygon; measures: OutlineMeasures; atEdge: boolean };

/** A damage to scale: its outline in mm and what is measured from it. */
export function surveyed(damage: Damage, face: Face | undefined): Result<Surveyed> {
  if (!face) return { ok: false, problem: 'The damage has no face yet.' };
  const board = boardOf(face);
  if (!board.ok) return board;
  return attempt(() => {
    const outline = outlineMm(damage, board.value);
    assertOutline(outline);
    if (leavesFace(board.value.plane.outline, outline)) {
      throw new RangeError('The outline leaves the face. Drag its points back onto the wood.');
    }
    const atEdge = sidesReached(board.value.plane.outline, outline).length > 0;
    return { board: board.value, outline, measures: measureOutline(outline, board.value.grainDeg), atEdge };
  });
}

/** The facts of a damage as the rules see them: measured from its outline, and answered by the user. */
export function caseOf(
  piece: Piece,
  face: Face | undefined,
  damage: Damage,
  onFace: readonly Damage[],
): RepairCase {
  const survey = surveyed(damage, face);
  const facts: DamageFacts = { kind: damage.kind, ...damage.answers };
  if (survey.ok) {
    const { measures, atEdge, board } = survey.value;
    const damaged = onFace
      .filter((d) => d.kind === damage.kind)
      .map((d) => surveyed(d, face))
      .reduce((sum, s) => sum + (s.ok ? s.value.measures.areaMm2 : 0), 0);
    Object.assign(facts, {
      areaMm2: measures.areaMm2,
      alongMm: measures.alongMm,
      acrossMm: measures.acrossMm,
      atEdge,
      faceShare: Math.min(1, damaged / areaOf(board.plane.outline)),
    });
  } else if (damage.roughAreaMm2 !== undefined) {
    facts.areaMm2 = damage.roughAreaMm2;
  }
  const surface = face
    ? {
        build: face.build,
        show: face.show,
        finishNow: face.finishNow,
        goal: piece.goal,
        ...(face.build === 'solid' ? {} : { veneerMm: face.veneerMm }),
      }
    : { goal: piece.goal };
  return { damage: facts, surface, school: piece.school };
}

export const rankingOf = (
  piece: Piece,
  face: Face | undefined,
  damage: Damage,
  onFace: readonly Damage[],
): Result<Ranking> => attempt(() => rankMethods(caseOf(piece, face, damage, onFace)));

/** The method chosen, or else the one recommended. */
export function methodOf(
  piece: Piece,
  face: Face | undefined,
  damage: Damage,
  onFace: readonly Damage[],
): MethodId | undefined {
  if (damage.method) return damage.method;
  const ranking = rankingOf(piece, face, damage, onFace);
  return ranking.ok ? ranking.value.ranked[0]?.method : undefined;
}

export type PressPlan = {
  adhesive: Adhesive;
  why: string;
  clamp: ClampKind;
  owned: number;
  layout: PressLayout;
  /** What is pressed: the loose area, or the patch. */
  outline: Polygon;
  areaMm2: number;
  grams: number;
  targetKPa: number;
  caul: { widthMm: number; heightMm: number };
  platenMm: number;
  times: Result<{ openMin: number; clampMin: number; workableMin: number }>;
  mixes: ReturnType<typeof floodMixes> | undefined;
  layingMin: number;
};

export const ownedClamps = (shop: Shop): { kind: ClampKind; count: number }[] =>
  shop.clamps.filter((c) => c.count > 0).map((c) => ({ kind: clampById(c.id), count: c.count }));

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
    const adhesive = adhesiveById(damage.glue.adhesive ?? suggested.id);
    const face = survey.board.plane.outline;
    const isPatch = methodById(method).family === 'patch';
    const outline = isPatch ? patchFor(damage, survey, piece).recess : survey.outline;
    const owned = ownedClamps(shop);
    const suggestedClamp = suggestClamp(
      outline,
      face,
      owned.map((o) => o.kind),
    );
    const clamp = damage.glue.clamp ? clampById(damage.glue.clamp) : suggestedClamp;
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
    const count = owned.find((o) => o.kind.id === clamp.id)?.count ?? 0;
    const layout = pressLayout({
      loose: outline,
      face,
      clamp,
      clampsOwned: Math.max(1, count),
      caul,
      platenMm,
      targetKPa,
    });
    const areaMm2 = areaOf(outline);
    return {
      adhesive,
      why: suggested.why,
      clamp,
      owned: count,
      layout,
      outline,
      areaMm2,
      grams: glueQuantity(adhesive, areaMm2).grams,
      targetKPa,
      caul,
      platenMm,
      times: attempt(() => glueTimes(adhesive, shop.temperatureC)),
      mixes:
        method === 'floodAndPress' && adhesive.thinsWithWater ? floodMixes(adhesive, areaMm2) : undefined,
      layingMin: layingMinutes(areaMm2, layout.clamps.length),
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

export const damageLabel = (damage: Damage): string =>
  `${DAMAGE_KINDS[damage.kind].label}, no. ${damage.number}`;

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
    const method = methodOf(piece.body, face, d.body, onFace);
    if (!method) return [];
    const survey = surveyed(d.body, face);
    const plan = survey.ok ? pressPlan(piece.body, method, d.body, survey.value, shop) : undefined;
    const press = plan?.ok ? plan.value : undefined;
    const adhesive = press?.adhesive ?? adhesiveById(suggestAdhesive(method, piece.body.school).id);
    const here = press?.times ?? attempt(() => glueTimes(adhesive, shop.temperatureC));
    const times = here.ok ? here.value : glueTimes(adhesive, 20);
    const caution = here.ok ? {} : { caution: `${here.problem} The plan reckons with its times at 20 °C.` };
    const veneer = veneers.find((v) => v.id === d.body.patch.veneerId)?.body;
    const glued = ['reglue', 'patch'].includes(methodById(method).family);
    const count = press ? Math.min(press.layout.clamps.length, Math.max(1, press.owned)) : 0;
    const handHeld = method === 'tack';
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
                label: adhesive.label,
                clampMin: times.clampMin,
                workableMin: times.workableMin,
                ...caution,
              },
            }
          : {}),
        ...(glued && press && !handHeld && press.owned > 0
          ? { clamps: { resource: press.clamp.id, count } }
          : {}),
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

/** The neighbourhood of an outline on its face, for a drawing that shows a place rather than the whole. */
export function around(
  outline: Polygon,
  marginMm: number,
): { x: number; y: number; width: number; height: number } {
  const box = boundingBox(outline);
  return {
    x: box.left - marginMm,
    y: box.top - marginMm,
    width: box.right - box.left + 2 * marginMm,
    height: box.bottom - box.top + 2 * marginMm,
  };
}

/** A face's box, for drawings. */
export const contentOf = ({ plane }: Board): { width: number; height: number } => {
  const box = boundingBox(plane.outline);
  return { width: box.right, height: box.bottom };
};
