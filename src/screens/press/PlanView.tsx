import { Circle, G, Line, Polygon as SvgPolygon } from 'react-native-svg';
import { materials } from '@/ui';
import { clampById } from '@/core/press';
import { FieldMap } from './FieldView';
import { useField, type FieldFrame } from './useField';
import { type PressPlan } from '@/core/job';

const outline = (points: readonly (readonly [number, number])[]): string =>
  points.map((p) => p.join(',')).join(' ');

/** Platen, cauls, clamps and the pressure under them, on the face. */
export function PlanView({ plan, k, frame }: { plan: PressPlan; k: number; frame?: FieldFrame }) {
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
      {plan.placed.clamps.map(({ at: [x, y], clamp }, i) => {
        const pad = clampById(clamp).padMm.value;
        return (
          <G key={i}>
            <Circle cx={x} cy={y} r={pad / 2} fill={materials.steel} />
            <Circle cx={x} cy={y} r={pad / 6} fill={materials.onBadge} />
          </G>
        );
      })}
    </G>
  );
}
