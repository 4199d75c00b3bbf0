import { useState, type ReactNode } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Text } from './Text';
import { useWords } from './words';
import { planed, space, useTheme } from './theme';

/** The lit card: what needs the user now. One a view. */
export function LitCard({
  eyebrow,
  title,
  children,
}: {
  eyebrow: string;
  title: string;
  children?: ReactNode;
}) {
  const theme = useTheme();
  return (
    <View style={[styles.lit, planed, { backgroundColor: theme.lampFill, borderColor: theme.lampEdge }]}>
      <Text kind="label" tone="lampText">
        {eyebrow}
      </Text>
      <Text kind="heading">{title}</Text>
      {children}
    </View>
  );
}

/** Something that went wrong, or must be known before work begins. */
export function Notice({
  kind,
  title,
  standing = false,
  children,
}: {
  kind: 'stop' | 'rest';
  title?: string;
  /** It always stands there, so that it is read where it stands and not cried out. */
  standing?: boolean;
  children: ReactNode;
}) {
  const theme = useTheme();
  const stop = kind === 'stop';
  return (
    <View
      role={stop && !standing ? 'alert' : 'note'}
      style={[
        styles.notice,
        {
          backgroundColor: stop ? theme.oxbloodFill : theme.verdigrisFill,
          borderColor: stop ? theme.oxblood : theme.verdigris,
        },
      ]}
    >
      {title ? <Text kind="strong">{title}</Text> : null}
      {typeof children === 'string' ? <Text>{children}</Text> : children}
    </View>
  );
}

/** A heading with what belongs under it. */
export function Section({ title, help, children }: { title: string; help?: string; children: ReactNode }) {
  return (
    <View style={styles.section}>
      <Text kind="heading">{title}</Text>
      {help ? <Text kind="quiet">{help}</Text> : null}
      {children}
    </View>
  );
}

/** The source of a figure, opened by pressing the figure. */
function useSource(source: string | undefined) {
  const [open, setOpen] = useState(false);
  const shown =
    source && open ? (
      <View style={styles.source}>
        <Text kind="label">{source}</Text>
      </View>
    ) : null;
  return { open, toggle: () => setOpen((o) => !o), shown };
}

/** A figure and its unit in the units of this shop; the unit may change with it. */
function inParts(
  words: (text: string) => string,
  value: string,
  unit: string | undefined,
): [number: string, unit: string | undefined] {
  if (unit === undefined) return [words(value), undefined];
  const whole = `${value} ${unit}`;
  const said = words(whole);
  const parts = said === whole ? null : /^([±−-]?[\d./ ]*\d)\s(.*)$/.exec(said);
  return parts ? [parts[1] ?? value, parts[2]] : said === whole ? [value, unit] : [said, undefined];
}

/** A large figure with its unit, its meaning, and its source on demand. */
export function Figure({
  label,
  value,
  unit,
  note,
  source,
  alarm,
}: {
  label: string;
  value: string;
  unit?: string;
  note?: string;
  source?: string;
  alarm?: boolean;
}) {
  const { open, toggle, shown } = useSource(source);
  const words = useWords();
  const [number, scale] = inParts(words, value, unit);
  const body = (
    <>
      <Text kind="label" style={source ? styles.sourced : undefined}>
        {label}
      </Text>
      <View style={styles.figureRow}>
        <Text kind="figure" tone={alarm ? 'oxblood' : 'ink'}>
          {number}
        </Text>
        {scale ? <Text kind="body"> {scale}</Text> : null}
      </View>
      {note ? <Text kind="label">{note}</Text> : null}
    </>
  );
  if (!source) return <View style={styles.figure}>{body}</View>;
  return (
    <Pressable
      role="button"
      aria-expanded={open}
      aria-label={`${words(label)}: ${number} ${scale ?? ''}. Where does this come from?`}
      onPress={toggle}
      style={styles.figure}
    >
      {body}
      {shown}
    </Pressable>
  );
}

/** A line of a list: what, a sentence, and a figure at the end; its source on demand. */
export function Row({
  title,
  detail,
  value,
  source,
  last,
}: {
  title: string;
  detail?: string;
  value?: string;
  source?: string;
  last?: boolean;
}) {
  const theme = useTheme();
  const { open, toggle, shown } = useSource(source);
  const words = useWords();
  const line = last ? null : { borderBottomWidth: 1, borderColor: theme.line };
  const body = (
    <>
      <View style={styles.rowLine}>
        <View style={styles.rowText}>
          <Text kind="strong" style={source ? styles.sourced : undefined}>
            {title}
          </Text>
          {detail ? <Text kind="quiet">{detail}</Text> : null}
        </View>
        {value ? (
          <Text kind="number" style={styles.rowValue}>
            {value}
          </Text>
        ) : null}
      </View>
      {shown}
    </>
  );
  if (!source) return <View style={[styles.row, line]}>{body}</View>;
  return (
    <Pressable
      role="button"
      aria-expanded={open}
      aria-label={words(`${title}: ${value ?? ''}. Where does this come from?`)}
      onPress={toggle}
      style={[styles.row, line]}
    >
      {body}
    </Pressable>
  );
}

/** How far long work is, and a way out of it. */
export function Progress({
  label,
  fraction,
  onCancel,
}: {
  label: string;
  fraction: number;
  onCancel?: () => void;
}) {
  const theme = useTheme();
  const percent = Math.round(fraction * 100);
  return (
    <View style={styles.progress} role="status">
      <Text kind="quiet">{label}</Text>
      <View
        role="progressbar"
        aria-label={label}
        aria-valuenow={percent}
        aria-valuemin={0}
        aria-valuemax={100}
        style={[styles.track, { backgroundColor: theme.line }]}
      >
        <View style={[styles.bar, { width: `${percent}%`, backgroundColor: theme.verdigris }]} />
      </View>
      {onCancel ? (
        <Pressable role="button" aria-label="Cancel" onPress={onCancel} style={styles.cancel}>
          <Text kind="strong">Cancel</Text>
        </Pressable>
      ) : null}
    </View>
  );
}

/** Opens to what it hides. Whether it is open is its own affair, or that of whoever listens to its toggling. */
export function Fold({
  title,
  children,
  open: givenOpen = false,
  onToggle,
}: {
  title: string;
  children: ReactNode;
  open?: boolean;
  onToggle?: () => void;
}) {
  const theme = useTheme();
  const words = useWords();
  const [own, setOwn] = useState(givenOpen);
  const open = onToggle ? givenOpen : own;
  return (
    <View style={[styles.fold, { borderColor: theme.line }]}>
      <Pressable
        role="button"
        aria-expanded={open}
        aria-label={words(title)}
        onPress={onToggle ?? (() => setOwn((o) => !o))}
        style={styles.foldHead}
      >
        <Text kind="strong">{title}</Text>
        <Text kind="number">{open ? '−' : '+'}</Text>
      </Pressable>
      {open ? <View style={styles.foldBody}>{children}</View> : null}
    </View>
  );
}

const styles = StyleSheet.create({
  lit: { padding: space(4), gap: space(2.5), borderRightWidth: 3, borderTopWidth: 0 },
  notice: { padding: space(3), gap: space(1), borderLeftWidth: 4, borderRadius: 4 },
  section: { gap: space(3) },
  figure: { flexGrow: 1, minWidth: '42%', maxWidth: '100%', gap: 2, paddingVertical: space(1) },
  figureRow: { flexDirection: 'row', alignItems: 'baseline', flexWrap: 'wrap' },
  // A dotted line under a name: press it to see where its figure comes from.
  sourced: { textDecorationLine: 'underline', textDecorationStyle: 'dotted' },
  source: { paddingTop: space(1) },
  row: { paddingVertical: space(2.5), minHeight: 48, justifyContent: 'center' },
  rowLine: { flexDirection: 'row', alignItems: 'center', gap: space(3) },
  rowText: { flex: 1 },
  rowValue: { textAlign: 'right', flexShrink: 1, maxWidth: '60%' },
  progress: { gap: space(2) },
  track: { height: 8, borderRadius: 4, overflow: 'hidden' },
  bar: { height: 8 },
  cancel: { minHeight: 44, justifyContent: 'center', alignSelf: 'flex-start' },
  fold: { borderTopWidth: 1 },
  foldHead: {
    gap: space(3),
    minHeight: 52,
    flexDirection: 'row',
    alignItems: 'center',
    justifyContent: 'space-between',
  },
  foldBody: { gap: space(3), paddingBottom: space(4) },
});
