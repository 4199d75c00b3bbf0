import { labFromLinear, linearOf, type Lab, type ToneRow } from '../colour';
import { laidByHand, type WantedCoats } from './sweep';

/** Spots of a figured place, in the light of its mean. */
const shares = (): number[] => [0.05, 0.15, 0.3, 0.5, 0.75, 1, 1.35, 1.8, 2.5];
/** No wood gives back all light. */
const MOST_LIGHT = 0.98;

/**
 * What coats make of the lines and the ground of a place: each spot is a ground of its own, of the place's hue, darker or lighter.
 *
 * @param start the place on the whole, before any coat
 */
export function figureAfter(start: Lab, wanted: readonly WantedCoats[]): ToneRow[] {
  const own = linearOf(start).map((v) => Math.max(0, v));
  const most = MOST_LIGHT / Math.max(...own, 1e-6);
  return shares()
    .filter((share) => share <= 1 || share <= most)
    .map((share): ToneRow => {
      const [r = 0, g = 0, b = 0] = own.map((v) => v * share);
      const spot = labFromLinear([r, g, b]);
      return { share, light: linearOf(laidByHand(spot, spot, wanted).final) };
    });
}
