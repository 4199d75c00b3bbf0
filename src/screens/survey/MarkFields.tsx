import { StyleSheet, View } from 'react-native';
import { MARK_LIMITS_MM, markPoints, type Mark } from '@/core/damage';
import type { Point } from '@/core/geometry';
import { Button, LengthField, Text } from '@/ui';
import { PAPER_MM } from '@/core/veneer';
import { useUnits } from '../shared/useUnits';

const within =
  (what: string, { least, most }: { least: number; most: number }) =>
  (mm: number): void => {
    if (mm < least || mm > most) throw new RangeError(`${what} must lie between ${least} mm and ${most} mm.`);
  };

/** The sizes that belong to a mark beside its points. Sizes do not depend on where the points are measured. */
export function SizeFields({ mark, onChange }: { mark: Mark; onChange: (mark: Mark) => void }) {
  const { unit, length } = useUnits();
  const { width, size } = MARK_LIMITS_MM;
  switch (mark.tool) {
    case 'area':
      return null;
    case 'line':
      return (
        <LengthField
          label="Width of the crack"
          help={`Slide slips of paper in: a sheet of office paper is about ${length(PAPER_MM.value)}. Or lay a rule across.`}
          valueMm={mark.widthMm}
          unit={unit}
          check={within('The width', width)}
          onChange={(widthMm) => onChange({ ...mark, widthMm })}
        />
      );
    case 'circle':
      return (
        <LengthField
          label="Diameter"
          help="Try drill bits in it: the one that just fits."
          valueMm={mark.diameterMm}
          unit={unit}
          check={within('The diameter', size)}
          onChange={(diameterMm) => onChange({ ...mark, diameterMm })}
        />
      );
    case 'edge':
      return (
        <LengthField
          label="How far it reaches in from the edge"
          valueMm={mark.reachMm}
          unit={unit}
          check={within('The reach', size)}
          onChange={(reachMm) => onChange({ ...mark, reachMm })}
        />
      );
    case 'corner':
      return (
        <View style={styles.row}>
          {(['before', 'after'] as const).map((side, i) => (
            <LengthField
              key={side}
              label={`Length along the edge ${side} the corner`}
              help="Going round the face clockwise."
              valueMm={mark.legsMm[i] ?? 0}
              unit={unit}
              check={within('The length', size)}
              onChange={(mm) =>
                onChange({ ...mark, legsMm: i === 0 ? [mm, mark.legsMm[1]] : [mark.legsMm[0], mm] })
              }
            />
          ))}
        </View>
      );
  }
}

/** The points of a mark by numbers, for whoever does not drag. */
export function PointFields({
  mark,
  onMove,
  onRemove,
  onAdd,
}: {
  mark: Mark;
  onMove: (index: number, to: Point) => void;
  onRemove: (index: number) => void;
  onAdd: () => void;
}) {
  const { unit } = useUnits();
  const points = markPoints(mark);
  const grows = mark.tool === 'area' || mark.tool === 'line';
  return (
    <>
      <Text kind="quiet">From the top left corner of the face, to the right and down.</Text>
      {points.map(({ label, at: [x, y] }, i) => {
        const name = grows ? `Point ${i + 1}` : label;
        return (
          <View key={i} style={styles.point}>
            <LengthField
              label={`${name}, right`}
              valueMm={Math.max(0, x)}
              unit={unit}
              onChange={(mm) => onMove(i, [mm, y])}
            />
            <LengthField
              label={`${name}, down`}
              valueMm={Math.max(0, y)}
              unit={unit}
              onChange={(mm) => onMove(i, [x, mm])}
            />
            {grows ? (
              <Button
                label="Remove"
                name={`Remove point ${i + 1}`}
                kind="quiet"
                onPress={() => onRemove(i)}
              />
            ) : null}
          </View>
        );
      })}
      {grows || points.length === 0 ? <Button label="Add a point" onPress={onAdd} /> : null}
    </>
  );
}

const styles = StyleSheet.create({
  row: { gap: 12 },
  point: { flexDirection: 'row', gap: 8, flexWrap: 'wrap', alignItems: 'flex-end' },
});
