import type { Point } from '@/core/geometry';
import { viewOf, type Board } from '@/core/job';
import { centreWords } from '@/core/veneer';
import { Button, useSay } from '@/ui';
import { call } from '@/worker';
import { useAct } from '../shared/useAct';
import { useLatest } from '../shared/useLatest';

/** Proposes the middle of a sunburst from the photo, for a finger to correct. */
export function ReadCentre({
  board,
  pictureId,
  now,
  onPut,
}: {
  board: Board;
  pictureId: string | undefined;
  /** On the face, mm. */
  now: Point;
  onPut: (at: Point) => unknown;
}) {
  const act = useAct();
  const say = useSay();
  // An undo comes later, when the face is another record than now.
  const put = useLatest(onPut);
  if (!pictureId) return null;
  const read = (): Promise<void> =>
    act(async () => {
      const found = await call('centre', { view: viewOf(board, pictureId), within: board.plane.outline });
      await put.current(found.at);
      say({ text: centreWords(found), action: { label: 'Undo', run: () => void put.current(now) } });
    });
  return <Button label="Read its middle from the photo" onPress={read} />;
}
