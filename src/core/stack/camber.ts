import Joi from 'joi';
import { assertRange } from '../check';
import { memory } from '../sources';

export type CamberInput = {
  /** Between the end clamps. */
  lengthMm: number;
  /** Section of the caul. */
  widthMm: number;
  heightMm: number;
  modulusMPa: number;
  pressureKPa: number;
  /** Width of what the caul presses on, across it. */
  pressedWidthMm: number;
};

export type Camber = {
  /** What each of the two end clamps must give. */
  endForceN: number;
  midCamberMm: number;
  /** Height of the bow over a straight line between its ends, every 50 mm from one end, and at the other end. */
  offsets: { xMm: number; mm: number }[];
};

/** Input of `press.camber`. */
export const camberSchema = Joi.object({
  lengthMm: Joi.number().required(),
  widthMm: Joi.number().required(),
  heightMm: Joi.number().required(),
  modulusMPa: Joi.number().required(),
  pressureKPa: Joi.number().required(),
  pressedWidthMm: Joi.number().required(),
});

const OFFSET_EVERY_MM = 50;

/**
 * Height of the bow over a straight line between its ends, at a place along the caul.
 *
 * @source simply supported beam under a uniform load, any table of beams: y = w x (L³ − 2 L x² + x³) / 24 E I
 */
export function bowHeightMm(
  { lengthMm, widthMm, heightMm, modulusMPa, pressureKPa, pressedWidthMm }: CamberInput,
  x: number,
): number {
  const load = (pressureKPa / 1000) * pressedWidthMm;
  const stiffness = (modulusMPa * widthMm * heightMm ** 3) / 12;
  return (load * x * (lengthMm ** 3 - 2 * lengthMm * x ** 2 + x ** 3)) / (24 * stiffness);
}

/**
 * Registry `press.camber`: the bow that a caul needs so that clamps at its ends alone press evenly along it.
 *
 * A bar that is planed to the curve which an even load bends it to lies flat, and presses evenly, when its ends are drawn down.
 *
 * @throws RangeError for sizes and pressures out of range
 */
export function camberOf(input: CamberInput): Camber {
  const { lengthMm, widthMm, heightMm, modulusMPa, pressureKPa, pressedWidthMm } = input;
  assertRange('The length between the clamps', lengthMm, 'mm', 50, 4000);
  assertRange('The width of the caul', widthMm, 'mm', 5, 500);
  assertRange('The height of the caul', heightMm, 'mm', 5, 500);
  assertRange('The stiffness of the wood', modulusMPa, 'MPa', 100, 300_000);
  assertRange('The pressure', pressureKPa, 'kPa', 1, 5000);
  assertRange('The width that is pressed', pressedWidthMm, 'mm', 1, 2000);
  const load = (pressureKPa / 1000) * pressedWidthMm;
  const bow = (x: number): number => bowHeightMm(input, x);
  return {
    endForceN: (load * lengthMm) / 2,
    midCamberMm: bow(lengthMm / 2),
    offsets: bowOffsets(lengthMm, bow),
  };
}

/** Heights of a bow every 50 mm from one end, and at the other end. */
export function bowOffsets(lengthMm: number, bow: (x: number) => number): Camber['offsets'] {
  const places = Array.from(
    { length: Math.floor(lengthMm / OFFSET_EVERY_MM) + 1 },
    (_, i) => i * OFFSET_EVERY_MM,
  );
  if (places[places.length - 1] !== lengthMm) places.push(lengthMm);
  // The far end is nought but for the last digit of the arithmetic.
  return places.map((xMm) => ({ xMm, mm: xMm === lengthMm ? 0 : bow(xMm) }));
}

/** Height of a bow of this camber at a place along a caul, as `press.field` takes it: a parabola. mm. */
export const parabolaHeightMm = (camberMm: number, lengthMm: number, x: number): number =>
  (4 * camberMm * x * (lengthMm - x)) / lengthMm ** 2;

/**
 * The bow for a caul that bridges a face: clamped at its ends, pressing only on a stretch in its middle. Given as the height over
 * the whole span of the parabola that stands off as far as the caul bends at the ends of that stretch. mm.
 *
 * Of the two end forces F the stretch p gives back 2 F / p; from its end inwards the moment is F ((L − p) / 2 + u − u² / p), and
 * the movement against the middle is the integral of u times it over p / 2. For p = L this is 5 w L⁴ / 384 E I.
 *
 * @param endForceN on each end
 * @param spanMm between the clamps
 * @param pressedMm length of the stretch in the middle, up to the span
 */
export function bridgeBowMm(
  endForceN: number,
  spanMm: number,
  pressedMm: number,
  { widthMm, heightMm, modulusMPa }: Pick<CamberInput, 'widthMm' | 'heightMm' | 'modulusMPa'>,
): number {
  const stiffness = (modulusMPa * widthMm * heightMm ** 3) / 12;
  const p = Math.min(spanMm, pressedMm);
  return ((endForceN * spanMm ** 2) / stiffness) * ((spanMm - p) / 16 + p * (1 / 24 - 1 / 64));
}

/** More bow than this for its length is not planed but a sign of a caul that is too slender. Share of the length. */
export const MOST_CAMBER_SHARE = 1 / 60;
export const MOST_CAMBER_SHARE_SOURCE = memory('more bow is the sign of a caul that is too slender');
