import { useState } from 'react';
import { View } from 'react-native';
import type { Stages } from '@/core/glueup';
import { withinReach, type GlueUp } from '@/core/job';
import type { CautionId } from '@/core/safety';
import { formatMinutes } from '@/core/units';
import { Button, CheckChips, Notice, Text } from '@/ui';
import { Cautions } from '../shared/Cautions';
import { useUnits } from '../shared/useUnits';

/** Everything within reach before the bottle is opened. */
export function Ready({
  plan,
  cautions,
  stages,
  onStart,
}: {
  plan: GlueUp;
  cautions: readonly CautionId[];
  stages?: Stages;
  onStart: () => void;
}) {
  const { length } = useUnits();
  const [ticked, setTicked] = useState<string[]>([]);
  const list = withinReach(plan, length);
  const left = list.length - ticked.length;
  return (
    <View style={{ gap: 14 }}>
      <Cautions ids={cautions} />
      <Text kind="heading">Within reach before the glue is out</Text>
      <CheckChips
        label="Dry run"
        options={list.map((label) => ({ value: label, label }))}
        values={ticked}
        onChange={setTicked}
      />
      {stages && stages.stages.length > 1 ? (
        <Notice kind="rest" title={`In ${stages.stages.length} stages`}>
          {stages.limit === 'clamps'
            ? 'There are not clamps enough for all at once. Each stage waits until the clamps of the one before come off.'
            : `Each takes about ${formatMinutes(stages.stages[0]?.layingMin ?? 0)} to lay; the glue is not open longer.`}
        </Notice>
      ) : null}
      <Button big label="Start: the first glue is on" kind="main" onPress={onStart} />
      {left > 0 ? <Text kind="quiet">{`${left} not ticked yet. You can start all the same.`}</Text> : null}
    </View>
  );
}
