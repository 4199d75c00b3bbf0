import { Link, type Href } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { SCHOOLS } from '@/core/terms';
import { space, Text, useTheme } from '@/ui';
import { trailOf, type TrailStep } from './nextStep';
import type { PieceView } from './usePiece';
import { useProgress } from './useBench';
import { damageLabel } from '@/core/job';

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
          <Text kind="strong">{title}</Text>
          {detail ? <Text kind="quiet">{detail}</Text> : null}
        </View>
        {value ? <Text kind="number">{value}</Text> : null}
        <Text kind="quiet">›</Text>
      </View>
    </Link>
  );
}

/** Done is a filled disc, now a lit one with a ring, waiting an open circle. */
function StateMark({ state }: { state: TrailStep['state'] }) {
  const theme = useTheme();
  const colour = state === 'done' ? theme.verdigris : state === 'now' ? theme.lampEdge : theme.control;
  return (
    <View style={[styles.ring, state === 'now' && { backgroundColor: theme.lampFill }]}>
      <View
        style={[
          styles.disc,
          { borderColor: colour, backgroundColor: state === 'waits' ? 'transparent' : colour },
        ]}
      />
    </View>
  );
}

export function TrailSteps({ steps }: { steps: readonly TrailStep[] }) {
  const words = { done: 'done', now: 'ready now', waits: 'waits' };
  return (
    <View>
      {steps.map((s) => (
        <LinkRow
          key={s.id}
          href={s.href}
          title={s.title}
          detail={s.detail}
          state={words[s.state]}
          mark={<StateMark state={s.state} />}
        />
      ))}
    </View>
  );
}

/** The left column on a wide screen: the piece, its steps, its damages. */
export function TrailList({ view }: { view: PieceView }) {
  const { piece } = view;
  const progress = useProgress()(view.piece?.id ?? '');
  if (!piece) return null;
  const { steps } = trailOf({ ...view, piece }, progress);
  return (
    <View style={styles.list}>
      <Link href={`/piece/${piece.id}`} style={styles.head} aria-label={`${piece.body.name}, overview`}>
        <View>
          <Text kind="label">{SCHOOLS[piece.body.school].label}</Text>
          <Text kind="subheading">{piece.body.name}</Text>
        </View>
      </Link>
      <TrailSteps steps={steps} />
      <View style={styles.damages}>
        <Text kind="label">Damages</Text>
        {view.damages.map((d) => (
          <LinkRow key={d.id} href={`/damage/${d.id}/decide`} title={damageLabel(d.body)} />
        ))}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  row: { borderBottomWidth: 1, borderStyle: 'solid', minHeight: 52, display: 'flex' },
  inner: { flexDirection: 'row', alignItems: 'center', gap: space(3), flex: 1, paddingVertical: space(2) },
  text: { flex: 1 },
  ring: { width: 24, height: 24, borderRadius: 12, alignItems: 'center', justifyContent: 'center' },
  disc: { width: 12, height: 12, borderRadius: 6, borderWidth: 2 },
  list: { padding: space(4), gap: space(3) },
  head: { minHeight: 44 },
  damages: { paddingTop: space(3) },
});
