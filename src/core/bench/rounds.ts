import type { Pass } from './passes';
import type { DoneStep } from './task';

/** Ids of log entries, with the faces each was done to; an entry that names none was done to all. */
export type DoneFaces = Pick<DoneStep, 'taskId' | 'faces'>;

/**
 * A pass in the rounds it is done in: what was ticked off stays done to the faces it was done to, and a face that came later is
 * done in a round of its own.
 */
export function roundsOf(
  pass: Pass,
  pieceId: string,
  done: readonly DoneFaces[],
): { pass: Pass; aka?: string }[] {
  const entryOf = (key: string): DoneFaces | undefined => done.find((d) => d.taskId === `${pieceId}/${key}`);
  const rounds: { pass: Pass; aka?: string }[] = [];
  let left = [...pass.faces];
  for (let n = 1; left.length > 0; n++) {
    const key = n === 1 ? pass.key : `${pass.key}~${n}`;
    const old = n === 1 && pass.aka !== undefined ? entryOf(pass.aka) : undefined;
    // A name that stands for something else in this plan was given to all of it, in an earlier one.
    const entry = entryOf(key) ?? (old && old.faces === undefined ? old : undefined);
    const faces = entry?.faces ? left.filter((f) => entry.faces?.includes(f.id)) : left;
    if (faces.length > 0) {
      const aka = entry !== undefined && entry === old && pass.aka !== undefined ? { aka: pass.aka } : {};
      rounds.push({ pass: { ...pass, key, faces }, ...aka });
    }
    if (!entry) break;
    left = left.filter((f) => !faces.includes(f));
  }
  return rounds;
}
