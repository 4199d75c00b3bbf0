import { ADHESIVES } from '@/core/adhesive';
import { POINT_CLAMPS } from '@/core/press';
import type { GlueChoice, Shop } from '@/records';
import { Button, Chips, Fold, LengthField, Stepper } from '@/ui';
import { lengthBetween } from '@/core/units';
import { useUnits } from '../shared/useUnits';
import { withCauls } from '@/core/job';
import { STACK_SIZES, type StackPart } from './StackSection';
import { type PressPlan } from '@/core/job';

export type Layers = { veneerMm?: number; boardMm?: number };

const NAMES: Record<StackPart, [label: string, what: string]> = {
  platen: ['Platen thickness', 'The platen'],
  caul: ['Caul height', 'The caul'],
  veneer: ['Veneer thickness, of the whole face', 'The veneer'],
  core: ['Core thickness, of the whole face', 'The core'],
};

/** Glue, clamps and the layers of the stack, by name and number. */
export function ChangeFold({
  plan,
  shop,
  glue,
  veneerMm,
  boardMm,
  onGlue,
  onLayers,
}: {
  plan: PressPlan | undefined;
  shop: Shop;
  glue: GlueChoice;
  veneerMm: number;
  boardMm: number;
  onGlue: (glue: GlueChoice) => void;
  onLayers: (layers: Layers) => void;
}) {
  const { unit } = useUnits();
  const set = (patch: GlueChoice): void => onGlue({ ...glue, ...patch });
  const layer = (part: StackPart, valueMm: number, onChange: (mm: number) => void) => {
    const [label, what] = NAMES[part];
    const { least, most } = STACK_SIZES[part];
    return <LengthField {...{ label, valueMm, unit, onChange }} check={lengthBetween(what, least, most)} />;
  };
  return (
    <Fold title="Change glue, clamps or the stack">
      <Chips
        label="Glue"
        {...(plan ? { help: plan.adhesive.note } : {})}
        options={ADHESIVES.map((a) => ({ value: a.id, label: a.label }))}
        value={plan?.adhesive.id}
        onChange={(adhesive) => set({ adhesive })}
      />
      <Chips
        label="Clamps"
        options={POINT_CLAMPS.map((c) => ({
          value: c.id,
          label: `${c.label} (${shop.clamps.find((s) => s.id === c.id)?.count ?? 0})`,
        }))}
        value={plan?.clamp.id}
        onChange={(clamp) => set({ clamp })}
      />
      {plan ? (
        <>
          <Chips
            label="Clamps are counted for"
            help="On flat, well fitted ground the least holds; the aim also closes what does not quite meet."
            options={[
              { value: plan.wanted.value, label: `The aim, ${plan.wanted.value} kPa` },
              {
                value: plan.adhesive.leastPressureKPa.value,
                label: `Flat ground, ${plan.adhesive.leastPressureKPa.value} kPa`,
              },
            ].filter((o, i, all) => all.findIndex((x) => x.value === o.value) === i)}
            value={plan.targetKPa}
            onChange={(targetKPa) => set({ targetKPa })}
          />
          <Stepper
            label="Wanted pressure"
            unit="kPa"
            value={plan.targetKPa}
            least={5}
            most={2000}
            step={25}
            onChange={(targetKPa) => set({ targetKPa })}
          />
          {layer('platen', plan.platenMm, (platenMm) => set({ platenMm }))}
          {layer('caul', plan.caul.heightMm, (heightMm) => onGlue(withCauls(glue, { heightMm })))}
          <LengthField
            label="Caul width"
            valueMm={plan.caul.widthMm}
            unit={unit}
            check={lengthBetween('The caul', 10, 300)}
            onChange={(widthMm) => onGlue(withCauls(glue, { widthMm }))}
          />
          {veneerMm > 0 ? layer('veneer', veneerMm, (mm) => onLayers({ veneerMm: mm })) : null}
          {layer('core', boardMm, (mm) => onLayers({ boardMm: mm }))}
        </>
      ) : null}
      <Button label="Back to the defaults" kind="quiet" onPress={() => onGlue({})} />
    </Fold>
  );
}
