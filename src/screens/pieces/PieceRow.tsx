import { Link } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { daysLeft, daysUntil, readyOn, slackDays, slackWords, type Bar, type FrontPiece } from '@/core/front';
import { space, Text, useTheme } from '@/ui';
import { STATE_WORDS } from '../shared/StateMark';
import { FaceThumb } from './FaceThumb';

/** Fewer days than this are pressing. */
const PRESSING_DAYS = 7;

/** A piece in the list: its worst face in small, its trail as lit dots, what is next, and how long there is. */
export function PieceRow({ piece, today, bars }: { piece: FrontPiece; today: string; bars: readonly Bar[] }) {
  const theme = useTheme();
  const { deadline, trail } = piece;
  const left = deadline ? daysLeft(deadline, today) : undefined;
  const pressing = deadline !== undefined && daysUntil(deadline, today) < PRESSING_DAYS;
  const ready = deadline ? readyOn(bars, piece.id) : undefined;
  const slack = deadline && ready ? slackDays(deadline, ready) : undefined;
  const now = trail.find((t) => t.state === 'now');
  const words = piece.rest
    ? `${piece.school} · ${piece.rest.toLowerCase()}`
    : `${piece.school} · next: ${piece.next}`;
  const steps = piece.all > 0 ? `${piece.done} of ${piece.all} steps` : '';
  const late = slack !== undefined && slack < 0;
  const said = [
    words,
    now ? `${now.title}, ${STATE_WORDS.now}` : undefined,
    steps,
    left,
    slack === undefined ? undefined : slackWords(slack),
  ];
  return (
    <Link
      href={`/piece/${piece.id}`}
      aria-label={[piece.name, ...said].filter(Boolean).join('. ')}
      style={[styles.row, { borderColor: theme.line }]}
    >
      <View style={styles.inner}>
        <FaceThumb picture={piece.picture} />
        <View style={styles.text}>
          <Text kind="strong">{piece.name}</Text>
          <Text kind="quiet">{words}</Text>
          <View style={styles.foot}>
            <Dots trail={trail} />
            <Text kind="label">{steps}</Text>
            {left ? (
              <Text kind="label" {...(pressing ? { tone: 'oxblood' as const } : {})}>
                {left}
              </Text>
            ) : null}
            {slack === undefined ? null : (
              <Text kind="label" {...(late ? { tone: 'oxblood' as const } : {})}>
                {slackWords(slack)}
              </Text>
            )}
          </View>
        </View>
        <Text kind="quiet">›</Text>
      </View>
    </Link>
  );
}

/** The steps of the trail: done filled, now lit and larger, waiting open. */
function Dots({ trail }: { trail: FrontPiece['trail'] }) {
  const theme = useTheme();
  const fills = { done: theme.verdigris, now: theme.lampEdge, waits: 'transparent' };
  const edges = { done: theme.verdigris, now: theme.lampEdge, waits: theme.control };
  return (
    <View style={styles.dots}>
      {trail.map(({ title, state }) => (
        <View
          key={title}
          style={[
            state === 'now' ? styles.lit : styles.dot,
            { backgroundColor: fills[state], borderColor: edges[state] },
          ]}
        />
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { borderBottomWidth: 1, borderStyle: 'solid', display: 'flex' },
  inner: { flexDirection: 'row', alignItems: 'center', gap: space(3), flex: 1, paddingVertical: space(2) },
  text: { flex: 1, gap: 2 },
  foot: { flexDirection: 'row', alignItems: 'center', flexWrap: 'wrap', columnGap: space(3) },
  dots: { flexDirection: 'row', alignItems: 'center', gap: 4, height: 16 },
  dot: { width: 8, height: 8, borderRadius: 4, borderWidth: 1.5 },
  lit: { width: 12, height: 12, borderRadius: 6, borderWidth: 1.5 },
});
