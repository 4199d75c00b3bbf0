import type { MethodId } from '../catalogue';
import { attempt, type Result } from '../check';
import { MOVING_KINDS, type DamageFacts } from '../damage';
import { areaOf } from '../geometry';
import { chainOf, rankMethods, type Chain, type RankInput, type Ranking } from '../method';
import { memory } from '../sources';
import { waysFor, type Ways } from '../ways';
import { crackPlan, type CrackPlan } from '../wood';
import { surveyed } from './survey';
import type { Damage, Face, Piece, KnownShop } from './types';

/** The piece as it is treated on one face, which may belong to another school or end in another finish. */
export const treatedAs = (piece: Piece, face: Face | undefined): Piece =>
  face?.school || face?.goal
    ? { ...piece, school: face.school ?? piece.school, goal: face.goal ?? piece.goal }
    : piece;

/** Whether paint will cover the work, so that nothing of it needs its colour; of a piece as it is treated on a face. */
export const isUnderPaint = ({ school, goal }: Piece): boolean => school === 'paint' || goal === 'paint';

/** The ways a piece takes where practitioners differ: its school's, or what was switched to. */
export const waysOf = (piece: Piece): Ways => waysFor(piece.school, piece.ways);

/** Taken for a wood that is neither in the table nor weighed; between poplar and oak. It is shown wherever it counts. */
export const DEFAULT_GRAVITY = 0.55;
export const DEFAULT_GRAVITY_SOURCE = memory('between poplar and oak');

/** What a crack does over the year where the piece lives; nothing until the board and the home's air are known. */
export function crackPlanOf(
  piece: Piece,
  face: Face | undefined,
  damage: Damage,
  shop: KnownShop,
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
  shop: KnownShop,
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
  const { underPaint } = waysOf({ ...piece, school });
  const surface = face
    ? {
        underPaint,
        build: face.build,
        show: face.show,
        finishNow: face.finishNow,
        goal,
        ...(face.build === 'solid' ? {} : { veneerMm: face.veneerMm }),
      }
    : { goal, underPaint };
  const weights = shop.weights?.[school];
  return {
    damage: facts,
    surface,
    school,
    ...(weights ? { weights } : {}),
    ...(shop.materials ? { stock: shop.materials } : {}),
    ...(damage.links ? { links: damage.links } : {}),
  };
}

export const rankingOf = (
  piece: Piece,
  face: Face | undefined,
  damage: Damage,
  onFace: readonly Damage[],
  shop: KnownShop,
  tonight = false,
): Result<Ranking> =>
  attempt(() =>
    rankMethods({ ...caseOf(piece, face, damage, onFace, shop), ...(tonight ? { tonight } : {}) }),
  );

/** Its methods in the order of work. */
export const linksOfChain = ({ first, method, then }: Chain): MethodId[] => [...first, method, ...then];

/** The chain of the method chosen, or else of the one recommended; nothing while the facts cannot be ranked. */
export function chainFor(
  piece: Piece,
  face: Face | undefined,
  damage: Damage,
  onFace: readonly Damage[],
  shop: KnownShop,
): Chain | undefined {
  const chain = attempt(() => chainOf(caseOf(piece, face, damage, onFace, shop), damage.method));
  if (chain.ok) return chain.value;
  return damage.method ? { first: [], method: damage.method, then: [] } : undefined;
}

/** The method chosen, or else the one recommended. */
export const methodOf = (
  piece: Piece,
  face: Face | undefined,
  damage: Damage,
  onFace: readonly Damage[],
  shop: KnownShop,
): MethodId | undefined => damage.method ?? chainFor(piece, face, damage, onFace, shop)?.method;
