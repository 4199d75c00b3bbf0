import { useRef, useState, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import { materials, useTheme } from './theme';
import { useWords } from './words';

/** A step of the arrow keys, in hundredths of the width. */
const STEP = 5;

/** Two pictures of one place, one over the other: what lies left of the line is as it was, right of it as it will be. */
export function BeforeAfter({
  label,
  before,
  after,
  aspect,
  most,
}: {
  label: string;
  before: ReactNode;
  after: ReactNode;
  /** Width over height. */
  aspect: number;
  /** Widest on the screen, px. */
  most: number;
}) {
  const theme = useTheme();
  const words = useWords();
  const host = useRef<HTMLDivElement>(null);
  const [at, setAt] = useState(50);
  const held = useRef(false);
  const put = (percent: number): void => setAt(Math.min(100, Math.max(0, percent)));
  const follow = (e: PointerEvent): void => {
    const box = host.current?.getBoundingClientRect();
    if (box && held.current) put((100 * (e.clientX - box.left)) / box.width);
  };
  const key = (e: KeyboardEvent): void => {
    const by = { ArrowLeft: -STEP, ArrowDown: -STEP, ArrowRight: STEP, ArrowUp: STEP }[e.key];
    if (by === undefined) return;
    e.preventDefault();
    put(at + by);
  };
  return (
    <div
      ref={host}
      style={{ position: 'relative', width: '100%', maxWidth: most, aspectRatio: aspect, touchAction: 'pan-y', cursor: 'ew-resize', userSelect: 'none' }}
      onPointerDown={(e) => {
        held.current = true;
        follow(e);
      }}
      onPointerMove={follow}
      onPointerUp={() => (held.current = false)}
      onPointerLeave={() => (held.current = false)}
      onPointerCancel={() => (held.current = false)}
    >
      <div style={{ position: 'absolute', inset: 0 }}>{after}</div>
      <div style={{ position: 'absolute', inset: 0, clipPath: `inset(0 ${100 - at}% 0 0)` }}>{before}</div>
      <div
        role="slider"
        tabIndex={0}
        aria-label={words(label)}
        aria-valuemin={0}
        aria-valuemax={100}
        aria-valuenow={Math.round(at)}
        aria-valuetext={words(`Before: ${Math.round(at)} % of the width`)}
        onKeyDown={key}
        style={{ position: 'absolute', top: 0, bottom: 0, left: `${at}%`, width: 44, marginLeft: -22, display: 'flex', alignItems: 'center', justifyContent: 'center' }}
      >
        <div style={{ position: 'absolute', top: 0, bottom: 0, width: 3, background: materials.lamp }} />
        <div style={{ width: 26, height: 26, borderRadius: 13, background: theme.bar, border: `3px solid ${materials.lamp}`, boxSizing: 'border-box', zIndex: 1 }} />
      </div>
    </div>
  );
} // prettier-ignore
