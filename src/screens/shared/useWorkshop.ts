import { useCallback, useEffect, useRef, useState } from 'react';
import useSWR from 'swr';
import { blendPlan, type BlendPlan, type Tones, type TopFinish } from '@/core/colour';
import { bringsWood } from '@/core/catalogue';
import {
  browserStore,
  useList,
  usePicture,
  useShop,
  type AnyStored,
  type Piece,
  type Stored,
} from '@/records';
import { rectifyFace, swatchTones, tonesAroundDamage, type FaceView } from '@/worker';
import { chainFor, isUnderPaint, linksOfChain, surroundingsOf, treatedAs, type Board } from '@/core/job';
import { viewOf } from './drawingPlaces';

/** A picture as something an image can show; let go of when it is no longer shown. */
export function usePictureUrl(id: string | undefined): string | undefined {
  const { picture } = usePicture(id);
  return picture ? `data:image/jpeg;base64,${picture.jpeg}` : undefined;
}

export type BoardPicture = { url?: string; fraction?: number; problem?: string; cancel: () => void };

/** Faces redrawn lately, so that going from page to page does not redraw them; the oldest are let go. */
const drawn = new Map<string, string>();
const MOST_DRAWN = 12;

function keepDrawn(key: string, url: string): void {
  drawn.set(key, url);
  for (const [oldKey, oldUrl] of drawn) {
    if (drawn.size <= MOST_DRAWN) break;
    drawn.delete(oldKey);
    URL.revokeObjectURL(oldUrl);
  }
}

/** The face redrawn to scale in the worker, again whenever its picture or its scale changes. */
export function useBoardPicture(board: Board | undefined, pictureId: string | undefined): BoardPicture {
  const { picture } = usePicture(pictureId);
  const [job, setJob] = useState<{ key: string; url?: string; fraction?: number; problem?: string }>();
  const stop = useRef<AbortController>(undefined);
  // The view as text is the key: the board itself is a new object at every render.
  const key = board && pictureId ? JSON.stringify({ pictureId, view: viewOf(board, '') }) : undefined;
  useEffect(() => {
    if (!picture || !key || drawn.has(key)) return;
    const { view }: { view: FaceView } = JSON.parse(key);
    const controller = new AbortController();
    stop.current = controller;
    rectifyFace(
      { ...view, jpeg: picture.jpeg },
      {
        signal: controller.signal,
        onProgress: (fraction) => setJob((j) => (controller.signal.aborted ? j : { key, fraction })),
      },
    ).then(
      (blob) => {
        const url = URL.createObjectURL(blob);
        keepDrawn(key, url);
        setJob({ key, url });
      },
      (error: unknown) => {
        if (controller.signal.aborted) return;
        setJob({ key, problem: error instanceof Error ? error.message : String(error) });
      },
    );
    return () => controller.abort();
  }, [key, picture]);
  const cancel = useCallback(() => stop.current?.abort(), []);
  const url = key === undefined ? undefined : drawn.get(key);
  const current = job?.key === key ? job : undefined;
  // While a handle has just changed the scale, the last drawing stays in sight.
  const shown = url ?? (key && !current?.problem ? job?.url : undefined);
  return {
    ...(shown ? { url: shown } : {}),
    ...(current?.fraction !== undefined ? { fraction: current.fraction } : {}),
    ...(current?.problem ? { problem: current.problem } : {}),
    cancel,
  };
}

export const jpegOf = async (id: string | undefined): Promise<string | undefined> =>
  id ? (await browserStore.get('picture', id))?.body.jpeg : undefined;

/** Tones of the stock's veneers, read from their photos in the worker. */
export function useStockTones(): { tones: ReadonlyMap<string, Tones>; photos: string; loading: boolean } {
  const { records } = useList('veneer');
  const withPicture = records.filter((v) => v.body.pictureId);
  const key = withPicture.map((v) => `${v.id}.${v.body.pictureId ?? ''}`).join(' ');
  const { data, isLoading } = useSWR(key ? ['stock-tones', key] : null, async () => {
    const entries = await Promise.all(
      withPicture.map(async (v): Promise<[string, Tones][]> => {
        const jpeg = await jpegOf(v.body.pictureId);
        return jpeg ? [[v.id, await swatchTones(jpeg)]] : [];
      }),
    );
    return new Map(entries.flat());
  });
  return { tones: data ?? new Map<string, Tones>(), photos: key, loading: isLoading };
}

const surroundings = (
  damage: Stored<'damage'>,
  face: Stored<'face'> | undefined,
  onFace: readonly Stored<'damage'>[],
) =>
  surroundingsOf(
    damage.body,
    face?.body,
    onFace.filter((d) => d.id !== damage.id).map((d) => d.body),
  );

async function readOldTones(
  damage: Stored<'damage'>,
  face: Stored<'face'>,
  onFace: readonly Stored<'damage'>[],
): Promise<Tones | undefined> {
  const jpeg = await jpegOf(face.body.picture?.id);
  const around = surroundings(damage, face, onFace);
  if (!jpeg || !around.ok) return undefined;
  const { board, outline, others } = around.value;
  return tonesAroundDamage(viewOf(board, jpeg), outline, others, board.plane.outline);
}

/** Colour of the sound wood around a damage. */
export function useOldTones(
  damage: Stored<'damage'> | undefined,
  face: Stored<'face'> | undefined,
  onFace: readonly Stored<'damage'>[],
): { tones?: Tones; loading: boolean; problem?: string } {
  const around = damage ? surroundings(damage, face, onFace) : undefined;
  const key =
    damage && face?.body.picture && around?.ok
      ? ['old-tones', damage.id, face.id, JSON.stringify(around.value), face.body.picture.id]
      : null;
  const { data, error, isLoading } = useSWR<Tones | undefined, Error>(key, () =>
    damage && face ? readOldTones(damage, face, onFace) : Promise.resolve(undefined),
  );
  return {
    ...(data ? { tones: data } : {}),
    loading: isLoading,
    ...(error ? { problem: error.message } : {}),
  };
}

export const topFinishOf = (piece: Piece): TopFinish =>
  piece.goal === 'keep' || piece.goal === 'paint' ? 'shellac' : piece.goal;

/** Every record with its revision: another text whenever one of them has changed. */
const revisions = (records: readonly AnyStored[]): string =>
  records.map((r) => `${r.id}.${r.revision}`).join(' ');

const NO_BLENDS: ReadonlyMap<string, BlendPlan> = new Map();

/** Blend plans of all damages that get new wood under a clear finish, for the bench. */
export function useBlends(): { blends: ReadonlyMap<string, BlendPlan>; loading: boolean } {
  const pieces = useList('piece');
  const faces = useList('face');
  const damages = useList('damage');
  const stock = useStockTones();
  const { shop, loading: shopLoading } = useShop();
  const loadingRecords = pieces.loading || faces.loading || damages.loading || stock.loading || shopLoading;
  const key = loadingRecords
    ? null
    : [
        'blends',
        revisions([...pieces.records, ...faces.records, ...damages.records]),
        JSON.stringify(shop),
        stock.photos,
      ];
  const { data, isLoading } = useSWR(key, async () => {
    const plans = new Map<string, BlendPlan>();
    for (const damage of damages.records) {
      const piece = pieces.records.find((p) => p.id === damage.body.pieceId);
      const face = faces.records.find((f) => f.id === damage.body.faceId);
      const bare = stock.tones.get(damage.body.patch.veneerId ?? '');
      if (!piece || !face || !bare) continue;
      const treated = treatedAs(piece.body, face.body);
      if (isUnderPaint(treated)) continue;
      const onFace = damages.records.filter((d) => d.body.faceId === face.id);
      const chain = chainFor(
        piece.body,
        face.body,
        damage.body,
        onFace.map((d) => d.body),
        shop,
      );
      if (!chain || !linksOfChain(chain).some(bringsWood)) continue;
      const old = await readOldTones(damage, face, onFace).catch(() => undefined);
      if (old) plans.set(damage.id, blendPlan(old, bare, topFinishOf(treated)));
    }
    return plans;
  });
  return { blends: data ?? NO_BLENDS, loading: loadingRecords || isLoading };
}
