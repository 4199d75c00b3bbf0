import { StyleSheet, View } from 'react-native';
import { BEND_STRAIN, BREAKAGE, leastRadiusMm, thickestMm, withSpares, type BendState } from '@/core/glueup'; // prettier-ignore
import { describeSource } from '@/core/sources';
import { Chips, Figure, Notice, Row, Section, Stepper, Text } from '@/ui';
import { useKeptChoice, useKeptLength, useKeptNumber } from '../shared/kept';
import { useUnits } from '../shared/useUnits';
import { attempt } from '@/core/check';

const STATES = Object.keys(BEND_STRAIN) as BendState[];

/** How tight a strip goes round a curve, and how many to make. */
export function Bending() {
  const { length } = useUnits();
  const [thickness, thicknessField] = useKeptLength('bend.thickness', 4);
  const [radius, radiusField] = useKeptLength('bend.radius', 200);
  const [needed, setNeeded] = useKeptNumber('bend.strips', 1);
  const [state, setState] = useKeptChoice('bend.state', 'dry', STATES);
  const result = attempt(() => leastRadiusMm(thickness, state));
  const goes = result.ok && result.value <= radius;
  return (
    <Section
      title="Round a curve?"
      help="Thin mouldings break when they are bent tighter than their wood allows."
    >
      {thicknessField('Thickness of the strip', 0.1, 60)}
      {radiusField('Radius of the curve', 5, 5000)}
      <Chips
        label="Bent"
        options={STATES.map((s) => ({
          value: s,
          label: BEND_STRAIN[s].label,
        }))}
        value={state}
        onChange={setState}
      />
      {result.ok ? (
        <View style={styles.figures}>
          <Figure
            label="Least radius"
            value={length(result.value)}
            alarm={!goes}
            source={describeSource(BEND_STRAIN[state].source)}
          />
          <Figure
            label="Thickest for this curve"
            value={length(thickestMm(radius, state))}
            note="laminate thinner strips"
          />
        </View>
      ) : (
        <Notice kind="stop">{result.problem}</Notice>
      )}
      <Text>
        {goes
          ? 'It goes round.'
          : 'It would break. Bend it wetter or hotter, take it thinner, or laminate it.'}
      </Text>
      <Stepper label="Strips needed" value={needed} least={1} most={100} onChange={setNeeded} />
      <Row
        title="Make"
        detail="With spares for those that break"
        value={String(withSpares(needed))}
        source={describeSource(BREAKAGE.source)}
        last
      />
    </Section>
  );
}

const styles = StyleSheet.create({ figures: { flexDirection: 'row', flexWrap: 'wrap', gap: 16 } });
