import { router, useLocalSearchParams } from 'expo-router';
import { View } from 'react-native';
import { Circle, G, Line, Polygon as SvgPolygon } from 'react-native-svg';
import { ADHESIVES, TEMPERATURE_RULE } from '@/core/adhesive';
import { distance, rotate } from '@/core/geometry';
import { methodById } from '@/core/method';
import { CLAMPS, SECTION, SPREAD_ANGLE_DEG } from '@/core/press';
import { describeSource } from '@/core/sources';
import { formatMinutes, formatSmall } from '@/core/units';
import { useShop, type GlueChoice } from '@/records';
import {
  Button,
  Chips,
  Figure,
  Fold,
  LengthField,
  materials,
  Notice,
  Row,
  Section,
  Stepper,
  Text,
} from '@/ui';
import { Cautions } from '../decide/RankingView';
import { pressPlan, type PressPlan } from '../shared/derive';
import { damageLabel, surveyed } from '../shared/surveying';
import { FaceBoard } from '../shared/FaceBoard';
import { Missing } from '../shared/Missing';
import { Page } from '../shared/Page';
import { TrailList } from '../shared/Trail';
import { useChange } from '../shared/useAct';
import { useDamageView } from '../shared/usePiece';
import { useUnits } from '../shared/useUnits';
import { BlisterMarks, blisterOf, BlisterSection, StagesSection } from './BlisterSection';
import { CamberFold } from './CamberFold';
import { FieldMap, FieldSection } from './FieldView';
import { StackSection } from './StackSection';
import { fieldFrame, useField, type FieldFrame } from './useField';

const CORE_DRAWN_MM = 18;

const outline = (points: readonly (readonly [number, number])[]): string =>
  points.map((p) => p.join(',')).join(' ');

/** Glue and press for one damage: how much of which glue, where the clamps go, for how long. */
export function PressScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const view = useDamageView(id);
  const { shop } = useShop();
  const change = useChange();
  const { unit, length, area, temperature } = useUnits();
  const { damage, face, piece, onFace, treated, method } = view;
  if (!damage || !piece || !treated) return <Missing what="This damage" loading={view.loading} />;
  const survey = surveyed(damage.body, face?.body);
  const frame = {
    title: 'Glue and press',
    eyebrow: `${piece.body.name} · ${damageLabel(damage.body)}`,
    back: { href: `/damage/${damage.id}/decide` as const, label: 'Decide' },
    list: <TrailList view={view} />,
  };
  const glued = method !== undefined && ['reglue', 'patch'].includes(methodById(method).family);
  if (!survey.ok || !face || !method || !glued) {
    return (
      <Page {...frame}>
        <Notice kind="rest" title="Nothing to press yet">
          {survey.ok
            ? 'The chosen repair is not glued under clamps.'
            : `${survey.problem} The press plan needs the outline to scale.`}
        </Notice>
        <Button
          label={survey.ok ? 'See the ranking' : 'Go to the outline'}
          kind="main"
          onPress={() => router.push(survey.ok ? `/damage/${damage.id}/decide` : `/damage/${damage.id}`)}
        />
      </Page>
    );
  }
  const result = pressPlan(treated, method, damage.body, survey.value, shop);
  const set = (patch: GlueChoice): void => change(damage, { glue: { ...damage.body.glue, ...patch } });
  const plan = result.ok ? result.value : undefined;
  const blister = plan && method === 'injectAndPress' ? blisterOf(plan, survey.value.grainDeg) : undefined;
  const frameOfField = plan ? fieldFrame(plan, face.body, survey.value.board.plane.outline, 0) : undefined;
  return (
    <Page
      {...frame}
      board={
        <FaceBoard
          key={damage.id}
          face={face}
          damages={onFace}
          current={damage.id}
          label="Plan view: clamps, cauls and the pressed footprint"
          phoneHeight={260}
          focus={{ outline: survey.value.outline, marginMm: 55 }}
          over={(k) => (
            <G>
              {plan ? (
                <PlanView plan={plan} k={k} {...(frameOfField ? { frame: frameOfField } : {})} />
              ) : null}
              {blister ? <BlisterMarks blister={blister} k={k} /> : null}
            </G>
          )}
        />
      }
    >
      {!plan ? (
        <Notice kind="stop">{result.ok ? '' : result.problem}</Notice>
      ) : (
        <PlanBody
          plan={plan}
          veneerMm={face.body.veneerMm}
          length={length}
          area={area}
          temperatureText={temperature(shop.temperatureC)}
          {...(frameOfField ? { frame: frameOfField } : {})}
        />
      )}
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
          options={CLAMPS.map((c) => ({
            value: c.id,
            label: `${c.label} (${shop.clamps.find((s) => s.id === c.id)?.count ?? 0})`,
          }))}
          value={plan?.clamp.id}
          onChange={(clamp) => set({ clamp })}
        />
        {plan ? (
          <>
            <Stepper
              label="Wanted pressure"
              unit="kPa"
              value={plan.targetKPa}
              least={5}
              most={2000}
              step={25}
              onChange={(targetKPa) => set({ targetKPa })}
            />
            <LengthField
              label="Platen thickness"
              valueMm={plan.platenMm}
              unit={unit}
              check={within('The platen', 3, 100)}
              onChange={(platenMm) => set({ platenMm })}
            />
            <LengthField
              label="Caul height"
              valueMm={plan.caul.heightMm}
              unit={unit}
              check={within('The caul', 10, 150)}
              onChange={(caulHeightMm) => set({ caulHeightMm })}
            />
            <LengthField
              label="Caul width"
              valueMm={plan.caul.widthMm}
              unit={unit}
              check={within('The caul', 10, 300)}
              onChange={(caulWidthMm) => set({ caulWidthMm })}
            />
          </>
        ) : null}
        <Button label="Back to the defaults" kind="quiet" onPress={() => change(damage, { glue: {} })} />
      </Fold>
      {blister ? <BlisterSection blister={blister} /> : null}
      {plan ? (
        <StagesSection
          plan={plan}
          {...(method === 'floodAndPress' && survey.value.atEdge
            ? { mouthMm: survey.value.measures.alongMm }
            : {})}
        />
      ) : null}
      {plan ? (
        <CamberFold plan={plan} name={`${piece.body.name}, ${damageLabel(damage.body)}`} paper={shop.paper} />
      ) : null}
      <Cautions method={method} />
      {plan?.times.ok ? (
        <Button
          label="Start the glue-up"
          kind="main"
          onPress={() => router.push(`/damage/${damage.id}/glueup`)}
        />
      ) : null}
      <Button label="Open the bench plan" onPress={() => router.push(`/bench?piece=${piece.id}`)} />
    </Page>
  );
}

const within =
  (what: string, least: number, most: number) =>
  (mm: number): void => {
    if (mm < least || mm > most)
      throw new RangeError(`${what} has ${mm.toFixed(1)} mm; it must have between ${least} and ${most} mm.`);
  };

function PlanView({ plan, k, frame }: { plan: PressPlan; k: number; frame?: FieldFrame }) {
  const { layout } = plan;
  const { field } = useField(frame);
  return (
    <G>
      <SvgPolygon
        points={outline(layout.platen)}
        fill={materials.platen}
        fillOpacity={0.28}
        stroke={materials.platen}
        strokeWidth={1.5 / k}
      />
      {frame && field ? <FieldMap frame={frame} field={field} /> : null}
      {layout.footprints.map((f, i) => (
        <SvgPolygon
          key={i}
          points={outline(f)}
          fill="none"
          stroke={materials.lamp}
          strokeWidth={1 / k}
          strokeDasharray={`${5 / k} ${3 / k}`}
        />
      ))}
      {layout.cauls.map((c, i) => (
        <Line
          key={i}
          x1={c.from[0]}
          y1={c.from[1]}
          x2={c.to[0]}
          y2={c.to[1]}
          stroke={materials.caul}
          strokeWidth={c.widthMm}
          opacity={0.25}
        />
      ))}
      {layout.clamps.map(([x, y], i) => (
        <G key={i}>
          <Circle cx={x} cy={y} r={plan.clamp.padMm.value / 2} fill={materials.steel} />
          <Circle cx={x} cy={y} r={plan.clamp.padMm.value / 6} fill={materials.onBadge} />
        </G>
      ))}
    </G>
  );
}

type BodyProps = {
  plan: PressPlan;
  veneerMm: number;
  length: (mm: number) => string;
  area: (mm2: number) => string;
  temperatureText: string;
  frame?: FieldFrame;
};

function PlanBody({ plan, veneerMm, length, area, temperatureText, frame }: BodyProps) {
  const { field, problem } = useField(frame);
  const { layout, adhesive, clamp, times } = plan;
  const count = layout.clamps.length;
  const short = count > plan.owned;
  const tooSlow = times.ok && plan.layingMin > times.value.openMin;
  const [caul] = layout.cauls;
  // Clamps of the first caul, measured along it.
  const along = caul
    ? layout.clamps
        .map((p) => ({ p, d: rotate([p[0] - caul.from[0], p[1] - caul.from[1]], -layout.directionDeg) }))
        .filter(({ d }) => Math.abs(d[1]) < 1)
        .map(({ d }) => d[0])
    : [];
  return (
    <>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 16 }}>
        <Figure
          label="Clamps"
          value={`${count} of ${plan.owned}`}
          note={`${clamp.label}, ${short ? 'more than you own' : 'firm by hand'}`}
          alarm={short}
          source={describeSource(SPREAD_ANGLE_DEG.source)}
        />
        <Figure
          label="Glue"
          value={formatSmall(plan.grams)}
          unit="g"
          note={`for ${area(plan.areaMm2)}`}
          source={`${describeSource(adhesive.spreadGPerM2.source)} Taken: ${adhesive.spreadGPerM2.value} g/m² and a fifth for waste.`}
        />
        <Figure
          label="Pressure"
          value={String(Math.round(layout.pressureKPa))}
          unit="kPa"
          note={`wanted ${plan.targetKPa} or more`}
          alarm={layout.pressureKPa < plan.targetKPa}
          source={describeSource(adhesive.leastPressureKPa.source)}
        />
        <Figure
          label="Under pressure"
          value={String(Math.round(layout.coverage * 100))}
          unit="%"
          note="of the area"
          source={describeSource(SPREAD_ANGLE_DEG.source)}
        />
      </View>
      {caul ? (
        <StackSection
          label={`Section through the stack: bench, core, veneer, platen ${length(plan.platenMm)}, caul ${length(plan.caul.heightMm)}, ${along.length} clamps`}
          clampsMm={along}
          caulMm={{ length: distance(caul.from, caul.to), height: plan.caul.heightMm }}
          platenMm={plan.platenMm}
          veneerMm={veneerMm}
          coreMm={CORE_DRAWN_MM}
          padMm={clamp.padMm.value}
        />
      ) : null}
      {frame && field ? <FieldSection plan={plan} frame={frame} field={field} /> : null}
      {problem ? <Notice kind="stop">{problem}</Notice> : null}
      {short ? (
        <Notice kind="stop" title={`It takes ${count} clamps and you own ${plan.owned} of this kind.`}>
          {`Press it in ${layout.stages} goes along the mouth, or make caul and platen thicker so that fewer clamps reach farther.`}
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
                last
              />
            </>
          ) : null}
        </View>
      </Section>
      <Text kind="quiet">
        On the plan: dark discs are clamps, brown bars cauls, the pale sheet the platen, dashed lines what the
        45° rule takes as pressed, and colours the pressure that arrives.
      </Text>
    </>
  );
}
