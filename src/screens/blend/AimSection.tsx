import { useState } from 'react';
import { View } from 'react-native';
import type { Tones } from '@/core/colour';
import type { Point } from '@/core/geometry';
import { boardOf, inPicture, onFaceMm, viewOf } from '@/core/job';
import {
  AIM_FROM,
  evenTones,
  MOST_AIM_POINTS,
  pickedLabel,
  swatchDoubt,
  type AimFrom,
  type ColourAim,
} from '@/core/shelf';
import { cardWords } from '@/core/veneer';
import { readColour } from '@/instruments';
import { useList, type Stored } from '@/records';
import { Button, Chips, FilePick, Fold, Text, useSay } from '@/ui';
import { call } from '@/worker';
import { FaceBoard } from '../shared/FaceBoard';
import { Tone } from '../shared/Swatch';
import { useAct } from '../shared/useAct';
import { useChange } from '../shared/useChange';
import { useLatest } from '../shared/useLatest';
import { useUnits } from '../shared/useUnits';
import { useOldCard } from '../shared/useWorkshop';

const RING = 'ring';
const FROM: { value: typeof RING | AimFrom; label: string }[] = [
  { value: RING, label: 'The sound wood round it' },
  { value: 'points', label: AIM_FROM.points.label },
  { value: 'photo', label: AIM_FROM.photo.label },
  { value: 'board', label: AIM_FROM.board.label },
  { value: 'reader', label: AIM_FROM.reader.label },
];

/** The colour the repair shall have: from the wood round it, or from anywhere else. */
export function AimSection({
  damage,
  face,
  faces,
  onFace,
  tones,
}: {
  damage: Stored<'damage'>;
  face: Stored<'face'>;
  faces: readonly Stored<'face'>[];
  onFace: readonly Stored<'damage'>[];
  tones: Tones;
}) {
  const { aim } = damage.body;
  const change = useChange();
  const say = useSay();
  const act = useAct();
  const { length } = useUnits();
  const { records: boards } = useList('board');
  const { card } = useOldCard(damage, face, onFace);
  const [from, setFrom] = useState<typeof RING | AimFrom>(aim?.from ?? RING);
  const put = useLatest((next: ColourAim | undefined) => change(damage, { aim: next }));
  const take = async (next: ColourAim | undefined): Promise<void> => {
    const before = aim;
    await put.current(next);
    say({
      text: next
        ? [`The colour is taken from: ${next.label}.`, swatchDoubt(next.tones, 'wood')]
            .filter(Boolean)
            .join(' ')
        : 'The colour is taken from the wood round it.',
      action: { label: 'Undo', run: () => void put.current(before) },
    });
  };
  const choose = (next: typeof RING | AimFrom): void => {
    setFrom(next);
    if (next === RING && aim) void take(undefined);
  };
  return (
    <Fold title={`The colour it shall have: ${aim ? `from ${aim.label}` : 'as the sound wood round it'}`}>
      <View style={{ flexDirection: 'row', gap: 8 }}>
        <Tone lab={tones.ground} label="Ground" />
        <Tone lab={tones.mean} label="On the whole" />
        <Tone lab={tones.line} label="Lines" />
      </View>
      {card && !aim ? <Text kind="quiet">{cardWords(card, length)}</Text> : null}
      <Chips label="Take it from" options={FROM} value={from} onChange={choose} />
      {from === RING ? null : <Text kind="quiet">{AIM_FROM[from].help}</Text>}
      {from === 'points' ? <PickPlaces aim={aim} faces={faces} start={face} onTake={take} /> : null}
      {from === 'photo' ? (
        <FilePick
          label="Take the colour from a photo"
          accept="image/png,image/jpeg"
          onFile={(file) =>
            act(async () =>
              take({
                from: 'photo',
                label: `the photo ${file.name}`.slice(0, 200),
                tones: await call('fileTones', { file, name: file.name }),
              }),
            )
          }
        />
      ) : null}
      {from === 'board' ? (
        boards.length > 0 ? (
          <Chips
            label="Which board"
            options={boards.map((b) => ({ value: b.id, label: `${b.body.name}, ${b.body.wood}` }))}
            value={undefined}
            onChange={(id) => {
              const board = boards.find((b) => b.id === id);
              if (board)
                void take({ from: 'board', label: board.body.name, tones: evenTones(board.body.measured) });
            }}
          />
        ) : (
          <Text>No test board is kept yet.</Text>
        )
      ) : null}
      {from === 'reader' ? (
        <Button
          label="Read the colour"
          onPress={() =>
            act(async () => {
              const { lab, simulated } = await readColour();
              await take({
                from: 'reader',
                label: `the colour reader${simulated ? ' (simulated)' : ''}`,
                tones: evenTones(lab),
              });
            })
          }
        />
      ) : null}
    </Fold>
  );
}

/** Sound places tapped on any face of the piece; all of them are read together. */
function PickPlaces({
  aim,
  faces,
  start,
  onTake,
}: {
  aim: ColourAim | undefined;
  faces: readonly Stored<'face'>[];
  start: Stored<'face'>;
  onTake: (aim: ColourAim | undefined) => Promise<void>;
}) {
  const act = useAct();
  const seen = faces.filter((f) => f.body.picture && boardOf(f.body).ok);
  const [dragged, setDragged] = useState<Point[]>();
  const [faceId, setFace] = useState(aim?.faceId ?? start.id);
  const face = seen.find((f) => f.id === faceId) ?? seen[0];
  const board = face ? boardOf(face.body) : undefined;
  const pictureId = face?.body.picture?.id;
  if (!face || !board?.ok || !pictureId) return <Text>No face of this piece has a photo to scale.</Text>;
  const points = aim?.faceId === face.id ? (aim.points ?? []) : [];
  const places = dragged ?? points.map((p) => onFaceMm(board.value, p));
  const read = (next: readonly Point[]): Promise<void> =>
    act(async () => {
      setDragged(undefined);
      if (next.length === 0) return onTake(undefined);
      const tones = await call('tonesAt', {
        view: viewOf(board.value, pictureId),
        places: [...next],
        face: board.value.plane.outline,
      });
      await onTake({
        from: 'points',
        label: pickedLabel(next.length, face.body.name),
        tones,
        faceId: face.id,
        points: next.map((p) => inPicture(board.value, p)),
      });
    });
  return (
    <>
      {seen.length > 1 ? (
        <Chips
          label="On which face"
          options={seen.map((f) => ({ value: f.id, label: f.body.name }))}
          value={face.id}
          onChange={setFace}
        />
      ) : null}
      <FaceBoard
        key={face.id}
        face={face}
        damages={[]}
        label={`${face.body.name}: tap sound wood`}
        phoneHeight={280}
        wideHeight={320}
        handles={places.map(([x, y], i) => ({ id: String(i), label: `Place ${i + 1}`, x, y }))}
        onMove={(id, at) => setDragged(places.map((p, i): Point => (String(i) === id ? [at[0], at[1]] : p)))}
        onMoveEnd={() => dragged && read(dragged)}
        onTap={(at) => places.length < MOST_AIM_POINTS && read([...places, [at[0], at[1]]])}
      />
      {places.length > 0 ? (
        <Button label="Take the last place away" kind="quiet" onPress={() => read(places.slice(0, -1))} />
      ) : null}
    </>
  );
}
