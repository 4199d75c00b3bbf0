import { View } from 'react-native';
import type { Point, Polygon } from '@/core/geometry';
import { viewOf, type Board } from '@/core/job';
import { describeSource } from '@/core/sources';
import { GRAIN_SOURCE, grainWords } from '@/core/veneer';
import { Button, Text, useSay } from '@/ui';
import { call } from '@/worker';
import { useLatest } from '../shared/useLatest';
import { useAct } from '../shared/useAct';

/** Proposes the way of the grain from the photo, for a finger to correct. */
export function ReadGrain({
  board,
  pictureId,
  within,
  now,
  onPut,
}: {
  board: Board;
  pictureId: string | undefined;
  /** What is read, mm on the face. */
  within: Polygon;
  /** What stands there now: a direction, or an arrow in the picture. */
  now: number | Point[];
  onPut: (way: number | Point[]) => Promise<boolean>;
}) {
  const act = useAct();
  const say = useSay();
  // An undo comes later, when the face is another record than now.
  const put = useLatest(onPut);
  if (!pictureId) return null;
  const read = (): Promise<void> =>
    act(async () => {
      const found = await call('grain', { view: viewOf(board, pictureId), within });
      await onPut(found.degrees);
      say({ text: grainWords(found), action: { label: 'Undo', run: () => void put.current(now) } });
    });
  return (
    <View style={{ gap: 8 }}>
      <Button label="Read it from the photo" onPress={read} />
      <Text kind="quiet">{describeSource(GRAIN_SOURCE)}</Text>
    </View>
  );
}
