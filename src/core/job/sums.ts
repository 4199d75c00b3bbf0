import type { MethodId } from '../catalogue';
import { CRACK_KINDS } from '../damage';
import { boundingBox } from '../geometry';
import type { Filler, Hollow } from '../filling';
import { memory, type Source } from '../sources';
import { boardThickMm, hollowDepthMm } from './glued';
import type { Repair } from './repairs';

/** Sums that a method's worksheet carries beside its amounts. */
export type Sum = 'plug' | 'dutchman' | 'strips' | 'sliver' | 'feet' | 'fill' | 'close' | 'level';

const SUMS: Partial<Record<MethodId, readonly Sum[]>> = {
  facePlug: ['plug', 'level'],
  dowelPlug: ['plug'],
  dutchman: ['dutchman', 'level'],
  sawnStrip: ['strips'],
  sliver: ['sliver'],
  shimFoot: ['feet'],
  trimFeet: ['feet'],
  bareFiller: ['fill', 'level'],
  sawdustGlue: ['fill'],
  polyesterFiller: ['fill', 'level'],
  epoxyPutty: ['fill'],
  epoxyFill: ['fill', 'level'],
  epoxyCap: ['fill'],
  burnIn: ['fill', 'level'],
  hardWax: ['fill'],
  softWax: ['fill'],
  colourPutty: ['fill'],
  uvResin: ['fill'],
  fillBottom: ['fill'],
  buildUpCore: ['fill'],
  glueSplit: ['close'],
  planeJoint: ['close'],
  dowelJoint: ['close'],
  epoxyJoint: ['close'],
  levelProud: ['level'],
  sandOut: ['level'],
  steam: ['level'],
};

export const sumsOf = (method: MethodId): readonly Sum[] => SUMS[method] ?? [];

export const FILLERS_SOURCE: Source = memory(
  'shrinkage, thickest layer and waits of each kind of filler; the label goes first',
);

const filler = (
  shrinks: number,
  mostLayerMm: number,
  layerWaitMin: number,
  densityGPerMl: number,
  waste: number,
  mix?: Filler['mix'],
): Filler => ({ shrinks, mostLayerMm, layerWaitMin, densityGPerMl, waste, ...(mix ? { mix } : {}) });
const EPOXY = { a: 2, b: 1, by: 'volume', densityA: 1.15, densityB: 1, potMin: 30 } as const;

/** Shrinks, thickest layer mm, wait between min, g/ml, waste. */
// prettier-ignore
const FILLERS: Partial<Record<MethodId, Filler>> = {
  bareFiller: filler(0.1, 3, 150, 1.6, 0.2),
  sawdustGlue: filler(0.2, 2, 2160, 1.2, 0.3),
  polyesterFiller: filler(0.02, 6, 45, 1.8, 0.2, { a: 100, b: 2, by: 'weight', densityA: 1.8, densityB: 1.1, potMin: 5 }),
  epoxyPutty: filler(0.01, 12, 60, 1.6, 0.1, { a: 1, b: 1, by: 'volume', densityA: 1.6, densityB: 1.6, potMin: 30 }),
  epoxyFill: filler(0.02, 8, 720, 1.1, 0.1, EPOXY),
  epoxyCap: filler(0.02, 8, 720, 1.1, 0.1, EPOXY),
  fillBottom: filler(0.02, 8, 720, 1.1, 0.1, EPOXY),
  buildUpCore: filler(0.02, 8, 720, 1.1, 0.1, EPOXY),
  burnIn: filler(0.02, 3, 2, 1.1, 0.15),
  hardWax: filler(0.03, 3, 2, 0.95, 0.1),
  softWax: filler(0, 3, 1, 0.9, 0.1),
  colourPutty: filler(0.05, 3, 60, 1.5, 0.1),
  uvResin: filler(0.05, 1.5, 2, 1.1, 0.05),
};

/** What fills in this method, as its kind commonly is; nothing for a method that fills nothing. */
export const fillerOf = (method: MethodId): Filler | undefined => FILLERS[method];

export const STICK_MM_SOURCE: Source = memory('sticks are mostly about a centimetre thick; measure yours');
/** Sticks are sold in such thicknesses. mm. */
export const STICK_MM: Partial<Record<MethodId, number>> = { burnIn: 12, hardWax: 10, softWax: 10 };

/** Taken for a hole whose size is not known. mm. */
const COMMON_HOLE_MM = 8;

/** Where the sums of a repair begin, as far as the survey knows. Depths of a gouge: in its middle, halfway out, at its rim. */
export function sumStarts({ damage, face, survey }: Repair) {
  const known = survey.ok ? survey.value : undefined;
  const boardMm = boardThickMm(face?.body);
  const depthMm = hollowDepthMm(damage.body, face?.body);
  const outline = known?.outline ?? [];
  const box = known ? boundingBox(known.board.plane.outline) : undefined;
  const place = known ? boundingBox(outline) : undefined;
  const hollow: Hollow =
    damage.body.kind === 'hole'
      ? { shape: 'hole', diameterMm: known?.diameterMm ?? COMMON_HOLE_MM, depthMm }
      : CRACK_KINDS.includes(damage.body.kind) && known?.gapMm !== undefined
        ? { shape: 'crack', lengthMm: known.lengthMm ?? 100, widthsMm: [known.gapMm, known.gapMm], depthMm, taper: 'wedge' } // prettier-ignore
        : { shape: 'gouge', areaMm2: known?.measures.areaMm2 ?? 200, depthsMm: [depthMm, depthMm / 2, 0] };
  return {
    boardMm,
    depthMm,
    hollow,
    holeMm: known?.diameterMm ?? Math.min(known?.measures.alongMm ?? COMMON_HOLE_MM, known?.measures.acrossMm ?? COMMON_HOLE_MM), // prettier-ignore
    outline,
    faceMm: known?.board.plane.outline ?? [],
    grainDeg: known?.grainDeg ?? 0,
    jointMm: Math.round(known?.lengthMm ?? known?.measures.alongMm ?? 300),
    gapMm: known?.gapMm ?? 1,
    acrossMm: box ? Math.round(Math.min(box.right - box.left, box.bottom - box.top)) : 200,
    roomMm: box && place ? Math.max(0, Math.round(Math.min(place.left - box.left, box.right - place.right, place.top - box.top, box.bottom - place.bottom))) : 100, // prettier-ignore
    veneerMm: face && face.body.build !== 'solid' ? face.body.veneerMm : 0,
    edgeHighMm: boardMm,
  };
}

export type SumStarts = ReturnType<typeof sumStarts>;
