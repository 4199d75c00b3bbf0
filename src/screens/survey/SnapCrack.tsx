import type { Point } from '@/core/geometry';
import { strokeViewOf, type Board } from '@/core/job';
import { crackWords } from '@/core/sight';
import { Button, useSay } from '@/ui';
import { call } from '@/worker';
import { useAct } from '../shared/useAct';
import { useLatest } from '../shared/useLatest';

/** Lays the stroke of a crack on the crack that the photo shows. */
export function SnapCrack({
  board,
  pictureId,
  points,
  onPoints,
}: {
  board: Board;
  pictureId: string;
  /** On the face, mm. */
  points: readonly Point[];
  onPoints: (points: Point[]) => void;
}) {
  const act = useAct();
  const say = useSay();
  // An undo comes later, when the mark is another record than now.
  const put = useLatest(onPoints);
  const snap = (): Promise<void> =>
    act(async () => {
      const { view, line, out } = strokeViewOf(board, pictureId, points);
      const found = await call('crack', { view, line });
      if (!found.seen) return say({ text: crackWords(false) });
      onPoints(found.line.map(out));
      say({ text: crackWords(true), action: { label: 'Undo', run: () => put.current([...points]) } });
    });
  return <Button label="Lay it on the crack" onPress={snap} />;
}
