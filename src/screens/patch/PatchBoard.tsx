import { useState } from 'react';
import { View } from 'react-native';
import { G, Polygon as SvgPolygon } from 'react-native-svg';
import { attempt } from '@/core/check';
import type { Point } from '@/core/geometry';
import { inPicture, isUnderPaint, withCorner, type Surveyed } from '@/core/job';
import { ownPatch, patchFaults, PATCH_DEFAULTS, seamCost, squareSides, type Patch } from '@/core/veneer';
import type { Piece, Stored } from '@/records';
import { Button, materials, Notice, Text } from '@/ui';
import { FaceBoard, useDraft } from '../shared/FaceBoard';
import { useUnits } from '../shared/useUnits';

const words = (list: readonly Point[]): string => list.map((p) => p.join(',')).join(' ');

/** The patch on its face. Its corners can be dragged; what its seam costs and what is wrong with it follows the finger. */
export function PatchBoard({
  damage,
  face,
  onFace,
  piece,
  survey,
  patch: stored,
  onCorners,
}: {
  damage: Stored<'damage'>;
  face: Stored<'face'>;
  onFace: readonly Stored<'damage'>[];
  piece: Piece;
  survey: Surveyed;
  patch: Patch | undefined;
  /** As fractions of the picture; nothing: as it is worked out again. */
  onCorners: (own: Point[] | undefined) => void;
}) {
  const { length } = useUnits();
  const [dragging, setDragging] = useState(false);
  const { board, outline: loss } = survey;
  const { outline: onFaceMm } = board.plane;
  const keep = (outline: readonly Point[]): void => onCorners(outline.map((p) => inPicture(board, p)));
  const { value: corners, drag, drop } = useDraft<readonly Point[]>(stored?.outline ?? [], keep);
  const moved = corners !== stored?.outline && corners.length >= 3;
  const drawn = moved ? attempt(() => ownPatch(corners, onFaceMm, board.grainDeg)) : undefined;
  const patch = drawn ? (drawn.ok ? drawn.value : undefined) : stored;
  const underPaint = isUnderPaint(piece);
  const marginMm = damage.body.patch.marginMm ?? PATCH_DEFAULTS.marginMm.value;
  const cost = patch && seamCost(patch, loss, onFaceMm, board.grainDeg, underPaint);
  const faults = patch ? patchFaults(patch, loss, onFaceMm, marginMm, length) : [];
  const crossing = patch && !underPaint ? squareSides(patch, onFaceMm, board.grainDeg) : 0;
  const own = damage.body.patch.own !== undefined;
  return (
    <View>
      <FaceBoard
        key={damage.id}
        face={face}
        damages={onFace}
        current={damage.id}
        label="The patch on its face"
        phoneHeight={300}
        wideHeight={560}
        focus={{ outline: survey.outline, marginMm: 40 }}
        {...(dragging
          ? {
              handles: corners.map(([x, y], i) => ({ id: String(i), label: `Corner ${i + 1}`, x, y })),
              onMove: (id, to) => drag(corners.map((p, i) => (String(i) === id ? to : p))),
              onMoveEnd: drop,
            }
          : {})}
        over={(k) =>
          patch ? (
            <G>
              <SvgPolygon
                points={words(patch.outline)}
                fill={materials.lit}
                fillOpacity={0.3}
                stroke={materials.lamp}
                strokeWidth={2.5 / k}
              />
              <SvgPolygon
                points={words(patch.recess)}
                fill="none"
                stroke={materials.badge}
                strokeWidth={1.5 / k}
                strokeDasharray={`${5 / k} ${3 / k}`}
              />
            </G>
          ) : null
        }
      />
      <View style={{ padding: 16, gap: 10 }}>
        {cost ? (
          <Text aria-live="polite">
            {`Its seam is ${length(cost.seamMm)} long and is seen like ${length(cost.seenMm)} square across the grain.`}
          </Text>
        ) : null}
        {drawn && !drawn.ok ? <Notice kind="stop">{drawn.problem}</Notice> : null}
        {faults.map((fault) => (
          <Notice key={fault} kind="stop">
            {fault}
          </Notice>
        ))}
        {crossing > 0 ? (
          <Notice kind="stop" title="A seam runs square across the grain">
            Under a clear finish it shows as a line. Take a lozenge, boat or kite.
          </Notice>
        ) : null}
        {stored ? (
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
            <Button
              label={dragging ? 'Done with its corners' : 'Drag its corners'}
              kind="quiet"
              onPress={() => setDragging(!dragging)}
            />
            {dragging ? (
              <Button label="Add a corner" kind="quiet" onPress={() => keep(withCorner(corners))} />
            ) : null}
            {own ? (
              <Button label="As it is worked out again" kind="quiet" onPress={() => onCorners(undefined)} />
            ) : null}
          </View>
        ) : null}
      </View>
    </View>
  );
}
