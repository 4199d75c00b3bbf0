import { useState } from 'react';
import { View } from 'react-native';
import { methodById } from '@/core/catalogue';
import { kindInfo } from '@/core/damage';
import { dayText } from '@/core/front';
import { localNow, type Stored } from '@/records';
import { Button, Fold, Text, TextField, useSay } from '@/ui';
import { useAct } from '../shared/useAct';
import { useChange } from '../shared/useChange';
import { useUnits } from '../shared/useUnits';

/** A repair that turned out to be more: what it was stays told, what was done stays in the log, and its steps are planned anew. */
export function GrewFold({ damage, areaMm2 }: { damage: Stored<'damage'>; areaMm2: number | undefined }) {
  const change = useChange();
  const say = useSay();
  const { area } = useUnits();
  const act = useAct();
  const [note, setNote] = useState('');
  const { grew = [], kind, method, links } = damage.body;
  const grow = (): Promise<void> =>
    act(async () => {
      const was = {
        at: localNow(),
        note: note.trim(),
        kind,
        ...(method ? { method } : {}),
        ...(areaMm2 === undefined ? {} : { areaMm2 }),
      };
      if (!(await change(damage, { grew: [...grew, was], method: undefined, links: undefined }))) return;
      setNote('');
      say({
        text: 'Its steps are planned anew. Mark what it is now, then decide; what was done stays in the record.',
      });
    });
  return (
    <Fold title={grew.length > 0 ? `It has grown (${grew.length})` : 'It turned out to be more'}>
      {grew.map((g) => (
        <View key={g.at}>
          <Text kind="strong">{dayText(g.at)}</Text>
          <Text>
            {[
              `Before: ${kindInfo(g.kind).label.toLowerCase()}${g.areaMm2 === undefined ? '' : `, ${area(g.areaMm2)}`}${g.method ? `, ${methodById(g.method).label.toLowerCase()}` : ''}.`,
              g.note,
            ]
              .filter(Boolean)
              .join(' ')}
          </Text>
        </View>
      ))}
      <Text kind="quiet">
        A chip that ran on, a core that crumbled: keep what was planned and done as history, and plan the rest
        anew.
      </Text>
      <TextField label="What has shown itself" value={note} onChange={setNote} lines={2} most={1000} />
      <Button label="Plan it anew" onPress={grow} />
      {method && links ? <Text kind="quiet">The method is chosen anew as well.</Text> : null}
    </Fold>
  );
}
