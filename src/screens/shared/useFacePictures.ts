import { useState } from 'react';
import { boardOf, viewOf } from '@/core/job';
import { call } from '@/worker';
import { useAct } from './useAct';
import type { PieceView } from './usePiece';

/** JPEGs of the faces of a piece, redrawn square on, by face. */
export type FacePictures = Map<string, Uint8Array>;

/** Work that needs the faces of a piece drawn square on, and how far they are while that goes on. */
export function useFacePictures(view: PieceView): {
  /** Share of the faces drawn; none while nothing is asked for. */
  progress?: number;
  withFaces: (work: (faces: FacePictures) => Promise<void> | void) => void;
} {
  const act = useAct();
  const [progress, setProgress] = useState<number>();
  const draw = async (): Promise<FacePictures> => {
    const drawn: FacePictures = new Map();
    for (const [i, face] of view.faces.entries()) {
      setProgress(i / view.faces.length);
      const board = boardOf(face.body);
      const pictureId = face.body.picture?.id;
      if (!board.ok || !pictureId) continue;
      // A photo that is gone or cannot be opened is left out; the drawing of the face stands without it.
      const blob = await call('rectify', { view: viewOf(board.value, pictureId) }).catch(() => undefined);
      if (blob) drawn.set(face.id, new Uint8Array(await blob.arrayBuffer()));
    }
    return drawn;
  };
  return {
    ...(progress === undefined ? {} : { progress }),
    withFaces: (work) =>
      act(async () => {
        setProgress(0);
        try {
          await work(await draw());
        } finally {
          setProgress(undefined);
        }
      }),
  };
}
