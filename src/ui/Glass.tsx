import Svg, { Circle, G, Line, Rect } from 'react-native-svg';
import type { Handle } from './Canvas.types';
import { materials } from './theme';
import { toScreen, type Viewport } from './viewport';

const GLASS_PX = 132;
const GLASS_ZOOM = 3;

/** The magnifier: what lies under the finger, three times as large, on the other side of the drawing. */
export function Glass({
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
