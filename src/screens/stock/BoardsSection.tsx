import { router } from 'expo-router';
import { View } from 'react-native';
import { woodName } from '@/core/wood';
import { createRecord, newLumber, useList, type Lumber, type Stored } from '@/records';
import { Button, Section, Text } from '@/ui';
import { LinkRow } from '../shared/LinkRow';
import { useAct } from '../shared/useAct';
import { useUnits } from '../shared/useUnits';

const lumberWords = (
  { species, alongMm, acrossMm, thickMm }: Lumber,
  length: (mm: number) => string,
): string => `${woodName(species)}, ${length(alongMm)} × ${length(acrossMm)} × ${length(thickMm)}`;

/** Boards, each leading to its own page. */
export function BoardRows({ boards }: { boards: readonly Stored<'lumber'>[] }) {
  const { length } = useUnits();
  return (
    <View>
      {boards.map((b) => (
        <LinkRow
          key={b.id}
          href={`/lumber/${b.id}`}
          title={b.body.name}
          detail={lumberWords(b.body, length)}
        />
      ))}
    </View>
  );
}

/** The boards in the rack, from which blocks, strips and parts are sawn. */
export function BoardsSection() {
  const { records, loading } = useList('lumber');
  const act = useAct();
  const add = (): Promise<void> =>
    act(async () => {
      const record = await createRecord('lumber', newLumber(records.length + 1));
      router.push(`/lumber/${record.id}`);
    });
  return (
    <Section title="Boards in the rack" help="Solid wood: dutchmen, strips and new parts are laid out on it.">
      {records.length === 0 && !loading ? <Text kind="quiet">None yet.</Text> : null}
      <BoardRows boards={records} />
      <Button label="Add a board" kind="quiet" onPress={add} />
    </Section>
  );
}
