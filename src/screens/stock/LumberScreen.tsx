import { useLocalSearchParams } from 'expo-router';
import { View } from 'react-native';
import { cautionsFor } from '@/core/safety';
import { lengthBetween } from '@/core/units';
import { useList, useOne, type Lumber } from '@/records';
import { Button, LengthField, TextField } from '@/ui';
import { Cautions } from '../shared/Cautions';
import { Missing } from '../shared/Missing';
import { Page } from '../shared/Page';
import { useDelete } from '../shared/useDelete';
import { useChange } from '../shared/useChange';
import { useUnits } from '../shared/useUnits';
import { WoodChips } from '../shared/WoodChips';
import { BoardRows } from './BoardsSection';

/** One board of the rack: its wood and its size. Blocks, strips and parts are sawn from it. */
export function LumberScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const { record, loading } = useOne('lumber', id);
  const { records } = useList('lumber');
  const change = useChange();
  const erase = useDelete();
  const { unit } = useUnits();
  if (!record) return <Missing what="This board" loading={loading} />;
  const { body } = record;
  const set = (patch: Partial<Lumber>): Promise<boolean> => change(record, patch);
  const risks = cautionsFor(['buyWood'], { species: body.species });
  const remove = (): Promise<void> => erase([{ kind: 'lumber', id: record.id }], body.name, '/stock');
  return (
    <Page
      title={body.name}
      eyebrow="Board in the rack"
      back={{ href: '/stock', label: 'Stock' }}
      list={
        <View style={{ padding: 16 }}>
          <BoardRows boards={records} />
        </View>
      }
    >
      {risks.length > 1 ? <Cautions ids={risks} title="Before you buy, sell or send it" /> : null}
      <TextField
        label="Name"
        value={body.name}
        onChange={(name) => set({ name: name.trim() || body.name })}
        most={120}
      />
      <WoodChips value={body.species} onChange={(species) => set({ species })} />
      <LengthField
        label="Length along the grain"
        valueMm={body.alongMm}
        unit={unit}
        check={lengthBetween('The length', 5, 10_000)}
        onChange={(alongMm) => set({ alongMm })}
      />
      <LengthField
        label="Width across the grain"
        valueMm={body.acrossMm}
        unit={unit}
        check={lengthBetween('The width', 5, 3000)}
        onChange={(acrossMm) => set({ acrossMm })}
      />
      <LengthField
        label="Thickness"
        valueMm={body.thickMm}
        unit={unit}
        check={lengthBetween('The thickness', 3, 300)}
        onChange={(thickMm) => set({ thickMm })}
      />
      <TextField
        label="Note"
        help="Where it came from, how old and how dry it is."
        value={body.note}
        onChange={(note) => set({ note })}
        lines={2}
      />
      <Button label="Delete this board" kind="danger" onPress={remove} />
    </Page>
  );
}
