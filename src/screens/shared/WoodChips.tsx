import { View } from 'react-native';
import { OTHER_WOOD, SPECIES, woodName } from '@/core/wood';
import { Chips, Fold } from '@/ui';

const options = (common: boolean, chosen: string) =>
  SPECIES.filter((s) => (s.common || s.id === chosen) === common).map((s) => ({
    value: s.id,
    label: s.name,
  }));

/** The woods met most often, and the rest behind a fold; a chosen one is always in sight. */
export function WoodChips({
  value,
  onChange,
  other = false,
}: {
  value: string;
  onChange: (species: string) => void;
  /** Offers a wood that is not in the table. */
  other?: boolean;
}) {
  const common = options(true, value);
  const rest = options(false, value);
  const unlisted = { value: OTHER_WOOD, label: woodName(OTHER_WOOD) };
  if (other) (value === OTHER_WOOD ? common : rest).push(unlisted);
  return (
    <View style={{ gap: 4 }}>
      <Chips label="Wood" options={common} value={value} onChange={onChange} />
      <Fold title="More woods">
        <Chips label="More woods" bare options={rest} value={value} onChange={onChange} />
      </Fold>
    </View>
  );
}
