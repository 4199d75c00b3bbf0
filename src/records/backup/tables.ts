import { unparse } from 'papaparse';
import { byTime } from '@/core/calendar';
import type { Stored } from '../types';

/** A cell that a spreadsheet would take for a formula is marked as text, also behind blanks or line breaks and in full-width signs. */
const SAFE = { escapeFormulae: /^[\s\p{Cc}]*[=+\-@＝＋－＠﹦﹢﹣﹫]/u };

const names = (pieces: readonly Stored<'piece'>[]): Map<string, string> =>
  new Map(pieces.map((p) => [p.id, p.body.name]));

/** Veneers in stock, for a spreadsheet; sizes in millimetres. */
export const stockTable = (veneers: readonly Stored<'veneer'>[]): string =>
  unparse(
    {
      fields: ['name', 'species', 'thickness mm', 'along the grain mm', 'across mm', 'note'],
      data: veneers.map(({ body: v }) => [v.name, v.species, v.thicknessMm, v.alongMm, v.acrossMm, v.note]),
    },
    SAFE,
  );

/** Boards in the rack, for a spreadsheet; sizes in millimetres. */
export const boardsTable = (boards: readonly Stored<'lumber'>[]): string =>
  unparse(
    {
      fields: ['name', 'species', 'along the grain mm', 'across mm', 'thickness mm', 'note'],
      data: boards.map(({ body: b }) => [b.name, b.species, b.alongMm, b.acrossMm, b.thickMm, b.note]),
    },
    SAFE,
  );

const inOrder = (log: readonly Stored<'log'>[]): Stored<'log'>[] =>
  [...log].sort((a, b) => byTime(a.body.doneAt, b.body.doneAt));

/** All that was done, for a spreadsheet. */
export function logTable(log: readonly Stored<'log'>[], pieces: readonly Stored<'piece'>[]): string {
  const name = names(pieces);
  return unparse(
    {
      fields: ['done', 'piece', 'work', 'minutes', 'note'],
      data: inOrder(log).map(({ body: l }) => [l.doneAt, name.get(l.pieceId) ?? '', l.title, l.actualMin, l.note]), // prettier-ignore
    },
    SAFE,
  );
}

/** Hours by piece and day, for a spreadsheet. */
export function hoursTable(log: readonly Stored<'log'>[], pieces: readonly Stored<'piece'>[]): string {
  const name = names(pieces);
  const minutes = new Map<string, { day: string; piece: string; minutes: number }>();
  for (const { body: l } of inOrder(log)) {
    const row = { day: l.doneAt.slice(0, 10), piece: name.get(l.pieceId) ?? '' };
    const key = `${row.day} ${l.pieceId}`;
    minutes.set(key, { ...row, minutes: (minutes.get(key)?.minutes ?? 0) + l.actualMin });
  }
  return unparse(
    {
      fields: ['day', 'piece', 'hours'],
      data: [...minutes.values()].map((r) => [r.day, r.piece, (r.minutes / 60).toFixed(2)]),
    },
    SAFE,
  );
}
