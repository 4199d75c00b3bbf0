import { boundingBox, type Point } from '../geometry';
import { memory, practice, sourced } from '../sources';
import type { Patch } from '../veneer';
import type { Surroundings } from './surroundings';
import { grainViewOf, type FaceView } from './views';

/** So much sound wood round a patch is compared, and so much more is shown. mm */
const RING_MM = sourced(14, memory('a finger’s breadth shows how the figure runs on'));
const SHOWN_MM = 12;
/** Grain may be turned by so much before it is seen. degrees */
export const GRAIN_TOLERANCE_DEG = sourced(
  6,
  practice('grain that is off by more than a few degrees is seen in the finish'),
);
/** Finer than this nobody cuts; coarser pictures are taken as they are. */
const FINEST_MM = 0.2;
const MOST_PX = 700;
const SPOTS = 5;

/** What is searched: the face round the patch with its grain from left to right, and the photo of a sheet photographed so. */
export type SpotSearch = {
  view: FaceView;
  /** In the view, mm. */
  outline: Point[];
  leaveOut: Point[][];
  face: Point[];
  ringMm: number;
  sheet: { pictureId: string; wideMm: number };
  grainToleranceDegrees: number;
  top: number;
};

/** What is searched for a patch on its face. @param sheet its photo, and how much of it that shows from left to right */
export function spotSearch(
  { board, others }: Pick<Surroundings, 'board' | 'others'>,
  pictureId: string,
  patch: Pick<Patch, 'outline'>,
  sheet: { pictureId: string; wideMm: number },
): SpotSearch {
  const { left, right, top, bottom } = boundingBox(patch.outline);
  const edge = RING_MM.value + SHOWN_MM;
  const part: Point[] = [[left - edge, top - edge], [right + edge, top - edge], [right + edge, bottom + edge], [left - edge, bottom + edge]]; // prettier-ignore
  const mmPerPixel = Math.max(FINEST_MM, Math.max(right - left, bottom - top) / MOST_PX);
  const { view, into } = grainViewOf(board, pictureId, part, mmPerPixel);
  return {
    view,
    outline: patch.outline.map(into),
    leaveOut: others.map((o) => o.map(into)),
    face: board.plane.outline.map(into),
    ringMm: RING_MM.value,
    sheet,
    grainToleranceDegrees: GRAIN_TOLERANCE_DEG.value,
    top: SPOTS,
  };
}

export type Spot = { xMm: number; yMm: number; degrees: number; flipped: boolean };

/** Where a spot lies, so that it is found by eye and rule. @param length a length in words */
export function spotWords({ xMm, yMm, degrees, flipped }: Spot, length: (mm: number) => string): string {
  const end = Math.abs(degrees) > 90;
  const turn = Math.abs(end ? 180 - Math.abs(degrees) : degrees);
  return [
    `Its middle ${length(xMm)} from the left and ${length(yMm)} from the top of the photo`,
    ...(flipped ? ['from the other face of the sheet'] : []),
    ...(end ? ['end for end'] : []),
    ...(turn >= 0.5 ? [`turned by ${turn.toFixed(0)}°`] : []),
  ].join(', ');
}
