import { byTime } from '../calendar';
import type { BenchTask, Schedule } from '../bench';
import { CLAMPS } from '../press';
import { kindInfo } from '../damage';
import type { Bar, FrontPicture, FrontPiece } from '../front';
import { lowerFirst, RESTS, SCHOOLS, type Rest } from '../terms';
import { faceAreaMm2 } from './condition';
import type { Plan } from './plan';
import { boardOf, outlineMm } from './survey';
import { isTicked } from './trail';
import type { Damage, Face, Named, Piece } from './types';

/** The face that stands for a piece: the largest of those that are hurt. */
export function worstFace<F extends Named<Face>>(
  faces: readonly F[],
  damages: readonly Named<Damage>[],
): F | undefined {
  const hurt = faces.filter((f) => damages.some((d) => d.body.faceId === f.id));
  return (hurt.length > 0 ? hurt : faces).reduce<F | undefined>(
    (best, f) => (best && faceAreaMm2(best) >= faceAreaMm2(f) ? best : f),
    undefined,
  );
}

/** A face in small with its damages as marks; nothing while it has no scale. */
export function frontPicture(
  face: Named<Face>,
  damages: readonly Named<Damage>[],
  from: string,
): FrontPicture | undefined {
  const board = boardOf(face.body);
  if (!board.ok) return undefined;
  const { widthMm, heightMm } = board.value.plane;
  const marks = damages
    .filter((d) => d.body.faceId === face.id)
    .map(({ body }) => ({
      relief: kindInfo(body.kind).relief,
      number: body.number,
      outline: outlineMm(body, board.value).map(([x, y]): [number, number] => [Math.round(x), Math.round(y)]),
    }))
    .filter((m) => m.outline.length >= 3);
  return { from, widthMm, heightMm, marks };
}

/** A piece that is not in work: nothing of it is worked out. */
export const restingPiece = (
  { id, body }: Named<Piece>,
  rest: Rest,
  { done, all, trail }: Pick<FrontPiece, 'done' | 'all' | 'trail'>,
  picture?: FrontPicture,
): FrontPiece => ({
  id,
  name: body.name,
  school: SCHOOLS[body.school].label,
  createdAt: body.createdAt,
  rest: RESTS[rest],
  next: '',
  done,
  all,
  trail,
  ...(picture ? { picture } : {}),
});

/** What the list of pieces shows of one. */
export function frontPiece(piece: Named<Piece>, { trail }: Plan, picture?: FrontPicture): FrontPiece {
  const { title } = trail.next;
  const { deadline } = piece.body;
  return {
    id: piece.id,
    name: piece.body.name,
    school: SCHOOLS[piece.body.school].label,
    createdAt: piece.body.createdAt,
    ...(deadline === undefined ? {} : { deadline }),
    next: lowerFirst(title),
    done: trail.done,
    all: trail.all,
    trail: trail.steps.map((s) => ({ title: s.title, state: s.state })),
    ...(picture ? { picture } : {}),
  };
}

/** Steps with their times as bars on the days; the first that is still to do is the next. */
export function barsOf(
  tasks: readonly (BenchTask & { pieceName: string; pieceId: string })[],
  { tasks: timed }: Schedule,
  done: ReadonlySet<string>,
): Bar[] {
  const byId = new Map(tasks.map((t) => [t.id, t]));
  const inOrder = [...timed].sort((a, b) => byTime(a.start, b.start));
  const next = inOrder.find((t) => {
    const task = byId.get(t.id);
    return task && isTicked(task) && !done.has(t.id);
  })?.id;
  return inOrder.flatMap(({ id, start, attendedEnd, end }): Bar[] => {
    const task = byId.get(id);
    if (!task) return [];
    const clamps = Object.fromEntries(
      CLAMPS.flatMap((c): [string, number][] => {
        const count = task.needs[c.id] ?? 0;
        return count > 0 ? [[c.label, count]] : [];
      }),
    );
    const { title, pieceName: piece, pieceId } = task;
    return [
      { id, title, piece, pieceId, start, attendedEnd, end, done: done.has(id), next: id === next, clamps },
    ];
  });
}
