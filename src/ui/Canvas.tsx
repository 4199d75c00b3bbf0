import {
  useEffect,
  useMemo,
  useRef,
  useState,
  type KeyboardEvent,
  type PointerEvent as ReactPointerEvent,
} from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import Svg, { Circle, G, Image as SvgImage, Line, Rect } from 'react-native-svg';
import type { CanvasProps, Handle } from './Canvas.types';
import { Text } from './Text';
import { materials, space, useTheme } from './theme';
import { useWords } from './words';
import {
  between,
  fit,
  fitPart,
  pan,
  toContent,
  toScreen,
  zoomAt,
  type Spot,
  type Viewport,
} from './viewport';

const TAP_SLOP_PX = 7;
/** After so long without a move the picture is drawn sharply again. */
const REST_MS = 140;
/** Beyond the edges so much is drawn too, as a share of the screen, so that a finger can pull it in. */
const ROOM_SHARE = 0.4;
const KNOB_PX = 22;
const GLASS_PX = 132;
const GLASS_ZOOM = 3;

/** Has the view left what is drawn, or come so much closer that it looks coarse? */
function outgrown(drawn: Viewport, view: Viewport, { clientWidth, clientHeight }: HTMLElement): boolean {
  const { x, y, scale } = between(drawn, view);
  const reach = ROOM_SHARE * 0.9;
  return (
    scale < 0.4 ||
    scale > 4 ||
    Math.abs(x) > reach * clientWidth + Math.abs(1 - scale) * clientWidth ||
    Math.abs(y) > reach * clientHeight + Math.abs(1 - scale) * clientHeight
  );
}

/** The nearest of scales that lie a fifth apart. */
const steppedScale = (k: number): number => 1.2 ** Math.round(Math.log(k) / Math.log(1.2));

/** Keeps a finger's moves coming when it slides off; a pointer that is already gone is no reason to stop. */
function capture(element: Element, pointerId: number): void {
  try {
    element.setPointerCapture(pointerId);
  } catch {
    // The pointer was lifted between the event and now.
  }
}

/** A drawing or photo that pans, zooms (pinch, wheel, buttons), takes taps and carries handles with a magnifier. */
export function Canvas({
  label,
  content,
  imageUrl,
  heightPx,
  children,
  handles = [],
  onMove,
  onMoveEnd,
  catchOn,
  onTap,
  focus,
  still = false,
}: CanvasProps) {
  const theme = useTheme();
  const words = useWords();
  const host = useRef<HTMLDivElement>(null);
  const [widthPx, setWidthPx] = useState(0);
  const screen = useMemo(() => ({ width: widthPx, height: heightPx }), [widthPx, heightPx]);
  const margin = handles.length > 0 || onTap ? 24 : 10;
  const fitted = useMemo(() => fit(content, screen, margin), [content, screen, margin]);
  const [whole, setWhole] = useState(false);
  // Frozen at the start: what is drawn may grow while it is edited, and the view must not jump then.
  const [start] = useState(focus);
  const first = start && !whole ? fitPart(start, screen, margin) : fitted;
  const [moved, setMoved] = useState<Viewport>();
  const view = moved ?? first;
  // While a finger moves it, the picture stays as it was drawn and is only shifted and stretched as a whole; it is drawn
  // sharply again when the finger rests. Drawing hundreds of damages anew takes longer than a frame.
  const [held, setHeld] = useState<Viewport>();
  const drawnAt = held ?? view;
  const [dragging, setDragging] = useState<string>();

  useEffect(() => {
    const element = host.current;
    if (!element) return;
    const observer = new ResizeObserver(() => setWidthPx(element.clientWidth));
    observer.observe(element);
    return () => observer.disconnect();
  }, []);

  const live = useRef({ view, first, fitted, onTap, still, held });
  useEffect(() => {
    live.current = { view, first, fitted, onTap, still, held };
  });

  useEffect(() => {
    const element = host.current;
    if (!element) return;
    const fingers = new Map<number, Spot>();
    let travelled = 0;
    const spot = (e: PointerEvent | WheelEvent): Spot => {
      const box = element.getBoundingClientRect();
      return { x: e.clientX - box.left, y: e.clientY - box.top };
    };
    let resting: ReturnType<typeof setTimeout> | undefined;
    const change = (next: (v: Viewport) => Viewport): void => {
      const { held: drawn, view: now } = live.current;
      setHeld(drawn && !outgrown(drawn, now, element) ? drawn : now);
      setMoved((v) => next(v ?? live.current.first));
      clearTimeout(resting);
      resting = setTimeout(() => setHeld(undefined), REST_MS);
    };
    const down = (e: PointerEvent): void => {
      if (
        live.current.still ||
        (e.target instanceof Element && e.target.closest('[data-handle],[role="button"]'))
      )
        return;
      capture(element, e.pointerId);
      if (fingers.size === 0) travelled = 0;
      fingers.set(e.pointerId, spot(e));
    };
    const move = (e: PointerEvent): void => {
      const was = fingers.get(e.pointerId);
      if (!was) return;
      const now = spot(e);
      const other = [...fingers].find(([id]) => id !== e.pointerId)?.[1];
      fingers.set(e.pointerId, now);
      travelled += Math.hypot(now.x - was.x, now.y - was.y);
      if (other) {
        const before = Math.hypot(was.x - other.x, was.y - other.y) || 1;
        const after = Math.hypot(now.x - other.x, now.y - other.y) || 1;
        const middle = { x: (now.x + other.x) / 2, y: (now.y + other.y) / 2 };
        change((v) =>
          pan(
            zoomAt(v, middle, after / before, live.current.fitted.k),
            (now.x - was.x) / 2,
            (now.y - was.y) / 2,
          ),
        );
        travelled += TAP_SLOP_PX;
      } else if (travelled > TAP_SLOP_PX) {
        change((v) => pan(v, now.x - was.x, now.y - was.y));
      }
    };
    const up = (e: PointerEvent): void => {
      const at = fingers.get(e.pointerId);
      fingers.delete(e.pointerId);
      if (at && e.type === 'pointerup' && fingers.size === 0 && travelled <= TAP_SLOP_PX) {
        live.current.onTap?.(toContent(live.current.view, at));
      }
    };
    const wheel = (e: WheelEvent): void => {
      if (live.current.still) return;
      e.preventDefault();
      const at = spot(e);
      change((v) => zoomAt(v, at, Math.exp(-e.deltaY / 400), live.current.fitted.k));
    };
    element.addEventListener('pointerdown', down);
    element.addEventListener('pointermove', move);
    element.addEventListener('pointerup', up);
    element.addEventListener('pointercancel', up);
    element.addEventListener('wheel', wheel, { passive: false });
    return () => {
      clearTimeout(resting);
      element.removeEventListener('pointerdown', down);
      element.removeEventListener('pointermove', move);
      element.removeEventListener('pointerup', up);
      element.removeEventListener('pointercancel', up);
      element.removeEventListener('wheel', wheel);
    };
  }, []);

  const zoomBy = (factor: number): void =>
    setMoved(zoomAt(view, { x: screen.width / 2, y: screen.height / 2 }, factor, fitted.k));
  const showAll = (): void => {
    setWhole(true);
    setMoved(undefined);
  };
  const grabbed = handles.find((h) => h.id === dragging);
  // Lines and badges keep their size on the screen by the scale they are drawn for. It follows the zoom in steps, so that
  // panning and most of a pinch only move what is already drawn.
  const drawnFor = steppedScale(drawnAt.k);
  const drawn = useMemo(() => children?.(drawnFor), [children, drawnFor]);
  const picture = useMemo(
    () => (
      <>
        {imageUrl ? (
          <SvgImage
            href={imageUrl}
            x={0}
            y={0}
            width={content.width}
            height={content.height}
            preserveAspectRatio="none"
          />
        ) : null}
        {drawn}
      </>
    ),
    [imageUrl, content.width, content.height, drawn],
  );
  const room = useMemo(
    () => ({ x: still ? 0 : ROOM_SHARE * widthPx, y: still ? 0 : ROOM_SHARE * heightPx }),
    [still, widthPx, heightPx],
  );
  const sheet = useMemo(
    () => (
      <Svg width={widthPx + 2 * room.x} height={heightPx + 2 * room.y} aria-hidden>
        <G transform={`translate(${drawnAt.x + room.x} ${drawnAt.y + room.y}) scale(${drawnAt.k})`}>
          {picture}
        </G>
      </Svg>
    ),
    [widthPx, heightPx, room, drawnAt.x, drawnAt.y, drawnAt.k, picture],
  );
  const moveBy = between(drawnAt, view);
  const shift = held
    ? `translate(${moveBy.x + room.x * (1 - moveBy.scale)}px, ${moveBy.y + room.y * (1 - moveBy.scale)}px) scale(${moveBy.scale})`
    : 'none';

  return (
    <div
      ref={host}
      role="group"
      aria-label={words(label)}
      style={{
        position: 'relative',
        height: heightPx,
        overflow: 'hidden',
        touchAction: still ? 'auto' : 'none',
        background: theme.board,
        userSelect: 'none',
        width: '100%',
      }}
    >
      {widthPx > 0 ? (
        <div
          style={{
            position: 'absolute',
            left: -room.x,
            top: -room.y,
            transformOrigin: '0 0',
            transform: shift,
            willChange: still ? 'auto' : 'transform',
          }}
        >
          {sheet}
        </div>
      ) : null}
      {widthPx > 0
        ? handles.map((h) => (
            <HandleKnob
              key={h.id}
              handle={h}
              view={view}
              held={h.id === dragging}
              onHold={setDragging}
              onMove={onMove}
              catchOn={catchOn}
              onMoveEnd={(id) => {
                setDragging(undefined);
                onMoveEnd?.(id);
              }}
              host={host}
              {...(onTap ? { onTap } : {})}
            />
          ))
        : null}
      {grabbed ? <Glass held={grabbed} view={view} screen={screen} picture={picture} /> : null}
      {still ? null : (
        <View style={styles.zoom}>
          {(
            [
              ['Zoom in', '+', () => zoomBy(1.6)],
              ['Zoom out', '−', () => zoomBy(1 / 1.6)],
              ['Show all', '⤢', showAll],
            ] as const
          ).map(([name, sign, run]) => (
            <Pressable
              key={name}
              role="button"
              aria-label={name}
              onPress={run}
              style={[styles.zoomButton, { backgroundColor: theme.bar }]}
            >
              <Text kind="number" tone="onBar">
                {sign === '⤢' ? '[ ]' : sign}
              </Text>
            </Pressable>
          ))}
        </View>
      )}
    </div>
  );
}

type KnobProps = {
  handle: Handle;
  view: Viewport;
  held: boolean;
  host: React.RefObject<HTMLDivElement | null>;
  onHold: (id: string) => void;
  onMove?: CanvasProps['onMove'];
  catchOn?: CanvasProps['catchOn'];
  onMoveEnd: (id: string) => void;
  onTap?: CanvasProps['onTap'];
};

/** A handle: dragged by finger or mouse, moved by arrow keys (with Shift ten times as far). */
function HandleKnob({ handle, view, held, host, onHold, onMove, catchOn, onMoveEnd, onTap }: KnobProps) {
  const at = toScreen(view, [handle.x, handle.y]);
  const grip = useRef<Spot>({ x: 0, y: 0 });
  const start = useRef<Spot>({ x: 0, y: 0 });
  const travelled = useRef(0);
  const lift = (): void => {
    if (!held) return;
    const beside = Math.hypot(grip.current.x, grip.current.y) > KNOB_PX / 2;
    onMoveEnd(handle.id);
    // A tap that only met the wide rim of a handle was meant for the place beside it.
    if (onTap && beside && travelled.current <= TAP_SLOP_PX) {
      onTap(toContent(view, { x: at.x + grip.current.x, y: at.y + grip.current.y }));
    }
  };
  const move = (e: ReactPointerEvent): void => {
    const box = host.current?.getBoundingClientRect();
    if (!held || !box) return;
    const by = Math.hypot(
      e.clientX - box.left - grip.current.x - start.current.x,
      e.clientY - box.top - grip.current.y - start.current.y,
    );
    travelled.current = Math.max(travelled.current, by);
    if (travelled.current <= TAP_SLOP_PX) return;
    const to = toContent(view, {
      x: e.clientX - box.left - grip.current.x,
      y: e.clientY - box.top - grip.current.y,
    });
    onMove?.(handle.id, catchOn ? catchOn(to, view.k) : to);
  };
  const key = (e: KeyboardEvent): void => {
    const step = (e.shiftKey ? 10 : 1) / view.k;
    const by = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, -step], ArrowDown: [0, step] }[
      e.key
    ];
    if (!by) return;
    e.preventDefault();
    onMove?.(handle.id, [handle.x + (by[0] ?? 0), handle.y + (by[1] ?? 0)]);
    onMoveEnd(handle.id);
  };
  return (
    <div
      data-handle={handle.id}
      role="button"
      aria-label={`${handle.label}. Drag it, or move it with the arrow keys.`}
      tabIndex={0}
      onKeyDown={key}
      onPointerDown={(e) => {
        const box = host.current?.getBoundingClientRect();
        if (!box) return;
        capture(e.currentTarget, e.pointerId);
        grip.current = { x: e.clientX - box.left - at.x, y: e.clientY - box.top - at.y };
        start.current = at;
        travelled.current = 0;
        onHold(handle.id);
      }}
      onPointerMove={move}
      onPointerUp={lift}
      onPointerCancel={() => held && onMoveEnd(handle.id)}
      style={{
        position: 'absolute',
        left: at.x - 22,
        top: at.y - 22,
        width: 44,
        height: 44,
        borderRadius: 22,
        touchAction: 'none',
        cursor: 'grab',
        display: 'flex',
        alignItems: 'center',
        justifyContent: 'center',
      }}
    >
      <div
        style={{
          boxSizing: 'border-box',
          width: KNOB_PX,
          height: KNOB_PX,
          borderRadius: '50%',
          border: `3px solid ${materials.lamp}`,
          // Hollow, with a point: the place under it stays in sight.
          background: handle.whole
            ? `linear-gradient(${materials.onBadge}, ${materials.onBadge}) center/12px 2.5px no-repeat, linear-gradient(${materials.onBadge}, ${materials.onBadge}) center/2.5px 12px no-repeat, ${materials.badge}`
            : `radial-gradient(circle, ${materials.onBadge} 2.5px, transparent 3px)`,
          boxShadow: `0 0 0 2px ${materials.badge}, inset 0 0 0 1.5px ${materials.badge}`,
        }}
      />
    </div>
  );
}

/** The magnifier: what lies under the finger, three times as large, on the other side of the drawing. */
function Glass({
  held,
  view,
  screen,
  picture,
}: {
  held: Handle;
  view: Viewport;
  screen: { width: number; height: number };
  picture: React.ReactNode;
}) {
  const at = toScreen(view, [held.x, held.y]);
  const r = GLASS_PX / 2;
  const k = view.k * GLASS_ZOOM;
  const left = at.x > screen.width / 2 ? 8 : screen.width - GLASS_PX - 8;
  return (
    <div
      style={{
        position: 'absolute',
        top: 8,
        left,
        pointerEvents: 'none',
        borderRadius: r,
        overflow: 'hidden',
        height: GLASS_PX,
      }}
      data-testid="magnifier"
    >
      <Svg width={GLASS_PX} height={GLASS_PX}>
        <G>
          <Rect width={GLASS_PX} height={GLASS_PX} fill={materials.shade} />
          <G transform={`translate(${r - k * held.x} ${r - k * held.y}) scale(${k})`}>{picture}</G>
          <Line x1={r} y1={r - 26} x2={r} y2={r + 26} stroke={materials.lamp} strokeWidth={1.5} />
          <Line x1={r - 26} y1={r} x2={r + 26} y2={r} stroke={materials.lamp} strokeWidth={1.5} />
        </G>
        <Circle cx={r} cy={r} r={r - 2} fill="none" stroke={materials.badge} strokeWidth={3} />
      </Svg>
    </div>
  );
}

const styles = StyleSheet.create({
  zoom: { position: 'absolute', right: space(2), bottom: space(2), flexDirection: 'row', gap: space(1.5) },
  zoomButton: {
    width: 44,
    height: 44,
    borderRadius: 4,
    alignItems: 'center',
    justifyContent: 'center',
    opacity: 0.88,
  },
});
