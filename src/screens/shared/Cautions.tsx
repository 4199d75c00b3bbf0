import { StyleSheet, View } from 'react-native';
import { CAUTIONS, type CautionId } from '@/core/safety';
import { Notice, Text } from '@/ui';

/** What can hurt someone, before the steps that can. */
export function Cautions({ ids, title = 'Before you begin' }: { ids: readonly CautionId[]; title?: string }) {
  return (
    <Notice kind="stop" title={title} standing>
      <View style={styles.lines}>
        {ids.map((c) => (
          <Text key={c}>{CAUTIONS[c]}</Text>
        ))}
      </View>
    </Notice>
  );
}

const styles = StyleSheet.create({ lines: { gap: 6 } });
