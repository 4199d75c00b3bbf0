import { View } from 'react-native';
import type { Result } from '@/core/check';
import type { SumStarts } from '@/core/job';
import type { SliverPlan } from '@/core/letin';
import { Beside, Notice, Row, Section, Text } from '@/ui';
import { useKeptLength } from '../shared/kept';
import { SliverDrawing } from './drawings';
import { useUnits } from '../shared/useUnits';

/** Tapered slivers for a gap that is not drawn together, and on which side they are glued. */
export function SliverSection({ starts, sliver: result }: { starts: SumStarts; sliver: Result<SliverPlan> }) {
  const { length } = useUnits();
  const [, longField] = useKeptLength('sliver.length', starts.jointMm);
  const [, oneField] = useKeptLength('sliver.one', starts.gapMm);
  const [, middleField] = useKeptLength('sliver.middle', starts.gapMm);
  const [, otherField] = useKeptLength('sliver.other', starts.gapMm);
  const [, deepField] = useKeptLength('sliver.deep', starts.sliverMm);
  const places = ['At one end', 'In the middle', 'At the other end'];
  return (
    <Section title="The sliver" help="Measured along the gap by slips of paper or a feeler gauge.">
      <Beside>
        {longField('Length of the gap', 5, 5000)}
        {oneField('Wide at one end', 0, 50)}
        {middleField('Wide in the middle', 0, 50)}
        {otherField('Wide at the other end', 0, 50)}
        {deepField('How deep it goes in', 0.5, 200)}
      </Beside>
      {result.ok ? (
        <>
          <SliverDrawing plan={result.value} />
          <View>
            <Row
              title="Pieces"
              detail="End to end, their ends slanted over each other"
              value={`${result.value.piecesMm.length} × ${length(result.value.piecesMm[0] ?? 0)}`}
            />
            <Row title="High" detail="With what is pared off" value={length(result.value.highMm)} />
            {places.map((place, i) => (
              <Row
                key={place}
                title={place}
                detail="Thick above, and below"
                value={`${length(result.value.topMm[i] ?? 0)}, ${length(result.value.bottomMm[i] ?? 0)}`}
                last={i === places.length - 1}
              />
            ))}
          </View>
          <Text>{result.value.words}</Text>
        </>
      ) : (
        <Notice kind="stop">{result.problem}</Notice>
      )}
    </Section>
  );
}
