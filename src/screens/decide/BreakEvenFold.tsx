import { StyleSheet, View } from 'react-native';
import { aboutTime, BREAK_EVEN_SOURCE, lossesOf, turnWords, type BreakEven } from '@/core/job';
import { describeSource } from '@/core/sources';
import type { Stored } from '@/records';
import { Figure, Fold, Progress, Text, useTheme } from '@/ui';
import { useFromStore } from '../shared/useComputed';
import { Trouble } from '../shared/Trouble';
import { useUnits } from '../shared/useUnits';

const patchesWords = (count: number): string => `${count} ${count === 1 ? 'patch' : 'patches'}`;

/** Many patches or one new sheet for the face, as two bars, with the number of losses at which it turns. */
export function BreakEvenFold({
  face,
  onFace,
}: {
  face: Stored<'face'>;
  onFace: readonly Stored<'damage'>[];
}) {
  const losses = lossesOf(face, onFace).length;
  if (losses === 0) return null;
  return (
    <Fold title={`Patch or reveneer: ${losses} ${losses === 1 ? 'loss' : 'losses'} on this face`}>
      <Reckoned faceId={face.id} />
    </Fold>
  );
}

/** Worked out when the fold is opened. */
function Reckoned({ faceId }: { faceId: string }) {
  const { data, loading, problem } = useFromStore('breakEven', { faceId });
  if (problem) return <Trouble problem={problem} />;
  if (data) return <Bars found={data} />;
  return loading ? <Progress label="Working out both" fraction={0.5} /> : null;
}

function Bars({ found }: { found: BreakEven }) {
  const theme = useTheme();
  const { area, length } = useUnits();
  const { patches, sheet, cheaper } = found;
  const most = Math.max(patches.min, sheet.min);
  const bars = [
    { key: 'patches', label: patchesWords(found.losses), hands: patches },
    { key: 'sheet', label: 'One new sheet', hands: sheet },
  ] as const;
  return (
    <>
      {bars.map(({ key, label, hands }) => (
        <View
          key={key}
          role="img"
          aria-label={`${label}: ${aboutTime(hands.min)} of work`}
          style={styles.bar}
        >
          <View style={styles.line}>
            <Text kind="strong">{label}</Text>
            <Text kind="number">{aboutTime(hands.min)}</Text>
          </View>
          <View style={[styles.track, { backgroundColor: theme.line }]}>
            <View
              style={{
                height: 22,
                width: `${(100 * hands.min) / most}%`,
                backgroundColor: key === cheaper ? theme.lampEdge : theme.verdigris,
              }}
            />
          </View>
          {hands.range ? <Text kind="quiet">{hands.range}</Text> : null}
        </View>
      ))}
      <Text>{turnWords(found)}</Text>
      <Text kind="quiet">{describeSource(BREAK_EVEN_SOURCE)}</Text>
      <View style={styles.figures}>
        <Figure label="Seams" value={length(found.seamMm)} />
        <Figure label="Lost area" value={area(found.lossMm2)} />
      </View>
    </>
  );
}

const styles = StyleSheet.create({
  bar: { gap: 4 },
  line: { flexDirection: 'row', justifyContent: 'space-between', gap: 12 },
  track: { height: 22, borderRadius: 3, overflow: 'hidden' },
  figures: { flexDirection: 'row', flexWrap: 'wrap', gap: 16 },
});
