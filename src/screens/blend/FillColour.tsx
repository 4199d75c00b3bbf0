import { useState } from 'react';
import { View } from 'react-native';
import type { Lab, Tones } from '@/core/colour';
import { MIX_SOURCE, type Colourant } from '@/core/pigment';
import {
  colourantsOf,
  differenceWords,
  fillAims,
  FILL_MIX,
  lampWords,
  nextDrop,
  outlookWords,
  recipeOutlook,
  recipeWords,
  trialWords,
  type MixAim,
} from '@/core/shelf';
import { describeSource } from '@/core/sources';
import { Button, FilePick, Fold, Notice, Progress, Section, Text } from '@/ui';
import { call } from '@/worker';
import type { Stored } from '@/records';
import { OwnMixFold } from './OwnMixFold';
import { EmptyShelf } from './EmptyShelf';
import { Tone } from '../shared/Swatch';
import { useAct } from '../shared/useAct';
import { namesOf, useShelf } from '../shared/useShelf';
import { useComputed } from '../shared/useComputed';

/** A fill in the sticks, waxes and putties that are owned: its ground, and the lines drawn into it. */
export function FillColour({ damage, tones }: { damage: Stored<'damage'>; tones: Tones }) {
  const { shelf, loading } = useShelf();
  const colourants = colourantsOf(shelf);
  if (loading) return null;
  return (
    <Section title="Mix the fill" help={describeSource(MIX_SOURCE)}>
      {colourants.length === 0 ? (
        <EmptyShelf
          title="No stick or putty on the shelf yet"
          what="which of them to mix, and in how many parts"
        />
      ) : (
        fillAims(tones).map((aim) => (
          <Mix key={aim.id} {...aim} damage={damage} colourants={colourants} nameOf={namesOf(shelf)} />
        ))
      )}
    </Section>
  );
}

function Mix({
  damage,
  id,
  label,
  lab,
  colourants,
  nameOf,
}: {
  damage: Stored<'damage'>;
  id: MixAim;
  label: string;
  lab: Lab;
  colourants: Colourant[];
  nameOf: (id: string) => string;
}) {
  const input = { target: lab, colourants, ...FILL_MIX };
  const { data, error } = useComputed('colour.mix', input);
  const [chosen, setChosen] = useState(0);
  if (error) return <Notice kind="stop">{error.message}</Notice>;
  if (!data) return <Progress label={`Mixing for the ${label.toLowerCase()}`} fraction={0.5} />;
  const recipe = data.recipes[chosen] ?? data.recipes[0];
  if (!recipe) return null;
  const outlook = recipeOutlook(recipe, colourants);
  const lamp = lampWords(recipe, lab, colourants);
  return (
    <View style={{ gap: 8 }}>
      <Text kind="subheading">{label}</Text>
      <View style={{ flexDirection: 'row', gap: 8 }}>
        <Tone lab={lab} label="Aim" />
        <Tone lab={recipe.lab} label="Mixture" />
      </View>
      <Text>{recipeWords(recipe, colourants, nameOf)}</Text>
      <Text kind="quiet">{`Expected ${differenceWords(outlook)} ΔE00 off. ${outlookWords(outlook)}`}</Text>
      {lamp ? <Text kind="quiet">{lamp}</Text> : null}
      {data.notes.map((n) => (
        <Notice key={n} kind="rest">
          {n}
        </Notice>
      ))}
      <View style={{ flexDirection: 'row', gap: 12, flexWrap: 'wrap' }}>
        {data.recipes.length > 1 ? (
          <Button
            label="Another recipe"
            name={`Another recipe for the ${label.toLowerCase()}`}
            onPress={() => setChosen((chosen + 1) % data.recipes.length)}
          />
        ) : null}
      </View>
      <OwnMixFold
        damage={damage}
        aim={id}
        goal={lab}
        proposed={recipe}
        colourants={colourants}
        nameOf={nameOf}
      />
      <Trial label={label} goal={lab} colourants={colourants} nameOf={nameOf} />
    </View>
  );
}

/** A trial that was photographed: what it wants, and what to add. */
function Trial({
  label,
  goal,
  colourants,
  nameOf,
}: {
  label: string;
  goal: Lab;
  colourants: readonly Colourant[];
  nameOf: (id: string) => string;
}) {
  const act = useAct();
  const [trial, setTrial] = useState<Lab>();
  const take = (file: File): Promise<void> =>
    act(async () => {
      setTrial((await call('fileTones', { file, name: file.name })).mean);
    });
  const next = trial ? nextDrop(trial, goal, colourants) : undefined;
  return (
    <Fold title={`Compare a trial of the ${label.toLowerCase()}`}>
      <Text kind="quiet">
        Drop some on a scrap, photograph it filling the picture, in the light in which the face was taken.
      </Text>
      <FilePick label="Photograph the trial" accept="image/png,image/jpeg" onFile={take} />
      {trial && next ? (
        <>
          <View style={{ flexDirection: 'row', gap: 8 }}>
            <Tone lab={goal} label="Aim" />
            <Tone lab={trial} label="Trial" />
            {next.add ? <Tone lab={next.add.lab} label="After the next drop" /> : null}
          </View>
          <Text>{trialWords(next, nameOf)}</Text>
        </>
      ) : null}
    </Fold>
  );
}
