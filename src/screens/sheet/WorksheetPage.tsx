import type { ReactNode } from 'react';
import { methodById, type MethodId } from '@/core/catalogue';
import { damageLabel, type Repair } from '@/core/job';
import type { Stored } from '@/records';
import { Text } from '@/ui';
import { Page } from '../shared/Page';
import { PlaceBoard } from '../shared/PlaceBoard';
import { TrailList } from '../shared/Trail';
import type { DamageView } from '../shared/usePiece';

/** The page of a method that is worked out without a drawing of its own: its name, its place on the face, how it is done. */
export function WorksheetPage({
  view,
  method,
  piece,
  damage,
  survey,
  children,
}: {
  view: DamageView;
  method: MethodId;
  piece: Stored<'piece'>;
  damage: Stored<'damage'>;
  /** The place on the face is shown where it has a size. */
  survey?: Repair['survey'];
  children: ReactNode;
}) {
  const { face, onFace } = view;
  const { label, how } = methodById(method);
  return (
    <Page
      title={label}
      eyebrow={`${piece.body.name} · ${damageLabel(damage.body)}`}
      back={{ href: `/damage/${damage.id}/decide`, label: 'Decide' }}
      list={<TrailList view={view} />}
      board={
        survey && face ? (
          <PlaceBoard damage={damage} face={face} onFace={onFace} survey={survey} />
        ) : undefined
      }
    >
      <Text>{how}</Text>
      {children}
    </Page>
  );
}
