import { View } from 'react-native';
import type { Lab } from '@/core/colour';
import { besideWords, recipeLine, sameCoats, type handLaid, type Outlook, type Thinned } from '@/core/shelf';
import type { Stored } from '@/records';
import { Button, Text } from '@/ui';
import { OutlookFigure } from './OutlookFigure';
import { Tone } from '../shared/Swatch';
import { useRecipe } from './useRecipe';

/** Coats of thinned products, where they come nearer than whole ones. */
export function ThinnedCoats({
  damage,
  nearer,
  laid: { outlook },
  whole,
  goal,
  nameOf,
}: {
  damage: Stored<'damage'>;
  nearer: Thinned;
  laid: ReturnType<typeof handLaid>;
  /** Of the whole coats proposed. */
  whole: Outlook;
  goal: Lab;
  nameOf: (id: string) => string;
}) {
  const { kept, take } = useRecipe(damage);
  return (
    <View style={{ gap: 8 }}>
      <Text kind="subheading">Thinned it aims nearer</Text>
      <Text>{`Put on ${recipeLine(nearer.coats, nameOf)}.`}</Text>
      <View style={{ flexDirection: 'row', gap: 8 }}>
        <Tone lab={nearer.lab} label="Thinned so" />
        <Tone lab={goal} label="Goal" />
      </View>
      {outlook ? (
        <OutlookFigure
          label="Difference expected, thinned"
          outlook={outlook}
          more={besideWords(whole, outlook)}
        />
      ) : null}
      {kept && sameCoats(kept, nearer.coats) ? (
        <Text kind="quiet">This is your recipe for this place, below.</Text>
      ) : (
        <Button
          label="Take the thinned coats"
          onPress={() => take(nearer.coats, 'Your recipe for this place is the thinned coats now.')}
        />
      )}
    </View>
  );
}
