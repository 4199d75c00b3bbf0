import { methodById, type MethodId, type Sum } from '../catalogue';
import { attempt, type Result } from '../check';
import { clampsAcross, closePlan, type ClampAcross, type ClosePlan, type JointLine } from '../closing';
import { dutchmanPlan, DUTCHMAN_MARGIN_MM, partPlan, sliverPlan, stripsPlan, type DutchmanPlan, type PartPlan, type SliverPlan, type StripsInput, type StripsPlan } from '../letin'; // prettier-ignore
import { centroidOf, rotate } from '../geometry';
import { withSpares } from '../glueup';
import { woodStiffnessMPa } from '../wood';
import { drawsTogether, type ClampKind } from '../press';
import { clampOf, ownedClamps } from './press';
import type { Repair } from './repairs';
import { sumStarts } from './sumStarts';
import { markMm } from './survey';
import type { KnownShop } from './types';

/** Sums that a method's worksheet carries beside its amounts. */
export const sumsOf = (method: MethodId): readonly Sum[] => methodById(method).sums;

/** What was entered on a sum, or where its field begins. */
export function entered({ damage }: Repair) {
  const figures = damage.body.figures ?? {};
  return (key: string, start: number): number => {
    const value = figures[key];
    return typeof value === 'number' ? value : start;
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

/** The same for what is a choice or a list in words. */
export function enteredText({ damage }: Repair) {
  const figures = damage.body.figures ?? {};
  return (key: string, start: string): string => {
    const value = figures[key];
    return typeof value === 'string' ? value : start;
  };
}

/** How many of a new part are made: as many as are needed, or strips to be bent, and what is to spare. */
export function partsWanted(repair: Repair): { copies: number; spares: number } {
  const of = entered(repair);
  const strips = of('bend.strips', 0);
  return {
    copies: of('part.copies', Math.max(1, strips)),
    spares: of('part.spares', strips > 0 ? withSpares(strips) - strips : sumStarts(repair).part.spares),
  };
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
      ...partsWanted(repair),
      boardLongMm: of('part.long', part.boardLongMm),
      boardWideMm: of('part.wide', part.boardWideMm),
    }),
  );
}

export type StripsSum = { input: StripsInput; plan: Result<StripsPlan> };

/** The strips of a repair, by what was entered, and their sum. */
export function stripsOf(repair: Repair): StripsSum {
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
const CLOSING_CLAMP = 'pipe';

/** A joint that is drawn together: its gaps, how many bar clamps are owned, and what the edges do to each clamp. */
export type CloseSum = {
  lengthMm: number;
  gapsMm: number[];
  owned: number;
  plan: Result<ClosePlan>;
  across: ClampAcross[];
  /** What draws it together. */
  kind: ClampKind;
  /** Both boards across the joint. */
  boardsMm: number;
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

/** Bars where there are any, else the strongest of what is owned and opens so far; bars to be got where nothing does. */
function closingKind(shop: KnownShop, openMm: number): { kind: ClampKind; owned: number } {
  const bars = shop.clamps.find((c) => c.id === CLOSING_CLAMP)?.count ?? 0;
  const [strongest] = ownedClamps(shop)
    .filter((c) => drawsTogether(c.kind) && c.kind.openingMm.value >= openMm)
    .sort((a, b) => b.kind.forceN.value - a.kind.forceN.value);
  return bars > 0 || !strongest
    ? { kind: clampOf(CLOSING_CLAMP, shop), owned: bars }
    : { kind: strongest.kind, owned: strongest.count };
}

/** What it takes to draw the joint of a repair together, by what was entered: with the gaps, and how many bar clamps are owned. */
export function closeOf(repair: Repair, shop: KnownShop): CloseSum {
  const starts = sumStarts(repair);
  const of = entered(repair);
  const lengthMm = of('close.length', starts.jointMm);
  const gapsMm = GAP_FIELDS.map((field, i) => of(`close.${field}`, starts.gapsMm[i] ?? 0));
  const thickMm = of('close.thick', starts.boardMm);
  const [one, other] = [of('close.one', starts.boardsMm), of('close.other', starts.boardsMm)];
  const { kind, owned } = closingKind(shop, one + other);
  const plan = attempt(() =>
    closePlan({
      lengthMm,
      boards: [
        { widthMm: one, thickMm },
        { widthMm: other, thickMm },
      ],
      gapsMm,
      modulusMPa: woodStiffnessMPa(starts.species),
      clampN: kind.forceN.value,
      clamps: owned > 0 ? owned : starts.clampsToGet,
    }),
  );
  const joint = jointOf(repair);
  const across =
    joint && plan.ok
      ? attempt(() => clampsAcross({ outline: starts.faceMm, joint, atMm: onJoint(joint, plan.value.atMm, lengthMm) })) // prettier-ignore
      : undefined;
  return {
    lengthMm,
    gapsMm,
    owned,
    plan,
    across: across?.ok ? across.value : [],
    boardsMm: one + other,
    kind,
  };
}

/** Where along the joint its gap is measured. */
export const GAP_FIELDS = ['left', 'quarter', 'middle', 'far', 'right'] as const;
