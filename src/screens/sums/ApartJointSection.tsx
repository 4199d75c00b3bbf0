import { JOINTS, OLD_GLUES, reopen, type JointId, type OldGlue } from '@/core/apart';
import type { SumStarts } from '@/core/job';
import { formatMinutes } from '@/core/units';
import { Chips, Notice, Section, Text } from '@/ui';
import { useKeptChoice } from '../shared/kept';

const isJoint = (id: string): id is JointId => id in JOINTS;
const JOINT_IDS = Object.keys(JOINTS).filter(isJoint);
const isGlue = (id: string): id is OldGlue => id in OLD_GLUES;
const GLUE_IDS = Object.keys(OLD_GLUES).filter(isGlue);

/** How a joint is opened, cleaned and dried before it is glued again, and where to stop. */
export function ApartJointSection({ starts }: { starts: SumStarts }) {
  const [joint, setJoint] = useKeptChoice('apart.joint', 'dowels', JOINT_IDS);
  const [glue, setGlue] = useKeptChoice<OldGlue>('apart.glue', starts.oldGlue, GLUE_IDS);
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
        </>
      )}
    </Section>
  );
}
