import { View } from 'react-native';
import { letGoHeld, saveHeld, type Held } from '@/records';
import { Button, Notice, Text, useSay } from '@/ui';
import { useAct } from './useAct';

/** One at a time: the page below has its room. */
const MOST_SHOWN = 1;

/** What was typed on an earlier page and could not be saved: it is kept, and told until it is saved or let go. */
export default function HeldNotice({ held }: { held: readonly Held[] }) {
  const act = useAct();
  const say = useSay();
  const letGo = ({ key, title }: Held): Promise<void> =>
    act(async () => {
      const undo = await letGoHeld(key);
      say({
        text: `What was typed into ${title} was let go.`,
        action: { label: 'Undo', run: () => act(undo) },
      });
    });
  return (
    <Notice kind="stop" title="Not saved yet">
      <View style={{ gap: 12 }}>
        {held.slice(0, MOST_SHOWN).map((h) => (
          <View key={h.key} style={{ gap: 6 }}>
            <Text kind="strong" verbatim>
              {h.title}
            </Text>
            {h.what.map((w) => (
              <Text key={w} verbatim>
                {w}
              </Text>
            ))}
            <Text kind="quiet">
              {h.gone
                ? 'It has no place to go any more. What you typed is kept here: copy it where it belongs.'
                : h.conflict
                  ? 'Something else was written there meanwhile and stands. What you typed is kept here.'
                  : `It is kept here, and stands in its field. ${h.problem}`}
            </Text>
            <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
              {h.gone ? null : (
                <Button
                  label={h.conflict ? 'Put mine in its place' : 'Save it now'}
                  name={`${h.conflict ? 'Put mine in its place' : 'Save it now'}: ${h.title}`}
                  onPress={() => act(() => saveHeld(h.key))}
                />
              )}
              <Button
                label="Let it go"
                name={`Let it go: ${h.title}`}
                kind="quiet"
                onPress={() => letGo(h)}
              />
            </View>
          </View>
        ))}
        {held.length > MOST_SHOWN ? <Text>{`And ${held.length - MOST_SHOWN} more.`}</Text> : null}
      </View>
    </Notice>
  );
}
