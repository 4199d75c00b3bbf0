import { router, useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { Circle, G, Line, Polygon as SvgPolygon } from 'react-native-svg';
import { boundingBox, contains, grainAt, lineAngle, type Point } from '@/core/geometry';
import type { FaceGrain } from '@/records';
import {
  Button,
  Chips,
  Figure,
  LengthField,
  materials,
  Notice,
  Stepper,
  Text,
  TextField,
  type Handle,
} from '@/ui';
import { FaceBoard, inPicture, onFaceMm, useDraft } from '../shared/FaceBoard';
import { Missing } from '../shared/Missing';
import { Page } from '../shared/Page';
import { TrailList } from '../shared/Trail';
import { useAct } from '../shared/useAct';
import { useChange } from '../shared/useChange';
import { useFaceView } from '../shared/usePiece';
import { useUnits } from '../shared/useUnits';
import { arrowAt, boardOf, grainReadOn, newLeaf, startPlan, type Board } from '@/core/job';
import { ReadCentre } from './ReadCentre';
import { ReadGrain } from './ReadGrain';
import { strokeAt } from '@/core/job';

const PLANS = {
  uniform: 'One direction',
  radial: 'Sunburst, all to one point',
  border: 'Crossbanded border',
  zones: 'Leaves with directions of their own',
} as const;
type PlanKind = keyof typeof PLANS;

/** Strokes of the grain over the face, so that a plan can be seen to be right. */
function GrainStrokes({ board, k }: { board: Board; k: number }) {
  const { plane, grain } = board;
  const box = boundingBox(plane.outline);
  const across = 15;
  const gap = Math.max(box.right, box.bottom) / across;
  const spots: Point[] = [];
  for (let y = gap / 2; y < box.bottom; y += gap)
    for (let x = gap / 2; x < box.right; x += gap) if (contains(plane.outline, [x, y])) spots.push([x, y]);
  return (
    <G>
      {spots.map((p) => {
        const [a, b] = strokeAt(p, grainAt(grain, plane.outline, p), gap * 0.62);
        const line = { x1: a[0], y1: a[1], x2: b[0], y2: b[1] };
        return (
          <G key={p.join()}>
            <Line {...line} stroke={materials.badge} strokeWidth={4 / k} opacity={0.7} />
            <Line {...line} stroke={materials.onBadge} strokeWidth={1.6 / k} />
          </G>
        );
      })}
    </G>
  );
}

/** The direction of the grain: an arrow dragged on the photo, a sunburst, a border, or leaves of their own. */
export function GrainScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const view = useFaceView(id);
  const change = useChange();
  const act = useAct();
  const { unit } = useUnits();
  const [zone, setZone] = useState(0);
  const { face, piece, onFace } = view;
  const result = face ? boardOf(face.body) : undefined;
  const board = result?.ok ? result.value : undefined;
  const grain = useDraft<Point[]>(face?.body.grain ?? (board ? arrowAt(board, 0) : []), (value) =>
    change(face, { grain: value }),
  );
  const plan = useDraft<FaceGrain | undefined>(face?.body.grainPlan, (grainPlan) =>
    change(face, { grainPlan }),
  );
  if (!face || !piece) return <Missing what="This face" loading={view.loading} />;
  const back = { href: `/face/${face.id}` as const, label: face.body.name };
  if (!board) {
    return (
      <Page title="Draw the grain" back={back}>
        <Notice kind="stop">
          The face has no scale yet. Set the scale first; the grain is drawn on the squared-up photo.
        </Notice>
        <Button label="Set the scale" kind="main" onPress={() => router.push(`/face/${face.id}/scale`)} />
      </Page>
    );
  }
  const drafted = boardOf({ ...face.body, grain: grain.value, grainPlan: plan.value });
  const drawn = drafted.ok ? drafted.value : board;
  const kind: PlanKind = plan.value?.kind ?? 'uniform';
  const onBoard = (p: Point): Point => onFaceMm(board, p);
  const toPhoto = (p: Point): Point => inPicture(board, p);
  const [from = [0, 0], to = [1, 0]] = grain.value.map(onBoard);
  const angle = lineAngle(from, to);
  const turn = (Math.atan2(to[1] - from[1], to[0] - from[0]) * 180) / Math.PI;
  const setKind = (next: PlanKind): Promise<boolean> => change(face, { grainPlan: startPlan(next, board) });
  const zones = plan.value?.kind === 'zones' ? plan.value.zones : [];
  const leaf = zones[zone];
  const setZones = (next: typeof zones): Promise<boolean> =>
    change(face, { grainPlan: { kind: 'zones', zones: next } });
  const setLeaf = (patch: Partial<(typeof zones)[number]>): Promise<boolean> =>
    setZones(zones.map((z, i) => (i === zone ? { ...z, ...patch } : z)));
  const handles: Handle[] =
    plan.value?.kind === 'radial'
      ? [plan.value.at].map(onBoard).map(([x, y]) => ({ id: 'at', label: 'Middle of the sunburst', x, y }))
      : kind === 'zones'
        ? (leaf?.outline ?? [])
            .map(onBoard)
            .map(([x, y], i) => ({ id: String(i), label: `Corner ${i + 1} of the leaf`, x, y }))
        : [
            { id: '0', label: 'Start of the grain arrow', x: from[0], y: from[1] },
            { id: '1', label: 'Tip of the grain arrow', x: to[0], y: to[1] },
          ];
  const move = (handle: string, at: Point): void => {
    if (plan.value?.kind === 'radial') plan.drag({ kind: 'radial', at: toPhoto(at) });
    else if (kind === 'zones')
      plan.drag({
        kind: 'zones',
        zones: zones.map((z, i) =>
          i === zone
            ? { ...z, outline: z.outline.map((p, c) => (String(c) === handle ? toPhoto(at) : p)) }
            : z,
        ),
      });
    else grain.drag(grain.value.map((p, i) => (String(i) === handle ? toPhoto(at) : p)));
  };
  return (
    <Page
      title="Draw the grain"
      eyebrow={`${piece.body.name} · ${face.body.name}`}
      back={back}
      list={<TrailList view={view} />}
      board={
        <FaceBoard
          face={face}
          damages={onFace}
          current=""
          label="Face with its grain"
          phoneHeight={360}
          handles={handles}
          onMove={move}
          onMoveEnd={() => {
            grain.drop();
            plan.drop();
          }}
          over={(k) => (
            <G>
              {kind === 'uniform' ? null : <GrainStrokes board={drawn} k={k} />}
              {kind === 'uniform' || kind === 'border' ? (
                <Arrow from={from} to={to} turn={turn} k={k} />
              ) : null}
              {zones.map((z, i) => (
                <SvgPolygon
                  key={i}
                  points={z.outline.map((p) => onBoard(p).join(',')).join(' ')}
                  fill="none"
                  stroke={i === zone ? materials.lamp : materials.onBadge}
                  strokeWidth={(i === zone ? 3 : 1.5) / k}
                />
              ))}
              {plan.value?.kind === 'radial' ? (
                <Circle
                  cx={onBoard(plan.value.at)[0]}
                  cy={onBoard(plan.value.at)[1]}
                  r={5 / k}
                  fill={materials.lamp}
                />
              ) : null}
            </G>
          )}
        />
      }
    >
      <Chips<PlanKind>
        label="How does the grain run?"
        options={(Object.keys(PLANS) as PlanKind[]).map((value) => ({ value, label: PLANS[value] }))}
        value={kind}
        onChange={setKind}
      />
      {plan.value?.kind === 'radial' ? (
        <ReadCentre
          board={board}
          pictureId={face.body.picture?.id}
          now={onBoard(plan.value.at)}
          onPut={(at) => change(face, { grainPlan: { kind: 'radial', at: toPhoto(at) } })}
        />
      ) : null}
      {kind === 'uniform' || kind === 'border' || (kind === 'zones' && leaf) ? (
        <ReadGrain
          board={board}
          pictureId={face.body.picture?.id}
          within={kind === 'zones' && leaf ? leaf.outline.map(onBoard) : grainReadOn(drawn)}
          now={kind === 'zones' && leaf ? leaf.degrees : grain.value}
          onPut={(way) =>
            typeof way === 'number'
              ? kind === 'zones'
                ? setLeaf({ degrees: way })
                : change(face, { grain: arrowAt(board, way) })
              : change(face, { grain: way })
          }
        />
      ) : null}
      {kind === 'uniform' || kind === 'border' ? (
        <>
          <Text>
            {kind === 'border'
              ? 'The arrow is the grain of the field. In the border it runs square to the edge.'
              : 'Drag the two ends so that the arrow lies along the grain. Long sides of a patch, slits and the knife follow it.'}
          </Text>
          <Figure label="Grain, from level, clockwise" value={`${Math.round(angle)}°`} />
          <Stepper
            label="Or type the angle"
            value={Math.round(angle)}
            unit="°"
            least={0}
            most={179}
            onChange={(deg) => change(face, { grain: arrowAt(board, deg) })}
          />
        </>
      ) : null}
      {plan.value?.kind === 'border' ? (
        <LengthField
          label="Width of the border"
          valueMm={plan.value.widthMm}
          unit={unit}
          check={(mm) => {
            if (mm < 1 || mm > 1000) throw new RangeError('A border is between 1 mm and 1000 mm wide.');
          }}
          onChange={(widthMm) => change(face, { grainPlan: { kind: 'border', widthMm } })}
        />
      ) : null}
      {kind === 'radial' ? <Text>Drag the handle to the point that all leaves run to.</Text> : null}
      {kind === 'zones' ? (
        <>
          <Text>
            Each leaf has four corners to drag and a direction. What lies in none has the face’s own.
          </Text>
          {zones.length > 0 ? (
            <Chips<number>
              label="Leaf"
              options={zones.map((z, i) => ({ value: i, label: z.name || `Leaf ${i + 1}` }))}
              value={zone}
              onChange={setZone}
            />
          ) : null}
          {leaf ? (
            <>
              <TextField
                label="Name of the leaf"
                value={leaf.name}
                onChange={(name) => setLeaf({ name })}
                most={80}
              />
              <Stepper
                label="Direction, from level, clockwise"
                value={Math.round(leaf.degrees)}
                unit="°"
                least={0}
                most={180}
                step={5}
                onChange={(degrees) => setLeaf({ degrees })}
              />
              <Button
                label="Take this leaf out"
                onPress={() =>
                  act(() => {
                    setZone(0);
                    setZones(zones.filter((_, i) => i !== zone));
                  })
                }
              />
            </>
          ) : null}
          <Button
            label="Add a leaf"
            onPress={() =>
              act(() => {
                setZone(zones.length);
                setZones([...zones, newLeaf(board, zones.length)]);
              })
            }
          />
        </>
      ) : null}
      <Button
        label="Next: mark the damage"
        kind="main"
        onPress={() => {
          if (!face.body.grain && kind !== 'radial') change(face, { grain: grain.value });
          router.push(`/face/${face.id}`);
        }}
      />
    </Page>
  );
}

function Arrow({ from, to, turn, k }: { from: Point; to: Point; turn: number; k: number }) {
  const line = { x1: from[0], y1: from[1], x2: to[0], y2: to[1] };
  return (
    <G>
      <Line {...line} stroke={materials.badge} strokeWidth={6 / k} />
      <Line {...line} stroke={materials.onBadge} strokeWidth={3 / k} />
      <G
        transform={`translate(${(from[0] + to[0]) / 2} ${(from[1] + to[1]) / 2}) rotate(${turn}) scale(${1 / k})`}
      >
        <SvgPolygon
          points="22,0 -6,-12 -6,12"
          fill={materials.onBadge}
          stroke={materials.badge}
          strokeWidth={2}
        />
      </G>
    </G>
  );
}
