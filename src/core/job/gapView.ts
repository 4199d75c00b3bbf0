import { boundingBox, type Point } from '../geometry';
import type { Repair } from './repairs';
import { jointOf } from './sums';
import { markMm, type Board } from './survey';
import { closeViewOf, type FaceView } from './views';

/** Wood that is looked at to either side of a joint, mm. */
const ROOM_MM = 15;

/** The joint of a repair and the wood beside it, close, for its gaps to be read; nothing without a photo to scale or a joint on it. */
export function gapViewOf(repair: Repair): { view: FaceView; line: Point[] } | undefined {
  const { face, survey } = repair;
  const joint = jointOf(repair);
  if (!joint || !survey.ok || !face?.body.picture) return undefined;
  const { board } = survey.value;
  const mark = markMm(repair.damage.body, board);
  const path = mark.tool === 'line' && mark.points.length > 1 ? mark.points : [joint.from, joint.to];
  return strokeViewOf(board, face.body.picture.id, path);
}

/** A stroke on a face and the wood beside it, close. */
export function strokeViewOf(
  board: Board,
  pictureId: string,
  path: readonly Point[],
): { view: FaceView; line: Point[]; out: (p: Point) => Point } {
  const box = boundingBox(path);
  const { view, origin } = closeViewOf(board, pictureId, [
    [box.left - ROOM_MM, box.top - ROOM_MM],
    [box.right + ROOM_MM, box.bottom + ROOM_MM],
  ]);
  return {
    view,
    line: path.map((p): Point => [p[0] - origin[0], p[1] - origin[1]]),
    out: (p) => [p[0] + origin[0], p[1] + origin[1]],
  };
}
