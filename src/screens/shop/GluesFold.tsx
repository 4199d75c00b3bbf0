import { useState } from 'react';
import { View } from 'react-native';
import { ADHESIVES, adhesiveById, GLUE_FIGURES, glueTimes, TEMPERATURE_RULE, type Adhesive, type AdhesiveId, type GlueFigure, type OwnGlue } from '@/core/adhesive'; // prettier-ignore
import { describeSource } from '@/core/sources';
import { formatMinutes } from '@/core/units';
import type { Shop } from '@/records';
import { Button, Chips, Fold, Row, Stepper, Text } from '@/ui';
import { useUnits } from '../shared/useUnits';
import { attempt } from '@/core/check';

const BLEEDS = { little: 'little', some: 'somewhat', much: 'readily' } as const;

const SHOP_TEMPERATURES_C = [8, 12, 16, 20, 25, 30];

function atTemperature(glue: Adhesive, c: number): string {
  const times = attempt(() => glueTimes(glue, c));
  if (!times.ok) return `Too cold: it does not set soundly below ${glue.leastC.value} °C.`;
  const { openMin, closedMin, clampMin } = times.value;
  return `Open ${formatMinutes(openMin)}, pressed within ${formatMinutes(closedMin)}, clamped ${formatMinutes(clampMin)}.`;
}

/** Glues with their figures and where they come from; the shop's own product can override each. */
export function GluesFold({ shop, onChange }: { shop: Shop; onChange: (patch: Partial<Shop>) => void }) {
  const [id, setId] = useState<AdhesiveId>('liquidHide');
  const { temperature } = useUnits();
  const own = shop.glues?.[id] ?? {};
  const glue = adhesiveById(id, own);
  const set = (next: OwnGlue): void => onChange({ glues: { ...shop.glues, [id]: next } });
  const traits = [
    glue.reversible ? 'can be undone' : 'cannot be undone',
    glue.fillsGaps ? 'fills gaps' : 'does not fill gaps',
    glue.creeps ? 'creeps under lasting load' : 'does not creep',
    `comes ${BLEEDS[glue.bleeds]} through thin veneer`,
  ];
  return (
    <Fold title="Glues, and your own product">
      <Chips<AdhesiveId>
        label="Glue"
        bare
        options={ADHESIVES.map((a) => ({ value: a.id, label: a.label }))}
        value={id}
        onChange={setId}
      />
      <Text>{glue.note}</Text>
      <Text kind="quiet">{`It ${traits.join(', ')}. ${glue.heatAndWater} ${glue.underStain}`}</Text>
      <View>
        {(Object.keys(GLUE_FIGURES) as GlueFigure[]).map((f) => (
          <Row
            key={f}
            title={GLUE_FIGURES[f].label}
            value={`${glue[f].value} ${GLUE_FIGURES[f].unit}`}
            source={describeSource(glue[f].source)}
          />
        ))}
        <Row
          title="Full strength"
          value={`${glue.fullCureH.value} h`}
          source={describeSource(glue.fullCureH.source)}
          last
        />
      </View>
      <Text kind="strong">In a colder or warmer shop</Text>
      <View>
        {SHOP_TEMPERATURES_C.map((c, i) => (
          <Row
            key={c}
            title={temperature(c)}
            detail={atTemperature(glue, c)}
            source={describeSource(TEMPERATURE_RULE.source)}
            last={i === SHOP_TEMPERATURES_C.length - 1}
          />
        ))}
      </View>
      <Fold title={`What the label of your ${glue.label.toLowerCase()} says`}>
        <Text kind="quiet">Enter what differs. The product’s label and data sheet go first.</Text>
        {(Object.keys(GLUE_FIGURES) as GlueFigure[]).map((f) => (
          <Stepper
            key={f}
            label={GLUE_FIGURES[f].label}
            unit={GLUE_FIGURES[f].unit}
            value={glue[f].value}
            least={GLUE_FIGURES[f].least}
            most={GLUE_FIGURES[f].most}
            decimals={glue[f].value % 1 === 0 ? 0 : 1}
            {...(own[f] === undefined
              ? {}
              : { help: `Yours; the common kind has ${adhesiveById(id)[f].value}.` })}
            onChange={(value) => set({ ...own, [f]: value })}
          />
        ))}
        {Object.keys(own).length > 0 ? (
          <Button label="Back to the common kind" onPress={() => set({})} />
        ) : null}
      </Fold>
    </Fold>
  );
}
