import { useRef, type KeyboardEvent, type PointerEvent as ReactPointerEvent } from 'react';
import type { CanvasProps, Handle } from './Canvas.types';
import { materials } from './theme';
import { capture, TAP_SLOP_PX } from './useFingers';
import { toContent, toScreen, type Spot, type Viewport } from './viewport';

const KNOB_PX = 22;

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
export function HandleKnob({
  handle,
  view,
  held,
  host,
  onHold,
  onMove,
  catchOn,
  onMoveEnd,
  onTap,
}: KnobProps) {
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
