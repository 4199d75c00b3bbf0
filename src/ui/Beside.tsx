import { Children, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';

/** Fields side by side, as many as there is room for: two on a phone. */
export const Beside = ({ children }: { children: ReactNode }) => (
  <View style={styles.row}>
    {Children.map(children, (child) => (child ? <View style={styles.field}>{child}</View> : null))}
  </View>
);

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'flex-end', columnGap: 16, rowGap: 12 },
  field: { flexGrow: 1, flexBasis: 150, maxWidth: 200 },
});
