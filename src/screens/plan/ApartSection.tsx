import { View } from 'react-native';
import { REACH_SOURCE, STANDINGS } from '@/core/apart';
import { partsPlan, type Plan } from '@/core/job';
import { describeSource } from '@/core/sources';
import { formatMinutes } from '@/core/units';
import type { Stored } from '@/records';
import { Fold, Notice, Row, Section, Text } from '@/ui';
import { LongList } from '../shared/LongList';
import { LinkRow } from '../shared/LinkRow';

/** What has to come off so that a clamp or a hand can reach, in which order, and where to stop. */
export function ApartSection({ plan, piece }: { plan: Plan; piece: Stored<'piece'> }) {
  const parts = partsPlan(piece.body);
  const reaches = plan.repairs.flatMap(({ damageId: id, label, reach }) =>
    reach ? [{ id, label, reach }] : [],
  );
  return (
    <Section title="Apart, and together again">
      <LongList items={reaches}>
        {({ id, label, reach }) => (
          <View key={id} style={{ gap: 4 }}>
            <Text kind="strong">
              {`${label}: ${reach.best ? STANDINGS[reach.best].toLowerCase() : 'nothing that is owned reaches it'}`}
            </Text>
            <Fold title="The three ways compared">
              {reach.ways.map((w) => (
                <Row
                  key={w.standing}
                  title={`${STANDINGS[w.standing]}: ${w.reaches ? 'reached' : 'not reached'}`}
                  detail={[w.why, w.with.join(', ')].filter(Boolean).join(' ')}
                  value={w.minutes > 0 ? formatMinutes(w.minutes) : ''}
                />
              ))}
              <Text kind="quiet">{describeSource(REACH_SOURCE)}</Text>
            </Fold>
          </View>
        )}
      </LongList>
      {!parts.ok ? (
        <Notice kind="stop" title="These parts cannot go in">
          {parts.problem}
        </Notice>
      ) : parts.steps.length > 0 ? (
        <>
          <Text>{`Off in this order, in again the other way round after a dry fit; ${formatMinutes(parts.minutes)} in all.`}</Text>
          <View>
            {parts.steps.map((s, i) => (
              <Row
                key={s.part.id}
                title={`${i + 1}. ${s.part.label}${s.stop ? ': leave it' : ''}`}
                detail={`${s.how} ${s.why}`}
                value={s.minutes > 0 ? formatMinutes(s.minutes) : ''}
              />
            ))}
          </View>
          <Text kind="quiet">
            What is covered again later, such as a glue block or the back of a rail, may be repaired crudely;
            note it in the record.
          </Text>
        </>
      ) : null}
      <LinkRow
        href={`/piece/${piece.id}/parts`}
        title="Parts and hardware"
        detail="How each is held, what it goes in after, and where on the photo it was"
      />
    </Section>
  );
}
