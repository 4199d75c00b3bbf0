import { useRef, useState } from 'react';
import { useWindowDimensions, View } from 'react-native';
import { G, Line, Polygon as SvgPolygon } from 'react-native-svg';
import { toFace, toPicture, type Point, type Polygon } from '@/core/geometry';
import type { Stored } from '@/records';
import { Canvas, materials, Notice, Progress, Relief, type CanvasProps } from '@/ui';
import { around, boardOf, contentOf, outlineMm, type Board } from './derive';
import { useWide } from './Page';
import { useBoardPicture } from './useWorkshop';

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
  handles?: CanvasProps['handles'];
  onMove?: CanvasProps['onMove'];
  onMoveEnd?: CanvasProps['onMoveEnd'];
  onTap?: CanvasProps['onTap'];
  /** More to draw, in mm on the face. */
  over?: (pixelsPerMm: number, board: Board) => React.ReactNode;
};

/** A face to scale under raking light, with its damages in relief. All places are in millimetres. */
export function FaceBoard({ face, damages, current, over, phoneHeight = 300, focus, ...canvas }: Props) {
  const wide = useWide();
  const { width, height } = useWindowDimensions();
  const result = boardOf(face.body);
  const board = result.ok ? result.value : undefined;
  const picture = useBoardPicture(board, face.body.picture?.id);
  if (!board) return null;
  const content = contentOf(board);
  // A wide face needs less height than there is; the zoom buttons stand below it.
  const needed = ((width - 40) * content.height) / content.width + (canvas.still ? 20 : 100);
  const shown = damages.filter((d) => d.body.outline.length >= 3);
  return (
    <View>
      <Canvas
        {...canvas}
        content={content}
        heightPx={wide ? height : focus ? phoneHeight : Math.min(phoneHeight, needed)}
        {...(focus ? { focus: around(focus.outline, focus.marginMm) } : {})}
        {...(picture.url ? { imageUrl: picture.url } : {})}
      >
        {(k) => (
          <G>
            {picture.url ? null : <PlainBoard board={board} pixelsPerMm={k} />}
            {shown.map((d) => (
              <Relief
                key={d.id}
                outline={outlineMm(d.body, board)}
                kind={d.body.kind}
                number={d.body.number}
                pixelsPerUnit={k}
                quiet={current !== undefined && current !== d.id}
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

/** A face without a photo: a plain board with its grain. */
function PlainBoard({ board, pixelsPerMm }: { board: Board; pixelsPerMm: number }) {
  const { width, height } = contentOf(board);
  const lines = Array.from({ length: 12 }, (_, i) => ((i + 0.5) * height) / 12);
  return (
    <G>
      <SvgPolygon points={board.plane.outline.map((p) => p.join(',')).join(' ')} fill={materials.veneer} />
      {lines.map((y) => (
        <Line
          key={y}
          x1={0}
          x2={width}
          y1={y}
          y2={y}
          stroke={materials.shade}
          opacity={0.25}
          strokeWidth={1 / pixelsPerMm}
        />
      ))}
    </G>
  );
}

/** Moves places between the picture and the face while something is dragged. */
export const onFaceMm = (board: Board, p: Point): Point => toFace(board.plane, board.frame, p);
export const inPicture = (board: Board, p: Point): Point => toPicture(board.plane, board.frame, p);

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
