import { router } from 'expo-router';
import { useState } from 'react';
import {
  DAMAGE_KINDS,
  depthDoubt,
  kindInfo,
  lengthsFor,
  MARK_DEFAULTS_MM,
  questionsFor,
  type DamageFacts,
  type DamageKind,
  type MarkTool,
} from '@/core/damage';
import { chainWords, rankMethods } from '@/core/method';
import { methodById } from '@/core/catalogue';
import {
  BUILDS,
  FINISH_GOALS,
  FINISHES_NOW,
  SCHOOLS,
  type Build,
  type FinishGoal,
  type FinishNow,
  type School,
} from '@/core/terms';
import { createRecord, localNow, newDamage, newFace, newPiece, useShop, type Answers } from '@/records';
import { Button, Chips, Fold, LengthField, LitCard, Notice, optionsOf, Text } from '@/ui';
import { KindPicker } from '../shared/KindPicker';
import { Page, Pane } from '../shared/Page';
import { WoodChips } from '../shared/WoodChips';
import { useAct } from '../shared/useAct';
import { useUnits } from '../shared/useUnits';
import { AnswerChips } from './AnswersFold';
import { RankingView } from './RankingView';
import { attempt } from '@/core/check';

/** A filled ellipse rather than a rectangle: what a loss of that length and width covers. */
const ROUGH_SHARE = Math.PI / 4;

/** Measured facts from a few sizes, as the damage's mark would give them. */
function sizesOf(
  tool: MarkTool,
  s: { alongMm: number; acrossMm: number; gapMm: number; diameterMm: number },
): Partial<DamageFacts> {
  if (tool === 'circle') {
    const { diameterMm } = s;
    return { diameterMm, alongMm: diameterMm, acrossMm: diameterMm, areaMm2: ROUGH_SHARE * diameterMm ** 2 };
  }
  return tool === 'line'
    ? { alongMm: s.alongMm, gapMm: s.gapMm, areaMm2: s.alongMm * s.gapMm }
    : { alongMm: s.alongMm, acrossMm: s.acrossMm, areaMm2: s.alongMm * s.acrossMm * ROUGH_SHARE };
}

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
  const [gapMm, setGap] = useState(MARK_DEFAULTS_MM.width);
  const [diameterMm, setDiameter] = useState(MARK_DEFAULTS_MM.diameter);
  const { shop } = useShop();
  const { tool } = kindInfo(kind);
  const facts: DamageFacts = {
    kind,
    atEdge,
    faceShare: 0,
    ...sizesOf(tool, { alongMm, acrossMm, gapMm, diameterMm }),
    ...answers,
  };
  const ranking = attempt(() =>
    rankMethods({
      damage: facts,
      surface: { build, show: true, finishNow, goal },
      school,
      ...(shop.weights?.[school] ? { weights: shop.weights[school] } : {}),
      ...(shop.materials ? { stock: shop.materials } : {}),
    }),
  );
  const first = ranking.ok ? ranking.value.ranked[0] : undefined;
  const keep = (): Promise<void> =>
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
        roughAreaMm2: facts.areaMm2 ?? 0,
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
          <KindPicker
            value={kind}
            onChange={(k) => {
              setKind(k);
              setAnswers({});
            }}
          />
          {tool === 'circle' ? (
            <LengthField label="Diameter" valueMm={diameterMm} unit={unit} onChange={setDiameter} />
          ) : (
            <>
              <LengthField
                label={tool === 'line' ? 'Length of the crack' : 'Size along the grain'}
                valueMm={alongMm}
                unit={unit}
                onChange={setAlong}
              />
              {tool === 'line' ? (
                <LengthField label="Width of the crack" valueMm={gapMm} unit={unit} onChange={setGap} />
              ) : (
                <LengthField
                  label="Size across the grain"
                  valueMm={acrossMm}
                  unit={unit}
                  onChange={setAcross}
                />
              )}
            </>
          )}
          {lengthsFor(kind).map(({ fact, ask, look }) => (
            <LengthField
              key={fact}
              label={ask}
              help={look}
              valueMm={answers[fact]}
              unit={unit}
              check={(mm) => void depthDoubt(mm, undefined)}
              onChange={(mm) => setAnswers((a) => ({ ...a, [fact]: mm }))}
            />
          ))}
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
        <LitCard
          eyebrow={
            first.despite.length > 0 ? 'The least bad: everything has something against it' : 'The repair'
          }
          title={chainWords(first.first, first.method, first.then)}
        >
          <Text>{methodById(first.method).how}</Text>
          <Button label="Keep this" kind="main" onPress={keep} />
        </LitCard>
      ) : null}
      {ranking.ok ? (
        <RankingView
          ranking={ranking.value}
          surface={{ finishNow, species }}
          answer={(q) => {
            const question = questionsFor(kind, answers).find((x) => x.fact === q.fact);
            return question ? (
              <AnswerChips
                question={question}
                answers={answers}
                bare
                onAnswer={(fact, value) => setAnswers((a) => ({ ...a, [fact]: value }))}
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
