import { JOINTS, OLD_GLUES, reopen, type JointId, type OldGlue } from '@/core/apart';
import type { JointSum, SumStarts } from '@/core/job';
import { formatMinutes } from '@/core/units';
import { Beside, Chips, Notice, Section, Stepper, Text } from '@/ui';
import { useKeptChoice, useKeptLength, useKeptNumber } from '../shared/kept';
import { useUnits } from '../shared/useUnits';

const isJoint = (id: string): id is JointId => id in JOINTS;
const JOINT_IDS = Object.keys(JOINTS).filter(isJoint);
const isGlue = (id: string): id is OldGlue => id in OLD_GLUES;
const GLUE_IDS = Object.keys(OLD_GLUES).filter(isGlue);

/** How a joint is opened, cleaned and dried before it is glued again, and where to stop. */
export function ApartJointSection({ starts, glued }: { starts: SumStarts; glued: JointSum }) {
  const { area } = useUnits();
  const [joint, setJoint] = useKeptChoice('apart.joint', 'dowels', JOINT_IDS);
  const [glue, setGlue] = useKeptChoice<OldGlue>('apart.glue', starts.oldGlue, GLUE_IDS);
  const [, wideField] = useKeptLength('apart.wide', glued.wideMm);
  const [, deepField] = useKeptLength('apart.deep', glued.deepMm);
  const [, setCount] = useKeptNumber('apart.count', glued.count);
  const { steps, minutes, stop } = reopen(joint, glue);
  return (
    <Section title="Open it, clean it, let it dry">
      <Chips
        label="The joint is"
        options={JOINT_IDS.map((value) => ({ value, label: JOINTS[value].label }))}
        value={joint}
        onChange={setJoint}
      />
      <Chips
        label="Old glue"
        options={GLUE_IDS.map((value) => ({ value, label: OLD_GLUES[value] }))}
        value={glue}
        onChange={setGlue}
      />
      {stop ? (
        <Notice kind="stop" title="Better left together">
          This joint breaks before that glue lets go. Inject it as it stands, or leave it.
        </Notice>
      ) : (
        <>
          {steps.map((words, i) => (
            <Text key={words}>{`${i + 1}. ${words}`}</Text>
          ))}
          <Text kind="quiet">{`About ${formatMinutes(minutes)} to open one.`}</Text>
          <Beside>
            {wideField(glued.dowels ? 'Thickness of a dowel' : 'Width of a tenon, tail or edge', 1, 1000)}
            {deepField('How far it goes in', 1, 1000)}
          </Beside>
          <Stepper label="How many are glued" value={glued.count} least={1} most={40} onChange={setCount} />
          <Text>{`Glued: ${area(glued.gluedMm2)} on each side.`}</Text>
        </>
      )}
    </Section>
  );
}
