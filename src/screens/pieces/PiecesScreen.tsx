import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { SCHOOLS } from '@/core/terms';
import { createRecord, localNow, newPiece, useList, type Stored } from '@/records';
import { Button, LitCard, Notice, Section, Text } from '@/ui';
import { trailOf } from '../shared/nextStep';
import { Page, useWide } from '../shared/Page';
import { TodayPane } from '../bench/TodayPane';
import { LinkRow } from '../shared/Trail';
import { useAct } from '../shared/useAct';
import { useProgress, type Progress } from '../shared/useBench';
import { usePieceViews, type PieceView } from '../shared/usePiece';
import { WhenSeen } from '../shared/WhenSeen';

/** So many rows are drawn at first, and again whenever the end of the list comes into sight. */
const ROWS_AT_ONCE = 25;

/** The first screen: a quick answer, and the pieces in the shop. */
export function PiecesScreen() {
  const { records, unreadable, loading, error } = useList('piece');
  const act = useAct();
  const progress = useProgress();
  const viewOf = usePieceViews();
  const [shown, setShown] = useState(ROWS_AT_ONCE);
  const wide = useWide();
  const add = (): void =>
    act(async () => {
      const record = await createRecord('piece', newPiece(`Piece ${records.length + 1}`, localNow()));
      router.push(`/piece/${record.id}/about`);
    });
  const pieces = [...records].sort((a, b) => b.body.createdAt.localeCompare(a.body.createdAt));
  return (
    <Page
      title="Rustic Lantern"
      eyebrow="What is wrong with the wood, and what to do about it"
      board={wide && pieces.length > 0 ? <TodayPane /> : undefined}
    >
      {error ? <Notice kind="stop">{error.message}</Notice> : null}
      {unreadable > 0 ? (
        <Notice kind="stop" title={`${unreadable} of the stored pieces could not be read.`}>
          They are kept aside. You can save them from the shop page under “Set aside”; everything else works.
        </Notice>
      ) : null}
      <LitCard eyebrow="No record needed" title="One damage, one answer">
        <Text>
          Say what it is, how large, on what wood and under what finish. The repair comes with its reasons.
        </Text>
        <Button label="Quick answer" kind="main" onPress={() => router.push('/quick')} />
      </LitCard>
      <Section title="Pieces">
        {pieces.length === 0 && !loading ? (
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
            {pieces.slice(0, shown).map((p) => (
              <PieceRow key={p.id} view={viewOf(p)} progress={progress(p.id)} />
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

/** A row with what is next for its piece. */
function PieceRow({ view, progress }: { view: PieceView & { piece: Stored<'piece'> }; progress: Progress }) {
  const { done, all } = progress;
  const { piece } = view;
  const { next } = trailOf(view, progress);
  return (
    <LinkRow
      href={`/piece/${piece.id}`}
      title={piece.body.name}
      detail={`${SCHOOLS[piece.body.school].label} · next: ${next.title.charAt(0).toLowerCase()}${next.title.slice(1)}`}
      value={all > 0 ? `${done}/${all}` : ''}
    />
  );
}
