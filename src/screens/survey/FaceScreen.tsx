import { router, useLocalSearchParams } from 'expo-router';
import { View } from 'react-native';
import { BUILDS, FINISHES_NOW, VENEER_RANGE_MM } from '@/core/method';
import { createPicture, createRecord, INSET_CORNERS, newDamage, removeRecords, type Face } from '@/records';
import {
  Button,
  Chips,
  FilePick,
  Fold,
  LengthField,
  LitCard,
  Notice,
  optionsOf,
  Section,
  Text,
  TextField,
  useSay,
} from '@/ui';
import { storePicture } from '@/worker';
import { boardOf, damageLabel, surveyed } from '../shared/derive';
import { FaceBoard } from '../shared/FaceBoard';
import { Missing } from '../shared/Missing';
import { Page } from '../shared/Page';
import { LinkRow, TrailList } from '../shared/Trail';
import { WoodChips } from '../shared/WoodChips';
import { useAct, useChange } from '../shared/useAct';
import { useFaceView } from '../shared/usePiece';
import { useUnits } from '../shared/useUnits';
import { RawPhoto } from './RawPhoto';

/** A face: its photo, what it is made of, and the way to scale, grain and damages. */
export function FaceScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const view = useFaceView(id);
  const change = useChange();
  const act = useAct();
  const say = useSay();
  const { unit, length, area } = useUnits();
  const { face, piece, onFace } = view;
  if (!face || !piece) return <Missing what="This face" loading={view.loading} />;
  const set = (patch: Partial<Face>): void => change(face, patch);
  const board = boardOf(face.body);
  const plain = !face.body.picture;
  const size = face.body.scale?.kind === 'rectangle' ? face.body.scale : { widthMm: 600, heightMm: 450 };
  const setSize = (widthMm: number, heightMm: number): void =>
    set({ scale: { kind: 'rectangle', object: 'face', corners: [[0, 0], [1, 0], [1, 1], [0, 1]], widthMm, heightMm } }); // prettier-ignore
  const outline = (): void =>
    act(async () => {
      const number = Math.max(0, ...view.damages.map((d) => d.body.number)) + 1;
      const damage = await createRecord('damage', newDamage(piece.id, face.id, number, 'liftedEdge'));
      router.push(`/damage/${damage.id}`);
    });
  const replacePhoto = (file: File): void =>
    act(async () => {
      const { jpeg, widthPx, heightPx } = await storePicture(file, file.name);
      const pictureId = await createPicture({ name: file.name.slice(0, 200), jpeg, widthPx, heightPx });
      const corners =
        face.body.scale?.kind === 'rectangle'
          ? { ...face.body.scale, corners: INSET_CORNERS }
          : face.body.scale;
      change(face, {
        picture: { id: pictureId, widthPx, heightPx },
        faceCorners: INSET_CORNERS,
        ...(corners ? { scale: corners } : {}),
      });
      router.push(`/face/${face.id}/scale`);
    });
  const remove = (): void =>
    act(async () => {
      const undo = await removeRecords([
        { kind: 'face', id: face.id },
        ...onFace.map((d) => ({ kind: 'damage' as const, id: d.id })),
      ]);
      router.replace(`/piece/${piece.id}`);
      say({ text: `${face.body.name} was deleted.`, action: { label: 'Undo', run: () => act(undo) } });
    });
  const picture = board.ok ? (
    <FaceBoard face={face} damages={onFace} label={`${face.body.name} to scale`} />
  ) : (
    <RawPhoto face={face} label={`Photo of ${face.body.name}`} />
  );
  return (
    <Page
      title={face.body.name}
      eyebrow={piece.body.name}
      back={{ href: `/piece/${piece.id}`, label: piece.body.name }}
      list={<TrailList view={view} />}
      board={picture}
    >
      {board.ok && face.body.grain ? (
        <LitCard
          eyebrow="Now"
          title={onFace.length === 0 ? 'Outline the first damage' : 'Outline the next damage, or decide'}
        >
          <Text>Tap round it on the photo. Its area and its lengths along and across the grain follow.</Text>
          <Button label="Outline a damage" kind="main" onPress={outline} />
        </LitCard>
      ) : board.ok || plain ? null : (
        <LitCard eyebrow="Now" title="Set the scale">
          <Text>
            Put four handles on the corners of something of known size. {face.body.scale ? board.problem : ''}
          </Text>
          <Button label="Set the scale" kind="main" onPress={() => router.push(`/face/${face.id}/scale`)} />
        </LitCard>
      )}
      {board.ok && !face.body.grain ? (
        <LitCard eyebrow="Now" title="Show the direction of the grain">
          <Text>Drag an arrow along the grain. Patches, slits and knives follow it.</Text>
          <Button label="Draw the grain" kind="main" onPress={() => router.push(`/face/${face.id}/grain`)} />
        </LitCard>
      ) : null}
      <View>
        {board.ok ? (
          <LinkRow
            href={`/face/${face.id}/scale`}
            title="Scale"
            detail="Handles on something of known size"
            value={`${length(board.value.plane.widthMm)} × ${length(board.value.plane.heightMm)}`}
          />
        ) : null}
        {board.ok ? (
          <LinkRow
            href={`/face/${face.id}/grain`}
            title="Grain"
            detail={face.body.grain ? 'Drawn on the photo' : 'Not drawn yet; taken as level'}
            value={`${Math.round(board.value.grainDeg)}°`}
          />
        ) : null}
        {onFace.map((d) => {
          const survey = surveyed(d.body, face.body);
          return (
            <LinkRow
              key={d.id}
              href={`/damage/${d.id}`}
              title={damageLabel(d.body)}
              detail={survey.ok ? 'Outlined' : survey.problem}
              value={survey.ok ? area(survey.value.measures.areaMm2) : ''}
            />
          );
        })}
      </View>
      {plain ? (
        <Section title="Size" help="Without a photo the face is drawn as a plain board of this size.">
          <LengthField
            label="Width"
            valueMm={size.widthMm}
            unit={unit}
            onChange={(w) => setSize(w, size.heightMm)}
          />
          <LengthField
            label="Height"
            valueMm={size.heightMm}
            unit={unit}
            onChange={(h) => setSize(size.widthMm, h)}
          />
          {face.body.scale ? null : (
            <Button label="Take this size" kind="main" onPress={() => setSize(size.widthMm, size.heightMm)} />
          )}
        </Section>
      ) : null}
      <Section title="What it is made of">
        <TextField
          label="Name of the face"
          value={face.body.name}
          onChange={(name) => set({ name: name.trim() || face.body.name })}
          most={120}
        />
        <Chips
          label="Build"
          options={optionsOf(BUILDS)}
          value={face.body.build}
          onChange={(build) => set({ build, veneerMm: build === 'solid' ? 0 : face.body.veneerMm || 0.6 })}
        />
        <WoodChips value={face.body.species} onChange={(species) => set({ species })} />
        {face.body.build === 'solid' ? null : (
          <LengthField
            label="Veneer thickness"
            help="Read it at an edge, a chip or a screw hole. New veneer is often 0.5 to 0.6 mm, old up to 2 mm."
            valueMm={face.body.veneerMm}
            unit={unit}
            check={(mm) => {
              if (mm < VENEER_RANGE_MM.least || mm > VENEER_RANGE_MM.most) {
                throw new RangeError(
                  `A veneer of ${length(mm)} cannot be; it lies between ${length(VENEER_RANGE_MM.least)} and ${length(VENEER_RANGE_MM.most)}.`,
                );
              }
            }}
            onChange={(veneerMm) => set({ veneerMm })}
          />
        )}
        <Chips
          label="Finish on it now"
          options={optionsOf(FINISHES_NOW)}
          value={face.body.finishNow}
          onChange={(finishNow) => set({ finishNow })}
        />
        <Chips
          label="Is it seen?"
          options={[
            { value: true, label: 'Show face' },
            { value: false, label: 'Hidden face' },
          ]}
          value={face.body.show}
          onChange={(show) => set({ show })}
        />
      </Section>
      <Fold title="Another photo, or delete this face">
        <FilePick
          label={plain ? 'Add a photo' : 'Take another photo'}
          accept="image/png,image/jpeg"
          onFile={replacePhoto}
        />
        {onFace.some((d) => d.body.outline.length > 0) ? (
          <Notice kind="rest">
            Outlines keep their place in the picture. With another photo they need to be drawn again.
          </Notice>
        ) : null}
        <Button label="Delete this face" kind="danger" onPress={remove} />
      </Fold>
    </Page>
  );
}
