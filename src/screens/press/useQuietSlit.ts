import useSWR from 'swr';
import type { Point } from '@/core/geometry';
import type { QuietSlit } from '@/core/glueup';
import type { Face } from '@/records';
import { call } from '@/worker';
import { closeViewOf, type Surveyed } from '@/core/job';

/** Where the photo shows the calmest place to slit a blister; nothing without a photo. */
export function useQuietSlit(survey: Surveyed, face: Face, wanted: boolean): QuietSlit | undefined {
  const pictureId = face.picture?.id;
  const { outline, grainDeg, board } = survey;
  const key = wanted && pictureId ? ['quiet-slit', pictureId, JSON.stringify([outline, grainDeg])] : null;
  const { data } = useSWR<QuietSlit | undefined, Error>(key, async () => {
    const { view, origin } = closeViewOf(board, pictureId ?? '', outline);
    const [left, top] = origin;
    return call('quietSlit', { view, loose: outline.map(([x, y]): Point => [x - left, y - top]), grainDeg });
  });
  return data;
}
