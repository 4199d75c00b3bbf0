import { View } from 'react-native';
import Svg, { Circle, Line, Path } from 'react-native-svg';
import { attempt } from '@/core/check';
import { describeSource } from '@/core/sources';
import { CAUL_MODULUS, PAIR_SOURCE, pairOfCauls, type Pair } from '@/core/stack';
import { Chips, Figure, Fold, materials, Notice, Row, Section, Text, useTheme } from '@/ui';
import { useKeptLength } from '../shared/kept';
import { useUnits } from '../shared/useUnits';
import { Figures, kN } from './parts';
import { useState } from 'react';

/** A caul outside, drawn down at its ends, and one inside, held by props: both bend, and both are planed to it. */
export function PairSection({
  lengthMm,
  caul,
  platenMm,
  targetKPa,
}: {
  lengthMm: number;
  caul: { widthMm: number; heightMm: number };
  platenMm: number;
  targetKPa: number;
}) {
  const { length } = useUnits();
  const [props, setProps] = useState<1 | 2>(2);
  const [long, longField] = useKeptLength('pair.length', lengthMm);
  const [outerHigh, outerField] = useKeptLength('pair.outer', caul.heightMm);
  const [innerHigh, innerField] = useKeptLength('pair.inner', caul.heightMm);
  const result = attempt(() =>
    pairOfCauls({
      lengthMm: long,
      outer: { widthMm: caul.widthMm, heightMm: outerHigh },
      inner: { widthMm: caul.widthMm, heightMm: innerHigh },
      modulusMPa: CAUL_MODULUS.value,
      pressureKPa: targetKPa,
      pressedWidthMm: caul.widthMm + 2 * platenMm,
      props,
    }),
  );
  return (
    <Section
      title="A pair of cauls that both bend"
      help="The outer one is drawn down by clamps at its two ends, beyond the edges of the case; the inner one is held by props. Planed to these curves both lie flat under load and press evenly."
    >
      {longField('Between the end clamps', 50, 4000)}
      {outerField('Height of the outer caul', 5, 300)}
      {innerField('Height of the inner caul', 5, 300)}
      <Chips<1 | 2>
        label="Props behind the inner caul"
        options={[
          { value: 1, label: 'One, in the middle' },
          { value: 2, label: 'Two' },
        ]}
        value={props}
        onChange={setProps}
      />
      {result.ok ? (
        <>
          <PairDrawing pair={result.value} lengthMm={long} />
          <Figures>
            <Figure
              label="Bow of the outer caul"
              value={length(result.value.outerMm)}
              note="in its middle"
              source={describeSource(PAIR_SOURCE)}
            />
            <Figure
              label="Bow of the inner caul"
              value={length(result.value.innerMm)}
              note={props === 1 ? 'at its ends' : 'at its ends and in its middle'}
              source={describeSource(PAIR_SOURCE)}
            />
            <Figure label="Each end clamp" value={`${kN(result.value.endForceN)} kN`} />
            <Figure
              label={props === 1 ? 'The prop' : 'Each prop'}
              value={`${kN(result.value.propForceN)} kN`}
              note={`${length(result.value.propAtMm)} from the end`}
            />
          </Figures>
          <Fold title="Heights to plane, along the cauls">
            {result.value.stations
              .filter((_, i) => i % 2 === 0)
              .map((s) => (
                <Row
                  key={s.xMm}
                  title={`${length(s.xMm)} from the end`}
                  value={`outer ${length(s.outerMm)}, inner ${length(s.innerMm)}`}
                />
              ))}
          </Fold>
        </>
      ) : (
        <Notice kind="stop">{result.problem}</Notice>
      )}
      <Text kind="quiet">The panel and the platens are taken as soft beside the cauls.</Text>
    </Section>
  );
}

const WIDE = 320;
const MARGIN = 12;
/** The greater of the two bows is drawn so high. */
const DRAWN_BOW = 26;

function PairDrawing({ pair, lengthMm }: { pair: Pair; lengthMm: number }) {
  const theme = useTheme();
  const scale = DRAWN_BOW / Math.max(pair.outerMm, pair.innerMm, 0.01);
  const x = (mm: number): number => MARGIN + (mm / lengthMm) * (WIDE - 2 * MARGIN);
  const curve = (height: (s: Pair['stations'][number]) => number, base: number, up: 1 | -1): string =>
    pair.stations
      .map((s, i) => `${i === 0 ? 'M' : 'L'}${x(s.xMm)} ${base + up * scale * height(s)}`)
      .join('');
  const props = [pair.propAtMm, lengthMm - pair.propAtMm];
  return (
    <View
      role="img"
      aria-label="The two cauls as they are planed, their bows drawn much enlarged, with clamps and props"
    >
      <Svg width="100%" height={190} viewBox={`0 0 ${WIDE} 190`}>
        {/* The outer caul bows towards the panel. */}
        <Path d={`${curve((s) => s.outerMm, 50, 1)}L${x(lengthMm)} 28L${x(0)} 28Z`} fill={materials.caul} />
        <Line x1={MARGIN} y1={88} x2={WIDE - MARGIN} y2={88} stroke={theme.ink} strokeWidth={6} />
        <Path
          d={`${curve((s) => s.innerMm, 128, -1)}L${x(lengthMm)} 150L${x(0)} 150Z`}
          fill={materials.caul}
        />
        {[0, lengthMm].map((mm) => (
          <Circle key={mm} cx={x(mm)} cy={18} r={6} fill={theme.lampEdge} />
        ))}
        {props.map((mm, i) => (
          <Line key={i} x1={x(mm)} y1={150} x2={x(mm)} y2={186} stroke={theme.verdigris} strokeWidth={7} />
        ))}
      </Svg>
      <Text kind="quiet">
        Above, the outer caul and its end clamps; the panel; below, the inner caul on its props.
      </Text>
    </View>
  );
}
