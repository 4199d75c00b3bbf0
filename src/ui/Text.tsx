import type { ReactNode } from 'react';
import { StyleSheet, Text as NativeText, type StyleProp, type TextStyle } from 'react-native';
import { fonts, useTheme, type Palette } from './theme';
import { useWords } from './words';

export type TextKind =
  'title' | 'heading' | 'subheading' | 'body' | 'strong' | 'quiet' | 'label' | 'figure' | 'number';

type Props = {
  kind?: TextKind;
  tone?: keyof Omit<Palette, 'name'>;
  style?: StyleProp<TextStyle>;
  children: ReactNode;
  live?: boolean;
  /** The user's own words, which are shown as they were typed. */
  verbatim?: boolean;
};

const isPlain = (part: unknown): part is string | number =>
  typeof part === 'string' || typeof part === 'number';

const LEVEL: Partial<Record<TextKind, 1 | 2 | 3>> = { title: 1, heading: 2, subheading: 3 };

/** All text of the app. Headings carry their level for readers that speak. */
export function Text({ kind = 'body', tone, style, children, live, verbatim = false }: Props) {
  const theme = useTheme();
  const words = useWords();
  // A sentence may come in parts, as JSX puts it together.
  const parts = Array.isArray(children) ? children : [children];
  const said = !verbatim && parts.every(isPlain) ? words(parts.join('')) : children;
  const level = LEVEL[kind];
  const quiet = kind === 'quiet' || kind === 'label';
  return (
    <NativeText
      {...(level ? { role: 'heading', 'aria-level': level } : {})}
      {...(live ? { 'aria-live': 'polite' } : {})}
      style={[styles[kind], { color: tone ? theme[tone] : quiet ? theme.quiet : theme.ink }, style]}
    >
      {said}
    </NativeText>
  );
}

const styles = StyleSheet.create({
  title: { fontFamily: fonts.slab, fontSize: 28, lineHeight: 33 },
  heading: { fontFamily: fonts.slab, fontSize: 21, lineHeight: 26 },
  subheading: { fontFamily: fonts.bold, fontSize: 16, lineHeight: 22 },
  body: { fontFamily: fonts.text, fontSize: 16, lineHeight: 23 },
  strong: { fontFamily: fonts.bold, fontSize: 16, lineHeight: 23 },
  quiet: { fontFamily: fonts.text, fontSize: 15, lineHeight: 21 },
  label: { fontFamily: fonts.text, fontSize: 14, lineHeight: 19 },
  figure: { fontFamily: fonts.mono, fontSize: 32, lineHeight: 38, letterSpacing: -0.5 },
  number: { fontFamily: fonts.mono, fontSize: 17, lineHeight: 23 },
});
