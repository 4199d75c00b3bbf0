import { StyleSheet, View } from 'react-native';
import type { AdhesiveId } from '@/core/adhesive';
import {
  materialWords,
  methodById,
  type MaterialId,
  type MethodId,
  type RankedMethod,
  type Ranking,
  type Reason,
} from '@/core/method';
import { CAUTIONS, cautionsFor } from '@/core/safety';
import { Button, Fold, Notice, Text, useTheme } from '@/ui';

function Reasons({
  title,
  reasons,
  sign,
}: {
  title: string;
  reasons: readonly Reason[];
  sign: '+' | '−' | '×';
}) {
  if (reasons.length === 0) return null;
  return (
    <View style={styles.reasons}>
      <Text kind="label">{title}</Text>
      {reasons.map((r) => (
        <View key={r.rule} style={styles.reason}>
          <Text kind="number" style={styles.sign}>
            {sign}
          </Text>
          <View style={styles.text}>
            <Text>{r.text}</Text>
            <Text kind="label">{r.source}</Text>
          </View>
        </View>
      ))}
    </View>
  );
}

export function Cautions({ method, glue }: { method: MethodId; glue?: AdhesiveId }) {
  return (
    <Notice kind="stop" title="Before you begin">
      <View style={styles.reasons}>
        {cautionsFor(method, glue).map((c) => (
          <Text key={c}>{CAUTIONS[c]}</Text>
        ))}
      </View>
    </Notice>
  );
}

/** What a method lacks, and the way onto the shopping list. */
function Missing({
  missing,
  listed,
  onBuy,
}: {
  missing: readonly MaterialId[];
  listed: readonly MaterialId[];
  onBuy?: (materials: readonly MaterialId[]) => void;
}) {
  if (missing.length === 0) return null;
  const names = materialWords(missing);
  const all = missing.every((m) => listed.includes(m));
  return (
    <Notice kind="rest" title="Not in stock">
      <View style={styles.reasons}>
        <Text>{`${names.charAt(0).toUpperCase()}${names.slice(1)}.`}</Text>
        {all ? (
          <Text kind="quiet">It is on the shopping list.</Text>
        ) : onBuy ? (
          <Button
            label="Put it on the shopping list"
            name={`Put on the shopping list: ${names}`}
            onPress={() => onBuy(missing)}
          />
        ) : null}
      </View>
    </Notice>
  );
}

function MethodBody({
  ranked,
  onChoose,
  chosen,
  chooseLabel,
  listed,
  onBuy,
}: {
  ranked: RankedMethod;
  onChoose?: (m: MethodId) => void;
  chosen?: MethodId;
  chooseLabel: string;
  listed: readonly MaterialId[];
  onBuy?: (materials: readonly MaterialId[]) => void;
}) {
  const method = methodById(ranked.method);
  return (
    <View style={styles.body}>
      <Text>{method.how}</Text>
      <Missing missing={ranked.missing} listed={listed} {...(onBuy ? { onBuy } : {})} />
      <Reasons title="Speaks for it" reasons={ranked.for} sign="+" />
      <Reasons title="Speaks against it" reasons={ranked.against} sign="−" />
      {onChoose && chosen !== ranked.method ? (
        <Button
          label={chooseLabel}
          name={`${chooseLabel}: ${method.label}`}
          onPress={() => onChoose(ranked.method)}
        />
      ) : null}
    </View>
  );
}

type Props = {
  ranking: Ranking;
  chosen?: MethodId;
  onChoose?: (method: MethodId) => void;
  /** What is on the shopping list, and how more gets there. */
  listed?: readonly MaterialId[];
  onBuy?: (materials: readonly MaterialId[]) => void;
  /** Where an open question is answered, when it can be answered here. */
  answer?: (question: Ranking['questions'][number]) => React.ReactNode;
};

/** The ranking with everything that speaks for, against, or rules out. */
export function RankingView({ ranking, chosen, onChoose, answer, listed = [], onBuy }: Props) {
  const theme = useTheme();
  const [first, ...rest] = ranking.ranked;
  // Repairs that are made for quite other damages would only bury the reasons that count.
  const setAside = ranking.excluded.filter((e) => e.because.some((b) => b.rule !== 'kind'));
  const most = Math.max(1, ...ranking.ranked.map((r) => r.score));
  if (!first) {
    return (
      <Notice kind="stop" title="Every method is ruled out">
        The reasons stand below. Check the answers; the core or the glue line may have to be seen to first.
      </Notice>
    );
  }
  return (
    <View style={styles.list}>
      {ranking.questions.slice(0, 1).map((q) => (
        <View key={q.fact} style={[styles.question, { borderColor: theme.lampEdge }]}>
          <Text kind="label" tone="lampText">
            This would change the answer
          </Text>
          <Text kind="strong">{q.ask}</Text>
          <Text kind="quiet">{q.look}</Text>
          {q.changes.map((c) => (
            <Text key={c.answer} kind="quiet">
              {`“${c.answer}” would put ${methodById(c.first).label.toLowerCase()} first.`}
            </Text>
          ))}
          {answer?.(q)}
        </View>
      ))}
      {ranking.questions.length > 1 ? (
        <Text kind="quiet">
          {`After that: ${ranking.questions
            .slice(1)
            .map((q) => q.ask)
            .join(' ')}`}
        </Text>
      ) : null}
      <Cautions method={chosen ?? first.method} />
      <View>
        {[first, ...rest].map((r, i) => (
          <Fold
            // A method that comes first by an answer opens; the one that was first closes.
            key={`${r.method} ${i === 0}`}
            open={i === 0}
            title={`${i + 1}. ${methodById(r.method).label}${chosen === r.method ? ' (chosen)' : r.missing.length > 0 ? ' (not in stock)' : ''}`}
          >
            <View style={styles.scale} role="img" aria-label={`Score ${r.score}`}>
              <View style={[styles.track, { backgroundColor: theme.line }]}>
                <View
                  style={{
                    height: 8,
                    width: `${Math.max(2, (100 * r.score) / most)}%`,
                    backgroundColor: i === 0 ? theme.lampEdge : theme.verdigris,
                  }}
                />
              </View>
              <Text kind="number">{r.score}</Text>
            </View>
            <MethodBody
              ranked={r}
              chooseLabel="Choose this"
              listed={listed}
              {...(onBuy ? { onBuy } : {})}
              {...(onChoose ? { onChoose } : {})}
              {...(chosen ? { chosen } : {})}
            />
          </Fold>
        ))}
        <Fold title={`Set aside (${setAside.length})`}>
          <Text kind="quiet">
            {`Of the methods for this damage. ${ranking.excluded.length - setAside.length} more are made for other damages.`}
          </Text>
          {setAside.map((e) => (
            <View key={e.method}>
              <Text kind="strong">{methodById(e.method).label}</Text>
              <Reasons title="Ruled out" reasons={e.because} sign="×" />
            </View>
          ))}
        </Fold>
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: 16 },
  question: { borderLeftWidth: 4, paddingLeft: 12, paddingVertical: 4, gap: 4 },
  body: { gap: 12 },
  reasons: { gap: 6 },
  reason: { flexDirection: 'row', gap: 8 },
  sign: { width: 18, textAlign: 'center' },
  text: { flex: 1 },
  scale: { flexDirection: 'row', alignItems: 'center', gap: 12 },
  track: { flex: 1, height: 8, borderRadius: 4, overflow: 'hidden' },
});
