import { useState } from 'react';
import { View } from 'react-native';
import { createRecord, localNow, type LogEntry } from '@/records';
import { Button, FilePick, Stepper, Text, TextField } from '@/ui';
import { keepPhoto } from '../shared/keepPhoto';
import { useAct } from '../shared/useAct';
import { useDraft } from '../shared/useDraft';
import type { PieceTask } from '@/worker';

/** Ticks a step off: how long it took, a note, photos. */
export function TickForm({ task, onDone }: { task: PieceTask; onDone: () => void }) {
  const act = useAct();
  const [minutes, setMinutes] = useState(task.attendedMin);
  const [note, setNote, dropNote] = useDraft(`tick.${task.id}`);
  const [pictures, setPictures] = useState<LogEntry['pictures']>([]);
  const addPicture = (role: 'before' | 'after') => (file: File) =>
    act(async () => {
      const { id: pictureId } = await keepPhoto(file);
      setPictures((p) => [...p, { pictureId, role }]);
    });
  const save = (): Promise<void> =>
    act(async () => {
      await createRecord('log', {
        pieceId: task.pieceId,
        taskId: task.id,
        title: task.title,
        doneAt: localNow(),
        actualMin: minutes,
        ...task.learns,
        ...(task.faces ? { faces: task.faces } : {}),
        ...(task.places && task.places.length > 1 ? { places: task.places } : {}),
        note,
        pictures,
      });
      dropNote();
      onDone();
    });
  return (
    <View style={{ gap: 16 }}>
      <Stepper
        label="It took"
        unit="min"
        value={minutes}
        least={0}
        most={1440}
        step={5}
        onChange={setMinutes}
      />
      <TextField
        label="Note"
        help="Mixes, tones, what went otherwise."
        value={note}
        onChange={setNote}
        lines={2}
      />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <FilePick label="Photo before" accept="image/png,image/jpeg" onFile={addPicture('before')} />
        <FilePick label="Photo after" accept="image/png,image/jpeg" onFile={addPicture('after')} />
      </View>
      {pictures.length > 0 ? (
        <Text kind="quiet">{`${pictures.length} ${pictures.length === 1 ? 'photo' : 'photos'} added.`}</Text>
      ) : null}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
        <Button label="Done" name={`Done: ${task.title}`} kind="main" onPress={save} />
        <Button label="Not now" kind="quiet" onPress={onDone} />
      </View>
    </View>
  );
}
