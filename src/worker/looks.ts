import { coverOf, recolouredPlace, seenFrom, type ToneRow } from '@/core/colour';
import type { FaceView, RepairView, Spot, SpotSearch } from '@/core/job';
import type { Raster } from '@/core/picture';

/** What a repair is shown as: what its coats make of lines and ground, as it is before any coat when not given, and what an eye tells apart from where it stands. */
export type Look = { figure: readonly ToneRow[] | undefined; finestMm: number };

/** A repair on its face in one colour after another; what is laid out for one repair is kept until another is looked at. */
export function repairLooker(
  redraw: (view: FaceView) => Promise<Raster>,
  cutAt: (search: SpotSearch, at: Spot, toned: boolean) => Promise<Raster>,
) {
  let last: { key: string; laid: Promise<{ base: Raster; cover: Float32Array }> } | undefined;
  const lay = async ({ view, outline, cut }: RepairView) => {
    const base = cut ? await cutAt(cut.search, cut.at, false) : await redraw(view);
    return { base, cover: coverOf(base.width, base.height, view.mmPerPixel, outline) };
  };
  return async (repair: RepairView, { figure, finestMm }: Look): Promise<Raster> => {
    const key = JSON.stringify(repair);
    if (last?.key !== key) last = { key, laid: lay(repair) };
    const mine = last;
    mine.laid.catch(() => {
      if (last === mine) last = undefined;
    });
    const { base, cover } = await mine.laid;
    const coloured = figure ? recolouredPlace(base, cover, figure) : base;
    const seen = seenFrom(coloured, repair.view.mmPerPixel, finestMm);
    // What is kept is not given away with its pixels.
    return seen === base ? { ...base, data: base.data.slice() } : seen;
  };
}
