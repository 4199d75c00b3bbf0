import { useState } from 'react';
import { View } from 'react-native';
import useSWR from 'swr';
import type { Point } from '@/core/geometry';
import { KNOWN_SOURCE, knownWords, qualityWords, type KnownThing, type PhotoQuality } from '@/core/sight';
import { describeSource } from '@/core/sources';
import { Button, Notice, Progress, Text } from '@/ui';
import { findKnownThing, readQuality } from '@/worker';
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
    () => readQuality(pictureId),
    {
      revalidateOnFocus: false,
      shouldRetryOnError: false,
    },
  );
  const [said, setSaid] = useState<string>();
  const find = (near: Point[] | undefined): void =>
    begin('Looking for straight edges', async (options) => {
      const found = await findKnownThing(pictureId, object, near, options);
      if (found.corners.length === 4) await onFound(found.corners);
      setSaid(knownWords(found, object));
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
      {said ? <Text live>{said}</Text> : null}
      <Text kind="quiet">{describeSource(KNOWN_SOURCE)}</Text>
    </View>
  );
}
