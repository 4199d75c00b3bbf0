import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { LengthField } from '@/ui';
import { lengthBetween } from '../shared/lengthCheck';
import { useUnits } from '../shared/useUnits';

/** A length that is only asked for the sum on this page. */
export function useLength(
  startMm: number,
): [number, (label: string, least: number, most: number) => React.ReactNode] {
  const [mm, setMm] = useState(startMm);
  const { unit } = useUnits();
  return [
    mm,
    (label, least, most) => (
      <LengthField
        key={label}
        label={label}
        valueMm={mm}
        unit={unit}
        check={lengthBetween(label, least, most)}
        onChange={setMm}
      />
    ),
  ];
}

export const Figures = ({ children }: { children: React.ReactNode }) => (
  <View style={styles.figures}>{children}</View>
);
export const kN = (n: number): string => (n / 1000).toFixed(n < 1000 ? 2 : 1);

const styles = StyleSheet.create({ figures: { flexDirection: 'row', flexWrap: 'wrap', gap: 16 } });
