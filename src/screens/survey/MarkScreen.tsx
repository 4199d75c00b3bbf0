import { router, useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { G, Polyline } from 'react-native-svg';
import {
  kindInfo,
  LOOSE_KINDS,
  addMarkPoint,
  mapMark,
  markPoints,
  MOVING_KINDS,
  moveMarkPoint,
  removeMarkPoint,
  type Mark,
  type MarkTool,
} from '@/core/damage';
import { boundingBox, tapOnFace, type Point } from '@/core/geometry';
import type { Damage } from '@/records';
import { Button, Chips, Fold, materials, Notice, optionsOf, Text, useSay, type Handle } from '@/ui';
import { FaceBoard, inPicture } from '../shared/FaceBoard';
import { KindPicker } from '../shared/KindPicker';
import { Missing } from '../shared/Missing';
import { Page } from '../shared/Page';
import { TrailList } from '../shared/Trail';
import { useAct } from '../shared/useAct';
import { useDelete } from '../shared/useDelete';
import { useChange } from '../shared/useChange';
import { useDamageView } from '../shared/usePiece';
import { CopyFold } from './CopyFold';
import { GrewFold } from './GrewFold';
import { remarked, shifted, storedMark, tapped, MARK_TOOLS } from '@/core/job';
import { PointFields, SizeFields } from './MarkFields';
import { boardOf, damageLabel, isMarked, markMm, outlineMm, surveyed, viewOf, type Board } from '@/core/job';
import { proposalWords, REGION_SOURCE } from '@/core/sight';
import { describeSource } from '@/core/sources';
import { call } from '@/worker';
import { MarkFigures } from './MarkFigures';
import { PutOnFace } from './PutOnFace';
import { SnapCrack } from './SnapCrack';
import { useMarking } from './useMarking';

/** How much of the face is shown round a damage that is opened again. mm. */
const ROOM_MM = 50;
const WHOLE = 'whole';
const HANDLE_BESIDE_MM = 14;

/** A damage marked on its face with the tool that fits it, and what its mark measures. */
export function MarkScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const view = useDamageView(id);
  const change = useChange();
  const act = useAct();
  const erase = useDelete();
  const say = useSay();
  const [proposing, setProposing] = useState(false);
  // A tool that is chosen before anything is placed.
  const [picked, setPicked] = useState<MarkTool>();
  const { damage, face, piece } = view;
  const { draft, put, undo, redo } = useMarking(damage);
  if (!damage || !piece) return <Missing what="This damage" loading={view.loading} />;
  const body: Damage = { ...damage.body, ...storedMark(draft.value) };
  const placed = isMarked(body);
  const tool = placed ? draft.value.tool : (picked ?? kindInfo(body.kind).tool);
  const result = face ? boardOf(face.body) : undefined;
  const board = result?.ok ? result.value : undefined;
  const back = face
    ? { href: `/face/${face.id}` as const, label: face.body.name }
    : { href: `/piece/${piece.id}` as const, label: piece.body.name };
  const remove = (): Promise<void> =>
    erase([{ kind: 'damage', id: damage.id }], damageLabel(damage.body), back.href);
  const picker = <KindPicker value={body.kind} onChange={(kind) => change(damage, { kind })} />;
  if (!face || !board) {
    return (
      <Page title={damageLabel(body)} eyebrow={piece.body.name} back={back} list={<TrailList view={view} />}>
        {picker}
        <Notice kind="rest" title="Not on a face yet">
          {face
            ? 'Set the scale of the face first; then the damage can be marked to size.'
            : 'This damage was kept from a quick answer. Add a photo of its face to mark it.'}
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
  const pictureId = face.body.picture?.id;
  const toPicture = (p: Point): Point => inPicture(board, p);
  const mark = markMm(body, board);
  const survey = surveyed(body, face.body);
  const putMm = (next: Mark): void => put(mapMark(next, toPicture));
  const handles = handlesOf(mark, placed, survey.ok ? survey.value.outline : undefined);
  const drag = (handle: string, at: Point): void => {
    if (handle === WHOLE) {
      const centre = handles.find((h) => h.id === WHOLE);
      if (centre) draft.drag(mapMark(shifted(mark, [at[0] - centre.x, at[1] - centre.y]), toPicture));
    } else draft.drag(moveMarkPoint(draft.value, Number(handle), toPicture(at)));
  };
  const tap = (at: Point): void => {
    const spot = tapOnFace(board.plane.outline, at);
    if (!spot) {
      say({ text: 'That tap was beside the face, so nothing was marked. What is marked is unchanged.' });
      return;
    }
    if (proposing && pictureId) {
      act(async () => {
        const outline = await call('region', { view: viewOf(board, pictureId), at: spot.at });
        setProposing(false);
        if (outline.length >= 3) putMm({ tool: 'area', outline });
        say({ text: proposalWords(outline.length) });
      });
      return;
    }
    if (spot.drawn) say({ text: 'That tap was just beside the face; the point was drawn to its edge.' });
    putMm(tapped(tool, placed ? mark : undefined, spot.at));
  };
  const retool = (next: MarkTool): void => {
    setPicked(next);
    const made = remarked(next, outlineMm(body, board));
    if (made && next !== tool) putMm(made);
  };
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
          {...(survey.ok ? { focus: { outline: survey.value.outline, marginMm: ROOM_MM } } : {})}
          damages={view.onFace.map((d) => (d.id === damage.id ? { ...d, body } : d))}
          current={damage.id}
          label={`Face to scale. ${MARK_TOOLS[tool].hint}`}
          phoneHeight={380}
          handles={handles}
          onTap={tap}
          onMove={drag}
          onMoveEnd={draft.drop}
          over={(k) => (survey.ok ? null : <Unfinished mark={mark} k={k} />)}
        />
      }
    >
      {survey.ok ? (
        <MarkFigures survey={survey.value} />
      ) : placed ? (
        tool === 'area' && mark.tool === 'area' && mark.outline.length < 3 ? (
          <Text kind="strong">{`${mark.outline.length} of at least 3 points. Tap on, round the damage.`}</Text>
        ) : (
          <Notice kind="stop" title="This mark cannot be measured yet">
            {survey.problem}
          </Notice>
        )
      ) : (
        <Text kind="strong">{MARK_TOOLS[tool].hint}</Text>
      )}
      {tool === 'area' && pictureId ? (
        proposing ? (
          <View style={{ gap: 8 }}>
            <Text kind="strong" live>
              Now tap once inside the damage. Its outline is proposed from its colour.
            </Text>
            <Text kind="quiet">{describeSource(REGION_SOURCE)}</Text>
            <Button label="Leave it, I tap the points" onPress={() => setProposing(false)} />
          </View>
        ) : (
          <Button label="Propose the outline from one tap" onPress={() => setProposing(true)} />
        )
      ) : null}
      <SizeFields mark={draft.value} onChange={put} />
      <View style={styles.row}>
        <Button label="Undo" onPress={() => undo?.()} disabled={!undo} />
        <Button label="Redo" onPress={() => redo?.()} disabled={!redo} />
        <Button label="Start again" onPress={() => put({ tool: 'area', outline: [] })} disabled={!placed} />
      </View>
      {survey.ok ? (
        <Text kind="quiet">
          {survey.value.atEdge
            ? 'It reaches the edge of the face.'
            : 'It lies inside the face and reaches no edge.'}{' '}
          Drag a point to adjust it; tap to add one.
        </Text>
      ) : null}
      {mark.tool === 'line' && mark.points.length > 1 && pictureId ? (
        <SnapCrack
          board={board}
          pictureId={pictureId}
          points={mark.points}
          onPoints={(points) => putMm({ ...mark, points })}
        />
      ) : null}
      <Button
        label="Next: decide the repair"
        kind="main"
        disabled={!survey.ok}
        onPress={() => router.push(`/damage/${damage.id}/decide`)}
      />
      {LOOSE_KINDS.includes(body.kind) ? (
        <Button label="Find it by tapping" onPress={() => router.push(`/damage/${damage.id}/tap`)} />
      ) : null}
      {MOVING_KINDS.includes(body.kind) && survey.ok ? (
        <Button
          label="Does it move over the year?"
          onPress={() => router.push(`/damage/${damage.id}/movement`)}
        />
      ) : null}
      {picker}
      <Fold title="How it is marked">
        <Chips<MarkTool>
          label="Marked as"
          bare
          options={optionsOf(MARK_TOOLS)}
          value={tool}
          onChange={retool}
        />
        <Text kind="quiet">{MARK_TOOLS[tool].hint}</Text>
      </Fold>
      <Fold title="Points as numbers">
        <PointFields
          mark={mark}
          onMove={(i, at) => putMm(moveMarkPoint(mark, i, at))}
          onRemove={(i) => putMm(removeMarkPoint(mark, i))}
          onAdd={() => {
            const at = middleOf(board);
            const more = addMarkPoint(mark, at);
            putMm((placed || mark.tool === 'line') && more !== mark ? more : tapped(tool, undefined, at));
          }}
        />
      </Fold>
      <CopyFold
        view={view}
        damage={damage}
        board={board}
        mark={mark}
        onMove={(by) => putMm(shifted(mark, by))}
      />
      <GrewFold damage={damage} areaMm2={survey.ok ? survey.value.measures.areaMm2 : undefined} />
      <Fold title="Delete this damage">
        <Button label="Delete this damage" kind="danger" onPress={remove} />
      </Fold>
    </Page>
  );
}

const middleOf = ({ plane }: Board): Point => [plane.widthMm / 2, plane.heightMm / 2];

/** Handles for the mark's points, and one in the middle that moves the whole. */
function handlesOf(mark: Mark, placed: boolean, outline: readonly Point[] | undefined): Handle[] {
  if (!placed) return [];
  const points = markPoints(mark);
  const handles = points.map(({ label, at }, i): Handle => ({ id: String(i), label, x: at[0], y: at[1] }));
  if (!outline || points.length < 2) return handles;
  // Beside the damage rather than on it, where a point may lie.
  const box = boundingBox(outline);
  const x = (box.left + box.right) / 2;
  return [
    ...handles,
    { id: WHOLE, label: 'The whole damage', x, y: box.bottom + HANDLE_BESIDE_MM, whole: true },
  ];
}

/** Points that do not make a whole mark yet. */
function Unfinished({ mark, k }: { mark: Mark; k: number }) {
  const points = markPoints(mark).map((p) => p.at);
  return (
    <G>
      <Polyline
        points={points.map((p) => p.join(',')).join(' ')}
        fill="none"
        stroke={materials.onBadge}
        strokeWidth={2 / k}
      />
    </G>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
