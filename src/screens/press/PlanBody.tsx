import type { ReactNode } from 'react';
import { View } from 'react-native';
import { fromDry, POT_C, TEMPERATURE_RULE } from '@/core/adhesive';
import { distance } from '@/core/geometry';
import { caulUnder, underCaul, SECTION, SPREAD_ANGLE_DEG } from '@/core/press';
import { describeSource } from '@/core/sources';
import { formatMinutes, formatSmall } from '@/core/units';
import { Figure, Notice, Row, Section, Text } from '@/ui';
import { Later } from '../shared/Page';
import { useUnits } from '../shared/useUnits';
import { FieldSection } from './FieldView';
import { StackSection, type StackPart } from './StackSection';
import { useField, type FieldFrame } from './useField';
import { type PressPlan } from '@/core/job';

type BodyProps = {
  plan: PressPlan;
  veneerMm: number;
  boardMm: number;
  length: (mm: number) => string;
  area: (mm2: number) => string;
  temperatureText: string;
  frame?: FieldFrame;
  /** A layer of the stack is dragged thicker or thinner. */
  onStack: (part: StackPart, heightMm: number) => void;
  onStackEnd: () => void;
  /** What stands between the figures and the stack. */
  children?: ReactNode;
};

/** What it takes: clamps, glue, pressure, times. */
export function PlanBody({
  plan,
  veneerMm,
  boardMm,
  length,
  area,
  temperatureText,
  frame,
  onStack,
  onStackEnd,
  children,
}: BodyProps) {
  const { field, problem } = useField(frame);
  const { layout, adhesive, clamp, times } = plan;
  const potText = useUnits().temperature(POT_C.value);
  const dry = fromDry(adhesive, plan.grams);
  const count = layout.clamps.length;
  const stackMm = plan.overBoardMm + boardMm;
  const short = count > plan.owned;
  const tooSlow = times.ok && plan.layingMin > times.value.openMin;
  const [caul] = plan.placed.cauls;
  // Clamps of the first caul, measured along it, whichever way it lies.
  const along = caul
    ? layout.clamps.filter((p) => caulUnder(layout.cauls, p) === 0).map((p) => distance(p, caul.from))
    : [];
  return (
    <>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 16 }}>
        <Figure
          label="Clamps"
          value={`${count} of ${plan.owned}`}
          note={`${plan.clampWords}, ${short ? 'more than you own' : 'firm by hand'}`}
          alarm={short}
          source={describeSource(SPREAD_ANGLE_DEG.source)}
        />
        <Figure
          label="Glue"
          {...(plan.grams > 0
            ? {
                value: formatSmall(plan.grams),
                unit: 'g',
                note: `for ${area(plan.areaMm2)}`,
                source: `${describeSource(adhesive.spreadGPerM2.source)} Taken: ${adhesive.spreadGPerM2.value} g/m² and what stays outside.`,
              }
            : { value: 'None', note: 'the old glue melts and holds again' })}
        />
        <Figure
          label="Pressure"
          value={String(Math.round(layout.pressureKPa))}
          unit="kPa"
          note={`wanted ${plan.targetKPa} kPa or more`}
          alarm={layout.pressureKPa < plan.targetKPa}
          source={`${describeSource(plan.wanted.source)} On flat ground ${adhesive.leastPressureKPa.value} kPa holds: ${describeSource(adhesive.leastPressureKPa.source)}`}
        />
        <Figure
          label="Under pressure"
          value={String(Math.round(layout.coverage * 100))}
          unit="%"
          note="of the area"
          source={describeSource(SPREAD_ANGLE_DEG.source)}
        />
      </View>
      <Later>
        {children}
        {caul ? (
          <StackSection
            label={`Section through the stack: bench, core, veneer, platen ${length(plan.platenMm)}, caul ${length(caul.heightMm)}, ${along.length} clamps`}
            clampsMm={along}
            caulMm={{ length: distance(caul.from, caul.to), height: caul.heightMm }}
            platenAlongMm={underCaul(caul, layout.platen)}
            platenMm={plan.platenMm}
            veneerMm={veneerMm}
            coreMm={boardMm}
            padMm={clamp.padMm.value}
            onMove={onStack}
            onMoveEnd={onStackEnd}
          />
        ) : null}
        {frame && field ? <FieldSection plan={plan} frame={frame} field={field} /> : null}
      </Later>
      {problem ? <Notice kind="stop">{problem}</Notice> : null}
      {short ? (
        <Notice kind="stop" title={`It takes ${count} clamps and you own ${plan.owned} of this kind.`}>
          {`Press it in ${layout.stages} goes along the mouth, or make caul and platen thicker so that fewer clamps reach farther.`}
        </Notice>
      ) : null}
      {clamp.openingMm.value < stackMm ? (
        <Notice
          kind="stop"
          title={`The stack is ${length(stackMm)} high, and a ${clamp.label} opens ${length(clamp.openingMm.value)}.`}
        >
          Take a clamp that opens wider, or lower cauls with a bow.
        </Notice>
      ) : null}
      {layout.outOfReach > 0 ? (
        <Notice
          kind="stop"
          title={`${layout.outOfReach} of the places lie farther in than this clamp reaches (${length(clamp.reachMm.value)}).`}
        >
          Take deeper clamps, go-bars from above, or a stiff caul across the face with clamps at both ends.
        </Notice>
      ) : null}
      {!times.ok ? (
        <Notice kind="stop" title="Too cold for this glue">
          {times.problem}
        </Notice>
      ) : null}
      {tooSlow ? (
        <Notice kind="stop" title="The glue would tack before the clamps are on">
          {`Laying takes about ${formatMinutes(plan.layingMin)}; the glue stays open for ${formatMinutes(times.value.openMin)}. Press in shorter sections.`}
        </Notice>
      ) : null}
      <Later>
        <Section title={adhesive.label} help={plan.why}>
          <View>
            {plan.mixes?.map((m, i) => (
              <Row
                key={m.name}
                title={`${i + 1}. ${m.name}`}
                detail={
                  m.waterMl > 0
                    ? `${formatSmall(m.glueMl)} ml glue and ${formatSmall(m.waterMl)} ml water`
                    : `${formatSmall(m.glueMl)} ml glue, no water`
                }
                value={`${formatSmall(m.glueMl + m.waterMl)} ml`}
                source="Common practice: three mixes, 2:1, 1:1 and neat. The glue of the area is shared evenly over the three."
              />
            ))}
            {dry && plan.grams > 0 && adhesive.waterPerDry ? (
              <Row
                title="From dry glue"
                detail={`${formatSmall(dry.dryG)} g soaked in ${formatSmall(dry.waterMl)} ml of cold water, then warmed to about ${potText}`}
                value={`${formatSmall(plan.grams)} g`}
                source={`${describeSource(adhesive.waterPerDry.source)} ${describeSource(POT_C.source)}`}
              />
            ) : null}
            <Row
              title="Force on all clamps"
              detail={`For ${plan.targetKPa} kPa on ${area(layout.pressedMm2)} of footprint`}
              value={`${(layout.forceNeededN / 1000).toFixed(1)} kN`}
              source="Worked out here: pressure × pressed area under the 45° spread."
            />
            <Row
              title="Each clamp must give"
              detail={`This kind gives about ${(layout.clampGivesN / 1000).toFixed(1)} kN by hand`}
              value={`${(layout.forcePerClampN / 1000).toFixed(1)} kN`}
              source={describeSource(clamp.forceN.source)}
            />
            <Row
              title="Rule of three"
              detail={`${SECTION.clamps.value} clamps per ${SECTION.lengthMm.value} mm would be ${layout.practiceClamps}`}
              value={`${layout.practiceClamps}`}
              source={describeSource(SECTION.clamps.source)}
            />
            <Row
              title="From first glue to last clamp"
              detail="Spreading and setting the clamps"
              value={formatMinutes(plan.layingMin)}
            />
            {times.ok ? (
              <>
                <Row
                  title="Open time"
                  detail={`At ${temperatureText}`}
                  value={formatMinutes(times.value.openMin)}
                  source={describeSource(adhesive.openMin.source)}
                />
                <Row
                  title="Pressure on within"
                  detail="From the first glue that is spread"
                  value={formatMinutes(times.value.closedMin)}
                  source={describeSource(adhesive.closedMin.source)}
                />
                <Row
                  title="Clamps stay on"
                  detail={`At ${temperatureText}`}
                  value={formatMinutes(times.value.clampMin)}
                  source={`${describeSource(adhesive.clampMin.source)} ${describeSource(TEMPERATURE_RULE.source)}`}
                />
                <Row
                  title="Work on it after"
                  detail="Counted from the clamps going on"
                  value={formatMinutes(times.value.workableMin)}
                  source={describeSource(adhesive.workableMin.source)}
                />
                <Row
                  title="Full strength after"
                  detail="No load on it before"
                  value={formatMinutes(60 * times.value.fullCureH)}
                  source={describeSource(adhesive.fullCureH.source)}
                  last
                />
              </>
            ) : null}
          </View>
        </Section>
      </Later>
      <Text kind="quiet">
        On the plan: dark discs are clamps, brown bars cauls, the pale sheet the platen, dashed lines what the
        45° rule takes as pressed, and colours the pressure that arrives.
      </Text>
    </>
  );
}
