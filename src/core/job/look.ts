import { areaOf, boundingBox, intersectionOf, type Point, type Polygon } from '../geometry';
import type { Patch } from '../veneer';
import { linksOfChain } from './decide';
import { patchOfRepair, takesPatch } from './cutting';
import type { Repair } from './repairs';
import { sheetPhoto, spotSearch, type Spot, type SpotSearch } from './spot';
import type { Veneer } from './types';
import { grainViewOf, type FaceView } from './views';

/** What is shown of a repair: the face round it, its grain from left to right, and what is laid in. */
export type RepairView = {
  view: FaceView;
  /** What takes the colour, in the view. mm */
  outline: Point[];
  /** The patch as it is cut from its sheet, where that has a photo. */
  cut?: { search: SpotSearch; at: Spot };
};

/** So much of the old wood is shown beside a repair. mm */
const SHOWN_MM = 30;
/** The picture is drawn with no more points than this along its longer side, and none finer than the photo may be. */
const MOST_PX = 420;
const FINEST_MM = 0.15;

/** The patch that a repair lays in, where it lays one. */
function laidIn(repair: Repair): Patch | undefined {
  const patched = repair.chain !== undefined && linksOfChain(repair.chain).some(takesPatch);
  return patched ? patchOfRepair(repair) : undefined;
}

/** How a repair is looked at; nothing without an outline on a photo to scale. @param veneer that its patch is cut from */
export function repairView(repair: Repair, veneer: Veneer | undefined): RepairView | undefined {
  const { damage, face, survey } = repair;
  const pictureId = face?.body.picture?.id;
  if (!survey.ok || !pictureId) return undefined;
  const { board } = survey.value;
  const patch = laidIn(repair);
  if (patch && veneer?.pictureId && veneer.photoWideMm !== undefined) {
    const sheet = sheetPhoto(veneer, veneer.pictureId, veneer.photoWideMm, damage.id);
    const search = spotSearch({ board, others: [] }, pictureId, patch, sheet);
    // As long as no spot is chosen, somewhere in the middle of the sheet.
    const middle = { xMm: veneer.photoWideMm / 2, yMm: veneer.acrossMm / 2, degrees: 0, flipped: false };
    return {
      view: search.view,
      outline: onFace(search.outline, search.face),
      cut: { search, at: damage.body.patch.spot ?? middle },
    };
  }
  const outline = onFace(patch?.outline ?? survey.value.outline, board.plane.outline);
  if (outline.length < 3) return undefined;
  const { left, right, top, bottom } = boundingBox(outline);
  const part: Point[] = [[left - SHOWN_MM, top - SHOWN_MM], [right + SHOWN_MM, top - SHOWN_MM], [right + SHOWN_MM, bottom + SHOWN_MM], [left - SHOWN_MM, bottom + SHOWN_MM]]; // prettier-ignore
  const wide = Math.max(right - left, bottom - top) + 2 * SHOWN_MM;
  const { view, into } = grainViewOf(board, pictureId, part, Math.max(FINEST_MM, wide / MOST_PX));
  return { view, outline: outline.map(into) };
}

/** What of an outline lies on the face: a patch hangs over its edge until it is trimmed. */
const onFace = (outline: Polygon, face: Polygon): Point[] =>
  [...intersectionOf([outline], [face])]
    .sort((a, b) => areaOf(b) - areaOf(a))[0]
    ?.map(([x, y]): Point => [x, y]) ?? [];
