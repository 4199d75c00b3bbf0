import { Line, Polygon, Rect } from 'react-native-svg';
import type { BandingPlan, SliverPlan, StripsInput, StripsPlan } from '@/core/letin';
import { materials, useTheme } from '@/ui';
import { DragDrawing } from './DragDrawing';

/** The sliver seen from above, its thickness drawn larger, with the joints of its pieces. */
export function SliverDrawing({
  plan,
  gaps,
}: {
  plan: SliverPlan;
  gaps: readonly { key: string; label: string; mm: number }[];
}) {
  const theme = useTheme();
  const k = 50 / Math.max(...plan.topMm);
  const last = plan.topMm.length - 1;
  const edge = (of: readonly number[], sign: 1 | -1): string[] =>
    of.map((t, i) => `${10 + (300 * i) / last},${45 + (sign * t * k) / 2}`);
  const around = (of: readonly number[]): string => [...edge(of, -1), ...edge(of, 1).reverse()].join(' ');
  const joints = plan.piecesMm.slice(1).map((_, i) => 10 + (300 * (i + 1)) / plan.piecesMm.length);
  return (
    <DragDrawing
      says="The sliver from above: its upper edge, its lower edge inside it, and where its pieces meet"
      tall={90}
      note="From above; thickness drawn larger than length. Light: its upper edge. Dark: its lower edge."
      sizes={gaps.map((gap, i) => ({
        key: gap.key,
        label: gap.label,
        value: gap.mm,
        x: 10 + (300 * i) / last,
        y: 45 - ((plan.topMm[i] ?? 0) * k) / 2,
        along: 'y',
        perUnit: -2 / k,
        least: 0,
        most: 50,
      }))}
    >
      <Polygon points={around(plan.topMm)} fill={materials.core} stroke={theme.ink} strokeWidth={0.8} />
      <Polygon points={around(plan.bottomMm)} fill={materials.veneer} />
      {joints.map((x) => (
        <Line key={x} x1={x - 12} x2={x + 12} y1={18} y2={72} stroke={theme.oxblood} strokeWidth={1.2} />
      ))}
    </DragDrawing>
  );
}

/** The edge covered with slices side by side, to scale along it. */
export function StripsDrawing({ plan, input }: { plan: StripsPlan; input: StripsInput }) {
  const { runMm, slantDeg, blockWideMm } = input;
  const theme = useTheme();
  const k = 300 / runMm;
  const lean = 40 * Math.tan((slantDeg * Math.PI) / 180);
  const at = Array.from({ length: Math.ceil(runMm / plan.eachMm) }, (_, i) => i * plan.eachMm);
  return (
    <DragDrawing
      says={`The edge covered with ${at.length} slices side by side, the grain across the edge`}
      tall={70}
      note="The edge, its slices side by side; grain across."
      sizes={[
        {
          key: 'strips.wide',
          label: 'Width of the block',
          x: 10 + Math.min(runMm, plan.eachMm) * k,
          y: 15,
          value: blockWideMm,
          along: 'x',
          perUnit: 1 / k,
          least: 3,
          most: 600,
        },
        {
          key: 'strips.run',
          label: 'Run of the edge',
          x: 310,
          y: 55,
          value: runMm,
          along: 'x',
          perUnit: 1 / k,
          least: 1,
          most: 20_000,
        },
      ]}
    >
      {at.map((from, i) => {
        const [x1, x2] = [10 + from * k, 10 + Math.min(runMm, from + plan.eachMm) * k];
        return (
          <Polygon
            key={from}
            points={`${x1 + lean / 2},15 ${x2 + lean / 2},15 ${x2 - lean / 2},55 ${x1 - lean / 2},55`}
            fill={i % 2 === 0 ? materials.veneer : materials.caul}
            stroke={theme.ink}
            strokeWidth={0.6}
          />
        );
      })}
    </DragDrawing>
  );
}

/** The sides of a banding one under the other, mitred, to scale along them. */
export function BandingDrawing({
  plan,
  repeatMm,
  onRun,
}: {
  plan: BandingPlan;
  repeatMm: number;
  onRun: (side: number, mm: number) => void;
}) {
  const theme = useTheme();
  const k = 300 / Math.max(...plan.pieces.map((p) => p.outerMm));
  return (
    <DragDrawing
      says={`${plan.pieces.length} sides of the banding, one under the other, with their mitres`}
      tall={plan.pieces.length * 24 + 6}
      note="Sides one under the other, their lengths to scale; lines are where the pattern begins again."
      sizes={plan.pieces.map((p, i) => ({
        key: `banding.side${i}`,
        label: `Side ${i + 1}`,
        x: 10 + p.outerMm * k,
        y: 14 + i * 24,
        value: p.outerMm,
        along: 'x',
        perUnit: 1 / k,
        least: 5,
        most: 10_000,
        keep: (mm) => onRun(i, mm),
      }))}
    >
      {plan.pieces.map((p, i) => {
        const cut = ((p.outerMm - p.innerMm) * k) / Math.max(1, p.mitres);
        const [x1, x2, y] = [10, 10 + p.outerMm * k, 6 + i * 24];
        const [left, right] = [p.mitres === 2 || (p.mitres === 1 && i > 0) ? cut : 0, p.mitres === 2 || (p.mitres === 1 && i === 0) ? cut : 0];
        const starts = p.phaseMm === undefined ? [] : Array.from({ length: Math.min(200, Math.ceil(p.outerMm / repeatMm)) }, (_, n) => x1 + (n * repeatMm + (repeatMm - (p.phaseMm ?? 0))) * k).filter((x) => x < x2);
        return [
          <Polygon
            key={i}
            points={`${x1},${y} ${x2},${y} ${x2 - right},${y + 16} ${x1 + left},${y + 16}`}
            fill={materials.core}
            stroke={theme.ink}
            strokeWidth={0.8}
          />,
          ...starts.map((x) => <Line key={`${i} ${x}`} x1={x} x2={x} y1={y} y2={y + 16} stroke={theme.oxblood} strokeWidth={0.7} />),
        ];
      })}
    </DragDrawing>
  );
} // prettier-ignore

/** A step feathered out in section, its height drawn larger. */
export function FeatherDrawing({
  stepMm,
  featherMm,
  veneerMm,
}: {
  stepMm: number;
  featherMm: number;
  veneerMm: number;
}) {
  const theme = useTheme();
  const tall = Math.max(stepMm, veneerMm, 0.2);
  const k = 40 / tall;
  const reach = featherMm > 0 ? 200 : 0;
  return (
    <DragDrawing
      says="The step in section, and how far it is feathered out"
      tall={110}
      note="In section, heights drawn larger. Dashed: as it will be. Dark: veneer."
      sizes={[
        {
          key: 'level.step',
          label: 'It stands proud by',
          x: 40,
          y: 60 - stepMm * k,
          value: stepMm,
          along: 'y',
          perUnit: -1 / k,
          least: 0,
          most: 20,
        },
      ]}
    >
      <Rect x={10} y={60} width={300} height={45} fill={materials.core} />
      <Rect x={10} y={60} width={300} height={Math.min(45, veneerMm * k)} fill={materials.veneer} />
      <Rect x={10} y={60 - stepMm * k} width={60} height={stepMm * k} fill={materials.caul} />
      <Line x1={10} x2={70} y1={60 - stepMm * k} y2={60 - stepMm * k} stroke={theme.ink} strokeWidth={1} />
      <Line
        x1={10}
        x2={70 + reach}
        y1={60 + Math.min(3, stepMm * k)}
        y2={60}
        stroke={theme.oxblood}
        strokeWidth={1.4}
        strokeDasharray="6 4"
      />
    </DragDrawing>
  );
}
