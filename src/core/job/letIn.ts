import { methodById, type MethodId } from '../catalogue';
import { attempt, type Result } from '../check';
import { dowelsInside } from '../closing';
import { dowelLayout, type DowelLayout } from '../glueup';
import { bandingPlan, plugPlan, type BandingInput, type BandingPlan, type PlugInput, type PlugPlan } from '../letin'; // prettier-ignore
import { memory, sourced } from '../sources';
import { formatLength, lengthsIn, parseLength, type LengthUnit } from '../units';
import type { Repair } from './repairs';
import { entered, enteredText, jointOf } from './sums';
import { sumStarts } from './sumStarts';
import type { KnownShop } from './types';

/** Sizes that are sold in each system; the owner's own go before them. */
export const SOLD: Record<'bits' | 'cutters', Record<LengthUnit, string>> = {
  bits: { mm: '6 8 10 12 15 20 25 30', in: '1/4 5/16 3/8 1/2 5/8 3/4 1' },
  cutters: { mm: '8 10 12 15 20', in: '3/8 1/2 5/8 3/4 1' },
};
export const SOLD_SOURCE = memory('drills and plug cutters as they are commonly sold');
/** A hole that has no other near it stands as far from one as this. mm. */
const LEAST_NEXT_MM = sourced(10, memory('where a field begins before anything is measured; measure yours'));

/** Lengths of a list with spaces between; what is none is left out. */
const sizesIn = (text: string, unit: LengthUnit): number[] =>
  text.split(/[\s;]+/).flatMap((t) => {
    const read = attempt(() => parseLength(t, unit));
    return read.ok && read.value > 0 ? [read.value] : [];
  });

export type PlugSum = {
  input: PlugInput;
  bits: string;
  cutters: string;
  /** A dowel as it is bought, in place of a plug that is cut. */
  dowel: boolean;
  plan: Result<PlugPlan>;
};

/** The plug of a hole, by what was entered and what is owned. */
export function plugOf(repair: Repair, method: MethodId, { lengthUnit }: KnownShop): PlugSum {
  const starts = sumStarts(repair);
  const of = entered(repair);
  const text = enteredText(repair);
  const bits = text('plug.bits', SOLD.bits[lengthUnit]);
  const cutters = text('plug.cutters', SOLD.cutters[lengthUnit]);
  const input: PlugInput = {
    holeMm: of('plug.hole', starts.holeMm),
    depthMm: of('plug.depth', starts.depthMm),
    boardMm: starts.boardMm,
    clear: repair.treated.goal !== 'paint',
    load: text('plug.load', 'no') === 'yes',
    bitsMm: sizesIn(bits, lengthUnit),
    cuttersMm: sizesIn(cutters, lengthUnit),
    nextMm: of('plug.next', Math.max(LEAST_NEXT_MM.value, starts.roomMm)),
  };
  const dowel = methodById(method).needs.includes('dowels');
  return { input, bits, cutters, dowel, plan: attempt(() => plugPlan(input)) };
}

/** The dowels of an edge joint; those whose holes would break out through the edge of the face are left out. */
export type DowelSum = {
  layout: Result<DowelLayout>;
  leftOutMm: readonly number[];
  /** Where one goes in, from one end of the joint. mm */
  placesMm: readonly number[];
};

export function dowelsOf(repair: Repair): DowelSum {
  const { jointMm, boardMm, faceMm } = sumStarts(repair);
  const layout = attempt(() => dowelLayout(jointMm, boardMm));
  if (!layout.ok) return { layout, leftOutMm: [], placesMm: [] };
  const { atMm, drillMarkMm } = layout.value;
  const joint = jointOf(repair);
  const places = joint ? attempt(() => dowelsInside(faceMm, joint, atMm, drillMarkMm)) : undefined;
  const leftOutMm = places?.ok ? places.value.filter((p) => !p.inside).map((p) => p.atMm) : [];
  return { layout, leftOutMm, placesMm: atMm.filter((at) => !leftOutMm.includes(at)) };
}

export type BandingSum = {
  input: BandingInput;
  /** As they were entered, or one as long as the place. */
  runs: string;
  /** It is a banding, since somebody has said its runs and it can be cut so: steps and list go by it. */
  counts: boolean;
  /** It is bought by the length; else what it is sawn from stands on the list. */
  bought: boolean;
  plan: Result<BandingPlan>;
};

/** The banding round corners of a repair, by what was entered. */
export function bandingOf(repair: Repair, method: MethodId, { lengthUnit }: KnownShop): BandingSum {
  const { jointMm, banding } = sumStarts(repair);
  const of = entered(repair);
  const text = enteredText(repair);
  const runs = text('banding.runs', formatLength(jointMm, lengthUnit));
  const read = attempt(() => lengthsIn(runs, lengthUnit));
  const repeatMm = of('banding.repeat', 0);
  const input: BandingInput = {
    runsMm: read.ok ? read.value : [],
    closed: text('banding.closed', 'no') === 'yes',
    cornerDeg: of('banding.corner', banding.cornerDeg),
    wideMm: of('banding.wide', banding.wideMm),
    ...(repeatMm > 0 ? { repeatMm } : {}),
    kerfMm: of('banding.kerf', banding.kerfMm),
    stockMm: of('banding.stock', banding.stockMm),
    spares: of('banding.spares', banding.spares),
  };
  const plan = read.ok ? attempt(() => bandingPlan(input)) : read;
  return {
    input,
    runs,
    counts: plan.ok && repair.damage.body.figures?.['banding.runs'] !== undefined,
    bought: !methodById(method).sums.includes('strips'),
    plan,
  };
}
