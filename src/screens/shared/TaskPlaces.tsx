import { View } from 'react-native';
import type { BenchTask } from '@/core/bench';
import { damageLabel, worksheetPage } from '@/core/job';
import { useList } from '@/records';
import { Button, Fold } from '@/ui';
import { LinkRow } from './LinkRow';
import { useChange } from './useChange';

/** The places a step is done for: a way to the worksheet of each, and, where several are worked together, a way to take one out. */
export function TaskPlaces({ task: { places = [], method, main } }: { task: BenchTask }) {
  const { records } = useList('damage');
  const change = useChange();
  const damages = records.filter((d) => places.includes(d.id));
  if (damages.length === 0) return null;
  const list = (
    <View style={{ gap: 8 }}>
      {damages.map((damage) => {
        const { body, id } = damage;
        const label = damageLabel(body);
        return (
          <View key={id} style={{ gap: 4 }}>
            {main ? (
              <LinkRow href={worksheetPage(id, method ?? main, main)} title={label} detail="Its worksheet" />
            ) : null}
            {damages.length > 1 || body.alone ? (
              <View style={{ alignItems: 'flex-start' }}>
                <Button
                  label={body.alone ? 'Work it with the others' : 'Work it by itself'}
                  name={`${body.alone ? 'Work with the others' : 'Work by itself'}: ${label}`}
                  kind="quiet"
                  onPress={() => void change(damage, { alone: body.alone ? undefined : true })}
                />
              </View>
            ) : null}
          </View>
        );
      })}
    </View>
  );
  return damages.length > 1 ? <Fold title={`${damages.length} places worked together`}>{list}</Fold> : list;
}
