import { attempt, type Result } from '../check';
import { shimsPlan, type ShimsInput, type ShimsPlan } from '../veneer';
import { patchOfRepair } from './cutting';
import type { Repair } from './repairs';
import { entered } from './sums';
import type { Veneer } from './types';

export type ShimSum = { input: ShimsInput; plan: Result<ShimsPlan> };

/** Paper under the patch of a repair, by the old veneer at both its ends as it was entered; nothing without a patch, or over solid wood. */
export function shimsOf(repair: Repair, veneer: Veneer): ShimSum | undefined {
  const patch = patchOfRepair(repair);
  const oldMm = repair.face?.body.veneerMm ?? 0;
  if (!patch || oldMm <= 0) return undefined;
  const of = entered(repair);
  const input: ShimsInput = {
    oldMm: [of('shims.one', oldMm), of('shims.other', oldMm)],
    newMm: veneer.thicknessMm,
    lengthMm: patch.alongMm,
  };
  return { input, plan: attempt(() => shimsPlan(input)) };
}

const sheetsOf = (n: number): string => (n === 1 ? '1 sheet' : `${n} sheets`);

/** What the bench is told of it; nothing where no sheet lies under it. */
export function shimWords({ plan }: ShimSum): string | undefined {
  if (!plan.ok || plan.value.zones.every((z) => z.sheets === 0)) return undefined;
  const { zones } = plan.value;
  const [only] = zones;
  const where =
    zones.length === 1 && only
      ? `with ${sheetsOf(only.sheets)} of paper`
      : `with paper from its left end: ${zones.map((z) => `${sheetsOf(z.sheets)} from ${Math.round(z.fromMm)} to ${Math.round(z.toMm)} mm`).join(', ')}`;
  return `Shim ${where}, glued on both sides.`;
}
