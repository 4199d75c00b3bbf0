import { Pressable, StyleSheet, View } from 'react-native';
import { Text } from './Text';
import { useWords } from './words';
import { space, useTheme } from './theme';

type Option<V> = { value: V; label: string };
type Props<V> = {
  label: string;
  help?: string;
  options: readonly Option<V>[];
  value: V | undefined;
  onChange: (value: V) => void;
  /** Hides the label, for groups whose heading already says it; readers that speak still hear it. */
  bare?: boolean;
};

/** One of a few: big targets in a row that wraps. */
export function Chips<V extends string | boolean | number>({
  label,
  help,
  options,
  value,
  onChange,
  bare,
}: Props<V>) {
  const theme = useTheme();
  const words = useWords();
  return (
    <View role="radiogroup" aria-label={words(label)} style={styles.group}>
      {bare ? null : <Text kind="strong">{label}</Text>}
      {help ? <Text kind="quiet">{help}</Text> : null}
      <View style={styles.row}>
        {options.map((o) => {
          const chosen = o.value === value;
          return (
            <Pressable
              key={String(o.value)}
              role="radio"
              aria-checked={chosen}
              aria-label={words(o.label)}
              onPress={() => onChange(o.value)}
              style={[
                styles.chip,
                {
                  borderColor: chosen ? theme.chosen : theme.control,
                  backgroundColor: chosen ? theme.chosen : 'transparent',
                },
              ]}
            >
              <Text kind={chosen ? 'strong' : 'body'} tone={chosen ? 'onChosen' : 'ink'}>
                {o.label}
              </Text>
            </Pressable>
          );
        })}
      </View>
    </View>
  );
}

/** Any number of many: each target is on or off. */
export function CheckChips<V extends string>({
  label,
  options,
  values,
  onChange,
}: {
  label: string;
  options: readonly Option<V>[];
  values: readonly V[];
  onChange: (values: V[]) => void;
}) {
  const theme = useTheme();
  const words = useWords();
  return (
    <View role="group" aria-label={words(label)} style={styles.row}>
      {options.map((o) => {
        const on = values.includes(o.value);
        return (
          <Pressable
            key={o.value}
            role="checkbox"
            aria-checked={on}
            aria-label={words(o.label)}
            onPress={() => onChange(on ? values.filter((v) => v !== o.value) : [...values, o.value])}
            style={[
              styles.chip,
              {
                borderColor: on ? theme.chosen : theme.control,
                backgroundColor: on ? theme.chosen : 'transparent',
              },
            ]}
          >
            <Text kind={on ? 'strong' : 'body'} tone={on ? 'onChosen' : 'ink'}>
              {`${on ? '✓ ' : ''}${o.label}`}
            </Text>
          </Pressable>
        );
      })}
    </View>
  );
}

/** Turns a table of labels into options. */
export const optionsOf = <K extends string>(table: Record<K, string | { label: string }>): Option<K>[] =>
  (Object.keys(table) as K[]).map((value) => {
    const entry = table[value];
    return { value, label: typeof entry === 'string' ? entry : entry.label };
  });

const styles = StyleSheet.create({
  group: { gap: space(1.5) },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2) },
  chip: {
    // A long line wraps inside its chip rather than running out of the page.
    maxWidth: '100%',
    minHeight: 46,
    paddingVertical: space(1.5),
    justifyContent: 'center',
    paddingHorizontal: space(3.5),
    borderWidth: 1.5,
    borderRadius: 23,
  },
});
