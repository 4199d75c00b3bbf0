import Joi from 'joi';
import { assertRange } from '../check';
import { memory, practice, published, sourced, type Source } from '../sources';

/** The hollow that is filled, in mm. */
export type Hollow =
  | { shape: 'hole'; diameterMm: number; depthMm: number }
  /** Widths at its two ends; it tapers down to a line at its depth, or keeps its width. */
  | { shape: 'crack'; lengthMm: number; widthsMm: readonly [number, number]; depthMm: number; taper: 'wedge' | 'straight' } // prettier-ignore
  /** Depths read evenly over its area, those at its rim too. */
  | { shape: 'gouge'; areaMm2: number; depthsMm: readonly number[] }
  /** Depths in its middle and halfway out to its rim, where it is nothing. */
  | { shape: 'bowl'; areaMm2: number; middleMm: number; halfwayMm: number }
  /** What the whole corner or edge would be, and the share of it that is still there. */
  | { shape: 'corner'; sidesMm: readonly [number, number, number]; leftShare: number }
  /** As deep all over, out to an upright rim: where veneer is gone. */
  | { shape: 'flat'; areaMm2: number; depthMm: number }
  /** A gap under veneer. */
  | { shape: 'void'; areaMm2: number; heightMm: number };

export type Filler = {
  /** How much of it is lost as it dries, 0…0.6 of its volume. */
  shrinks: number;
  /** Thicker layers crack, or grow hot. mm. */
  mostLayerMm: number;
  layerWaitMin: number;
  /** After the last layer, until it can be levelled; as long as between layers where nothing else is said. */
  lastWaitMin?: number;
  densityGPerMl: number;
  /** What stays on the knife and the board, of what is made up. */
  waste: number;
  /** Parts to be mixed, and how long the mix can be worked. */
  mix?: { a: number; b: number; by: 'volume' | 'weight'; densityA: number; densityB: number; potMin: number };
};

export type FillInput = {
  hollow: Hollow;
  filler: Filler;
  boardMm: number;
  proudMm?: number;
  stickMm?: number;
};

export type FillLayer = {
  fromMm: number;
  toMm: number;
  sinksToMm: number;
  ml: number;
  madeUpMl: number;
  waitMin: number;
};

export type FillPlan = {
  volumeMl: number;
  depthMm: number;
  /** With shrinking, standing proud and waste. */
  madeUpMl: number;
  grams: number;
  /** From the floor up; heights over the floor. The last stands proud when it has shrunk. */
  layers: FillLayer[];
  proudMm: number;
  /** Of each part, in its own measure; with the greatest single batch. */
  parts?: { a: number; b: number; unit: 'ml' | 'g'; batchMl: number };
  /** Length of a stick of this diameter that is cut off. */
  stickLengthMm?: number;
};

/** A flat loss is drawn level with a straightedge and skimmed once more, not heaped up. mm. */
export const SKIM_MM = sourced(0.1, memory('a skim coat drawn off with a wide knife'));
/** Filled so far over the surface, to be levelled. mm. */
export const PROUD_MM = sourced(0.5, practice('a fill is left proud and levelled'));
export const LAYERS_SOURCE: Source = memory(
  'each layer is filled to its limit and sinks by its shrinkage; the last ends proud',
);
export const VOLUME_SOURCE: Source = published(
  'Solid geometry: cylinder, prismatoid, box',
  'V = h/6 (A₁ + 4 A₂ + A₃) for what tapers along and down',
);
const MOST_LAYERS = 60;

const mm = (least: number, most: number): Joi.NumberSchema => Joi.number().min(least).max(most).required();
const hollow = Joi.alternatives(
  Joi.object({ shape: Joi.string().valid('hole').required(), diameterMm: mm(0.5, 200), depthMm: mm(0.1, 200) }),
  Joi.object({
    shape: Joi.string().valid('crack').required(),
    lengthMm: mm(1, 5000),
    widthsMm: Joi.array().items(mm(0, 100)).length(2).required(),
    depthMm: mm(0.1, 200),
    taper: Joi.string().valid('wedge', 'straight').required(),
  }),
  Joi.object({ shape: Joi.string().valid('gouge').required(), areaMm2: mm(1, 1e7), depthsMm: Joi.array().items(mm(0, 200)).min(1).max(200).required() }),
  Joi.object({ shape: Joi.string().valid('bowl').required(), areaMm2: mm(1, 1e7), middleMm: mm(0, 200), halfwayMm: mm(0, 200) }),
  Joi.object({ shape: Joi.string().valid('flat').required(), areaMm2: mm(1, 1e7), depthMm: mm(0.05, 200) }),
  Joi.object({ shape: Joi.string().valid('corner').required(), sidesMm: Joi.array().items(mm(0.5, 500)).length(3).required(), leftShare: mm(0, 0.99) }),
  Joi.object({ shape: Joi.string().valid('void').required(), areaMm2: mm(1, 1e7), heightMm: mm(0.05, 50) }),
); // prettier-ignore

/** Input of `fill.plan`: `{hollow, filler, boardMm, proudMm?, stickMm?}`; each shape of a hollow by its own sizes. */
export const fillSchema = Joi.object({
  hollow: hollow.required(),
  filler: Joi.object({
    shrinks: mm(0, 0.6),
    mostLayerMm: mm(0.2, 200),
    layerWaitMin: mm(0, 20_000),
    lastWaitMin: Joi.number().min(0).max(20_000),
    densityGPerMl: mm(0.1, 4),
    waste: mm(0, 1),
    mix: Joi.object({
      a: mm(0.001, 1000),
      b: mm(0.001, 1000),
      by: Joi.string().valid('volume', 'weight').required(),
      densityA: mm(0.1, 4),
      densityB: mm(0.1, 4),
      potMin: mm(0.5, 1440),
    }),
  }).required(),
  boardMm: mm(1, 200),
  proudMm: Joi.number().min(0).max(5),
  stickMm: Joi.number().min(2).max(60),
});

/** Volume and greatest depth of a hollow. mm³ and mm. */
export function hollowVolume(hollow: Hollow): { mm3: number; depthMm: number } {
  switch (hollow.shape) {
    case 'hole':
      return { mm3: (Math.PI / 4) * hollow.diameterMm ** 2 * hollow.depthMm, depthMm: hollow.depthMm };
    case 'crack': {
      const mean = (hollow.widthsMm[0] + hollow.widthsMm[1]) / 2;
      const down = hollow.taper === 'wedge' ? 1 / 2 : 1;
      return { mm3: hollow.lengthMm * mean * hollow.depthMm * down, depthMm: hollow.depthMm };
    }
    case 'gouge': {
      const mean = hollow.depthsMm.reduce((a, b) => a + b, 0) / hollow.depthsMm.length;
      return { mm3: hollow.areaMm2 * mean, depthMm: Math.max(...hollow.depthsMm) };
    }
    case 'bowl': {
      const { areaMm2, middleMm, halfwayMm } = hollow;
      // Straight between the readings, ring by ring: 2 ∫ d(r) r dr from the middle to the rim.
      return { mm3: areaMm2 * (middleMm / 12 + halfwayMm / 2), depthMm: Math.max(middleMm, halfwayMm) };
    }
    case 'flat':
      return { mm3: hollow.areaMm2 * hollow.depthMm, depthMm: hollow.depthMm };
    case 'corner': {
      const [a, b, c] = hollow.sidesMm;
      return { mm3: a * b * c * (1 - hollow.leftShare), depthMm: Math.min(a, b, c) };
    }
    case 'void':
      return { mm3: hollow.areaMm2 * hollow.heightMm, depthMm: hollow.heightMm };
  }
}

/** Across a round hollow whose depth is straight between its middle, halfway out and its rim: how far out it is so deep. */
function bowlReach(middleMm: number, halfwayMm: number, downMm: number): { outer: number; inner: number } {
  const outer =
    downMm <= halfwayMm
      ? 1 - (0.5 * downMm) / Math.max(halfwayMm, 1e-9)
      : downMm <= middleMm
        ? (0.5 * (middleMm - downMm)) / (middleMm - halfwayMm)
        : 0;
  const inner = downMm > middleMm && downMm <= halfwayMm ? (0.5 * (downMm - middleMm)) / (halfwayMm - middleMm) : 0; // prettier-ignore
  return { outer, inner };
}

/** How wide a hollow is in section so far down, as a share of its width at the face. @param downMm below the face, 0 to its depth */
export function widthShare(hollow: Hollow, downMm: number): number {
  if (hollow.shape === 'bowl') return bowlReach(hollow.middleMm, hollow.halfwayMm, downMm).outer;
  return hollow.shape === 'crack' && hollow.taper === 'wedge' ? 1 - downMm / hollow.depthMm : 1;
}

/** The area that a hollow has so far down, as a share of that at the face. */
function areaShare(hollow: Hollow, downMm: number): number {
  if (hollow.shape === 'gouge')
    return hollow.depthsMm.filter((d) => d >= downMm).length / hollow.depthsMm.length;
  if (hollow.shape !== 'bowl') return widthShare(hollow, downMm);
  const { outer, inner } = bowlReach(hollow.middleMm, hollow.halfwayMm, downMm);
  return outer ** 2 - inner ** 2;
}

const SLICES = 400;

/** What a hollow holds between two heights over its floor; over the face it goes on as wide as there. mm³ */
function heldBetween(hollow: Hollow, mm3: number, depthMm: number, fromMm: number, toMm: number): number {
  const shares = Array.from({ length: SLICES }, (_, i) =>
    areaShare(hollow, depthMm * (1 - (i + 0.5) / SLICES)),
  );
  const slice = depthMm / SLICES;
  // Slices are scaled so that together they hold what the closed form says.
  const perShare = mm3 / (slice * shares.reduce((a, b) => a + b, 0));
  const inside = shares.reduce((sum, share, i) => {
    const overlap = Math.min(toMm, (i + 1) * slice) - Math.max(fromMm, i * slice);
    return sum + (overlap > 0 ? share * overlap : 0);
  }, 0);
  const over = Math.max(0, toMm - Math.max(fromMm, depthMm));
  return perShare * (inside + over);
}

/**
 * Registry `fill.plan`: how much filler a hollow takes, and in how many layers, each within the product's limit; the last ends
 * proud when it has shrunk.
 *
 * @throws RangeError for a depth over the board, and a hollow that is none
 */
export function fillPlan({ hollow, filler, boardMm, proudMm, stickMm }: FillInput): FillPlan {
  const { mm3, depthMm } = hollowVolume(hollow);
  if (depthMm > boardMm && hollow.shape !== 'corner')
    throw new RangeError(
      `The hollow is ${depthMm} mm deep, and the board only ${boardMm} mm thick: it goes right through. Enter the board’s thickness as its depth, and back it first.`,
    );
  if (mm3 <= 0)
    throw new RangeError('There is nothing to fill: the hollow has no volume. Measure its depth again.');
  assertRange('The shrinkage', filler.shrinks, '', 0, 0.6);
  const keeps = 1 - filler.shrinks;
  // In a corner every face is built up at once; a void under veneer is filled in one go and stands proud of nothing.
  const proud =
    hollow.shape === 'void' ? 0 : (proudMm ?? (hollow.shape === 'flat' ? SKIM_MM : PROUD_MM).value);
  const layers: Omit<FillLayer, 'ml' | 'madeUpMl'>[] = [];
  // What does not sink is poured in even layers: nobody pours a skin half a millimetre thick on top of full ones.
  const pours = Math.ceil(depthMm / filler.mostLayerMm - 1e-9);
  const mostMm = filler.shrinks === 0 ? (depthMm + proud) / pours : filler.mostLayerMm;
  let floor = 0;
  while (layers.length < MOST_LAYERS) {
    const needed = (depthMm + proud - floor) / keeps;
    const last = needed <= mostMm + 1e-9;
    const fill = last ? needed : mostMm;
    // A layer before the last never stands over the surface: what is proud is the last one's.
    layers.push({
      fromMm: floor,
      toMm: floor + fill,
      sinksToMm: floor + fill * keeps,
      waitMin: last ? (filler.lastWaitMin ?? filler.layerWaitMin) : filler.layerWaitMin,
    });
    floor += fill * keeps;
    if (last) break;
  }
  const volumeMl = mm3 / 1000;
  const shaped = layers.map((l): FillLayer => {
    const ml = heldBetween(hollow, mm3, depthMm, l.fromMm, l.toMm) / 1000;
    return { ...l, ml, madeUpMl: ml * (1 + filler.waste) };
  });
  const madeUpMl = shaped.reduce((sum, l) => sum + l.madeUpMl, 0);
  const most = Math.max(...shaped.map((l) => l.madeUpMl));
  return {
    volumeMl,
    depthMm,
    madeUpMl,
    grams: madeUpMl * filler.densityGPerMl,
    layers: shaped,
    proudMm: proud,
    ...(filler.mix ? { parts: partsOf(madeUpMl, most, filler.mix) } : {}),
    ...(stickMm === undefined ? {} : { stickLengthMm: (1000 * madeUpMl) / ((Math.PI / 4) * stickMm ** 2) }),
  };
}

/** Each part of a mix that makes so many millilitres together. */
function partsOf(ml: number, batchMl: number, mix: NonNullable<Filler['mix']>) {
  const { a, b, by, densityA, densityB } = mix;
  if (by === 'volume') return { a: (ml * a) / (a + b), b: (ml * b) / (a + b), unit: 'ml' as const, batchMl };
  // By weight: grams whose volumes add up to what is needed.
  const grams = ml / (a / densityA + b / densityB);
  return { a: grams * a, b: grams * b, unit: 'g' as const, batchMl };
}
