import { View } from 'react-native';
import type { Result } from '@/core/check';
import type { Repair, SumStarts } from '@/core/job';
import { sliverOutlines, type SliverPlan } from '@/core/letin';
import { Beside, Notice, Row, Section, Text } from '@/ui';
import { useKeptLength } from '../shared/kept';
import { ReadGaps } from './ReadGaps';
import { PrintOutline } from './PrintOutline';
import { SliverDrawing } from './drawings';
import { useUnits } from '../shared/useUnits';

/** Tapered slivers for a gap that is not drawn together, and on which side they are glued. */
export function SliverSection({
  starts,
  title,
  repair,
  sliver: result,
}: {
  starts: SumStarts;
  title: string;
  repair: Repair;
  sliver: Result<SliverPlan>;
}) {
  const { length } = useUnits();
  const [, longField] = useKeptLength('sliver.length', starts.jointMm);
  const [one, oneField] = useKeptLength('sliver.one', starts.gapMm);
  const [middle, middleField] = useKeptLength('sliver.middle', starts.gapMm);
  const [other, otherField] = useKeptLength('sliver.other', starts.gapMm);
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
      <ReadGaps repair={repair} fields={['sliver.one', 'sliver.middle', 'sliver.other']} />
      {result.ok ? (
        <>
          <SliverDrawing
            plan={result.value}
            gaps={[
              { key: 'sliver.one', label: 'Wide at one end', mm: one },
              { key: 'sliver.middle', label: 'Wide in the middle', mm: middle },
              { key: 'sliver.other', label: 'Wide at the other end', mm: other },
            ]}
          />
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
          <PrintOutline
            what="Sliver"
            title={title}
            patch={sliverOutlines(result.value)}
            damage={[]}
            grainDeg={0}
            legend="From above, at full size. Full line: its upper edge. Dashed: its lower edge."
            notes={[
              `${result.value.piecesMm.length} × ${length(result.value.piecesMm[0] ?? 0)}, ${length(result.value.highMm)} high with what is pared off.`,
            ]}
          />
        </>
      ) : (
        <Notice kind="stop">{result.problem}</Notice>
      )}
    </Section>
  );
}
