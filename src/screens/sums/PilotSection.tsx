import { View } from 'react-native';
import { attempt } from '@/core/check';
import type { SumStarts } from '@/core/job';
import { PILOT_SOURCE, pilotPlan } from '@/core/letin';
import { describeSource } from '@/core/sources';
import { Beside, Chips, Fold, Notice, Row, Section, Stepper, Text } from '@/ui';
import { useKeptChoice, useKeptLength, useKeptNumber } from '../shared/kept';
import { PilotDrawing } from './fitDrawings';
import { useUnits } from '../shared/useUnits';

/** Holes for a screw that goes in anew. */
export function PilotSection({
  starts,
  main,
}: {
  starts: SumStarts;
  /** The screw is what the repair is about. */ main: boolean;
}) {
  const { length } = useUnits();
  const [kind, setKind] = useKeptChoice('screw.kind', 'gauge', ['gauge', 'metric', 'core']);
  const [gauge, setGauge] = useKeptNumber('screw.gauge', starts.screw.gauge);
  const [wide, wideField] = useKeptLength('screw.wide', starts.screw.metricMm);
  const [core, coreField] = useKeptLength('pilot.core', starts.screw.coreMm);
  const [long, longField] = useKeptLength('screw.long', starts.screw.lengthMm);
  const [through, throughField] = useKeptLength('screw.through', starts.screw.throughMm);
  const result = attempt(() =>
    pilotPlan({
      screw: kind === 'core' ? { coreMm: core } : kind === 'metric' ? { diameterMm: wide } : { gauge },
      lengthMm: long,
      throughMm: through,
      boardMm: starts.boardMm,
      specificGravity: starts.screw.specificGravity,
    }),
  );
  const inside = (
    <>
      <Chips
        label="The screw is named"
        options={[
          { value: 'gauge', label: 'by its number' },
          { value: 'metric', label: 'by its thickness' },
          { value: 'core', label: 'by its core, measured' },
        ]}
        value={kind}
        onChange={setKind}
      />
      {kind === 'gauge' ? (
        <Stepper label="Number of the screw" value={gauge} least={2} most={16} onChange={setGauge} />
      ) : null}
      <Beside>
        {kind === 'metric' ? wideField('Thickness of its shank', 1.5, 10) : null}
        {kind === 'core' ? coreField('Core of the screw', 0.8, 12) : null}
        {longField('Length of the screw', 4, 150)}
        {throughField('What it goes through first', 0, 100)}
      </Beside>
      {result.ok ? (
        <View>
          <PilotDrawing {...result.value} lengthMm={long} throughMm={through} boardMm={starts.boardMm} />
          <Row
            title="Pilot hole"
            detail={`${length(result.value.deepMm)} deep; the thread’s root is ${length(result.value.rootMm)}`}
            value={length(result.value.pilotMm)}
            source={describeSource(PILOT_SOURCE)}
          />
          <Row
            title="Through the upper piece"
            detail="So that the screw draws it down"
            value={length(result.value.clearanceMm)}
          />
          <Row
            title="From an end"
            detail="To the middle of the hole, at least"
            value={length(result.value.endMm)}
          />
          <Row
            title="From an edge"
            detail="To the middle of the hole, at least"
            value={length(result.value.edgeMm)}
          />
          <Row title="To the next along the grain" value={length(result.value.apartMm)} last />
          <Text>{result.value.words}</Text>
        </View>
      ) : (
        <Notice kind="stop">{result.problem}</Notice>
      )}
    </>
  );
  return main ? (
    <Section title="The screw, set anew">{inside}</Section>
  ) : (
    <Fold title="A screw goes in here again">{inside}</Fold>
  );
}
