import type { JobContext } from '@/core/check';
import type { Point, Polygon } from '@/core/geometry';
import { wholeSheet, type Spot, type SpotSearch } from '@/core/job';
import type { Raster } from '@/core/picture';
import type { Darkroom } from './photos';
import { patcherOf, placePatch, type Patcher, type Placement } from '@/core/spot';

/** Pictures are as large as the view that was searched. */
export type FoundSpots = {
  before: Blob;
  widthMm: number;
  heightMm: number;
  spots: { placement: Placement; asCut: Blob; toned: Blob }[];
};

/** What is needed to look at spots. */
export type SpotRoom = Pick<Darkroom, 'redraw' | 'photo' | 'jpegOf'>;

const QUALITY = 0.9;

type Laid = { face: Raster; sheet: Raster; sheetMm: number; onSheet: (outline: readonly Point[]) => Polygon; patcher: Patcher }; // prettier-ignore

async function laidOut(search: SpotSearch, { redraw, photo }: SpotRoom): Promise<Laid> {
  const face = await redraw(search.view);
  const sheet = await photo(search.sheet.pictureId);
  const sheetMm = search.sheet.wideMm / sheet.width;
  const [w, h] = [search.sheet.wideMm, sheet.height * sheetMm];
  return {
    face,
    sheet,
    sheetMm,
    onSheet: (outline) => outline.map(([x, y]): Point => [x * w, y * h]),
    patcher: patcherOf(
      face,
      search.view.mmPerPixel,
      search.outline,
      search.face,
      search.ringMm,
      sheet,
      sheetMm,
    ),
  };
}

/** The best spots on a sheet for a patch, each as a picture of the patched face. */
export async function spotsOf(
  search: SpotSearch,
  darkroom: SpotRoom,
  context: JobContext,
): Promise<FoundSpots> {
  const { outline, leaveOut, face: within, ringMm, grainToleranceDegrees, top } = search;
  const { face, sheet, sheetMm, onSheet, patcher } = await laidOut(search, darkroom);
  const faceMm = search.view.mmPerPixel;
  const { placements } = await placePatch(
    {
      target: { image: face, outline, ringMm, leaveOut, within },
      donor: {
        image: sheet,
        outline: onSheet(search.sheet.outline ?? wholeSheet()),
        keepOut: (search.sheet.holes ?? []).map(onSheet),
      },
      mmPerPixel: faceMm,
      donorMmPerPixel: sheetMm,
      grainToleranceDegrees,
      flips: true,
      top,
    },
    context,
  );
  const spots: FoundSpots['spots'] = [];
  for (const placement of placements)
    spots.push({
      placement,
      asCut: await darkroom.jpegOf(patcher.with(placement, false), QUALITY),
      toned: await darkroom.jpegOf(patcher.with(placement, true), QUALITY),
    });
  return {
    before: await darkroom.jpegOf(patcher.before, QUALITY),
    widthMm: face.width * faceMm,
    heightMm: face.height * faceMm,
    spots,
  };
}

/** The face with its patch from wherever a finger is; what is laid out for one search is kept until another is looked at. */
export function spotLooker(darkroom: SpotRoom) {
  let last: { key: string; laid: Promise<Laid> } | undefined;
  return async (search: SpotSearch, at: Spot, toned: boolean): Promise<Raster> => {
    const key = JSON.stringify(search);
    if (last?.key !== key) last = { key, laid: laidOut(search, darkroom) };
    const mine = last;
    mine.laid.catch(() => {
      if (last === mine) last = undefined;
    });
    return (await mine.laid).patcher.with(at, toned);
  };
}
