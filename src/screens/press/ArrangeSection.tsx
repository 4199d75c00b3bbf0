import { useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Arranged, ArrangeInput } from '@/core/arrange';
import { CAUL_MODULUS, PLATEN_MODULUS, PLATEN_POISSON } from '@/core/stack';
import { distance } from '@/core/geometry';
import { clampById, outgrown, placeOf, type ClampId, type PlacedLayout } from '@/core/press';
import type { GlueChoice, Shop } from '@/records';
import { Button, Chips, Notice, Progress, Section, Stepper, Text } from '@/ui';
import { compute } from '@/worker';
import { useAct } from '../shared/useAct';
import { useUnits } from '../shared/useUnits';
import { withClamp } from '@/core/job';
import { onFace, type FieldFrame } from './useField';
import { ownedClamps, type PressPlan } from '@/core/job';

type Props = {
  plan: PressPlan;
  frame: FieldFrame;
  shop: Shop;
  byHand: boolean;
  onByHand: (on: boolean) => void;
  onChange: (patch: GlueChoice) => void;
};

const unique = <T,>(list: readonly T[]): T[] => [
  ...new Map(list.map((v) => [JSON.stringify(v), v])).values(),
];

function arrangeInput(plan: PressPlan, { input, face }: FieldFrame, shop: Shop): ArrangeInput {
  return {
    panel: input.panel,
    region: input.region ?? [],
    face,
    platens: unique([plan.platenMm, ...(shop.platens ?? [])]).map((thicknessMm) => ({
      thicknessMm,
      modulusMPa: PLATEN_MODULUS.value,
      poisson: PLATEN_POISSON.value,
    })),
    cauls: unique([plan.caul, ...(shop.cauls ?? [])]).map((c) => ({ ...c, modulusMPa: CAUL_MODULUS.value })),
    clamps: ownedClamps(shop).map(({ kind, count }) => ({
      id: kind.id,
      count,
      forceN: kind.forceN.value,
      reachMm: kind.reachMm.value,
    })),
    foundation: input.foundation,
    target: input.target,
    gridMm: input.gridMm,
    own: {
      platenMm: plan.platenMm,
      cauls: [...input.cauls],
      clamps: plan.placed.clamps.map((c, i) => ({
        at: input.clamps[i]?.at ?? c.at,
        forceN: c.forceN,
        kind: c.clamp,
        ...(input.clamps[i]?.caul === undefined ? {} : { caul: input.clamps[i].caul }),
      })),
    },
  };
}

const placedOf = (made: Arranged, frame: FieldFrame): PlacedLayout => ({
  cauls: made.cauls.map((c) => ({
    from: onFace(frame, c.from),
    to: onFace(frame, c.to),
    widthMm: c.widthMm,
    heightMm: c.heightMm,
    camberMm: c.camberMm,
  })),
  clamps: made.clamps.map((c) => ({
    at: onFace(frame, c.at),
    clamp: clampById(c.kind).id,
    forceN: Math.round(c.forceN),
  })),
});

const kN = (n: number): string => `${(n / 1000).toFixed(n < 950 ? 2 : 1)} kN`;

/** “3 F-style clamps at 1.6 kN” */
function inWords(clamps: PlacedLayout['clamps']): string {
  const kinds = new Map<ClampId, { count: number; forceN: number }>();
  for (const { clamp, forceN } of clamps)
    kinds.set(clamp, { count: (kinds.get(clamp)?.count ?? 0) + 1, forceN });
  return [...kinds]
    .map(([id, { count, forceN }]) => `${count} × ${clampById(id).label} at ${kN(forceN)}`)
    .join(', ');
}

/** The search for the fewest clamps, and placing them by hand. */
export function ArrangeSection({ plan, frame, shop, byHand, onByHand, onChange }: Props) {
  const { length } = useUnits();
  const act = useAct();
  const running = useRef<AbortController>(undefined);
  const [fraction, setFraction] = useState<number>();
  const [made, setMade] = useState<Arranged>();
  const [problem, setProblem] = useState<string>();
  const start = (): Promise<void> =>
    act(async () => {
      const job = new AbortController();
      running.current = job;
      setFraction(0);
      setMade(undefined);
      setProblem(undefined);
      try {
        const found = await compute('press.arrange', arrangeInput(plan, frame, shop), {
          signal: job.signal,
          onProgress: setFraction,
        });
        setMade(found);
        if (!found.kept)
          onChange({
            placed: { ...placedOf(found, frame), loose: placeOf(plan.outline) },
            platenMm: found.platenMm,
          });
      } catch (error) {
        if (!(error instanceof RangeError)) throw error;
        setProblem(error.message);
      } finally {
        setFraction(undefined);
      }
    });
  const { placed } = plan;
  const [first] = placed.clamps;
  const place = (next: PlacedLayout): void => onChange({ placed: { ...next, loose: placeOf(plan.outline) } });
  const bowed = placed.cauls.find((c) => c.camberMm > 0.05);
  const longest = Math.max(0, ...placed.cauls.map((c) => distance(c.from, c.to)));
  return (
    <Section
      title="Where clamps and cauls stand"
      help={`${inWords(placed.clamps)}; ${placed.cauls.length} ${placed.cauls.length === 1 ? 'caul' : 'cauls'}${longest > 0 ? ` up to ${length(longest)} long` : ''}${bowed ? ` bowed by ${length(bowed.camberMm)}` : ''}, platen ${length(plan.platenMm)}.`}
    >
      {outgrown(placed, plan.outline) ? (
        <Notice kind="stop" title="The outline has changed since these clamps were placed">
          Arrange again, drag them to where they belong, or go back to the 45° layout.
        </Notice>
      ) : null}
      {fraction === undefined ? (
        <Button label="Arrange for me" onPress={start} />
      ) : (
        <Progress
          label="Trying layouts with what you own"
          fraction={fraction}
          onCancel={() => running.current?.abort()}
        />
      )}
      {problem ? <Notice kind="stop">{problem}</Notice> : null}
      {made && made.reached ? (
        <Notice
          kind="rest"
          title={made.kept ? 'Yours is as good as any' : 'The target is reached everywhere'}
        >
          {`${made.tried === 1 ? 'One layout was' : `${made.tried} layouts were`} tried. It presses with ${Math.round(made.leastKPa)} to ${Math.round(made.greatestKPa)} kPa.`}
        </Notice>
      ) : null}
      {made && !made.reached ? (
        <Notice
          kind="stop"
          title={`${Math.round(100 * made.coverage)} % is well pressed; what you own does not reach the rest.`}
        >
          {made.missing.join(' ')}
        </Notice>
      ) : null}
      <Chips
        label="Move clamps and cauls by hand"
        options={[
          { value: false, label: 'Look only' },
          { value: true, label: 'Drag on the plan' },
        ]}
        value={byHand}
        onChange={onByHand}
      />
      {byHand ? (
        <>
          <Text kind="quiet">
            Drag a ring or use the arrow keys; the cross moves a caul with its clamps. The map follows roughly
            while you drag and is worked out finely when you let go.
          </Text>
          <View style={styles.buttons}>
            <Button label="Add a clamp" onPress={() => place(withClamp(placed))} />
            {placed.clamps.length > 1 ? (
              <Button
                label="Take one off"
                onPress={() => place({ ...placed, clamps: placed.clamps.slice(0, -1) })}
              />
            ) : null}
          </View>
          {first ? (
            <Stepper
              label="Force of each clamp"
              unit="N"
              value={first.forceN}
              least={10}
              most={clampById(first.clamp).mostForceN.value}
              step={100}
              onChange={(forceN) =>
                place({ ...placed, clamps: placed.clamps.map((c) => ({ ...c, forceN })) })
              }
            />
          ) : null}
        </>
      ) : null}
      {plan.byRule ? null : (
        <Button label="Back to the 45° layout" kind="quiet" onPress={() => onChange({ placed: undefined })} />
      )}
    </Section>
  );
}

const styles = StyleSheet.create({ buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 10 } });
