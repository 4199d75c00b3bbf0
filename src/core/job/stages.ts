import { attempt } from '../check';
import { gluingStages, type Stages } from '../glueup';
import type { PressPlan } from './press';

/** In how many goes a repair is glued; nothing when it cannot be done in time, or in this cold. */
export function stagesOf(plan: PressPlan): Stages | undefined {
  const { times } = plan;
  if (!times.ok) return undefined;
  const made = attempt(() =>
    gluingStages({
      areaMm2: plan.areaMm2,
      clamps: plan.layout.clamps.length,
      ...plan.pace,
      openMin: times.value.openMin,
      clampsOwned: plan.owned,
    }),
  );
  return made.ok ? made.value : undefined;
}
