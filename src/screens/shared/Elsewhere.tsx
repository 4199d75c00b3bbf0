import { router, type Href } from 'expo-router';
import { methodById } from '@/core/catalogue';
import { worksheetPage } from '@/core/job';
import { Button } from '@/ui';
import type { DamageView } from './usePiece';

/** Leads from a page that has nothing to work out for a repair to the one that has. */
export function Elsewhere({ view: { damage, repair, chain, method } }: { view: DamageView }) {
  if (!damage || !repair) return null;
  if (!repair.survey.ok)
    return (
      <Button label="Go to the outline" kind="main" onPress={() => router.push(`/damage/${damage.id}`)} />
    );
  const decide = `/damage/${damage.id}/decide`;
  if (!method || method === 'leave' || !damage.body.method)
    return <Button label="See the ranking" kind="main" onPress={() => router.push(decide as Href)} />;
  return (
    <Button
      label={`Work out: ${methodById(method).label.toLowerCase()}`}
      kind="main"
      onPress={() => router.push(worksheetPage(damage.id, method, chain?.method ?? method) as Href)}
    />
  );
}
