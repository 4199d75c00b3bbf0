import type { ReactNode } from 'react';
import { View } from 'react-native';
import { G } from 'react-native-svg';
import { Canvas, Text } from '@/ui';
import { useDraft } from '../shared/FaceBoard';
import { useKeep } from '../shared/kept';
import { useUnits } from '../shared/useUnits';

/** A size, or an angle, that is pulled at a ring. Its place is that of its present value; down or to the right it grows by so much a unit of the drawing. */
export type Pulled = {
  /** The name it is kept under. */
  key: string;
  label: string;
  x: number;
  y: number;
  /** mm, or degrees of an angle. */
  value: number;
  angle?: boolean;
  along: 'x' | 'y';
  perUnit: number;
  least: number;
  most: number;
  /** Where its value is not kept by itself under its key. */
  keep?: (value: number) => void;
};

const WIDE = 320;
/** Room that the drawing leaves round itself for the rings. */
const ROOM_PX = 48;
const STEP_MM = 0.1;
const STEP_DEG = 1;

const held = (
  { value, angle, x, y, along, perUnit, least, most }: Pulled,
  at: readonly [number, number],
): number => {
  const step = angle ? STEP_DEG : STEP_MM;
  const moved = along === 'x' ? at[0] - x : at[1] - y;
  const to = Math.round((value + moved * perUnit) / step) * step;
  return Number(Math.min(most, Math.max(least, to)).toFixed(2));
};

/** A drawing of a sum whose sizes are pulled by rings as well as typed; what is pulled is kept when the finger lifts. */
export function DragDrawing({
  says,
  tall,
  note,
  sizes,
  children,
}: {
  says: string;
  tall: number;
  note: string;
  sizes: readonly Pulled[];
  children: ReactNode;
}) {
  const keep = useKeep();
  const { length } = useUnits();
  const {
    value: draft,
    drag,
    drop,
  } = useDraft<{ key: string; value: number } | undefined>(undefined, (pulled) => {
    if (!pulled) return;
    const own = sizes.find((s) => s.key === pulled.key)?.keep;
    if (own) own(pulled.value);
    else keep(pulled.key, pulled.value);
  });
  const shown = draft && sizes.find((s) => s.key === draft.key);
  return (
    <View style={{ gap: 4 }}>
      <Canvas
        label={says}
        still
        content={{ width: WIDE, height: tall }}
        heightPx={tall + ROOM_PX}
        handles={sizes.map((s) => {
          const off = draft?.key === s.key ? (draft.value - s.value) / s.perUnit : 0;
          return {
            id: s.key,
            label: s.label,
            x: s.along === 'x' ? s.x + off : s.x,
            y: s.along === 'y' ? s.y + off : s.y,
          };
        })}
        onMove={(id, at) => {
          const size = sizes.find((s) => s.key === id);
          if (size) drag({ key: id, value: held(size, at) });
        }}
        onMoveEnd={drop}
      >
        {() => <G>{children}</G>}
      </Canvas>
      <Text kind="quiet">
        {draft && shown
          ? `${shown.label}: ${shown.angle ? `${draft.value}°` : length(draft.value)}`
          : `${note} Pull a ring to ${sizes.every((s) => s.angle) ? 'turn it' : 'change its size'}.`}
      </Text>
    </View>
  );
}
