import { router, useLocalSearchParams, type Href } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { MOVING_KINDS, questionsFor } from '@/core/damage';
import { methodById, type MaterialId, type MethodId } from '@/core/catalogue';
import { SCHOOLS } from '@/core/terms';
import { chainWords, type ChainLink } from '@/core/method';
import { changeShop, useShop, type Answers } from '@/records';
import { Button, Chips, LitCard, Notice, Text, TextField } from '@/ui';
import { Missing } from '../shared/Missing';
import { Page } from '../shared/Page';
import { PlaceBoard } from '../shared/PlaceBoard';
import { TrailList } from '../shared/Trail';
import { useAct } from '../shared/useAct';
import { useChange } from '../shared/useChange';
import { useDamageView } from '../shared/usePiece';
import { AnswerChips, AnswersFold } from './AnswersFold';
import { BreakEvenFold } from './BreakEvenFold';
import { CompareFold } from './CompareFold';
import { RankingView } from './RankingView';
import { SimilarFold } from './SimilarFold';
import { WeightsFold } from './WeightsFold';
import { damageLabel, linksOfChain, rankingOf, surfaceRisk, surveyed, worksheetPage } from '@/core/job';

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
  const answer = (next: Answers): Promise<boolean> => change(damage, { answers: next });
  const first = ranking.ok ? ranking.value.ranked[0] : undefined;
  const choose = (method: MethodId): Promise<boolean> => change(damage, { method });
  const takeLink = (link: ChainLink, method: MethodId): Promise<boolean> =>
    change(damage, {
      links: [...(damage.body.links ?? []).filter((m) => !link.options.includes(m)), method],
    });
  const taken = ranking.ok ? ranking.value.ranked.find((r) => r.method === chosen) : undefined;
  const refused = ranking.ok ? ranking.value.excluded.find((e) => e.method === chosen) : undefined;
  const chain = view.chain;
  const links = chain && chosen && chosen !== 'leave' ? linksOfChain(chain) : [];
  const worksheets = links.map((m) => ({
    label: links.length > 1 ? `Work out: ${methodById(m).label.toLowerCase()}` : 'Work it out',
    href: worksheetPage(damage.id, m, chosen ?? m),
  }));
  const tonightCost = ranking.ok ? ranking.value.tonight : undefined;
  const buy = (materials: readonly MaterialId[]): Promise<void> =>
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
          <PlaceBoard damage={damage} face={face} onFace={onFace} survey={survey} phoneHeight={200} />
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
            eyebrow={
              refused
                ? 'Your choice, against the advice'
                : overridden
                  ? 'Your choice, not the first recommendation'
                  : 'Chosen'
            }
            title={taken ? chainWords(taken.first, taken.method, taken.then) : methodById(chosen).label}
          >
            <Text>{methodById(chosen).how}</Text>
            {refused?.because.map((b) => (
              <Text key={b.rule} kind="quiet" tone="oxblood">
                {`Against it: ${b.text}`}
              </Text>
            ))}
            <View style={styles.row}>
              {worksheets.map(({ label, href }, i) => (
                <Button
                  key={href}
                  label={label}
                  {...(i === 0 ? { kind: 'main' as const } : {})}
                  onPress={() => router.push(href as Href)}
                />
              ))}
              {overridden ? (
                <Button
                  label={`Go back to ${recommended.label.toLowerCase()}`}
                  onPress={() => choose(first.method)}
                />
              ) : null}
            </View>
          </LitCard>
        ) : (
          <LitCard
            eyebrow={
              first.despite.length > 0
                ? 'The least bad: everything has something against it'
                : tonight
                  ? 'What can be done tonight'
                  : 'Recommended'
            }
            title={chainWords(first.first, first.method, first.then)}
          >
            <Text>{recommended.how}</Text>
            {first.links.map((l) => (
              <Text key={l.method} kind="quiet" tone="lampText">
                {l.reason.text}
              </Text>
            ))}
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
      {overridden || refused || chosen === 'leave' ? (
        <TextField
          label={
            chosen === 'leave' ? 'Why may it stay?' : refused ? 'Why, against the advice?' : 'Why this one?'
          }
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
      {tonightCost && first ? (
        <Notice kind="rest" title="What tonight costs in looks">
          {tonightCost.best === first.method
            ? 'Nothing: it is what would be done with everything at hand.'
            : `With everything at hand it would be ${methodById(tonightCost.best).label.toLowerCase()}, which hides ${tonightCost.bestLooks} of 5; this hides ${tonightCost.looks} of 5.${first.method === 'makeSafe' ? ' It only keeps what is there until the repair.' : ''}`}
        </Notice>
      ) : null}
      {ranking.ok ? (
        <RankingView
          ranking={ranking.value}
          onChoose={choose}
          onLink={takeLink}
          surface={surfaceRisk(piece.body, face?.body)}
          {...(chosen ? { chosen } : {})}
          listed={shop.shopping ?? []}
          onBuy={buy}
          answer={(q) => {
            const question = questionsFor(kind, answers).find((x) => x.fact === q.fact);
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
