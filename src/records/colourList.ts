import { labFromRgb, type Lab } from '@/core/colour';
import { plainNumber } from '@/core/units';
import { CARRIERS, COLOUR_KINDS, type Carrier, type ColourKind } from '@/core/shelf';
import { checked, listed, type ListColumn, type Listed, type Mapping, type Table } from './list';
import type { Colour } from './types';

/** What a column of a list can say of a colour. */
export type ColourColumn = 'name' | 'kind' | 'carrier' | 'colour' | 'strength' | 'note';

export const COLOUR_COLUMNS: Record<ColourColumn, ListColumn> = {
  name: { label: 'Name', needed: true, looksLike: /name|product|item|what/i },
  kind: { label: 'Kind, such as stick or dye', needed: false, looksLike: /kind|type|sort/i },
  carrier: { label: 'Thinned with', needed: false, looksLike: /carrier|solvent|thin|base/i },
  colour: { label: 'Colour, as #rrggbb or L a b', needed: true, looksLike: /colou?r|lab|hex|rgb/i },
  strength: { label: 'Strength', needed: false, looksLike: /strength|power/i },
  note: { label: 'Note', needed: false, looksLike: /note|remark|comment|where/i },
};

/**
 * A colour as lists write it: `#8b5a2b`, or three numbers L, a, b.
 *
 * @throws RangeError for anything else
 */
export function readColour(text: string): Lab {
  const hex = /^#?([0-9a-f]{2})([0-9a-f]{2})([0-9a-f]{2})$/i.exec(text.trim());
  if (hex) {
    const [red = 0, green = 0, blue = 0] = hex.slice(1).map((two) => parseInt(two, 16));
    return labFromRgb(red, green, blue);
  }
  const numbers = text.match(/-?\d+(?:\.\d+)?/g)?.map(Number) ?? [];
  const [l, a, b] = numbers;
  if (numbers.length === 3 && l !== undefined && a !== undefined && b !== undefined) return [l, a, b];
  throw new RangeError(
    `“${text.slice(0, 40)}” is no colour. Write it as #8b5a2b or as L a b, such as 43 15 35.`,
  );
}

/** The key of a table that is called so, or else the first whose label says it. */
function keyFor<K extends string>(
  table: Record<K, unknown>,
  label: (key: K) => string,
  text: string,
): K | undefined {
  const wanted = text.toLowerCase();
  const keys = Object.keys(table) as K[];
  return (
    keys.find((key) => key.toLowerCase() === wanted) ??
    keys.find((key) => label(key).toLowerCase().includes(wanted))
  );
}

/** Colours of a list. A kind that is not said is a stick; what it is thinned with and is not known here goes into the note. */
export function coloursIn({ rows }: Table, mapping: Mapping<ColourColumn>): Listed<Colour> {
  return listed(rows, (cells) => {
    const cell = (c: ColourColumn): string => (cells[mapping[c] ?? -1] ?? '').trim();
    const kind: ColourKind | undefined =
      cell('kind') === '' ? 'stick' : keyFor(COLOUR_KINDS, (k) => COLOUR_KINDS[k].label, cell('kind'));
    if (!kind)
      throw new RangeError(
        `“${cell('kind').slice(0, 40)}” is no kind of colour. Kinds are: ${Object.keys(COLOUR_KINDS).join(', ')}.`,
      );
    const thinned = cell('carrier');
    const carrier: Carrier | undefined =
      thinned === '' ? 'none' : keyFor(CARRIERS, (k) => CARRIERS[k], thinned);
    const notes = [cell('note'), carrier ? '' : `Thinned with ${thinned}.`];
    const strength = cell('strength') === '' ? 1 : plainNumber(cell('strength'));
    return checked('colour', {
      name: cell('name'),
      kind,
      carrier: carrier ?? 'none',
      lab: readColour(cell('colour')),
      strength,
      note: notes.filter(Boolean).join(' '),
    });
  });
}
