import { Text } from './Text';
import { fonts, useTheme } from './theme';
import { View } from 'react-native';

/** A day, picked with the browser's own calendar; empty when none is set. */
export function DateField({
  label,
  help,
  value,
  onChange,
}: {
  label: string;
  help?: string;
  /** Such as 2026-05-01. */
  value: string | undefined;
  onChange: (day: string | undefined) => void;
}) {
  const theme = useTheme();
  return (
    <View style={{ gap: 6 }}>
      <Text kind="strong">{label}</Text>
      {help ? <Text kind="quiet">{help}</Text> : null}
      <input
        type="date"
        aria-label={label}
        value={value ?? ''}
        onChange={(e) => onChange(e.currentTarget.value || undefined)}
        style={{
          minHeight: 48,
          boxSizing: 'border-box',
          maxWidth: 220,
          padding: '8px 12px',
          border: `1.5px solid ${theme.control}`,
          borderRadius: 6,
          background: theme.board,
          color: theme.ink,
          colorScheme: theme.name === 'lamplight' ? 'dark' : 'light',
          fontFamily: fonts.mono,
          fontSize: 17,
        }}
      />
    </View>
  );
}
