import { View } from 'react-native';
import { FLOOD_SOURCE, FLOOD_STEPS, roomUnderMl } from '@/core/adhesive';
import { boundingBox, rotate } from '@/core/geometry';
import { describeSource } from '@/core/sources';
import { formatSmall } from '@/core/units';
import { Fold, Notice, Row, Text } from '@/ui';
import { useUnits } from '../shared/useUnits';
import { type PressPlan } from '@/core/job';
import { attempt } from '@/core/check';

/** How the mixes are worked in under a lifted edge, and how much room there is for them. */
export function FloodSection({ plan, openingMm }: { plan: PressPlan; openingMm: number | undefined }) {
  const { length } = useUnits();
  const box = boundingBox(plan.outline.map((p) => rotate(p, -plan.layout.directionDeg)));
  const room =
    openingMm === undefined
      ? undefined
      : attempt(() => roomUnderMl(plan.areaMm2, openingMm, box.bottom - box.top));
  const film = (plan.mixes ?? []).reduce((s, m) => s + m.glueMl + m.waterMl, 0);
  return (
    <>
      {room && !room.ok ? (
        <Notice kind="stop" title="That opening cannot be">
          {room.problem}
        </Notice>
      ) : null}
      {room?.ok ? (
        <Text kind="quiet">
          {`Opened by ${length(openingMm ?? 0)} there is room for about ${formatSmall(room.value)} ml; the three mixes are ${formatSmall(film)} ml together.${film > room.value ? ' Let each run in before the next.' : ' They do not fill it: tilt, so that they run to the far end.'}`}
        </Text>
      ) : null}
      <Fold title="Flood it, step by step">
        <View>
          {FLOOD_STEPS.map((s, i) => (
            <Row
              key={s.title}
              title={`${i + 1}. ${s.title}`}
              detail={s.detail}
              source={describeSource(FLOOD_SOURCE)}
              last={i === FLOOD_STEPS.length - 1}
            />
          ))}
        </View>
      </Fold>
    </>
  );
}
