import { router, useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { G, Polyline } from 'react-native-svg';
import { DAMAGE_KINDS, type DamageKind } from '@/core/damage';
import { distance, nearestOnSegment, sides, type Point } from '@/core/geometry';
import { removeRecords } from '@/records';
import {
  Button,
  Chips,
  Figure,
  Fold,
  LengthField,
  materials,
  Notice,
  optionsOf,
  Text,
  useSay,
  type Handle,
} from '@/ui';
import { boardOf, damageLabel, surveyed } from '../shared/derive';
import { FaceBoard, inPicture, onFaceMm, useDraft } from '../shared/FaceBoard';
import { Missing } from '../shared/Missing';
import { Page } from '../shared/Page';
import { TrailList } from '../shared/Trail';
import { useAct, useChange } from '../shared/useAct';
import { useDamageView } from '../shared/usePiece';
import { useUnits } from '../shared/useUnits';

/** Going round the damage lengthens the closing side, so a tap near it goes there rather than into an older side. */
const CLOSING_SIDE_PULL = 0.6;

/** How much of the face is shown round an outline that is opened again. mm. */
const OUTLINE_ROOM_MM = 50;

/** Puts a tapped point where the outline runs past it. */
function withPoint(outline: readonly Point[], p: Point): Point[] {
  if (outline.length < 3) return [...outline, p];
  const gaps = sides(outline).map(
    ([a, b], i) =>
      distance(p, nearestOnSegment(p, a, b)) * (i === outline.length - 1 ? CLOSING_SIDE_PULL : 1),
  );
  const at = gaps.indexOf(Math.min(...gaps)) + 1;
  return [...outline.slice(0, at), p, ...outline.slice(at)];
}

/** A damage outlined on the face, and what its outline measures. */
export function OutlineScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const view = useDamageView(id);
  const change = useChange();
  const act = useAct();
  const say = useSay();
  const { unit, length, area } = useUnits();
  const [past, setPast] = useState<Point[][]>([]);
  const [future, setFuture] = useState<Point[][]>([]);
  const { damage, face, piece } = view;
  const saved = damage?.body.outline ?? [];
  const put = (outline: Point[]): void => {
    setPast((p) => [...p.slice(-99), saved]);
    setFuture([]);
    change(damage, { outline });
  };
  const draft = useDraft<Point[]>(saved, put);
  if (!damage || !piece) return <Missing what="This damage" loading={view.loading} />;
  const body = { ...damage.body, outline: draft.value };
  const result = face ? boardOf(face.body) : undefined;
  const board = result?.ok ? result.value : undefined;
  const back = face
    ? { href: `/face/${face.id}` as const, label: face.body.name }
    : { href: `/piece/${piece.id}` as const, label: piece.body.name };
  const undo = (): void => {
    const last = past[past.length - 1];
    if (!last) return;
    setPast(past.slice(0, -1));
    setFuture([saved, ...future]);
    change(damage, { outline: last });
  };
  const redo = (): void => {
    const [first, ...rest] = future;
    if (!first) return;
    setFuture(rest);
    setPast([...past, saved]);
    change(damage, { outline: first });
  };
  const remove = (): void =>
    act(async () => {
      const putBack = await removeRecords([{ kind: 'damage', id: damage.id }]);
      router.replace(back.href);
      say({
        text: `${damageLabel(damage.body)} was deleted.`,
        action: { label: 'Undo', run: () => act(putBack) },
      });
    });
  const kindChips = (
    <Chips<DamageKind>
      label="What is it?"
      help={DAMAGE_KINDS[body.kind].look}
      options={optionsOf(DAMAGE_KINDS)}
      value={body.kind}
      onChange={(kind) => change(damage, { kind })}
    />
  );
  if (!face || !board) {
    return (
      <Page title={damageLabel(body)} eyebrow={piece.body.name} back={back} list={<TrailList view={view} />}>
        {kindChips}
        <Notice kind="rest" title="No outline yet">
          {face
            ? 'Set the scale of the face first; then the damage can be outlined to size.'
            : 'This damage was kept from a quick answer. Add a photo of its face to outline it.'}
        </Notice>
        {face ? (
          <Button label="Set the scale" kind="main" onPress={() => router.push(`/face/${face.id}/scale`)} />
        ) : (
          <PutOnFace view={view} />
        )}
        <Button label="See the ranking" onPress={() => router.push(`/damage/${damage.id}/decide`)} />
        <Button label="Delete this damage" kind="danger" onPress={remove} />
      </Page>
    );
  }
  const onFace = draft.value.map((p) => onFaceMm(board, p));
  const handles = onFace.map((p, i): Handle => ({
    id: String(i),
    label: `Point ${i + 1} of ${onFace.length}`,
    x: p[0],
    y: p[1],
  }));
  const survey = surveyed(body, face.body);
  const setPoint = (i: number, p: Point): void =>
    put(saved.map((q, k) => (k === i ? inPicture(board, p) : q)));
  return (
    <Page
      title={damageLabel(body)}
      eyebrow={`${piece.body.name} · ${face.body.name}`}
      back={back}
      list={<TrailList view={view} />}
      board={
        <FaceBoard
          key={damage.id}
          face={face}
          {...(survey.ok ? { focus: { outline: survey.value.outline, marginMm: OUTLINE_ROOM_MM } } : {})}
          damages={view.onFace.map((d) => (d.id === damage.id ? { ...d, body } : d))}
          current={damage.id}
          label="Face to scale. Tap to add a point of the outline."
          phoneHeight={380}
          handles={handles}
          onTap={(at) => put(withPoint(onFace, at).map((p) => inPicture(board, p)))}
          onMove={(handle, at) =>
            draft.drag(draft.value.map((p, i) => (String(i) === handle ? inPicture(board, at) : p)))
          }
          onMoveEnd={draft.drop}
          over={(k) =>
            onFace.length < 3 ? (
              <G>
                <Polyline
                  points={onFace.map((p) => p.join(',')).join(' ')}
                  fill="none"
                  stroke={materials.onBadge}
                  strokeWidth={2 / k}
                />
              </G>
            ) : null
          }
        />
      }
    >
      {survey.ok ? (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 16 }}>
          <Figure label="Area" value={area(survey.value.measures.areaMm2)} />
          <Figure label="Perimeter" value={length(survey.value.measures.perimeterMm)} />
          <Figure label="Along the grain" value={length(survey.value.measures.alongMm)} />
          <Figure label="Across the grain" value={length(survey.value.measures.acrossMm)} />
        </View>
      ) : draft.value.length < 3 ? (
        <Text kind="strong">
          {draft.value.length === 0
            ? 'Tap on the photo, round the damage, point by point.'
            : `${draft.value.length} of at least 3 points. Tap on, round the damage.`}
        </Text>
      ) : (
        <Notice kind="stop" title="This outline cannot be measured">
          {survey.problem}
        </Notice>
      )}
      {body.kind === 'liftedEdge' ? (
        <Button label="Find it by tapping" onPress={() => router.push(`/damage/${damage.id}/tap`)} />
      ) : null}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Button label="Undo" onPress={undo} disabled={past.length === 0} />
        <Button label="Redo" onPress={redo} disabled={future.length === 0} />
        <Button label="Start again" onPress={() => put([])} disabled={saved.length === 0} />
      </View>
      {survey.ok ? (
        <Text kind="quiet">
          {survey.value.atEdge
            ? 'It reaches the edge of the face.'
            : 'It lies inside the face and reaches no edge.'}{' '}
          Drag a point to adjust it; tap to add one.
        </Text>
      ) : null}
      {kindChips}
      <Button
        label="Next: decide the repair"
        kind="main"
        disabled={!survey.ok}
        onPress={() => router.push(`/damage/${damage.id}/decide`)}
      />
      <Fold title="Points as numbers">
        <Text kind="quiet">From the top left corner of the face, to the right and down.</Text>
        {onFace.map((p, i) => (
          <View key={i} style={{ flexDirection: 'row', gap: 8, flexWrap: 'wrap', alignItems: 'flex-end' }}>
            <LengthField
              label={`Point ${i + 1}, right`}
              valueMm={Math.max(0, p[0])}
              unit={unit}
              onChange={(x) => setPoint(i, [x, p[1]])}
            />
            <LengthField
              label={`Point ${i + 1}, down`}
              valueMm={Math.max(0, p[1])}
              unit={unit}
              onChange={(y) => setPoint(i, [p[0], y])}
            />
            <Button
              label="Remove"
              name={`Remove point ${i + 1}`}
              kind="quiet"
              onPress={() => put(saved.filter((_, k) => k !== i))}
            />
          </View>
        ))}
        <Button
          label="Add a point"
          onPress={() =>
            put([...saved, inPicture(board, [board.plane.widthMm / 2, board.plane.heightMm / 2])])
          }
        />
      </Fold>
      <Fold title="Delete this damage">
        <Button label="Delete this damage" kind="danger" onPress={remove} />
      </Fold>
    </Page>
  );
}

/** A damage kept from a quick answer finds its face. */
function PutOnFace({ view }: { view: ReturnType<typeof useDamageView> }) {
  const change = useChange();
  if (view.faces.length === 0) {
    return (
      <Button
        label="Add a face"
        kind="main"
        onPress={() => router.push(`/piece/${view.piece?.id ?? ''}/about`)}
      />
    );
  }
  return (
    <View style={{ gap: 8 }}>
      {view.faces.map((f) => (
        <Button
          key={f.id}
          label={`It is on ${f.body.name}`}
          onPress={() => change(view.damage, { faceId: f.id })}
        />
      ))}
    </View>
  );
}
