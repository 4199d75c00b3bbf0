import { linksOf, pieceIdOf, withoutMissing } from '../links';
import type { AnyStored, Kind, Stored } from '../types';

/** What became of a record that pointed at something which is nowhere. */
export type Mended = { key: string; without: Kind[] };

const keyOf = (r: { kind: Kind; id: string }): string => `${r.kind}/${r.id}`;

/** A face, damage or log entry whose piece is nowhere: it can be gathered under a new piece. */
export type Adrift = AnyStored;

/**
 * Mends records that point at what is neither among them nor in the store: links to photos and faces are let go, and what has lost
 * its piece is told apart.
 *
 * @param has what else is there: names of records in the store, and of photos in the file
 */
export function mend(
  records: readonly AnyStored[],
  has: (key: string) => boolean,
): { whole: AnyStored[]; adrift: Adrift[]; mended: Mended[] } {
  const own = new Map(records.map((r) => [keyOf(r), r]));
  const mended: Mended[] = [];
  const there = (kind: Kind, id: string): boolean => own.has(`${kind}/${id}`) || has(`${kind}/${id}`);
  const whole: AnyStored[] = [];
  const adrift: Adrift[] = [];
  for (const record of records) {
    const isMissing = (kind: Kind, id: string): boolean => {
      if (kind === 'piece') return false;
      if (!there(kind, id)) return true;
      // A damage lies on a face of its own piece.
      const face = own.get(`face/${id}`);
      return kind === 'face' && face !== undefined && pieceIdOf(face) !== pieceIdOf(record);
    };
    const lost = linksOf(record).filter((l) => l.hold !== 'names' && isMissing(l.kind, l.id));
    const next = lost.length > 0 ? withoutMissing(record, isMissing) : record;
    if (lost.length > 0) mended.push({ key: keyOf(record), without: [...new Set(lost.map((l) => l.kind))] });
    const pieceId = pieceIdOf(next);
    (pieceId !== undefined && !there('piece', pieceId) ? adrift : whole).push(next);
  }
  return { whole, adrift, mended };
}

/** Puts what is adrift under pieces made for it: one for each that is lost, so that what belonged together stays together. */
export function gathered(
  adrift: readonly Adrift[],
  pieceFor: (id: string, number: number) => Stored<'piece'>,
): AnyStored[] {
  const lost = [...new Set(adrift.flatMap((r) => pieceIdOf(r) ?? []))];
  return [...lost.map((id, i) => pieceFor(id, i + 1)), ...adrift];
}
