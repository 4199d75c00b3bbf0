import { useEffect, useMemo, useState } from 'react';
import { Image, StyleSheet, View } from 'react-native';
import Svg, { Polygon } from 'react-native-svg';
import { sheetPhoto, spotSearch, spotWords, surroundingsOf, type Spot } from '@/core/job';
import { describeSource } from '@/core/sources';
import { PLACE_SOURCE } from '@/core/spot';
import { lengthBetween } from '@/core/units';
import type { Patch } from '@/core/veneer';
import type { Stored } from '@/records';
import {
  BeforeAfter,
  Button,
  Chips,
  LengthField,
  LitCard,
  materials,
  Notice,
  Progress,
  Section,
  Text,
} from '@/ui';
import { call, type FoundSpots } from '@/worker';
import { useChange } from '../shared/useChange';
import { SpotByHand } from './SpotByHand';
import { useLong } from '../shared/useLong';
import { useUnits } from '../shared/useUnits';

type Look = 'asCut' | 'toned';

/** The best spots on the photo of the chosen veneer, each shown on the face before anything is cut. */
export function SpotSection({
  damage,
  face,
  onFace,
  patch,
  veneer,
}: {
  damage: Stored<'damage'>;
  face: Stored<'face'>;
  onFace: readonly Stored<'damage'>[];
  patch: Patch;
  veneer: Stored<'veneer'>;
}) {
  const change = useChange();
  const { unit, length } = useUnits();
  const { going, cancel, begin } = useLong();
  const [found, setFound] = useState<FoundSpots>();
  const [look, setLook] = useState<Look>('toned');
  const [byHand, setByHand] = useState(false);
  const [seam, setSeam] = useState<'hidden' | 'shown'>('hidden');
  const { pictureId, photoWideMm } = veneer.body;
  const facePhoto = face.body.picture?.id;
  const { spot } = damage.body.patch;
  const others = onFace.filter((o) => o.id !== damage.id).map((o) => o.body);
  const place = surroundingsOf(damage.body, face.body, others);
  if (!pictureId || !facePhoto || !place.ok) return null;
  const search = spotSearch(
    place.value,
    facePhoto,
    patch,
    sheetPhoto(veneer.body, pictureId, photoWideMm ?? 1, damage.id),
  );
  const take = ({ xMm, yMm, degrees, flipped }: Spot): void =>
    void change(damage, { patch: { ...damage.body.patch, spot: { xMm, yMm, degrees, flipped } } });
  return (
    <Section title="The best spot on it" help={describeSource(PLACE_SOURCE)}>
      <LengthField
        label="The photo of the sheet shows, from left to right"
        help="Photograph it square on, its grain running from left to right, with a rule along the lower edge."
        valueMm={photoWideMm ?? 0}
        unit={unit}
        check={lengthBetween('What the photo shows', 5, 5000)}
        onChange={(mm) => {
          setFound(undefined);
          void change(veneer, { photoWideMm: mm });
        }}
      />
      {photoWideMm === undefined ? (
        <Notice kind="rest">
          Say how much of the sheet its photo shows; then spots can be compared to scale.
        </Notice>
      ) : going ? (
        <Progress label={going.label} fraction={going.fraction} onCancel={cancel} />
      ) : (
        <Button
          label={found ? 'Look again' : 'Find the best spot'}
          onPress={() =>
            begin('Comparing every place of the sheet', async (options) =>
              setFound(await call('spots', search, options)),
            )
          }
        />
      )}
      {spot ? <Text kind="strong">{`Taken: ${spotWords(spot, length)}.`}</Text> : null}
      {photoWideMm === undefined ? null : byHand ? (
        <SpotByHand
          search={search}
          start={spot ?? { xMm: photoWideMm / 2, yMm: photoWideMm / 2, degrees: 0, flipped: false }}
          toned={look === 'toned'}
          onPlace={take}
        />
      ) : (
        <Button label="Place it by hand" kind="quiet" onPress={() => setByHand(true)} />
      )}
      {found ? (
        <>
          <Chips
            label="Look at it"
            options={[
              { value: 'asCut', label: 'As it is cut' },
              { value: 'toned', label: 'Its colour brought near' },
            ]}
            value={look}
            onChange={setLook}
          />
          <Chips
            label="Seam"
            options={[
              { value: 'hidden', label: 'Not drawn' },
              { value: 'shown', label: 'Drawn' },
            ]}
            value={seam}
            onChange={setSeam}
          />
          {found.spots.map((s, i) => (
            <LitCard
              key={`${s.placement.xMm} ${s.placement.yMm}`}
              eyebrow={`${Math.round(100 * (1 - s.placement.seamError))} of 100 alike`}
              title={`Spot ${i + 1}`}
            >
              <Composite
                before={found.before}
                after={s[look]}
                size={found}
                outline={seam === 'shown' ? search.outline : undefined}
                name={`spot ${i + 1}`}
              />
              <Text>{`${spotWords(s.placement, length)}.`}</Text>
              <Button label="Take this spot" name={`Take spot ${i + 1}`} onPress={() => take(s.placement)} />
            </LitCard>
          ))}
        </>
      ) : null}
    </Section>
  );
}

function useBlobUrl(blob: Blob): string {
  const url = useMemo(() => URL.createObjectURL(blob), [blob]);
  useEffect(() => () => URL.revokeObjectURL(url), [url]);
  return url;
}

/** The face before and with the patch, the one over the other. */
function Composite({
  before,
  after,
  size,
  outline,
  name,
}: {
  before: Blob;
  after: Blob;
  size: { widthMm: number; heightMm: number };
  outline: readonly (readonly [number, number])[] | undefined;
  name: string;
}) {
  const [was, will] = [useBlobUrl(before), useBlobUrl(after)];
  const { widthMm, heightMm } = size;
  return (
    <BeforeAfter
      label={`Before and with the patch from ${name}: drag the line`}
      aspect={widthMm / heightMm}
      most={420}
      before={<Image source={{ uri: was }} accessibilityLabel="The face before" style={styles.whole} />}
      after={
        <>
          <Image
            source={{ uri: will }}
            accessibilityLabel={`The face with the patch from ${name}, its grain from left to right`}
            style={styles.whole}
          />
          {outline ? (
            <View style={StyleSheet.absoluteFill}>
              <Svg width="100%" height="100%" viewBox={`0 0 ${widthMm} ${heightMm}`}>
                <Polygon
                  points={outline.map((p) => p.join(',')).join(' ')}
                  fill="none"
                  stroke={materials.lamp}
                  strokeWidth={widthMm / 160}
                />
              </Svg>
            </View>
          ) : null}
        </>
      }
    />
  );
}

const styles = StyleSheet.create({ whole: { width: '100%', height: '100%' } });
