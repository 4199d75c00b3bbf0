import { Link, type Href } from 'expo-router';
import { Children, startTransition, useEffect, useState, type ReactNode } from 'react';
import { ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import { space, Text, useTheme, WIDE_PX } from '@/ui';

export const useWide = (): boolean => useWindowDimensions().width >= WIDE_PX;

/** What scrolls can be reached and scrolled by keyboard. */
const reachable = (label: string) => ({ role: 'region', tabIndex: 0, 'aria-label': label }) as const;

/** So many parts stand in a page's first picture; more than that lies below a phone's edge. */
const FIRST_PARTS = 3;

/** False while a page is drawn for the first time, and true as soon as that can be seen. */
function useDrawn(): boolean {
  const [drawn, setDrawn] = useState(false);
  useEffect(() => startTransition(() => setDrawn(true)), []);
  return drawn;
}

/** What is long and lies below what is read first: it follows when that stands. */
export function Later({ children }: { children: ReactNode }) {
  return useDrawn() ? children : null;
}

/** The parts of a page: the first at once, the rest as soon as they can be seen. */
function Parts({ children }: { children: ReactNode }) {
  const whole = useDrawn();
  const parts = Children.toArray(children);
  return <View style={styles.body}>{whole ? parts : parts.slice(0, FIRST_PARTS)}</View>;
}

type Props = {
  title: string;
  eyebrow?: string;
  back?: { href: Href; label: string };
  /** The picture or drawing this page is about: above the text on a phone, in the middle on a wide screen. */
  board?: ReactNode;
  /** A list to the left on a wide screen; left out on a phone, where `back` leads to it. */
  list?: ReactNode;
  children: ReactNode;
};

/** A page: one column on a phone; list, canvas and detail side by side where there is room. */
export function Page({ title, eyebrow, back, board, list, children }: Props) {
  const theme = useTheme();
  const wide = useWide();
  const head = (
    <View style={styles.head}>
      {back && !(wide && list) ? (
        <Link href={back.href} style={styles.back} aria-label={`Back to ${back.label}`}>
          <Text kind="label" tone="lampText" style={styles.underlined}>
            ‹ {back.label}
          </Text>
        </Link>
      ) : null}
      {eyebrow ? (
        <Text kind="label" verbatim>
          {eyebrow}
        </Text>
      ) : null}
      <Text kind="title" verbatim>
        {title}
      </Text>
    </View>
  );
  if (!wide) {
    return (
      <ScrollView
        {...reachable(title)}
        style={{ backgroundColor: theme.ground }}
        contentContainerStyle={styles.phone}
      >
        {head}
        {board}
        <Parts>{children}</Parts>
      </ScrollView>
    );
  }
  const column = { borderColor: theme.line };
  return (
    <View style={[styles.wide, { backgroundColor: theme.ground }]}>
      {list ? (
        <ScrollView {...reachable('Trail')} style={[styles.list, column]} contentContainerStyle={styles.pad}>
          {list}
        </ScrollView>
      ) : null}
      {board ? <View style={[styles.canvas, column]}>{board}</View> : null}
      <ScrollView
        {...reachable(title)}
        style={board ? styles.detail : styles.full}
        contentContainerStyle={[styles.pad, !board && styles.reading]}
      >
        {head}
        <Parts>{children}</Parts>
      </ScrollView>
    </View>
  );
}

/** Text and controls in the middle column of a wide screen; on a phone they stand above the rest. */
export function Pane({ children }: { children: ReactNode }) {
  const wide = useWide();
  const body = <View style={[styles.body, wide ? styles.pane : styles.above]}>{children}</View>;
  return wide ? (
    <ScrollView {...reachable('Overview')} contentContainerStyle={styles.pad}>
      {body}
    </ScrollView>
  ) : (
    body
  );
}

const styles = StyleSheet.create({
  phone: { paddingBottom: space(10) },
  head: { paddingHorizontal: space(5), paddingTop: space(4), paddingBottom: space(3), gap: 2 },
  back: { minHeight: 44, justifyContent: 'center', paddingVertical: space(3) },
  underlined: { textDecorationLine: 'underline' },
  body: { paddingHorizontal: space(5), gap: space(5), paddingTop: space(2) },
  wide: { flex: 1, flexDirection: 'row' },
  list: { width: 268, flexGrow: 0, flexShrink: 0, borderRightWidth: 1 },
  canvas: { flex: 1, minWidth: 0, borderRightWidth: 1 },
  detail: { width: 432, flexGrow: 0, flexShrink: 0 },
  full: { flex: 1 },
  pad: { paddingBottom: space(10) },
  reading: { maxWidth: 760 },
  above: { paddingBottom: space(4) },
  pane: { paddingTop: space(6), maxWidth: 760 },
});
