export type LengthUnit = 'mm' | 'in';

const MM_PER: Record<string, number> = {
  mm: 1,
  cm: 10,
  m: 1000,
  in: 25.4,
  inch: 25.4,
  inches: 25.4,
  '"': 25.4,
  ft: 304.8,
  foot: 304.8,
  feet: 304.8,
  "'": 304.8,
};

const VULGAR: Record<string, string> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅓': '1/3',
  '⅔': '2/3',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

const NUMBER = String.raw`(?:\d+\s*/\s*\d+|\d+(?:\s+|-)\d+\s*/\s*\d+|\d+\.?\d*|\.\d+)`;
const UNIT = String.raw`(?:mm|cm|m|inches|inch|in|feet|foot|ft|"|')`;
const SINGLE = new RegExp(String.raw`^(${NUMBER})\s*(${UNIT})?$`);
const FEET_AND_INCHES = new RegExp(
  String.raw`^(${NUMBER})\s*(?:feet|foot|ft|')\s*-?\s*(${NUMBER})\s*(?:inches|inch|in|")?$`,
);
const LONGEST_MM = 100_000;

function tidy(text: string): string {
  let s = text.trim().toLowerCase().replace(/\s+/g, ' ');
  s = s.replace(/[½¼¾⅓⅔⅛⅜⅝⅞]/g, (c) => ` ${VULGAR[c]}`).trim();
  s = s
    .replace(/⁄|∕/g, '/')
    .replace(/[″”“]|''/g, '"')
    .replace(/[′’‘]/g, "'")
    .replace(/[‐‑–]/g, '-');
  return s.replace(/^(.*[a-z"'])\.$/, '$1');
}

function readNumber(text: string, whole: string): number {
  const mixed = /^(?:(\d+)(?:\s+|-))?(\d+)\s*\/\s*(\d+)$/.exec(text);
  if (!mixed) return Number(text);
  const denominator = Number(mixed[3]);
  if (denominator === 0) throw new RangeError(`“${whole}” divides by zero. Write a fraction such as 3/4.`);
  return Number(mixed[1] ?? 0) + Number(mixed[2]) / denominator;
}

/**
 * Reads a length as it is written in a shop: `3/4"`, `1 1/2 in`, `1-1/2"`, `2' 3 5/8"`, `19mm`, `2,5 cm`, `.5`.
 *
 * @param text what was typed
 * @param unit the unit of a bare number; millimetres when not given
 * @returns millimetres, 0…100 000
 * @throws RangeError when the text is no length, is negative, divides by zero, or could be read two ways (`1,200`)
 */
export function parseLength(text: string, unit: LengthUnit = 'mm'): number {
  const whole = text.trim();
  const s = tidy(text);
  const fail = (why: string): never => {
    throw new RangeError(`“${whole.slice(0, 40)}” ${why}`);
  };
  if (s === '') return fail('is empty. Write a length such as 3/4", 19 mm or 2.5 cm.');
  if (/^[-−]/.test(s)) return fail('is negative. A length is zero or more.');
  if (/\d,\d{3}(?!\d)/.test(s))
    return fail('can be read two ways. Write 1200 mm or 1.2 mm without the comma.');
  const point = s.replace(/(\d),(\d)/g, '$1.$2').replace(/^,(\d)/, '.$1');
  const both = FEET_AND_INCHES.exec(point);
  const single = both ? null : SINGLE.exec(point);
  if (!both && !single)
    return fail('is not a length. Write it like 3/4", 1 1/2 in, 2\' 3 5/8", 19 mm or 2.5 cm.');
  const mm = both
    ? readNumber(both[1] ?? '', whole) * 304.8 + readNumber(both[2] ?? '', whole) * 25.4
    : readNumber(single?.[1] ?? '', whole) * (MM_PER[single?.[2] ?? unit] ?? 1);
  if (!(mm <= LONGEST_MM)) return fail('is longer than 100 m. Check the unit.');
  return mm;
}

const greatestCommonDivisor = (a: number, b: number): number =>
  b === 0 ? a : greatestCommonDivisor(b, a % b);

/**
 * Inches as a reduced fraction to the nearest 1/denominator.
 *
 * @param mm millimetres, zero or more
 * @param denominator a power of two up to 64
 */
export function inchFraction(mm: number, denominator = 64): string {
  const parts = Math.round((mm / 25.4) * denominator);
  const whole = Math.floor(parts / denominator);
  const rest = parts - whole * denominator;
  if (rest === 0) return String(whole);
  const d = greatestCommonDivisor(rest, denominator);
  const fraction = `${rest / d}/${denominator / d}`;
  return whole === 0 ? fraction : `${whole} ${fraction}`;
}

/** No more digits than a rule, or below two millimetres a caliper, can tell; a half that was typed stays. */
const decimalsFor = (mm: number): number => {
  if (mm >= 20) return Number.isInteger(2 * mm) ? 1 : 0;
  if (mm >= 2) return 1;
  return mm >= 0.1 ? 2 : 3;
};

/** A number without the noughts that only pretend to have been measured: `18`, `1.5`, `0.6`. */
const plain = (value: number, decimals: number): string => String(Number(value.toFixed(decimals)));

/** Inches: a reduced fraction to 1/64; thin things as decimals. */
const inches = (mm: number): string => (mm < 25.4 / 16 ? plain(mm / 25.4, 3) : inchFraction(mm));

/** A length for reading: `0.6 mm`, `14.5 mm`, `612 mm`, `1 1/2 in`. Thin things in inches as decimals: `0.024 in`. */
export const formatLength = (mm: number, unit: LengthUnit): string =>
  unit === 'mm' ? `${plain(mm, decimalsFor(Math.abs(mm)))} mm` : `${inches(mm)} in`;

/** A length as it was typed, to the hundredth of a millimetre: for fields, which must not round what they are given. */
export const exactLength = (mm: number, unit: LengthUnit): string =>
  unit === 'mm' ? `${plain(mm, 2)} mm` : `${inches(mm)} in`;

/** An area for reading, in cm² or in², with as many digits as an outline drawn by hand deserves. */
export function formatArea(mm2: number, unit: LengthUnit): string {
  const value = unit === 'mm' ? mm2 / 100 : mm2 / 645.16;
  return `${plain(value, value >= 10 ? 0 : value >= 1 ? 1 : 2)} ${unit === 'mm' ? 'cm²' : 'in²'}`;
}
