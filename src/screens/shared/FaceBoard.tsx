import { memo, useMemo, useRef, useState } from 'react';
import { useWindowDimensions, View } from 'react-native';
import { G, Line, Path, Polygon as SvgPolygon } from 'react-native-svg';
import { kindInfo } from '@/core/damage';
import { contains, grainAt, type Point, type Polygon } from '@/core/geometry';
import type { Damage, Stored } from '@/records';
import { Canvas, materials, Notice, Progress, Relief, type CanvasProps } from '@/ui';
import { useGrowing } from './LongList';
import { useWide } from './Page';
import { useBoardPicture } from './useWorkshop';
import { around, contentOf, strokeAt } from '@/core/job';
import { boardOf, outlineMm, type Board } from '@/core/job';

type Props = {
  face: Stored<'face'>;
  damages: readonly Stored<'damage'>[];
  /** The damage this page is about; the others are drawn quietly. */
  current?: string;
  still?: boolean;
  label: string;
  /** A place to show first, with this much around it; the whole face when not given. */
  focus?: { outline: Polygon; marginMm: number };
  phoneHeight?: number;
  /** Height where there is room; the whole column when not given. */
  wideHeight?: number;
  handles?: CanvasProps['handles'];
  onMove?: CanvasProps['onMove'];
  onMoveEnd?: CanvasProps['onMoveEnd'];
  onTap?: CanvasProps['onTap'];
  /** More to draw, in mm on the face. */
  over?: (pixelsPerMm: number, board: Board) => React.ReactNode;
};

/** Drawn in one go; a face with a thousand damages comes bit by bit, and the page answers meanwhile. */
const DRAWN_AT_ONCE = 30;

/** A face to scale under raking light, with its damages in relief. All places are in millimetres. */
export function FaceBoard({
  face,
  damages,
  current,
  over,
  phoneHeight = 300,
  wideHeight,
  focus,
  ...canvas
}: Props) {
  const wide = useWide();
  const { width, height } = useWindowDimensions();
  const result = boardOf(face.body);
  const board = result.ok ? result.value : undefined;
  const picture = useBoardPicture(board, face.body.picture?.id);
  // The picture stands still under a finger: whether a place is shown first is settled when the page opens.
  const [start] = useState(focus);
  const drawn = useGrowing(damages.length, DRAWN_AT_ONCE);
  if (!board) return null;
  const content = contentOf(board);
  // A wide face needs less height than there is; the zoom buttons stand below it.
  const needed = ((width - 40) * content.height) / content.width + (canvas.still ? 20 : 100);
  return (
    <View>
      <Canvas
        {...canvas}
        content={content}
        heightPx={wide ? (wideHeight ?? height) : start ? phoneHeight : Math.min(phoneHeight, needed)}
        {...(start ? { focus: around(start.outline, start.marginMm) } : {})}
        {...(picture.url ? { imageUrl: picture.url } : {})}
      >
        {(k) => (
          <G>
            {picture.url ? null : <PlainBoard board={board} pixelsPerMm={k} />}
            {picture.url && face.body.shape ? <OffFace board={board} /> : null}
            {damages.slice(0, drawn).map(({ id, body }) => (
              <DamageRelief
                key={id}
                damage={body}
                board={board}
                pixelsPerMm={k}
                quiet={current !== undefined && current !== id}
              />
            ))}
            {over?.(k, board)}
          </G>
        )}
      </Canvas>
      {picture.fraction !== undefined && !picture.url ? (
        <View style={{ padding: 16 }}>
          <Progress label="Turning the photo square" fraction={picture.fraction} onCancel={picture.cancel} />
        </View>
      ) : null}
      {picture.problem ? <Notice kind="stop">{picture.problem}</Notice> : null}
    </View>
  );
}

type Drawn = { damage: Damage; board: Board; pixelsPerMm: number; quiet: boolean };

/** A damage where it is marked; nothing while it has no outline. */
const DamageRelief = memo(function DamageRelief({ damage, board, pixelsPerMm, quiet }: Drawn) {
  const outline = useMemo(() => outlineMm(damage, board), [damage, board]);
  if (outline.length < 3) return null;
  return (
    <Relief
      outline={outline}
      kind={kindInfo(damage.kind).relief}
      number={damage.number}
      pixelsPerUnit={pixelsPerMm}
      quiet={quiet}
    />
  );
});

/** A face without a photo: a plain board with its grain. */
function PlainBoard({ board, pixelsPerMm }: { board: Board; pixelsPerMm: number }) {
  const { width, height } = contentOf(board);
  const { outline } = board.plane;
  const [across, down] = [12, 16];
  const strokes = Array.from({ length: across * down }, (_, i): Point => [
    ((i % across) + (Math.floor(i / across) % 2 ? 0.7 : 0.3)) * (width / across),
    (Math.floor(i / across) + 0.5) * (height / down),
  ])
    .map((p) => strokeAt(p, grainAt(board.grain, outline, p), (0.8 * width) / across))
    .filter((ends) => ends.every((p) => contains(outline, p)));
  return (
    <G>
      <SvgPolygon points={outline.map((p) => p.join(',')).join(' ')} fill={materials.veneer} />
      {strokes.map(([a, b]) => {
        return (
          <Line
            key={a.join()}
            x1={a[0]}
            y1={a[1]}
            x2={b[0]}
            y2={b[1]}
            stroke={materials.shade}
            opacity={0.3}
            strokeWidth={1.2 / pixelsPerMm}
          />
        );
      })}
    </G>
  );
}

/** Dims what lies in the photo but not on the face. */
function OffFace({ board }: { board: Board }) {
  const { width, height } = contentOf(board);
  const ring = board.plane.outline.map((p, i) => `${i === 0 ? 'M' : 'L'}${p[0]} ${p[1]}`).join('');
  return (
    <Path d={`M0 0H${width}V${height}H0Z${ring}Z`} fillRule="evenodd" fill={materials.shade} opacity={0.55} />
  );
}

export { inPicture, onFaceMm } from '@/core/job';

/** A value that is edited by dragging: shown at once, handed on when the finger lifts or the key is done. */
export function useDraft<T>(
  saved: T,
  save: (value: T) => void,
): { value: T; drag: (value: T) => void; drop: () => void } {
  const [draft, setDraft] = useState<{ value: T }>();
  // A key moves and lets go within one event, before the state above is seen.
  const latest = useRef<{ value: T }>(undefined);
  return {
    value: draft ? draft.value : saved,
    drag: (value) => {
      latest.current = { value };
      setDraft({ value });
    },
    drop: () => {
      if (latest.current) save(latest.current.value);
      latest.current = undefined;
      setDraft(undefined);
    },
  };
}
