import { inchFraction, type LengthUnit } from './length';
import type { TemperatureUnit } from './quantity';

export type ShopUnits = { length: LengthUnit; temperature: TemperatureUnit };

/** So many digits as a figure in a sentence deserves: `36`, `0.85`, `1200`. */
function digits(value: number, significant = 2): string {
  if (value === 0) return '0';
  const rounded = Number(value.toPrecision(significant));
  return String(Math.abs(rounded) >= 1e-6 ? rounded : 0);
}

/** Inches for a length that was written in millimetres, no finer than it was meant: a rule of thumb is not a measure. */
function inchesFrom(mm: number, written: string): string {
  const tenths = written.includes('.');
  if (mm < 3) return digits(mm / 25.4);
  if (mm < 10 || (tenths && mm < 50)) return inchFraction(mm, 64);
  if (mm < 30) return inchFraction(mm, 32);
  if (mm < 150) return inchFraction(mm, 16);
  return mm < 600 ? inchFraction(mm, 8) : inchFraction(mm, 2);
}

type Conversion = {
  unit: string;
  /** So many of it to one metric unit. */
  factor: number;
  /** Digits that a figure in a sentence keeps; two when not given. */
  significant?: number;
  /** Below so much of the metric unit another one is used in a sentence. */
  small?: { below: number; unit: string; factor: number };
};

/**
 * Customary units by the metric unit they stand in for. Exact by definition: 25.4 mm to the inch, 453.592 37 g to the pound,
 * 29.5735 ml to the US fluid ounce (NIST SP 811, appendix B; written down from memory).
 */
const CUSTOMARY: Record<string, Conversion> = {
  mm: { unit: 'in', factor: 1 / 25.4 },
  cm: { unit: 'in', factor: 1 / 2.54 },
  m: { unit: 'ft', factor: 1 / 0.3048 },
  'mm²': { unit: 'in²', factor: 1 / 645.16 },
  'cm²': { unit: 'in²', factor: 100 / 645.16 },
  'm²': { unit: 'ft²', factor: 10.7639 },
  'mm³': { unit: 'in³', factor: 1 / 16387.064 },
  kPa: { unit: 'psi', factor: 1 / 6.894757 },
  MPa: { unit: 'psi', factor: 1000 / 6.894757, significant: 3 },
  GPa: { unit: 'psi', factor: 1e6 / 6.894757, significant: 3 },
  N: { unit: 'lbf', factor: 1 / 4.448222 },
  kN: { unit: 'lbf', factor: 1000 / 4.448222 },
  'N·m': { unit: 'ft·lbf', factor: 0.737562 },
  g: { unit: 'oz', factor: 1 / 28.349523 },
  kg: { unit: 'lb', factor: 2.2046226 },
  // What is measured out by the spoon: 4.928 922 ml to the teaspoon.
  ml: {
    unit: 'fl oz',
    factor: 1 / 29.57353,
    small: { below: 15, unit: 'tsp', factor: 1 / 4.928922 },
  },
  l: { unit: 'qt', factor: 1.0566882 },
  'g/m²': { unit: 'oz/ft²', factor: 0.003277 },
  'ml/m²': { unit: 'fl oz/ft²', factor: 0.0031415 },
  'kg/m³': { unit: 'lb/ft³', factor: 0.062428 },
};

/** A figure of a sentence in its customary unit; lengths as fractions of an inch. */
function inCustomary(unit: string, { factor, significant }: Pick<Conversion, 'factor' | 'significant'>) {
  return (value: number, written: string): string => {
    if (unit === 'mm') return inchesFrom(value, written);
    if (unit === 'cm') return inchesFrom(10 * value, written);
    return digits(value * factor, significant);
  };
}

const NUMBER = String.raw`[-−]?\d+(?:[.,]\d+)?`;
const JOIN = String.raw`\s?(?:to|–|-|and|or|×|x|…)\s?`;
const UNITS = Object.keys(CUSTOMARY)
  .sort((a, b) => b.length - a.length)
  .map((u) => u.replace('/', '\\/'))
  .join('|');
/** Numbers that share a unit, as in “45 to 60 mm” or “300 × 200 mm”; the unit is not the beginning of a word. */
const QUANTITY = new RegExp(String.raw`(?<![\w.,/])((?:${NUMBER}${JOIN})*${NUMBER})(\s?)(${UNITS})(?![\w²³/])`, 'g'); // prettier-ignore
const TEMPERATURE = new RegExp(String.raw`(?<![\w.,])((?:${NUMBER}${JOIN})*${NUMBER})\s?°C(?!\w)`, 'g');
/** What is said of a difference rather than of a temperature. */
const DIFFERENCE = /^\s(?:less|more|colder|warmer|cooler|hotter|higher|lower)\b/;
const BEFORE_DIFFERENCE = /\b(?:every|each|by|within)\s$/;

const each = (numbers: string, convert: (value: number, written: string) => string): string =>
  numbers.replace(new RegExp(NUMBER, 'g'), (written, at: number) => {
    // In “20-30” the stroke joins, it is no sign.
    const joined = at > 0 && /[-−]/.test(written.charAt(0)) && /\d/.test(numbers.charAt(at - 1));
    const text = (joined ? written.slice(1) : written).replace('−', '-').replace(',', '.');
    return `${joined ? written.charAt(0) : ''}${convert(Number(text), text)}`;
  });

/**
 * A sentence of the app in the units of this shop. Core speaks in millimetres, kilopascals, newtons, grams, millilitres and
 * degrees Celsius; quantities in its words are turned here, at the edge. What already stands in other units stays.
 */
export function inUnits(text: string, { length, temperature }: ShopUnits): string {
  let out = text;
  if (length === 'in')
    out = out.replace(QUANTITY, (whole, numbers: string, _space: string, unit: string) => {
      const to = CUSTOMARY[unit];
      if (!to) return whole;
      const greatest = Math.max(
        ...(numbers.match(/\d+(?:[.,]\d+)?/g) ?? []).map((n) => Number(n.replace(',', '.'))),
      );
      const scale = to.small && greatest < to.small.below ? to.small : to;
      return `${each(numbers, inCustomary(unit, scale))} ${scale.unit}`;
    });
  if (temperature === 'F')
    out = out.replace(TEMPERATURE, (whole: string, numbers: string, at: number) => {
      const isDifference =
        DIFFERENCE.test(out.slice(at + whole.length)) || BEFORE_DIFFERENCE.test(out.slice(0, at));
      return `${each(numbers, (c) => String(Math.round(c * 1.8 + (isDifference ? 0 : 32))))} °F`;
    });
  return out;
}

/** A scale that a number is shown and typed in: its unit, there and back, and the step of its buttons. */
export type FieldScale = {
  unit: string | undefined;
  shown: (value: number) => number;
  meant: (shown: number) => number;
  step: number;
  decimals: number;
};

const decimalsOf = (step: number): number => Math.max(0, Math.ceil(-Math.log10(step) - 1e-9));

/**
 * How a number field is shown in the units of this shop.
 *
 * @param unit the metric unit it is kept in
 * @param step of its buttons in that unit
 */
export function fieldScale(
  unit: string | undefined,
  step: number,
  decimals: number,
  { length, temperature }: ShopUnits,
): FieldScale {
  const same = { unit, shown: (v: number) => v, meant: (v: number) => v, step, decimals };
  if (unit === '°C' && temperature === 'F')
    return { ...same, unit: '°F', shown: (c) => c * 1.8 + 32, meant: (f) => (f - 32) / 1.8, decimals: 0 };
  const typed = unit === undefined || length === 'mm' ? undefined : CUSTOMARY[unit];
  if (!typed) return same;
  const { factor } = typed;
  const round = Number((step * factor).toPrecision(1));
  return {
    unit: typed.unit,
    shown: (v) => v * factor,
    meant: (v) => v / factor,
    step: round,
    decimals: decimalsOf(round),
  };
}
