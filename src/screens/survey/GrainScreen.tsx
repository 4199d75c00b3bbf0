import { router, useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { lineAngle, type Point } from '@/core/geometry';
import type { FaceGrain } from '@/records';
import { Button, Chips, Figure, LengthField, Notice, Stepper, Text, type Handle } from '@/ui';
import { FaceBoard, inPicture, onFaceMm, useDraft } from '../shared/FaceBoard';
import { Missing } from '../shared/Missing';
import { Page } from '../shared/Page';
import { TrailList } from '../shared/Trail';
import { useChange } from '../shared/useChange';
import { useFaceView } from '../shared/usePiece';
import { useUnits } from '../shared/useUnits';
import { arrowAt, boardOf, grainReadOn, newLeaf, startPlan } from '@/core/job';
import { GrainDrawing } from './GrainDrawing';
import { LeafFields } from './LeafFields';
import { ReadCentre } from './ReadCentre';
import { ReadGrain } from './ReadGrain';

const PLANS = {
  uniform: 'One direction',
  radial: 'Sunburst, all to one point',
  border: 'Crossbanded border',
  zones: 'Leaves with directions of their own',
} as const;
type PlanKind = keyof typeof PLANS;

/** The direction of the grain: an arrow dragged on the photo, a sunburst, a border, or leaves of their own. */
export function GrainScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const view = useFaceView(id);
  const change = useChange();
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
  const arrowed = kind === 'uniform' || kind === 'border';
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
            <GrainDrawing
              board={drawn}
              k={k}
              {...(arrowed ? { arrow: { from, to, turn } } : {})}
              {...(kind === 'uniform' ? {} : { strokes: true as const })}
              {...(plan.value?.kind === 'radial' ? { middle: onBoard(plan.value.at) } : {})}
              leaves={zones.map((z, i) => ({ outline: z.outline.map(onBoard), open: i === zone }))}
            />
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
      {arrowed || (kind === 'zones' && leaf) ? (
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
      {arrowed ? (
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
        <LeafFields
          leaves={zones}
          open={zone}
          onOpen={setZone}
          onChange={setZones}
          fresh={() => newLeaf(board, zones.length)}
        />
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
