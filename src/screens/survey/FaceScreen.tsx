import { router, useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { type DamageKind } from '@/core/damage';
import { createRecord, INSET_CORNERS, newDamage, type Face } from '@/records';
import { Button, FilePick, Fold, LengthField, LitCard, Notice, Section, Text } from '@/ui';
import { keepPhoto } from '../shared/keepPhoto';
import { KindPicker } from '../shared/KindPicker';
import { Photos } from '../shared/Photos';
import { FaceBoard } from '../shared/FaceBoard';
import { LongList } from '../shared/LongList';
import { Missing } from '../shared/Missing';
import { Page } from '../shared/Page';
import { LinkRow } from '../shared/LinkRow';
import { TrailList } from '../shared/Trail';
import { useAct } from '../shared/useAct';
import { useDelete } from '../shared/useDelete';
import { usePlan } from '../shared/useBench';
import { useChange } from '../shared/useChange';
import { useFaceView } from '../shared/usePiece';
import { useUnits } from '../shared/useUnits';
import { FaceFacts } from './FaceFacts';
import { PreparationSection } from './PreparationSection';
import { RawPhoto } from './RawPhoto';
import { CalibrateFold } from '../shared/CalibrateFold';
import { ShapeSection } from './ShapeSection';
import { boardOf, damageLabel, grainIsKnown, isMarked, measuredWords, surveyed } from '@/core/job';

/** What has been tested so far, in a few words. */
function testsNote({ finishTests = [], thicknessReadings = [], moistureReadings = [] }: Face): string {
  const count = finishTests.length + thicknessReadings.length + moistureReadings.length;
  return count === 0 ? '' : String(count);
}

function grainDetail({ grain, grainPlan }: Face): string {
  switch (grainPlan?.kind) {
    case 'radial':
      return 'A sunburst';
    case 'border':
      return 'With a crossbanded border';
    case 'zones':
      return `In ${grainPlan.zones.length} zones of its own`;
    default:
      return grain ? 'Drawn on the photo' : 'Not drawn yet; taken as level';
  }
}

/** A face: its photo, what it is made of, and the way to scale, grain and damages. */
export function FaceScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const view = useFaceView(id);
  const change = useChange();
  const act = useAct();
  const erase = useDelete();
  const units = useUnits();
  const { unit, length } = units;
  const { face, piece, onFace } = view;
  const { plan } = usePlan(piece?.id);
  const [picked, setKind] = useState<DamageKind>();
  const kind = picked ?? (face?.body.build === 'solid' ? 'gouge' : 'liftedEdge');
  if (!face || !piece) return <Missing what="This face" loading={view.loading} />;
  const set = (patch: Partial<Face>): Promise<boolean> => change(face, patch);
  const board = boardOf(face.body);
  const plain = !face.body.picture;
  const size = face.body.scale?.kind === 'rectangle' ? face.body.scale : { widthMm: 600, heightMm: 450 };
  const setSize = (widthMm: number, heightMm: number): Promise<boolean> =>
    set({ scale: { kind: 'rectangle', object: 'face', corners: [[0, 0], [1, 0], [1, 1], [0, 1]], widthMm, heightMm } }); // prettier-ignore
  const grainKnown = grainIsKnown(face.body);
  const mark = (): Promise<void> =>
    act(async () => {
      const number = Math.max(0, ...view.damages.map((d) => d.body.number)) + 1;
      const damage = view.empty ?? (await createRecord('damage', newDamage(piece.id, face.id, number, kind)));
      if (view.empty) await change(view.empty, { kind, number });
      router.push(`/damage/${damage.id}`);
    });
  const replacePhoto = (file: File): Promise<void> =>
    act(async () => {
      const picture = await keepPhoto(file);
      const corners =
        face.body.scale?.kind === 'rectangle'
          ? { ...face.body.scale, corners: INSET_CORNERS }
          : face.body.scale;
      change(face, {
        picture,
        faceCorners: INSET_CORNERS,
        ...(corners ? { scale: corners } : {}),
      });
      router.push(`/face/${face.id}/scale`);
    });
  const remove = (): Promise<void> =>
    erase(
      [{ kind: 'face', id: face.id }, ...onFace.map((d) => ({ kind: 'damage' as const, id: d.id }))],
      face.body.name,
      `/piece/${piece.id}`,
    );
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
      {board.ok && grainKnown ? (
        <LitCard
          eyebrow="Now"
          title={onFace.length === 0 ? 'Mark the first damage' : 'Mark the next damage, or decide'}
        >
          <KindPicker value={kind} onChange={setKind} />
          <Button label="Mark it on the picture" kind="main" onPress={mark} />
        </LitCard>
      ) : board.ok || plain ? null : (
        <LitCard eyebrow="Now" title="Set the scale">
          <Text>
            Put four handles on the corners of something of known size. {face.body.scale ? board.problem : ''}
          </Text>
          <Button label="Set the scale" kind="main" onPress={() => router.push(`/face/${face.id}/scale`)} />
        </LitCard>
      )}
      {board.ok && !grainKnown ? (
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
            detail={grainDetail(face.body)}
            value={`${Math.round(board.value.grainDeg)}°`}
          />
        ) : null}
        <LongList items={onFace}>
          {(d) => {
            const survey = surveyed(d.body, face.body);
            return (
              <LinkRow
                key={d.id}
                href={`/damage/${d.id}`}
                title={damageLabel(d.body)}
                detail={survey.ok ? measuredWords(d, face, units) : survey.problem}
              />
            );
          }}
        </LongList>
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
      {face.body.picture ? (
        <CalibrateFold pictureId={face.body.picture.id} onPicture={(picture) => set({ picture })} />
      ) : null}
      <ShapeSection face={face} others={view.faces.filter((f) => f.id !== face.id)} onChange={set} />
      <FaceFacts face={face.body} piece={piece.body} onChange={set} />
      <PreparationSection face={face.body} work={plan?.faces.find((f) => f.id === face.id)} onChange={set} />
      <View>
        <LinkRow
          href={`/face/${face.id}/tests`}
          title="Tests of finish and wood"
          detail="Solvent tests, wipe, thickness and moisture readings"
          value={testsNote(face.body)}
        />
      </View>
      <Photos
        title="More photos of this face"
        photos={face.body.photos ?? []}
        onChange={(photos) => set({ photos })}
      />
      <Fold title="Another photo, or delete this face">
        <FilePick
          label={plain ? 'Add a photo' : 'Take another photo'}
          accept="image/png,image/jpeg"
          onFile={replacePhoto}
        />
        {onFace.some((d) => isMarked(d.body)) ? (
          <Notice kind="rest">
            Outlines keep their place in the picture. With another photo they need to be drawn again.
          </Notice>
        ) : null}
        <Button label="Delete this face" kind="danger" onPress={remove} />
      </Fold>
    </Page>
  );
}
