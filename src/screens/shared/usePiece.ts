import { useList, useOne, type Stored } from '@/records';

export type PieceView = {
  piece?: Stored<'piece'>;
  faces: Stored<'face'>[];
  damages: Stored<'damage'>[];
  log: Stored<'log'>[];
  loading: boolean;
};

/** A piece with everything that hangs on it. */
export function usePieceView(id: string | undefined): PieceView {
  const pieces = useOne('piece', id);
  const faces = useList('face');
  const damages = useList('damage');
  const log = useList('log');
  return {
    ...(pieces.record ? { piece: pieces.record } : {}),
    faces: faces.records.filter((f) => f.body.pieceId === id),
    damages: damages.records
      .filter((d) => d.body.pieceId === id)
      .sort((a, b) => a.body.number - b.body.number),
    log: log.records
      .filter((l) => l.body.pieceId === id)
      .sort((a, b) => a.body.doneAt.localeCompare(b.body.doneAt)),
    loading: pieces.loading || faces.loading || damages.loading || log.loading,
  };
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
};

export function useDamageView(id: string | undefined): DamageView {
  const { record: damage, loading } = useOne('damage', id);
  const view = usePieceView(damage?.body.pieceId);
  const face = view.faces.find((f) => f.id === damage?.body.faceId);
  return {
    ...view,
    loading: loading || view.loading,
    ...(damage ? { damage } : {}),
    ...(face ? { face } : {}),
    onFace: face ? view.damages.filter((d) => d.body.faceId === face.id) : damage ? [damage] : [],
  };
}
