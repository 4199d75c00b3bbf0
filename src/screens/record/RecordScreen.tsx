import { useLocalSearchParams } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { formatMinutes } from '@/core/units';
import { browserStore, createRecord, localNow, useList, useShop, type Picture, type Stored } from '@/records';
import { Button, FilePick, Figure, LitCard, Section, Text, TextField, useTheme } from '@/ui';
import { keepPhoto } from '../shared/keepPhoto';
import { LongList } from '../shared/LongList';
import { Missing } from '../shared/Missing';
import { Page } from '../shared/Page';
import { fileName } from '@/instruments';
import { PhotoSwatch } from '../shared/Swatch';
import { TrailList } from '../shared/Trail';
import { useAct } from '../shared/useAct';
import { useDelete } from '../shared/useDelete';
import { usePdf } from '../shared/usePdf';
import { namesOf } from '../shared/useShelf';
import { useDraft } from '../shared/useDraft';
import { usePlan } from '../shared/useBench';
import { usePieceView } from '../shared/usePiece';
import { useUnits } from '../shared/useUnits';
import { recordPages } from '@/core/papers';

async function picturesOf(ids: string[]): Promise<Map<string, Picture>> {
  const found = await Promise.all(
    ids.map(async (id) => [id, (await browserStore.get('picture', id))?.body] as const),
  );
  return new Map(found.flatMap(([id, p]) => (p ? [[id, p] as const] : [])));
}

/** What was done to a piece, with photos before and after; printed for the owner. */
export function RecordScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const view = usePieceView(id);
  const { plan } = usePlan(id);
  const { shop } = useShop();
  const { length, area } = useUnits();
  const act = useAct();
  const erase = useDelete();
  const pdf = usePdf();
  const { records: shelf } = useList('colour');
  const [note, setNote, dropNote] = useDraft(`record.${id}`);
  const { piece, faces, damages, log } = view;
  if (!piece) return <Missing what="This piece" loading={view.loading} />;
  const print = (): Promise<void> =>
    act(async () => {
      const ids = [
        ...faces.flatMap((f) => (f.body.picture ? [f.body.picture.id] : [])),
        ...log.flatMap((l) => l.body.pictures.map((p) => p.pictureId)),
      ];
      const pages = recordPages({
        piece,
        faces,
        damages,
        log,
        pictures: await picturesOf(ids),
        shop,
        colourName: namesOf(shelf),
        length,
        area,
      });
      await pdf(`Record of ${piece.body.name}`, pages, `${fileName(piece.body.name)}-record.pdf`);
    });
  const addPhoto = (role: 'before' | 'after') => (file: File) =>
    act(async () => {
      const { id: pictureId } = await keepPhoto(file);
      await createRecord('log', {
        pieceId: piece.id,
        taskId: `photo/${pictureId}`,
        title: role === 'before' ? 'Photo before' : 'Photo after',
        doneAt: localNow(),
        actualMin: 0,
        note,
        pictures: [{ pictureId, role }],
      });
      dropNote();
    });
  const addNote = (): Promise<void> =>
    act(async () => {
      await createRecord('log', {
        pieceId: piece.id,
        taskId: 'note',
        title: 'Note',
        doneAt: localNow(),
        actualMin: 0,
        note,
        pictures: [],
      });
      dropNote();
    });
  const remove = (entry: Stored<'log'>): Promise<void> => erase([{ kind: 'log', id: entry.id }], 'The entry');
  return (
    <Page
      title="Record"
      eyebrow={piece.body.name}
      back={{ href: `/piece/${piece.id}`, label: piece.body.name }}
      list={<TrailList view={view} />}
    >
      <LitCard eyebrow="For the owner and for the next refinisher" title="Print the record">
        <Text>Damages, repairs, times, notes and photos, on paper.</Text>
        <Button label="Print the record (PDF)" kind="main" onPress={print} />
      </LitCard>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 16 }}>
        <Figure label="Steps done" value={plan ? `${plan.trail.done} of ${plan.trail.all}` : '…'} />
        <Figure
          label="Hands at work"
          value={formatMinutes(log.reduce((s, l) => s + l.body.actualMin, 0))}
          note="as logged"
        />
      </View>
      <Section title="Log">
        {log.length === 0 ? (
          <Text kind="quiet">Nothing yet. Steps ticked at the bench appear here with their real times.</Text>
        ) : null}
        <LongList items={log}>{(l) => <Entry key={l.id} entry={l} onDelete={() => remove(l)} />}</LongList>
      </Section>
      <Section title="Add a photo or a note">
        <TextField label="Note" value={note} onChange={setNote} lines={2} />
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
          <FilePick label="Photo before" accept="image/png,image/jpeg" onFile={addPhoto('before')} />
          <FilePick label="Photo after" accept="image/png,image/jpeg" onFile={addPhoto('after')} />
          <Button label="Keep the note" disabled={note.trim() === ''} onPress={addNote} />
        </View>
      </Section>
    </Page>
  );
}

function Entry({ entry, onDelete }: { entry: Stored<'log'>; onDelete: () => void }) {
  const theme = useTheme();
  const { body } = entry;
  return (
    <View style={[styles.entry, { borderColor: theme.line }]}>
      <View style={styles.line}>
        <View style={styles.text}>
          <Text kind="strong">{body.title}</Text>
          <Text kind="label">{`${body.doneAt.slice(0, 10)}, ${body.doneAt.slice(11, 16)}`}</Text>
          {body.note ? <Text>{body.note}</Text> : null}
        </View>
        {body.actualMin > 0 ? <Text kind="number">{formatMinutes(body.actualMin)}</Text> : null}
      </View>
      {body.pictures.length > 0 ? (
        <View style={styles.photos}>
          {body.pictures.map((p) => (
            <View key={p.pictureId}>
              <PhotoSwatch
                pictureId={p.pictureId}
                name={p.role === 'before' ? 'the place before' : 'the place after'}
                size={120}
              />
              <Text kind="label">{p.role === 'before' ? 'Before' : 'After'}</Text>
            </View>
          ))}
        </View>
      ) : null}
      <Button label="Delete" name={`Delete entry: ${body.title}`} kind="quiet" onPress={onDelete} />
    </View>
  );
}

const styles = StyleSheet.create({
  entry: { borderBottomWidth: 1, paddingBottom: 4, gap: 8 },
  line: { flexDirection: 'row', gap: 12 },
  text: { flex: 1, gap: 2 },
  photos: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
