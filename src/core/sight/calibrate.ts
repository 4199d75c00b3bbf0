import { converter } from 'culori';
import Joi from 'joi';
import { Matrix, solve } from 'ml-matrix';
import { deltaE00, labFromLinear, type Lab, type Linear } from '../colour';
import { homographyFrom, project, type Point } from '../geometry';
import { asRaster, type Raster } from '../picture';
import { memory, published, sourced } from '../sources';
import { imageSchema } from './image';

const { floor, hypot, max, min, round } = Math;

export type CalibrationCard = 'grey' | 'chart';
export type CalibrateInput = {
  image: Raster;
  card: CalibrationCard;
  /** Its corners, as fractions of the picture, clockwise from its upper left. */
  corners: readonly Point[];
};

export type Matrix3 = readonly [Linear, Linear, Linear];
export type Calibration = {
  /** Linear sRGB as photographed into linear sRGB as it is. */
  matrix: Matrix3;
  /** Mean difference of the card's fields from what they are, before and after. */
  before: number;
  after: number;
  worst: number;
  /** Quarter turns by which the card lay otherwise than its corners say. */
  turned: number;
};

/** XYZ of the chart's fields under D50, row by row from its upper left. */
export const CHART = {
  columns: 6,
  rows: 4,
  fields: [
    { x: 11.773, y: 10.213, z: 4.9219 }, { x: 40.174, y: 36.201, z: 20.217 }, { x: 17.675, y: 19.409, z: 26.983 },
    { x: 11.121, y: 13.53, z: 5.5615 }, { x: 25.551, y: 24.404, z: 34.847 }, { x: 31.744, y: 43.164, z: 35.249 },
    { x: 40.056, y: 30.947, z: 4.818 }, { x: 12.544, y: 11.7, z: 28.648 }, { x: 30.675, y: 20.352, z: 10.837 },
    { x: 8.3961, y: 6.5047, z: 10.849 }, { x: 36.036, y: 44.991, z: 8.9494 }, { x: 50.203, y: 44.57, z: 6.2773 },
    { x: 7.459, y: 6.0952, z: 23.518 }, { x: 15.439, y: 23.986, z: 7.7482 }, { x: 22.85, y: 13.022, z: 4.1188 },
    { x: 59.637, y: 60.332, z: 7.352 }, { x: 30.45, y: 20.015, z: 22.947 }, { x: 13.591, y: 19.466, z: 30.479 },
    { x: 86.776, y: 90.361, z: 70.642 }, { x: 56.865, y: 59.038, z: 48.218 }, { x: 34.763, y: 36.036, z: 29.378 },
    { x: 18.884, y: 19.603, z: 16.309 }, { x: 8.4332, y: 8.7464, z: 7.1022 }, { x: 3.011, y: 3.0971, z: 2.5475 },
  ],
  source: published('ArgyllCMS reference files', 'a chart of 24 fields, its colours as XYZ under D50'),
}; // prettier-ignore
/** Light that a grey card gives back. */
const GREY = sourced(
  0.18,
  published('ISO 12232 and common photographic practice', 'a grey card reflects 18 %; from memory'),
);
/** Of a field its middle is read. */
const FIELD_SHARE = 0.4;
/** Readings at either end say nothing. */
const BURNT = 250;
const BLACK = 5;
/** A field that stays so far from what it is was covered, or is none of the chart's. */
const OFF = sourced(12, memory('clearly another colour'));
const MOST_OFF = 4;
/** A grey card is grey: its channels lie so near to each other, as shares, in any usual light. */
const GREY_SPREAD = sourced(3, memory('lamp light gives about three times as much red as blue'));

const share = Joi.number().min(-0.2).max(1.2).required();
/** Input of `photo.calibrate`: `{image, card: 'grey' | 'chart', corners: [[x, y] × 4]}`, corners as fractions; at the shell door the image is `{file}`. */
export const calibrateSchema = Joi.object({
  image: imageSchema.required(),
  card: Joi.string().valid('grey', 'chart').required(),
  corners: Joi.array().items(Joi.array().ordered(share, share).length(2)).length(4).required(),
});

const toLrgb = converter('lrgb');
const REFERENCE: readonly Linear[] = CHART.fields.map(({ x, y, z }) => {
  const c = toLrgb({ mode: 'xyz50', x: x / 100, y: y / 100, z: z / 100 });
  return [c.r, c.g, c.b];
});

/** Linear light of a byte. */
export const LINEAR = Float64Array.from({ length: 256 }, (_, v) => {
  const s = v / 255;
  return s <= 0.04045 ? s / 12.92 : ((s + 0.055) / 1.055) ** 2.4;
});

/** Mean linear light of an upright cell of the card, and how much of it is burnt or black. */
function read({ data, width, height }: Raster, at: (u: number, v: number) => Point, u: number, v: number, du: number, dv: number): { mean: Linear; lost: number } {
  const sum = [0, 0, 0];
  let [n, lost] = [0, 0];
  const STEPS = 12;
  for (let i = 0; i < STEPS; i++)
    for (let j = 0; j < STEPS; j++) {
      const [x, y] = at(u + (du * (i + 0.5)) / STEPS, v + (dv * (j + 0.5)) / STEPS);
      const [px, py] = [min(width - 1, max(0, floor(x))), min(height - 1, max(0, floor(y)))];
      const o = 4 * (py * width + px);
      const [r, g, b] = [data[o] ?? 0, data[o + 1] ?? 0, data[o + 2] ?? 0];
      if (max(r, g, b) >= BURNT || max(r, g, b) <= BLACK) lost++;
      n++;
      [r, g, b].forEach((c, k) => (sum[k] = (sum[k] ?? 0) + (LINEAR[c] ?? 0)));
    }
  return { mean: [(sum[0] ?? 0) / n, (sum[1] ?? 0) / n, (sum[2] ?? 0) / n], lost: lost / n };
} // prettier-ignore

const times = (m: Matrix3, c: Linear): Linear => [dot(m[0], c), dot(m[1], c), dot(m[2], c)];
const dot = (a: Linear, b: Linear): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const asLab = (c: Linear): Lab => labFromLinear([max(0, c[0]), max(0, c[1]), max(0, c[2])]);
const IDENTITY: Matrix3 = [[1, 0, 0], [0, 1, 0], [0, 0, 1]]; // prettier-ignore

/**
 * Registry `photo.calibrate`: how the colours of a photo are set right by a grey card or a chart of 24 fields that lies in it.
 *
 * @throws RangeError for corners that are none, a card that is burnt out or in the dark, a chart that is covered, or no chart at all
 */
export function calibrate({ image, card, corners }: CalibrateInput): Calibration {
  const picture = asRaster('The picture', image);
  const at = placesOn(picture, corners);
  return card === 'grey' ? byGrey(picture, at) : byChart(picture, at);
}

function placesOn({ width, height }: Raster, corners: readonly Point[]): (u: number, v: number) => Point {
  const px = corners.map(([x, y]): Point => [x * width, y * height]);
  const sides = px.map((p, i) =>
    hypot(p[0] - (px[(i + 1) % 4]?.[0] ?? 0), p[1] - (px[(i + 1) % 4]?.[1] ?? 0)),
  );
  if (min(...sides) < 8) throw new RangeError('Two corners of the card lie on one spot. Drag each onto its own corner.'); // prettier-ignore
  const unit: Point[] = [[0, 0], [1, 0], [1, 1], [0, 1]]; // prettier-ignore
  const map = homographyFrom(unit, px);
  return (u, v) => project(map, [u, v]);
}

function byGrey(picture: Raster, at: (u: number, v: number) => Point): Calibration {
  const { mean, lost } = read(picture, at, 0.2, 0.2, 0.6, 0.6);
  if (lost > 0.05) throw new RangeError('The grey card is burnt out or black in the photo. Take it again with less, or more, light.'); // prettier-ignore
  if (max(...mean) > GREY_SPREAD.value * min(...mean))
    throw new RangeError(
      'What the corners enclose is not grey in any usual light. Drag them onto the grey card.',
    );
  const gain = mean.map((c) => GREY.value / c);
  const matrix: Matrix3 = [[gain[0] ?? 1, 0, 0], [0, gain[1] ?? 1, 0], [0, 0, gain[2] ?? 1]]; // prettier-ignore
  const aim = asLab([GREY.value, GREY.value, GREY.value]);
  const left = deltaE00(asLab(times(matrix, mean)), aim);
  return { matrix, before: deltaE00(asLab(mean), aim), after: left, worst: left, turned: 0 };
}

/** Quarter turns of a card: where its own upper left lies. */
const TURNS: readonly ((u: number, v: number) => [number, number])[] = [
  (u, v) => [u, v],
  (u, v) => [1 - v, u],
  (u, v) => [1 - u, 1 - v],
  (u, v) => [v, 1 - u],
];

function byChart(picture: Raster, at: (u: number, v: number) => Point): Calibration {
  const { columns, rows } = CHART;
  const [w, h] = [1 / columns, 1 / rows];
  const tried = TURNS.map((turn, turned) => {
    const fields = REFERENCE.map((_, i) => {
      const [u, v] = [((i % columns) + 0.5 - FIELD_SHARE / 2) * w, (floor(i / columns) + 0.5 - FIELD_SHARE / 2) * h]; // prettier-ignore
      return read(picture, (a, b) => at(...turn(a, b)), u, v, FIELD_SHARE * w, FIELD_SHARE * h);
    });
    return { turned, ...fitted(fields.map((f) => (f.lost > 0.05 ? undefined : f.mean))) };
  });
  const best = tried.sort((a, b) => a.off - b.off || a.after - b.after)[0];
  if (!best || best.off > MOST_OFF)
    throw new RangeError(`${best ? `${best.off} of the 24 fields are not as they should be: ` : ''}the chart is covered, in glare, or the corners lie elsewhere. Lay it flat in even light, all of it in sight, and drag the corners onto its own.`); // prettier-ignore
  const { matrix, before, after, worst, turned } = best;
  return { matrix, before, after, worst, turned };
}

/** The matrix that brings fields nearest to what they are, least squares in linear light; fields far off are left out once. */
function fitted(seen: readonly (Linear | undefined)[]): Omit<Calibration, 'turned'> & { off: number } {
  const all = seen.flatMap((c, i) => (c ? [{ c, aim: REFERENCE[i] ?? c }] : []));
  const differences = (m: Matrix3, of = all): number[] => of.map(({ c, aim }) => deltaE00(asLab(times(m, c)), asLab(aim))); // prettier-ignore
  const first = leastSquares(all);
  const good = all.filter((_, i) => (differences(first)[i] ?? 0) <= 2 * OFF.value);
  const matrix = good.length >= 12 ? leastSquares(good) : first;
  const after = differences(matrix);
  const mean = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0) / max(1, list.length);
  const kept = after.filter((d) => d <= OFF.value);
  return {
    matrix,
    before: mean(differences(IDENTITY)),
    after: mean(kept),
    worst: max(0, ...kept),
    off: seen.length - kept.length,
  };
}

function leastSquares(fields: readonly { c: Linear; aim: Linear }[]): Matrix3 {
  const seen = new Matrix(fields.map(({ c }) => [...c]));
  const x = solve(seen, new Matrix(fields.map(({ aim }) => [...aim])), true);
  const row = (k: number): Linear => [x.get(0, k), x.get(1, k), x.get(2, k)];
  return [row(0), row(1), row(2)];
}

const LEVELS = 4096;
/** Bytes of linear light, in so many steps. */
const BYTES = Uint8ClampedArray.from({ length: LEVELS + 1 }, (_, i) => {
  const l = i / LEVELS;
  return 255 * (l <= 0.0031308 ? 12.92 * l : 1.055 * l ** (1 / 2.4) - 0.055);
});
export const byteOf = (light: number): number => BYTES[round(LEVELS * min(1, max(0, light)))] ?? 0;

/** The photo with its colours set right. */
export function recoloured({ data, width, height }: Raster, [r, g, b]: Matrix3): Raster {
  const out = new Uint8ClampedArray(data.length);
  for (let o = 0; o < data.length; o += 4) {
    const [lr, lg, lb] = [
      LINEAR[data[o] ?? 0] ?? 0,
      LINEAR[data[o + 1] ?? 0] ?? 0,
      LINEAR[data[o + 2] ?? 0] ?? 0,
    ];
    out[o] = byteOf(r[0] * lr + r[1] * lg + r[2] * lb);
    out[o + 1] = byteOf(g[0] * lr + g[1] * lg + g[2] * lb);
    out[o + 2] = byteOf(b[0] * lr + b[1] * lg + b[2] * lb);
    out[o + 3] = data[o + 3] ?? 255;
  }
  return { data: out, width, height };
}

/** What a calibration says, in words. */
export function calibrationWords(
  { before, after, worst, turned }: Calibration,
  card: CalibrationCard,
): string {
  const lay = turned === 0 ? '' : turned === 2 ? 'The chart lies upside down; it was read so. ' : 'The chart lies on its side; it was read so. '; // prettier-ignore
  return card === 'grey'
    ? `The grey card was ${before.toFixed(1)} ΔE00 off; the photo is set to it. Colours far from grey may still be a little off: a chart tells how much.`
    : `${lay}The fields were ${before.toFixed(1)} ΔE00 off on average; now ${after.toFixed(1)}, the worst ${worst.toFixed(1)}.`;
}
/** What is not known without a card. */
export const UNCALIBRATED = memory('without a card in the photo colours may be off by some 5 to 10 ΔE00, more in lamp light'); // prettier-ignore
