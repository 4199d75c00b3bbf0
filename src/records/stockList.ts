import { parseLength, type LengthUnit } from '@/core/units';
import { SPECIES } from '@/core/wood';
import { checked, listed, type ListColumn, type Listed, type Mapping, type Table } from './list';
import type { Veneer } from './types';

/** What a column of a list can say of a veneer. */
export type StockColumn = 'name' | 'species' | 'thickness' | 'along' | 'across' | 'note';

export const STOCK_COLUMNS: Record<StockColumn, ListColumn> = {
  name: { label: 'Name', needed: true, looksLike: /name|veneer|sheet|item|what/i },
  species: { label: 'Wood', needed: false, looksLike: /species|wood|timber/i },
  thickness: { label: 'Thickness', needed: true, looksLike: /thick|gauge/i },
  along: { label: 'Length along the grain', needed: true, looksLike: /along|length|long/i },
  across: { label: 'Width across the grain', needed: true, looksLike: /across|width|wide/i },
  note: { label: 'Note', needed: false, looksLike: /note|remark|comment|where/i },
};

/** A unit in a heading, “width (in)”, goes before the shop's own. */
function unitIn(heading: string, unit: LengthUnit): LengthUnit {
  if (/\bmm\b/i.test(heading)) return 'mm';
  return /\b(in|inch|inches)\b|"/i.test(heading) ? 'in' : unit;
}

const woodIn = (text: string): string =>
  SPECIES.find((s) => [s.id, s.name].some((n) => n.toLowerCase() === text.toLowerCase()))?.id ?? text;

/**
 * Veneers of a list.
 *
 * @param unit of bare numbers where the heading names none
 */
export function veneersIn(
  { header, rows }: Table,
  mapping: Mapping<StockColumn>,
  unit: LengthUnit,
): Listed<Veneer> {
  return listed(rows, (cells) => {
    const cell = (c: StockColumn): string => (cells[mapping[c] ?? -1] ?? '').trim();
    const mm = (c: StockColumn): number => {
      try {
        return parseLength(cell(c), unitIn(header[mapping[c] ?? -1] ?? '', unit));
      } catch (error) {
        const why = error instanceof RangeError ? error.message : 'It is no length.';
        throw new RangeError(`${STOCK_COLUMNS[c].label}: ${why}`);
      }
    };
    return checked('veneer', {
      name: cell('name'),
      species: woodIn(cell('species')),
      thicknessMm: mm('thickness'),
      alongMm: mm('along'),
      acrossMm: mm('across'),
      note: cell('note'),
    });
  });
}
