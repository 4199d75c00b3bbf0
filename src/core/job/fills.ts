import { adhesiveById, POUR_MM } from '../adhesive';
import { methodById, type FillerId, type MethodId } from '../catalogue';
import { attempt, type Result } from '../check';
import { CRACK_KINDS, VENEER_LOSS_KINDS } from '../damage';
import { fillPlan, type Filler, type FillPlan, type Hollow } from '../filling';
import { memory, sourced, type Source } from '../sources';
import type { Repair } from './repairs';
import { entered } from './sums';
import { sumStarts, UNKNOWN } from './sumStarts';
import { glueChoice } from './worksheet';

export const FILLERS_SOURCE: Source = memory(
  'shrinkage, thickest layer and waits of each kind of filler; the label goes first',
);

/** What a method fills with, and the stick it comes as. */
type FillRow = {
  /** Or an epoxy, whichever was chosen. */
  filler: Filler | 'epoxy';
  /** Sticks are mostly about a centimetre thick. */
  stickMm?: number;
  /** A cap of another filler goes over it: so much is left for that. mm */
  cap?: { filler: Filler; highMm: number };
};

const OVERNIGHT_MIN = 16 * 60;
const BARE: Filler = {
  shrinks: 0.1,
  mostLayerMm: 3,
  layerWaitMin: 150,
  lastWaitMin: 180,
  densityGPerMl: 1.6,
  waste: 0.2,
};
/** Waits of an epoxy that is poured: until the next pour may go on, and until the last can be levelled. min */
const POURED = {
  epoxy: { layerWaitMin: 240, lastWaitMin: OVERNIGHT_MIN },
  epoxyFast: { layerWaitMin: 30, lastWaitMin: 240 },
};

/** The epoxy that was chosen for a method as a filler, the slow one where none was; its density and its deepest pour are its glue's own. */
function epoxyOf({ damage, chain }: Repair, method: MethodId): Filler {
  const { adhesive } = glueChoice(damage.body, method, chain?.method ?? method);
  const id = adhesive === 'epoxyFast' ? adhesive : 'epoxy';
  return {
    shrinks: 0,
    mostLayerMm: POUR_MM[id].value,
    ...POURED[id],
    densityGPerMl: adhesiveById(id).densityGPerMl.value,
    waste: 0.1,
  };
}

const FILLS: Record<FillerId, FillRow> = {
  bareFiller: { filler: BARE },
  polyesterFiller: {
    filler: {
      shrinks: 0.02, mostLayerMm: 6, layerWaitMin: 45, densityGPerMl: 1.8, waste: 0.2,
      mix: { a: 100, b: 2, by: 'weight', densityA: 1.8, densityB: 1.1, potMin: 5 },
    },
  },
  epoxyPutty: {
    filler: {
      shrinks: 0.01, mostLayerMm: 12, layerWaitMin: 60, densityGPerMl: 1.6, waste: 0.1,
      mix: { a: 1, b: 1, by: 'volume', densityA: 1.6, densityB: 1.6, potMin: 30 },
    },
  },
  epoxy: { filler: 'epoxy' },
  cappedEpoxy: { filler: 'epoxy', cap: { filler: BARE, highMm: 2 } },
  burnIn: { filler: { shrinks: 0.02, mostLayerMm: 3, layerWaitMin: 2, densityGPerMl: 1.1, waste: 0.15 }, stickMm: 12 },
  hardWax: { filler: { shrinks: 0.03, mostLayerMm: 3, layerWaitMin: 2, densityGPerMl: 0.95, waste: 0.1 }, stickMm: 10 },
  softWax: { filler: { shrinks: 0, mostLayerMm: 3, layerWaitMin: 1, densityGPerMl: 0.9, waste: 0.1 }, stickMm: 10 },
  colourPutty: { filler: { shrinks: 0.05, mostLayerMm: 3, layerWaitMin: 60, densityGPerMl: 1.5, waste: 0.1 } },
  uvResin: { filler: { shrinks: 0.05, mostLayerMm: 1.5, layerWaitMin: 2, densityGPerMl: 1.1, waste: 0.05 } },
}; // prettier-ignore

/** The least that is left under a cap for its base. mm. */
const LEAST_BASE_MM = sourced(1, memory('less than a millimetre under a cap is no base'));

/** The filling of a hollow with its sizes as they were entered, and what its fields show. */
export type FillSum = {
  hollow: Hollow;
  mostLayerMm: number;
  potMin?: number;
  stickMm?: number;
  plan: Result<FillPlan>;
  /** What goes over it, where that is another filler. */
  cap?: Result<FillPlan>;
};

/** The hollow of a repair by its kind, as it was entered or as the survey knows it. */
function hollowOf(repair: Repair): Hollow {
  const { damage, survey } = repair;
  const known = survey.ok ? survey.value : undefined;
  const starts = sumStarts(repair);
  const of = entered(repair);
  const { kind } = damage.body;
  // Sizes of a poured hollow had fields of their own before there was one sum for every fill.
  const depthMm = of('fill.deep', of('hollow.depth', starts.depthMm));
  if (kind === 'hole')
    return { shape: 'hole', diameterMm: of('fill.wide', of('hollow.diameter', starts.holeMm)), depthMm };
  if (CRACK_KINDS.includes(kind) && known?.gapMm !== undefined)
    return {
      shape: 'crack',
      lengthMm: starts.jointMm,
      widthsMm: [of('fill.wide', starts.gapMm), of('fill.end', starts.gapMm)],
      depthMm,
      taper: 'wedge',
    };
  const areaMm2 = known?.measures.areaMm2 ?? UNKNOWN.areaMm2.value;
  // Where veneer is gone and nothing deeper, the ground is flat and the rim stands upright.
  if (VENEER_LOSS_KINDS.includes(kind) && starts.veneerMm > 0 && depthMm <= starts.veneerMm)
    return { shape: 'flat', areaMm2, depthMm };
  return { shape: 'bowl', areaMm2, middleMm: depthMm, halfwayMm: of('fill.half', depthMm / 2) };
}

/** The same hollow filled only up to so far under the face. */
const upTo = (hollow: Hollow, underMm: number): Hollow =>
  hollow.shape === 'hole'
    ? { ...hollow, depthMm: Math.max(LEAST_BASE_MM.value, hollow.depthMm - underMm) }
    : hollow;

/** How a method fills a repair's hollow; nothing for a method that fills nothing. Its page, its amounts and its steps go by this. */
export function fillOf(repair: Repair, method: MethodId): FillSum | undefined {
  const { fills } = methodById(method);
  const row = fills === 'nothing' ? undefined : FILLS[fills];
  if (!row) return undefined;
  const { stickMm, cap } = row;
  const filler = row.filler === 'epoxy' ? epoxyOf(repair, method) : row.filler;
  const hollow = hollowOf(repair);
  const mostLayerMm = entered(repair)('fill.layer', filler.mostLayerMm);
  const { boardMm } = sumStarts(repair);
  const capped = cap && hollow.shape === 'hole' ? cap : undefined;
  const plan = attempt(() =>
    fillPlan({
      hollow: capped ? upTo(hollow, capped.highMm) : hollow,
      filler: { ...filler, mostLayerMm },
      boardMm,
      ...(capped ? { proudMm: 0 } : {}),
      ...(stickMm === undefined ? {} : { stickMm }),
    }),
  );
  return {
    hollow,
    mostLayerMm,
    ...(filler.mix ? { potMin: filler.mix.potMin } : {}),
    ...(stickMm === undefined ? {} : { stickMm }),
    plan,
    ...(capped && hollow.shape === 'hole'
      ? { cap: attempt(() => fillPlan({ hollow: { ...hollow, depthMm: capped.highMm }, filler: capped.filler, boardMm })) } // prettier-ignore
      : {}),
  };
}
