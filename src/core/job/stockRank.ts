import { attempt, type Result } from '../check';
import type { Tones } from '../colour';
import { memory, sourced } from '../sources';
import type { School } from '../terms';
import { rankStock, STOCK_PARTS, type Patch, type StockPart, type StockRank, type WoodCard } from '../veneer';
import { isUnderPaint } from './decide';
import type { Face, Named, Piece, Veneer } from './types';

/** Thicker veneer of an old piece was mostly sawn. mm */
const SAWN_FROM_MM = sourced(
  1,
  memory('sawn veneers are mostly thicker than a millimetre, knife-cut ones thinner'),
);

/** The school whose weights a patch is matched by. */
export const matchSchool = (piece: Piece): School => (isUnderPaint(piece) ? 'paint' : piece.school);

/** A veneer of the stock with what its photo shows, and what a photo of it wiped with spirits does. */
export type Carded = { veneer: Named<Veneer>; card: WoodCard; wiped?: Tones };

/** As it looks under a clear finish, where that was photographed: so the old wood is seen too. */
const asWiped = ({ card, wiped }: Carded): WoodCard =>
  wiped
    ? {
        ...card,
        contrast: wiped.ground[0] - wiped.line[0],
        tones: { ground: wiped.ground, mid: wiped.mean, line: wiped.line },
      }
    : card;

/** Without a scale neither stripes nor pores can be told; what is left is compared all the same. */
const asSeen = (sheet: Carded): Omit<WoodCard, 'pores'> & { pores?: WoodCard['pores'] } => {
  const card = asWiped(sheet);
  if (sheet.veneer.body.photoWideMm !== undefined) return card;
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

/** A patch of the same piece, with what is round it. */
export type PatchToMatch = { damageId: string; old: WoodCard; patch: Pick<Patch, 'alongMm' | 'acrossMm' | 'areaMm2'>; face: Face }; // prettier-ignore

/**
 * The stock ranked for several patches of a piece that shall come from one sheet: scores and their parts weighed by the patches' areas, the
 * worst colour difference of them, and what speaks against it anywhere.
 */
export function rankForPiece(patches: readonly PatchToMatch[], piece: Piece, stock: readonly Carded[]): Result<StockRank> {
  return attempt(() => {
    const each = patches.map(({ old, patch, face }) => {
      const ranked = rankForPatch(old, patch, face, piece, stock);
      if (!ranked.ok) throw new RangeError(ranked.problem);
      return { area: patch.areaMm2, ranked: ranked.value.ranked };
    });
    const all = each.reduce((sum, e) => sum + e.area, 0);
    const ranked = stock.flatMap(({ veneer }) => {
      const scores = each.flatMap((e) => e.ranked.filter((r) => r.id === veneer.id).map((r) => ({ share: e.area / all, r })));
      const [first] = scores;
      if (!first) return [];
      const mean = (of: (r: StockRank['ranked'][number]) => number): number => scores.reduce((sum, { share, r }) => sum + share * of(r), 0);
      const small = scores.filter(({ r }) => r.parts.fit === 0).length;
      const { figure, pore, colour, thickness, fit } = first.r.parts;
      const parts = { figure, pore, colour, thickness, fit };
      for (const part of Object.keys(STOCK_PARTS).filter((p): p is StockPart => p in parts)) parts[part] = mean((r) => r.parts[part]);
      return [{
        id: veneer.id,
        score: mean((r) => r.score),
        parts,
        deltaE00: Math.max(...scores.map(({ r }) => r.deltaE00)),
        shims: Math.max(...scores.map(({ r }) => r.shims)),
        why: [
          ...(small > 0 ? [`Too small for ${small} of the ${scores.length} patches.`] : []),
          ...new Set(scores.flatMap(({ r }) => r.why).filter((w) => !w.startsWith('Too small'))),
        ],
      }];
    });
    return { ranked: ranked.sort((a, b) => b.score - a.score || a.id.localeCompare(b.id)) };
  });
} // prettier-ignore
