import { router, useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { Line, Polygon as SvgPolygon } from 'react-native-svg';
import {
  HANDLE_ERROR_SHARE,
  REFERENCE_OBJECTS,
  scaleQuality,
  SIZE_ERROR_MM,
  type Point,
  type ScaleReference,
} from '@/core/geometry';
import { describeSource, derived, published } from '@/core/sources';
import { INSET_CORNERS, type Face } from '@/records';
import { Button, Chips, Figure, LengthField, materials, Notice, Text, type Handle } from '@/ui';
import { useDraft } from '../shared/FaceBoard';
import { Missing } from '../shared/Missing';
import { Page } from '../shared/Page';
import { TrailList } from '../shared/Trail';
import { useChange } from '../shared/useChange';
import { useFaceView } from '../shared/usePiece';
import { useUnits } from '../shared/useUnits';
import { useCornersToCatch } from './useCornersToCatch';
import { FindCorners } from './FindCorners';
import { RawPhoto } from './RawPhoto';
import { attempt } from '@/core/check';
import { boardOf, frameOf } from '@/core/job';

type Choice = 'face' | keyof typeof REFERENCE_OBJECTS | 'length';
const CHOICES: { value: Choice; label: string }[] = [
  { value: 'face', label: 'The face itself' },
  { value: 'card', label: REFERENCE_OBJECTS.card.label },
  { value: 'a4', label: REFERENCE_OBJECTS.a4.label },
  { value: 'letter', label: REFERENCE_OBJECTS.letter.label },
  { value: 'length', label: 'A known length' },
];
/** A patch fits when lengths are good to about two hundredths. */
const ROUGH_PER_100_MM = 2.5;
const CORNER_NAMES = ['Top left corner', 'Top right corner', 'Bottom right corner', 'Bottom left corner'];
const START_CARD: Point[] = [[0.4, 0.44], [0.6, 0.44], [0.6, 0.56], [0.4, 0.56]]; // prettier-ignore

const choiceOf = (scale: ScaleReference | undefined): Choice =>
  scale === undefined ? 'face' : scale.kind === 'length' ? 'length' : scale.object;

function startOf(choice: Choice, before: ScaleReference | undefined): ScaleReference {
  if (choice === 'length') return { kind: 'length', ends: [[0.2, 0.5], [0.8, 0.5]], lengthMm: 300 }; // prettier-ignore
  if (choice === 'face') {
    const size =
      before?.kind === 'rectangle' && before.object === 'face' ? before : { widthMm: 600, heightMm: 450 };
    return {
      kind: 'rectangle',
      object: 'face',
      corners: INSET_CORNERS,
      widthMm: size.widthMm,
      heightMm: size.heightMm,
    };
  }
  const { widthMm, heightMm } = REFERENCE_OBJECTS[choice];
  return { kind: 'rectangle', object: choice, corners: START_CARD, widthMm, heightMm };
}

/** Scale: handles on something of known size; the face squared up, with how far it can be trusted. */
export function ScaleScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const view = useFaceView(id);
  const change = useChange();
  const { unit, length } = useUnits();
  const [dragging, setDragging] = useState<'object' | 'face'>('object');
  const saved = view.face?.body.scale ?? startOf('face', undefined);
  const scale = useDraft<ScaleReference>(saved, (value) => change(view.face, { scale: value }));
  const corners = useDraft<Point[]>(view.face?.body.faceCorners ?? INSET_CORNERS, (faceCorners) =>
    change(view.face, { faceCorners }),
  );
  const catchOn = useCornersToCatch(view.face);
  const { face, piece } = view;
  if (!face || !piece) return <Missing what="This face" loading={view.loading} />;
  const { widthPx, heightPx } = frameOf(face.body);
  const reference = scale.value;
  const choice = choiceOf(reference);
  const ownCorners = choice === 'face';
  const onFace = !ownCorners && dragging === 'face';
  const places = onFace ? corners.value : reference.kind === 'rectangle' ? reference.corners : reference.ends;
  const names = reference.kind === 'length' && !onFace ? ['First end', 'Second end'] : CORNER_NAMES;
  const handles = places.map((p, i): Handle => ({
    id: String(i),
    label: names[i] ?? 'Handle',
    x: p[0] * widthPx,
    y: p[1] * heightPx,
  }));
  const move = (handle: string, at: readonly [number, number]): void => {
    const next = places.map((p, i): Point =>
      String(i) === handle ? [at[0] / widthPx, at[1] / heightPx] : p,
    );
    if (onFace) corners.drag(next);
    else
      scale.drag(
        reference.kind === 'rectangle' ? { ...reference, corners: next } : { ...reference, ends: next },
      );
  };
  const drop = onFace ? corners.drop : scale.drop;
  const set = (patch: Partial<Face>): Promise<boolean> => change(face, patch);
  // Only what is saved is reckoned with: while a handle is dragged the figures rest.
  const input = { picture: frameOf(face.body), scale: saved, faceCorners: face.body.faceCorners };
  const quality = attempt(() => scaleQuality(input));
  const board = boardOf({ ...face.body, scale: saved });
  const polygon = (points: readonly Point[]): string =>
    points.map((p) => `${p[0] * widthPx},${p[1] * heightPx}`).join(' ');
  const photo = (
    <RawPhoto
      face={face}
      label="Photo with handles for the scale"
      phoneHeight={400}
      handles={handles}
      onMove={move}
      onMoveEnd={drop}
      catchOn={catchOn}
    >
      {(k) => (
        <>
          {ownCorners ? null : (
            <SvgPolygon
              points={polygon(corners.value)}
              fill="none"
              stroke={materials.onBadge}
              strokeWidth={1.5 / k}
              strokeDasharray={`${6 / k} ${4 / k}`}
            />
          )}
          {reference.kind === 'rectangle' ? (
            <SvgPolygon
              points={polygon(reference.corners)}
              fill={materials.lamp}
              fillOpacity={0.12}
              stroke={materials.lamp}
              strokeWidth={2 / k}
            />
          ) : (
            <Line
              x1={(reference.ends[0]?.[0] ?? 0) * widthPx}
              y1={(reference.ends[0]?.[1] ?? 0) * heightPx}
              x2={(reference.ends[1]?.[0] ?? 0) * widthPx}
              y2={(reference.ends[1]?.[1] ?? 0) * heightPx}
              stroke={materials.lamp}
              strokeWidth={2 / k}
            />
          )}
        </>
      )}
    </RawPhoto>
  );
  return (
    <Page
      title="Set the scale"
      eyebrow={`${piece.body.name} · ${face.body.name}`}
      back={{ href: `/face/${face.id}`, label: face.body.name }}
      list={<TrailList view={view} />}
      board={photo}
    >
      <Chips
        label="What has a known size?"
        options={CHOICES}
        value={choice}
        onChange={(c) => set({ scale: startOf(c, saved) })}
      />
      {ownCorners ? null : (
        <Chips
          label="Which handles do you drag?"
          help="First the corners of the known thing, then the corners of the face (dashed)."
          options={[
            {
              value: 'object',
              label: choice === 'length' ? 'Ends of the length' : 'Corners of the known thing',
            },
            { value: 'face', label: 'Corners of the face' },
          ]}
          value={dragging}
          onChange={setDragging}
        />
      )}
      {saved.kind === 'rectangle' && face.body.picture ? (
        <FindCorners
          pictureId={face.body.picture.id}
          object={saved.object}
          corners={saved.corners}
          onFound={(found) => set({ scale: { ...saved, corners: found } })}
        />
      ) : null}
      {saved.kind === 'rectangle' && saved.object === 'face' ? (
        <View style={{ flexDirection: 'row', gap: 16, flexWrap: 'wrap' }}>
          <LengthField
            label="Width, along the top"
            valueMm={saved.widthMm}
            unit={unit}
            onChange={(widthMm) => set({ scale: { ...saved, widthMm } })}
          />
          <LengthField
            label="Height, down the side"
            valueMm={saved.heightMm}
            unit={unit}
            onChange={(heightMm) => set({ scale: { ...saved, heightMm } })}
          />
        </View>
      ) : saved.kind === 'length' ? (
        <>
          <LengthField
            label="Known length"
            valueMm={saved.lengthMm}
            unit={unit}
            onChange={(lengthMm) => set({ scale: { ...saved, lengthMm } })}
          />
          <Notice kind="rest">
            A single length cannot show a tilt of the camera. Take the photo square on, or use four corners.
          </Notice>
        </>
      ) : (
        <Figure
          label="Known size"
          value={`${saved.widthMm} × ${saved.heightMm}`}
          unit="mm"
          source={
            saved.object === 'face'
              ? ''
              : describeSource(published(REFERENCE_OBJECTS[saved.object].standard, 'stated size'))
          }
        />
      )}
      {saved.kind === 'rectangle' && saved.object !== 'face' ? (
        <Chips
          label="Has the face four right angles?"
          help="Then its own corners show the tilt of the camera, and the scale is several times as sharp."
          options={[
            { value: true, label: 'Yes' },
            { value: false, label: 'No' },
          ]}
          value={saved.squareFace !== false}
          onChange={(squareFace) => set({ scale: { ...saved, squareFace } })}
        />
      ) : null}
      {quality.ok && board.ok ? (
        <>
          {quality.value.per100UncertaintyMm > ROUGH_PER_100_MM ? (
            <Notice kind="stop" title="Too rough to cut a patch by">
              Come closer with the plus button and set the handles again, lay a larger thing of known size on
              the face, or measure the face itself.
            </Notice>
          ) : null}
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 16 }}>
            <Figure
              label="Scale at the centre"
              value={quality.value.mmPerPixel.toFixed(2)}
              unit="mm per pixel"
              source={describeSource(
                derived('the projective map through the handles (least squares for more than four)'),
              )}
            />
            <Figure
              label="A length of 100 mm is good to"
              value={`± ${quality.value.per100UncertaintyMm.toFixed(2)}`}
              unit="mm"
              source={describeSource(
                derived(
                  `each handle moved by ${100 * HANDLE_ERROR_SHARE} % of the picture and each measured size by ${length(SIZE_ERROR_MM)}; effects added in quadrature; two standard deviations`,
                ),
              )}
            />
            <Figure
              label="Width of the face"
              value={length(board.value.plane.widthMm)}
              note={`± ${length(quality.value.widthUncertaintyMm)}`}
            />
            <Figure
              label="Height of the face"
              value={length(board.value.plane.heightMm)}
              note={`± ${length(quality.value.heightUncertaintyMm)}`}
            />
          </View>
          <Button
            label={face.body.scale ? 'Next: the grain' : 'Take this scale'}
            kind="main"
            onPress={() => {
              if (!face.body.scale) set({ scale: saved });
              router.push(`/face/${face.id}/grain`);
            }}
          />
        </>
      ) : (
        <Notice kind="stop" title="No scale from these handles">
          {quality.ok ? (board.ok ? '' : board.problem) : quality.problem}
        </Notice>
      )}
      <Text kind="quiet">
        Drag a handle; the glass shows what is under your finger. Near a corner of the photo it lies down on
        it. Pinch or use the wheel to come closer. With the arrow keys a handle goes anywhere.
      </Text>
    </Page>
  );
}
