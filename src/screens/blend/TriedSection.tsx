import { useState } from 'react';
import { View } from 'react-native';
import type { Lab } from '@/core/colour';
import {
  OUTCOMES,
  OUTCOMES_OF,
  saidColour,
  swatchDoubt,
  TRIED,
  triedWords,
  type Standing,
  type TriedWhat,
} from '@/core/shelf';
import { localNow, type Stored } from '@/records';
import { Button, Chips, FilePick, Fold, Row, Text, TextField, useSay } from '@/ui';
import { call } from '@/worker';
import { Tone } from '../shared/Swatch';
import { useAct } from '../shared/useAct';
import { useChange } from '../shared/useChange';
import { useLatest } from '../shared/useLatest';

const WHATS: TriedWhat[] = ['wipe', 'coat', 'board'];

/** What was tried and how it came out: asked, or measured by a photo. From it the rest is planned anew; all of it is kept. */
export function TriedSection({
  damage,
  goal,
  standing,
}: {
  damage: Stored<'damage'>;
  goal: Lab;
  standing: Standing;
}) {
  const change = useChange();
  const act = useAct();
  const say = useSay();
  const { tried = [] } = damage.body;
  const [what, setWhat] = useState<TriedWhat>('wipe');
  const [finished, setFinished] = useState(false);
  const [note, setNote] = useState('');
  const put = useLatest((next: typeof tried) => change(damage, { tried: next }));
  // Wiped, it is seen as under a finish.
  const seenFinished = what === 'wipe' || finished;
  const add = (outcome: keyof typeof OUTCOMES, lab: Lab | undefined, doubt = ''): Promise<void> =>
    act(async () => {
      const before = tried;
      const entry = {
        at: localNow(),
        what,
        outcome,
        note: note.trim(),
        ...(lab ? { lab, finished: seenFinished } : {}),
      };
      await put.current([...before, entry]);
      setNote('');
      say({
        text: `It is kept, and the rest is planned from there. ${doubt}`.trim(),
        action: { label: 'Undo', run: () => void put.current(before) },
      });
    });
  return (
    <Fold title={tried.length > 0 ? `What was tried (${tried.length})` : 'Tried something? Plan from there'}>
      {standing.at === 'colour' ? (
        <View style={{ width: 110 }}>
          <Tone lab={standing.lab} label="As it is now" />
        </View>
      ) : null}
      <Chips
        label="What was tried"
        options={WHATS.map((w) => ({ value: w, label: TRIED[w].label }))}
        value={what}
        onChange={setWhat}
      />
      <TextField label="Note" value={note} most={500} onChange={setNote} />
      <Text>{TRIED[what].ask}</Text>
      {what === 'coat' ? (
        <Chips
          label="Is a clear finish on it?"
          options={[
            { value: false, label: 'Not yet' },
            { value: true, label: 'Yes, or it is wiped with spirits' },
          ]}
          value={finished}
          onChange={setFinished}
        />
      ) : null}
      <Chips
        label="It is"
        options={OUTCOMES_OF[what].map((o) => ({ value: o, label: OUTCOMES[o].label }))}
        value={undefined}
        onChange={(outcome) => void add(outcome, saidColour(goal, what, outcome))}
      />
      <FilePick
        label="Photograph it as it is now"
        accept="image/png,image/jpeg"
        onFile={(file) =>
          act(async () => {
            const read = await call('fileTones', { file, name: file.name });
            await add('measured', read.mean, swatchDoubt(read, 'wood'));
          })
        }
      />
      <Text kind="quiet">
        A photo is surer than a word: dry, filling the picture, in the light in which the face was taken.
      </Text>
      {tried.length > 0 ? (
        <View>
          {tried.map((t, i) => (
            <Row
              key={`${t.at} ${i}`}
              title={triedWords(t)}
              detail={t.at.slice(0, 16).replace('T', ', ')}
              last={i === tried.length - 1}
            />
          ))}
        </View>
      ) : null}
      {tried.length > 0 ? (
        <Button
          label="Take the last one back"
          kind="quiet"
          onPress={() => void put.current(tried.slice(0, -1))}
        />
      ) : null}
    </Fold>
  );
}
