import { View } from 'react-native';
import Svg, { Line, Rect, Text as SvgText } from 'react-native-svg';
import { LEAST_LEFT_MM, type SandingBudget } from '@/core/sanding';
import { fonts, materials, useTheme } from '@/ui';

const WIDTH = 330;
const HEIGHT = 132;
const TOP = 30;
const TALL = 70;

/** The veneer cut through and enlarged: what each grit takes in the field and at the edge, and what stays. */
export function VeneerLeft({
  budget,
  veneerMm,
  text,
}: {
  budget: SandingBudget;
  veneerMm: number;
  text: (mm: number) => string;
}) {
  const theme = useTheme();
  const total = Math.max(veneerMm, budget.leftMm + budget.removedMm);
  const y = (mm: number): number => TOP + TALL * (1 - Math.max(0, mm) / total);
  const bar = (x: number, width: number, left: number, label: string) => (
    <>
      <Rect x={x} y={y(total)} width={width} height={TALL} fill={materials.veneer} opacity={0.28} />
      <Rect x={x} y={y(left)} width={width} height={TOP + TALL - y(left)} fill={materials.veneer} />
      <SvgText
        x={x + width / 2}
        y={y(total) - 8}
        fontSize={13}
        fontFamily={fonts.text}
        fill={theme.ink}
        textAnchor="middle"
      >
        {label}
      </SvgText>
      <SvgText
        x={x + width / 2}
        y={TOP + TALL - 8}
        fontSize={14}
        fontFamily={fonts.bold}
        fill={materials.paper}
        textAnchor="middle"
      >
        {left > 0 ? text(left) : 'through'}
      </SvgText>
    </>
  );
  return (
    <View
      role="img"
      aria-label={`Of ${text(total)} stay ${text(Math.max(0, budget.leftMm))} in the field and ${text(Math.max(0, budget.leftAtEdgeMm))} at edges`}
    >
      <Svg width="100%" height={HEIGHT} viewBox={`0 0 ${WIDTH} ${HEIGHT}`}>
        {bar(8, 190, budget.leftMm, 'In the field')}
        {bar(206, 116, budget.leftAtEdgeMm, 'At edges, corners')}
        <Rect x={8} y={TOP + TALL} width={314} height={22} fill={materials.core} />
        <SvgText x={14} y={TOP + TALL + 16} fontSize={12} fontFamily={fonts.text} fill={materials.badge}>
          core
        </SvgText>
        <Line
          x1={8}
          x2={322}
          y1={y(LEAST_LEFT_MM.value)}
          y2={y(LEAST_LEFT_MM.value)}
          stroke={materials.lamp}
          strokeWidth={2}
          strokeDasharray="6 4"
        />
      </Svg>
    </View>
  );
}
