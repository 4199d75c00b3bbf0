import { View } from 'react-native';
import type { Result } from '@/core/check';
import { cautionsFor, type RiskySurface } from '@/core/safety';
import {
  EDGE_FACTOR,
  END_GRIT_SOURCE,
  GRITS,
  LEAST_LEFT_MM,
  SCRATCH_SHARE,
  START_GRIT_SOURCE,
  type SandingBudget,
} from '@/core/sanding';
import { describeSource } from '@/core/sources';
import { Figure, Notice, Row, Section, Text } from '@/ui';
import { Cautions } from '../shared/Cautions';
import { useUnits } from '../shared/useUnits';
import { VeneerLeft } from './VeneerLeft';

/** What sanding takes off and leaves, grit by grit. @param veneerMm as it is before */
export function SandingSection({
  sanding,
  veneerMm,
  help,
  surface,
}: {
  sanding: Result<SandingBudget>;
  veneerMm: number;
  help: string;
  surface: RiskySurface;
}) {
  return (
    <Section title="Sanding budget" help={help}>
      <Cautions ids={cautionsFor(['sand'], surface)} title="Before you sand" />
      {sanding.ok ? (
        <Budget budget={sanding.value} veneerMm={veneerMm} />
      ) : (
        <Notice kind="stop">{sanding.problem}</Notice>
      )}
    </Section>
  );
}

function Budget({ budget, veneerMm }: { budget: SandingBudget; veneerMm: number }) {
  const { length } = useUnits();
  return (
    <>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 16 }}>
        <Figure
          label="Start with"
          value={`P${budget.startGrit}`}
          unit="ISO 6344"
          source={describeSource(START_GRIT_SOURCE)}
        />
        <Figure
          label="End with"
          value={`P${budget.endGrit}`}
          unit="ISO 6344"
          source={describeSource(END_GRIT_SOURCE)}
        />
        <Figure
          label="Veneer left"
          value={length(Math.max(0, budget.leftMm))}
          alarm={budget.leftMm < LEAST_LEFT_MM.value}
          source={`${describeSource(GRITS[3]?.medianUm.source ?? SCRATCH_SHARE.source)} ${describeSource(SCRATCH_SHARE.source)}`}
        />
        <Figure
          label="Left at edges"
          value={length(Math.max(0, budget.leftAtEdgeMm))}
          alarm={budget.leftAtEdgeMm < LEAST_LEFT_MM.value}
          source={describeSource(EDGE_FACTOR.source)}
        />
      </View>
      <VeneerLeft budget={budget} veneerMm={veneerMm} text={length} />
      <Text kind="quiet">{`Amber line: ${length(LEAST_LEFT_MM.value)}, where glue and core begin to show.`}</Text>
      <View>
        {budget.steps.map((s) => (
          <Row
            key={s.grit}
            title={`P${s.grit}`}
            detail={`${length(s.leftMm)} left after it`}
            value={`−${length(s.removedMm)}`}
          />
        ))}
      </View>
      {budget.warning ? (
        <Notice kind="stop" title="Too little veneer">
          {budget.warning}
        </Notice>
      ) : null}
    </>
  );
}
