import { Circle, G, Line, Polygon as SvgPolygon, Text as SvgText } from 'react-native-svg';
import { fonts, materials } from './theme';

type Spot = readonly [number, number];

const points = (outline: readonly Spot[]): string => outline.map((p) => `${p[0]},${p[1]}`).join(' ');
/** Light comes from the upper left, always. */
const LIGHT: Spot = [-Math.SQRT1_2, -Math.SQRT1_2];

const sides = (outline: readonly Spot[]): [Spot, Spot][] =>
  outline.flatMap((a, i): [Spot, Spot][] => {
    const b = outline[(i + 1) % outline.length];
    return b ? [[a, b]] : [];
  });

/** Which sides of an outline look towards the light. */
function facingLight(outline: readonly Spot[]): { side: [Spot, Spot]; lit: boolean }[] {
  const turn = Math.sign(sides(outline).reduce((s, [a, b]) => s + a[0] * b[1] - b[0] * a[1], 0)) || 1;
  return sides(outline).map((side) => {
    const [a, b] = side;
    const outward: Spot = [(b[1] - a[1]) * turn, -(b[0] - a[0]) * turn];
    return { side, lit: outward[0] * LIGHT[0] + outward[1] * LIGHT[1] > 0 };
  });
}

type Props = {
  outline: readonly Spot[];
  kind: 'liftedEdge' | 'missingVeneer';
  number: number;
  pixelsPerUnit: number;
  quiet?: boolean;
};

/** A damage in raking light: a lifted edge has a lit lip and throws a shadow; a loss lies in the shade of the old edge. */
export function Relief({ outline, kind, number, pixelsPerUnit, quiet = false }: Props) {
  const px = 1 / pixelsPerUnit;
  const lifted = kind === 'liftedEdge';
  const drop = 5 * px;
  const centre = outline.reduce<[number, number]>(
    (s, p) => [s[0] + p[0] / outline.length, s[1] + p[1] / outline.length],
    [0, 0],
  );
  return (
    <G opacity={quiet ? 0.55 : 1}>
      {lifted ? (
        <SvgPolygon
          points={points(outline.map(([x, y]) => [x + drop, y + drop]))}
          fill={materials.shade}
          opacity={0.45}
        />
      ) : null}
      <SvgPolygon
        points={points(outline)}
        fill={lifted ? materials.lit : materials.core}
        opacity={lifted ? 0.34 : 0.82}
      />
      {facingLight(outline).map(({ side: [a, b], lit }, i) => (
        <Line
          key={i}
          x1={a[0]}
          y1={a[1]}
          x2={b[0]}
          y2={b[1]}
          strokeLinecap="round"
          // A raised rim is lit where it faces the light; the rim of a hollow is in shade there.
          stroke={lit === lifted ? materials.lit : materials.shade}
          strokeWidth={(lit ? 3.2 : 2) * px}
        />
      ))}
      <Badge at={centre} number={number} pixelsPerUnit={pixelsPerUnit} />
    </G>
  );
}

/** A number on the drawing that the list refers to. */
export function Badge({ at, number, pixelsPerUnit }: { at: Spot; number: number; pixelsPerUnit: number }) {
  const px = 1 / pixelsPerUnit;
  return (
    <G>
      <Circle cx={at[0]} cy={at[1]} r={12 * px} fill={materials.badge} />
      <SvgText
        x={at[0]}
        y={at[1] + 5 * px}
        fontSize={14 * px}
        fontFamily={fonts.bold}
        fill={materials.onBadge}
        textAnchor="middle"
      >
        {String(number)}
      </SvgText>
    </G>
  );
}
