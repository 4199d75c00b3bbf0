import Joi from 'joi';
import simplify from 'simplify-js';
import type { Point } from '../geometry';
import { asRaster, between, cheapestWay, planesOf, type Raster } from '../picture';
import { memory, sourced } from '../sources';
import { imageSchema, scaleSchema, strokeSchema } from './image';

const { hypot, max, min, round } = Math;

export type CrackInput = {
  image: Raster;
  /** The stroke along the crack, in pixels. */
  line: readonly Point[];
  mmPerPixel: number;
};
export type CrackFound = {
  /** The stroke laid on the crack, in pixels; as it was where none is seen. */
  line: Point[];
  seen: boolean;
};

/** A finger strokes so near to a crack. mm */
const REACH_MM = sourced(5, memory('a finger follows a crack within half its breadth'));
/** A crack is darker than what lies so far beside it. mm */
const BESIDE_MM = sourced(1.5, memory('cracks that are marked are narrower than three millimetres'));
/** Darker than the wood beside it by less, on the whole way, it is no crack. Grey levels. */
const LEAST_DARK = 14;
/** It stands out by so much from any other way near the stroke. */
const STANDS_OUT = 2;
const CLIMB_COSTS = 6;
/** Corners of the line that is kept leave the crack by no more. px */
const STRAIGHT_PX = 0.8;

/** Input of `photo.crack`: `{image, line: [[x, y]…] px, mmPerPixel}`; at the shell door the image is `{file}`. */
export const crackSchema = Joi.object({
  image: imageSchema.required(),
  line: strokeSchema.required(),
  mmPerPixel: scaleSchema.required(),
});

/** Places along a stroke a pixel apart, with the way across it there. */
function stationsOf(line: readonly Point[]): { at: Point; across: Point }[] {
  return line.slice(1).flatMap((b, i) => {
    const a = line[i] ?? b;
    const long = hypot(b[0] - a[0], b[1] - a[1]);
    const steps = max(1, round(long));
    const across: Point = long > 0 ? [-(b[1] - a[1]) / long, (b[0] - a[0]) / long] : [0, 1];
    return Array.from({ length: steps + (i === line.length - 2 ? 1 : 0) }, (_, k) => ({
      at: [a[0] + ((b[0] - a[0]) * k) / steps, a[1] + ((b[1] - a[1]) * k) / steps] as const,
      across,
    }));
  });
}

/**
 * Registry `photo.crack`: a stroke drawn beside a crack, laid on it: the darkest way within a finger's reach.
 *
 * @throws RangeError for a stroke without length
 */
export function snapToCrack({ image, line, mmPerPixel }: CrackInput): CrackFound {
  const { bright } = planesOf(asRaster('The photo', image));
  const stations = stationsOf(line);
  if (stations.length < 5) throw new RangeError('The stroke has no length. Draw it along the crack.');
  const reach = max(3, round(REACH_MM.value / mmPerPixel));
  const beside = max(2, BESIDE_MM.value / mmPerPixel);
  const value = (i: number, off: number): number => {
    const { at, across } = stations[i] ?? { at: [0, 0] as const, across: [0, 1] as const };
    return between(bright, at[0] + off * across[0], at[1] + off * across[1]);
  };
  const dark = stations.map((_, i) =>
    Float64Array.from({ length: 2 * reach + 1 }, (_x, j) => {
      const off = j - reach;
      return max(0, min(value(i, off - beside), value(i, off + beside)) - value(i, off));
    }),
  );
  const way = cheapestWay(stations.length, 2 * reach + 1, (i, j) => -(dark[i]?.[j] ?? 0), CLIMB_COSTS);
  const along = way?.map((j, i) => dark[i]?.[j] ?? 0) ?? [];
  const mean = along.reduce((a, b) => a + b, 0) / max(1, along.length);
  const all =
    dark.reduce((sum, row) => sum + row.reduce((a, b) => a + b, 0) / row.length, 0) / stations.length;
  if (!way || mean < LEAST_DARK || mean < STANDS_OUT * all) return { line: [...line], seen: false };
  const laid = stations.map(({ at, across }, i): Point => {
    const off = (way[i] ?? reach) - reach;
    return [at[0] + off * across[0], at[1] + off * across[1]];
  });
  const few = simplify(
    laid.map(([x, y]) => ({ x, y })),
    STRAIGHT_PX,
    true,
  );
  return { line: few.map(({ x, y }): Point => [x, y]), seen: true };
}

/** What was found, in words. */
export const crackWords = (seen: boolean): string =>
  seen
    ? 'The line lies on the crack now. Look whether it follows it everywhere; drag a point where it does not.'
    : 'No dark line stands out near this stroke. The mark is as it was.';
