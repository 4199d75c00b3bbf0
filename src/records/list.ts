import { parse } from 'papaparse';
import { attempt } from '@/core/check';
import { BODY_SCHEMAS } from './schemas';
import type { Bodies } from './types';

/** A column of a list: what it is called, whether a row can do without it, how its heading is known. */
export type ListColumn = { label: string; needed: boolean; looksLike: RegExp };

const MOST_ROWS = 2000;
const MOST_COLUMNS = 60;

export type Table = { header: string[]; rows: string[][] };

/**
 * Reads a list that a spreadsheet saved, with commas, semicolons or tabs; its first row names the columns.
 *
 * @throws RangeError when there is no list in it, or too long a one
 */
export function readTable(text: string, name: string): Table {
  const { data } = parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' });
  const [header, ...rows] = data;
  if (!header || rows.length === 0)
    throw new RangeError(
      `“${name}” has no rows under its first one, which names the columns. Nothing was changed.`,
    );
  if (rows.length > MOST_ROWS || header.length > MOST_COLUMNS)
    throw new RangeError(
      `“${name}” has ${rows.length} rows and ${header.length} columns; up to ${MOST_ROWS} and ${MOST_COLUMNS} can be read. Nothing was changed.`,
    );
  return { header: header.map((h) => h.trim()), rows };
}

export type Mapping<C extends string> = Partial<Record<C, number>>;

/** Which column is which, by its heading; each is taken once. */
export function guessColumns<C extends string>(
  header: readonly string[],
  columns: Record<C, ListColumn>,
): Mapping<C> {
  const mapping: Mapping<C> = {};
  const taken = new Set<number>();
  for (const column of Object.keys(columns) as C[]) {
    const at = header.findIndex((h, i) => !taken.has(i) && columns[column].looksLike.test(h));
    if (at < 0) continue;
    mapping[column] = at;
    taken.add(at);
  }
  return mapping;
}

/** What came of the rows of a list, and the rows that are none, each with why. Rows count as a spreadsheet counts them: the headings are row 1. */
export type Listed<T> = { items: T[]; refused: { row: number; reason: string }[] };

/** Reads each row; one that throws is refused, and stops no other. */
export function listed<T>(rows: readonly string[][], read: (cells: readonly string[]) => T): Listed<T> {
  const all: Listed<T> = { items: [], refused: [] };
  rows.forEach((cells, i) => {
    const made = attempt(() => read(cells));
    if (made.ok) all.items.push(made.value);
    else all.refused.push({ row: i + 2, reason: made.problem });
  });
  return all;
}

/** A body as it may be stored. @throws RangeError when it does not pass its schema */
export function checked<K extends 'veneer' | 'colour'>(kind: K, body: unknown): Bodies[K] {
  const { error, value } = BODY_SCHEMAS[kind].validate(body, { convert: false });
  if (error || value === undefined) throw new RangeError(`${error?.message ?? 'It is empty'}.`);
  return value;
}
