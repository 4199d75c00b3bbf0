import { View } from 'react-native';
import type { Surveyed } from '@/core/job';
import { Figure } from '@/ui';
import { useUnits } from '../shared/useUnits';

/** What a mark measures. */
export function MarkFigures({ survey: { gapMm, lengthMm, diameterMm, measures } }: { survey: Surveyed }) {
  const { length, area } = useUnits();
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 16 }}>
      {gapMm === undefined ? (
        <Figure label="Area" value={area(measures.areaMm2)} />
      ) : (
        <Figure label="Width" value={length(gapMm)} />
      )}
      {lengthMm !== undefined ? (
        <Figure label="Length" value={length(lengthMm)} />
      ) : diameterMm === undefined ? (
        <Figure label="Perimeter" value={length(measures.perimeterMm)} />
      ) : null}
      {diameterMm === undefined ? (
        <>
          <Figure label="Along the grain" value={length(measures.alongMm)} />
          <Figure label="Across the grain" value={length(measures.acrossMm)} />
        </>
      ) : (
        <Figure label="Diameter" value={length(diameterMm)} />
      )}
    </View>
  );
}
