import { linearOf, type ToneRow } from '@/core/colour';
import type { FaceView, RepairView } from '@/core/job';
import type { Raster } from '@/core/picture';
import { repairLooker } from './looks';

const plain = (value: number): Raster => ({ width: 40, height: 30, data: new Uint8ClampedArray(4 * 40 * 30).fill(value) }); // prettier-ignore
const VIEW: FaceView = { pictureId: 'p', toSource: [1, 0, 0, 0, 1, 0, 0, 0, 1], widthPx: 40, heightPx: 30, mmPerPixel: 0.5 }; // prettier-ignore
const REPAIR: RepairView = { view: VIEW, outline: [[5, 4], [15, 4], [15, 12], [5, 12]] }; // prettier-ignore
const RED: ToneRow[] = [{ share: 0, light: [0, 0, 0] }, { share: 1, light: linearOf([45, 40, 30]) }]; // prettier-ignore
const middleOf = ({ data, width }: Raster): number[] => [...data.slice(4 * (16 * width + 20), 4 * (16 * width + 20) + 3)]; // prettier-ignore
const cornerOf = ({ data }: Raster): number[] => [...data.slice(0, 3)];
const cut = async (): Promise<Raster> => plain(90);

test('the place takes its colour, the face round it none; the face is drawn once for one repair', async () => {
  const redraw = jest.fn(async () => plain(140));
  const look = repairLooker(redraw, cut);
  const red = await look(REPAIR, { figure: RED, finestMm: 0.1 });
  expect(cornerOf(red)).toEqual([140, 140, 140]);
  const [r = 0, g = 0] = middleOf(red);
  expect(r).toBeGreaterThan(g + 40);
  expect(middleOf(await look(REPAIR, { figure: undefined, finestMm: 0.1 }))).toEqual([140, 140, 140]);
  expect(redraw).toHaveBeenCalledTimes(1);
  await look({ ...REPAIR, outline: REPAIR.outline.slice(1) }, { figure: RED, finestMm: 0.1 });
  expect(redraw).toHaveBeenCalledTimes(2);
});

test('what is kept is not given away: its pixels can be taken over and the next look is whole', async () => {
  const look = repairLooker(async () => plain(140), cut);
  const bare = { figure: undefined, finestMm: 0.01 };
  const first = await look(REPAIR, bare);
  first.data.fill(0);
  expect(cornerOf(await look(REPAIR, bare))).toEqual([140, 140, 140]);
});

test('a patch is looked at as it is cut; a photo that was missing is asked for again', async () => {
  let there = false;
  const cutAt = jest.fn(async () => {
    if (!there) throw new RangeError('The photo is not there.');
    return plain(90);
  });
  const look = repairLooker(async () => plain(140), cutAt);
  const spot = { xMm: 100, yMm: 50, degrees: 0, flipped: false };
  const search = { view: VIEW, outline: REPAIR.outline, face: [], leaveOut: [], ringMm: 10, sheet: { pictureId: 's', wideMm: 400 }, grainToleranceDegrees: 10, top: 3 }; // prettier-ignore
  const patch: RepairView = { ...REPAIR, cut: { search, at: spot } };
  await expect(look(patch, { figure: RED, finestMm: 0.1 })).rejects.toThrow('The photo is not there.');
  there = true;
  expect(cornerOf(await look(patch, { figure: RED, finestMm: 0.1 }))).toEqual([90, 90, 90]);
  expect(cutAt).toHaveBeenLastCalledWith(search, spot, false);
});
