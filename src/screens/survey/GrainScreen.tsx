import { router, useLocalSearchParams } from 'expo-router';
import { G, Line, Polygon as SvgPolygon } from 'react-native-svg';
import { lineAngle, type Point } from '@/core/geometry';
import { Button, Figure, materials, Notice, Stepper, Text } from '@/ui';
import { boardOf, contentOf, type Board } from '../shared/derive';
import { FaceBoard, inPicture, onFaceMm, useDraft } from '../shared/FaceBoard';
import { Missing } from '../shared/Missing';
import { Page } from '../shared/Page';
import { TrailList } from '../shared/Trail';
import { useChange } from '../shared/useAct';
import { useFaceView } from '../shared/usePiece';

/** A line through the middle of the face at an angle, as places in the picture. */
function arrowAt(board: Board, degrees: number): Point[] {
  const { width, height } = contentOf(board);
  const half = Math.min(width, height) * 0.35;
  const [dx, dy] = [half * Math.cos((degrees * Math.PI) / 180), half * Math.sin((degrees * Math.PI) / 180)];
  return [[width / 2 - dx, height / 2 - dy], [width / 2 + dx, height / 2 + dy]].map(([x = 0, y = 0]) => inPicture(board, [x, y])); // prettier-ignore
}

/** The direction of the grain: an arrow dragged on the photo. */
export function GrainScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const view = useFaceView(id);
  const change = useChange();
  const { face, piece, onFace } = view;
  const result = face ? boardOf(face.body) : undefined;
  const board = result?.ok ? result.value : undefined;
  const grain = useDraft<Point[]>(face?.body.grain ?? (board ? arrowAt(board, 0) : []), (value) =>
    change(face, { grain: value }),
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
  const [from = [0, 0], to = [1, 0]] = grain.value.map((p) => onFaceMm(board, p));
  const angle = lineAngle(from, to);
  const turn = (Math.atan2(to[1] - from[1], to[0] - from[0]) * 180) / Math.PI;
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
          label="Face with an arrow along the grain"
          phoneHeight={360}
          handles={[
            { id: '0', label: 'Start of the grain arrow', x: from[0], y: from[1] },
            { id: '1', label: 'Tip of the grain arrow', x: to[0], y: to[1] },
          ]}
          onMove={(handle, at) =>
            grain.drag(grain.value.map((p, i) => (String(i) === handle ? inPicture(board, at) : p)))
          }
          onMoveEnd={grain.drop}
          over={(k) => (
            <G>
              <Line
                x1={from[0]}
                y1={from[1]}
                x2={to[0]}
                y2={to[1]}
                stroke={materials.badge}
                strokeWidth={6 / k}
              />
              <Line
                x1={from[0]}
                y1={from[1]}
                x2={to[0]}
                y2={to[1]}
                stroke={materials.onBadge}
                strokeWidth={3 / k}
              />
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
          )}
        />
      }
    >
      <Text>
        Drag the two ends so that the arrow lies along the grain. Long sides of a patch, slits and the knife
        follow it.
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
      <Button
        label="Next: outline the damage"
        kind="main"
        onPress={() => {
          if (!face.body.grain) change(face, { grain: grain.value });
          router.push(`/face/${face.id}`);
        }}
      />
    </Page>
  );
}
