import { Link } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { damageLabel, type TrailStep } from '@/core/job';
import { SCHOOLS } from '@/core/terms';
import { space, Text } from '@/ui';
import { LinkRow } from './LinkRow';
import { LongList } from './LongList';
import { STATE_WORDS, StateMark } from './StateMark';
import { usePlan } from './useBench';
import type { PieceView } from './usePiece';

/** Said while the worker makes the plan. */
export const COUNTING = 'The steps are being counted.';

export function TrailSteps({ steps }: { steps: readonly TrailStep[] }) {
  return (
    <View>
      {steps.map((s) => (
        <LinkRow
          key={s.id}
          href={s.href}
          title={s.title}
          detail={s.detail}
          state={STATE_WORDS[s.state]}
          mark={<StateMark state={s.state} />}
        />
      ))}
    </View>
  );
}

/** The left column on a wide screen: the piece, its steps, its damages. */
export function TrailList({ view }: { view: PieceView }) {
  const { piece } = view;
  const { plan } = usePlan(view.piece?.id);
  if (!piece) return null;
  return (
    <View style={styles.list}>
      <Link href={`/piece/${piece.id}`} style={styles.head} aria-label={`${piece.body.name}, overview`}>
        <View>
          <Text kind="label">{SCHOOLS[piece.body.school].label}</Text>
          <Text kind="subheading">{piece.body.name}</Text>
        </View>
      </Link>
      {plan ? <TrailSteps steps={plan.trail.steps} /> : <Text kind="quiet">{COUNTING}</Text>}
      <View style={styles.damages}>
        {view.damages.length > 0 ? <Text kind="label">Damages</Text> : null}
        <LongList items={view.damages}>
          {(d) => <LinkRow key={d.id} href={`/damage/${d.id}/decide`} title={damageLabel(d.body)} />}
        </LongList>
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  list: { padding: space(4), gap: space(3) },
  head: { minHeight: 44 },
  damages: { paddingTop: space(3) },
});
