import { Link, type Href } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { space, Text, useTheme } from '@/ui';

/** A line that leads somewhere. */
export function LinkRow({
  href,
  title,
  detail,
  mark,
  value,
  state,
}: {
  href: string;
  title: string;
  detail?: string;
  mark?: React.ReactNode;
  value?: string;
  /** Said by readers that speak, where the drawing shows it by a mark. */
  state?: string;
}) {
  const theme = useTheme();
  return (
    <Link
      href={href as Href}
      aria-label={[title, detail, state].filter(Boolean).join('. ')}
      style={[styles.row, { borderColor: theme.line }]}
    >
      <View style={styles.inner}>
        {mark}
        <View style={styles.text}>
          <Text kind="strong" verbatim>
            {title}
          </Text>
          {detail ? <Text kind="quiet">{detail}</Text> : null}
        </View>
        {value ? <Text kind="number">{value}</Text> : null}
        <Text kind="quiet">›</Text>
      </View>
    </Link>
  );
}

const styles = StyleSheet.create({
  row: { borderBottomWidth: 1, borderStyle: 'solid', minHeight: 52, display: 'flex' },
  inner: { flexDirection: 'row', alignItems: 'center', gap: space(3), flex: 1, paddingVertical: space(2) },
  text: { flex: 1 },
});
