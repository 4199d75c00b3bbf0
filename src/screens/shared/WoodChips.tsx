import { View } from 'react-native';
import { SPECIES } from '@/core/wood';
import { Chips, Fold } from '@/ui';

const options = (common: boolean, chosen: string) =>
  SPECIES.filter((s) => (s.common || s.id === chosen) === common).map((s) => ({
    value: s.id,
    label: s.name,
  }));

/** The woods met most often, and the rest behind a fold; a chosen one is always in sight. */
export function WoodChips({ value, onChange }: { value: string; onChange: (species: string) => void }) {
  return (
    <View style={{ gap: 4 }}>
      <Chips label="Wood" options={options(true, value)} value={value} onChange={onChange} />
      <Fold title="More woods">
        <Chips label="More woods" bare options={options(false, value)} value={value} onChange={onChange} />
      </Fold>
    </View>
  );
}
