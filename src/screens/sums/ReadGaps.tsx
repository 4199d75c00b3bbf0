import { View } from 'react-native';
import { gapViewOf, type Repair } from '@/core/job';
import { GAPS_SOURCE, gapsWords } from '@/core/sight';
import { describeSource } from '@/core/sources';
import { Button, Text, useSay } from '@/ui';
import { call } from '@/worker';
import { useKeepAll } from '../shared/kept';
import { useAct } from '../shared/useAct';
import { useUnits } from '../shared/useUnits';

/** Proposes the gaps along a joint from the photo of its face, for a feeler to correct. */
export function ReadGaps({ repair, fields }: { repair: Repair; fields: readonly string[] }) {
  const act = useAct();
  const say = useSay();
  const keep = useKeepAll();
  const { length } = useUnits();
  const place = gapViewOf(repair);
  if (!place) return null;
  const read = (): Promise<void> =>
    act(async () => {
      const found = await call('gaps', { view: place.view, line: place.line, stations: fields.length });
      const undo = found.seen
        ? keep(Object.fromEntries(fields.map((f, i) => [f, Number((found.gapsMm[i] ?? 0).toFixed(2))])))
        : undefined;
      say({ text: gapsWords(found, length), ...(undo ? { action: { label: 'Undo', run: undo } } : {}) });
    });
  return (
    <View style={{ gap: 8 }}>
      <Button label="Read the gaps from the photo" onPress={read} />
      <Text kind="quiet">{describeSource(GAPS_SOURCE)}</Text>
    </View>
  );
}
