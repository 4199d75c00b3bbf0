import { router, useLocalSearchParams, type Href } from 'expo-router';
import { View } from 'react-native';
import { questionsFor, type AskedFact, type Question } from '@/core/damage';
import { methodById, SCHOOLS, type MethodId } from '@/core/method';
import type { Answers } from '@/records';
import { Button, Chips, Fold, LengthField, LitCard, Notice, Text, TextField } from '@/ui';
import { damageLabel, rankingOf, surveyed } from '../shared/derive';
import { FaceBoard } from '../shared/FaceBoard';
import { Missing } from '../shared/Missing';
import { Page } from '../shared/Page';
import { TrailList } from '../shared/Trail';
import { useChange } from '../shared/useAct';
import { useDamageView } from '../shared/usePiece';
import { useUnits } from '../shared/useUnits';
import { RankingView } from './RankingView';

/** Where a decided damage goes on. */
function nextHref(damageId: string, pieceId: string, method: MethodId): string {
  const { family } = methodById(method);
  if (family === 'reglue') return `/damage/${damageId}/press`;
  return family === 'patch' ? `/damage/${damageId}/patch` : `/bench?piece=${pieceId}`;
}

/** The repair of a damage: ranked methods, what is still to be found out, and the user's choice. */
export function DecideScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const view = useDamageView(id);
  const change = useChange();
  const { unit } = useUnits();
  const { damage, face, piece, onFace } = view;
  if (!damage || !piece) return <Missing what="This damage" loading={view.loading} />;
  const ranking = rankingOf(
    piece.body,
    face?.body,
    damage.body,
    onFace.map((d) => d.body),
  );
  const survey = surveyed(damage.body, face?.body);
  const answers = damage.body.answers;
  const set = (fact: AskedFact, value: string | boolean): void => {
    const next: Answers = { ...answers, [fact]: value };
    change(damage, { answers: next });
  };
  const chips = (q: Question) => (
    <Chips
      key={q.fact}
      label={q.ask}
      help={q.look}
      options={q.answers}
      value={answers[q.fact]}
      onChange={(value) => set(q.fact, value)}
    />
  );
  const first = ranking.ok ? ranking.value.ranked[0] : undefined;
  const chosen = damage.body.method;
  const choose = (method: MethodId): void => change(damage, { method });
  const recommended = first ? methodById(first.method) : undefined;
  const overridden = chosen !== undefined && first !== undefined && chosen !== first.method;
  return (
    <Page
      title="Decide the repair"
      eyebrow={`${piece.body.name} · ${damageLabel(damage.body)} · ${SCHOOLS[piece.body.school].label.toLowerCase()}`}
      back={{ href: `/damage/${damage.id}`, label: 'Outline' }}
      list={<TrailList view={view} />}
      board={
        face ? (
          <FaceBoard
            key={damage.id}
            face={face}
            damages={onFace}
            current={damage.id}
            still
            label={damageLabel(damage.body)}
            phoneHeight={200}
            {...(survey.ok ? { focus: { outline: survey.value.outline, marginMm: 60 } } : {})}
          />
        ) : undefined
      }
    >
      {!ranking.ok ? (
        <Notice kind="stop" title="This cannot be ranked">
          {ranking.problem}
        </Notice>
      ) : null}
      {recommended && first ? (
        chosen ? (
          <LitCard
            eyebrow={overridden ? 'Your choice, not the first recommendation' : 'Chosen'}
            title={methodById(chosen).label}
          >
            <Text>{methodById(chosen).how}</Text>
            <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
              <Button
                label="Work it out"
                kind="main"
                onPress={() => router.push(nextHref(damage.id, piece.id, chosen) as Href)}
              />
              {overridden ? (
                <Button
                  label={`Go back to ${recommended.label.toLowerCase()}`}
                  onPress={() => choose(first.method)}
                />
              ) : null}
            </View>
          </LitCard>
        ) : (
          <LitCard eyebrow="Recommended" title={recommended.label}>
            <Text>{recommended.how}</Text>
            {first.for.slice(0, 2).map((r) => (
              <Text key={r.rule} kind="quiet" tone="lampText">
                {r.text}
              </Text>
            ))}
            <Button
              label="Choose this"
              name={`Choose the recommended: ${recommended.label}`}
              kind="main"
              onPress={() => choose(first.method)}
            />
          </LitCard>
        )
      ) : null}
      {overridden ? (
        <TextField
          label="Why this one?"
          help="It goes into the record."
          value={damage.body.methodReason}
          onChange={(methodReason) => change(damage, { methodReason })}
          lines={2}
        />
      ) : null}
      {ranking.ok ? (
        <RankingView
          ranking={ranking.value}
          onChoose={choose}
          {...(chosen ? { chosen } : {})}
          answer={(q) => {
            const question = questionsFor(damage.body.kind).find((x) => x.fact === q.fact);
            return question ? (
              <Chips
                label={question.ask}
                bare
                options={question.answers}
                value={answers[question.fact]}
                onChange={(v) => set(question.fact, v)}
              />
            ) : null;
          }}
        />
      ) : null}
      <Fold title="What is known of this damage">
        {damage.body.kind === 'liftedEdge' ? (
          <LengthField
            label="Opening at the mouth"
            help="How far the edge stands off, lifted by hand without force."
            valueMm={answers.openingMm ?? 0}
            unit={unit}
            onChange={(openingMm) => change(damage, { answers: { ...answers, openingMm } })}
          />
        ) : null}
        {questionsFor(damage.body.kind).map(chips)}
        {Object.keys(answers).length > 0 ? (
          <Button label="Forget the answers" kind="quiet" onPress={() => change(damage, { answers: {} })} />
        ) : null}
      </Fold>
    </Page>
  );
}
