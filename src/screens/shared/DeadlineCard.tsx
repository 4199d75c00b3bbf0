import { View } from 'react-native';
import { dayText, slackWords } from '@/core/front';
import { alternativeWords } from '@/core/job';
import { Fold, Notice, Text } from '@/ui';
import { useDeadline } from './useBench';

/** So many steps of the chain are named; those at its end drive it. */
const LAST_STEPS = 8;

/** The day a piece is wanted by against the day it is ready; when it is late, what holds it up and what could be done. */
export function DeadlineCard({ pieceId }: { pieceId: string }) {
  const deadline = useDeadline(pieceId);
  if (!deadline) return null;
  const { wanted, ready, slackDays, chain, ways } = deadline;
  const late = slackDays < 0;
  const body = (
    <View style={{ gap: 8 }}>
      <Text>{`Ready on ${dayText(ready)}, wanted by ${dayText(wanted)}.`}</Text>
      {late && ways.length > 0 ? (
        <Fold title="What would have it ready earlier">
          {ways.slice(0, 4).map((w) => (
            <Text key={`${w.damageId}.${w.method}`}>
              {`${alternativeWords(w)}: ready on ${dayText(w.ready)}, ${slackWords(w.slackDays).toLowerCase()}. ${w.costs}`}
            </Text>
          ))}
        </Fold>
      ) : null}
      {late && ways.length === 0 ? (
        <Text>
          No other repair has it ready earlier. Longer hours, another pair of hands, or a later day would.
        </Text>
      ) : null}
      <Fold title="What holds up the end">
        <Text kind="quiet">
          Each of these waits for the one before it; between them hands, clamps or hours are not free.
        </Text>
        {chain.slice(-LAST_STEPS).map((title, i) => (
          <Text key={`${i}.${title}`}>{`${i + 1}. ${title}`}</Text>
        ))}
      </Fold>
    </View>
  );
  return (
    <Notice
      kind={late ? 'stop' : 'rest'}
      title={late ? `It will be ${slackWords(slackDays)}` : slackWords(slackDays)}
    >
      {body}
    </Notice>
  );
}
