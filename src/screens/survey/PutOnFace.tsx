import { router } from 'expo-router';
import { View } from 'react-native';
import { Button } from '@/ui';
import { useChange } from '../shared/useChange';
import type { useDamageView } from '../shared/usePiece';

/** A damage kept from a quick answer finds its face. */
export function PutOnFace({ view }: { view: ReturnType<typeof useDamageView> }) {
  const change = useChange();
  if (view.faces.length === 0) {
    return (
      <Button
        label="Add a face"
        kind="main"
        onPress={() => router.push(`/piece/${view.piece?.id ?? ''}/about`)}
      />
    );
  }
  return (
    <View style={{ gap: 8 }}>
      {view.faces.map((f) => (
        <Button
          key={f.id}
          label={`It is on ${f.body.name}`}
          onPress={() => change(view.damage, { faceId: f.id })}
        />
      ))}
    </View>
  );
}
