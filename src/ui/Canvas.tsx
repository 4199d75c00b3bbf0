import { useEffect, useMemo, useRef, useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import Svg, { G, Image as SvgImage } from 'react-native-svg';
import type { CanvasProps } from './Canvas.types';
import { Text } from './Text';
import { space, useTheme } from './theme';
import { useWords } from './words';
import { Glass } from './Glass';
import { HandleKnob } from './HandleKnob';
import { ROOM_SHARE, useFingers } from './useFingers';
import { between, fit, fitPart, zoomAt, type Viewport } from './viewport';

/** The nearest of scales that lie a fifth apart. */
const steppedScale = (k: number): number => 1.2 ** Math.round(Math.log(k) / Math.log(1.2));

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

  useFingers(host, { view, first, fitted, onTap, still, held }, setMoved, setHeld);

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
