import { View } from 'react-native';
import {
  bandPullN,
  edgeClamps,
  GRIP_DEG,
  halfRoundEars,
  padded,
  PADS,
  roundBlocks,
  SPACING_SOURCE,
  STRIPS,
  thickestStripMm,
  type Pad,
  type StripMaterial,
} from '@/core/awkward';
import type { Bed } from '@/core/stack';
import type { ClampKind } from '@/core/press';
import { describeSource } from '@/core/sources';
import { Chips, Figure, Notice, Row, Section, Stepper, Text } from '@/ui';
import { useUnits } from '../shared/useUnits';
import { BlocksDrawing, EarsDrawing } from './drawings';
import { useKeptChoice, useKeptLength, useKeptNumber } from '../shared/kept';
import { Figures, kN } from './parts';
import { attempt } from '@/core/check';

const MATERIALS = Object.keys(STRIPS) as StripMaterial[];
const UNDER = Object.keys(PADS) as Pad[];
const LINES: readonly ('straight' | 'curved')[] = ['straight', 'curved'];

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
  const [material, setMaterial] = useKeptChoice('edge.strip', 'hardwood', MATERIALS);
  const [line, setLine] = useKeptChoice('edge.line', 'straight', LINES);
  const curved = line === 'curved';
  const [pad, setPad] = useKeptChoice('edge.pad', 'cork', UNDER);
  const [radius, radiusField] = useKeptLength('edge.radius', Math.min(5000, Math.max(10, radiusMm)));
  const [thickness, thicknessField] = useKeptLength('edge.thickness', 20);
  const [width, widthField] = useKeptLength('edge.width', boardMm);
  const result = attempt(() => {
    const strip = {
      thicknessMm: thickness,
      modulusMPa: STRIPS[material].modulusMPa.value,
      stiffnessMPaPerMm: padded(bed.stiffnessMPaPerMm, pad),
    };
    return {
      thickest: thickestStripMm(material, radius),
      ...edgeClamps(strip, { lengthMm, widthMm: width, targetKPa, forceN: clamp.forceN.value }),
    };
  });
  if (!result.ok) return <Notice kind="stop">{result.problem}</Notice>;
  const { thickest, apartMm, count, setBy } = result.value;
  const stiff = curved && thickness > thickest;
  return (
    <Section
      title="Strip over the veneer, and edge clamps"
      help="Release sheet on the veneer, then the strip, then the clamps."
    >
      <Chips
        label="The edge is"
        options={[
          { value: 'straight', label: 'Straight' },
          { value: 'curved', label: 'Curved' },
        ]}
        value={line}
        onChange={setLine}
      />
      {curved ? radiusField('Radius of the edge', 10, 5000) : null}
      {widthField('Width of the edge or strip', 3, 300)}
      <Chips<StripMaterial>
        label="Strip"
        options={MATERIALS.map((value) => ({
          value,
          label: STRIPS[value].label,
        }))}
        value={material}
        onChange={setMaterial}
      />
      {thicknessField('Thickness of the strip', 0.1, 150)}
      <Chips<Pad>
        label="Under the strip"
        options={UNDER.map((value) => ({ value, label: PADS[value].label }))}
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
          value={length(apartMm)}
          note={setBy === 'strip' ? 'set by the strip' : 'set by the force'}
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
  const [radius, radiusField] = useKeptLength('half.radius', Math.min(3000, Math.max(50, radiusMm)));
  const [count, setCount] = useKeptNumber('half.clamps', 5);
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
  const [radius, radiusField] = useKeptLength('round.radius', Math.min(3000, Math.max(50, radiusMm)));
  const [block, blockField] = useKeptLength('round.block', 80);
  const [pairs, setPairs] = useKeptNumber('round.pairs', 4);
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
        <>
          <BlocksDrawing radiusMm={radius} pairs={pairs} blockMm={block} hollowMm={result.value.hollowMm} />
          <Figures>
            <Figure label="A block every" value={length(result.value.everyMm)} note="along the rim" />
            <Figure label="Hollowed by" value={length(result.value.hollowMm)} note="in its middle" />
            <Figure label="Clamps open" value={length(result.value.openingMm)} note="and both blocks" />
          </Figures>
        </>
      ) : (
        <Notice kind="stop">{result.problem}</Notice>
      )}
      <Text>
        {`A band round it would have to pull ${kN(pull)} kN for ${targetKPa} kPa on ${length(boardMm)} of edge; a band clamp gives about ${kN(band.forceN.value)} kN. ${pull > band.forceN.value ? 'That is not enough: take the blocks, or press less.' : 'A band does.'}`}
      </Text>
    </Section>
  );
}
