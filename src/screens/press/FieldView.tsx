import { StyleSheet, View } from 'react-native';
import { G, Rect } from 'react-native-svg';
import type { PressField } from '@/core/field';
import { describeSource } from '@/core/sources';
import { Figure, materials, Notice, Section, Text } from '@/ui';
import type { FieldFrame } from './useField';
import { type PressPlan } from '@/core/job';

/** From too little to too much; the legend says it in words. */
const BANDS = [
  { colour: materials.weak, label: 'too little' },
  { colour: materials.glue, label: 'enough' },
  { colour: materials.lamp, label: 'twice and more' },
  { colour: materials.crush, label: 'crushes the wood' },
] as const;

const bandOf = (kPa: number, { leastKPa, mostKPa }: { leastKPa: number; mostKPa: number }): number =>
  kPa > mostKPa ? 3 : kPa >= 2 * leastKPa ? 2 : kPa >= leastKPa ? 1 : kPa >= 0.1 * leastKPa ? 0 : -1;

/** The pressure under the platen as fields of colour on the face; cells of one band in a row are one piece. */
export function FieldMap({ frame, field }: { frame: FieldFrame; field: PressField }) {
  const { columns, rows, kPa } = field.grid;
  const { panel, target } = frame.input;
  const [dx, dy] = [panel.widthMm / (columns - 1), panel.heightMm / (rows - 1)];
  const pieces: { x: number; y: number; width: number; band: number }[] = [];
  for (let j = 0; j < rows; j++) {
    for (let i = 0; i < columns;) {
      const band = bandOf(kPa[j * columns + i] ?? 0, target);
      let end = i + 1;
      while (end < columns && bandOf(kPa[j * columns + end] ?? 0, target) === band) end++;
      if (band >= 0) pieces.push({ x: i * dx, y: j * dy, width: (end - i) * dx, band });
      i = end;
    }
  }
  return (
    <G transform={`rotate(${frame.directionDeg}) translate(${frame.originMm[0]} ${frame.originMm[1]})`}>
      {pieces.map((p) => (
        <Rect
          key={`${p.x} ${p.y}`}
          x={p.x - dx / 2}
          y={p.y - dy / 2}
          width={p.width}
          height={dy * 1.02}
          fill={BANDS[p.band]?.colour}
          opacity={0.72}
        />
      ))}
    </G>
  );
}

const kPaText = (v: number): string => String(Math.round(v));

/** The pressure in figures, and where it differs from the rule of thumb. */
export function FieldSection({
  plan,
  frame,
  field,
}: {
  plan: PressPlan;
  frame: FieldFrame;
  field: PressField;
}) {
  const rule = Math.round(100 * plan.layout.coverage);
  const share = Math.round(100 * field.coverage);
  const crushes = field.greatestKPa > frame.input.target.mostKPa;
  return (
    <Section
      title="Pressure under the platen"
      help="The platen bends and lifts off between the clamps; this is what arrives on the veneer."
    >
      <View style={styles.figures}>
        <Figure
          label="Least"
          value={kPaText(field.leastKPa)}
          unit="kPa"
          note="over the damage"
          alarm={field.leastKPa < plan.targetKPa}
        />
        <Figure label="Mean" value={kPaText(field.meanKPa)} unit="kPa" />
        <Figure
          label="Greatest"
          value={kPaText(field.greatestKPa)}
          unit="kPa"
          alarm={crushes}
          source={describeSource(frame.bed.crushingSource)}
        />
        <Figure
          label="Well pressed"
          value={String(share)}
          unit="%"
          note={`${plan.targetKPa} kPa or more`}
          source={describeSource(frame.bed.stiffnessSource)}
        />
      </View>
      <View style={styles.legend}>
        {BANDS.map((b) => (
          <View key={b.label} style={styles.key}>
            <View style={[styles.swatch, { backgroundColor: b.colour }]} />
            <Text kind="label">{b.label}</Text>
          </View>
        ))}
      </View>
      {crushes ? (
        <Notice kind="stop" title="The wood would be crushed">
          {`Under a clamp it reaches ${kPaText(field.greatestKPa)} kPa, and this wood is dented beyond ${kPaText(frame.input.target.mostKPa)} kPa. Take a thicker caul or platen, or turn the clamps less.`}
        </Notice>
      ) : null}
      <Text>
        {Math.abs(rule - share) <= 8
          ? `The 45° rule says ${rule} % is pressed; the platen agrees.`
          : share < rule
            ? `The 45° rule says ${rule} % is pressed. The platen bends: ${share} % gets enough. A thicker platen, or another clamp where the map is pale, helps.`
            : `The 45° rule says ${rule} % is pressed. The platen carries farther: ${share} % gets enough.`}
      </Text>
      {field.liftedShare > 0.02 ? (
        <Text kind="quiet">{`The platen lifts off ${Math.round(100 * field.liftedShare)} % of its area.`}</Text>
      ) : null}
    </Section>
  );
}

const styles = StyleSheet.create({
  figures: { flexDirection: 'row', flexWrap: 'wrap', gap: 16 },
  legend: { flexDirection: 'row', flexWrap: 'wrap', gap: 14 },
  key: { flexDirection: 'row', alignItems: 'center', gap: 6 },
  swatch: { width: 18, height: 18, borderRadius: 2 },
});
