import { View } from 'react-native';
import { attempt } from '@/core/check';
import type { SumStarts } from '@/core/job';
import { feetPlan, type Foot } from '@/core/letin';
import { Beside, Notice, Row, Section, Text } from '@/ui';
import { useKeptLength } from '../shared/kept';
import { FeetDrawing } from './drawings';
import { useUnits } from '../shared/useUnits';

/** What is built up under which foot, or taken off it, so that it stands on all four with the least wood. */
export function FeetSection({ starts, way }: { starts: SumStarts; way: 'add' | 'take' }) {
  const { length } = useUnits();
  const [wide, wideField] = useKeptLength('feet.wide', starts.stand.wideMm);
  const [deep, deepField] = useKeptLength('feet.deep', starts.stand.deepMm);
  const [fl, flField] = useKeptLength('feet.frontleft', starts.stand.gapMm);
  const [fr, frField] = useKeptLength('feet.frontright', 0);
  const [bl, blField] = useKeptLength('feet.backleft', 0);
  const [br, brField] = useKeptLength('feet.backright', 0);
  const feet: Foot[] = [
    { name: 'front left', xMm: 0, yMm: 0, gapMm: fl },
    { name: 'front right', xMm: wide, yMm: 0, gapMm: fr },
    { name: 'back left', xMm: 0, yMm: deep, gapMm: bl },
    { name: 'back right', xMm: wide, yMm: deep, gapMm: br },
  ];
  const result = attempt(() => feetPlan({ feet, way }));
  return (
    <Section
      title="Stand it level"
      help="On a surface known to be flat. Press it down where it carries, and measure the gap under each foot with cards."
    >
      <Beside>
        {wideField('From left foot to right', 10, 5000)}
        {deepField('From front foot to back', 10, 5000)}
        {flField('Gap, front left', 0, 200)}
        {frField('Gap, front right', 0, 200)}
        {blField('Gap, back left', 0, 200)}
        {brField('Gap, back right', 0, 200)}
      </Beside>
      {result.ok ? (
        <>
          <Text kind="strong">{result.value.words}</Text>
          <FeetDrawing
            plan={result.value}
            way={way}
            gaps={[
              { key: 'feet.frontleft', label: 'Gap, front left', mm: fl },
              { key: 'feet.frontright', label: 'Gap, front right', mm: fr },
              { key: 'feet.backleft', label: 'Gap, back left', mm: bl },
              { key: 'feet.backright', label: 'Gap, back right', mm: br },
            ]}
          />
          <View>
            {result.value.changes.map((c, i) => (
              <Row
                key={c.name}
                title={`Foot ${c.name}`}
                value={length(c.mm)}
                last={i === result.value.changes.length - 1}
              />
            ))}
          </View>
        </>
      ) : (
        <Notice kind="stop">{result.problem}</Notice>
      )}
    </Section>
  );
}
