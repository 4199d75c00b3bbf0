import { useCallback, useEffect, useRef, useState } from 'react';
import useSWR from 'swr';
import type { Tones } from '@/core/colour';
import { surroundingsOf, viewOf, type Board, type Carded, type FaceView, type Repair } from '@/core/job';
import { useList, usePicture, type Stored } from '@/records';
import type { WoodCard } from '@/core/veneer';
import { call } from '@/worker';

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
  const [job, setJob] = useState<{ key: string; url?: string; fraction?: number; problem?: string }>();
  const stop = useRef<AbortController>(undefined);
  // The view as text is the key: the board itself is a new object at every render.
  const key = board && pictureId ? JSON.stringify(viewOf(board, pictureId)) : undefined;
  useEffect(() => {
    if (!key || drawn.has(key)) return;
    const view: FaceView = JSON.parse(key);
    const controller = new AbortController();
    stop.current = controller;
    call(
      'rectify',
      { view },
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
  }, [key]);
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

/** Tones of the stock's veneers, read from their photos in the worker. */
export function useStockTones(): { tones: ReadonlyMap<string, Tones>; photos: string; loading: boolean } {
  const { records } = useList('veneer');
  const withPicture = records.filter((v) => v.body.pictureId);
  const key = withPicture.map((v) => `${v.id}.${v.body.pictureId ?? ''}`).join(' ');
  const { data, isLoading } = useSWR(key ? ['stock-tones', key] : null, async () => {
    const entries = await Promise.all(
      withPicture.map(async (v): Promise<[string, Tones]> => [
        v.id,
        await call('swatchTones', { pictureId: v.body.pictureId ?? '' }),
      ]),
    );
    return new Map(entries);
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
  const pictureId = face.body.picture?.id;
  const around = surroundings(damage, face, onFace);
  if (!pictureId || !around.ok) return undefined;
  const { board, outline, others } = around.value;
  return call('tonesAround', {
    view: viewOf(board, pictureId),
    damage: outline,
    others,
    face: board.plane.outline,
  });
}

/** The colour a repair shall have: what was chosen, or that of the sound wood around it. */
export function useOldTones(
  damage: Stored<'damage'> | undefined,
  face: Stored<'face'> | undefined,
  onFace: readonly Stored<'damage'>[],
): { tones?: Tones; loading: boolean; problem?: string } {
  const aim = damage?.body.aim;
  const around = damage && !aim ? surroundings(damage, face, onFace) : undefined;
  const key =
    damage && face?.body.picture && around?.ok
      ? ['old-tones', damage.id, face.id, JSON.stringify(around.value), face.body.picture.id]
      : null;
  const { data, error, isLoading } = useSWR<Tones | undefined, Error>(key, () =>
    damage && face ? readOldTones(damage, face, onFace) : Promise.resolve(undefined),
  );
  if (aim) return { tones: aim.tones, loading: false };
  return {
    ...(data ? { tones: data } : {}),
    loading: isLoading,
    ...(error ? { problem: error.message } : {}),
  };
}

/** The card of the sound wood round a damage. */
export function useOldCard(
  damage: Stored<'damage'> | undefined,
  face: Stored<'face'> | undefined,
  onFace: readonly Stored<'damage'>[],
): { card?: WoodCard; loading: boolean; problem?: string } {
  const around = damage ? surroundings(damage, face, onFace) : undefined;
  const pictureId = face?.body.picture?.id;
  const place = around?.ok && pictureId ? around.value : undefined;
  const key = place && pictureId ? ['old-card', pictureId, JSON.stringify(place)] : null;
  const { data, error, isLoading } = useSWR<WoodCard | undefined, Error>(key, () =>
    place && pictureId
      ? call('cardAround', {
          view: viewOf(place.board, pictureId),
          damage: place.outline,
          others: place.others,
          face: place.board.plane.outline,
        })
      : Promise.resolve(undefined),
  );
  return {
    ...(data ? { card: data } : {}),
    loading: isLoading,
    ...(error ? { problem: error.message } : {}),
  };
}

/** The cards of the sound wood round several damages; those whose photo cannot be read are left out. */
export function useOldCards(
  places: readonly { damage: Stored<'damage'>; face: Stored<'face'>; onFace: readonly Stored<'damage'>[] }[],
): ReadonlyMap<string, WoodCard> {
  const seen = places.flatMap(({ damage, face, onFace }) => {
    const around = surroundings(damage, face, onFace);
    const pictureId = face.body.picture?.id;
    return around.ok && pictureId ? [{ id: damage.id, pictureId, place: around.value }] : [];
  });
  const key = seen.length > 0 ? ['old-cards', JSON.stringify(seen)] : null;
  const { data } = useSWR(key, async () => {
    const read = await Promise.all(
      seen.map(async ({ id, pictureId, place }): Promise<[string, WoodCard][]> => {
        const { board, outline, others } = place;
        const card = await call('cardAround', { view: viewOf(board, pictureId), damage: outline, others, face: board.plane.outline }).catch(() => undefined); // prettier-ignore
        return card ? [[id, card]] : [];
      }),
    );
    return new Map(read.flat());
  });
  return data ?? new Map<string, WoodCard>();
}

/** The cards of all veneers with a photo; one whose photo cannot be read has none. */
export function useStockCards(): { stock: Carded[]; loading: boolean } {
  const { records } = useList('veneer');
  const pictured = records.filter((v) => v.body.pictureId);
  const key = pictured
    .map(({ id, body: b }) => [id, b.pictureId, b.photoWideMm ?? b.alongMm, b.wipedPictureId ?? ''].join('.'))
    .join(' ');
  const { data, isLoading } = useSWR(key ? ['stock-cards', key] : null, async () => {
    const entries = await Promise.all(
      pictured.map(async ({ id, body }): Promise<[string, Omit<Carded, 'veneer'>][]> => {
        const { pictureId = '', wipedPictureId, photoWideMm, alongMm } = body;
        const [card, wiped] = await Promise.all([
          call('woodCard', { pictureId, wideMm: photoWideMm ?? alongMm }).catch(() => undefined),
          wipedPictureId
            ? call('swatchTones', { pictureId: wipedPictureId }).catch(() => undefined)
            : undefined,
        ]);
        return card ? [[id, { card, ...(wiped ? { wiped } : {}) }]] : [];
      }),
    );
    return new Map(entries.flat());
  });
  const stock = records.flatMap((veneer): Carded[] => {
    const read = data?.get(veneer.id);
    return read ? [{ veneer, ...read }] : [];
  });
  return { stock, loading: isLoading };
}

/** Colour of a damaged place itself, where it is to be toned in. */
export function usePlaceTones(
  repair: Repair | undefined,
  wanted: boolean,
): { tones?: Tones; loading: boolean; problem?: string } {
  const pictureId = repair?.face?.body.picture?.id;
  const place = wanted && repair?.survey.ok && pictureId ? repair.survey.value : undefined;
  const key =
    place && pictureId
      ? ['place-tones', JSON.stringify([viewOf(place.board, pictureId), place.outline])]
      : null;
  const { data, error, isLoading } = useSWR<Tones | undefined, Error>(key, () =>
    place && pictureId
      ? call('tonesWithin', {
          view: viewOf(place.board, pictureId),
          place: place.outline,
          face: place.board.plane.outline,
        })
      : Promise.resolve(undefined),
  );
  return {
    ...(data ? { tones: data } : {}),
    loading: isLoading,
    ...(error ? { problem: error.message } : {}),
  };
}

/** The card of a photographed sheet; nothing while it is read, or its scale is not known. */
export function useWoodCard(pictureId: string | undefined, wideMm: number | undefined): WoodCard | undefined {
  const { data } = useSWR<WoodCard, Error>(
    pictureId && wideMm !== undefined ? ['wood card', pictureId, wideMm] : null,
    () => call('woodCard', { pictureId: pictureId ?? '', wideMm: wideMm ?? 1 }),
    { shouldRetryOnError: false, revalidateOnFocus: false },
  );
  return data;
}
