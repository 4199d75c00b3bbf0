import { StyleSheet, View } from 'react-native';

export const Figures = ({ children }: { children: React.ReactNode }) => (
  <View style={styles.figures}>{children}</View>
);
export const kN = (n: number): string => (n / 1000).toFixed(n < 1000 ? 2 : 1);

const styles = StyleSheet.create({ figures: { flexDirection: 'row', flexWrap: 'wrap', gap: 16 } });
