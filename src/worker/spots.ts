import type { JobContext } from '@/core/check';
import type { Polygon } from '@/core/geometry';
import type { FaceView, SpotSearch } from '@/core/job';
import type { Raster } from '@/core/picture';
import { patched, placePatch, type Placement } from '@/core/spot';

/** Pictures are as large as the view that was searched. */
export type FoundSpots = {
  before: Blob;
  widthMm: number;
  heightMm: number;
  spots: { placement: Placement; asCut: Blob; toned: Blob }[];
};

/** Stored photos and JPEGs, as the worker has them. */
type Darkroom = {
  redraw: (view: FaceView) => Promise<Raster>;
  photo: (pictureId: string) => Promise<Raster>;
  jpegOf: (raster: Raster, quality: number) => Promise<Blob>;
};

const QUALITY = 0.9;

/** The best spots on a sheet for a patch, each as a picture of the patched face. */
export async function spotsOf(
  search: SpotSearch,
  { redraw, photo, jpegOf }: Darkroom,
  context: JobContext,
): Promise<FoundSpots> {
  const { outline, leaveOut, face: within, ringMm, grainToleranceDegrees, top } = search;
  const face = await redraw(search.view);
  const sheet = await photo(search.sheet.pictureId);
  const [faceMm, sheetMm] = [search.view.mmPerPixel, search.sheet.wideMm / sheet.width];
  const [w, h] = [search.sheet.wideMm, sheet.height * sheetMm];
  const input = {
    target: { image: face, outline, ringMm, leaveOut, within },
    donor: { image: sheet, outline: [[0, 0], [w, 0], [w, h], [0, h]] as Polygon },
    mmPerPixel: faceMm,
    donorMmPerPixel: sheetMm,
    grainToleranceDegrees,
    flips: true,
    top,
  }; // prettier-ignore
  const { placements } = await placePatch(input, context);
  const spots: FoundSpots['spots'] = [];
  let before = face;
  for (const placement of placements) {
    const seen = patched(face, faceMm, outline, within, ringMm, sheet, sheetMm, placement);
    ({ before } = seen);
    spots.push({
      placement,
      asCut: await jpegOf(seen.asCut, QUALITY),
      toned: await jpegOf(seen.toned, QUALITY),
    });
  }
  return {
    before: await jpegOf(before, QUALITY),
    widthMm: face.width * faceMm,
    heightMm: face.height * faceMm,
    spots,
  };
}
