import { memo } from 'react';
import { Circle, G, Path, Polygon as SvgPolygon, Text as SvgText } from 'react-native-svg';
import { fonts, materials } from './theme';

type Spot = readonly [number, number];

/** What raking light shows of a damage: raised, sunk below the surface, a groove, a hole, or a flat stain. */
export type ReliefKind = 'raised' | 'sunk' | 'groove' | 'hole' | 'stain';

const points = (outline: readonly Spot[]): string => outline.map((p) => `${p[0]},${p[1]}`).join(' ');
/** Light comes from the upper left, always. */
const LIGHT: Spot = [-Math.SQRT1_2, -Math.SQRT1_2];

const sides = (outline: readonly Spot[]): [Spot, Spot][] =>
  outline.flatMap((a, i): [Spot, Spot][] => {
    const b = outline[(i + 1) % outline.length];
    return b ? [[a, b]] : [];
  });

/** The sides of an outline that look towards the light, and the others, each as one path. */
function litPaths(outline: readonly Spot[]): { lit: string; shaded: string } {
  const turn = Math.sign(sides(outline).reduce((s, [a, b]) => s + a[0] * b[1] - b[0] * a[1], 0)) || 1;
  const paths = { lit: '', shaded: '' };
  for (const [a, b] of sides(outline)) {
    const outward: Spot = [(b[1] - a[1]) * turn, -(b[0] - a[0]) * turn];
    const facing = outward[0] * LIGHT[0] + outward[1] * LIGHT[1] > 0;
    paths[facing ? 'lit' : 'shaded'] += `M${a[0]} ${a[1]}L${b[0]} ${b[1]}`;
  }
  return paths;
}

/** Fill, its strength, and whether the rim is raised (lit towards the light) or sunk. */
const LOOKS: Record<ReliefKind, { fill: string; opacity: number; raised: boolean; shadow: boolean }> = {
  raised: { fill: materials.lit, opacity: 0.34, raised: true, shadow: true },
  sunk: { fill: materials.core, opacity: 0.82, raised: false, shadow: false },
  groove: { fill: materials.shade, opacity: 0.85, raised: false, shadow: false },
  hole: { fill: materials.shade, opacity: 0.92, raised: false, shadow: false },
  stain: { fill: materials.stain, opacity: 0.3, raised: false, shadow: false },
};

type Props = {
  outline: readonly Spot[];
  kind: ReliefKind;
  /** None where it is too small to be read. */
  number?: number;
  pixelsPerUnit: number;
  quiet?: boolean;
};

/** A damage in raking light: what stands up has a lit lip and throws a shadow; what is sunk lies in the shade of its rim. */
export const Relief = memo(function Relief({ outline, kind, number, pixelsPerUnit, quiet = false }: Props) {
  const px = 1 / pixelsPerUnit;
  const look = LOOKS[kind];
  const drop = 5 * px;
  const centre = outline.reduce<[number, number]>(
    (s, p) => [s[0] + p[0] / outline.length, s[1] + p[1] / outline.length],
    [0, 0],
  );
  const { lit, shaded } = litPaths(outline);
  const [bright, dark] = look.raised ? [lit, shaded] : [shaded, lit];
  return (
    <G opacity={quiet ? 0.55 : 1}>
      {look.shadow ? (
        <SvgPolygon
          points={points(outline.map(([x, y]) => [x + drop, y + drop]))}
          fill={materials.shade}
          opacity={0.45}
        />
      ) : null}
      <SvgPolygon points={points(outline)} fill={look.fill} opacity={look.opacity} />
      {kind === 'stain' ? (
        <SvgPolygon
          points={points(outline)}
          fill="none"
          stroke={materials.lit}
          strokeWidth={2 * px}
          strokeDasharray={[6 * px, 4 * px]}
        />
      ) : (
        <>
          <Path d={dark} stroke={materials.shade} strokeWidth={2 * px} strokeLinecap="round" fill="none" />
          <Path d={bright} stroke={materials.lit} strokeWidth={3 * px} strokeLinecap="round" fill="none" />
        </>
      )}
      {number === undefined ? null : <Badge at={centre} number={number} pixelsPerUnit={pixelsPerUnit} />}
    </G>
  );
});

/** A number on the drawing that the list refers to. */
export function Badge({ at, number, pixelsPerUnit }: { at: Spot; number: number; pixelsPerUnit: number }) {
  const px = 1 / pixelsPerUnit;
  return (
    <G>
      <Circle cx={at[0]} cy={at[1]} r={12 * px} fill={materials.badge} />
      <SvgText
        x={at[0]}
        y={at[1] + 5 * px}
        fontSize={(number > 99 ? 11 : 14) * px}
        fontFamily={fonts.bold}
        fill={materials.onBadge}
        textAnchor="middle"
      >
        {String(number)}
      </SvgText>
    </G>
  );
}
