import { router } from 'expo-router';
import { View } from 'react-native';
import { Button, Text } from '@/ui';
import { Pane } from '../shared/Page';
import { DayStrip } from './DayStrip';
import { dayText, useBenchView } from './useBenchView';

/** The next days at the bench over all pieces, beside the list of pieces on a wide screen. */
export function TodayPane() {
  const { next, days, strips, hours } = useBenchView(undefined);
  return (
    <Pane>
      <Text kind="heading">The days ahead</Text>
      {next ? (
        <Text>{`Next, at ${next.when.start.slice(11, 16)}: ${next.title} (${next.pieceName}).`}</Text>
      ) : (
        <Text kind="quiet">Nothing is planned. Decide a repair, and its steps appear here.</Text>
      )}
      {days.slice(0, 5).map((day) => (
        <View key={day} style={{ gap: 8 }}>
          <Text kind="subheading">{dayText(day)}</Text>
          <DayStrip day={day} tasks={strips} hours={hours} />
        </View>
      ))}
      <Button label="Open the bench" onPress={() => router.push('/bench')} />
    </Pane>
  );
}
