import Joi from 'joi';
import { asRaster, planesOf, shrinkAll, type Plane, type Raster } from '../picture';
import { memory, published, sourced } from '../sources';
import { imageSchema } from './image';

const { abs, max } = Math;

export type PhotoQuality = {
  /** 0 sharp … 1 blurred, the worse of both ways. */
  blur: number;
  /** Shares of the picture that are burnt out white, or black. */
  burnt: number;
  black: number;
};

export const BLUR_SOURCE = published(
  'Crété-Roffet, Dolmiere, Ladret, Nicolas (SPIE 2007), The blur effect',
  'how much of the change from pixel to pixel a further blur takes away',
);
/** Above this a photo is too soft to measure on, and too much of it burnt or black to read a colour. */
export const QUALITY_LIMITS = {
  blur: sourced(
    0.43,
    memory('edges run over about eight of a thousand pixels; sharp photos of wood lie below 0.3'),
  ),
  burnt: sourced(0.03, memory('a few hundredths are glints')),
  black: sourced(0.25, memory('a dark ground behind the face is common')),
};

/** Levels from which a channel is at its end. */
const WHITE = 250;
const BLACK = 8;
/** The picture is judged with so many pixels along its longer side: finer blur does not matter for handles. */
const SIDE_PX = 1000;
/** Reach of the further blur to either side, px. */
const REACH = 4;

/** Input of `photo.quality`; at the shell door the image is `{file}`. */
export const qualitySchema = Joi.object({ image: imageSchema.required() });

/** The blur effect along rows, or along columns. */
function blurAlong({ data, width, height }: Plane, step: number, count: number, lines: number): number {
  let change = 0;
  let left = 0;
  const next = width * height;
  for (let line = 0; line < lines; line++) {
    const start = step === 1 ? line * width : line;
    let before = NaN;
    for (let k = REACH; k < count - REACH; k++) {
      const o = start + k * step;
      if (o >= next) break;
      let sum = 0;
      for (let d = -REACH; d <= REACH; d++) sum += data[o + d * step] ?? 0;
      const soft = sum / (2 * REACH + 1);
      if (k > REACH) {
        const own = abs((data[o] ?? 0) - (data[o - step] ?? 0));
        change += own;
        left += max(0, own - abs(soft - before));
      }
      before = soft;
    }
  }
  // An even picture has no change to lose.
  return change === 0 ? 0 : 1 - left / change;
}

/** Registry `photo.quality`: whether a photo is sharp and well lit enough to measure on. */
export function photoQuality({ image: given }: { image: Raster }): PhotoQuality {
  const image = asRaster('The photo', given);
  let burnt = 0;
  let black = 0;
  const { data } = image;
  const pixels = image.width * image.height;
  for (let o = 0; o < 4 * pixels; o += 4) {
    const r = data[o] ?? 0;
    const g = data[o + 1] ?? 0;
    const b = data[o + 2] ?? 0;
    if (r >= WHITE && g >= WHITE && b >= WHITE) burnt++;
    if (r <= BLACK && g <= BLACK && b <= BLACK) black++;
  }
  const { bright } = shrinkAll(planesOf(image), max(1, max(image.width, image.height) / SIDE_PX));
  const blur = max(
    blurAlong(bright, 1, bright.width, bright.height),
    blurAlong(bright, bright.width, bright.height, bright.width),
  );
  return { blur, burnt: burnt / pixels, black: black / pixels };
}

/** What is wrong with a photo, and what to do; nothing when it is good. */
export function qualityWords({ blur, burnt, black }: PhotoQuality): string[] {
  return [
    ...(blur > QUALITY_LIMITS.blur.value
      ? [
          'The photo is blurred: handles cannot be set to the point on it. Hold still, or rest the phone on something, and take it again.',
        ]
      : []),
    ...(burnt > QUALITY_LIMITS.burnt.value
      ? [
          `${Math.round(100 * burnt)} % of the photo is burnt out white: no colour can be read there. Turn the glare away, or expose less.`,
        ]
      : []),
    ...(black > QUALITY_LIMITS.black.value
      ? [`${Math.round(100 * black)} % of the photo is black: bring more light onto the face.`]
      : []),
  ];
}
