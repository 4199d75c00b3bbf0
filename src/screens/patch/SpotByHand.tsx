import { View } from 'react-native';
import { Polygon } from 'react-native-svg';
import { type Point } from '@/core/geometry';
import {
  handTurn,
  patchOnSheet,
  spotFaults,
  spotHandles,
  spotWords,
  type Spot,
  type SpotSearch,
} from '@/core/job';
import { usePicture } from '@/records';
import { Button, Canvas, materials, Notice, Pixels, Text } from '@/ui';
import { call } from '@/worker';
import { useDraft } from '../shared/FaceBoard';
import { useLive } from '../shared/useLive';
import { useUnits } from '../shared/useUnits';
import { usePictureUrl } from '../shared/useWorkshop';

/** The patch dragged over the photo of its sheet, with the patched face beside it. */
export function SpotByHand({
  search,
  start,
  toned,
  onPlace,
}: {
  search: SpotSearch;
  start: Spot;
  toned: boolean;
  onPlace: (spot: Spot) => void;
}) {
  const { length } = useUnits();
  const url = usePictureUrl(search.sheet.pictureId);
  const { value: at, drag, drop } = useDraft<Spot>(start, onPlace);
  // The search is a new object at every render; as text it is the same.
  const picture = useLive(JSON.stringify([search, at, toned]), () => call('spotLook', { search, at, toned }));
  const { picture: photo } = usePicture(search.sheet.pictureId);
  const { wideMm } = search.sheet;
  if (!photo) return null;
  const tallMm = (wideMm * photo.heightPx) / photo.widthPx;
  const words = (list: readonly Point[]): string => list.map((p) => p.join(',')).join(' ');
  return (
    <View style={{ gap: 8 }}>
      <Canvas
        label="The sheet with the patch on it, to be dragged and turned"
        content={{ width: wideMm, height: tallMm }}
        heightPx={260}
        {...(url ? { imageUrl: url } : {})}
        handles={spotHandles(search.outline, at)}
        onMove={(id, to) =>
          drag(id === 'turn' ? { ...at, degrees: handTurn(at, to) } : { ...at, xMm: to[0], yMm: to[1] })
        }
        onMoveEnd={drop}
      >
        {(k) => (
          <Polygon
            points={words(patchOnSheet(search.outline, at))}
            fill={materials.lit}
            fillOpacity={0.35}
            stroke={materials.lamp}
            strokeWidth={2 / k}
          />
        )}
      </Canvas>
      <Pixels picture={picture} label="The face with the patch from where it is held" most={420} />
      <Text aria-live="polite">{`${spotWords(at, length)}.`}</Text>
      {spotFaults(search.outline, at, search.sheet, tallMm).map((fault) => (
        <Notice key={fault} kind="stop">
          {fault}
        </Notice>
      ))}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Button label="Turn it over" kind="quiet" onPress={() => onPlace({ ...at, flipped: !at.flipped })} />
        <Button
          label="End for end"
          kind="quiet"
          onPress={() => onPlace({ ...at, degrees: at.degrees > 0 ? at.degrees - 180 : at.degrees + 180 })}
        />
      </View>
    </View>
  );
}
