import { router, useLocalSearchParams } from 'expo-router';
import { startTransition, useEffect, useState } from 'react';
import { View } from 'react-native';
import { dayText, nextWords } from '@/core/front';
import { finishWords, handsMin, handsRange, handWords, roundTime, startWords } from '@/core/job';
import { PHASE_SOURCE, PHASES, phaseLabel } from '@/core/catalogue';
import { CAUTIONS } from '@/core/safety';
import { describeSource } from '@/core/sources';
import { formatMinutes } from '@/core/units';
import { localNow, removeRecords } from '@/records';
import { Button, Figure, Fold, LitCard, Notice, Progress, Section, Text, useSay } from '@/ui';
import { LongList } from '../shared/LongList';
import { Page, Pane, useWide } from '../shared/Page';
import { TrailList } from '../shared/Trail';
import { useAct } from '../shared/useAct';
import { usePieceView } from '../shared/usePiece';
import type { PieceTask } from '@/worker';
import { TaskPlaces } from '../shared/TaskPlaces';
import { DeadlineCard } from '../shared/DeadlineCard';
import { DayStrip } from './DayStrip';
import { TickForm } from './TickForm';
import { Trouble } from '../shared/Trouble';
import { usePlan } from '../shared/useBench';
import { useBenchView } from './useBenchView';

/** So many days are drawn at first, and again each time more are asked for: a full shop has months of them. */
const DAYS_AT_ONCE = 12;
/** Of these the first are drawn at once, the others as soon as those stand. */
const FIRST_DAYS = 5;
/** So many of the steps that are done are listed; the record has all of them. */
const LAST_DONE = 30;

/** What to do next, then the days ahead; over all pieces, or one. */
export function BenchScreen() {
  const { piece: only } = useLocalSearchParams<{ piece?: string }>();
  const view = usePieceView(only, only !== undefined);
  const { plan, timed, todo, next, finish, days, bars, hours, finished, all, hold } = useBenchView(only);
  const { plan: own } = usePlan(only);
  const through = own !== undefined && own.trail.all > 0 && own.trail.done === own.trail.all;
  const now = localNow();
  const act = useAct();
  const say = useSay();
  const [ticking, setTicking] = useState<string>();
  // A step keeps open when a better plan puts it on another day.
  const [open, setOpen] = useState<readonly string[]>([]);
  const toggle = (id: string): void =>
    setOpen(open.includes(id) ? open.filter((o) => o !== id) : [...open, id]);
  const tick = (id: string | undefined): void => {
    setTicking(id);
    hold(id !== undefined);
  };
  const wide = useWide();
  const [most, setMost] = useState(FIRST_DAYS);
  const planned = days.length > 0;
  useEffect(() => {
    if (planned) startTransition(() => setMost((now) => Math.max(now, DAYS_AT_ONCE)));
  }, [planned]);
  const near = days.slice(0, most);
  // What lies beyond the last day that is drawn costs nothing.
  const last = near.at(-1);
  const nearBars = last === undefined ? bars : bars.filter((b) => b.start.slice(0, 10) <= last);
  const frame = view.piece
    ? {
        eyebrow: view.piece.body.name,
        back: { href: `/piece/${view.piece.id}` as const, label: view.piece.body.name },
        list: <TrailList view={view} />,
      }
    : { eyebrow: 'All pieces' };
  const legend = (
    <Text kind="quiet">
      Solid bars are hands at work, outlined ones glue and finish setting, through the night too. The lit
      field is your hours.
    </Text>
  );
  const dayPane =
    wide && days.length > 0 ? (
      <Pane>
        {legend}
        {near.map((day) => (
          <View key={day} style={{ gap: 8 }}>
            <Text kind="subheading">{dayText(day)}</Text>
            <DayStrip day={day} bars={nearBars} hours={hours} now={now} pieces={!only} />
          </View>
        ))}
      </Pane>
    ) : undefined;
  const untick = ({ id, aka }: Pick<PieceTask, 'id' | 'aka'>): Promise<void> =>
    act(async () => {
      const entry = plan.log.find((l) => l.body.taskId === id) ?? plan.log.find((l) => l.body.taskId === aka);
      if (!entry) return;
      const undo = await removeRecords([{ kind: 'log', id: entry.id }]);
      say({ text: `“${entry.body.title}” is open again.`, action: { label: 'Undo', run: () => act(undo) } });
    });
  return (
    <Page title="Bench" {...frame} board={dayPane}>
      {plan.problem ? (
        <Trouble
          problem={plan.problem}
          title="No plan can be made"
          wayOn="Nothing is lost; change the shop's clamps or hours, or the press plan."
        />
      ) : null}
      {(plan.stuck ?? [])
        .filter((p) => !only || p.pieceId === only)
        .map((p) => (
          <Notice key={p.pieceId} kind="stop" title={`${p.pieceName} is not planned`}>
            {`${p.reason} The other pieces are. Nothing is lost; change the shop's clamps or hours, or the press plan.`}
          </Notice>
        ))}
      {plan.loading && timed.length === 0 ? <Progress label="Planning the days" fraction={0.5} /> : null}
      {only && through && todo.length === 0 ? (
        <View style={{ gap: 12 }}>
          <Text>Every step of this piece is done. The record has them all.</Text>
          <Button label="Open the record" kind="main" onPress={() => router.push(`/piece/${only}/record`)} />
        </View>
      ) : null}
      {!plan.loading && plan.tasks.length === 0 && !plan.stuck && !plan.problem && !through ? (
        <View style={{ gap: 12 }}>
          <Text>
            The bench fills when a piece has a damage with a repair: every step, in the order of work, in your
            hours.
          </Text>
          <Button label="Go to the pieces" kind="main" onPress={() => router.push('/')} />
        </View>
      ) : null}
      {next ? (
        <LitCard
          eyebrow={`Next, ${nextWords(next.when.start, now)}${only ? '' : ` · ${next.pieceName}`}`}
          title={next.title}
        >
          <Text>{next.detail}</Text>
          <Text
            kind="quiet"
            tone="lampText"
          >{`${formatMinutes(next.attendedMin)} of work${next.unattendedMin > 0 ? `, then ${formatMinutes(next.unattendedMin)} of waiting` : ''}`}</Text>
          {next.cautions.map((c) => (
            <Text key={c} kind="quiet" tone="oxblood">
              {CAUTIONS[c]}
            </Text>
          ))}
          {ticking === next.id ? (
            <TickForm key={next.id} task={next} onDone={() => tick(undefined)} />
          ) : (
            <Button label="Tick it off" kind="main" onPress={() => tick(next.id)} />
          )}
        </LitCard>
      ) : null}
      {finish && todo.length > 0 ? (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 16 }}>
          <Figure
            label="Finished"
            {...finishWords(finish, now)}
            source="Worked out here: the earliest end found over many orders of work, within your hours, hands and clamps."
          />
          <Figure label="Steps done" value={`${finished.length} of ${all}`} />
          <Figure
            label="Your hands"
            value={roundTime(handsMin(todo))}
            note={handsRange(todo) ?? 'still to work'}
          />
        </View>
      ) : null}
      {only && view.piece?.body.deadline ? <DeadlineCard pieceId={only} /> : null}
      {near.map((day) => (
        <Section key={day} title={dayText(day)}>
          {wide ? null : <DayStrip day={day} bars={nearBars} hours={hours} now={now} pieces={!only} />}
          <View>
            <LongList items={todo.filter((t) => t.when.start.slice(0, 10) === day)}>
              {(t) => (
                <Fold
                  key={t.id}
                  title={`${startWords(t.when.start, now)}  ${t.title}`}
                  open={open.includes(t.id)}
                  onToggle={() => toggle(t.id)}
                >
                  <Text kind="label">{`${only ? '' : `${t.pieceName} · `}${phaseLabel(t.phase)} · ${handWords(t)}${t.unattendedMin > 0 ? ` + ${formatMinutes(t.unattendedMin)} waiting` : ''}`}</Text>
                  <Text>{t.detail}</Text>
                  <TaskPlaces task={t} />
                  <Text kind="label">{t.from}</Text>
                  {t.cautions.map((c) => (
                    <Text key={c} kind="quiet" tone="oxblood">
                      {CAUTIONS[c]}
                    </Text>
                  ))}
                  {ticking === t.id ? (
                    <TickForm key={t.id} task={t} onDone={() => tick(undefined)} />
                  ) : (
                    <Button label="Tick it off" name={`Tick off: ${t.title}`} onPress={() => tick(t.id)} />
                  )}
                </Fold>
              )}
            </LongList>
          </View>
        </Section>
      ))}
      {days.length > near.length ? (
        <Button label={`Show more of the ${days.length} days`} onPress={() => setMost(most + DAYS_AT_ONCE)} />
      ) : null}
      {timed.length + finished.length > 0 ? (
        <>
          {wide || timed.length === 0 ? null : legend}
          <Fold title={`Done (${finished.length})`}>
            {finished.slice(0, LAST_DONE).map((t) => (
              <View
                key={t.id}
                style={{
                  flexDirection: 'row',
                  alignItems: 'center',
                  justifyContent: 'space-between',
                  gap: 8,
                }}
              >
                <View style={{ flex: 1 }}>
                  <Text>{t.title}</Text>
                  <Text kind="label">{`${t.doneAt.slice(11, 16)}, ${dayText(t.doneAt)}`}</Text>
                </View>
                <Button
                  label="Not done"
                  name={`Not done: ${t.title}`}
                  kind="quiet"
                  onPress={() => untick(t)}
                />
              </View>
            ))}
          </Fold>
          <Fold title="Why this order?">
            {PHASES.map((p) => (
              <Text key={p.id} kind="quiet">{`${p.label}: ${p.why}`}</Text>
            ))}
            <Text kind="label">{describeSource(PHASE_SOURCE)}</Text>
          </Fold>
        </>
      ) : null}
    </Page>
  );
}
