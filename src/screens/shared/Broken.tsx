import { router } from 'expo-router';
import { View } from 'react-native';
import { download } from '@/instruments/file';
import { Button, Notice, Text } from '@/ui';
import { Page } from './Page';

const report = (error: unknown): string =>
  [
    'Report of a page of Rustic Lantern that stopped. It holds no photos and none of your records.',
    new Date().toISOString(),
    location.pathname,
    navigator.userAgent,
    error instanceof Error ? (error.stack ?? error.message) : String(error),
  ].join('\n\n');

// From its own file: the rest of the instruments is not loaded with the first page.
const saveReport = (error: unknown): void =>
  download(report(error), 'rustic-lantern-report.txt', 'text/plain');

/** Stands in for a page that stopped: what happened, what is safe, and the ways on. */
export function Broken({ error, resetErrorBoundary }: { error: unknown; resetErrorBoundary: () => void }) {
  return (
    <Page title="This page stopped" eyebrow="A fault of the app, not of yours">
      <Notice kind="stop" title="All that was saved is safe">
        Nothing was deleted or changed. The other pages work; this one met something it could not work out.
      </Notice>
      <Text>{`What happened: ${error instanceof Error ? error.message : String(error)}`}</Text>
      <View style={{ gap: 12, flexDirection: 'row', flexWrap: 'wrap' }}>
        <Button label="Try again" kind="main" onPress={resetErrorBoundary} />
        <Button
          label="Back to the pieces"
          onPress={() => {
            router.replace('/');
            resetErrorBoundary();
          }}
        />
        <Button label="Save a report to a file" kind="quiet" onPress={() => saveReport(error)} />
      </View>
    </Page>
  );
}
