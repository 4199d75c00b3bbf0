import { G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import type { Ear, HammerPlan } from '@/core/awkward';
import { Canvas, fonts, materials } from '@/ui';

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
