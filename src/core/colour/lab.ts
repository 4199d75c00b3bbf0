import {
  converter,
  differenceCiede2000,
  modeLab65,
  modeLrgb,
  modeRgb,
  modeXyz65,
  useMode as register,
} from 'culori/fn';

register(modeRgb);
register(modeLrgb);
register(modeXyz65);
register(modeLab65);

/** CIE L*a*b* under D65, 2° observer. */
export type Lab = readonly [number, number, number];
/** Linear light in the sRGB primaries, 0…1. */
export type Linear = readonly [number, number, number];

const toLab65 = converter('lab65');
const toLinear = converter('lrgb');
const toRgb = converter('rgb');
const ciede2000 = differenceCiede2000();

const asColour = ([l, a, b]: Lab) => ({ mode: 'lab65', l, a, b }) as const;

/** @param red, green, blue sRGB, 0…255 */
export function labFromRgb(red: number, green: number, blue: number): Lab {
  const c = toLab65({ mode: 'rgb', r: red / 255, g: green / 255, b: blue / 255 });
  return [c.l, c.a, c.b];
}

/** Below 0 or above 1 where no screen shows the colour. */
export function linearOf(lab: Lab): Linear {
  const c = toLinear(asColour(lab));
  return [c.r, c.g, c.b];
}

/** As `linearOf`, never quite dark and never brighter than white, so that one can be divided by another. */
export function linearFromLab(lab: Lab): Linear {
  const clip = (v: number): number => Math.min(1, Math.max(0.002, v));
  const [r, g, b] = linearOf(lab);
  return [clip(r), clip(g), clip(b)];
}

export function labFromLinear([r, g, b]: Linear): Lab {
  const c = toLab65({ mode: 'lrgb', r, g, b });
  return [c.l, c.a, c.b];
}

/** Light of the red, green or blue that a screen shows, 0…1, by its byte. */
export const linearOfByte = (byte: number): number => toLinear({ mode: 'rgb', r: byte / 255, g: 0, b: 0 }).r;
/** The byte, not rounded, that shows so much light, 0…1. */
export const byteOfLinear = (light: number): number => 255 * toRgb({ mode: 'lrgb', r: light, g: 0, b: 0 }).r;

const hexByte = (v: number): string =>
  Math.round(Math.min(1, Math.max(0, v)) * 255)
    .toString(16)
    .padStart(2, '0');

/** The nearest colour a screen can show, as #rrggbb. */
export function hexFromLab(lab: Lab): string {
  const c = toRgb(asColour(lab));
  return `#${hexByte(c.r)}${hexByte(c.g)}${hexByte(c.b)}`;
}

/**
 * Colour difference CIEDE2000 with unit weights.
 *
 * @source Sharma, Wu, Dalal: The CIEDE2000 color-difference formula, Color Research & Application 30 (2005)
 */
export const deltaE00 = (a: Lab, b: Lab): number => ciede2000(asColour(a), asColour(b));
