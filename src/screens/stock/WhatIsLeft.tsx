import { View } from 'react-native';
import { G, Polygon } from 'react-native-svg';
import { areaOf, areaOfAll, differenceOf, type Point } from '@/core/geometry';
import { inSheet, sheetFrame, sheetMm, withCorner } from '@/core/job';
import { usePicture, type Stored } from '@/records';
import { Button, Canvas, materials, Row, Section, Text, useSay } from '@/ui';
import { useDraft } from '../shared/FaceBoard';
import { useAct } from '../shared/useAct';
import { useChange } from '../shared/useChange';
import { useLatest } from '../shared/useLatest';
import { useUnits } from '../shared/useUnits';
import { usePictureUrl } from '../shared/useWorkshop';

const points = (outline: readonly Point[]): string => outline.map((p) => p.join(',')).join(' ');

/** The outline of what is left of a sheet, dragged on its photo, and the holes that cut patches left. */
export function WhatIsLeft({ veneer }: { veneer: Stored<'veneer'> }) {
  const { body } = veneer;
  const { area } = useUnits();
  const act = useAct();
  const say = useSay();
  const change = useChange();
  const { picture } = usePicture(body.pictureId);
  const url = usePictureUrl(body.photoWideMm === undefined ? undefined : body.pictureId);
  const frame = sheetFrame(body, picture);
  const { outline, holes } = sheetMm(body, frame);
  const { value, drag, drop } = useDraft<readonly Point[]>(outline, (to) =>
    act(() => {
      if (areaOf(to) < 1) throw new RangeError('That outline encloses nothing. Drag its corners apart.');
      return change(veneer, { outline: inSheet(to, frame) });
    }),
  );
  const cuts = body.cuts ?? [];
  const put = useLatest((to: typeof cuts) => change(veneer, { cuts: to }));
  const back = (index: number): Promise<void> =>
    act(async () => {
      if (!(await put.current(cuts.filter((_, i) => i !== index)))) return;
      say({
        text: 'The piece is whole there again.',
        action: { label: 'Undo', run: () => void put.current(cuts) },
      });
    });
  if (body.pictureId && !picture) return null;
  return (
    <Section
      title="What is left of it"
      help="Drag the corners onto its rim: patches are only laid where there is veneer."
    >
      <Canvas
        label="The sheet to scale, its grain from left to right, with the outline of what is left"
        content={{ width: frame.wideMm, height: frame.tallMm }}
        heightPx={Math.min(340, 80 + (340 * frame.tallMm) / frame.wideMm)}
        {...(url ? { imageUrl: url } : {})}
        handles={value.map(([x, y], i) => ({ id: String(i), label: `Corner ${i + 1}`, x, y }))}
        onMove={(id, [x, y]) =>
          drag(
            value.map((p, i): Point =>
              String(i) === id
                ? [Math.min(frame.wideMm, Math.max(0, x)), Math.min(frame.tallMm, Math.max(0, y))]
                : p,
            ),
          )
        }
        onMoveEnd={drop}
      >
        {(k) => (
          <G>
            <Polygon
              points={points(value)}
              fill={url ? 'none' : materials.veneer}
              stroke={materials.lamp}
              strokeWidth={2 / k}
            />
            {holes.map((hole) => (
              <Polygon
                key={points(hole)}
                points={points(hole)}
                fill={materials.paper}
                stroke={materials.shade}
                strokeWidth={1 / k}
              />
            ))}
          </G>
        )}
      </Canvas>
      <Text>{`${area(areaOfAll(differenceOf([value], holes)))} are left.`}</Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Button
          label="Add a corner"
          kind="quiet"
          onPress={() => change(veneer, { outline: inSheet(withCorner(value), frame) })}
        />
        {body.outline ? (
          <Button
            label="All of it again"
            kind="quiet"
            onPress={() => change(veneer, { outline: undefined })}
          />
        ) : null}
      </View>
      {cuts.length > 0 ? (
        <View>
          {cuts.map((cut, i) => (
            <View key={JSON.stringify(cut.outline)} style={{ gap: 4 }}>
              <Row
                title={`Hole ${i + 1}`}
                detail="A patch was cut here."
                value={area(areaOf(holes[i] ?? []))}
                last
              />
              <Button
                label="It was not cut"
                name={`Hole ${i + 1} was not cut`}
                kind="quiet"
                onPress={() => back(i)}
              />
            </View>
          ))}
        </View>
      ) : null}
    </Section>
  );
}
