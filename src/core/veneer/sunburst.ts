import type { Point, Polygon } from '../geometry';
import type { Raster } from '../picture';
import { memory, sourced } from '../sources';
import { grainIn, SURE_GRAIN, woodIn } from './grainIn';

const { abs, cos, floor, hypot, sin } = Math;

/** A face is looked at in so many patches each way for its sunburst. */
const PATCHES = 14;
/** Lines that all run one way meet nowhere: 1 where they come from all round. */
const LEAST_FAN = 0.02;
/** Directions that point to one place within about 18° on the whole. */
export const SURE_CENTRE = sourced(0.95, memory('leaves of a sunburst are laid within a few degrees'));

export type CentreRead = {
  /** Where all grain runs to, mm. */
  at: Point;
  /** How well the grain points there, 0…1: the mean of the cosines. */
  agreement: number;
};

/**
 * Where the grain of a sunburst runs to: of all places that to which the lines along the grain of many small patches come nearest, each
 * counted by how surely its grain is read.
 *
 * @throws RangeError where no grain can be read
 */
export function readCentre(picture: Raster, mmPerPixel: number, within: Polygon): CentreRead {
  const { bright, wood } = woodIn(picture, mmPerPixel, within);
  const { width, height } = picture;
  const [w, h] = [width / PATCHES, height / PATCHES];
  const lines = Array.from({ length: PATCHES * PATCHES }, (_, i) => {
    const [left, top] = [floor((i % PATCHES) * w), floor(floor(i / PATCHES) * h)];
    const read = grainIn(bright, wood, width, height, {
      left,
      top,
      right: floor(left + w),
      bottom: floor(top + h),
    });
    const a = (read.grainDeg * Math.PI) / 180;
    return { x: left + w / 2, y: top + h / 2, dx: cos(a), dy: sin(a), weight: read.coherence };
  }).filter((l) => l.weight > SURE_GRAIN.value);
  let [a, b, d, u, v] = [0, 0, 0, 0, 0];
  for (const { x, y, dx, dy, weight } of lines) {
    const [xx, xy, yy] = [weight * (1 - dx * dx), -weight * dx * dy, weight * (1 - dy * dy)];
    [a, b, d, u, v] = [a + xx, b + xy, d + yy, u + xx * x + xy * y, v + xy * x + yy * y];
  }
  const det = a * d - b * b;
  if (lines.length < 8 || det < LEAST_FAN * ((a + d) / 2) ** 2)
    throw new RangeError(
      'No grain that runs to one place can be read from this photo. Drag its middle yourself.',
    );
  const [cx, cy] = [(d * u - b * v) / det, (a * v - b * u) / det];
  const all = lines.reduce((s, l) => s + l.weight, 0);
  const along = lines.reduce((s, { x, y, dx, dy, weight }) => {
    const far = hypot(cx - x, cy - y);
    return s + (far > 0 ? (weight * abs(dx * (cx - x) + dy * (cy - y))) / far : weight);
  }, 0);
  return { at: [cx * mmPerPixel, cy * mmPerPixel], agreement: along / all };
}

/** What was read of a sunburst, and how far to trust it. */
export const centreWords = ({ agreement }: CentreRead): string =>
  agreement < SURE_CENTRE.value
    ? 'The grain does not clearly run to one place. Look closely, and drag the middle.'
    : 'The grain runs to this place. Look whether the strokes lie along it everywhere.';
