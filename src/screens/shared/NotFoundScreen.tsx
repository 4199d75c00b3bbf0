import { router, usePathname } from 'expo-router';
import { View } from 'react-native';
import { Button, Text } from '@/ui';
import { Page } from './Page';

/** An address that leads nowhere. */
export function NotFoundScreen() {
  const path = usePathname();
  return (
    <Page title="There is no such page">
      <Text verbatim>{`“${path.slice(0, 120)}” leads nowhere. Your pieces are where they were.`}</Text>
      <View style={{ gap: 12, flexDirection: 'row', flexWrap: 'wrap' }}>
        <Button label="To the pieces" kind="main" onPress={() => router.replace('/')} />
        <Button label="To the bench" onPress={() => router.replace('/bench')} />
      </View>
    </Page>
  );
}
