import { View } from 'react-native';
import { ATMOSPHERE_SOURCE, BAG_BEYOND_MM, BAG_SLOWER, bagPlan } from '@/core/press';
import { boundingBox, type Polygon } from '@/core/geometry';
import { describeSource } from '@/core/sources';
import { formatMinutes } from '@/core/units';
import { Figure, Fold, Notice, Stepper, Text } from '@/ui';
import { useKeptNumber } from '../shared/kept';
import { useUnits } from '../shared/useUnits';
import { type PressPlan } from '@/core/job';
import { attempt } from '@/core/check';

/** The shop's vacuum bag in the place of clamps, for a panel that can be taken out. */
export function BagFold({ plan, face, thickMm }: { plan: PressPlan; face: Polygon; thickMm: number }) {
  const { length } = useUnits();
  const [heightM, setHeightM] = useKeptNumber('bag.height', 0);
  const { bagKPa, adhesive, times } = plan;
  // In a bag the pressure is even everywhere, and what lies in it lies flat.
  const leastKPa = adhesive.leastPressureKPa.value;
  if (bagKPa === undefined || !times.ok) return null;
  const box = boundingBox(face);
  const result = attempt(() =>
    bagPlan({
      longMm: Math.max(box.right - box.left, box.bottom - box.top),
      wideMm: Math.min(box.right - box.left, box.bottom - box.top),
      thickMm,
      bagKPa,
      heightM,
      targetKPa: leastKPa,
      clampMin: times.value.clampMin,
      dries: adhesive.thinsWithWater && !adhesive.setsByCooling,
    }),
  );
  return (
    <Fold title="In the vacuum bag instead">
      <Text>For a panel that comes off the piece: no clamps, and even everywhere.</Text>
      <Stepper
        label="The shop lies above the sea"
        unit="m"
        value={heightM}
        least={-400}
        most={5000}
        step={100}
        onChange={setHeightM}
      />
      {result.ok ? (
        <>
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 16 }}>
            <Figure
              label="Bag presses with"
              value={String(Math.round(result.value.pressureKPa))}
              unit="kPa"
              note={`flat ground wants ${leastKPa} kPa or more`}
              alarm={!result.value.enough}
              source={describeSource(ATMOSPHERE_SOURCE)}
            />
            <Figure
              label="On the whole panel"
              value={(result.value.forceN / 1000).toFixed(1)}
              unit="kN"
              note="both faces, all of it"
            />
            <Figure
              label="Bag, laid flat"
              value={length(result.value.bagMm.long)}
              note={`by ${length(result.value.bagMm.wide)}`}
              source={describeSource(BAG_BEYOND_MM.source)}
            />
            <Figure
              label="Stays in the bag"
              value={formatMinutes(result.value.clampMin)}
              source={describeSource(BAG_SLOWER.source)}
            />
          </View>
          {result.value.enough ? null : (
            <Notice kind="stop" title="Less than this glue wants on flat ground">
              {`The bag gives ${Math.round(result.value.pressureKPa)} kPa here and ${adhesive.label} wants ${leastKPa} kPa even on flat ground. Use clamps, or another glue.`}
            </Notice>
          )}
          <Text kind="quiet">
            Round the edges of platen and panel so that nothing cuts the sheet. Release sheet on the veneer,
            then the platen, then mesh that leads the air to the valve. A hollow panel or a frame would be
            crushed: fill it out with blocks, or use clamps.
          </Text>
        </>
      ) : (
        <Notice kind="stop">{result.problem}</Notice>
      )}
    </Fold>
  );
}
