import type { Result } from '../check';
import type { Chain } from '../method';
import { chainFor, treatedAs } from './decide';
import { surveyed, type Surveyed } from './survey';
import type { Damage, Face, Named, Piece, KnownShop } from './types';

/** A damage with what is decided for it: the second stage of a job. */
export type Repair = {
  damage: Named<Damage>;
  face?: Named<Face>;
  /** All damages of the same face, this one too. */
  onFace: Damage[];
  survey: Result<Surveyed>;
  /** The piece as it is treated on this face. */
  treated: Piece;
  /** The chain of the method chosen, or else of the one that comes first; nothing while it cannot be ranked. */
  chain?: Chain;
};

/** What is decided for one damage of a piece. */
export function repairOf(
  piece: Named<Piece>,
  faces: readonly Named<Face>[],
  damages: readonly Named<Damage>[],
  damage: Named<Damage>,
  shop: KnownShop,
): Repair {
  const { faceId } = damage.body;
  const face = faces.find((f) => f.id === faceId);
  const onFace = damages.filter((o) => o.body.pieceId === piece.id && o.body.faceId === faceId).map((o) => o.body); // prettier-ignore
  const chain = chainFor(piece.body, face?.body, damage.body, onFace, shop);
  return {
    damage,
    ...(face ? { face } : {}),
    onFace,
    survey: surveyed(damage.body, face?.body),
    treated: treatedAs(piece.body, face?.body),
    ...(chain ? { chain } : {}),
  };
}

/** What is decided for every damage of a piece, in the order of their numbers. */
export const repairsOf = (
  piece: Named<Piece>,
  faces: readonly Named<Face>[],
  damages: readonly Named<Damage>[],
  shop: KnownShop,
  tick: () => void = () => undefined,
): Repair[] =>
  damages
    .filter((d) => d.body.pieceId === piece.id)
    .sort((a, b) => a.body.number - b.body.number)
    .map((d) => {
      tick();
      return repairOf(piece, faces, damages, d, shop);
    });
