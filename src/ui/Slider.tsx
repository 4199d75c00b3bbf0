import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { View } from 'react-native';
import { Text } from './Text';
import { materials, useTheme } from './theme';
import { useWords } from './words';

/** A whole number that is dragged along a bar. `onChange` comes at every step, `onEnd` when the finger lets go. */
export function Slider({
  label,
  value,
  most,
  onChange,
  onEnd,
}: {
  label: string;
  value: number;
  most: number;
  onChange: (value: number) => void;
  onEnd: (value: number) => void;
}) {
  const theme = useTheme();
  const words = useWords();
  const bar = useRef<HTMLDivElement>(null);
  const held = useRef(false);
  const last = useRef(value);
  const put = (next: number): void => {
    const whole = Math.round(Math.min(most, Math.max(0, next)));
    if (whole === last.current) return;
    last.current = whole;
    onChange(whole);
  };
  const follow = (e: PointerEvent): void => {
    const box = bar.current?.getBoundingClientRect();
    if (box && held.current) put((most * (e.clientX - box.left)) / box.width);
  };
  const lift = (): void => {
    if (!held.current) return;
    held.current = false;
    onEnd(last.current);
  };
  const key = (e: KeyboardEvent): void => {
    const by = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1 }[e.key];
    if (by === undefined) return;
    e.preventDefault();
    last.current = value;
    put(value + by);
    onEnd(last.current);
  };
  return (
    <View style={{ gap: 2 }}>
      <Text kind="label">{`${label}: ${value}`}</Text>
      <div
        role="slider"
        tabIndex={0}
        aria-label={words(label)}
        aria-valuemin={0}
        aria-valuemax={most}
        aria-valuenow={value}
        onKeyDown={key}
        onPointerDown={(e) => {
          e.currentTarget.setPointerCapture(e.pointerId);
          held.current = true;
          last.current = value;
          follow(e);
        }}
        onPointerMove={follow}
        onPointerUp={lift}
        onPointerCancel={lift}
        style={{ height: 44, display: 'flex', alignItems: 'center', touchAction: 'pan-y', cursor: 'grab' }}
      >
        <div
          ref={bar}
          style={{
            position: 'relative',
            flex: 1,
            margin: '0 13px',
            height: 6,
            borderRadius: 3,
            background: theme.line,
          }}
        >
          <div
            style={{
              width: `${(100 * value) / most}%`,
              height: 6,
              borderRadius: 3,
              background: materials.lamp,
            }}
          />
          <div
            style={{
              position: 'absolute',
              left: `${(100 * value) / most}%`,
              top: -10,
              marginLeft: -13,
              width: 26,
              height: 26,
              borderRadius: 13,
              boxSizing: 'border-box',
              background: theme.bar,
              border: `3px solid ${materials.lamp}`,
            }}
          />
        </div>
      </div>
    </View>
  );
}
