import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { CRITERIA, distanceWords, type Criterion, type RankedMethod, type Ranking } from '@/core/method'; // prettier-ignore
import { methodById, type MethodId } from '@/core/catalogue';
import { Chips, Fold, Text, useTheme } from '@/ui';

/** Any two of the methods, side by side: marks as bars, then what speaks for and against each. */
export function CompareFold({ ranking }: { ranking: Ranking }) {
  const { ranked } = ranking;
  const [left, setLeft] = useState<MethodId>();
  const [right, setRight] = useState<MethodId>();
  const find = (id: MethodId | undefined, or: number): RankedMethod | undefined =>
    ranked.find((r) => r.method === id) ?? ranked[or];
  const [a, b] = [find(left, 0), find(right, 1)];
  if (!a || !b) return null;
  const options = ranked.map((r) => ({ value: r.method, label: methodById(r.method).label }));
  const criteria = (Object.keys(CRITERIA) as Criterion[]).filter(
    (c) => a.criteria[c] !== undefined && b.criteria[c] !== undefined,
  );
  return (
    <Fold title="Compare two methods">
      <Chips<MethodId> label="On the left" options={options} value={a.method} onChange={setLeft} />
      <Chips<MethodId> label="On the right" options={options} value={b.method} onChange={setRight} />
      <View style={styles.line}>
        {[a, b].map((r, i) => (
          <View key={i} style={styles.half}>
            <Text kind="strong">{methodById(r.method).label}</Text>
            <Text kind="quiet">
              {r === ranked[0] ? 'First' : distanceWords(r.score, ranked[0]?.score ?? 0)}
            </Text>
          </View>
        ))}
      </View>
      {criteria.map((c) => (
        <View key={c} style={styles.criterion}>
          <Text kind="label">{CRITERIA[c]}</Text>
          <View style={styles.line}>
            {[a, b].map((r, i) => (
              <Mark
                key={i}
                value={r.criteria[c] ?? 0}
                more={(r.criteria[c] ?? 0) > ((i === 0 ? b : a).criteria[c] ?? 0)}
              />
            ))}
          </View>
        </View>
      ))}
      <View style={styles.line}>
        {[a, b].map((r, i) => (
          <View key={i} style={styles.half}>
            {r.for.map((x) => (
              <Text key={x.rule}>{`+ ${x.text}`}</Text>
            ))}
            {r.against.map((x) => (
              <Text key={x.rule} tone="oxblood">{`− ${x.text}`}</Text>
            ))}
          </View>
        ))}
      </View>
    </Fold>
  );
}

/** A mark of 0 to 5 as a bar with its number. */
function Mark({ value, more }: { value: number; more: boolean }) {
  const theme = useTheme();
  return (
    <View style={[styles.half, styles.mark]}>
      <View style={[styles.track, { backgroundColor: theme.line }]}>
        <View
          style={{
            height: 10,
            width: `${(100 * value) / 5}%`,
            backgroundColor: more ? theme.lampEdge : theme.verdigris,
          }}
        />
      </View>
      <Text kind="number">{value % 1 === 0 ? String(value) : value.toFixed(1)}</Text>
    </View>
  );
}

const styles = StyleSheet.create({
  line: { flexDirection: 'row', gap: 16 },
  half: { flex: 1, gap: 6 },
  criterion: { gap: 2 },
  mark: { flexDirection: 'row', alignItems: 'center' },
  track: { flex: 1, height: 10, borderRadius: 5, overflow: 'hidden' },
});
