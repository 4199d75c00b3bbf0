import { router } from 'expo-router';
import { View } from 'react-native';
import { Button, Notice, Text } from '@/ui';

/** Nothing to work with yet. @param what is worked out once there is */
export function EmptyShelf({ title, what }: { title: string; what: string }) {
  return (
    <Notice kind="rest" title={title}>
      <View style={{ gap: 8 }}>
        <Text>{`Put yours on the colour shelf; then ${what}, is worked out.`}</Text>
        <Button label="Open the colour shelf" kind="main" onPress={() => router.push('/colours')} />
      </View>
    </Notice>
  );
}
