import { router, useLocalSearchParams, type Href } from 'expo-router';
import { View } from 'react-native';
import { SCHOOLS } from '@/core/terms';
import { Button, LitCard, Section, Text } from '@/ui';
import { DeadlineCard } from '../shared/DeadlineCard';
import { AsideNotice } from '../shared/AsideNotice';
import { FaceBoard } from '../shared/FaceBoard';
import { LongList } from '../shared/LongList';
import { Missing } from '../shared/Missing';
import { Page, useWide } from '../shared/Page';
import { LinkRow } from '../shared/LinkRow';
import { COUNTING, TrailList, TrailSteps } from '../shared/Trail';
import { Trouble } from '../shared/Trouble';
import { usePlan } from '../shared/useBench';
import { usePieceView } from '../shared/usePiece';

import { useUnits } from '../shared/useUnits';
import { damageLabel, measuredWords, worstFace, type NextStep } from '@/core/job';

/** The one thing that is next, and the way to it. */
const Now = ({ next }: { next: NextStep }) => (
  <LitCard eyebrow="Now" title={next.title}>
    <Text>{next.detail}</Text>
    <Button label={next.action} kind="main" onPress={() => router.push(next.href as Href)} />
  </LitCard>
);

/** One piece: its face in raking light, the next thing to do, and the trail of steps. */
export function TrailScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const view = usePieceView(id);
  const { plan, problem } = usePlan(id);
  const units = useUnits();
  const wide = useWide();
  const { piece, faces, damages } = view;
  if (!piece) return <Missing what="This piece" loading={view.loading} />;
  const first = worstFace(faces, damages);
  const parts = piece.body.parts ?? [];
  return (
    <Page
      title={piece.body.name}
      eyebrow={[piece.body.client, SCHOOLS[piece.body.school].label.toLowerCase()]
        .filter(Boolean)
        .join(' · ')}
      back={{ href: '/', label: 'Pieces' }}
      list={<TrailList view={view} />}
      board={
        first ? (
          <FaceBoard
            face={first}
            damages={damages.filter((d) => d.body.faceId === first.id)}
            still
            label={`${first.body.name} with its damages`}
            phoneHeight={236}
          />
        ) : undefined
      }
    >
      <AsideNotice kinds={['face', 'damage', 'log']} of={piece.id} />
      {problem ? <Trouble problem={problem} title="No plan can be made" /> : null}
      {plan ? <Now next={plan.trail.next} /> : problem ? null : <Text kind="quiet">{COUNTING}</Text>}
      {piece.body.deadline ? <DeadlineCard pieceId={piece.id} /> : null}
      {wide || !plan ? null : <TrailSteps steps={plan.trail.steps} />}
      <Section title="Damages">
        <View>
          <LongList items={damages}>
            {(d) => {
              const face = faces.find((f) => f.id === d.body.faceId);
              return (
                <LinkRow
                  key={d.id}
                  href={`/damage/${d.id}`}
                  title={damageLabel(d.body)}
                  detail={`${face?.body.name ?? 'On no face yet'}: ${measuredWords(d, face, units)}`}
                />
              );
            }}
          </LongList>
          {damages.length === 0 ? <Text kind="quiet">None yet. They are outlined on a face.</Text> : null}
        </View>
      </Section>
      <Section title="Faces">
        <View>
          {faces.map((f) => (
            <LinkRow
              key={f.id}
              href={`/face/${f.id}`}
              title={f.body.name}
              detail="Photo, scale, grain, wood"
            />
          ))}
        </View>
        <Button
          label="About this piece, add a face"
          onPress={() => router.push(`/piece/${piece.id}/about`)}
        />
      </Section>
      <Section title="For the owner, and for the bench">
        <View>
          <LinkRow
            href={`/piece/${piece.id}/plan`}
            title="Plan of the piece"
            detail="Face by face, in its order, with what it takes; the job sheet"
            value={plan && plan.trail.all > 0 ? `${plan.trail.done}/${plan.trail.all}` : ''}
          />
          <LinkRow
            href={`/piece/${piece.id}/report`}
            title="Condition report"
            detail="Score, map of every face, the worst first"
            value={plan?.conditionScore === undefined ? '' : `${plan.conditionScore}/100`}
          />
          <LinkRow
            href={`/piece/${piece.id}/even`}
            title="Even out its parts"
            detail="Different woods or patches of one top, brought to one colour"
          />
          <LinkRow
            href={`/piece/${piece.id}/ways`}
            title="Where the trade disagrees"
            detail="Both ways with their reasons, and what this plan takes"
          />
          <LinkRow
            href={`/piece/${piece.id}/parts`}
            title="Parts and hardware"
            detail="What was taken off, and where it goes back"
            value={parts.length > 0 ? `${parts.filter((p) => p.back).length}/${parts.length}` : ''}
          />
        </View>
      </Section>
    </Page>
  );
}
