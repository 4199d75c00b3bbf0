import { StyleSheet, View } from 'react-native';
import { CRITERIA, MOST_WEIGHT, SCHOOL_WEIGHTS, type Criterion } from '@/core/method';
import { SCHOOLS, type School } from '@/core/terms';
import { changeShop, useShop } from '@/records';
import { Button, Fold, Stepper, Text } from '@/ui';
import { useAct } from '../shared/useAct';

/** How much each criterion counts in a school; every one can be changed, and shows that it was. */
export function WeightsFold({ school }: { school: School }) {
  const { shop, record } = useShop();
  const act = useAct();
  const own = shop.weights?.[school] ?? {};
  const set = (weights: typeof own): Promise<void> =>
    act(() => changeShop(record, { weights: { ...shop.weights, [school]: weights } }));
  return (
    <Fold title={`What counts in “${SCHOOLS[school].label}”`}>
      <Text kind="quiet">
        The score is the weighted mean of these marks in percent, and each reason adds or takes 8 points for
        every step of its weight. Common practice; change what you see otherwise.
      </Text>
      <View style={styles.list}>
        {(Object.keys(CRITERIA) as Criterion[]).map((c) => {
          const standard = SCHOOL_WEIGHTS[school][c];
          const value = own[c] ?? standard;
          return (
            <Stepper
              key={c}
              label={CRITERIA[c]}
              {...(value === standard ? {} : { help: `Changed; it was ${standard}.` })}
              value={value}
              least={0}
              most={MOST_WEIGHT}
              onChange={(v) => set({ ...own, [c]: v })}
            />
          );
        })}
      </View>
      {Object.keys(own).length > 0 ? (
        <Button label="Back to common practice" onPress={() => set({})} />
      ) : null}
    </Fold>
  );
}

const styles = StyleSheet.create({ list: { gap: 12 } });
