import { View } from 'react-native';
import { kindInfo } from '@/core/damage';
import { methodById, type MethodId } from '@/core/catalogue';
import { changeRecord, type Stored } from '@/records';
import { Button, Fold, Text, useSay } from '@/ui';
import { useAct } from '../shared/useAct';
import type { DamageView } from '../shared/usePiece';

/** One choice for all damages of the same kind on this piece; it can be undone in one go. */
export function SimilarFold({
  view,
  damage,
  method,
}: {
  view: DamageView;
  damage: Stored<'damage'>;
  method: MethodId;
}) {
  const act = useAct();
  const say = useSay();
  const similar = view.damages.filter(
    (d) => d.id !== damage.id && d.body.kind === damage.body.kind && d.body.method !== method,
  );
  if (similar.length === 0) return null;
  const apply = (): Promise<void> =>
    act(async () => {
      const changed = await Promise.all(
        similar.map((d) => changeRecord(d, { method, methodReason: damage.body.methodReason })),
      );
      say({
        text: `${methodById(method).label} was chosen for ${changed.length} more.`,
        action: {
          label: 'Undo',
          run: () =>
            act(() =>
              Promise.all(
                changed.map((d, i) =>
                  changeRecord(d, {
                    method: similar[i]?.body.method,
                    methodReason: similar[i]?.body.methodReason ?? '',
                  }),
                ),
              ),
            ),
        },
      });
    });
  return (
    <Fold title={`The same for similar damages (${similar.length})`}>
      <Text kind="quiet">
        {`${similar.length === 1 ? 'One other damage on this piece is' : `${similar.length} other damages on this piece are`} of the kind “${kindInfo(damage.body.kind).label.toLowerCase()}”. Each keeps its own answers.`}
      </Text>
      <View>
        {similar.map((d) => (
          <Text
            key={d.id}
          >{`No. ${d.body.number}${d.body.method ? `, now ${methodById(d.body.method).label.toLowerCase()}` : ', not decided'}`}</Text>
        ))}
      </View>
      <Button label="Choose it for all of them" onPress={apply} />
    </Fold>
  );
}
