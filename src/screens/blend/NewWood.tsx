import { router } from 'expo-router';
import { useList, type Stored } from '@/records';
import { Button, Chips, Section, Text } from '@/ui';
import { useChange } from '../shared/useChange';

/** Which veneer of the stock is the same wood as a let-in piece, plug or new part: the colour is worked out from its photo. */
export function NewWood({ damage }: { damage: Stored<'damage'> }) {
  const change = useChange();
  const seen = useList('veneer').records.filter((v) => v.body.pictureId);
  const { patch } = damage.body;
  return (
    <Section
      title="The wood that is let in"
      help="Choose the veneer in your stock that is the same wood. Its photo, bare and in even light, gives the colour to start from."
    >
      {seen.length > 0 ? (
        <Chips
          label="New wood"
          options={seen.map((v) => ({ value: v.id, label: v.body.name }))}
          value={patch.veneerId}
          onChange={(veneerId) => change(damage, { patch: { ...patch, veneerId } })}
        />
      ) : (
        <>
          <Text>
            Nothing in your stock has a photo yet. Add a leaf of the same wood, photographed bare, and choose
            it here.
          </Text>
          <Button label="Open the stock" kind="main" onPress={() => router.push('/stock')} />
        </>
      )}
    </Section>
  );
}
