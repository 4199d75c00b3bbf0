import { StyleSheet, View } from 'react-native';
import { VENEER_LOSS_KINDS } from '@/core/damage';
import { areaOf, perimeterOf } from '@/core/geometry';
import { describeSource } from '@/core/sources';
import { formatMinutes } from '@/core/units';
import { breakEven, PATCH_RATES_SOURCE, type BreakEven } from '@/core/veneer';
import type { Stored } from '@/records';
import { Figure, Fold, Text, useTheme } from '@/ui';
import { useUnits } from '../shared/useUnits';
import { boardOf, surveyed } from '@/core/job';

/** The losses of a face as patches, against one new sheet; nothing when the face has none to scale. */
export function breakEvenOf(
  face: Stored<'face'>,
  onFace: readonly Stored<'damage'>[],
): { result: BreakEven; losses: number } | undefined {
  const board = boardOf(face.body);
  if (!board.ok || face.body.build === 'solid') return undefined;
  const losses = onFace
    .filter((d) => VENEER_LOSS_KINDS.includes(d.body.kind))
    .flatMap((d) => {
      const s = surveyed(d.body, face.body);
      return s.ok ? [{ seamMm: perimeterOf(s.value.outline), areaMm2: s.value.measures.areaMm2 }] : [];
    });
  if (losses.length === 0) return undefined;
  return { result: breakEven(losses, areaOf(board.value.plane.outline)), losses: losses.length };
}

/** Many patches or one new sheet for the face, as two bars, with the number of losses at which it turns. */
export function BreakEvenFold({
  face,
  onFace,
}: {
  face: Stored<'face'>;
  onFace: readonly Stored<'damage'>[];
}) {
  const theme = useTheme();
  const { area, length } = useUnits();
  const found = breakEvenOf(face, onFace);
  if (!found) return null;
  const { result, losses } = found;
  const most = Math.max(result.patchMin, result.sheetMin);
  const bars = [
    { key: 'patch', label: `${losses} ${losses === 1 ? 'patch' : 'patches'}`, min: result.patchMin },
    { key: 'sheet', label: 'One new sheet', min: result.sheetMin },
  ] as const;
  return (
    <Fold title={`Patch or reveneer: ${losses} ${losses === 1 ? 'loss' : 'losses'} on this face`}>
      {bars.map((b) => (
        <View
          key={b.key}
          role="img"
          aria-label={`${b.label}: ${formatMinutes(b.min)} of work`}
          style={styles.bar}
        >
          <View style={styles.line}>
            <Text kind="strong">{b.label}</Text>
            <Text kind="number">{formatMinutes(b.min)}</Text>
          </View>
          <View style={[styles.track, { backgroundColor: theme.line }]}>
            <View
              style={{
                height: 22,
                width: `${(100 * b.min) / most}%`,
                backgroundColor: b.key === result.cheaper ? theme.lampEdge : theme.verdigris,
              }}
            />
          </View>
        </View>
      ))}
      <Text>
        {result.cheaper === 'patch'
          ? `Patches take less time. With ${result.turnsAt} losses of this size a new sheet would.`
          : `A new sheet takes less time; from ${result.turnsAt} losses of this size on it does.`}
      </Text>
      <View style={styles.figures}>
        <Figure label="Seams" value={length(result.seamMm)} source={describeSource(PATCH_RATES_SOURCE)} />
        <Figure label="Lost area" value={area(result.lossMm2)} />
      </View>
    </Fold>
  );
}

const styles = StyleSheet.create({
  bar: { gap: 4 },
  line: { flexDirection: 'row', justifyContent: 'space-between', gap: 12 },
  track: { height: 22, borderRadius: 3, overflow: 'hidden' },
  figures: { flexDirection: 'row', flexWrap: 'wrap', gap: 16 },
});
