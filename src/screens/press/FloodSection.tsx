import { useState } from 'react';
import { View } from 'react-native';
import { FLOOD_SOURCE, FLOOD_STEPS, roomUnderMl } from '@/core/adhesive';
import { boundingBox, rotate } from '@/core/geometry';
import { describeSource } from '@/core/sources';
import { formatMinutes, formatSmall } from '@/core/units';
import { Fold, Notice, Row, Stepper, Text } from '@/ui';
import { useUnits } from '../shared/useUnits';
import { floodRuns, HAND_TILT_DEG, type PressPlan } from '@/core/job';
import { DRYING_SOURCE, RUN_IN_SOURCE, THINNED_SOURCE } from '@/core/glueup';
import { attempt } from '@/core/check';

/** How the mixes are worked in under a lifted edge, and how much room there is for them. */
export function FloodSection({
  plan,
  openingMm,
  veneerMm,
}: {
  plan: PressPlan;
  openingMm: number | undefined;
  veneerMm: number;
}) {
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
      {openingMm !== undefined && openingMm > 0 && room?.ok && plan.times.ok ? (
        <RunsIn plan={plan} openingMm={openingMm} depthMm={box.bottom - box.top} veneerMm={veneerMm} />
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

/** How far each mix runs in while it is open, and what its water does. */
function RunsIn({
  plan,
  openingMm,
  depthMm,
  veneerMm,
}: {
  plan: PressPlan;
  openingMm: number;
  depthMm: number;
  veneerMm: number;
}) {
  const { length } = useUnits();
  const [tilt, setTilt] = useState(HAND_TILT_DEG.value);
  const found = attempt(() => floodRuns(plan, openingMm, depthMm, tilt, veneerMm));
  if (!found.ok) return <Notice kind="rest">{found.problem}</Notice>;
  const { mixes, water } = found.value;
  return (
    <Fold title="How far each mix runs in">
      <Stepper
        label="The piece is tilted by"
        unit="°"
        value={tilt}
        least={0}
        most={90}
        step={5}
        onChange={setTilt}
      />
      <View>
        {mixes.map((m, i) => (
          <Row
            key={m.name}
            title={m.name}
            detail={
              m.reaches
                ? 'Runs to where the veneer holds.'
                : `Stops short of ${length(depthMm)}: pump it, tilt more, or thin it.`
            }
            value={m.beyond ? `over ${length(m.runsMm)}` : length(m.runsMm)}
            source={`${describeSource(RUN_IN_SOURCE)} ${describeSource(THINNED_SOURCE)}`}
            last={i === mixes.length - 1}
          />
        ))}
      </View>
      {water ? (
        <Row
          title="Water brought in"
          detail={`The wood round the glue line becomes about ${Math.round(100 * water.risesBy)} % wetter at first; nine tenths of that is gone through the face after ${formatMinutes(water.driesInMin)}. Level and sand after that, not before.`}
          value={`${formatSmall(water.ml)} ml`}
          source={describeSource(DRYING_SOURCE)}
          last
        />
      ) : null}
    </Fold>
  );
}
