import { View } from 'react-native';
import type { Lab } from '@/core/colour';
import { Button, Chips, FilePick, Fold, Text } from '@/ui';
import { fileTones } from '@/worker';
import { Tone } from '../shared/Swatch';
import { useAct } from '../shared/useAct';

/** Where the colouring stands, by a photo: from there the rest is planned anew. */
export type Reached = { lab: Lab; finished: boolean };

export function NowFold({
  now,
  onNow,
}: {
  now: Reached | undefined;
  onNow: (now: Reached | undefined) => void;
}) {
  const act = useAct();
  const take = (file: File): void =>
    act(async () => {
      onNow({ lab: (await fileTones(file, file.name)).mean, finished: now?.finished ?? false });
    });
  return (
    <Fold title="Some of it is on already: plan from there">
      <Text kind="quiet">
        After each coat: let it dry, photograph the place filling the picture, in the light in which the face
        was taken. What is still wanted is worked out from what it looks like now.
      </Text>
      <FilePick label="Photograph it as it is now" accept="image/png,image/jpeg" onFile={take} />
      {now ? (
        <View style={{ gap: 8 }}>
          <View style={{ width: 110 }}>
            <Tone lab={now.lab} label="As it is now" />
          </View>
          <Chips
            label="Is a clear finish on it?"
            options={[
              { value: false, label: 'Not yet' },
              { value: true, label: 'Yes, or it is wiped with spirits' },
            ]}
            value={now.finished}
            onChange={(finished) => onNow({ ...now, finished })}
          />
          <Button label="Plan from the bare wood again" onPress={() => onNow(undefined)} />
        </View>
      ) : null}
    </Fold>
  );
}
