import { useState } from 'react';
import { View } from 'react-native';
import {
  counted,
  deviceName,
  localNow,
  renewAfter,
  type Conflict,
  type Preview,
  type Question,
} from '@/records';
import { Button, Chips, FilePick, Fold, LitCard, Notice, Progress, Section, Text, useSay } from '@/ui';
import { call } from '@/worker';
import { useAct } from '../shared/useAct';
import { useLong } from '../shared/useLong';

type Opened = { file: File; preview: Preview; testOnly: boolean };
type Side = 'mine' | 'theirs';

/** Reads a backup, this browser's own or another device's: first what it would do, then whether to. */
export function ReadInSection() {
  const { going, cancel, begin } = useLong();
  const [opened, setOpened] = useState<Opened>();
  const open = (testOnly: boolean) => (file: File) => {
    setOpened(undefined);
    begin('Reading the file', async (options) =>
      setOpened({ file, testOnly, preview: await call('previewBackup', { file, name: file.name }, options) }),
    );
  };
  return (
    <Section
      title="Read in a file"
      help="From this browser or from another device. What is the same stays, what is newer comes in, and what was changed on both sides is laid side by side."
    >
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
        <FilePick
          label="Read in a file"
          accept=".zip,.json,application/zip,application/json"
          onFile={open(false)}
        />
        <FilePick
          label="Only test whether a file opens"
          accept=".zip,.json,application/zip,application/json"
          onFile={open(true)}
        />
      </View>
      {going ? <Progress label={going.label} fraction={going.fraction} onCancel={cancel} /> : null}
      {opened ? <Found key={opened.file.name} {...opened} onDone={() => setOpened(undefined)} /> : null}
    </Section>
  );
}

const summary = ({ counts, holds }: Preview): string =>
  [
    ...(holds === 'piece' ? [] : [counted('piece', counts.piece)]),
    counted('face', counts.face),
    counted('damage', counts.damage),
    counted('log', counts.log),
    counted('veneer', counts.veneer),
    ...(counts.colour > 0 ? [counted('colour', counts.colour)] : []),
    ...(counts.lumber > 0 ? [counted('lumber', counts.lumber)] : []),
    ...(counts.board > 0 ? [counted('board', counts.board)] : []),
    counted('picture', counts.picture),
  ].join(', ');

function Found({ file, preview, testOnly, onDone }: Opened & { onDone: () => void }) {
  const { going, cancel, begin } = useLong();
  const act = useAct();
  const say = useSay();
  const [fields, setFields] = useState<Record<string, Side>>({});
  const [deleted, setDeleted] = useState<Record<string, 'keep' | 'delete'>>({});
  const [gone, setGone] = useState<'stay' | 'back'>('stay');
  const [adrift, setAdrift] = useState<'gather' | 'leave'>('gather');
  const whole = preview.unreadable.length === 0;
  const { questions, goes, staysDeleted } = preview;
  const changes = preview.fresh.length + preview.newerThere.length + preview.conflicts.length + preview.freshPictures + questions.length + goes.length; // prettier-ignore
  const take = (): void =>
    begin('Reading it in', async (options) => {
      const at = { now: localNow(), device: deviceName() };
      const taken = await call(
        'takeBackup',
        { file, name: preview.name, choices: { fields, adrift, deleted, gone }, at },
        options,
      );
      await renewAfter(taken);
      onDone();
      say({
        text: `${preview.name} was read in: ${taken.written.length} ${taken.written.length === 1 ? 'record' : 'records'} and ${counted('picture', taken.pictures.length)} were written.`,
        action: {
          label: 'Undo',
          run: () =>
            act(async () => {
              await call('takeBackupBack', { taken });
              await renewAfter(taken);
            }),
        },
      });
    });
  return (
    <LitCard
      eyebrow={preview.name}
      title={
        whole ? 'This backup opens, and all of it is whole' : 'This backup opens, but not all of it is whole'
      }
    >
      <Text>{`It holds ${summary(preview)}.`}</Text>
      {testOnly ? null : (
        <Text>
          {changes === 0
            ? staysDeleted.length > 0
              ? `Nothing in it is new. Deleted here, and stays away: ${staysDeleted.length}.`
              : 'Everything in it is here already.'
            : `New here: ${preview.fresh.length} records and ${counted('picture', preview.freshPictures)}. Newer in the file: ${preview.newerThere.length}. Newer here, and left: ${preview.newerHere.length}. The same: ${preview.same}. Changed on both sides: ${preview.conflicts.length}.${goes.length > 0 ? ` Deleted there, and goes here too: ${goes.length}.` : ''}${staysDeleted.length > 0 ? ` Deleted here, and stays away: ${staysDeleted.length}.` : ''}`}
        </Text>
      )}
      {preview.fresh.length + preview.newerThere.length + goes.length + staysDeleted.length > 0 &&
      !testOnly ? (
        <Fold title="What is new, what is newer, what goes">
          <Names title="New here" names={preview.fresh} />
          <Names title="Newer in the file" names={preview.newerThere} />
          <Names title="Newer here" names={preview.newerHere} />
          <Names title="Deleted there, and goes here too" names={goes} />
          <Names title="Deleted here, and stays away" names={staysDeleted} />
        </Fold>
      ) : null}
      <Trouble preview={preview} />
      {testOnly || changes + preview.adrift.length + preview.aside + staysDeleted.length === 0 ? (
        <Button label="Close" onPress={onDone} />
      ) : (
        <>
          {preview.conflicts.map((c) => (
            <Beside
              key={c.key}
              conflict={c}
              value={fields[c.key] ?? c.later}
              onChoose={(side) => setFields({ ...fields, [c.key]: side })}
            />
          ))}
          {staysDeleted.length > 0 ? (
            <Chips<'stay' | 'back'>
              label={`${staysDeleted.length} ${staysDeleted.length === 1 ? 'record' : 'records'} in it ${staysDeleted.length === 1 ? 'was' : 'were'} deleted here`}
              options={[
                { value: 'stay', label: 'Leave them deleted' },
                { value: 'back', label: 'Bring them back' },
              ]}
              value={gone}
              onChange={setGone}
            />
          ) : null}
          {questions.map((q) => (
            <Deleted
              key={q.key}
              question={q}
              value={deleted[q.key] ?? 'keep'}
              onChoose={(choice) => setDeleted({ ...deleted, [q.key]: choice })}
            />
          ))}
          {preview.adrift.length > 0 ? (
            <Chips<'gather' | 'leave'>
              label={`${preview.adrift.length} records have lost their piece`}
              help={preview.adrift
                .slice(0, 6)
                .map((a) => a.title)
                .join('; ')}
              options={[
                { value: 'gather', label: 'Put them under “Found again”' },
                { value: 'leave', label: 'Leave them out' },
              ]}
              value={adrift}
              onChange={setAdrift}
            />
          ) : null}
          {going ? (
            <Progress label={going.label} fraction={going.fraction} onCancel={cancel} />
          ) : (
            <View style={{ flexDirection: 'row', gap: 12, flexWrap: 'wrap' }}>
              <Button label="Read it in" kind="main" onPress={take} />
              <Button label="Leave it" onPress={onDone} />
            </View>
          )}
        </>
      )}
    </LitCard>
  );
}

const MOST_NAMED = 20;

function Names({ title, names }: { title: string; names: readonly string[] }) {
  if (names.length === 0) return null;
  const more = names.length - MOST_NAMED;
  return (
    <View style={{ gap: 4 }}>
      <Text kind="strong">{title}</Text>
      <Text
        verbatim
      >{`${names.slice(0, MOST_NAMED).join('; ')}${more > 0 ? `; and ${more} more` : ''}.`}</Text>
    </View>
  );
}

function Trouble({ preview: { mended, unreadable, aside } }: { preview: Preview }) {
  if (mended.length + unreadable.length + aside === 0) return null;
  return (
    <Notice kind="stop" title="What is not whole in it">
      <View style={{ gap: 6 }}>
        {mended.slice(0, MOST_NAMED).map((m) => (
          <Text key={m} verbatim>
            {m}
          </Text>
        ))}
        {unreadable.slice(0, MOST_NAMED).map((u) => (
          <Text key={u.part} verbatim>{`${u.part}: ${u.reason}`}</Text>
        ))}
        {aside > 0 ? (
          <Text>{`${aside} records in it cannot be read by this version; they are kept aside as they are.`}</Text>
        ) : null}
        <Text kind="quiet">All else comes in as it is.</Text>
      </View>
    </Notice>
  );
}

/** Something that was deleted on one side and changed on the other. */
function Deleted({
  question: { title, deleted, with: all },
  value,
  onChoose,
}: {
  question: Question;
  value: 'keep' | 'delete';
  onChoose: (choice: 'keep' | 'delete') => void;
}) {
  const more = all.length - 1;
  return (
    <Chips<'keep' | 'delete'>
      label={`${title}: deleted ${deleted === 'here' ? 'here' : 'on the other device'}`}
      help={`It was changed ${deleted === 'here' ? 'on the other device' : 'here'} without knowing of that.${more > 0 ? ` ${more} ${more === 1 ? 'record hangs' : 'records hang'} on it and ${more === 1 ? 'stays or goes' : 'stay or go'} with it.` : ''}`}
      options={[
        { value: 'keep', label: 'Keep it on both' },
        { value: 'delete', label: 'Delete it on both' },
      ]}
      value={value}
      onChange={onChoose}
    />
  );
}

/** The two values of a field that was changed on both sides. */
function Beside({
  conflict: { title, field, mine, theirs, later },
  value,
  onChoose,
}: {
  conflict: Conflict;
  value: Side;
  onChoose: (side: Side) => void;
}) {
  return (
    <Chips<Side>
      label={`${title}: ${field}`}
      help={`Changed on both sides; ${later === 'mine' ? 'here' : 'in the file'} it was changed last.`}
      options={[
        { value: 'mine', label: `Here: ${mine}` },
        { value: 'theirs', label: `In the file: ${theirs}` },
      ]}
      value={value}
      onChange={onChoose}
    />
  );
}
