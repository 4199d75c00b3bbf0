import { router, useLocalSearchParams, type Href } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { MOVING_KINDS, questionsFor } from '@/core/damage';
import { methodById, SCHOOLS, type MaterialId, type MethodId } from '@/core/method';
import { changeShop, useShop, type Answers } from '@/records';
import { Button, Chips, LitCard, Notice, Text, TextField } from '@/ui';
import { rankingOf } from '../shared/deciding';
import { FaceBoard } from '../shared/FaceBoard';
import { Missing } from '../shared/Missing';
import { Page } from '../shared/Page';
import { damageLabel, surveyed } from '../shared/surveying';
import { TrailList } from '../shared/Trail';
import { useAct, useChange } from '../shared/useAct';
import { useDamageView } from '../shared/usePiece';
import { AnswerChips, AnswersFold } from './AnswersFold';
import { BreakEvenFold } from './BreakEvenFold';
import { CompareFold } from './CompareFold';
import { RankingView } from './RankingView';
import { SimilarFold } from './SimilarFold';
import { WeightsFold } from './WeightsFold';

/** Where a decided damage goes on. */
function nextHref(damageId: string, pieceId: string, method: MethodId): string {
  const { family, needs } = methodById(method);
  if (family === 'reglue') return `/damage/${damageId}/press`;
  if (family === 'patch') return `/damage/${damageId}/patch`;
  const poured = family === 'fill' && needs.includes('epoxy');
  return family === 'structure' || family === 'letIn' || poured
    ? `/damage/${damageId}/joint`
    : `/bench?piece=${pieceId}`;
}

/** The repair of a damage: ranked methods, what is still to be found out, and the user's choice. */
export function DecideScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const view = useDamageView(id);
  const change = useChange();
  const act = useAct();
  const { shop, record } = useShop();
  const [tonight, setTonight] = useState(false);
  const { damage, face, piece, onFace, treated } = view;
  if (!damage || !piece || !treated) return <Missing what="This damage" loading={view.loading} />;
  const ranking = rankingOf(
    piece.body,
    face?.body,
    damage.body,
    onFace.map((d) => d.body),
    shop,
    tonight,
  );
  const survey = surveyed(damage.body, face?.body);
  const { answers, kind, method: chosen } = damage.body;
  const answer = (next: Answers): void => change(damage, { answers: next });
  const first = ranking.ok ? ranking.value.ranked[0] : undefined;
  const choose = (method: MethodId): void => change(damage, { method });
  const buy = (materials: readonly MaterialId[]): void =>
    act(() => changeShop(record, { shopping: [...new Set([...(shop.shopping ?? []), ...materials])] }));
  const recommended = first ? methodById(first.method) : undefined;
  const overridden = chosen !== undefined && first !== undefined && chosen !== first.method;
  return (
    <Page
      title="Decide the repair"
      eyebrow={`${piece.body.name} · ${damageLabel(damage.body)} · ${SCHOOLS[treated.school].label.toLowerCase()}`}
      back={{ href: `/damage/${damage.id}`, label: 'The damage' }}
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
            <View style={styles.row}>
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
      {overridden || chosen === 'leave' ? (
        <TextField
          label={chosen === 'leave' ? 'Why may it stay?' : 'Why this one?'}
          help="It goes into the report and the record."
          value={damage.body.methodReason}
          onChange={(methodReason) => change(damage, { methodReason })}
          lines={2}
        />
      ) : null}
      {shop.materials ? (
        <Chips
          label="With what?"
          options={[
            { value: false, label: 'With anything, if need be bought' },
            { value: true, label: 'With what I have tonight' },
          ]}
          value={tonight}
          onChange={setTonight}
        />
      ) : null}
      {ranking.ok ? (
        <RankingView
          ranking={ranking.value}
          onChoose={choose}
          {...(chosen ? { chosen } : {})}
          listed={shop.shopping ?? []}
          onBuy={buy}
          answer={(q) => {
            const question = questionsFor(kind).find((x) => x.fact === q.fact);
            return question ? (
              <AnswerChips
                question={question}
                answers={answers}
                bare
                onAnswer={(fact, value) => answer({ ...answers, [fact]: value })}
              />
            ) : null;
          }}
        />
      ) : null}
      {MOVING_KINDS.includes(kind) && survey.ok ? (
        <Button
          label="Does it move over the year?"
          onPress={() => router.push(`/damage/${damage.id}/movement`)}
        />
      ) : null}
      <View>
        <AnswersFold
          kind={kind}
          answers={answers}
          {...(face?.body.boardMm === undefined ? {} : { boardMm: face.body.boardMm })}
          onChange={answer}
        />
        {ranking.ok ? <CompareFold ranking={ranking.value} /> : null}
        {chosen ? <SimilarFold view={view} damage={damage} method={chosen} /> : null}
        {face ? <BreakEvenFold face={face} onFace={onFace} /> : null}
        <WeightsFold school={treated.school} />
      </View>
      {shop.materials ? null : (
        <Text kind="quiet">
          Stock does not count yet. Say on the shop page what you have, and methods that lack something are
          marked.
        </Text>
      )}
    </Page>
  );
}

const styles = StyleSheet.create({ row: { flexDirection: 'row', flexWrap: 'wrap', gap: 12 } });
