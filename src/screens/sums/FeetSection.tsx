import { View } from 'react-native';
import { FEET, type FeetSum, type SumStarts } from '@/core/job';
import { Beside, Notice, Row, Section, Text } from '@/ui';
import { useKeptLength } from '../shared/kept';
import { FeetDrawing } from './fitDrawings';
import { useUnits } from '../shared/useUnits';

/** What is built up under which foot, or taken off it, so that it stands on all four with the least wood. */
export function FeetSection({
  starts,
  sum: { way, feet, plan, blocks },
}: {
  starts: SumStarts;
  sum: FeetSum;
}) {
  const { length } = useUnits();
  const [, wideField] = useKeptLength('feet.wide', starts.stand.wideMm);
  const [, deepField] = useKeptLength('feet.deep', starts.stand.deepMm);
  const [, footWideField] = useKeptLength('feet.footwide', starts.stand.footMm);
  const [, footDeepField] = useKeptLength('feet.footdeep', starts.stand.footMm);
  const [, flField] = useKeptLength('feet.frontleft', starts.stand.gapMm);
  const [, frField] = useKeptLength('feet.frontright', 0);
  const [, blField] = useKeptLength('feet.backleft', 0);
  const [, brField] = useKeptLength('feet.backright', 0);
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
        {way === 'add' ? footWideField('One foot, wide', 3, 500) : null}
        {way === 'add' ? footDeepField('One foot, deep', 3, 500) : null}
      </Beside>
      {plan.ok ? (
        <>
          <Text kind="strong">{plan.value.words}</Text>
          <FeetDrawing
            plan={plan.value}
            way={way}
            gaps={FEET.map(({ key, label }, i) => ({ key, label, mm: feet[i]?.gapMm ?? 0 }))}
          />
          <View>
            {plan.value.changes.map((c, i) => (
              <Row
                key={c.name}
                title={`Foot ${c.name}`}
                value={length(c.mm)}
                last={!blocks && i === plan.value.changes.length - 1}
              />
            ))}
            {blocks ? (
              <Row
                title={`Cut ${blocks.count} ${blocks.count === 1 ? 'piece' : 'pieces'}`}
                detail="Like wood, its grain as in the foot; trimmed to the foot after gluing"
                value={`${length(blocks.thickMm)} thick`}
                last
              />
            ) : null}
          </View>
        </>
      ) : (
        <Notice kind="stop">{plan.problem}</Notice>
      )}
    </Section>
  );
}
