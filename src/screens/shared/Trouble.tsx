import { View } from 'react-native';
import { Button, Notice, Text } from '@/ui';

/** What could not be worked out, in words; with a way to try once more where the same question may be answered then. */
export type Problem = { words: string; again?: () => void };

/** What was asked wrongly stays wrong however often it is asked (a RangeError); anything else may go well the next time. */
export const problemOf = (error: Error, again: () => void): Problem => ({
  words: error.message,
  ...(error instanceof RangeError ? {} : { again }),
});

/** A notice of what could not be worked out. @param wayOn what to do where asking again does not help */
export function Trouble({ problem, title, wayOn }: { problem: Problem; title?: string; wayOn?: string }) {
  const { words, again } = problem;
  return (
    <Notice kind="stop" {...(title && !again ? { title } : {})}>
      {again ? (
        <View style={{ gap: 8, alignItems: 'flex-start' }}>
          <Text>{words}</Text>
          <Button label="Try again" onPress={again} />
        </View>
      ) : (
        [words, wayOn].filter(Boolean).join(' ')
      )}
    </Notice>
  );
}
