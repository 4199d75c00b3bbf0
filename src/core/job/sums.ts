import type { MethodId } from '../catalogue';
import { attempt, type Result } from '../check';
import { CRACK_KINDS } from '../damage';
import {
  clampsAcross,
  closePlan,
  type ClampAcross,
  type CloseInput,
  type ClosePlan,
  type JointLine,
} from '../closing';
import { fillPlan, type Filler, type FillPlan, type Hollow } from '../filling';
import { dutchmanPlan, DUTCHMAN_MARGIN_MM, partPlan, sliverPlan, stripsPlan, type DutchmanPlan, type PartPlan, type SliverPlan, type StripsInput, type StripsPlan } from '../letin'; // prettier-ignore
import { centroidOf, rotate } from '../geometry';
import { memory, type Source } from '../sources';
import { woodStiffnessMPa } from '../wood';
import { clampOf } from './press';
import type { Repair } from './repairs';
import { sumStarts, UNKNOWN } from './sumStarts';
import { markMm } from './survey';
import type { KnownShop } from './types';

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

/** What was entered on a sum, or where its field begins. */
export function entered({ damage }: Repair) {
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

/** How many of a new part are made, with what is to spare. */
export function partsWanted(repair: Repair): number {
  const of = entered(repair);
  return of('part.copies', 1) + of('part.spares', sumStarts(repair).part.spares);
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

/** The strips of a repair, by what was entered, and their sum. */
export function stripsOf(repair: Repair): { input: StripsInput; plan: Result<StripsPlan> } {
  const { jointMm, strips } = sumStarts(repair);
  const of = entered(repair);
  const input = {
    runMm: of('strips.run', jointMm),
    highMm: of('strips.high', strips.highMm),
    thickMm: of('strips.thick', strips.thickMm),
    planedMm: strips.planedMm,
    blockWideMm: of('strips.wide', strips.blockWideMm),
    blockThickMm: of('strips.block', strips.blockThickMm),
    kerfMm: of('strips.kerf', strips.kerfMm),
    slantDeg: of('strips.slant', 0),
    spares: of('strips.spares', strips.spares),
  };
  return { input, plan: attempt(() => stripsPlan(input)) };
}

/** Bar clamps draw a joint together. */
export const CLOSING_CLAMP = 'pipe';

/** The joints worked out lately: a page, its materials and its steps all ask for the same one. */
const closings = new Map<string, Result<ClosePlan>>();
const MOST_CLOSINGS = 40;

function closing(input: CloseInput): Result<ClosePlan> {
  const key = JSON.stringify(input);
  const plan = closings.get(key) ?? attempt(() => closePlan(input));
  closings.set(key, plan);
  const [oldest] = closings.keys();
  if (closings.size > MOST_CLOSINGS && oldest !== undefined) closings.delete(oldest);
  return plan;
}

/** A joint that is drawn together: its gaps, how many bar clamps are owned, and what the edges do to each clamp. */
export type CloseSum = {
  lengthMm: number;
  gapsMm: number[];
  owned: number;
  plan: Result<ClosePlan>;
  across: ClampAcross[];
};

/** Where a joint lies on its face: along the line that was marked, or else along the grain of what was. */
export function jointOf({ damage, survey }: Repair): JointLine | undefined {
  if (!survey.ok) return undefined;
  const { board, outline, grainDeg, measures } = survey.value;
  const mark = markMm(damage.body, board);
  const [from, to] = mark.tool === 'line' ? [mark.points[0], mark.points.at(-1)] : [];
  if (from && to && from !== to) return { from, to };
  if (outline.length < 3) return undefined;
  const [x, y] = centroidOf(outline);
  const [dx, dy] = rotate([measures.alongMm / 2, 0], grainDeg);
  return { from: [x - dx, y - dy], to: [x + dx, y + dy] };
}

/** Places of a sum's joint on the joint as it was marked, whose length may have been entered otherwise. */
const onJoint = ({ from, to }: JointLine, atMm: readonly number[], lengthMm: number): number[] =>
  atMm.map((at) => (at / lengthMm) * Math.hypot(to[0] - from[0], to[1] - from[1]));

/** What it takes to draw the joint of a repair together, by what was entered: with the gaps, and how many bar clamps are owned. */
export function closeOf(repair: Repair, shop: KnownShop): CloseSum {
  const starts = sumStarts(repair);
  const of = entered(repair);
  const owned = shop.clamps.find((c) => c.id === CLOSING_CLAMP)?.count ?? 0;
  const lengthMm = of('close.length', starts.jointMm);
  const gapsMm = GAP_FIELDS.map((field, i) => of(`close.${field}`, starts.gapsMm[i] ?? 0));
  const thickMm = of('close.thick', starts.boardMm);
  const plan = closing({
    lengthMm,
    boards: [
      { widthMm: of('close.one', starts.boardsMm), thickMm },
      { widthMm: of('close.other', starts.boardsMm), thickMm },
    ],
    gapsMm,
    modulusMPa: woodStiffnessMPa(starts.species),
    clampN: clampOf(CLOSING_CLAMP, shop).forceN.value,
    clamps: owned > 0 ? owned : starts.clampsToGet,
  });
  const joint = jointOf(repair);
  const across =
    joint && plan.ok
      ? attempt(() => clampsAcross({ outline: starts.faceMm, joint, atMm: onJoint(joint, plan.value.atMm, lengthMm) })) // prettier-ignore
      : undefined;
  return { lengthMm, gapsMm, owned, plan, across: across?.ok ? across.value : [] };
}

/** Where along the joint its gap is measured. */
export const GAP_FIELDS = ['left', 'quarter', 'middle', 'far', 'right'] as const;
