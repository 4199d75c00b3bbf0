import { useEffect, useRef, type RefObject } from 'react';
import type { CanvasProps } from './Canvas.types';
import { between, pan, toContent, zoomAt, type Spot, type Viewport } from './viewport';

export const TAP_SLOP_PX = 7;
/** After so long without a move the picture is drawn sharply again. */
const REST_MS = 140;
/** Beyond the edges so much is drawn too, as a share of the screen, so that a finger can pull it in. */
export const ROOM_SHARE = 0.4;

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

/** Keeps a finger's moves coming when it slides off; a pointer that is already gone is no reason to stop. */
export function capture(element: Element, pointerId: number): void {
  try {
    element.setPointerCapture(pointerId);
  } catch {
    // The pointer was lifted between the event and now.
  }
}

type Now = {
  view: Viewport;
  /** As it stands before it is moved, and whole. */
  first: Viewport;
  fitted: Viewport;
  onTap: CanvasProps['onTap'];
  still: boolean;
  /** What is drawn while a finger moves it. */
  held: Viewport | undefined;
};

/** Fingers and the wheel on a drawing: one finger pans, two zoom, a touch that stays is a tap. */
export function useFingers(
  host: RefObject<HTMLDivElement | null>,
  now: Now,
  setMoved: (next: (v: Viewport | undefined) => Viewport) => void,
  setHeld: (held: Viewport | undefined) => void,
): void {
  const live = useRef(now);
  useEffect(() => {
    live.current = now;
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
  }, [host, setMoved, setHeld]);
}
