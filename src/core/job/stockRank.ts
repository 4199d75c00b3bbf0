import { attempt, type Result } from '../check';
import { memory, sourced } from '../sources';
import type { School } from '../terms';
import { rankStock, type Patch, type StockRank, type WoodCard } from '../veneer';
import { isUnderPaint } from './decide';
import type { Face, Named, Piece, Veneer } from './types';

/** Thicker veneer of an old piece was mostly sawn. mm */
const SAWN_FROM_MM = sourced(
  1,
  memory('sawn veneers are mostly thicker than a millimetre, knife-cut ones thinner'),
);

/** The school whose weights a patch is matched by. */
export const matchSchool = (piece: Piece): School => (isUnderPaint(piece) ? 'paint' : piece.school);

/** A veneer of the stock with what its photo shows. */
export type Carded = { veneer: Named<Veneer>; card: WoodCard };

/** Without a scale neither stripes nor pores can be told; what is left is compared all the same. */
const asSeen = ({ veneer, card }: Carded): Omit<WoodCard, 'pores'> & { pores?: WoodCard['pores'] } => {
  if (veneer.body.photoWideMm !== undefined) return card;
  const { pores: _pores, periodMm: _period, ...rest } = card;
  return rest;
};

/**
 * The stock ranked for a patch, best first.
 *
 * @param old card of the sound wood round the damage
 */
export const rankForPatch = (
  old: WoodCard,
  patch: Pick<Patch, 'alongMm' | 'acrossMm'>,
  face: Face,
  piece: Piece,
  stock: readonly Carded[],
): Result<StockRank> =>
  attempt(() =>
    rankStock({
      target: {
        ...old,
        alongMm: patch.alongMm,
        acrossMm: patch.acrossMm,
        cut: face.veneerMm >= SAWN_FROM_MM.value ? 'sawn' : 'knife',
        ...(face.period ? { period: face.period } : {}),
      },
      stock: stock.map((s) => {
        const { thicknessMm, alongMm, acrossMm, cut, period } = s.veneer.body;
        return {
          ...asSeen(s),
          id: s.veneer.id,
          thicknessMm,
          alongMm,
          acrossMm,
          ...(cut ? { cut } : {}),
          ...(period ? { period } : {}),
        };
      }),
      thicknessMm: face.veneerMm,
      school: matchSchool(piece),
    }),
  );
