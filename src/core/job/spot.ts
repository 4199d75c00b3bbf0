import {
  areaOfAll,
  boundingBox,
  centroidOf,
  differenceOf,
  intersectionOf,
  rotate,
  type Point,
} from '../geometry';
import { memory, practice, sourced } from '../sources';
import { outlineOn } from '../spot';
import type { Patch } from '../veneer';
import type { PlacingHandle } from './placing';
import type { Surroundings } from './surroundings';
import type { Veneer } from './types';
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

/** The photo of a sheet: how much of it that shows from left to right, and what is left and gone of it, as fractions of the photo. */
export type SheetPhoto = {
  pictureId: string;
  wideMm: number;
  outline?: readonly Point[];
  holes?: readonly (readonly Point[])[];
};

/** What is searched: the face round the patch with its grain from left to right, and the photo of a sheet photographed so. */
export type SpotSearch = {
  view: FaceView;
  /** In the view, mm. */
  outline: Point[];
  leaveOut: Point[][];
  face: Point[];
  ringMm: number;
  sheet: SheetPhoto;
  grainToleranceDegrees: number;
  top: number;
};

/** What is searched for a patch on its face. */
export function spotSearch(
  { board, others }: Pick<Surroundings, 'board' | 'others'>,
  pictureId: string,
  patch: Pick<Patch, 'outline'>,
  sheet: SheetPhoto,
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

/** The photo of a veneer to search; the hole of the damage's own patch, once it is cut, does not stand in the way. */
export const sheetPhoto = (
  { outline, cuts = [] }: Veneer,
  pictureId: string,
  wideMm: number,
  damageId: string,
): SheetPhoto => ({
  pictureId,
  wideMm,
  ...(outline ? { outline } : {}),
  holes: cuts.filter((c) => c.damageId !== damageId).map((c) => c.outline),
});

export type Spot = { xMm: number; yMm: number; degrees: number; flipped: boolean };

/** The outline where it lies on the sheet. mm */
export const patchOnSheet = (outline: readonly Point[], { xMm, yMm, degrees, flipped }: Spot): Point[] =>
  outlineOn(outline, centroidOf(outline), { degrees, flipped }, [xMm, yMm]);

/** A patch as it is printed on the picture of its sheet; nothing where that has no photo to scale. @param length a length in words */
export function patchOnItsSheet(
  { name, pictureId, photoWideMm }: Veneer,
  { outline }: Pick<Patch, 'outline'>,
  grainDeg: number,
  spot: Spot,
  length: (mm: number) => string,
): { pictureId: string; name: string; wideMm: number; outline: Point[]; where: string } | undefined {
  if (!pictureId || photoWideMm === undefined) return undefined;
  const along = outline.map((p) => rotate(p, -grainDeg));
  return {
    pictureId,
    name,
    wideMm: photoWideMm,
    outline: patchOnSheet(along, spot),
    where: spotWords(spot, length),
  };
}

/** What speaks against a spot, in words. @param tallMm how much of the sheet its photo shows from top to bottom */
export function spotFaults(outline: readonly Point[], at: Spot, sheet: SheetPhoto, tallMm: number): string[] {
  const onSheet = (list: readonly Point[]): Point[] =>
    list.map(([x, y]): Point => [x * sheet.wideMm, y * tallMm]);
  const patch = patchOnSheet(outline, at);
  const off = areaOfAll(differenceOf([patch], [onSheet(sheet.outline ?? wholeSheet())]));
  const gone = areaOfAll(intersectionOf([patch], (sheet.holes ?? []).map(onSheet)));
  const turn = Math.abs(((at.degrees + 270) % 180) - 90);
  return [
    ...(off > SLIGHT_MM2 ? ['It hangs over the rim of the sheet.'] : []),
    ...(gone > SLIGHT_MM2 ? ['Some of it was cut out of the sheet before.'] : []),
    ...(turn > GRAIN_TOLERANCE_DEG.value
      ? [
          `Its grain is turned by ${turn.toFixed(0)}°; more than ${GRAIN_TOLERANCE_DEG.value}° is seen in the finish.`,
        ]
      : []),
  ];
}
/** All that a photo shows, as fractions of it. */
export const wholeSheet = (): Point[] => [[0, 0], [1, 0], [1, 1], [0, 1]]; // prettier-ignore
const SLIGHT_MM2 = 0.5;

/** How far from its middle the handle that turns a patch lies: a little beyond its right end. mm */
function turnReach(outline: readonly Point[]): number {
  const [cx] = centroidOf(outline);
  return 1.15 * (boundingBox(outline).right - cx);
}

/** What a finger drags a patch by on its sheet: its middle, and a place beyond its end that turns it. */
export function spotHandles(outline: readonly Point[], { xMm, yMm, degrees }: Spot): PlacingHandle[] {
  const [dx, dy] = rotate([turnReach(outline), 0], degrees);
  return [
    { id: 'middle', label: 'The patch', x: xMm, y: yMm, whole: true },
    { id: 'turn', label: 'Turn the patch', x: xMm + dx, y: yMm + dy },
  ];
}

/** The turn that a dragged handle asks for, in half degrees. */
export const handTurn = ({ xMm, yMm }: Spot, [x, y]: readonly [number, number]): number =>
  Math.round((2 * Math.atan2(y - yMm, x - xMm) * 180) / Math.PI) / 2;

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
