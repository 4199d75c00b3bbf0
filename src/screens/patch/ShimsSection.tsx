import { View } from 'react-native';
import Svg, { Line, Polygon, Rect } from 'react-native-svg';
import type { ShimSum } from '@/core/job';
import { describeSource } from '@/core/sources';
import { SHIM_SHEET_MM, type ShimsPlan } from '@/core/veneer';
import { Beside, materials, Notice, Row, Section, Text, useTheme } from '@/ui';
import { useKeptLength } from '../shared/kept';
import { useUnits } from '../shared/useUnits';

/** Paper under a patch, under part of it where the old veneer thins out. */
export function ShimsSection({ shims }: { shims: ShimSum }) {
  const { length } = useUnits();
  const { input, plan: result } = shims;
  const { oldMm, newMm, lengthMm } = input;
  const [one, other] = oldMm;
  const [, oneField] = useKeptLength('shims.one', one);
  const [, otherField] = useKeptLength('shims.other', other);
  return (
    <Section
      title="Height of the patch"
      help={`Measure the old veneer at both ends of the recess. A sheet counts ${length(SHIM_SHEET_MM.value)}. ${describeSource(SHIM_SHEET_MM.source)}`}
    >
      <Beside>
        {oneField('Old veneer at its left end', 0.2, 6)}
        {otherField('Old veneer at its right end', 0.2, 6)}
      </Beside>
      {result.ok ? (
        <>
          <ShimDrawing plan={result.value} oldMm={[one, other]} newMm={newMm} lengthMm={lengthMm} />
          <View>
            {result.value.zones.map(({ fromMm, toMm, sheets }, i) => (
              <Row
                key={fromMm}
                title={`${length(fromMm)} to ${length(toMm)} from its left end`}
                value={sheets === 1 ? '1 sheet' : `${sheets} sheets`}
                last={i === result.value.zones.length - 1}
              />
            ))}
          </View>
          <Text>{result.value.words}</Text>
        </>
      ) : (
        <Notice kind="stop">{result.problem}</Notice>
      )}
    </Section>
  );
}

const WIDE = 320;
/** Heights are drawn so much larger, units a mm. */
const TALL = 40;

/** The bed in section: old veneer on both sides, the sheets, and the patch on them. */
function ShimDrawing({
  plan,
  oldMm: [one, other],
  newMm,
  lengthMm,
}: {
  plan: ShimsPlan;
  oldMm: readonly [number, number];
  newMm: number;
  lengthMm: number;
}) {
  const theme = useTheme();
  const k = TALL / Math.max(one, other, newMm);
  const x = (mm: number): number => 50 + (mm / lengthMm) * 220;
  const sheet = SHIM_SHEET_MM.value * k;
  return (
    <View
      role="img"
      aria-label="The patch in section on its sheets of paper, between the old veneer; heights drawn larger"
    >
      <Svg width="100%" height={96} viewBox={`0 0 ${WIDE} 96`}>
        <Rect x={0} y={70} width={WIDE} height={26} fill={materials.core} />
        <Polygon points={`0,${70 - one * k} 50,${70 - one * k} 50,70 0,70`} fill={materials.veneer} />
        <Polygon
          points={`270,${70 - other * k} ${WIDE},${70 - other * k} ${WIDE},70 270,70`}
          fill={materials.veneer}
        />
        {plan.zones.map(({ fromMm, toMm, sheets }) => [
          <Rect
            key={`paper ${fromMm}`}
            x={x(fromMm)}
            y={70 - sheets * sheet}
            width={x(toMm) - x(fromMm)}
            height={sheets * sheet}
            fill={materials.paper}
            stroke={theme.ink}
            strokeWidth={0.4}
          />,
          <Rect
            key={`patch ${fromMm}`}
            x={x(fromMm)}
            y={70 - sheets * sheet - newMm * k}
            width={x(toMm) - x(fromMm)}
            height={newMm * k}
            fill={materials.caul}
          />,
        ])}
        <Line
          x1={50}
          x2={270}
          y1={70 - one * k}
          y2={70 - other * k}
          stroke={theme.oxblood}
          strokeDasharray="6 4"
        />
      </Svg>
      <Text kind="quiet">In section, heights drawn larger. Dashed: the old face.</Text>
    </View>
  );
}
