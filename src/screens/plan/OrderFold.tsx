import { useState } from 'react';
import { View } from 'react-native';
import { earlierBefore, laterBefore, ORDER_SOURCE, phaseOrder, PRECEDENCE } from '@/core/bench';
import { phaseLabel, type PhaseId } from '@/core/catalogue';
import { aboutTime, handsMin, reachedWords, waysOf, type Move, type Plan } from '@/core/job';
import { describeSource } from '@/core/sources';
import { lowerFirst } from '@/core/terms';
import type { Piece, Stored } from '@/records';
import { Button, Fold, LitCard, Progress, Text } from '@/ui';
import { usePlanMoves } from './usePlanMoves';

/** The order of the phases, the moves that the trade makes with what each changes, and what is never done. */
export function OrderFold({
  piece,
  plan,
  onChange,
  onDrop,
}: {
  piece: Stored<'piece'>;
  plan: Plan;
  onChange: (patch: Partial<Piece>) => Promise<boolean>;
  onDrop: (phase: PhaseId, before: PhaseId | undefined) => void;
}) {
  const [wanted, setWanted] = useState(false);
  const { moves, loading } = usePlanMoves(piece.id, wanted);
  const order = phaseOrder(waysOf(piece.body));
  const used = order.filter((p) => plan.tasks.some((t) => t.phase === p));
  const take = (move: Move): void => void onChange(move.otherwise);
  return (
    <Fold title="The order of the work">
      <Text>{used.map(phaseLabel).join(' › ')}</Text>
      <Text kind="quiet">{`As it stands, ${aboutTime(handsMin(plan.tasks))} of hands. ${describeSource(ORDER_SOURCE)}`}</Text>
      {wanted ? null : <Button label="What moving it would change" onPress={() => setWanted(true)} />}
      {wanted && loading && !moves ? <Progress label="Planning each other order" fraction={0.5} /> : null}
      {(moves?.moves ?? []).map((m) => (
        <LitCard key={m.id} eyebrow={reachedWords(m, moves?.now)} title={m.label}>
          <Text>{m.why}</Text>
          <Button label="Take this order" name={`Take: ${m.label}`} onPress={() => take(m)} />
        </LitCard>
      ))}
      <Fold title="Try another place for a phase">
        <View style={{ gap: 8 }}>
          {used
            .filter((p) => p !== 'intake' && p !== 'reassemble')
            .map((p) => (
              <View key={p} style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}>
                <Text kind="strong">{phaseLabel(p)}</Text>
                <Button
                  label="Earlier"
                  name={`${phaseLabel(p)} earlier`}
                  kind="quiet"
                  onPress={() => onDrop(p, earlierBefore(order, p))}
                />
                <Button
                  label="Later"
                  name={`${phaseLabel(p)} later`}
                  kind="quiet"
                  onPress={() => onDrop(p, laterBefore(order, p))}
                />
              </View>
            ))}
        </View>
      </Fold>
      <Fold title="What is never done, and why">
        {PRECEDENCE.map(({ first, then, why }) => (
          <Text
            key={`${first}.${then}`}
          >{`${phaseLabel(then)} before ${lowerFirst(phaseLabel(first))}: never. ${why}`}</Text>
        ))}
      </Fold>
    </Fold>
  );
}
