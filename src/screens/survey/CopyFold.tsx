import { router } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { mapMark, mirrorMark, type Mark } from '@/core/damage';
import type { Point } from '@/core/geometry';
import { createRecord, type Stored } from '@/records';
import { Button, Chips, Fold, Stepper, Text } from '@/ui';
import { inPicture } from '../shared/FaceBoard';
import { useAct } from '../shared/useAct';
import type { DamageView } from '../shared/usePiece';
import { shifted, storedMark } from '@/core/job';
import { boardOf, type Board } from '@/core/job';

/** A copy is laid beside the damage so that both can be seen. mm. */
const BESIDE_MM = 20;

/** Moving a damage as a whole by numbers, copying it, and mirroring it to the other side. */
export function CopyFold({
  view,
  damage,
  board,
  mark,
  onMove,
}: {
  view: DamageView;
  damage: Stored<'damage'>;
  board: Board;
  /** In mm on the face. */
  mark: Mark;
  onMove: (by: Point) => void;
}) {
  const act = useAct();
  const [by, setBy] = useState<Point>([0, 0]);
  const [faceId, setFaceId] = useState(damage.body.faceId ?? '');
  const faces = view.faces.filter((f) => boardOf(f.body).ok);
  const copy = (made: Mark, to: Board, toFace: string): Promise<void> =>
    act(async () => {
      // What was decided, placed and begun belongs to the first one.
      const { method: _, taps: __, glueUp: ___, figures: ____, glue, ...rest } = damage.body;
      const { placed: _____, ...chosen } = glue;
      const number = Math.max(0, ...view.damages.map((d) => d.body.number)) + 1;
      const record = await createRecord('damage', {
        ...rest,
        glue: chosen,
        ...storedMark(mapMark(made, (p) => inPicture(to, p))),
        faceId: toFace,
        number,
        methodReason: '',
      });
      router.push(`/damage/${record.id}`);
    });
  const mirror = (): void => {
    const face = faces.find((f) => f.id === faceId);
    const there = face ? boardOf(face.body) : undefined;
    if (face && there?.ok) copy(mirrorMark(mark, there.value.plane.widthMm), there.value, face.id);
  };
  return (
    <Fold title="Move, copy, mirror">
      <View style={styles.row}>
        {(['right', 'down'] as const).map((way, i) => (
          <Stepper
            key={way}
            label={`Move to the ${way === 'right' ? 'right' : 'lower side'} by`}
            value={by[i] ?? 0}
            onChange={(v) => setBy(i === 0 ? [v, by[1]] : [by[0], v])}
            least={-2000}
            most={2000}
            unit="mm"
          />
        ))}
        <Button
          label="Move it"
          disabled={by[0] === 0 && by[1] === 0}
          onPress={() => {
            onMove(by);
            setBy([0, 0]);
          }}
        />
      </View>
      <Button
        label="Copy it beside"
        onPress={() => copy(shifted(mark, [BESIDE_MM, BESIDE_MM]), board, damage.body.faceId ?? '')}
      />
      <Text kind="quiet">
        A mirrored copy lies at the same place from the other edge: the matching damage of a pair of doors or
        of the other side.
      </Text>
      {faces.length > 1 ? (
        <Chips
          label="On which face?"
          options={faces.map((f) => ({ value: f.id, label: f.body.name }))}
          value={faceId}
          onChange={setFaceId}
        />
      ) : null}
      <Button label="Make a mirrored copy" onPress={mirror} />
    </Fold>
  );
}

const styles = StyleSheet.create({ row: { gap: 12 } });
