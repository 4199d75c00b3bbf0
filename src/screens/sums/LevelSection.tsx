import { View } from 'react-native';
import { attempt } from '@/core/check';
import {
  DENT_SOURCE,
  DENT_WAYS,
  dentWays,
  depthFromShadowMm,
  LEVEL_SOURCE,
  LEVEL_TOOLS,
  levelPlan,
  SHADOW_SOURCE,
} from '@/core/filling';
import { describeSource } from '@/core/sources';
import { Beside, Chips, Figure, Fold, Notice, Row, Section, Stepper, Text } from '@/ui';
import { useKeptChoice, useKeptLength, useKeptNumber } from '../shared/kept';
import { FeatherDrawing } from './drawings';
import { useUnits } from '../shared/useUnits';
import { Figures } from '../special/parts';
import type { SumStarts } from '@/core/job';

/** How what stands proud or has sunk is made level, how far it is feathered, and whether the veneer bears it. */
export function LevelSection({
  starts,
  dent,
}: {
  starts: SumStarts;
  dent: { fibresCut: boolean; finishStays: boolean };
}) {
  const { length } = useUnits();
  const [step, stepField] = useKeptLength('level.step', starts.proudMm);
  const [room, roomField] = useKeptLength('level.room', starts.roomMm);
  const [sheen, setSheen] = useKeptChoice('level.sheen', 'satin', ['satin', 'gloss']);
  const [shadow, shadowField] = useKeptLength('level.shadow', starts.shadowMm);
  const [lamp, setLamp] = useKeptNumber('level.lamp', starts.lampDeg);
  const result = attempt(() => levelPlan({ stepMm: step, veneerMm: starts.veneerMm, roomMm: room, sheen }));
  const depth = attempt(() => depthFromShadowMm(shadow, lamp));
  return (
    <Section title="Make it level" help={describeSource(LEVEL_SOURCE)}>
      <Beside>
        {stepField('It stands proud by', 0, 20)}
        {roomField('To the nearest edge', 0, 5000)}
      </Beside>
      <Chips
        label="The finish over it"
        options={[
          { value: 'satin', label: 'Satin' },
          { value: 'gloss', label: 'Gloss' },
        ]}
        value={sheen}
        onChange={setSheen}
      />
      {result.ok ? (
        <>
          {result.value.verdict === 'level' ? (
            <Text>{result.value.why}</Text>
          ) : (
            <Notice kind={result.value.verdict === 'fill' ? 'stop' : 'rest'}>{result.value.why}</Notice>
          )}
          <Text kind="strong">{`${LEVEL_TOOLS[result.value.tool]}.`}</Text>
          <FeatherDrawing stepMm={step} featherMm={result.value.featherMm} veneerMm={starts.veneerMm} />
          <Figures>
            <Figure label="Feather over" value={length(result.value.featherMm)} />
            {result.value.leftMm === undefined ? null : (
              <Figure
                label="Veneer left"
                value={length(Math.max(0, result.value.leftMm))}
                alarm={result.value.verdict === 'fill'}
              />
            )}
          </Figures>
        </>
      ) : (
        <Notice kind="stop">{result.problem}</Notice>
      )}
      <Fold title="Depth of a dent from its shadow">
        <Text kind="quiet">
          A lamp low over the face, its height measured as an angle; the shadow that the rim throws.
        </Text>
        {shadowField('Length of the shadow', 0, 500)}
        <Stepper label="Height of the lamp" unit="°" value={lamp} least={1} most={80} onChange={setLamp} />
        {depth.ok ? (
          <>
            <Figure label="Deep" value={length(depth.value)} source={describeSource(SHADOW_SOURCE)} />
            <DentWays depthMm={depth.value} veneerMm={starts.veneerMm} {...dent} />
          </>
        ) : (
          <Notice kind="stop">{depth.problem}</Notice>
        )}
      </Fold>
    </Section>
  );
}

/** Raised, sanded or filled: the best first, the others with what stands against them. */
function DentWays(given: { depthMm: number; veneerMm: number; fibresCut: boolean; finishStays: boolean }) {
  const ways = attempt(() => dentWays(given));
  if (!ways.ok) return <Notice kind="rest">{ways.problem}</Notice>;
  return (
    <View>
      {ways.value.map((w, i) => (
        <Row
          key={w.way}
          title={`${i + 1}. ${DENT_WAYS[w.way]}`}
          detail={w.why}
          source={describeSource(DENT_SOURCE)}
          last={i === ways.value.length - 1}
        />
      ))}
    </View>
  );
}
