import { View } from 'react-native';
import useSWR from 'swr';
import type { Point } from '@/core/geometry';
import { KNOWN_SOURCE, knownWords, qualityWords, type KnownThing, type PhotoQuality } from '@/core/sight';
import { describeSource } from '@/core/sources';
import { Button, Notice, Progress, Text, useSay } from '@/ui';
import { call } from '@/worker';
import { useLatest } from '../shared/useLatest';
import { useLong } from '../shared/useLong';

/** Proposes the corners of the known thing from the photo, for a finger to correct. */
export function FindCorners({
  pictureId,
  object,
  corners,
  onFound,
}: {
  pictureId: string;
  object: KnownThing;
  corners: Point[];
  onFound: (corners: Point[]) => Promise<boolean>;
}) {
  const { going, cancel, begin } = useLong();
  const { data: quality } = useSWR<PhotoQuality, Error>(
    ['photo quality', pictureId],
    () => call('quality', { pictureId }),
    {
      revalidateOnFocus: false,
      shouldRetryOnError: false,
    },
  );
  const say = useSay();
  // An undo comes later, when the face is another record than now.
  const put = useLatest(onFound);
  const find = (near: Point[] | undefined): void =>
    begin('Looking for straight edges', async (options) => {
      const found = await call('known', { pictureId, object, near }, options);
      const moved = found.corners.length === 4;
      if (moved) await onFound(found.corners);
      say({
        text: knownWords(found, object),
        ...(moved ? { action: { label: 'Undo', run: () => void put.current(corners) } } : {}),
      });
    });
  return (
    <View style={{ gap: 8 }}>
      {(quality ? qualityWords(quality) : []).map((word) => (
        <Notice key={word} kind="stop" standing>
          {word}
        </Notice>
      ))}
      {going ? (
        <Progress label={going.label} fraction={going.fraction} onCancel={cancel} />
      ) : (
        <View style={{ flexDirection: 'row', gap: 12, flexWrap: 'wrap' }}>
          <Button label="Find it in the photo" onPress={() => find(undefined)} />
          <Button label="Move the handles onto the edges" onPress={() => find(corners)} />
        </View>
      )}
      <Text kind="quiet">{describeSource(KNOWN_SOURCE)}</Text>
    </View>
  );
}
