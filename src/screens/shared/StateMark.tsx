import { StyleSheet, View } from 'react-native';
import type { StepState } from '@/core/front';
import { useTheme } from '@/ui';

/** How a step stands, for readers that speak. */
export const STATE_WORDS: Record<StepState, string> = { done: 'done', now: 'ready now', waits: 'waits' };

/** Done is a filled disc, now a lit one with a ring, waiting an open circle. */
export function StateMark({ state }: { state: StepState }) {
  const theme = useTheme();
  const colour = state === 'done' ? theme.verdigris : state === 'now' ? theme.lampEdge : theme.control;
  return (
    <View style={[styles.ring, state === 'now' && { backgroundColor: theme.lampFill }]}>
      <View
        style={[
          styles.disc,
          { borderColor: colour, backgroundColor: state === 'waits' ? 'transparent' : colour },
        ]}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  ring: { width: 24, height: 24, borderRadius: 12, alignItems: 'center', justifyContent: 'center' },
  disc: { width: 12, height: 12, borderRadius: 6, borderWidth: 2 },
});
