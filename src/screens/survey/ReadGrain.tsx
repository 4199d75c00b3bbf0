import { useState } from 'react';
import { View } from 'react-native';
import type { Polygon } from '@/core/geometry';
import { viewOf, type Board } from '@/core/job';
import { describeSource } from '@/core/sources';
import { GRAIN_SOURCE, grainWords } from '@/core/veneer';
import { Button, Text } from '@/ui';
import { grainInPhoto } from '@/worker';
import { useAct } from '../shared/useAct';

/** Proposes the way of the grain from the photo, for a finger to correct. */
export function ReadGrain({
  board,
  pictureId,
  within,
  onRead,
}: {
  board: Board;
  pictureId: string | undefined;
  /** What is read, mm on the face. */
  within: Polygon;
  onRead: (degrees: number) => Promise<boolean>;
}) {
  const act = useAct();
  const [said, setSaid] = useState<string>();
  if (!pictureId) return null;
  const read = (): void =>
    act(async () => {
      const found = await grainInPhoto(viewOf(board, pictureId), within);
      await onRead(found.degrees);
      setSaid(grainWords(found));
    });
  return (
    <View style={{ gap: 8 }}>
      <Button label="Read it from the photo" onPress={read} />
      {said ? <Text live>{said}</Text> : null}
      <Text kind="quiet">{describeSource(GRAIN_SOURCE)}</Text>
    </View>
  );
}
