import { useMemo } from 'react';
import useSWR from 'swr';
import type { Point } from '@/core/geometry';
import { frameOf } from '@/core/job';
import { CATCH, caught, type PhotoCorner } from '@/core/sight';
import type { Stored } from '@/records';
import type { CanvasProps } from '@/ui';
import { call } from '@/worker';

/** Lets a handle that is dragged over a face's photo lie down on a corner seen in it. Places are pixels of the photo. */
export function useCornersToCatch(face: Stored<'face'> | undefined): CanvasProps['catchOn'] {
  const pictureId = face?.body.picture?.id;
  const { data: corners } = useSWR<PhotoCorner[], Error>(
    pictureId ? ['corners of a photo', pictureId] : null,
    () => call('corners', { pictureId: pictureId ?? '' }),
    { revalidateOnFocus: false, shouldRetryOnError: false },
  );
  return useMemo(() => {
    if (!face || !corners) return undefined;
    const { widthPx, heightPx } = frameOf(face.body);
    const places = corners.map(({ at: [x, y] }): Point => [x * widthPx, y * heightPx]);
    return (at, pixelsPerUnit) => caught(at, places, CATCH.px / pixelsPerUnit);
  }, [face, corners]);
}
