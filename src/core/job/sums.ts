import type { MethodId } from '../catalogue';
import { attempt, type Result } from '../check';
import { CRACK_KINDS } from '../damage';
import { boundingBox } from '../geometry';
import { fillPlan, type Filler, type FillPlan, type Hollow } from '../filling';
import { dutchmanPlan, DUTCHMAN_MARGIN_MM, partPlan, sliverPlan, type DutchmanPlan, type PartPlan, type SliverPlan } from '../letin'; // prettier-ignore
import { memory, practice, sourced, type Source } from '../sources';
import { gravityOf, woodMovement } from '../wood';
import { boardThickMm, hollowDepthMm } from './glued';
import type { Repair } from './repairs';
import type { Piece } from './types';

/** Sums that a method's worksheet carries beside its amounts. */
export type Sum =
  | 'plug' | 'dutchman' | 'strips' | 'banding' | 'sliver' | 'feet' | 'part' | 'pilot' | 'drawer' | 'apart' | 'fill' | 'close' | 'level'; // prettier-ignore

const SUMS: Partial<Record<MethodId, readonly Sum[]>> = {
  facePlug: ['plug', 'pilot', 'level'],
  dowelPlug: ['plug', 'pilot'],
  dutchman: ['dutchman', 'pilot', 'level'],
  newPart: ['part', 'pilot'],
  motifPart: ['part'],
  newMotif: ['part'],
  edgeStrip: ['banding'],
  sawnStrip: ['strips', 'banding'],
  screwSplit: ['pilot', 'close'],
  refit: ['apart', 'pilot'],
  refitStop: ['pilot', 'drawer'],
  easeDrawer: ['drawer'],
  reglueJoint: ['apart'],
  reglueBreak: ['apart'],
  injectJoint: ['apart'],
  sliver: ['sliver'],
  shimFoot: ['feet'],
  trimFeet: ['feet'],
  bareFiller: ['fill', 'level'],
  polyesterFiller: ['fill', 'level'],
  epoxyPutty: ['fill'],
  burnIn: ['fill', 'level'],
  hardWax: ['fill'],
  softWax: ['fill'],
  colourPutty: ['fill'],
  uvResin: ['fill'],
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

/** Shrinks, thickest layer mm, wait between min, g/ml, waste. */
// prettier-ignore
const FILLERS: Partial<Record<MethodId, Filler>> = {
  bareFiller: filler(0.1, 3, 150, 1.6, 0.2),
  polyesterFiller: filler(0.02, 6, 45, 1.8, 0.2, { a: 100, b: 2, by: 'weight', densityA: 1.8, densityB: 1.1, potMin: 5 }),
  epoxyPutty: filler(0.01, 12, 60, 1.6, 0.1, { a: 1, b: 1, by: 'volume', densityA: 1.6, densityB: 1.6, potMin: 30 }),
  burnIn: filler(0.02, 3, 2, 1.1, 0.15),
  hardWax: filler(0.03, 3, 2, 0.95, 0.1),
  softWax: filler(0, 3, 1, 0.9, 0.1),
  colourPutty: filler(0.05, 3, 60, 1.5, 0.1),
  uvResin: filler(0.05, 1.5, 2, 1.1, 0.05),
};

/** Sticks are mostly about a centimetre thick; from memory. mm. */
const STICK_MM: Partial<Record<MethodId, number>> = { burnIn: 12, hardWax: 10, softWax: 10 };

const START = memory('where a field begins before anything is measured; measure yours');
/** Sizes that nobody has measured yet. */
const UNKNOWN = {
  holeMm: sourced(8, START),
  areaMm2: sourced(200, START),
  jointMm: sourced(300, START),
  gapMm: sourced(1, START),
  acrossMm: sourced(200, START),
  roomMm: sourced(100, START),
  standMm: { wide: sourced(500, START), deep: sourced(400, START), gap: sourced(2, START) },
  proudMm: sourced(0.5, practice('a repair is left proud and levelled')),
  shadowMm: sourced(5, START),
  lampDeg: sourced(10, memory('a lamp laid low beside the work')),
};
/** A joint that gapes in its middle has about so much of it a quarter along: an arc. */
const QUARTER_SHARE = sourced(0.75, memory('an arc, three quarters of its rise a quarter along'));
/** Blocks that strips are sawn from, the saw, and what is planed off. */
const STRIPS = {
  blockWideMm: sourced(40, START),
  blockThickMm: sourced(25, START),
  kerfMm: sourced(1.2, memory('a band saw for small work takes about 1.2 mm')),
  planedMm: sourced(0.5, memory('a scraper takes half a millimetre off a sawn slice')),
  leastThickMm: sourced(1, memory('sawn slices are not made thinner than a millimetre')),
  spares: sourced(3, practice('allow spares for breakage')),
};
const BANDING = {
  wideMm: sourced(6, START),
  stockMm: sourced(900, START),
  kerfMm: sourced(0.5, memory('a fine back saw')),
};
const PART = {
  thickMm: sourced(20, START),
  boardLongMm: sourced(1000, START),
  boardWideMm: sourced(150, START),
  kerfMm: sourced(1, memory('a band saw or bow saw for curves')),
  spares: sourced(1, practice('make one and a spare')),
};
const SCREW = {
  gauge: sourced(8, START),
  lengthMm: sourced(20, START),
  throughMm: sourced(3, memory('the leaf of a hinge')),
  metricMm: sourced(4, START),
  coreMm: sourced(3, START),
  leastMm: sourced(6, START),
  leftMm: sourced(3, practice('the point stays clear of the other face')),
};
const DRAWER = {
  wideMm: sourced(400, START),
  highMm: sourced(120, START),
  lengthMm: sourced(350, START),
  playMm: sourced(1, START),
  growsMm: sourced(2, memory('a side of 120 mm moves about two millimetres over the year')),
};
/** A sliver goes in no deeper than it can be wedged. mm. */
const SLIVER_DEEP_MM = sourced(12, memory('deeper a sliver breaks before it is down'));
/** Bar clamps reckoned with where none is owned yet. */
const CLAMPS_TO_GET = sourced(6, memory('one for every hand’s breadth of a table top’s length, and a spare'));

/** How much higher a drawer's sides become from the driest air of its home to the dampest; where those are known. */
function sideGrowsMm(species: string, home: Piece['home']): number {
  const grown =
    home && attempt(() => woodMovement({ species, cut: 'flat', widthMm: DRAWER.highMm.value, from: home.dry, to: home.damp })); // prettier-ignore
  return grown?.ok ? grown.value.changeMm : DRAWER.growsMm.value;
}

/** Where the sums of a repair begin, as far as the survey knows. */
export function sumStarts({ damage, face, survey, treated }: Repair) {
  const known = survey.ok ? survey.value : undefined;
  const { measures, lengthMm, gapMm, diameterMm } = known ?? {};
  const box = known ? boundingBox(known.board.plane.outline) : undefined;
  const place = known ? boundingBox(known.outline) : undefined;
  const boardMm = boardThickMm(face?.body);
  const holeMm = UNKNOWN.holeMm.value;
  const gap = gapMm ?? UNKNOWN.gapMm.value;
  const acrossMm = box ? Math.round(Math.min(box.right - box.left, box.bottom - box.top)) : UNKNOWN.acrossMm.value; // prettier-ignore
  const growsMm = sideGrowsMm(face?.body.species ?? '', treated.home);
  const veneerMm = face && face.body.build !== 'solid' ? face.body.veneerMm : 0;
  return {
    boardMm,
    depthMm: hollowDepthMm(damage.body, face?.body),
    holeMm: diameterMm ?? Math.min(measures?.alongMm ?? holeMm, measures?.acrossMm ?? holeMm),
    outline: known?.outline ?? [],
    faceMm: known?.board.plane.outline ?? [],
    grainDeg: known?.grainDeg ?? 0,
    jointMm: Math.round(lengthMm ?? measures?.alongMm ?? UNKNOWN.jointMm.value),
    gapMm: gap,
    /** At five places along the joint. */
    gapsMm: [0, gap * QUARTER_SHARE.value, gap, gap * QUARTER_SHARE.value, 0] as const,
    boardsMm: acrossMm / 2,
    roomMm:
      box && place
        ? Math.max(0, Math.round(Math.min(place.left - box.left, box.right - place.right, place.top - box.top, box.bottom - place.bottom))) // prettier-ignore
        : UNKNOWN.roomMm.value,
    veneerMm,
    sliverMm: Math.min(boardMm, SLIVER_DEEP_MM.value),
    strips: {
      highMm: boardMm,
      thickMm: Math.max(STRIPS.leastThickMm.value, veneerMm),
      blockWideMm: STRIPS.blockWideMm.value,
      blockThickMm: STRIPS.blockThickMm.value,
      kerfMm: STRIPS.kerfMm.value,
      planedMm: STRIPS.planedMm.value,
      spares: STRIPS.spares.value,
    },
    stand: {
      wideMm: UNKNOWN.standMm.wide.value,
      deepMm: UNKNOWN.standMm.deep.value,
      gapMm: UNKNOWN.standMm.gap.value,
    },
    proudMm: UNKNOWN.proudMm.value,
    shadowMm: UNKNOWN.shadowMm.value,
    lampDeg: UNKNOWN.lampDeg.value,
    clampsToGet: CLAMPS_TO_GET.value,
    banding: {
      wideMm: BANDING.wideMm.value,
      stockMm: BANDING.stockMm.value,
      kerfMm: BANDING.kerfMm.value,
      spares: 1,
    },
    part: {
      thickMm: veneerMm > 0 ? veneerMm : (face?.body.boardMm ?? PART.thickMm.value),
      boardLongMm: PART.boardLongMm.value,
      boardWideMm: PART.boardWideMm.value,
      kerfMm: PART.kerfMm.value,
      spares: PART.spares.value,
    },
    screw: {
      gauge: SCREW.gauge.value,
      lengthMm: Math.min(SCREW.lengthMm.value, Math.max(SCREW.leastMm.value, Math.floor(boardMm + SCREW.throughMm.value - SCREW.leftMm.value))), // prettier-ignore
      throughMm: SCREW.throughMm.value,
      metricMm: SCREW.metricMm.value,
      coreMm: SCREW.coreMm.value,
      specificGravity: gravityOf(face?.body.species ?? ''),
    },
    drawer: {
      wideMm: DRAWER.wideMm.value,
      highMm: DRAWER.highMm.value,
      lengthMm: DRAWER.lengthMm.value,
      playMm: DRAWER.playMm.value,
      /** A side that is free over the year. */
      sideMm: Math.floor(DRAWER.highMm.value - 2 * DRAWER.playMm.value - growsMm),
      growsMm,
    },
    oldGlue: damage.body.answers.oldGlue ?? ('unknown' as const),
  };
}

export type SumStarts = ReturnType<typeof sumStarts>;

/** What was entered on a sum, or where its field begins. */
function entered({ damage }: Repair) {
  const figures = damage.body.figures ?? {};
  return (key: string, start: number): number => {
    const value = figures[key];
    return typeof value === 'number' ? value : start;
  };
}

/** The filling of a hollow with its sizes as they were entered, and what its fields show. */
export type FillSum = {
  hollow: Hollow;
  mostLayerMm: number;
  potMin?: number;
  stickMm?: number;
  plan: Result<FillPlan>;
};

/** How a method fills a repair's hollow; nothing for a method that fills nothing. Its page and its amounts go by this. */
export function fillOf(repair: Repair, method: MethodId): FillSum | undefined {
  const filler = FILLERS[method];
  if (!filler) return undefined;
  const { damage, survey } = repair;
  const known = survey.ok ? survey.value : undefined;
  const starts = sumStarts(repair);
  const of = entered(repair);
  const depthMm = of('fill.deep', starts.depthMm);
  const hollow: Hollow =
    damage.body.kind === 'hole'
      ? { shape: 'hole', diameterMm: of('fill.wide', starts.holeMm), depthMm }
      : CRACK_KINDS.includes(damage.body.kind) && known?.gapMm !== undefined
        ? {
            shape: 'crack',
            lengthMm: starts.jointMm,
            widthsMm: [of('fill.wide', starts.gapMm), of('fill.end', starts.gapMm)],
            depthMm,
            taper: 'wedge',
          }
        : {
            shape: 'bowl',
            areaMm2: known?.measures.areaMm2 ?? UNKNOWN.areaMm2.value,
            middleMm: depthMm,
            halfwayMm: of('fill.half', depthMm / 2),
          };
  const mostLayerMm = of('fill.layer', filler.mostLayerMm);
  const stickMm = STICK_MM[method];
  return {
    hollow,
    mostLayerMm,
    ...(filler.mix ? { potMin: filler.mix.potMin } : {}),
    ...(stickMm === undefined ? {} : { stickMm }),
    plan: attempt(() => fillPlan({ hollow, filler: { ...filler, mostLayerMm }, boardMm: starts.boardMm, ...(stickMm === undefined ? {} : { stickMm }) })), // prettier-ignore
  };
}

/** The block let in for a repair, by what was entered; nothing while it has no outline. */
export function dutchmanOf(repair: Repair): Result<DutchmanPlan> | undefined {
  const { outline, faceMm, grainDeg, boardMm, depthMm } = sumStarts(repair);
  if (outline.length < 3) return undefined;
  const of = entered(repair);
  const ends = repair.damage.body.figures?.['dutch.ends'] === 'tapered' ? 'tapered' : 'square';
  return attempt(() =>
    dutchmanPlan({
      outline,
      face: faceMm,
      grainDeg,
      depthMm: of('dutch.depth', depthMm),
      boardMm,
      marginMm: of('dutch.margin', DUTCHMAN_MARGIN_MM.value),
      ends,
    }),
  );
}

/** The sliver of a repair, by what was entered. @param movesMm over the year, where it is known */
export function sliverOf(repair: Repair, movesMm?: number): Result<SliverPlan> {
  const { jointMm, gapMm, sliverMm } = sumStarts(repair);
  const of = entered(repair);
  const gapsMm = ['sliver.one', 'sliver.middle', 'sliver.other'].map((key) => of(key, gapMm));
  return attempt(() =>
    sliverPlan({
      lengthMm: of('sliver.length', jointMm),
      gapsMm,
      depthMm: of('sliver.deep', sliverMm),
      ...(movesMm === undefined ? {} : { movesMm }),
    }),
  );
}

/** The new part of a repair, traced where it is marked; nothing while it has no outline. */
export function partOf(repair: Repair): Result<PartPlan> | undefined {
  const { outline, grainDeg, part } = sumStarts(repair);
  if (outline.length < 3) return undefined;
  const of = entered(repair);
  return attempt(() =>
    partPlan({
      outline,
      grainDeg: grainDeg + of('part.turn', 0),
      mirrored: repair.damage.body.figures?.['part.side'] === 'mirrored',
      thickMm: of('part.thick', part.thickMm),
      kerfMm: of('part.kerf', part.kerfMm),
      copies: of('part.copies', 1),
      spares: of('part.spares', part.spares),
      boardLongMm: of('part.long', part.boardLongMm),
      boardWideMm: of('part.wide', part.boardWideMm),
    }),
  );
}
