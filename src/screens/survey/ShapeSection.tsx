import { View } from 'react-native';
import { bandLengthMm, type FaceShape } from '@/core/geometry';
import type { Face, Stored } from '@/records';
import { Button, Chips, LengthField, Section, Text } from '@/ui';
import { useAct } from '../shared/useAct';
import { useUnits } from '../shared/useUnits';
import { boardOf } from '@/core/job';

const SHAPES: Record<FaceShape['kind'], string> = {
  rectangle: 'Rectangle',
  round: 'Circle or oval',
  halfRound: 'Half-round',
  polygon: 'Many-sided',
  band: 'Edge band',
};

/** A many-sided face begins as an octagon; its corners are dragged after. */
const OCTAGON = Array.from({ length: 8 }, (_, i): [number, number] => {
  const a = Math.PI / 8 + (i * Math.PI) / 4;
  const r = 0.5 / Math.cos(Math.PI / 8);
  return [0.5 - r * Math.cos(a), 0.5 - r * Math.sin(a)];
});

const START: Record<FaceShape['kind'], FaceShape> = {
  rectangle: { kind: 'rectangle' },
  round: { kind: 'round' },
  halfRound: { kind: 'halfRound', straight: 'top' },
  polygon: { kind: 'polygon', corners: OCTAGON },
  band: { kind: 'band', round: false },
};

/** The outline of the face inside the box that its photo or its size gives. */
export function ShapeSection({
  face,
  others,
  onChange,
}: {
  face: Stored<'face'>;
  /** The other faces of the piece, whose edge this one may be. */
  others: readonly Stored<'face'>[];
  onChange: (patch: Partial<Face>) => void;
}) {
  const { length } = useUnits();
  const shape = face.body.shape ?? START.rectangle;
  return (
    <Section title="Shape" help="The handles of the scale stand for the box round it.">
      <Chips<FaceShape['kind']>
        label="Shape of the face"
        bare
        options={(Object.keys(SHAPES) as FaceShape['kind'][]).map((k) => ({ value: k, label: SHAPES[k] }))}
        value={shape.kind}
        onChange={(kind) => onChange({ shape: START[kind] })}
      />
      {shape.kind === 'halfRound' ? (
        <Chips
          label="Where is its straight side?"
          options={[
            { value: 'top', label: 'At the top of the picture' },
            { value: 'bottom', label: 'At the bottom' },
          ]}
          value={shape.straight}
          onChange={(straight) =>
            onChange({ shape: { kind: 'halfRound', straight: straight === 'top' ? 'top' : 'bottom' } })
          }
        />
      ) : null}
      {shape.kind === 'polygon' ? (
        <PolygonCorners
          corners={shape.corners}
          onChange={(corners) => onChange({ shape: { kind: 'polygon', corners } })}
          face={face}
        />
      ) : null}
      {shape.kind === 'band' ? (
        <View style={{ gap: 12 }}>
          <Text kind="quiet">
            The narrow edge of a top, unrolled to a strip: its length is the way round, its height the
            thickness.
          </Text>
          <Chips
            label="Does it run all the way round?"
            options={[
              { value: true, label: 'Round, its ends meet' },
              { value: false, label: 'Straight' },
            ]}
            value={shape.round}
            onChange={(round) => onChange({ shape: { kind: 'band', round } })}
          />
          {face.body.picture
            ? null
            : others.map((o) => {
                const board = boardOf(o.body);
                if (!board.ok) return null;
                const { widthMm, heightMm } = board.value.plane;
                const run = bandLengthMm(widthMm, heightMm, shape.round);
                return (
                  <Button
                    key={o.id}
                    label={`It is the edge of ${o.body.name}: ${length(run)} long`}
                    onPress={() =>
                      onChange({
                        scale: {
                          kind: 'rectangle',
                          object: 'face',
                          corners: [[0, 0], [1, 0], [1, 1], [0, 1]],
                          widthMm: Math.min(5000, run),
                          heightMm: o.body.boardMm ?? 20,
                        },
                      })
                    } // prettier-ignore
                  />
                );
              })}
        </View>
      ) : null}
    </Section>
  );
}

/** Corners of a many-sided face by numbers, from the top left of its box. */
function PolygonCorners({
  corners,
  face,
  onChange,
}: {
  corners: readonly (readonly [number, number])[];
  face: Stored<'face'>;
  onChange: (corners: (readonly [number, number])[]) => void;
}) {
  const act = useAct();
  const { unit } = useUnits();
  const board = boardOf(face.body);
  if (!board.ok)
    return <Text kind="quiet">Set the scale first; then its corners can be given in lengths.</Text>;
  const { widthMm, heightMm } = board.value.plane;
  const put = (i: number, p: readonly [number, number]): void =>
    onChange(corners.map((c, k) => (k === i ? p : c)));
  const inside = (mm: number, most: number): void => {
    if (mm < 0 || mm > most) throw new RangeError('A corner lies inside the box of the face.');
  };
  return (
    <View style={{ gap: 8 }}>
      {corners.map(([x, y], i) => (
        <View key={i} style={{ flexDirection: 'row', gap: 8, flexWrap: 'wrap', alignItems: 'flex-end' }}>
          <LengthField
            label={`Corner ${i + 1}, right`}
            valueMm={x * widthMm}
            unit={unit}
            check={(mm) => inside(mm, widthMm)}
            onChange={(mm) => put(i, [mm / widthMm, y])}
          />
          <LengthField
            label={`Corner ${i + 1}, down`}
            valueMm={y * heightMm}
            unit={unit}
            check={(mm) => inside(mm, heightMm)}
            onChange={(mm) => put(i, [x, mm / heightMm])}
          />
          {corners.length > 3 ? (
            <Button
              label="Remove"
              name={`Remove corner ${i + 1}`}
              kind="quiet"
              onPress={() => act(() => onChange(corners.filter((_, k) => k !== i)))}
            />
          ) : null}
        </View>
      ))}
      <Button
        label="Add a corner"
        onPress={() =>
          act(() => {
            const [first, last] = [corners[0] ?? [0, 0], corners[corners.length - 1] ?? [1, 1]];
            onChange([...corners, [(first[0] + last[0]) / 2, (first[1] + last[1]) / 2]]);
          })
        }
      />
    </View>
  );
}
