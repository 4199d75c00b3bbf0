import { parseLength, type LengthUnit } from './length';

/** Lengths of a list with commas or semicolons between: a space may stand inside one, as in 9 5/8. @throws RangeError as `parseLength` does */
export const lengthsIn = (text: string, unit: LengthUnit): number[] =>
  text
    .split(/[,;]/)
    .map((t) => t.trim())
    .filter(Boolean)
    .map((t) => parseLength(t, unit));
