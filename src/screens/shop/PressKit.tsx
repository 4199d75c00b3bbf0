import { useState } from 'react';
import { HAND_TORQUE_NM, screwForceN, SCREW_SOURCE } from '@/core/glueup';
import { CLAMPS, paceOf, type ClampId, type ClampKind } from '@/core/press';
import { describeSource } from '@/core/sources';
import type { Shop } from '@/records';
import { Button, CheckChips, Chips, Figure, Fold, LengthField, Section, Stepper, Text } from '@/ui';
import { lengthBetween } from '@/core/units';
import { useUnits } from '../shared/useUnits';
import { clampOf } from '@/core/job';

type Props = { shop: Shop; set: (patch: Partial<Shop>) => void };

const kN = (n: number): string => `${(n / 1000).toFixed(n < 1000 ? 2 : 1)} kN`;

const FORCE_WORDS: Record<ClampKind['acts'], (value: number) => string> = {
  point: (n) => `About ${kN(n)} by hand`,
  edge: (n) => `About ${kN(n)} on an edge`,
  ring: (n) => `A pull of about ${kN(n)}`,
  bag: (kPa) => `About ${kPa} kPa everywhere`,
  stroke: (n) => `About ${kN(n)} behind its edge`,
};

/** How many of each kind there are, and how hard they press. */
export function ClampsSection({ shop, set }: Props) {
  const { length } = useUnits();
  const change = (id: ClampId, patch: Partial<Shop['clamps'][number]>): void => {
    const now = shop.clamps.find((c) => c.id === id) ?? { id, count: 0 };
    set({ clamps: [...shop.clamps.filter((c) => c.id !== id), { ...now, ...patch }] });
  };
  const stepper = ({ id }: ClampKind) => {
    const kind = clampOf(id, shop);
    return (
      <Stepper
        key={id}
        label={kind.label}
        help={`${FORCE_WORDS[kind.acts](kind.forceN.value)}${kind.reachMm.value < 1000 ? `, reaches ${length(kind.reachMm.value)}` : ''}, opens ${length(kind.openingMm.value)}.`}
        value={shop.clamps.find((c) => c.id === id)?.count ?? 0}
        least={0}
        most={500}
        onChange={(count) => change(id, { count })}
      />
    );
  };
  return (
    <Section title="Clamps you own" help="The plan never asks for more than there are.">
      {CLAMPS.filter((c) => c.acts === 'point').map(stepper)}
      <Fold title="For edges and rounds, bags and hammer">
        {CLAMPS.filter((c) => c.acts !== 'point').map(stepper)}
      </Fold>
      <ForceFold shop={shop} onForce={(id, forceN) => change(id, { forceN })} />
    </Section>
  );
}

/** Force of a screw clamp from the turn on its handle, kept as the shop's own. */
function ForceFold({
  shop,
  onForce,
}: {
  shop: Shop;
  onForce: (id: ClampId, forceN: number | undefined) => void;
}) {
  const screws = CLAMPS.filter((c) => c.screwMm !== undefined && c.acts === 'point');
  const [id, setId] = useState<ClampId>('fStyle');
  const kind = clampOf(id, shop);
  const [torqueNm, setTorque] = useState(5);
  const [screwMm, setScrew] = useState<number>();
  const diameter = screwMm ?? kind.screwMm?.value ?? 12;
  const forceN = Math.min(50_000, Math.max(10, Math.round(screwForceN(torqueNm, diameter))));
  const own = shop.clamps.find((c) => c.id === id)?.forceN;
  return (
    <Fold title="How hard yours press, from the turn on the screw">
      <Chips<ClampId>
        label="Clamp"
        options={screws.map((c) => ({ value: c.id, label: c.label }))}
        value={id}
        onChange={(next) => {
          setId(next);
          setScrew(undefined);
        }}
      />
      <Stepper
        label="Turn on the handle"
        help={`A torque wrench tells; a firm hand on a wooden handle is about ${HAND_TORQUE_NM.least} to ${HAND_TORQUE_NM.most} N·m.`}
        unit="N·m"
        value={torqueNm}
        least={0.5}
        most={60}
        step={0.5}
        decimals={1}
        onChange={setTorque}
      />
      <Stepper
        label="Diameter of the screw"
        unit="mm"
        value={diameter}
        least={4}
        most={40}
        onChange={setScrew}
      />
      <Figure label="It presses with" value={kN(forceN)} source={describeSource(SCREW_SOURCE)} />
      {forceN > kind.mostForceN.value ? (
        <Text>{`That is more than a clamp of this kind bears (about ${kN(kind.mostForceN.value)}).`}</Text>
      ) : null}
      <Button label={`Use this for my ${kind.label}`} onPress={() => onForce(id, forceN)} />
      {own === undefined ? null : (
        <Button label="Back to the usual force" kind="quiet" onPress={() => onForce(id, undefined)} />
      )}
    </Fold>
  );
}

const PLATENS = [6, 9, 12, 18, 25, 36];
const CAULS: [number, number][] = [[30, 20], [45, 20], [45, 38], [60, 45], [70, 70], [100, 20]]; // prettier-ignore

/** Boards that are taken first, and what else lies about. */
export function BoardsSection({ shop, set }: Props) {
  const { unit, length } = useUnits();
  const chosen = (shop.cauls ?? []).map((c) => `${c.widthMm} ${c.heightMm}`);
  return (
    <Section title="Boards for pressing">
      <LengthField
        label="Caul width"
        valueMm={shop.caulWidthMm}
        unit={unit}
        check={lengthBetween('The caul', 10, 300)}
        onChange={(caulWidthMm) => set({ caulWidthMm })}
      />
      <LengthField
        label="Caul height"
        valueMm={shop.caulHeightMm}
        unit={unit}
        check={lengthBetween('The caul', 10, 150)}
        onChange={(caulHeightMm) => set({ caulHeightMm })}
      />
      <LengthField
        label="Platen thickness"
        valueMm={shop.platenMm}
        unit={unit}
        check={lengthBetween('The platen', 3, 100)}
        onChange={(platenMm) => set({ platenMm })}
      />
      <Text kind="strong">Other platens you have</Text>
      <Text kind="quiet">“Arrange for me” on the press page chooses among all of them.</Text>
      <CheckChips
        label="Other platens you have"
        options={PLATENS.map((t) => ({ value: String(t), label: length(t) }))}
        values={(shop.platens ?? []).map(String)}
        onChange={(next) => set({ platens: next.map(Number) })}
      />
      <Text kind="strong">Other cauls you have</Text>
      <CheckChips
        label="Other cauls you have"
        options={CAULS.map(([w, h]) => ({
          value: `${w} ${h}`,
          label: `${length(w)} wide, ${length(h)} high`,
        }))}
        values={chosen}
        onChange={(next) =>
          set({
            cauls: next.map((c) => {
              const [widthMm = 45, heightMm = 38] = c.split(' ').map(Number);
              return { widthMm, heightMm };
            }),
          })
        }
      />
    </Section>
  );
}

/** How quickly glue is spread and clamps are set here; stages and times follow. */
export function PaceFields({ shop, set }: Props) {
  const known = paceOf(shop);
  const pace = {
    spreadMinPer100Cm2: known.spreadMinPer100Cm2.value,
    secondsPerClamp: known.secondsPerClamp.value,
  };
  return (
    <>
      <Stepper
        label="Spreading glue on 100 cm²"
        help={describeSource(known.spreadMinPer100Cm2.source)}
        unit="min"
        value={pace.spreadMinPer100Cm2}
        least={0.1}
        most={30}
        step={0.1}
        decimals={1}
        onChange={(spreadMinPer100Cm2) => set({ pace: { ...pace, spreadMinPer100Cm2 } })}
      />
      <Stepper
        label="Setting one clamp"
        help={describeSource(known.secondsPerClamp.source)}
        unit="s"
        value={Math.round(pace.secondsPerClamp)}
        least={2}
        most={600}
        step={5}
        onChange={(secondsPerClamp) => set({ pace: { ...pace, secondsPerClamp } })}
      />
    </>
  );
}
