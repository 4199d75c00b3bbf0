const PLAIN = /^[-−+]?(?:\d+(?:[.,]\d*)?|[.,]\d+)$/;

/**
 * A number as people write it, with a point or a comma: `12`, `-0.5`, `2,5`. What only machines write (`0x10`, `1e3`, `Infinity`) is none.
 *
 * @returns NaN for anything else
 */
export const plainNumber = (text: string): number => {
  const written = text.trim();
  return PLAIN.test(written) ? Number(written.replace(',', '.').replace('−', '-')) : Number.NaN;
};
