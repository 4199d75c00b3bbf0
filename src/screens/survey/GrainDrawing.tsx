import { Circle, G, Line, Polygon as SvgPolygon } from 'react-native-svg';
import { boundingBox, contains, grainAt, type Point } from '@/core/geometry';
import { strokeAt, type Board } from '@/core/job';
import { materials } from '@/ui';

/** What is drawn of the grain over its face: strokes, the arrow, the middle of a sunburst, leaves. @param k pixels of the screen for one of the drawing */
export const GrainDrawing = ({
  board,
  k,
  strokes,
  arrow,
  leaves,
  middle,
}: {
  board: Board;
  k: number;
  strokes?: true;
  arrow?: { from: Point; to: Point; turn: number };
  leaves: readonly { outline: Point[]; open: boolean }[];
  middle?: Point;
}) => (
  <G>
    {strokes ? <GrainStrokes board={board} k={k} /> : null}
    {arrow ? <Arrow {...arrow} k={k} /> : null}
    {leaves.map(({ outline, open }, i) => (
      <SvgPolygon
        key={i}
        points={outline.map((p) => p.join(',')).join(' ')}
        fill="none"
        stroke={open ? materials.lamp : materials.onBadge}
        strokeWidth={(open ? 3 : 1.5) / k}
      />
    ))}
    {middle ? <Circle cx={middle[0]} cy={middle[1]} r={5 / k} fill={materials.lamp} /> : null}
  </G>
);

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
