import { methodById, type MethodId } from '../catalogue';
import type { Result } from '../check';
import type { DutchmanPlan, PartPlan, SliverPlan } from '../letin';
import { crackPlanOf } from './decide';
import { fillOf, type FillSum } from './fills';
import { feetOf, jointGlueOf, type FeetSum, type JointSum } from './fitSums';
import { bandingOf, dowelsOf, plugOf, type BandingSum, type DowelSum, type PlugSum } from './letIn';
import type { Repair } from './repairs';
import {
  closeOf,
  dutchmanOf,
  partOf,
  partsWanted,
  sliverOf,
  stripsOf,
  sumsOf,
  type CloseSum,
  type StripsSum,
} from './sums';
import type { KnownShop } from './types';

/** The sums of one method of a repair: its page shows them, its amounts, steps and clamps are taken from them. */
export type WorkedSums = {
  plug?: PlugSum;
  /** Nothing while the place has no outline. */
  dutchman?: Result<DutchmanPlan>;
  /** Nothing while the place has no outline. */
  part?: Result<PartPlan>;
  /** New parts that are made, whatever their outline. */
  wanted?: { copies: number; spares: number };
  strips?: StripsSum;
  banding?: BandingSum;
  sliver?: Result<SliverPlan>;
  feet?: FeetSum;
  joint?: JointSum;
  fill?: FillSum;
  close?: CloseSum;
  dowels?: DowelSum;
};

/** The sums of a method, each worked out once. */
export function workedSums(repair: Repair, method: MethodId, shop: KnownShop): WorkedSums {
  const sums = sumsOf(method);
  const { treated, face, damage } = repair;
  const dutchman = sums.includes('dutchman') ? dutchmanOf(repair) : undefined;
  const part = sums.includes('part') ? partOf(repair) : undefined;
  const fill = fillOf(repair, method);
  const crack = sums.includes('sliver') ? crackPlanOf(treated, face?.body, damage.body, shop) : undefined;
  return {
    ...(sums.includes('plug') ? { plug: plugOf(repair, method, shop) } : {}),
    ...(dutchman ? { dutchman } : {}),
    ...(part ? { part } : {}),
    ...(sums.includes('part') ? { wanted: partsWanted(repair) } : {}),
    ...(sums.includes('strips') ? { strips: stripsOf(repair) } : {}),
    ...(sums.includes('banding') ? { banding: bandingOf(repair, method, shop) } : {}),
    ...(sums.includes('sliver')
      ? { sliver: sliverOf(repair, crack?.ok ? crack.value.movesMm : undefined) }
      : {}),
    ...(sums.includes('feet') ? { feet: feetOf(repair, method) } : {}),
    ...(sums.includes('apart') ? { joint: jointGlueOf(repair) } : {}),
    ...(fill ? { fill } : {}),
    ...(sums.includes('close') ? { close: closeOf(repair, shop) } : {}),
    ...(methodById(method).needs.includes('dowels') && !sums.includes('plug')
      ? { dowels: dowelsOf(repair) }
      : {}),
  };
}
