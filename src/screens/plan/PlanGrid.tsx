import { useRef, useState } from 'react';
import { Pressable, ScrollView, StyleSheet, View, type PointerEvent } from 'react-native';
import { phaseLabel, type PhaseId } from '@/core/catalogue';
import type { PlanCell, PlanTable } from '@/core/job';
import { Text, useTheme } from '@/ui';

const CELL_PX = 75;
/** A finger that moved less has pressed, not dragged. */
const DRAG_PX = 8;

/** A finger that leaves the head of a column goes on dragging it. */
function hold(element: unknown, pointerId: number): void {
  if (element instanceof HTMLElement) element.setPointerCapture(pointerId);
}

/** Faces as rows, phases as columns; what is done is lit. A column can be dragged by its head. */
export function PlanGrid({
  table,
  picked,
  onPick,
  onDrop,
}: {
  table: PlanTable;
  picked: { face: string; phase?: PhaseId } | undefined;
  onPick: (faceId: string | undefined, phase: PhaseId) => void;
  onDrop: (phase: PhaseId, before: PhaseId | undefined) => void;
}) {
  const theme = useTheme();
  const [drag, setDrag] = useState<{ phase: PhaseId; dx: number }>();
  const { phases, rows } = table;
  const dropAt = (phase: PhaseId, dx: number): void => {
    setDrag(undefined);
    const columns = Math.round(dx / CELL_PX);
    if (columns === 0) return;
    const from = phases.indexOf(phase);
    const rest = phases.filter((p) => p !== phase);
    onDrop(phase, rest[Math.max(0, from + columns)]);
  };
  return (
    <ScrollView
      horizontal
      contentContainerStyle={styles.scroll}
      role="region"
      aria-label="Plan, face by face"
    >
      <View role="table" aria-label="Faces as rows, phases as columns">
        <View style={styles.row} role="row">
          {phases.map((phase) => (
            <Head
              key={phase}
              phase={phase}
              dx={drag?.phase === phase ? drag.dx : 0}
              onMove={(dx) => setDrag({ phase, dx })}
              onEnd={(dx) => dropAt(phase, dx)}
            />
          ))}
        </View>
        {rows.map((row) => (
          <View key={row.faceId ?? 'whole'} style={[styles.face, { borderColor: theme.line }]} role="row">
            <View style={styles.name} role="rowheader">
              <Text kind="strong">{row.name}</Text>
              <Text kind="quiet">{row.words}</Text>
            </View>
            <View style={styles.row}>
              {row.cells.map((cell) => (
                <View key={cell.phase} role="cell">
                  <Cell
                    cell={cell}
                    name={row.name}
                    lit={picked?.phase === cell.phase && picked.face === (row.faceId ?? 'whole')}
                    onPress={() => onPick(row.faceId, cell.phase)}
                  />
                </View>
              ))}
            </View>
          </View>
        ))}
      </View>
    </ScrollView>
  );
}

function Head({
  phase,
  dx,
  onMove,
  onEnd,
}: {
  phase: PhaseId;
  dx: number;
  onMove: (dx: number) => void;
  onEnd: (dx: number) => void;
}) {
  const theme = useTheme();
  const from = useRef<number>(undefined);
  const along = (e: PointerEvent): number =>
    from.current === undefined ? 0 : e.nativeEvent.pageX - from.current;
  return (
    <View
      onPointerDown={(e) => {
        from.current = e.nativeEvent.pageX;
        hold(e.currentTarget, e.nativeEvent.pointerId);
      }}
      onPointerMove={(e) => {
        if (Math.abs(along(e)) > DRAG_PX) onMove(along(e));
      }}
      onPointerUp={(e) => {
        onEnd(along(e));
        from.current = undefined;
      }}
      onPointerCancel={() => {
        onEnd(0);
        from.current = undefined;
      }}
      role="columnheader"
      aria-label={`${phaseLabel(phase)}, can be dragged`}
      style={[
        styles.head,
        dx === 0
          ? { borderColor: theme.line }
          : { transform: [{ translateX: dx }], backgroundColor: theme.lampFill, borderColor: theme.lampEdge },
      ]}
    >
      <Text kind="label" style={styles.word}>
        {phaseLabel(phase)}
      </Text>
    </View>
  );
}

function Cell({
  cell,
  name,
  lit,
  onPress,
}: {
  cell: PlanCell;
  name: string;
  lit: boolean;
  onPress: () => void;
}) {
  const theme = useTheme();
  const { done, all, tasks, phase } = cell;
  if (tasks.length === 0) return <View style={styles.cell} />;
  const through = all > 0 && done === all;
  return (
    <Pressable
      role="button"
      aria-label={`${name}, ${phaseLabel(phase).toLowerCase()}: ${done} of ${all} steps done`}
      aria-pressed={lit}
      onPress={onPress}
      style={[
        styles.cell,
        styles.full,
        {
          borderColor: lit ? theme.lampEdge : theme.control,
          backgroundColor: through ? theme.verdigris : done > 0 ? theme.lampFill : 'transparent',
        },
      ]}
    >
      <Text kind="number" tone={through ? 'onChosen' : 'ink'}>
        {through ? `✓ ${all}` : `${done}/${all}`}
      </Text>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  scroll: { paddingBottom: 8 },
  row: { flexDirection: 'row', alignItems: 'center' },
  face: { borderTopWidth: 1, paddingVertical: 8, marginTop: 8, gap: 6 },
  name: { paddingHorizontal: 3 },
  head: {
    width: CELL_PX - 2,
    marginHorizontal: 1,
    minHeight: 44,
    alignItems: 'center',
    justifyContent: 'center',
    borderWidth: 1,
    borderRadius: 6,
  },
  word: { textAlign: 'center', fontSize: 12 },
  cell: { width: CELL_PX - 6, marginHorizontal: 3, minHeight: 44 },
  full: { alignItems: 'center', justifyContent: 'center', borderWidth: 1.5, borderRadius: 6 },
});
