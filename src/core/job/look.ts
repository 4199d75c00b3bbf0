import { boundingBox, type Point } from '../geometry';
import type { Patch } from '../veneer';
import { linksOfChain } from './decide';
import { patchOfRepair, takesPatch } from './cutting';
import type { Repair } from './repairs';
import { spotSearch, type SheetPhoto, type Spot, type SpotSearch } from './spot';
import { grainViewOf, type FaceView } from './views';

/** What is shown of a repair: the face round it, its grain from left to right, and what is laid in. */
export type RepairView = {
  view: FaceView;
  /** What takes the colour, in the view. mm */
  outline: Point[];
  /** The patch as it is cut from its sheet, where its spot is chosen. */
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

/** How a repair is looked at; nothing without an outline on a photo to scale. @param sheet photo of the veneer that its patch is cut from */
export function repairView(repair: Repair, sheet: SheetPhoto | undefined): RepairView | undefined {
  const { damage, face, survey } = repair;
  const pictureId = face?.body.picture?.id;
  if (!survey.ok || !pictureId) return undefined;
  const { board } = survey.value;
  const patch = laidIn(repair);
  const { spot } = damage.body.patch;
  if (patch && sheet && spot) {
    const search = spotSearch({ board, others: [] }, pictureId, patch, sheet);
    return { view: search.view, outline: search.outline, cut: { search, at: spot } };
  }
  const outline = patch?.outline ?? survey.value.outline;
  if (outline.length < 3) return undefined;
  const { left, right, top, bottom } = boundingBox(outline);
  const part: Point[] = [[left - SHOWN_MM, top - SHOWN_MM], [right + SHOWN_MM, top - SHOWN_MM], [right + SHOWN_MM, bottom + SHOWN_MM], [left - SHOWN_MM, bottom + SHOWN_MM]]; // prettier-ignore
  const wide = Math.max(right - left, bottom - top) + 2 * SHOWN_MM;
  const { view, into } = grainViewOf(board, pictureId, part, Math.max(FINEST_MM, wide / MOST_PX));
  return { view, outline: outline.map(into) };
}
