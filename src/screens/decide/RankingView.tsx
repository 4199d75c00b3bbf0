import { StyleSheet, View } from 'react-native';
import {
  chainWords,
  CRITERIA,
  distanceWords,
  type Ban,
  type ChainLink,
  type Criterion,
  type RankedMethod,
  type Ranking,
} from '@/core/method';
import { materialWords, methodById, type MaterialId, type MethodId } from '@/core/catalogue';
import { cautionsOf, type RiskySurface } from '@/core/safety';
import { upperFirst } from '@/core/terms';
import { Button, Fold, Notice, Text, useTheme } from '@/ui';
import { Cautions } from '../shared/Cautions';
import { ChainList } from './ChainList';

function Reasons({
  title,
  reasons,
  sign,
}: {
  title: string;
  reasons: readonly Ban[];
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
            {r.lift ? <Text kind="quiet">{`It would not stand in the way if ${r.lift}.`}</Text> : null}
            <Text kind="label">{r.source}</Text>
          </View>
        </View>
      ))}
    </View>
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
        <Text>{`${upperFirst(names)}.`}</Text>
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
  onLink,
}: {
  ranked: RankedMethod;
  onLink?: Props['onLink'];
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
      <ChainList chain={ranked} {...(onLink ? { onLink } : {})} />
      {ranked.despite.length > 0 ? (
        <Notice kind="stop" title="The least bad answer">
          <View style={styles.reasons}>
            <Text>Every repair has something against it that rules it out. This one has the least.</Text>
            <Reasons title="What forbids it" reasons={ranked.despite} sign="×" />
          </View>
        </Notice>
      ) : null}
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
  /** Takes another method where a chain could go on in several ways. */
  onLink?: (link: ChainLink, method: MethodId) => void;
  /** What the cautions ask of the surface. */
  surface?: RiskySurface;
  /** What is on the shopping list, and how more gets there. */
  listed?: readonly MaterialId[];
  onBuy?: (materials: readonly MaterialId[]) => void;
  /** Where an open question is answered, when it can be answered here. */
  answer?: (question: Ranking['questions'][number]) => React.ReactNode;
};

/** Where a method stands: its order and distance in words, and a bar of each mark that counts. */
function Standing({
  ranked,
  first,
  weights,
}: {
  ranked: RankedMethod;
  first: RankedMethod;
  weights: boolean;
}) {
  const theme = useTheme();
  const criteria = (Object.keys(CRITERIA) as Criterion[]).filter((c) => ranked.criteria[c] !== undefined);
  return (
    <View style={styles.reasons}>
      <Text kind="quiet">
        {weights
          ? 'First. Marks of the whole repair, out of five:'
          : `${distanceWords(ranked.score, first.score)}.`}
      </Text>
      <View style={styles.marks}>
        {criteria.map((c) => (
          <View
            key={c}
            style={styles.mark}
            role="img"
            aria-label={`${CRITERIA[c]}: ${ranked.criteria[c] ?? 0} of 5`}
          >
            <Text kind="label">{CRITERIA[c]}</Text>
            <View style={[styles.track, { backgroundColor: theme.line }]}>
              <View
                style={{
                  height: 8,
                  width: `${20 * (ranked.criteria[c] ?? 0)}%`,
                  backgroundColor: weights ? theme.lampEdge : theme.verdigris,
                }}
              />
            </View>
          </View>
        ))}
      </View>
    </View>
  );
}

/** The ranking with everything that speaks for, against, or rules out. */
export function RankingView({
  ranking,
  chosen,
  onChoose,
  onLink,
  surface,
  answer,
  listed = [],
  onBuy,
}: Props) {
  const theme = useTheme();
  const [first, ...rest] = ranking.ranked;
  // Repairs that are made for quite other damages would only bury the reasons that count.
  const setAside = ranking.excluded.filter((e) => e.because.some((b) => b.rule !== 'kind'));
  if (!first) return null;
  const said = ranking.ranked.find((r) => r.method === chosen) ?? first;
  const methods = chosen && said.method !== chosen ? [chosen] : [...said.first, said.method, ...said.then];
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
      <Cautions ids={cautionsOf(methods, surface)} />
      <View>
        {[first, ...rest].map((r, i) => (
          <Fold
            // A method that comes first by an answer opens; the one that was first closes.
            key={`${r.method} ${i === 0}`}
            open={i === 0}
            title={`${i + 1}. ${chainWords(r.first, r.method, r.then)}${chosen === r.method ? ' (chosen)' : r.missing.length > 0 ? ' (not in stock)' : ''}`}
          >
            <Standing ranked={r} first={first} weights={i === 0} />
            <MethodBody
              ranked={r}
              chooseLabel="Choose this"
              listed={listed}
              {...(onBuy ? { onBuy } : {})}
              {...(onLink ? { onLink } : {})}
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
              {onChoose && chosen !== e.method ? (
                <Button
                  label="Choose it all the same"
                  name={`Choose it all the same: ${methodById(e.method).label}`}
                  kind="quiet"
                  onPress={() => onChoose(e.method)}
                />
              ) : null}
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
  marks: { flexDirection: 'row', flexWrap: 'wrap', columnGap: 16, rowGap: 6 },
  mark: { width: 140, gap: 2 },
  track: { height: 8, borderRadius: 4, overflow: 'hidden' },
});
