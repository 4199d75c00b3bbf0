import { useState } from 'react';
import { View } from 'react-native';
import { G, Line, Polygon, Rect, Text as SvgText } from 'react-native-svg';
import { Canvas, fonts, materials, Text, useTheme } from '@/ui';
import { useUnits } from '../shared/useUnits';

export type StackPart = 'veneer' | 'core' | 'platen' | 'caul';

/** What each part may measure, in steps that a hand can set. mm. */
export const STACK_SIZES: Record<StackPart, { least: number; most: number; step: number }> = {
  veneer: { least: 0.2, most: 6, step: 0.1 },
  core: { least: 3, most: 100, step: 1 },
  platen: { least: 3, most: 100, step: 1 },
  caul: { least: 10, most: 150, step: 1 },
};

type Props = {
  /** Clamp places along the caul, mm from the caul's left end. */
  clampsMm: number[];
  caulMm: { length: number; height: number };
  /** What of the caul lies over the platen, mm from its left end. */
  platenAlongMm: readonly [number, number];
  platenMm: number;
  veneerMm: number;
  coreMm: number;
  padMm: number;
  label: string;
  onMove: (part: StackPart, heightMm: number) => void;
  onMoveEnd: () => void;
};

const BENCH_MM = 22;
const BLOCK_MM = 20;
const CLAMP_MM = 34;
/** Veneer is too thin to be seen or taken hold of at scale; it is drawn so many times as thick. */
const VENEER_DRAWN = 5;
const ROOM_SHARE = 1.3;
const HEIGHT_PX = { least: 130, most: 230 };
/** A phone's width: the drawing is no higher than it needs there. */
const ROOM_PX = 350;
/** Layers drawn lower than this are named below the drawing alone. */
const LEAST_NAMED_PX = 13;

/** The clamp stack cut lengthwise, to scale but for the veneer, with the 45° spread from each clamp; each layer is dragged thicker. */
export function StackSection(props: Props) {
  const { clampsMm, caulMm, platenAlongMm, platenMm, veneerMm, coreMm, padMm, label, onMove, onMoveEnd } =
    props;
  const theme = useTheme();
  const { length } = useUnits();
  const veneer = VENEER_DRAWN * veneerMm;
  const spread = caulMm.height + platenMm;
  // The veneer stays where it is while a board is dragged; the drawing finds its size anew when it has been let go.
  const [room, setRoom] = useState(spread * ROOM_SHARE);
  if (spread > room || spread < room / ROOM_SHARE / 1.6) setRoom(spread * ROOM_SHARE);
  const yVeneer = CLAMP_MM + room;
  const [yCore, yPlaten] = [yVeneer + veneer, yVeneer - platenMm];
  const yCaul = yPlaten - caulMm.height;
  const [yBlock, yBench] = [yCore + coreMm, yCore + coreMm + BLOCK_MM];
  const left = -spread * 0.6 - 10;
  const wide = caulMm.length + 2 * spread * 0.6 + 20;
  const total = yBench + BENCH_MM;
  const [platenFrom, platenTo] = platenAlongMm;
  const along = (share: number): number => share * caulMm.length - left;
  return (
    <View style={{ gap: 8 }}>
      <Canvas
        label={label}
        still
        heightPx={Math.min(HEIGHT_PX.most, Math.max(HEIGHT_PX.least, (ROOM_PX * total) / wide))}
        content={{ width: wide, height: total }}
        handles={[
          ...(veneerMm > 0
            ? [{ id: 'veneer', label: 'Underside of the veneer', x: along(0.6), y: yCore }]
            : []),
          { id: 'core', label: 'Underside of the core', x: along(0.95), y: yBlock },
          {
            id: 'platen',
            label: 'Top of the platen',
            x: platenFrom + 0.78 * (platenTo - platenFrom) - left,
            y: yPlaten,
          },
          { id: 'caul', label: 'Top of the caul', x: along(0.95), y: yCaul },
        ]}
        onMove={(id, [, y]) => {
          const heights: Record<StackPart, number> = {
            veneer: (y - yVeneer) / VENEER_DRAWN,
            core: y - yCore,
            platen: yVeneer - y,
            caul: yPlaten - y,
          };
          const part = (Object.keys(heights) as StackPart[]).find((p) => p === id);
          if (part) onMove(part, fitted(part, heights[part]));
        }}
        onMoveEnd={onMoveEnd}
      >
        {(k) => {
          const text = (px: number): number => px / k;
          const name = (x: number, at: number, heightMm: number, words: string, dark = true) =>
            heightMm * k < LEAST_NAMED_PX ? null : (
              <SvgText
                x={x + text(8)}
                y={at + text(4)}
                fontSize={text(12)}
                fontFamily={fonts.text}
                fill={dark ? materials.badge : materials.paper}
              >
                {words}
              </SvgText>
            );
          return (
            <G transform={`translate(${-left} 0)`}>
              <Rect x={left} y={yBench} width={wide} height={BENCH_MM} fill={materials.bench} />
              <Rect x={0} y={yBlock} width={caulMm.length} height={BLOCK_MM} fill={materials.caul} />
              <Rect x={left} y={yCore} width={wide} height={coreMm} fill={materials.core} />
              <Rect x={left} y={yVeneer} width={wide} height={veneer} fill={materials.veneer} />
              <Rect x={left} y={yCore - 0.8} width={wide} height={1.6} fill={materials.glue} />
              <Rect
                x={platenFrom}
                y={yPlaten}
                width={platenTo - platenFrom}
                height={platenMm}
                fill={materials.platen}
              />
              <Line
                x1={platenFrom}
                x2={platenTo}
                y1={yVeneer}
                y2={yVeneer}
                stroke={materials.paper}
                strokeWidth={1.4}
              />
              <Rect x={0} y={yCaul} width={caulMm.length} height={caulMm.height} fill={materials.caul} />
              {clampsMm.map((x, i) => (
                <G key={i}>
                  {x < platenFrom || x > platenTo ? null : (
                    <>
                      <Polygon
                        points={`${x - padMm / 2},${yCaul} ${x + padMm / 2},${yCaul} ${x + padMm / 2 + spread},${yVeneer} ${x - padMm / 2 - spread},${yVeneer}`}
                        fill={materials.lamp}
                        opacity={0.22}
                      />
                      {([-1, 1] as const).map((side) => (
                        <Line
                          key={side}
                          x1={x + (side * padMm) / 2}
                          y1={yCaul}
                          x2={x + side * (padMm / 2 + spread)}
                          y2={yVeneer}
                          stroke={materials.lamp}
                          strokeWidth={text(1.5)}
                          strokeDasharray={`${text(5)} ${text(3)}`}
                        />
                      ))}
                    </>
                  )}
                  <Rect x={x - padMm / 2} y={yCaul - 7} width={padMm} height={7} fill={theme.ink} />
                  <Rect x={x - 5} y={yCaul - CLAMP_MM} width={10} height={CLAMP_MM - 7} fill={theme.ink} />
                </G>
              ))}
              {name(0, yCaul + caulMm.height / 2, caulMm.height, `caul ${length(caulMm.height)}`)}
              {name(platenFrom, yPlaten + platenMm / 2, platenMm, `platen ${length(platenMm)}`)}
              {name(left, yCore + coreMm / 2, coreMm, `core ${length(coreMm)}`)}
              {name(0, yBlock + BLOCK_MM / 2, BLOCK_MM, 'block')}
              {name(left, yBench + BENCH_MM / 2, BENCH_MM, 'bench', false)}
            </G>
          );
        }}
      </Canvas>
      <Text kind="quiet">
        {`From the top: caul ${length(caulMm.height)}, platen ${length(platenMm)}, release sheet, ${veneerMm > 0 ? `veneer ${length(veneerMm)} on glue (drawn five times as thick), ` : ''}core ${length(coreMm)}, block, bench. Drag a ring to change a layer.`}
      </Text>
    </View>
  );
}

function fitted(part: StackPart, mm: number): number {
  const { least, most, step } = STACK_SIZES[part];
  return Number(Math.min(most, Math.max(least, Math.round(mm / step) * step)).toFixed(1));
}
