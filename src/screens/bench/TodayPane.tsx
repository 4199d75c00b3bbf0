import { router } from 'expo-router';
import { View } from 'react-native';
import { daysOf, dayText, nextWords, type Front } from '@/core/front';
import { Button, Text } from '@/ui';
import { Pane } from '../shared/Page';
import { DayStrip } from './DayStrip';

/** Days that are shown beside the list. */
const DAYS_AHEAD = 5;

/** The next days at the bench over all pieces, beside the list of pieces on a wide screen. */
export function TodayPane({ front: { bars, hours }, now }: { front: Front; now: string }) {
  const next = bars.find((b) => b.next);
  return (
    <Pane>
      <Text kind="heading">The days ahead</Text>
      {next ? (
        <Text>{`Next, ${nextWords(next.start, now)}: ${next.title} (${next.piece}).`}</Text>
      ) : (
        <Text kind="quiet">Nothing is planned. Decide a repair, and its steps appear here.</Text>
      )}
      {daysOf(bars)
        .slice(0, DAYS_AHEAD)
        .map((day) => (
          <View key={day} style={{ gap: 8 }}>
            <Text kind="subheading">{dayText(day)}</Text>
            <DayStrip day={day} bars={bars} hours={hours} now={now} pieces />
          </View>
        ))}
      <Button label="Open the bench" onPress={() => router.push('/bench')} />
    </Pane>
  );
}
