import { MOVING_KINDS, type DamageFacts } from '@/core/damage';
import { areaOf } from '@/core/geometry';
import { firstMethod, rankMethods, type MethodId, type RankInput, type Ranking } from '@/core/method';
import { crackPlan, type CrackPlan } from '@/core/wood';
import type { Damage, Face, Piece, Shop } from '@/records';
import { attempt, surveyed, type Result } from './surveying';

/** The piece as it is treated on one face, which may belong to another school or end in another finish. */
export const treatedAs = (piece: Piece, face: Face | undefined): Piece =>
  face?.school || face?.goal
    ? { ...piece, school: face.school ?? piece.school, goal: face.goal ?? piece.goal }
    : piece;

/** Taken for a wood that is neither in the table nor weighed; between poplar and oak. It is shown wherever it counts. */
export const DEFAULT_GRAVITY = 0.55;

/** What a crack does over the year where the piece lives; nothing until the board and the home's air are known. */
export function crackPlanOf(
  piece: Piece,
  face: Face | undefined,
  damage: Damage,
  shop: Shop,
): Result<CrackPlan> | undefined {
  const { home } = piece;
  const { board } = damage;
  const survey = surveyed(damage, face);
  if (!home || !board || !face || !survey.ok || survey.value.gapMm === undefined) return undefined;
  const gapMm = survey.value.gapMm;
  const { closesByHand } = damage.answers;
  return attempt(() =>
    crackPlan({
      species: face.species,
      cut: board.cut,
      boardMm: board.acrossMm,
      gapMm,
      now: { temperatureC: shop.temperatureC, relativeHumidity: shop.relativeHumidity },
      ...home,
      ...(closesByHand === undefined ? {} : { closesByHand }),
      specificGravity: board.specificGravity ?? DEFAULT_GRAVITY,
    }),
  );
}

/** The facts of a damage as the rules see them: measured from its mark, and answered by the user. */
export function caseOf(
  piece: Piece,
  face: Face | undefined,
  damage: Damage,
  onFace: readonly Damage[],
  shop: Shop,
): RankInput {
  const survey = surveyed(damage, face);
  const facts: DamageFacts = { kind: damage.kind, ...damage.answers };
  if (survey.ok) {
    const { measures, atEdge, board, gapMm, diameterMm } = survey.value;
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
      ...(gapMm === undefined ? {} : { gapMm }),
      ...(diameterMm === undefined ? {} : { diameterMm }),
    });
  } else if (damage.roughAreaMm2 !== undefined) {
    facts.areaMm2 = damage.roughAreaMm2;
  }
  const crack = MOVING_KINDS.includes(damage.kind) ? crackPlanOf(piece, face, damage, shop) : undefined;
  if (crack?.ok) facts.movesMm = crack.value.movesMm;
  const { school, goal } = treatedAs(piece, face);
  const surface = face
    ? {
        build: face.build,
        show: face.show,
        finishNow: face.finishNow,
        goal,
        ...(face.build === 'solid' ? {} : { veneerMm: face.veneerMm }),
      }
    : { goal };
  const weights = shop.weights?.[school];
  return {
    damage: facts,
    surface,
    school,
    ...(weights ? { weights } : {}),
    ...(shop.materials ? { stock: shop.materials } : {}),
  };
}

export const rankingOf = (
  piece: Piece,
  face: Face | undefined,
  damage: Damage,
  onFace: readonly Damage[],
  shop: Shop,
  tonight = false,
): Result<Ranking> =>
  attempt(() =>
    rankMethods({ ...caseOf(piece, face, damage, onFace, shop), ...(tonight ? { tonight } : {}) }),
  );

/** The method chosen, or else the one recommended. */
export function methodOf(
  piece: Piece,
  face: Face | undefined,
  damage: Damage,
  onFace: readonly Damage[],
  shop: Shop,
): MethodId | undefined {
  if (damage.method) return damage.method;
  const first = attempt(() => firstMethod(caseOf(piece, face, damage, onFace, shop)));
  return first.ok ? first.value : undefined;
}
