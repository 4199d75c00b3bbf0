import { useState } from 'react';
import { View } from 'react-native';
import { attempt } from '@/core/check';
import { VENEER_RANGE_MM } from '@/core/method';
import { summarise } from '@/core/readings';
import { lengthBetween, lengthsIn } from '@/core/units';
import { useList, type Veneer } from '@/records';
import { Chips, Notice, Text, TextField } from '@/ui';
import { useUnits } from '../shared/useUnits';

type Props = { veneer: Veneer; onChange: (patch: Partial<Veneer>) => unknown };

/** Thickness read at several places; the least counts. */
export function ThicknessReadings({ veneer: { thicknessReadings = [] }, onChange }: Props) {
  const { unit, length } = useUnits();
  const check = lengthBetween('A reading', VENEER_RANGE_MM.least, VENEER_RANGE_MM.most);
  const [problem, setProblem] = useState<string>();
  const read = summarise(thicknessReadings);
  return (
    <View style={{ gap: 4 }}>
      <TextField
        label="Thickness at several places"
        help="With commas between; the least is taken."
        value={thicknessReadings.map(length).join(', ')}
        most={400}
        onChange={(text) => {
          const readings = attempt(() => {
            const list = lengthsIn(text, unit);
            list.forEach(check);
            return list;
          });
          setProblem(readings.ok ? undefined : readings.problem);
          if (!readings.ok) return false;
          const some = readings.value.length > 0;
          return onChange({
            thicknessReadings: some ? readings.value : undefined,
            ...(some ? { thicknessMm: Math.min(...readings.value) } : {}),
          });
        }}
      />
      {problem ? <Notice kind="stop">{problem}</Notice> : null}
      {read ? (
        <Text kind="quiet">{`${read.count} readings, ${length(read.least)} to ${length(read.greatest)}.`}</Text>
      ) : null}
    </View>
  );
}

const NONE = '';

/** A place on a piece that gives its veneer. */
export function Harvest({ veneer: { harvest }, onChange }: Props) {
  const { records: pieces } = useList('piece');
  if (pieces.length === 0) return null;
  return (
    <View style={{ gap: 12 }}>
      <Chips
        label="A hidden place of a piece that gives it"
        help="A back, the inside of a door, the edge under a lock. Wipe it with spirits before you photograph it: so it looks under finish. That place gets new veneer instead."
        options={[
          { value: NONE, label: 'No, from the shelf' },
          ...pieces.map((p) => ({ value: p.id, label: p.body.name })),
        ]}
        value={harvest?.pieceId ?? NONE}
        onChange={(pieceId) =>
          onChange({ harvest: pieceId === NONE ? undefined : { pieceId, place: harvest?.place ?? '' } })
        }
      />
      {harvest ? (
        <TextField
          label="Which place"
          value={harvest.place}
          most={200}
          onChange={(place) => onChange({ harvest: { ...harvest, place: place.trim() } })}
        />
      ) : null}
    </View>
  );
}
