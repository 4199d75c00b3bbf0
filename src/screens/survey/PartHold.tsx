import { useState } from 'react';
import { View } from 'react-native';
import { Circle, G } from 'react-native-svg';
import { assemblyOrder, JOINTS, OLD_GLUES, type JointId, type OldGlue } from '@/core/apart';
import type { Part } from '@/records';
import { Canvas, CheckChips, Chips, materials, Notice, Text } from '@/ui';
import { usePicture } from '@/records';
import { usePictureUrl } from '../shared/useWorkshop';

/** How a part is held, what has to be in before it, and where on a photo it was. */
export function PartHold({
  part,
  parts,
  photos,
  onChange,
}: {
  part: Part;
  parts: readonly Part[];
  photos: readonly { id: string; label: string }[];
  onChange: (patch: Partial<Part>) => void;
}) {
  const others = parts.filter((p) => p.id !== part.id);
  const order = assemblyOrder(parts);
  const stuck = !order.ok && order.parts.some((p) => p.id === part.id);
  return (
    <View style={{ gap: 16 }}>
      <Chips<JointId>
        label="How it is held"
        options={(Object.keys(JOINTS) as JointId[]).map((value) => ({ value, label: JOINTS[value].label }))}
        value={part.joint ?? 'lies'}
        onChange={(joint) => onChange({ joint })}
      />
      <Chips<OldGlue>
        label="Old glue in it"
        options={(Object.keys(OLD_GLUES) as OldGlue[]).map((value) => ({ value, label: OLD_GLUES[value] }))}
        value={part.oldGlue ?? 'none'}
        onChange={(oldGlue) => onChange({ oldGlue })}
      />
      {others.length > 0 ? (
        <View style={{ gap: 8 }}>
          <Text kind="strong">Goes in after</Text>
          <CheckChips
            label="Goes in after"
            options={others.map((p) => ({ value: p.id, label: p.label }))}
            values={part.after ?? []}
            onChange={(after) => onChange({ after })}
          />
        </View>
      ) : null}
      {stuck ? (
        <Notice kind="stop" title="It can never go in">
          {order.problem}
        </Notice>
      ) : null}
      {photos.length > 0 ? <Spot part={part} photos={photos} onChange={onChange} /> : null}
    </View>
  );
}

/** A tap on a photo where the screw or the part was. */
function Spot({
  part,
  photos,
  onChange,
}: {
  part: Part;
  photos: readonly { id: string; label: string }[];
  onChange: (patch: Partial<Part>) => void;
}) {
  const [picked, setPicked] = useState<string>();
  const shown = picked ?? part.spot?.pictureId ?? photos[0]?.id;
  const { picture } = usePicture(shown);
  const url = usePictureUrl(shown);
  const { widthPx = 1000, heightPx = 700 } = picture ?? {};
  const spot = part.spot && part.spot.pictureId === shown ? part.spot.at : undefined;
  return (
    <View style={{ gap: 8 }}>
      <Text kind="strong">Where it was</Text>
      <Text kind="quiet">{spot ? 'Tap again to move the mark.' : 'Tap the place on the photo.'}</Text>
      {photos.length > 1 ? (
        <Chips
          label="Photo"
          bare
          options={photos.map((p) => ({ value: p.id, label: p.label }))}
          value={shown}
          onChange={setPicked}
        />
      ) : null}
      {shown ? (
        <Canvas
          label={`Photo on which ${part.label} is marked`}
          content={{ width: widthPx, height: heightPx }}
          heightPx={260}
          {...(url ? { imageUrl: url } : {})}
          onTap={([x, y]) => onChange({ spot: { pictureId: shown, at: [x / widthPx, y / heightPx] } })}
        >
          {(k) =>
            spot ? (
              <G>
                <Circle
                  cx={spot[0] * widthPx}
                  cy={spot[1] * heightPx}
                  r={14 / k}
                  fill="none"
                  stroke={materials.onBadge}
                  strokeWidth={6 / k}
                />
                <Circle
                  cx={spot[0] * widthPx}
                  cy={spot[1] * heightPx}
                  r={14 / k}
                  fill="none"
                  stroke={materials.badge}
                  strokeWidth={3 / k}
                />
              </G>
            ) : null
          }
        </Canvas>
      ) : null}
    </View>
  );
}
