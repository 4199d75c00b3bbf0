import { router } from 'expo-router';
import { useState } from 'react';
import { DAMAGE_KINDS, questionsFor, type DamageFacts, type DamageKind } from '@/core/damage';
import {
  BUILDS,
  FINISH_GOALS,
  FINISHES_NOW,
  methodById,
  rankMethods,
  SCHOOLS,
  type Build,
  type FinishGoal,
  type FinishNow,
  type School,
} from '@/core/method';
import { createRecord, localNow, newDamage, newFace, newPiece, type Answers } from '@/records';
import { Button, Chips, Fold, LengthField, LitCard, Notice, optionsOf, Text } from '@/ui';
import { attempt } from '../shared/derive';
import { Page, Pane } from '../shared/Page';
import { WoodChips } from '../shared/WoodChips';
import { useAct } from '../shared/useAct';
import { useUnits } from '../shared/useUnits';
import { RankingView } from './RankingView';

/** A filled ellipse rather than a rectangle: what a loss of that length and width covers. */
const ROUGH_SHARE = Math.PI / 4;

/** One damage, one answer, without a record; it can be kept as one. */
export function QuickScreen() {
  const { unit } = useUnits();
  const act = useAct();
  const [kind, setKind] = useState<DamageKind>('liftedEdge');
  const [alongMm, setAlong] = useState(60);
  const [acrossMm, setAcross] = useState(25);
  const [atEdge, setAtEdge] = useState(true);
  const [build, setBuild] = useState<Build>('solidCore');
  const [species, setSpecies] = useState('walnut');
  const [finishNow, setFinishNow] = useState<FinishNow>('shellac');
  const [goal, setGoal] = useState<FinishGoal>('shellac');
  const [school, setSchool] = useState<School>('clear');
  const [answers, setAnswers] = useState<Answers>({});
  const areaMm2 = alongMm * acrossMm * ROUGH_SHARE;
  const facts: DamageFacts = { kind, alongMm, acrossMm, areaMm2, atEdge, faceShare: 0, ...answers };
  const ranking = attempt(() =>
    rankMethods({ damage: facts, surface: { build, show: true, finishNow, goal }, school }),
  );
  const first = ranking.ok ? ranking.value.ranked[0] : undefined;
  const keep = (): void =>
    act(async () => {
      const piece = await createRecord('piece', {
        ...newPiece(`${DAMAGE_KINDS[kind].label}, from a quick answer`, localNow()),
        school,
        goal,
      });
      await createRecord('face', {
        ...newFace(piece.id, 'Face'),
        build,
        species,
        finishNow,
        veneerMm: build === 'solid' ? 0 : 0.6,
      });
      await createRecord('damage', {
        ...newDamage(piece.id, undefined, 1, kind),
        roughAreaMm2: areaMm2,
        answers,
        ...(first ? { method: first.method } : {}),
      });
      router.push(`/piece/${piece.id}`);
    });
  return (
    <Page
      title="Quick answer"
      eyebrow="Nothing is kept unless you say so"
      back={{ href: '/', label: 'Pieces' }}
      board={
        <Pane>
          <Chips<DamageKind>
            label="What is it?"
            help={DAMAGE_KINDS[kind].look}
            options={optionsOf(DAMAGE_KINDS)}
            value={kind}
            onChange={(k) => {
              setKind(k);
              setAnswers({});
            }}
          />
          <LengthField label="Size along the grain" valueMm={alongMm} unit={unit} onChange={setAlong} />
          <LengthField label="Size across the grain" valueMm={acrossMm} unit={unit} onChange={setAcross} />
          <Chips
            label="Does it reach an edge?"
            options={[
              { value: true, label: 'Yes' },
              { value: false, label: 'No' },
            ]}
            value={atEdge}
            onChange={setAtEdge}
          />
          <WoodChips value={species} onChange={setSpecies} />
          <Chips
            label="Finish on it now"
            options={optionsOf(FINISHES_NOW)}
            value={finishNow}
            onChange={setFinishNow}
          />
          <Fold title="Build, school, finish in the end">
            <Chips label="Build" options={optionsOf(BUILDS)} value={build} onChange={setBuild} />
            <Chips
              label="School"
              help={SCHOOLS[school].aim}
              options={optionsOf(SCHOOLS)}
              value={school}
              onChange={setSchool}
            />
            <Chips
              label="Finish in the end"
              options={optionsOf(FINISH_GOALS)}
              value={goal}
              onChange={setGoal}
            />
          </Fold>
        </Pane>
      }
    >
      {first ? (
        <LitCard eyebrow="The repair" title={methodById(first.method).label}>
          <Text>{methodById(first.method).how}</Text>
          <Button label="Keep this" kind="main" onPress={keep} />
        </LitCard>
      ) : null}
      {ranking.ok ? (
        <RankingView
          ranking={ranking.value}
          answer={(q) => {
            const question = questionsFor(kind).find((x) => x.fact === q.fact);
            return question ? (
              <Chips
                label={question.ask}
                bare
                options={question.answers}
                value={answers[question.fact]}
                onChange={(value) => setAnswers((a) => ({ ...a, [question.fact]: value }))}
              />
            ) : null;
          }}
        />
      ) : (
        <Notice kind="stop">{ranking.problem}</Notice>
      )}
    </Page>
  );
}
