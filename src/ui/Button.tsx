import type { ReactNode } from 'react';
import { Pressable, StyleSheet, View, type GestureResponderEvent } from 'react-native';
import { Text } from './Text';
import { useWords } from './words';
import { useOnce } from './useOnce';
import { planed, space, useTheme } from './theme';

type Props = {
  label: string;
  /** A promise: it is not begun again before that is over. */
  onPress: () => void | Promise<unknown>;
  kind?: 'main' | 'plain' | 'quiet' | 'danger';
  disabled?: boolean;
  /** For hands that hold something else: as wide as there is room, and tall. */
  big?: boolean;
  icon?: ReactNode;
  /** What a reader that speaks says, when the label alone is not enough. */
  name?: string;
};

/** An action. One main action per view; the rest are plain. */
export function Button({ label, onPress, kind = 'plain', disabled = false, big = false, icon, name }: Props) {
  const theme = useTheme();
  const words = useWords();
  const { begin, running } = useOnce(name ?? label, onPress);
  const main = kind === 'main';
  const tone = main ? 'onChosen' : kind === 'danger' ? 'oxblood' : 'ink';
  return (
    <Pressable
      role="button"
      aria-label={words(name ?? label)}
      aria-disabled={disabled || running}
      disabled={disabled || running}
      // A reader that speaks may press without an event.
      onPress={(event?: GestureResponderEvent) => begin(event?.timeStamp)}
      style={({ pressed }) => [
        styles.base,
        main && [styles.main, planed, { backgroundColor: theme.chosen }],
        (kind === 'plain' || kind === 'danger') && [
          styles.plain,
          { borderColor: kind === 'danger' ? theme.oxblood : theme.control },
        ],
        big && styles.big,
        pressed && styles.pressed,
        disabled && styles.disabled,
        running && styles.pressed,
      ]}
    >
      {icon ? <View style={styles.icon}>{icon}</View> : null}
      <Text kind="strong" tone={tone} style={kind === 'quiet' ? styles.underlined : undefined}>
        {label}
      </Text>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  base: {
    minHeight: 48,
    paddingHorizontal: space(4),
    paddingVertical: space(2),
    flexDirection: 'row',
    alignItems: 'center',
    justifyContent: 'center',
    alignSelf: 'flex-start',
  },
  main: { paddingHorizontal: space(5), minHeight: 52 },
  plain: { borderWidth: 1.5, borderRadius: 6 },
  big: { minHeight: 84, alignSelf: 'stretch' },
  pressed: { opacity: 0.75 },
  disabled: { opacity: 0.45 },
  icon: { marginRight: space(2) },
  underlined: { textDecorationLine: 'underline' },
});
