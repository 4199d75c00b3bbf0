import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { glueQuantity, type Adhesive } from '@/core/adhesive';
import {
  BAR_EVERY_MM,
  bandPullN,
  caseProps,
  clampSpacingMm,
  CUP_SOURCE,
  FACE_WATER,
  flattenCup,
  GRIP_DEG,
  halfRoundEars,
  HAMMER_PACE,
  padded,
  PADS,
  HAMMER_SOURCE,
  hammerPlan,
  PROP_SOURCE,
  roundBlocks,
  SAFE_STRAIN,
  SPACING_SOURCE,
  STRIPS,
  thickestStripMm,
  type Pad,
  type StripMaterial,
} from '@/core/awkward';
import type { Bed } from '@/core/field';
import type { ClampKind } from '@/core/press';
import { describeSource } from '@/core/sources';
import { formatMinutes, formatSmall } from '@/core/units';
import { Chips, Figure, LengthField, Notice, Row, Section, Stepper, Text } from '@/ui';
import { lengthBetween } from '../shared/lengthCheck';
import { attempt } from '../shared/surveying';
import { useUnits } from '../shared/useUnits';
import { EarsDrawing, PathsDrawing } from './drawings';

/** A length that is only asked for the sum on this page. */
function useLength(
  startMm: number,
): [number, (label: string, least: number, most: number) => React.ReactNode] {
  const [mm, setMm] = useState(startMm);
  const { unit } = useUnits();
  return [
    mm,
    (label, least, most) => (
      <LengthField
        key={label}
        label={label}
        valueMm={mm}
        unit={unit}
        check={lengthBetween(label, least, most)}
        onChange={setMm}
      />
    ),
  ];
}

const Figures = ({ children }: { children: React.ReactNode }) => (
  <View style={styles.figures}>{children}</View>
);
const kN = (n: number): string => (n / 1000).toFixed(n < 1000 ? 2 : 1);

type EdgeProps = {
  radiusMm: number;
  boardMm: number;
  lengthMm: number;
  bed: Bed;
  targetKPa: number;
  clamp: ClampKind;
};

export function EdgeVeneer({ radiusMm, boardMm, lengthMm, bed, targetKPa, clamp }: EdgeProps) {
  const { length } = useUnits();
  const [material, setMaterial] = useState<StripMaterial>('hardwood');
  const [curved, setCurved] = useState(false);
  const [pad, setPad] = useState<Pad>('cork');
  const [radius, radiusField] = useLength(Math.min(5000, Math.max(10, radiusMm)));
  const [thickness, thicknessField] = useLength(20);
  const [width, widthField] = useLength(boardMm);
  const result = attempt(() => {
    const strip = {
      thicknessMm: thickness,
      modulusMPa: STRIPS[material].modulusMPa.value,
      stiffnessMPaPerMm: padded(bed.stiffnessMPaPerMm, pad),
    };
    return { thickest: thickestStripMm(material, radius), spacing: clampSpacingMm(strip) };
  });
  if (!result.ok) return <Notice kind="stop">{result.problem}</Notice>;
  const { thickest, spacing } = result.value;
  const stiff = curved && thickness > thickest;
  // So that the clamps' force also carries the pressure that is wanted.
  const byForce = (1000 * clamp.forceN.value) / (targetKPa * width);
  const apart = Math.min(spacing, byForce);
  const count = Math.max(2, Math.ceil(lengthMm / apart));
  return (
    <Section
      title="Strip over the veneer, and edge clamps"
      help="Release sheet on the veneer, then the strip, then the clamps."
    >
      <Chips<boolean>
        label="The edge is"
        options={[
          { value: false, label: 'Straight' },
          { value: true, label: 'Curved' },
        ]}
        value={curved}
        onChange={setCurved}
      />
      {curved ? radiusField('Radius of the edge', 10, 5000) : null}
      {widthField('Width of the edge or strip', 3, 300)}
      <Chips<StripMaterial>
        label="Strip"
        options={(Object.keys(STRIPS) as StripMaterial[]).map((value) => ({
          value,
          label: STRIPS[value].label,
        }))}
        value={material}
        onChange={setMaterial}
      />
      {thicknessField('Thickness of the strip', 0.1, 150)}
      <Chips<Pad>
        label="Under the strip"
        options={(Object.keys(PADS) as Pad[]).map((value) => ({ value, label: PADS[value].label }))}
        value={pad}
        onChange={setPad}
      />
      <Figures>
        {curved ? (
          <Figure
            label="Thickest that bends"
            value={length(thickest)}
            alarm={stiff}
            note={`round ${length(radius)}`}
            source={describeSource(STRIPS[material].strain.source)}
          />
        ) : null}
        <Figure
          label="Clamps apart"
          value={length(apart)}
          note={spacing < byForce ? 'set by the strip' : 'set by the force'}
          source={describeSource(SPACING_SOURCE)}
        />
        <Figure
          label="Clamps"
          value={String(count)}
          note={`on ${length(lengthMm)}`}
          source={describeSource(clamp.forceN.source)}
        />
      </Figures>
      {stiff ? (
        <Notice kind="stop" title="This strip is too stiff for the curve">
          {`It stands off between the clamps, or breaks. Take one of ${length(thickest)} or thinner, several thin ones on each other, or a block cut to the curve.`}
        </Notice>
      ) : null}
      <Text kind="quiet">
        {`Half-way between two clamps at least 60 % of the mean pressure arrives. A thicker strip or a softer pad lets them stand farther apart.${width < 30 ? ' On so narrow a strip turn gently: the whole force stands on little wood.' : ''}`}
      </Text>
    </Section>
  );
}

export function HalfRound({ radiusMm }: { radiusMm: number }) {
  const { length } = useUnits();
  const [radius, radiusField] = useLength(Math.min(3000, Math.max(50, radiusMm)));
  const [count, setCount] = useState(5);
  const result = attempt(() => halfRoundEars(radius, count));
  return (
    <Section
      title="Clamps from the straight side to the rim"
      help="A jaw that stands aslant on the rim slides off. Blocks or ears give it a square face."
    >
      {radiusField('Radius of the top', 50, 3000)}
      <Stepper label="Clamps" value={count} least={1} most={40} onChange={setCount} />
      {result.ok ? (
        <>
          <EarsDrawing radiusMm={radius} ears={result.value} />
          <View>
            {result.value.map((e, i) => (
              <Row
                key={e.alongMm}
                title={`Clamp ${i + 1}`}
                detail={
                  e.needsBlock
                    ? `Block cut to ${Math.round(e.angleDeg)}°, or a hand-screw with sandpapered jaws as an ear`
                    : 'Sandpaper under the jaw holds it'
                }
                value={
                  Math.abs(e.alongMm) < 0.5
                    ? 'middle'
                    : `${length(Math.abs(e.alongMm))} ${e.alongMm < 0 ? 'left' : 'right'}`
                }
                source={describeSource(GRIP_DEG.source)}
                last={i === result.value.length - 1}
              />
            ))}
          </View>
        </>
      ) : (
        <Notice kind="stop">{result.problem}</Notice>
      )}
    </Section>
  );
}

export function RoundTop({
  radiusMm,
  boardMm,
  targetKPa,
  band,
}: {
  radiusMm: number;
  boardMm: number;
  targetKPa: number;
  band: ClampKind;
}) {
  const { length } = useUnits();
  const [radius, radiusField] = useLength(Math.min(3000, Math.max(50, radiusMm)));
  const [block, blockField] = useLength(80);
  const [pairs, setPairs] = useState(4);
  const result = attempt(() => roundBlocks(radius, pairs, block));
  const pull = bandPullN(targetKPa, radius, boardMm);
  return (
    <Section
      title="Blocks in opposite pairs, or a band"
      help="Tack or tape the blocks on, hollow side to the rim, so that each bar clamp finds two parallel faces."
    >
      {radiusField('Radius of the top', 50, 3000)}
      {blockField('Length of a block', 10, 400)}
      <Stepper label="Pairs of blocks" value={pairs} least={1} most={20} onChange={setPairs} />
      {result.ok ? (
        <Figures>
          <Figure label="A block every" value={length(result.value.everyMm)} note="along the rim" />
          <Figure label="Hollowed by" value={length(result.value.hollowMm)} note="in its middle" />
          <Figure label="Clamps open" value={length(result.value.openingMm)} note="and both blocks" />
        </Figures>
      ) : (
        <Notice kind="stop">{result.problem}</Notice>
      )}
      <Text>
        {`A band round it would have to pull ${kN(pull)} kN for ${targetKPa} kPa on ${length(boardMm)} of edge; a band clamp gives about ${kN(band.forceN.value)} kN. ${pull > band.forceN.value ? 'That is not enough: take the blocks, or press less.' : 'A band does.'}`}
      </Text>
    </Section>
  );
}

export function CuppedBoard({
  lengthMm,
  widthMm,
  boardMm,
  acrossMPa,
}: {
  lengthMm: number;
  widthMm: number;
  boardMm: number;
  acrossMPa: number;
}) {
  const [long, longField] = useLength(lengthMm);
  const [wide, wideField] = useLength(widthMm);
  const [thick, thickField] = useLength(boardMm);
  const [cup, cupField] = useLength(3);
  const result = attempt(() =>
    flattenCup({ lengthMm: long, widthMm: wide, thicknessMm: thick, cupMm: cup, acrossMPa }),
  );
  return (
    <Section
      title="Bars across, before the long clamps"
      help="Lay a straight edge across the hollow side and measure the gap in the middle."
    >
      {longField('Length of the board', 20, 5000)}
      {wideField('Width of the board', 20, 2000)}
      {thickField('Thickness of the board', 2, 100)}
      {cupField('Gap in the middle', 0, 100)}
      {result.ok ? (
        <>
          <Figures>
            <Figure
              label="Bars"
              value={String(result.value.bars)}
              note="across, evenly"
              source={describeSource(BAR_EVERY_MM.source)}
            />
            <Figure
              label="Force on each"
              value={kN(result.value.forceN)}
              unit="kN"
              note="in its middle"
              source={describeSource(CUP_SOURCE)}
            />
            <Figure
              label="Stretch"
              value={(100 * result.value.strain).toFixed(2)}
              unit="%"
              note="of the outer wood"
              alarm={result.value.verdict !== 'flatten'}
              source={describeSource(SAFE_STRAIN.source)}
            />
          </Figures>
          <Notice
            kind={result.value.verdict === 'flatten' ? 'rest' : 'stop'}
            title={VERDICTS[result.value.verdict].title}
          >
            {VERDICTS[result.value.verdict].text}
          </Notice>
        </>
      ) : (
        <Notice kind="stop">{result.problem}</Notice>
      )}
    </Section>
  );
}

const VERDICTS = {
  flatten: {
    title: 'It can be drawn flat',
    text: 'Tighten the bars from the middle outwards, a little at a time, then the long clamps.',
  },
  dampen: {
    title: 'Dampen the hollow side first',
    text: 'Dry, it comes near to splitting. Let the hollow side take up water for a day under light bars, then draw it down.',
  },
  leave: {
    title: 'Do not force it flat',
    text: 'It would split along the grain. Press with a caul cut to its curve, or leave the cup.',
  },
};

export function CaseSide({ platenMm, clampN }: { platenMm: number; clampN: number }) {
  const { length } = useUnits();
  const [inside, insideField] = useLength(500);
  const [platen, platenField] = useLength(platenMm);
  const result = attempt(() => caseProps({ insideMm: inside, platenMm: platen, forceN: clampN }));
  return (
    <Section
      title="A platen on both sides, the inner one propped"
      help="One prop behind each clamp; the other end stands on a board against the opposite side."
    >
      {insideField('Clear width inside', 50, 3000)}
      {platenField('Thickness of the platens', 3, 100)}
      {result.ok ? (
        <Figures>
          <Figure label="Props long" value={length(result.value.propMm)} note="and two wedges" />
          <Figure
            label="At least thick"
            value={length(result.value.sectionMm)}
            note={`square, for ${kN(clampN)} kN`}
            source={describeSource(PROP_SOURCE)}
          />
        </Figures>
      ) : (
        <Notice kind="stop">{result.problem}</Notice>
      )}
      <Text kind="quiet">
        The opposite side takes the same force. Spread it with a board, and look that its joints do not open.
      </Text>
    </Section>
  );
}

export function Hammer({
  alongMm,
  acrossMm,
  gelMin,
  glue,
}: {
  alongMm: number;
  acrossMm: number;
  gelMin: number;
  glue: Adhesive;
}) {
  const { length } = useUnits();
  const [along, alongField] = useLength(alongMm);
  const [across, acrossField] = useLength(acrossMm);
  const [hammer, hammerField] = useLength(90);
  const result = attempt(() => hammerPlan({ alongMm: along, acrossMm: across, hammerMm: hammer, gelMin }));
  return (
    <Section title="Paths of the hammer" help={describeSource(HAMMER_SOURCE)}>
      {alongField('Along the grain', 10, 5000)}
      {acrossField('Across the grain', 10, 3000)}
      {hammerField('Edge of the hammer', 30, 200)}
      {result.ok ? (
        <>
          <PathsDrawing plan={result.value} alongMm={along} acrossMm={across} />
          <Figures>
            <Figure label="Paths" value={String(result.value.paths.length)} note="in the order drawn" />
            <Figure
              label="Sections"
              value={String(result.value.sections)}
              note={`of ${length(result.value.sectionMm)}`}
              source={describeSource(HAMMER_PACE.source)}
            />
            <Figure
              label="Glue gels in"
              value={formatMinutes(gelMin)}
              note="at the shop’s temperature"
              source={describeSource(glue.openMin.source)}
            />
            <Figure
              label="Glue"
              value={formatSmall(glueQuantity(glue, along * across).grams)}
              unit="g"
              source={describeSource(glue.spreadGPerM2.source)}
            />
            <Figure
              label="Water"
              value={formatSmall(result.value.waterMl)}
              unit="ml"
              note="sponged on the face"
              source={describeSource(FACE_WATER.source)}
            />
          </Figures>
          <Text>
            {`Glue the ground and the back, lay the veneer, sponge its face. Work each path from its middle to its ends in zigzags, glue running out ahead; a section takes about ${formatMinutes(result.value.minutesPerSection)}. What gels too early is warmed with an iron over damp cloth.`}
          </Text>
        </>
      ) : (
        <Notice kind="stop">{result.problem}</Notice>
      )}
    </Section>
  );
}

const styles = StyleSheet.create({ figures: { flexDirection: 'row', flexWrap: 'wrap', gap: 16 } });
