import { useState } from 'react';
import { View } from 'react-native';
import type { Lab } from '@/core/colour';
import { MOST_BOARD_COATS, roleOf, swatchDoubt, thinnedWords, type CoatsOf } from '@/core/shelf';
import { createRecord, localNow, removeRecords, type Stored } from '@/records';
import { Chips, FilePick, Fold, Stepper, Text, useSay } from '@/ui';
import { call } from '@/worker';
import { keepPhoto } from '../shared/keepPhoto';
import { Tone } from '../shared/Swatch';
import { useAct } from '../shared/useAct';
import { namesOf } from '../shared/useShelf';

/** A test board that was made: what went on, and the photo of how it came out. From it the products are learned. */
export function BoardFold({
  start,
  wood,
  grit,
  planned,
  shelf,
}: {
  start: Lab;
  wood: string;
  grit: number | undefined;
  /** What is thought of to go on. */
  planned: readonly CoatsOf[];
  shelf: readonly Stored<'colour'>[];
}) {
  const act = useAct();
  const say = useSay();
  const nameOf = namesOf(shelf);
  const [own, setOwn] = useState<CoatsOf[]>();
  const coats = own ?? [...planned];
  const others = shelf.filter(
    (c) => roleOf(c.body.kind) !== 'mix' && !coats.some((k) => k.colourId === c.id),
  );
  const save = (file: File): Promise<void> =>
    act(async () => {
      const { id: pictureId } = await keepPhoto(file);
      const read = await call('swatchTones', { pictureId });
      const board = await createRecord('board', {
        name: `Board of ${localNow().slice(0, 10)}`,
        wood,
        ...(grit === undefined ? {} : { grit }),
        ground: start,
        coats,
        measured: read.mean,
        doneAt: localNow(),
        note: '',
        pictureId,
      });
      setOwn(undefined);
      say({
        text: `The board is kept. What it shows of your products counts from now on. ${swatchDoubt(read, 'wood') ?? ''}`.trim(),
        action: { label: 'Undo', run: () => act(() => removeRecords([{ kind: 'board', id: board.id }])) },
      });
    });
  return (
    <Fold title="I made a test board">
      <Text kind="quiet">
        On the same wood, sanded alike. Say what really went on, then photograph the dry board filling the
        picture, in the light in which the face was taken.
      </Text>
      <View style={{ width: 110 }}>
        <Tone lab={start} label="Bare" />
      </View>
      {coats.map((c) => (
        <Stepper
          key={c.colourId}
          label={`Coats of ${nameOf(c.colourId)}${thinnedWords(c)}`}
          value={c.coats}
          least={0}
          most={MOST_BOARD_COATS}
          onChange={(n) =>
            setOwn(
              n === 0
                ? coats.filter((k) => k.colourId !== c.colourId)
                : coats.map((k) => (k.colourId === c.colourId ? { ...k, coats: n } : k)),
            )
          }
        />
      ))}
      {others.length > 0 ? (
        <Chips
          label="Something else went on too"
          options={others.map((c) => ({ value: c.id, label: c.body.name }))}
          value={undefined}
          onChange={(colourId) => setOwn([...coats, { colourId, coats: 1 }])}
        />
      ) : null}
      {coats.length > 0 ? (
        <FilePick
          label="Photograph the board and keep it"
          accept="image/png,image/jpeg"
          kind="main"
          onFile={save}
        />
      ) : (
        <Text>Nothing went on yet.</Text>
      )}
    </Fold>
  );
}
