import { parse } from 'papaparse';
import { attempt } from '@/core/check';
import { parseLength, type LengthUnit } from '@/core/units';
import { SPECIES } from '@/core/wood';
import { BODY_SCHEMAS } from './schemas';
import type { Veneer } from './types';

/** What a column of a list can say of a veneer. */
export type StockColumn = 'name' | 'species' | 'thickness' | 'along' | 'across' | 'note';

type Row = { label: string; needed: boolean; looksLike: RegExp };

export const STOCK_COLUMNS: Record<StockColumn, Row> = {
  name: { label: 'Name', needed: true, looksLike: /name|veneer|sheet|item|what/i },
  species: { label: 'Wood', needed: false, looksLike: /species|wood|timber/i },
  thickness: { label: 'Thickness', needed: true, looksLike: /thick|gauge/i },
  along: { label: 'Length along the grain', needed: true, looksLike: /along|length|long/i },
  across: { label: 'Width across the grain', needed: true, looksLike: /across|width|wide/i },
  note: { label: 'Note', needed: false, looksLike: /note|remark|comment|where/i },
};

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

export type Mapping = Partial<Record<StockColumn, number>>;

/** Which column is which, by its heading; each is taken once. */
export function guessColumns(header: readonly string[]): Mapping {
  const mapping: Mapping = {};
  const taken = new Set<number>();
  for (const column of Object.keys(STOCK_COLUMNS) as StockColumn[]) {
    const at = header.findIndex((h, i) => !taken.has(i) && STOCK_COLUMNS[column].looksLike.test(h));
    if (at < 0) continue;
    mapping[column] = at;
    taken.add(at);
  }
  return mapping;
}

/** A unit in a heading, “width (in)”, goes before the shop's own. */
function unitIn(heading: string, unit: LengthUnit): LengthUnit {
  if (/\bmm\b/i.test(heading)) return 'mm';
  return /\b(in|inch|inches)\b|"/i.test(heading) ? 'in' : unit;
}

const woodIn = (text: string): string =>
  SPECIES.find((s) => [s.id, s.name].some((n) => n.toLowerCase() === text.toLowerCase()))?.id ?? text;

/**
 * Veneers of a list, and the rows that are none, each with why. Rows count as a spreadsheet counts them: the headings are row 1.
 *
 * @param unit of bare numbers where the heading names none
 */
export function veneersIn(
  { header, rows }: Table,
  mapping: Mapping,
  unit: LengthUnit,
): { veneers: Veneer[]; refused: { row: number; reason: string }[] } {
  const veneers: Veneer[] = [];
  const refused: { row: number; reason: string }[] = [];
  rows.forEach((cells, i) => {
    const cell = (c: StockColumn): string => (cells[mapping[c] ?? -1] ?? '').trim();
    const mm = (c: StockColumn): number => {
      try {
        return parseLength(cell(c), unitIn(header[mapping[c] ?? -1] ?? '', unit));
      } catch (error) {
        const why = error instanceof RangeError ? error.message : 'It is no length.';
        throw new RangeError(`${STOCK_COLUMNS[c].label}: ${why}`);
      }
    };
    const made = attempt((): Veneer => {
      const body = {
        name: cell('name'),
        species: woodIn(cell('species')),
        thicknessMm: mm('thickness'),
        alongMm: mm('along'),
        acrossMm: mm('across'),
        note: cell('note'),
      };
      const { error, value } = BODY_SCHEMAS.veneer.validate(body, { convert: false });
      if (error || value === undefined) throw new RangeError(`${error?.message ?? 'It is empty'}.`);
      return value;
    });
    if (made.ok) veneers.push(made.value);
    else refused.push({ row: i + 2, reason: made.problem });
  });
  return { veneers, refused };
}
