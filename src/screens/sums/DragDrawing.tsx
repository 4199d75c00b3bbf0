import type { ReactNode } from 'react';
import { View } from 'react-native';
import { G } from 'react-native-svg';
import { Canvas, Text } from '@/ui';
import { useDraft } from '../shared/FaceBoard';
import { useKeep } from '../shared/kept';
import { useUnits } from '../shared/useUnits';

/** A size that is pulled at a ring. Its place is that of its present value; down or to the right it grows by so much a unit of the drawing. */
export type Pulled = {
  /** The name it is kept under. */
  key: string;
  label: string;
  x: number;
  y: number;
  mm: number;
  along: 'x' | 'y';
  mmPerUnit: number;
  least: number;
  most: number;
};

const WIDE = 320;
/** Room that the drawing leaves round itself for the rings. */
const ROOM_PX = 48;
const STEP_MM = 0.1;

const held = ({ mm, x, y, along, mmPerUnit, least, most }: Pulled, at: readonly [number, number]): number => {
  const moved = along === 'x' ? at[0] - x : at[1] - y;
  const to = Math.round((mm + moved * mmPerUnit) / STEP_MM) * STEP_MM;
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
  } = useDraft<{ key: string; mm: number } | undefined>(undefined, (pulled) => {
    if (pulled) keep(pulled.key, pulled.mm);
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
          const off = draft?.key === s.key ? (draft.mm - s.mm) / s.mmPerUnit : 0;
          return {
            id: s.key,
            label: s.label,
            x: s.along === 'x' ? s.x + off : s.x,
            y: s.along === 'y' ? s.y + off : s.y,
          };
        })}
        onMove={(id, at) => {
          const size = sizes.find((s) => s.key === id);
          if (size) drag({ key: id, mm: held(size, at) });
        }}
        onMoveEnd={drop}
      >
        {() => <G>{children}</G>}
      </Canvas>
      <Text kind="quiet">
        {draft && shown ? `${shown.label}: ${length(draft.mm)}` : `${note} Pull a ring to change its size.`}
      </Text>
    </View>
  );
}
