import { useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { plainNumber } from '@/core/units';
import { FINISH_TEST_SOURCE, FINISH_TESTS, finishFromTests, type FinishTestId } from '@/core/finish';
import { VENEER_RANGE_MM } from '@/core/method';
import { FINISHES_NOW } from '@/core/terms';
import { assertMoisture, summarise } from '@/core/readings';
import { describeSource } from '@/core/sources';
import { readCaliper, readMoistureMeter } from '@/instruments';
import type { Face } from '@/records';
import { Button, Chips, Figure, LitCard, Notice, Section, Text, TextField, useTheme } from '@/ui';
import { Missing } from '../shared/Missing';
import { Page } from '../shared/Page';
import { TrailList } from '../shared/Trail';
import { useAct } from '../shared/useAct';
import { useChange } from '../shared/useChange';
import { useFaceView } from '../shared/usePiece';

/** Finding out what finish is on a face, what a wipe shows, how thick the veneer is and how dry the wood. */
export function TestsScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const view = useFaceView(id);
  const change = useChange();
  const { face, piece } = view;
  if (!face || !piece) return <Missing what="This face" loading={view.loading} />;
  const set = (patch: Partial<Face>): Promise<boolean> => change(face, patch);
  const results = face.body.finishTests ?? [];
  const verdict = finishFromTests({ results });
  const best = verdict.likely[0];
  const answer = (test: FinishTestId, reacts: boolean): Promise<boolean> =>
    set({ finishTests: [...results.filter((r) => r.test !== test), { test, reacts }] });
  return (
    <Page
      title="Tests of finish and wood"
      eyebrow={`${piece.body.name} · ${face.body.name}`}
      back={{ href: `/face/${face.id}`, label: face.body.name }}
      list={<TrailList view={view} />}
    >
      {verdict.next ? (
        <NextTest test={verdict.next} onAnswer={answer} />
      ) : best ? (
        <LitCard
          eyebrow={verdict.sure ? 'The tests say' : 'All tests are made; the likeliest is'}
          title={FINISHES_NOW[best.finish]}
        >
          <Text>{`The chance that it is ${FINISHES_NOW[best.finish].toLowerCase()} is ${percent(best.chance)}.`}</Text>
          {face.body.finishNow === best.finish ? (
            <Text kind="quiet">It is entered for this face.</Text>
          ) : (
            <Button
              label="Enter it for this face"
              kind="main"
              onPress={() => set({ finishNow: best.finish })}
            />
          )}
        </LitCard>
      ) : null}
      <Notice kind="stop" title="Before you test">
        Choose a hidden spot the size of a coin: inside a leg, under an edge. Fresh air, no flame, gloves.
        Follow the solvent’s label and data sheet. Paint may hold lead; it is not tested with solvents.
      </Notice>
      <Section title="Which finish is it?" help="Chances after the tests so far.">
        {verdict.likely.map((l) => (
          <Chance key={l.finish} label={FINISHES_NOW[l.finish]} chance={l.chance} />
        ))}
        <Text kind="label">{describeSource(FINISH_TEST_SOURCE)}</Text>
      </Section>
      {results.length > 0 ? (
        <Section title="Tests made">
          {results.map((r) => (
            <View key={r.test} style={styles.made}>
              <View style={styles.grow}>
                <Text kind="strong">{FINISH_TESTS[r.test].label}</Text>
                <Text kind="quiet">{r.reacts ? FINISH_TESTS[r.test].yes : FINISH_TESTS[r.test].no}</Text>
              </View>
              <Button
                label="Take back"
                name={`Take back: ${FINISH_TESTS[r.test].label}`}
                kind="quiet"
                onPress={() => set({ finishTests: results.filter((o) => o.test !== r.test) })}
              />
            </View>
          ))}
        </Section>
      ) : null}
      <Section
        title="Solvent wipe"
        help="A wipe with mineral spirits shows for a minute how the wood will look under finish: scratches, light patches, sand-through."
      >
        <TextField
          label="What the wipe showed"
          value={face.body.wipeNote ?? ''}
          onChange={(wipeNote) => set({ wipeNote })}
          lines={3}
          most={2000}
        />
      </Section>
      {face.body.build === 'solid' ? null : (
        <Readings
          title="Thickness of the veneer"
          help="At several places: an edge, a chip, a screw hole. The least decides what may be sanded off."
          unit="mm"
          readings={face.body.thicknessReadings ?? []}
          show={(v) => v.toFixed(2)}
          parse={(v) => {
            if (v < VENEER_RANGE_MM.least || v > VENEER_RANGE_MM.most)
              throw new RangeError(
                `A veneer of ${v} mm cannot be; it lies between ${VENEER_RANGE_MM.least} mm and ${VENEER_RANGE_MM.most} mm.`,
              );
            return v;
          }}
          read={readCaliper}
          instrument="caliper"
          onChange={(thicknessReadings) => set({ thicknessReadings })}
        />
      )}
      <Readings
        title="Moisture of the wood"
        help="With a pin meter, along the grain, at places that do not show."
        unit="%"
        readings={face.body.moistureReadings ?? []}
        show={(v) => (v * 100).toFixed(1)}
        parse={(v) => {
          assertMoisture(v / 100);
          return v / 100;
        }}
        read={readMoistureMeter}
        instrument="moisture meter"
        onChange={(moistureReadings) => set({ moistureReadings })}
      />
    </Page>
  );
}

const percent = (chance: number): string => `${Math.round(100 * chance)} %`;

function NextTest({
  test,
  onAnswer,
}: {
  test: FinishTestId;
  onAnswer: (test: FinishTestId, reacts: boolean) => void;
}) {
  const t = FINISH_TESTS[test];
  return (
    <LitCard eyebrow="The test that tells most for the least harm" title={t.label}>
      <Text>{t.how}</Text>
      {t.caution ? <Text tone="oxblood">{t.caution}</Text> : null}
      <Chips
        label="What happens?"
        options={[
          { value: true, label: t.yes },
          { value: false, label: t.no },
        ]}
        value={undefined}
        onChange={(reacts) => onAnswer(test, reacts)}
      />
    </LitCard>
  );
}

function Chance({ label, chance }: { label: string; chance: number }) {
  const theme = useTheme();
  return (
    <View style={styles.chance} role="img" aria-label={`${label}: ${percent(chance)}`}>
      <Text style={styles.name}>{label}</Text>
      <View style={[styles.track, { backgroundColor: theme.line }]}>
        <View style={{ height: 10, width: `${100 * chance}%`, backgroundColor: theme.verdigris }} />
      </View>
      <Text kind="number">{percent(chance)}</Text>
    </View>
  );
}

/** A set of readings, typed or from an instrument: least, mean and spread. */
function Readings({
  title,
  help,
  unit,
  readings,
  show,
  parse,
  read,
  instrument,
  onChange,
}: {
  title: string;
  help: string;
  unit: string;
  readings: readonly number[];
  show: (value: number) => string;
  /** From what is typed to what is stored. @throws RangeError when it cannot be */
  parse: (typed: number) => number;
  read: () => Promise<number>;
  instrument: string;
  onChange: (readings: number[]) => void;
}) {
  const act = useAct();
  const [typed, setTyped] = useState('');
  const summary = summarise(readings);
  const add = (): Promise<void> =>
    act(() => {
      const value = plainNumber(typed);
      if (Number.isNaN(value)) throw new RangeError(`“${typed}” is not a number. Write it like 0.6 or 0,6.`);
      onChange([...readings, parse(value)]);
      setTyped('');
    });
  return (
    <Section title={title} help={help}>
      {summary ? (
        <View style={styles.figures}>
          <Figure label="Least" value={show(summary.least)} unit={unit} />
          <Figure label="Mean" value={show(summary.mean)} unit={unit} />
          <Figure
            label="Spread"
            value={`±${show(summary.spread)}`}
            unit={unit}
            note={`${summary.count} readings`}
          />
        </View>
      ) : null}
      <View style={styles.row}>
        {readings.map((r, i) => (
          <Button
            key={i}
            label={`${show(r)} ×`}
            name={`Take out reading ${i + 1}, ${show(r)} ${unit}`}
            onPress={() => act(() => onChange(readings.filter((_, k) => k !== i)))}
          />
        ))}
      </View>
      <TextField label={`${title}: a reading, ${unit}`} value={typed} onChange={setTyped} most={12} />
      <View style={styles.row}>
        <Button
          label="Add it"
          name={`Add the reading of ${title.toLowerCase()}`}
          disabled={typed.trim() === ''}
          onPress={add}
        />
        <Button
          label={`Read the ${instrument}`}
          onPress={() => act(async () => onChange([...readings, await read()]))}
        />
      </View>
      <Text kind="label">{`The ${instrument} is simulated until one is connected.`}</Text>
    </Section>
  );
}

const styles = StyleSheet.create({
  made: { flexDirection: 'row', gap: 12, alignItems: 'center' },
  grow: { flex: 1 },
  chance: { flexDirection: 'row', alignItems: 'center', gap: 12 },
  name: { width: 150 },
  track: { flex: 1, height: 10, borderRadius: 5, overflow: 'hidden' },
  figures: { flexDirection: 'row', flexWrap: 'wrap', gap: 16 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
