import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { MOST_GOES, OWN_MINUTES, OWN_WAIT_MINUTES, type BenchTask, type StepChange } from '@/core/bench';
import { phaseLabel } from '@/core/catalogue';
import { handWords, isTicked, type Plan, type PlanCell } from '@/core/job';
import { CAUTIONS } from '@/core/safety';
import { formatMinutes } from '@/core/units';
import type { Piece, Stored } from '@/records';
import { Button, Chips, Fold, Stepper, Text, TextField, useTheme } from '@/ui';
import { LongList } from '../shared/LongList';
import { StateMark } from '../shared/StateMark';
import { TaskPlaces } from '../shared/TaskPlaces';

/** The steps of a face in one phase, each with its figures, and what the user may change of it. */
export function StepList({
  cell,
  plan,
  piece,
  ticked,
  onChange,
}: {
  cell: PlanCell;
  plan: Plan;
  piece: Stored<'piece'>;
  ticked: ReadonlySet<string>;
  onChange: (patch: Partial<Piece>) => Promise<boolean>;
}) {
  return (
    <View style={styles.list}>
      <Text kind="label">{phaseLabel(cell.phase)}</Text>
      <LongList items={cell.tasks}>
        {(t) => (
          <StepRow
            key={t.id}
            task={t}
            plan={plan}
            piece={piece}
            done={ticked.has(t.id)}
            onChange={onChange}
          />
        )}
      </LongList>
    </View>
  );
}

const waits = ({ unattendedMin }: BenchTask): string =>
  unattendedMin > 0 ? `, then ${formatMinutes(unattendedMin)} of waiting` : '';

function StepRow({
  task,
  plan,
  piece,
  done,
  onChange,
}: {
  task: BenchTask;
  plan: Plan;
  piece: Stored<'piece'>;
  done: boolean;
  onChange: (patch: Partial<Piece>) => Promise<boolean>;
}) {
  const theme = useTheme();
  const [open, setOpen] = useState(false);
  return (
    <View style={[styles.step, { borderColor: theme.line }]}>
      <Pressable
        role="button"
        aria-expanded={open}
        aria-label={`${task.title}: ${open ? 'close' : 'how, and your own changes'}`}
        onPress={() => setOpen(!open)}
        style={styles.line}
      >
        <StateMark state={done ? 'done' : 'waits'} />
        <View style={styles.text}>
          <Text kind="strong">{task.title}</Text>
          <Text kind="quiet">
            {isTicked(task)
              ? `${handWords(task)}${waits(task)}`
              : `${formatMinutes(task.unattendedMin)} of waiting`}
          </Text>
        </View>
        <Text kind="strong">{open ? '−' : '+'}</Text>
      </Pressable>
      {open ? (
        <View style={styles.form}>
          <Text>{task.detail}</Text>
          <TaskPlaces task={task} />
          {task.cautions.map((c) => (
            <Text key={c} kind="quiet" tone="oxblood">
              {CAUTIONS[c]}
            </Text>
          ))}
          <Text kind="quiet">{task.from}</Text>
          {done ? (
            <Text kind="quiet">It is done, and stays done whatever the plan becomes.</Text>
          ) : (
            <Fold title="Your own changes">
              <ChangeForm task={task} plan={plan} piece={piece} onChange={onChange} />
            </Fold>
          )}
        </View>
      ) : null}
    </View>
  );
}

const NOTHING = 'nothing';
/** So many steps can be waited for; the nearest before it. */
const MOST_CHOICES = 12;

function ChangeForm({
  task,
  plan,
  piece,
  onChange,
}: {
  task: BenchTask;
  plan: Plan;
  piece: Stored<'piece'>;
  onChange: (patch: Partial<Piece>) => Promise<boolean>;
}) {
  const changes = piece.body.stepChanges ?? [];
  // A step done in several goes is changed under its own name.
  const taskId = task.id.replace(/\.go\d+$/, '');
  const own: StepChange =
    task.places && task.places.length > 1 ? { taskId, places: task.places } : { taskId };
  const mine = changes.find((c) => c.taskId === taskId) ?? own;
  const [why, setWhy] = useState('');
  const put = (next: StepChange): void =>
    void onChange({ stepChanges: [...changes.filter((c) => c.taskId !== taskId), next] });
  const isChanged = changes.some((c) => c.taskId === taskId);
  const others = plan.tasks.filter((t) => t.id !== task.id && isTicked(t) && t.phase === task.phase).slice(0, MOST_CHOICES); // prettier-ignore
  return (
    <View style={styles.form}>
      <Stepper
        label="It takes"
        unit="min"
        value={mine.attendedMin ?? Math.max(1, task.attendedMin)}
        least={OWN_MINUTES.least}
        most={OWN_MINUTES.most}
        step={5}
        onChange={(attendedMin) => put({ ...mine, attendedMin })}
      />
      <Stepper
        label="Then it is left alone for"
        unit="min"
        value={mine.waitMin ?? task.unattendedMin}
        least={OWN_WAIT_MINUTES.least}
        most={OWN_WAIT_MINUTES.most}
        step={30}
        onChange={(waitMin) => put({ ...mine, waitMin })}
      />
      <Stepper
        label="In how many goes"
        value={mine.goes ?? 1}
        least={1}
        most={MOST_GOES}
        onChange={(goes) => put({ ...mine, goes })}
      />
      {others.length > 0 ? (
        <Chips
          label="Not before"
          options={[
            { value: NOTHING, label: 'As the plan has it' },
            ...others.map((t) => ({ value: t.id, label: t.title })),
          ]}
          value={mine.after ?? NOTHING}
          onChange={(after) => {
            const rest = { ...mine };
            delete rest.after;
            put(after === NOTHING ? rest : { ...rest, after });
          }}
        />
      ) : null}
      <TextField label="Why it can be left out" value={why} onChange={setWhy} most={300} />
      <View style={styles.buttons}>
        <Button
          label="Leave this step out"
          name={`Leave out: ${task.title}`}
          kind="danger"
          onPress={() => put({ ...own, skip: why.trim() || 'Not needed on this piece.' })}
        />
        {isChanged ? (
          <Button
            label="Back to the plan's own"
            onPress={() => void onChange({ stepChanges: changes.filter((c) => c.taskId !== taskId) })}
          />
        ) : null}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: 4 },
  step: { borderBottomWidth: 1, paddingVertical: 8 },
  line: { flexDirection: 'row', gap: 12, alignItems: 'center', minHeight: 44 },
  text: { flex: 1 },
  form: { gap: 12, paddingTop: 12 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 12 },
});
