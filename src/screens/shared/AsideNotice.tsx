import { Link } from 'expo-router';
import { View } from 'react-native';
import { counted, useAside, type Kind } from '@/records';
import { Notice, Text } from '@/ui';

/** Tells, where they would have been seen, that records could not be read. @param of only those that may belong to this piece */
export function AsideNotice({ kinds, of }: { kinds: readonly Kind[]; of?: string }) {
  const aside = useAside(kinds).filter(
    // A torn record may not say any more whose it was.
    ({ text }) => of === undefined || text.includes(`"${of}"`) || !text.includes('"pieceId":"'),
  );
  if (aside.length === 0) return null;
  const words = kinds
    .map((k) => [k, aside.filter((a) => a.key.startsWith(`${k}/`)).length] as const)
    .filter(([, n]) => n > 0)
    .map(([k, n]) => counted(k, n))
    .join(', ');
  return (
    <Notice kind="stop" title={`Not shown here, because it could not be read: ${words}`}>
      <View style={{ gap: 6 }}>
        <Text>It is kept as it is, and goes into every backup. Everything else works.</Text>
        <Link href="/data">
          <Text kind="label" tone="lampText" style={{ textDecorationLine: 'underline' }}>
            See what was set aside
          </Text>
        </Link>
      </View>
    </Notice>
  );
}
