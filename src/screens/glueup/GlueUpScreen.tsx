import { router, useLocalSearchParams, type Href } from 'expo-router';
import { useEffect, useRef, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { inRound } from '@/core/bench';
import { bigTime, glueClock, type GlueClock, type Stages } from '@/core/glueup';
import { formatMinutes } from '@/core/units';
import { createRecord, localNow, type Stored } from '@/records';
import { Button, CheckChips, Notice, Text, useTheme } from '@/ui';
import type { MethodId } from '@/core/catalogue';
import { cautionsOf, type CautionId } from '@/core/safety';
import { Cautions } from '../shared/Cautions';
import { Missing } from '../shared/Missing';
import { useAct } from '../shared/useAct';
import { useChange } from '../shared/useChange';
import { useDamageView } from '../shared/usePiece';
import { useUnits } from '../shared/useUnits';
import { signal, useLitScreen } from '@/instruments';
import {
  damageLabel,
  glueUpOf,
  nextClamps,
  surfaceRisk,
  withinReach,
  worksheetPage,
  type GlueUp,
} from '@/core/job';

const TICK_MS = 250;
/** A first warning when so much of the open time is left. */
const WARN_MS = 120_000;

/** Now, a few times a second; after a sleep the next tick is simply later. */
function useNow(): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), TICK_MS);
    return () => clearInterval(timer);
  }, []);
  return now;
}

/** The glue is out: large figures, what must happen by when, and nothing else. */
export function GlueUpScreen() {
  const { id, link } = useLocalSearchParams<{ id: string; link?: string }>();
  const view = useDamageView(id, link);
  const { damage, face, piece, method, chain, repair, shop } = view;
  if (!damage || !piece || !face || !method || !repair)
    return <Missing what="This repair" loading={view.loading} />;
  const main = chain?.method ?? method;
  const result = glueUpOf(repair, method, shop);
  if (!result.ok) {
    return (
      <Shell title={damageLabel(damage.body)}>
        <Notice kind="stop" title="The glue-up cannot begin">
          {result.problem}
        </Notice>
        <Button
          label="Back to glue and clamps"
          onPress={() => router.push(worksheetPage(damage.id, method, main) as Href)}
        />
      </Shell>
    );
  }
  return (
    <Running
      damage={damage}
      pieceId={piece.id}
      method={method}
      main={main}
      cautions={cautionsOf([method], surfaceRisk(piece.body, face.body), result.value.adhesive.id)}
      plan={result.value}
    />
  );
}

function Running({
  damage,
  pieceId,
  method,
  main,
  cautions,
  plan,
}: {
  damage: Stored<'damage'>;
  pieceId: string;
  method: MethodId;
  /** The method that was chosen, of whose chain this is a link. */
  main: MethodId;
  cautions: readonly CautionId[];
  plan: GlueUp;
}) {
  const change = useChange();
  const act = useAct();
  const now = useNow();
  const { stages, times } = plan;
  const count = stages?.stages.length ?? 1;
  // A damage may be glued twice in its chain; the clock belongs to the link it was started on.
  const { glueUp } = damage.body;
  const running = glueUp && (glueUp.method ?? main) === method ? glueUp : undefined;
  const task = `${damage.id}/${method === main ? '' : `${method}.`}`;
  useLitScreen(running !== undefined && running.clampedAt === undefined);
  const clock = running ? glueClock(running, times, now) : undefined;
  useSignals(clock);
  const start = (stage: number): Promise<boolean> =>
    change(damage, { glueUp: { stage, startedAt: Date.now(), method } });
  const clamped = (): void =>
    act(async () => {
      if (!running) return;
      const clampedAt = Date.now();
      change(damage, { glueUp: { ...running, clampedAt } });
      const minutes = (clampedAt - running.startedAt) / 60_000;
      await createRecord('log', {
        pieceId,
        // Each stage is a step of its own on the bench.
        taskId: `${task}${inRound(running.stage < count ? `stage${running.stage}` : plan.key, damage.body.grew?.length)}`,
        title: `Glued and clamped: ${damageLabel(damage.body)}${count > 1 ? `, stage ${running.stage} of ${count}` : ''}`,
        doneAt: localNow(),
        actualMin: Math.round(minutes * 10) / 10,
        ...plan.learns,
        note: `${plan.adhesive.label}${plan.clampWords ? `, ${plan.clampWords}` : ''}. From first glue to last clamp ${formatMinutes(minutes)}; open time ${formatMinutes(times.openMin)}.`,
        pictures: [],
      });
    });
  const done = (): void => {
    change(damage, { glueUp: undefined });
    router.push(`/bench?piece=${pieceId}`);
  };
  return (
    <Shell
      title={`${damageLabel(damage.body)}${count > 1 ? `, stage ${running?.stage ?? 1} of ${count}` : ''}`}
    >
      {!running || !clock ? (
        <Ready plan={plan} cautions={cautions} {...(stages ? { stages } : {})} onStart={() => start(1)} />
      ) : (
        <>
          <Clock clock={clock} />
          {clock.setBack ? (
            <Notice kind="stop" title="This device’s clock was set back">
              How long the glue has been out is not known any more. The time shown is the longest it can take;
              go by the clock on the wall.
            </Notice>
          ) : null}
          {running.clampedAt === undefined ? (
            <Button big label="All clamps are on" kind="main" onPress={clamped} />
          ) : running.stage < count ? (
            <>
              <NextClamps plan={plan} clock={clock} />
              <Button
                big
                label={`Start stage ${running.stage + 1}: glue is on`}
                kind="main"
                onPress={() => start(running.stage + 1)}
              />
            </>
          ) : (
            <Button big label="Back to the bench" kind="main" onPress={done} />
          )}
          <Button label="Begin again" kind="quiet" onPress={() => change(damage, { glueUp: undefined })} />
        </>
      )}
    </Shell>
  );
}

/** A tone two minutes before the glue tacks, when it does, and when the clamps may come off. */
function useSignals(clock: GlueClock | undefined): void {
  const last = useRef<string>(undefined);
  const mark = !clock ? 'none' : clock.phase === 'open' && clock.leftMs < WARN_MS ? 'warn' : clock.phase;
  useEffect(() => {
    const before = last.current;
    last.current = mark;
    if (before === undefined || before === mark) return;
    if (mark === 'warn' || mark === 'off') signal(false);
    if (mark === 'late') signal(true);
  }, [mark]);
}

const clockText = (ms: number): string => {
  const d = new Date(ms);
  return `${String(d.getHours()).padStart(2, '0')}:${String(d.getMinutes()).padStart(2, '0')}`;
};
const dayText = (ms: number): string =>
  new Date(ms).toLocaleDateString('en-GB', { weekday: 'long', day: 'numeric', month: 'long' });

const PHASE_WORDS: Record<GlueClock['phase'], string> = {
  open: 'left to get the clamps on',
  late: 'past the open time: the glue has begun to tack',
  clamped: 'until the clamps come off',
  off: 'until it may be worked on',
  workable: 'It is hard: it may be worked on.',
};

function Clock({ clock }: { clock: GlueClock }) {
  const theme = useTheme();
  const late = clock.phase === 'late';
  const words = PHASE_WORDS[clock.phase];
  return (
    <View style={styles.clock} role="timer" aria-label={`${bigTime(clock.leftMs)} ${words}`}>
      {clock.phase === 'workable' ? null : (
        <Text
          kind="figure"
          tone={late ? 'oxblood' : 'ink'}
          style={[styles.huge, bigTime(clock.leftMs).length > 5 && styles.long]}
        >
          {bigTime(clock.leftMs)}
        </Text>
      )}
      <Text style={styles.words}>{words}</Text>
      <View style={[styles.track, { backgroundColor: theme.line }]}>
        <View
          style={{
            height: 18,
            width: `${100 * clock.gone}%`,
            backgroundColor: late ? theme.oxblood : clock.phase === 'open' ? theme.lampEdge : theme.verdigris,
          }}
        />
      </View>
      <View style={styles.marks}>
        {clock.clampsOffAtMs === undefined ? (
          <Moment label="Clamps on by" value={clockText(clock.clampsOnByMs)} />
        ) : (
          <>
            <Moment
              label="Clamps off at"
              value={clockText(clock.clampsOffAtMs)}
              note={dayText(clock.clampsOffAtMs)}
            />
            {clock.workableAtMs ? (
              <Moment
                label="Work on it from"
                value={clockText(clock.workableAtMs)}
                note={dayText(clock.workableAtMs)}
              />
            ) : null}
          </>
        )}
      </View>
    </View>
  );
}

/** Whether the next stage has its clamps, or when it will. */
function NextClamps({ plan, clock }: { plan: GlueUp; clock: GlueClock }) {
  const next = clock.clampsOffAtMs === undefined ? undefined : nextClamps(plan, clock.clampsOffAtMs);
  if (!next) return null;
  return (
    <Notice
      kind="rest"
      title={`The next stage takes ${next.needed} ${next.needed === 1 ? 'clamp' : 'clamps'}`}
    >
      {next.atMs === undefined
        ? `${next.freeNow} are free now.`
        : `${next.freeNow} ${next.freeNow === 1 ? 'is' : 'are'} free now; those of this stage come off at ${clockText(next.atMs)}, ${dayText(next.atMs)}.`}
    </Notice>
  );
}

function Moment({ label, value, note }: { label: string; value: string; note?: string }) {
  return (
    <View>
      <Text kind="quiet">{label}</Text>
      <Text kind="figure" style={styles.large}>
        {value}
      </Text>
      {note ? <Text kind="label">{note}</Text> : null}
    </View>
  );
}

/** Everything within reach before the bottle is opened. */
function Ready({
  plan,
  cautions,
  stages,
  onStart,
}: {
  plan: GlueUp;
  cautions: readonly CautionId[];
  stages?: Stages;
  onStart: () => void;
}) {
  const { length } = useUnits();
  const [ticked, setTicked] = useState<string[]>([]);
  const list = withinReach(plan, length);
  const left = list.length - ticked.length;
  return (
    <View style={styles.ready}>
      <Cautions ids={cautions} />
      <Text kind="heading">Within reach before the glue is out</Text>
      <CheckChips
        label="Dry run"
        options={list.map((label) => ({ value: label, label }))}
        values={ticked}
        onChange={setTicked}
      />
      {stages && stages.stages.length > 1 ? (
        <Notice kind="rest" title={`In ${stages.stages.length} stages`}>
          {stages.limit === 'clamps'
            ? 'There are not clamps enough for all at once. Each stage waits until the clamps of the one before come off.'
            : `Each takes about ${formatMinutes(stages.stages[0]?.layingMin ?? 0)} to lay; the glue is not open longer.`}
        </Notice>
      ) : null}
      <Button big label="Start: the first glue is on" kind="main" onPress={onStart} />
      {left > 0 ? <Text kind="quiet">{`${left} not ticked yet. You can start all the same.`}</Text> : null}
    </View>
  );
}

/** One column with large figures; nothing that leads away but one button. */
function Shell({ title, children }: { title: string; children: React.ReactNode }) {
  const theme = useTheme();
  return (
    <ScrollView
      role="region"
      aria-label="Glue-up"
      tabIndex={0}
      style={{ backgroundColor: theme.ground }}
      contentContainerStyle={styles.shell}
    >
      <Text kind="label">Glue-up</Text>
      <Text kind="title">{title}</Text>
      {children}
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  shell: { padding: 20, gap: 18, maxWidth: 900, width: '100%', alignSelf: 'center' },
  clock: { gap: 12 },
  huge: { fontSize: 104, lineHeight: 112, letterSpacing: -3 },
  // Six letters still fit the width of a phone.
  long: { fontSize: 88, lineHeight: 100, letterSpacing: -6 },
  large: { fontSize: 44, lineHeight: 50 },
  words: { fontSize: 22, lineHeight: 28 },
  track: { height: 18, borderRadius: 4, overflow: 'hidden' },
  marks: { flexDirection: 'row', flexWrap: 'wrap', gap: 32 },
  ready: { gap: 14 },
});
