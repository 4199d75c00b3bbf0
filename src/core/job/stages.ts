import { attempt } from '../check';
import { gluingStages, type Stages } from '../glueup';
import type { PressPlan } from './press';

/** In how many goes a repair is glued; nothing when it cannot be done in time, or in this cold. */
export function stagesOf(plan: PressPlan): Stages | undefined {
  const { times, layout } = plan;
  if (!times.ok) return undefined;
  const clamps = layout.clamps.length;
  const made = attempt(() =>
    gluingStages({
      areaMm2: plan.areaMm2,
      clamps,
      ...plan.pace,
      openMin: times.value.openMin,
      // Of several kinds the one that runs out first says how many can stand at a time.
      clampsOwned: Math.min(plan.owned, Math.ceil(clamps / Math.max(1, layout.stages))),
    }),
  );
  return made.ok ? made.value : undefined;
}
