import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { createRecord, newFace, useList } from '@/records';
import { Button, Chips, Progress, Text } from '@/ui';
import { keepPhoto } from '../shared/keepPhoto';
import { addPiece } from '../pieces/addPiece';
import { Page } from '../shared/Page';
import { useAct } from '../shared/useAct';
import { useSharedPhotos } from '../shared/useSharedPhotos';

const NEW = 'new';

/** Photos that came from another app: which piece they belong to. Each becomes a face of it. */
export function SharedScreen() {
  const { photos, loading, drop } = useSharedPhotos();
  const { records: pieces } = useList('piece');
  const act = useAct();
  const [chosen, setChosen] = useState(NEW);
  const [done, setDone] = useState<number>();
  const take = (): Promise<void> =>
    act(async () => {
      try {
        const pieceId = chosen === NEW ? await addPiece(pieces.length + 1) : chosen;
        for (const [i, photo] of photos.entries()) {
          setDone(i);
          await createRecord('face', {
            ...newFace(pieceId, `Face ${i + 1}`),
            picture: await keepPhoto(photo),
          });
        }
        await drop();
        router.replace(`/piece/${pieceId}/about`);
      } finally {
        setDone(undefined);
      }
    });
  return (
    <Page title="Photos that came in" eyebrow="From another app" back={{ href: '/', label: 'Pieces' }}>
      {photos.length === 0 ? (
        <Text>
          {loading
            ? 'One moment.'
            : 'None are waiting. When the app stands on the home screen, photos can be shared with it from the gallery.'}
        </Text>
      ) : (
        <View style={{ gap: 16 }}>
          <Text>{`${photos.length} ${photos.length === 1 ? 'photo waits' : 'photos wait'}: ${photos.map((p) => p.name).join(', ')}.`}</Text>
          <Chips<string>
            label="They are faces of"
            options={[
              { value: NEW, label: 'A new piece' },
              ...pieces.map((p) => ({ value: p.id, label: p.body.name })),
            ]}
            value={chosen}
            onChange={setChosen}
          />
          {done === undefined ? (
            <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
              <Button label="Add them" kind="main" onPress={take} />
              <Button label="Put them away" onPress={() => act(drop)} />
            </View>
          ) : (
            <Progress label="Adding the photos" fraction={done / photos.length} />
          )}
        </View>
      )}
    </Page>
  );
}
