import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { backupReminder, found } from '@/core/front';
import { localNow } from '@/records/clock';
import { Button, LitCard, Notice, SearchField, Section, Text } from '@/ui';
import { TodayPane } from '../bench/TodayPane';
import { loadWorkshop } from '../fromWorkshop';
import { useEarlyWorkshop } from './useEarlyWorkshop';
import { Page, useWide } from '../shared/Page';
import { Trouble } from '../shared/Trouble';
import { useAct } from '../shared/useAct';
import { WhenSeen } from '../shared/WhenSeen';
import { PieceRow } from './PieceRow';
import { useFrontNow } from './useFrontNow';

/** So many rows are drawn at first, and again whenever the end of the list comes into sight. */
const ROWS_AT_ONCE = 25;
/** So few are seen at a glance. */
const FEW = 8;

/** The first screen: a quick answer, and the pieces in the shop. It loads no sums: they are made in the worker. */
export function PiecesScreen() {
  const act = useAct();
  const [shown, setShown] = useState(ROWS_AT_ONCE);
  const wide = useWide();
  const { front, loading, problem } = useFrontNow(wide);
  const now = localNow();
  const { unreadable, unsaved } = front;
  const [search, setSearch] = useState('');
  const pieces = found(front.pieces, search);
  const due = unsaved ? backupReminder(unsaved, now) : undefined;
  useEarlyWorkshop();
  const add = (): Promise<void> =>
    act(async () => {
      const { addPiece } = await loadWorkshop();
      router.push(`/piece/${await addPiece(front.pieces.length + 1)}/about`);
    });
  return (
    <Page
      title="Rustic Lantern"
      eyebrow="What is wrong with the wood, and what to do about it"
      board={wide && front.pieces.length > 0 ? <TodayPane front={front} now={now} /> : undefined}
    >
      {problem ? <Trouble problem={problem} /> : null}
      {unreadable > 0 ? (
        <Notice kind="stop" title={`${unreadable} of the stored pieces could not be read.`}>
          They are kept aside, and go into every backup. See “Your data” in the shop; everything else works.
        </Notice>
      ) : null}
      <LitCard eyebrow="No record needed" title="One damage, one answer">
        <Text>
          Say what it is, how large, on what wood and under what finish. The repair comes with its reasons.
        </Text>
        <Button label="Quick answer" kind="main" onPress={() => router.push('/quick')} />
      </LitCard>
      {due ? (
        <Notice kind="rest" title="Save a copy">
          <View style={{ gap: 8 }}>
            <Text>{due}</Text>
            <Button label="Save to a file" onPress={() => router.push('/data')} />
          </View>
        </Notice>
      ) : null}
      <Section title="Pieces">
        {front.pieces.length > FEW ? (
          <SearchField label="Find a piece" value={search} onChange={setSearch} />
        ) : null}
        {front.pieces.length === 0 && !loading ? (
          <View style={{ gap: 12 }}>
            <Text>
              A piece of furniture, its faces and their damages are kept here, from the first photo to the
              finished record.
            </Text>
            <Button label="Add a piece" onPress={add} />
            <Button
              label="Look round with the demo pieces"
              kind="quiet"
              onPress={() => router.push('/demo')}
            />
          </View>
        ) : (
          <View>
            {pieces.length === 0 && search ? <Text kind="quiet">No piece is called so.</Text> : null}
            {pieces.slice(0, shown).map((p) => (
              <PieceRow key={p.id} piece={p} today={now} bars={front.bars} />
            ))}
            {shown < pieces.length ? (
              <WhenSeen key={shown} onSeen={() => setShown(shown + ROWS_AT_ONCE)} />
            ) : null}
            <View style={{ paddingTop: 16 }}>
              <Button label="Add a piece" onPress={add} />
            </View>
          </View>
        )}
      </Section>
    </Page>
  );
}
