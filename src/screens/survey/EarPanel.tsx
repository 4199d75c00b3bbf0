import { StyleSheet, View } from 'react-native';
import { EAR_SOURCE, HEARING_PROBLEMS, LEAST_REFERENCE } from '@/core/ear';
import { describeSource } from '@/core/sources';
import { Button, Fold, Notice, Text } from '@/ui';
import type { Ear } from './useEar';

/** The phone listens to the taps and proposes; the user confirms with the same two buttons. */
export function EarPanel({ ear }: { ear: Ear }) {
  return (
    <Fold title="Let the phone listen" open={ear.open}>
      <Text kind="quiet">
        Lay the phone on the piece, a hand away from where you tap, with its microphone free. Nothing is
        recorded or kept.
      </Text>
      {ear.refused ? (
        <Notice kind="stop" title="No microphone">
          {ear.refused}
        </Notice>
      ) : null}
      {ear.problem ? <Notice kind="stop">{HEARING_PROBLEMS[ear.problem]}</Notice> : null}
      {ear.open ? (
        <>
          {ear.missing > 0 ? (
            <Notice kind="rest" title="First it learns what sound wood is like here">
              {`Tap ${ear.missing === LEAST_REFERENCE ? '' : 'on, '}where you know the wood is sound: ${ear.missing} more of ${LEAST_REFERENCE}.`}
            </Notice>
          ) : (
            <View role="status">
              <Text kind="strong">
                {ear.heard
                  ? `It sounds ${ear.heard.hollow ? 'hollow' : 'solid'}, ${Math.round(100 * ear.heard.confidence)} % sure. Confirm it above.`
                  : 'Listening. Tap at the cross.'}
              </Text>
            </View>
          )}
          <View style={styles.row}>
            <Button label="Stop listening" onPress={ear.stop} />
            <Button label="Learn sound wood again" kind="quiet" onPress={ear.relearn} />
          </View>
          {ear.simulated ? (
            <Text kind="label">This is the simulated microphone: it hears generated taps.</Text>
          ) : null}
        </>
      ) : (
        <View style={styles.row}>
          <Button label="Listen" kind="main" onPress={ear.start} />
          <Button label="Try it with a simulated one" kind="quiet" onPress={ear.startSimulated} />
        </View>
      )}
      <Text kind="label">{describeSource(EAR_SOURCE)}</Text>
    </Fold>
  );
}

const styles = StyleSheet.create({ row: { flexDirection: 'row', flexWrap: 'wrap', gap: 12 } });
