import { useMemo } from 'react';
import type { MethodId } from '@/core/method';
import { useList, useOne, useShop, type Piece, type Shop, type Stored } from '@/records';
import { methodOf, treatedAs } from './deciding';

export type PieceView = {
  piece?: Stored<'piece'>;
  faces: Stored<'face'>[];
  damages: Stored<'damage'>[];
  log: Stored<'log'>[];
  shop: Shop;
  loading: boolean;
};

/** A piece with everything that hangs on it. */
export function usePieceView(id: string | undefined): PieceView {
  const pieces = useOne('piece', id);
  const faces = useList('face');
  const damages = useList('damage');
  const log = useList('log');
  const { shop, loading: shopLoading } = useShop();
  return {
    ...(pieces.record ? { piece: pieces.record } : {}),
    faces: faces.records.filter((f) => f.body.pieceId === id),
    damages: damages.records
      .filter((d) => d.body.pieceId === id)
      .sort((a, b) => a.body.number - b.body.number),
    log: log.records
      .filter((l) => l.body.pieceId === id)
      .sort((a, b) => a.body.doneAt.localeCompare(b.body.doneAt)),
    shop,
    loading: pieces.loading || faces.loading || damages.loading || log.loading || shopLoading,
  };
}

/** Any piece with everything that hangs on it, for lists: the records are sorted by piece once. */
export function usePieceViews(): (piece: Stored<'piece'>) => PieceView & { piece: Stored<'piece'> } {
  const faces = useList('face');
  const damages = useList('damage');
  const log = useList('log');
  const { shop } = useShop();
  const byPiece = useMemo(
    () => ({
      faces: grouped(faces.records),
      damages: grouped(damages.records),
      log: grouped(log.records),
    }),
    [faces.records, damages.records, log.records],
  );
  const loading = faces.loading || damages.loading || log.loading;
  return (piece) => ({
    piece,
    faces: byPiece.faces.get(piece.id) ?? [],
    damages: byPiece.damages.get(piece.id) ?? [],
    log: byPiece.log.get(piece.id) ?? [],
    shop,
    loading,
  });
}

function grouped<R extends { body: { pieceId: string } }>(records: readonly R[]): ReadonlyMap<string, R[]> {
  const groups = new Map<string, R[]>();
  for (const r of records) {
    const group = groups.get(r.body.pieceId);
    if (group) group.push(r);
    else groups.set(r.body.pieceId, [r]);
  }
  return groups;
}

export type FaceView = PieceView & { face?: Stored<'face'>; onFace: Stored<'damage'>[] };

export function useFaceView(id: string | undefined): FaceView {
  const { record: face, loading } = useOne('face', id);
  const view = usePieceView(face?.body.pieceId);
  return {
    ...view,
    loading: loading || view.loading,
    ...(face ? { face } : {}),
    onFace: view.damages.filter((d) => d.body.faceId === id),
  };
}

export type DamageView = PieceView & {
  damage?: Stored<'damage'>;
  face?: Stored<'face'>;
  /** All damages of the same face, this one too. */
  onFace: Stored<'damage'>[];
  /** The piece as it is treated on this face. */
  treated?: Piece;
  /** The method chosen, or else the one recommended. */
  method?: MethodId;
};

export function useDamageView(id: string | undefined): DamageView {
  const { record: damage, loading } = useOne('damage', id);
  const view = usePieceView(damage?.body.pieceId);
  const face = view.faces.find((f) => f.id === damage?.body.faceId);
  const onFace = face ? view.damages.filter((d) => d.body.faceId === face.id) : damage ? [damage] : [];
  const { piece, shop } = view;
  const method =
    damage && piece
      ? methodOf(
          piece.body,
          face?.body,
          damage.body,
          onFace.map((d) => d.body),
          shop,
        )
      : undefined;
  return {
    ...view,
    loading: loading || view.loading,
    ...(damage ? { damage } : {}),
    ...(face ? { face } : {}),
    onFace,
    ...(piece ? { treated: treatedAs(piece.body, face?.body) } : {}),
    ...(method ? { method } : {}),
  };
}
