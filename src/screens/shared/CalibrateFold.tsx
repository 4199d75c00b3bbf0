import { useState } from 'react';
import { View } from 'react-native';
import { Polygon } from 'react-native-svg';
import type { Point } from '@/core/geometry';
import { UNCALIBRATED, type CalibrationCard } from '@/core/sight';
import { describeSource } from '@/core/sources';
import { createPicture, INSET_CORNERS, usePicture } from '@/records';
import { Button, Canvas, Chips, Fold, materials, Progress, Text, useSay } from '@/ui';
import { call } from '@/worker';
import type { KeptPhoto } from './keepPhoto';
import { useLatest } from './useLatest';
import { useLong } from './useLong';
import { usePictureUrl } from './useWorkshop';

type What = CalibrationCard | 'even';

const HELP: Record<What, string> = {
  grey: 'Lay a grey card flat on the wood, in its light. Drag the corners onto it.',
  chart: 'Lay a chart of four by six fields flat on the wood, in its light. Drag the corners onto its own.',
  even: 'Drag the corners round wood that is even: what still changes over it is taken for the light.',
};
const CORNERS = ['Upper left corner', 'Upper right corner', 'Lower right corner', 'Lower left corner'];

/** Sets the colours of a photo right by a card in it, or takes uneven light out of it. What comes of it is another photo; the first is handed back by an undo. */
export function CalibrateFold({
  pictureId,
  onPicture,
}: {
  pictureId: string;
  /** Takes another photo in the place of the one before. */
  onPicture: (photo: KeptPhoto) => Promise<boolean>;
}) {
  const say = useSay();
  const { picture } = usePicture(pictureId);
  const url = usePictureUrl(pictureId);
  const { going, begin } = useLong();
  // An undo comes later, when what shows the photo is another record than now.
  const put = useLatest(onPicture);
  const [what, setWhat] = useState<What>('grey');
  const [corners, setCorners] = useState<readonly Point[]>(INSET_CORNERS);
  if (!picture) return null;
  const { widthPx, heightPx } = picture;
  const run = (): void =>
    begin('Setting its colours right', async () => {
      const at = [...corners];
      const { words, ...made } = what === 'even' ? await call('evenLight', { pictureId, within: at }) : await call('calibrate', { pictureId, card: what, corners: at }); // prettier-ignore
      const id = await createPicture({ ...picture, ...made });
      if (!(await put.current({ id, widthPx: made.widthPx, heightPx: made.heightPx }))) return;
      say({
        text: words,
        action: { label: 'Undo', run: () => void put.current({ id: pictureId, widthPx, heightPx }) },
      });
    });
  return (
    <Fold title="Set its colours right">
      <Text kind="quiet">{describeSource(UNCALIBRATED)}</Text>
      <Chips
        label="By what"
        options={[
          { value: 'grey', label: 'A grey card' },
          { value: 'chart', label: 'A chart of 24 fields' },
          { value: 'even', label: 'Even wood, for uneven light' },
        ]}
        value={what}
        onChange={setWhat}
      />
      <Text>{HELP[what]}</Text>
      <Canvas
        label="The photo with the corners of the card"
        content={{ width: widthPx, height: heightPx }}
        heightPx={340}
        {...(url ? { imageUrl: url } : {})}
        handles={corners.map(([x, y], i) => ({
          id: String(i),
          label: CORNERS[i] ?? 'Corner',
          x: x * widthPx,
          y: y * heightPx,
        }))}
        onMove={(id, [x, y]) =>
          setCorners(corners.map((p, i): Point => (String(i) === id ? [x / widthPx, y / heightPx] : p)))
        }
      >
        {(k) => (
          <Polygon
            points={corners.map(([x, y]) => `${x * widthPx},${y * heightPx}`).join(' ')}
            fill={materials.lamp}
            fillOpacity={0.12}
            stroke={materials.lamp}
            strokeWidth={2 / k}
          />
        )}
      </Canvas>
      {going ? (
        <Progress label={going.label} fraction={0.5} />
      ) : (
        <View>
          <Button
            label="Set its colours right by this"
            name="Set the colours of the photo right"
            onPress={run}
          />
        </View>
      )}
    </Fold>
  );
}
