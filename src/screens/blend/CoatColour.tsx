import { useState } from 'react';
import { View } from 'react-native';
import type { MethodId } from '@/core/catalogue';
import type { Lab, Tones } from '@/core/colour';
import type { RepairView } from '@/core/job';
import { COATS_SOURCE } from '@/core/pigment';
import { bleachNeeded, chooseInput, coatsOutlook, colourAfterFirst, FIRST, FIRST_SOURCE, FIRSTS, firstOf, firstWords, handLaid, moreSpread, roleOf, spreadOfFirst, standingOf, steeredGoal, stopWords, thinInput } from '@/core/shelf'; // prettier-ignore
import { cautionsFor } from '@/core/safety';
import { describeSource } from '@/core/sources';
import { Button, CheckChips, Chips, Notice, Progress, Section, Text } from '@/ui';
import { Cautions } from '../shared/Cautions';
import { OutlookFigure } from './OutlookFigure';
import { Tone } from '../shared/Swatch';
import { useChange } from '../shared/useChange';
import { namesOf, useShelf } from '../shared/useShelf';
import { EmptyShelf } from './EmptyShelf';
import type { Stored } from '@/records';
import { OwnRecipe } from './OwnRecipe';
import { ThinnedCoats } from './ThinnedCoats';
import { BoardFold } from './BoardFold';
import { TriedSection } from './TriedSection';
import { useComputed } from '../shared/useComputed';

type May = 'darker' | 'redder';

/** The colouring in dyes, glazes and toners that are owned: which, how many thin coats of each, and how sure that is. */
export function CoatColour({
  damage,
  start: bareWood,
  goal: tones,
  species,
  wood,
  grit,
  methods,
  areaMm2,
  repair,
}: {
  damage: Stored<'damage'>;
  start: Lab;
  goal: Tones;
  species: string | undefined;
  wood: string;
  grit?: number;
  methods: readonly MethodId[];
  areaMm2: number;
  repair: RepairView | undefined;
}) {
  const { shelf, boards, fit, loading } = useShelf();
  const change = useChange();
  const goal = tones.mean;
  const first = firstOf(damage.body.first, methods);
  const bare = colourAfterFirst(bareWood, first, species);
  const { tried = [] } = damage.body;
  const standing = standingOf(tried);
  const aimed = steeredGoal(goal, tried);
  const done = standing.at === 'done';
  const now = standing.at === 'colour' ? standing : undefined;
  const start = now?.lab ?? bare;
  const clears = shelf.filter((c) => roleOf(c.body.kind) === 'clear');
  const [clearId, setClear] = useState<string>();
  const [may, setMay] = useState<May[]>([]);
  const [shown, setShown] = useState(0);
  const clear = clears.find((c) => c.id === clearId) ?? clears[0];
  const input = chooseInput(start, aimed, shelf, fit, now?.finished ? undefined : clear?.id, {
    darker: may.includes('darker'),
    redder: may.includes('redder'),
  });
  const { data, error } = useComputed('colour.choose', fit ? input : undefined, false);
  const choice = data?.choices[shown] ?? data?.choices[0];
  const plain = choice?.steps.map((s) => ({ colourId: s.id, coats: s.coats })) ?? [];
  const thin = choice && input && thinInput(input, choice);
  const { data: thinned } = useComputed('colour.thin', thin, false);
  const nearer = thinned?.nearer;
  if (loading) return null;
  if (!input)
    return (
      <Section title="In your own products">
        <EmptyShelf
          title="No dye, glaze or toner on the shelf yet"
          what="which of them to use, and in how many coats"
        />
      </Section>
    );
  const nameOf = namesOf(shelf);
  const unsure = now ? 0 : spreadOfFirst(first);
  const outlook =
    choice && fit ? moreSpread(coatsOutlook(start, choice, input.products, fit), unsure) : undefined;
  const bleach = bleachNeeded(bareWood, tones.ground);
  return (
    <Section title="In your own products" help={describeSource(COATS_SOURCE)}>
      {clears.length > 1 ? (
        <Chips
          label="Clear finish on top"
          options={clears.map((c) => ({ value: c.id, label: c.body.name }))}
          value={clear?.id}
          onChange={setClear}
        />
      ) : null}
      <Text kind="strong">Where nothing comes near without it, it may become</Text>
      <CheckChips<May>
        label="It may become"
        options={[
          { value: 'darker', label: 'darker than the goal' },
          { value: 'redder', label: 'redder than the goal' },
        ]}
        values={may}
        onChange={setMay}
      />
      <Chips
        label="Before any colour"
        options={FIRSTS}
        value={first}
        onChange={(next) => change(damage, { first: next })}
      />
      {first === 'none' ? (
        bleach ? (
          <Text kind="quiet">{`The wood is darker than the lightest ground it shall match. ${FIRST[bleach].label}, and it is expected light enough.`}</Text>
        ) : null
      ) : (
        <View style={{ gap: 8 }}>
          <View style={{ flexDirection: 'row', gap: 8 }}>
            <Tone lab={bareWood} label="Before" />
            <Tone lab={bare} label="After it" />
            <Tone lab={tones.ground} label="Lightest ground" />
          </View>
          {first === 'light' ? null : <Cautions ids={cautionsFor(['bleach'])} title="Before you bleach" />}
          <Text>{firstWords(first) ?? ''}</Text>
          <Text kind="quiet">{`± ${spreadOfFirst(first).toFixed(0)} ΔE00: a test piece tells. ${describeSource(FIRST_SOURCE)}`}</Text>
        </View>
      )}
      <TriedSection damage={damage} goal={goal} standing={standing} />
      {error ? <Notice kind="stop">{error.message}</Notice> : null}
      {done ? <Notice kind="rest">{standing.why}</Notice> : null}
      {aimed !== goal ? (
        <Text kind="quiet">
          The last board came out off one way, so the coats below aim as far to the other side of the goal.
        </Text>
      ) : null}
      {!data && !error && !done ? (
        <Progress label="Trying your products with one another" fraction={0.5} />
      ) : null}
      {data && choice && outlook && !done ? (
        <>
          {choice.steps.length === 0 ? (
            <Text>None of your products brings it nearer without going too far.</Text>
          ) : null}
          {choice.steps.map((s, i) => (
            <View key={s.id} style={{ gap: 8 }}>
              <Text kind="subheading">{`${i + 1}. ${nameOf(s.id)}: ${s.coats === 1 ? 'one thin coat' : `${s.coats} thin coats`}`}</Text>
              <View style={{ flexDirection: 'row', gap: 4, flexWrap: 'wrap' }}>
                <Tone lab={i === 0 ? start : (choice.steps[i - 1]?.lab ?? start)} label="Before" />
                {s.each.map((e, n) => (
                  <Tone key={n} lab={e.lab} label={`Coat ${n + 1}`} />
                ))}
                <Tone lab={goal} label="Goal" />
              </View>
            </View>
          ))}
          <OutlookFigure
            label="Difference expected at the end"
            outlook={outlook}
            source={describeSource(COATS_SOURCE)}
          />
          <Text>{stopWords(outlook)}</Text>
          {[...new Set([...choice.notes, ...data.notes])].map((n) => (
            <Notice key={n} kind="rest">
              {n}
            </Notice>
          ))}
          {data.choices.length > 1 ? (
            <Button
              label="Another way with your products"
              onPress={() => setShown((shown + 1) % data.choices.length)}
            />
          ) : null}
          {nearer ? (
            <ThinnedCoats
              damage={damage}
              nearer={nearer}
              laid={handLaid(start, goal, nearer.coats, input.products, fit, unsure)}
              whole={outlook}
              goal={goal}
              nameOf={nameOf}
            />
          ) : null}
          <OwnRecipe
            damage={damage}
            start={start}
            goal={goal}
            wood={wood}
            proposed={choice.steps}
            shelf={shelf}
            boards={boards}
            fit={fit}
            areaMm2={areaMm2}
            repair={repair}
            unsure={unsure}
          />
          {now ? null : (
            <BoardFold
              start={bare}
              wood={wood}
              grit={grit}
              planned={(damage.body.coats ?? plain).filter((c) => c.coats > 0)}
              shelf={shelf}
            />
          )}
        </>
      ) : null}
    </Section>
  );
}
