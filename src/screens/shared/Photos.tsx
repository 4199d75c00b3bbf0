import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { type Photo, type PhotoRole } from '@/records';
import { Button, Chips, FilePick, Fold, optionsOf, Progress, Text, TextField, useSay } from '@/ui';
import { keepPhoto } from './keepPhoto';
import { PHOTO_ROLES } from '@/core/terms';
import { PhotoSwatch } from './Swatch';
import { useLatest } from './useLatest';
import { useAct } from './useAct';

/** Photos of a piece or a face with what each shows; none of them is to scale. */
export function Photos({
  title,
  photos,
  onChange,
}: {
  title: string;
  photos: readonly Photo[];
  onChange: (photos: Photo[]) => void;
}) {
  const act = useAct();
  const say = useSay();
  const latest = useLatest({ photos, onChange });
  const [role, setRole] = useState<PhotoRole>('overall');
  const [busy, setBusy] = useState(false);
  const add = (file: File): Promise<void> =>
    act(async () => {
      setBusy(true);
      try {
        const { id: pictureId } = await keepPhoto(file);
        onChange([...photos, { pictureId, role, note: '' }]);
      } finally {
        setBusy(false);
      }
    });
  const set = (i: number, patch: Partial<Photo>): void =>
    onChange(photos.map((p, k) => (k === i ? { ...p, ...patch } : p)));
  const remove = (i: number): Promise<void> =>
    act(async () => {
      await onChange(photos.filter((_, k) => k !== i));
      say({
        text: 'The photo was taken out.',
        action: {
          label: 'Undo',
          run: () => {
            const now = latest.current;
            const taken = photos[i];
            if (taken) now.onChange([...now.photos.slice(0, i), taken, ...now.photos.slice(i)]);
          },
        },
      });
    });
  return (
    <Fold title={`${title}${photos.length > 0 ? ` (${photos.length})` : ''}`}>
      {photos.map((p, i) => (
        <View key={p.pictureId} style={styles.photo}>
          <PhotoSwatch pictureId={p.pictureId} name={PHOTO_ROLES[p.role]} size={112} />
          <View style={styles.about}>
            <Text kind="strong">{PHOTO_ROLES[p.role]}</Text>
            <TextField
              label={`What photo ${i + 1} shows`}
              value={p.note}
              onChange={(note) => set(i, { note })}
              most={500}
            />
            <Button
              label="Take out"
              name={`Take out photo ${i + 1}`}
              kind="quiet"
              onPress={() => remove(i)}
            />
          </View>
        </View>
      ))}
      <Chips<PhotoRole>
        label="The next photo shows it"
        options={optionsOf(PHOTO_ROLES)}
        value={role}
        onChange={setRole}
      />
      {busy ? <Progress label="Opening the photo" fraction={0.5} /> : null}
      <FilePick label="Add a photo" accept="image/png,image/jpeg" onFile={add} />
    </Fold>
  );
}

const styles = StyleSheet.create({
  photo: { flexDirection: 'row', gap: 12, alignItems: 'flex-start' },
  about: { flex: 1, gap: 6 },
});
