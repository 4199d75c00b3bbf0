import { useState } from 'react';
import { View } from 'react-native';
import type { Lab } from '@/core/colour';
import type { Colourant, Recipe } from '@/core/pigment';
import {
  differenceWords,
  FILL_MIX,
  mixedByHand,
  outlookWords,
  recipeOutlook,
  recipeWords,
  withParts,
  type MixAim,
  type OwnMix,
} from '@/core/shelf';
import type { Stored } from '@/records';
import { Button, Chips, Fold, Slider, Text } from '@/ui';
import { Tone } from '../shared/Swatch';
import { useChange } from '../shared/useChange';
import { useLatest } from '../shared/useLatest';

/** A fill mixed by hand: parts dragged, the mixture beside its aim at once. Kept with the damage. */
export function OwnMixFold({
  damage,
  aim,
  goal,
  proposed,
  colourants,
  nameOf,
}: {
  damage: Stored<'damage'>;
  aim: MixAim;
  goal: Lab;
  proposed: Recipe;
  colourants: readonly Colourant[];
  nameOf: (id: string) => string;
}) {
  const change = useChange();
  const kept = damage.body.mixes?.[aim];
  const [dragged, setDragged] = useState<OwnMix>();
  const mix = dragged ?? kept ?? proposed.parts.map((p) => ({ colourId: p.id, parts: p.parts }));
  const put = useLatest(async (next: OwnMix | undefined) => {
    const { [aim]: _before, ...others } = damage.body.mixes ?? {};
    await change(damage, { mixes: next ? { ...others, [aim]: next } : others });
    setDragged(undefined);
  });
  const mixed = mixedByHand(mix, goal, colourants);
  const outlook = mixed && recipeOutlook(mixed, colourants);
  const others = colourants.filter((c) => !mix.some((m) => m.colourId === c.id));
  return (
    <Fold title={kept ? 'Your own mixture' : 'Mix it by hand'}>
      <View style={{ flexDirection: 'row', gap: 8 }}>
        <Tone lab={goal} label="Aim" />
        {mixed ? <Tone lab={mixed.lab} label="These parts" /> : null}
      </View>
      {mixed && outlook ? (
        <>
          <Text>{`${differenceWords(outlook)} ΔE00 off. ${outlookWords(outlook)}`}</Text>
          <Text kind="quiet">{recipeWords(mixed, colourants, nameOf)}</Text>
        </>
      ) : (
        <Text>No part is in it yet.</Text>
      )}
      {mix.map(({ colourId, parts }) => (
        <Slider
          key={colourId}
          label={`Parts of ${nameOf(colourId)}`}
          value={parts}
          most={FILL_MIX.mostParts}
          onChange={(n) => setDragged(mix.map((m) => (m.colourId === colourId ? { ...m, parts: n } : m)))}
          onEnd={(n) => void put.current(withParts(mix, colourId, n))}
        />
      ))}
      {others.length > 0 ? (
        <Chips
          label="Bring in"
          options={others.map((c) => ({ value: c.id, label: nameOf(c.id) }))}
          value={undefined}
          onChange={(id) => void put.current(withParts(mix, id, 1))}
        />
      ) : null}
      {kept ? (
        <Button label="Follow the proposal again" kind="quiet" onPress={() => void put.current(undefined)} />
      ) : null}
    </Fold>
  );
}
