import { Circle, G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import type { Ear, HammerPlan } from '@/core/awkward';
import { Canvas, fonts, materials, useWords } from '@/ui';

const HEIGHT_PX = 220;

/** The half-round from above: each clamp's pull, and where it needs a block. */
export function EarsDrawing({ radiusMm, ears }: { radiusMm: number; ears: readonly Ear[] }) {
  const margin = 0.22 * radiusMm;
  const middle = radiusMm + margin;
  const top = margin;
  return (
    <Canvas
      label={`Half-round top of ${Math.round(radiusMm)} mm radius with ${ears.length} clamps along its rim`}
      still
      heightPx={HEIGHT_PX}
      content={{ width: 2 * middle, height: radiusMm + 2 * margin }}
    >
      {(k) => (
        <G>
          <Path
            d={`M${margin} ${top}A${radiusMm} ${radiusMm} 0 0 0 ${middle + radiusMm} ${top}Z`}
            fill={materials.veneer}
            stroke={materials.shade}
            strokeWidth={1.5 / k}
          />
          {ears.map((e, i) => {
            const a = (Math.sign(e.alongMm) * e.angleDeg * Math.PI) / 180;
            const [x, y] = [middle + radiusMm * Math.sin(a), top + radiusMm * Math.cos(a)];
            const s = 0.07 * radiusMm;
            return (
              <G key={e.alongMm}>
                {e.needsBlock ? (
                  <Path
                    d={`M${x - s} ${y + s * 1.3}L${x + s} ${y + s * 1.3}L${x + s} ${y - s * Math.tan(a) * 0.9}L${x - s} ${y + s * Math.tan(a) * 0.9}Z`}
                    fill={materials.caul}
                  />
                ) : null}
                <Line
                  x1={x}
                  x2={x}
                  y1={top}
                  y2={y}
                  stroke={materials.steel}
                  strokeWidth={3 / k}
                  strokeDasharray={`${7 / k} ${4 / k}`}
                />
                <SvgText
                  x={x}
                  y={top - 6 / k}
                  textAnchor="middle"
                  fontSize={13 / k}
                  fontFamily={fonts.text}
                  fill={materials.badge}
                >
                  {i + 1}
                </SvgText>
              </G>
            );
          })}
        </G>
      )}
    </Canvas>
  );
}

/** The leaf with the paths of the hammer, numbered in the order they are worked, and where each section ends. */
export function PathsDrawing({
  plan,
  alongMm,
  acrossMm,
}: {
  plan: HammerPlan;
  alongMm: number;
  acrossMm: number;
}) {
  return (
    <Canvas
      label={`${plan.paths.length} paths of the hammer along the grain, from the middle outwards, in ${plan.sections} sections`}
      still
      heightPx={HEIGHT_PX}
      content={{ width: alongMm, height: acrossMm }}
    >
      {(k) => (
        <G>
          <Rect width={alongMm} height={acrossMm} fill={materials.veneer} />
          {plan.paths.map((p, i) => (
            <G key={p.centreMm}>
              <Rect
                x={0}
                y={p.centreMm - p.widthMm / 2}
                width={alongMm}
                height={p.widthMm}
                fill={materials.glue}
                opacity={0.22}
              />
              <Line
                x1={0}
                x2={alongMm}
                y1={p.centreMm}
                y2={p.centreMm}
                stroke={materials.steel}
                strokeWidth={1.5 / k}
                strokeDasharray={`${8 / k} ${5 / k}`}
              />
              <SvgText
                x={8 / k}
                y={p.centreMm - 3 / k}
                fontSize={13 / k}
                fontFamily={fonts.text}
                fill={materials.badge}
              >
                {i + 1}
              </SvgText>
            </G>
          ))}
          {Array.from({ length: plan.sections - 1 }, (_, i) => (i + 1) * plan.sectionMm).map((x) => (
            <Line key={x} x1={x} x2={x} y1={0} y2={acrossMm} stroke={materials.badge} strokeWidth={2 / k} />
          ))}
        </G>
      )}
    </Canvas>
  );
}

/** The round from above with its blocks, each pair numbered at both ends of its clamp. */
export function BlocksDrawing({
  radiusMm,
  pairs,
  blockMm,
  hollowMm,
}: {
  radiusMm: number;
  pairs: number;
  blockMm: number;
  hollowMm: number;
}) {
  const deep = 0.14 * radiusMm;
  const middle = 1.32 * radiusMm;
  return (
    <Canvas
      label={`Round top of ${Math.round(radiusMm)} mm radius with ${pairs} pairs of blocks on its rim`}
      still
      heightPx={HEIGHT_PX}
      content={{ width: 2 * middle, height: 2 * middle }}
    >
      {(k) => (
        <G>
          <Circle
            cx={middle}
            cy={middle}
            r={radiusMm}
            fill={materials.veneer}
            stroke={materials.shade}
            strokeWidth={1.5 / k}
          />
          {Array.from({ length: 2 * pairs }, (_, i) => {
            const a = (i * Math.PI) / pairs;
            const [sin, cos] = [Math.sin(a), Math.cos(a)];
            const [outer, named] = [radiusMm + deep, radiusMm + deep + 12 / k];
            return (
              <G key={i}>
                <Rect
                  transform={`rotate(${(a * 180) / Math.PI} ${middle} ${middle})`}
                  x={middle - blockMm / 2}
                  y={middle - outer}
                  width={blockMm}
                  height={deep + hollowMm}
                  fill={materials.caul}
                />
                {i < pairs ? (
                  <Line
                    x1={middle + outer * sin}
                    y1={middle - outer * cos}
                    x2={middle - outer * sin}
                    y2={middle + outer * cos}
                    stroke={materials.onBadge}
                    strokeWidth={2 / k}
                    strokeDasharray={`${7 / k} ${4 / k}`}
                  />
                ) : null}
                <SvgText
                  x={middle + named * sin}
                  y={middle - named * cos + 5 / k}
                  textAnchor="middle"
                  fontSize={13 / k}
                  fontFamily={fonts.text}
                  fill={materials.badge}
                >
                  {(i % pairs) + 1}
                </SvgText>
              </G>
            );
          })}
        </G>
      )}
    </Canvas>
  );
}

const SIDE_MM = 18;
const CLAMP_HEAD_MM = 40;

/** The case cut across: platens on both faces of the side that is pressed, and a prop to the opposite side. */
export function CaseDrawing({
  insideMm,
  platenMm,
  propMm,
  sectionMm,
}: {
  insideMm: number;
  platenMm: number;
  propMm: number;
  sectionMm: number;
}) {
  const words = useWords();
  const high = Math.max(0.34 * insideMm, 4 * sectionMm);
  const left = CLAMP_HEAD_MM + platenMm;
  const inside = left + SIDE_MM;
  const wedge = insideMm - 2 * platenMm - propMm;
  const far = inside + insideMm;
  const middle = high / 2;
  return (
    <Canvas
      label={`Case cut across: clamp, platen, side, platen, prop of ${Math.round(propMm)} mm, wedges, board, opposite side`}
      still
      heightPx={HEIGHT_PX * 0.8}
      content={{ width: far + SIDE_MM, height: high }}
    >
      {(k) => (
        <G>
          <Rect x={left} y={0} width={SIDE_MM} height={high} fill={materials.core} />
          <Rect x={far} y={0} width={SIDE_MM} height={high} fill={materials.core} />
          <Rect x={left - 3} y={0} width={3} height={high} fill={materials.veneer} />
          <Rect
            x={left - 3 - platenMm}
            y={high * 0.12}
            width={platenMm}
            height={high * 0.76}
            fill={materials.platen}
          />
          <Rect x={inside} y={high * 0.12} width={platenMm} height={high * 0.76} fill={materials.platen} />
          <Rect
            x={far - platenMm}
            y={high * 0.12}
            width={platenMm}
            height={high * 0.76}
            fill={materials.platen}
          />
          <Rect
            x={inside + platenMm}
            y={middle - sectionMm / 2}
            width={propMm}
            height={sectionMm}
            fill={materials.caul}
          />
          <Path
            d={`M${far - platenMm - wedge} ${middle - sectionMm * 0.7}l${wedge} 0l0 ${sectionMm * 1.4}l${-wedge} 0z`}
            fill={materials.lamp}
          />
          <Rect x={0} y={middle - 5} width={CLAMP_HEAD_MM - 3} height={10} fill={materials.steel} />
          <SvgText
            x={inside + platenMm + 8 / k}
            y={middle - sectionMm / 2 - 6 / k}
            fontSize={13 / k}
            fontFamily={fonts.text}
            fill={materials.badge}
          >
            {words(`prop ${Math.round(propMm)} mm, two wedges at its end`)}
          </SvgText>
        </G>
      )}
    </Canvas>
  );
}
