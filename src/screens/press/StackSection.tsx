import { useState } from 'react';
import { View } from 'react-native';
import Svg, { G, Line, Polygon, Rect, Text as SvgText } from 'react-native-svg';
import { fonts, materials, useTheme } from '@/ui';

type Props = {
  /** Clamp places along the caul, mm from the caul's left end. */
  clampsMm: number[];
  caulMm: { length: number; height: number };
  platenMm: number;
  veneerMm: number;
  coreMm: number;
  padMm: number;
  label: string;
};

const BENCH_MM = 22;
const CLAMP_MM = 34;
/** The veneer and the glue under it are too thin to be seen at scale; they are drawn this much thicker. */
const LEAST_VENEER_MM = 4;

/** The clamp stack cut lengthwise, to scale but for the veneer, with the 45° spread from each clamp. */
export function StackSection({ clampsMm, caulMm, platenMm, veneerMm, coreMm, padMm, label }: Props) {
  const theme = useTheme();
  const [width, setWidth] = useState(0);
  const veneer = Math.max(LEAST_VENEER_MM, veneerMm);
  const total = CLAMP_MM + caulMm.height + platenMm + veneer + coreMm + BENCH_MM;
  const spread = caulMm.height + platenMm;
  const left = -spread * 0.6 - 10;
  const wide = caulMm.length + 2 * spread * 0.6 + 20;
  const k = width / wide;
  const text = (mm: number): number => mm / Math.max(k, 1e-6);
  const y = { caul: CLAMP_MM, platen: CLAMP_MM + caulMm.height, veneer: CLAMP_MM + caulMm.height + platenMm };
  const yCore = y.veneer + veneer;
  const yBench = yCore + coreMm;
  const name = (x: number, at: number, words: string, dark = true) => (
    <SvgText
      x={x + text(8)}
      y={at}
      fontSize={text(12)}
      fontFamily={fonts.text}
      fill={dark ? materials.badge : materials.paper}
    >
      {words}
    </SvgText>
  );
  return (
    <View
      role="img"
      aria-label={label}
      onLayout={(e) => setWidth(e.nativeEvent.layout.width)}
      style={{ backgroundColor: theme.board }}
    >
      {width > 0 ? (
        <Svg width={width} height={total * k} viewBox={`${left} 0 ${wide} ${total}`}>
          <Rect x={left} y={yBench} width={wide} height={BENCH_MM} fill={materials.bench} />
          <Rect x={left} y={yCore} width={wide} height={coreMm} fill={materials.core} />
          <Rect x={left} y={y.veneer} width={wide} height={veneer} fill={materials.veneer} />
          <Rect x={left} y={yCore - 0.8} width={wide} height={1.6} fill={materials.glue} />
          <Rect x={-12} y={y.platen} width={caulMm.length + 24} height={platenMm} fill={materials.platen} />
          <Line
            x1={-12}
            x2={caulMm.length + 12}
            y1={y.veneer}
            y2={y.veneer}
            stroke={materials.paper}
            strokeWidth={1.4}
          />
          <Rect x={0} y={y.caul} width={caulMm.length} height={caulMm.height} fill={materials.caul} />
          {clampsMm.map((x) => (
            <G key={x}>
              <Polygon
                points={`${x - padMm / 2},${y.caul} ${x + padMm / 2},${y.caul} ${x + padMm / 2 + spread},${y.veneer} ${x - padMm / 2 - spread},${y.veneer}`}
                fill={materials.lamp}
                opacity={0.22}
              />
              {([-1, 1] as const).map((side) => (
                <Line
                  key={side}
                  x1={x + (side * padMm) / 2}
                  y1={y.caul}
                  x2={x + side * (padMm / 2 + spread)}
                  y2={y.veneer}
                  stroke={materials.lamp}
                  strokeWidth={text(1.5)}
                  strokeDasharray={`${text(5)} ${text(3)}`}
                />
              ))}
              <Rect x={x - padMm / 2} y={CLAMP_MM - 7} width={padMm} height={7} fill={theme.ink} />
              <Rect x={x - 5} y={0} width={10} height={CLAMP_MM - 7} fill={theme.ink} />
            </G>
          ))}
          {name(0, y.caul + caulMm.height / 2 + text(4), `caul ${Math.round(caulMm.height)} mm`)}
          {name(-12, y.platen + platenMm / 2 + text(4), `platen ${Math.round(platenMm)} mm`)}
          {name(left, yCore + coreMm / 2 + text(4), 'core')}
          {name(left, yBench + BENCH_MM / 2 + text(4), 'bench or block', false)}
        </Svg>
      ) : null}
    </View>
  );
}
