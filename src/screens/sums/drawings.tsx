import type { ComponentProps } from 'react';
import { View } from 'react-native';
import Svg, { Line, Polygon, Rect } from 'react-native-svg';
import type { BandingPlan, DrawerPlan, FeetPlan, SliverPlan, StripsPlan } from '@/core/letin';
import { materials, Text, useTheme } from '@/ui';
import { DragDrawing, type Pulled } from './DragDrawing';

const WIDE = 320;

function Drawing({
  says,
  tall,
  note,
  sizes,
  children,
}: Omit<ComponentProps<typeof DragDrawing>, 'sizes'> & { sizes?: readonly Pulled[] }) {
  if (sizes)
    return (
      <DragDrawing says={says} tall={tall} note={note} sizes={sizes}>
        {children}
      </DragDrawing>
    );
  return (
    <View role="img" aria-label={says}>
      <Svg width="100%" height={tall} viewBox={`0 0 ${WIDE} ${tall}`}>
        {children}
      </Svg>
      <Text kind="quiet">{note}</Text>
    </View>
  );
}

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
    <Drawing
      says="The sliver from above: its upper edge, its lower edge inside it, and where its pieces meet"
      tall={90}
      note="From above; thickness drawn larger than length. Light: its upper edge. Dark: its lower edge."
      sizes={gaps.map((gap, i) => ({
        ...gap,
        x: 10 + (300 * i) / last,
        y: 45 - ((plan.topMm[i] ?? 0) * k) / 2,
        along: 'y',
        mmPerUnit: -2 / k,
        least: 0,
        most: 50,
      }))}
    >
      <Polygon points={around(plan.topMm)} fill={materials.core} stroke={theme.ink} strokeWidth={0.8} />
      <Polygon points={around(plan.bottomMm)} fill={materials.veneer} />
      {joints.map((x) => (
        <Line key={x} x1={x - 12} x2={x + 12} y1={18} y2={72} stroke={theme.oxblood} strokeWidth={1.2} />
      ))}
    </Drawing>
  );
}

/** The edge covered with slices side by side, to scale along it. */
export function StripsDrawing({
  plan,
  runMm,
  slantDeg,
}: {
  plan: StripsPlan;
  runMm: number;
  slantDeg: number;
}) {
  const theme = useTheme();
  const k = 300 / runMm;
  const lean = 40 * Math.tan((slantDeg * Math.PI) / 180);
  const at = Array.from({ length: Math.ceil(runMm / plan.eachMm) }, (_, i) => i * plan.eachMm);
  return (
    <Drawing
      says={`The edge covered with ${at.length} slices side by side, the grain across the edge`}
      tall={70}
      note="The edge, its slices side by side; grain across."
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
    </Drawing>
  );
}

/** Gaps under feet are drawn so much larger, units a mm. */
const GAP_DRAWN = 6;

/** The piece on its feet from the front: what is added or taken, drawn larger. */
export function FeetDrawing({
  plan,
  way,
  gaps,
}: {
  plan: FeetPlan;
  way: 'add' | 'take';
  gaps: readonly { key: string; label: string; mm: number }[];
}) {
  const theme = useTheme();
  const k = 26 / Math.max(1, ...plan.changes.map((c) => c.mm));
  return (
    <Drawing
      says={`The feet side by side, with what is ${way === 'add' ? 'added under' : 'taken off'} each`}
      tall={120}
      note={`Feet as they are listed, from left to right; what is ${way === 'add' ? 'added' : 'taken off'} is drawn larger. The rings are the gaps that were measured.`}
      sizes={gaps.map((gap, i) => ({
        ...gap,
        x: 49 + i * 74,
        y: 110 - gap.mm * GAP_DRAWN,
        along: 'y',
        mmPerUnit: -1 / GAP_DRAWN,
        least: 0,
        most: 200,
      }))}
    >
      <Rect x={10} y={8} width={300} height={18} fill={materials.veneer} />
      {plan.changes.map((c, i) => {
        const x = 30 + i * 74;
        const mm = c.mm * k;
        const foot = way === 'add' ? 110 - mm : 110;
        return [
          <Rect key={c.name} x={x} y={26} width={38} height={foot - 26} fill={materials.caul} />,
          <Rect
            key={`${c.name} change`}
            x={x}
            y={way === 'add' ? foot : foot - mm}
            width={38}
            height={mm}
            fill={way === 'add' ? materials.core : materials.crush}
          />,
        ];
      })}
      <Line x1={0} x2={WIDE} y1={110} y2={110} stroke={theme.ink} strokeWidth={1.5} />
    </Drawing>
  );
}

/** The sides of a banding one under the other, mitred, to scale along them. */
export function BandingDrawing({ plan, repeatMm }: { plan: BandingPlan; repeatMm: number }) {
  const theme = useTheme();
  const k = 300 / Math.max(...plan.pieces.map((p) => p.outerMm));
  return (
    <Drawing
      says={`${plan.pieces.length} sides of the banding, one under the other, with their mitres`}
      tall={plan.pieces.length * 24 + 6}
      note="Sides one under the other, their lengths to scale; lines are where the pattern begins again."
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
    </Drawing>
  );
} // prettier-ignore

/** The drawer in its opening from above: where it is free, and where it binds. */
export function DrawerDrawing({ plan }: { plan: DrawerPlan }) {
  const theme = useTheme();
  const gap = (place: keyof DrawerPlan['playMm']): number =>
    Math.max(0, Math.min(24, 6 * plan.playMm[place]));
  const colour = (place: keyof DrawerPlan['playMm']): string =>
    plan.binds.includes(place) ? theme.oxblood : theme.verdigris;
  const [front, back] = [gap('wide at the front'), gap('wide at the back')];
  return (
    <Drawing
      says="The drawer in its opening from above; play drawn larger, red where it binds"
      tall={130}
      note="From above, the front below; play drawn larger. Red: it binds there, in its width."
    >
      <Rect x={20} y={5} width={280} height={120} fill={materials.veneer} />
      <Polygon points={`${46},5 ${274},5 ${274},125 ${46},125`} fill={materials.shade} />
      <Polygon
        points={`${46 + back / 2},8 ${274 - back / 2},8 ${274 - front / 2},125 ${46 + front / 2},125`}
        fill={materials.core}
      />
      {(['wide at the back', 'wide at the front'] as const).map((place, i) => [
        <Line
          key={place}
          x1={46}
          x2={46}
          y1={i === 0 ? 8 : 90}
          y2={i === 0 ? 43 : 125}
          stroke={colour(place)}
          strokeWidth={4}
        />,
        <Line
          key={`${place} right`}
          x1={274}
          x2={274}
          y1={i === 0 ? 8 : 90}
          y2={i === 0 ? 43 : 125}
          stroke={colour(place)}
          strokeWidth={4}
        />,
      ])}
    </Drawing>
  );
}

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
    <Drawing
      says="The step in section, and how far it is feathered out"
      tall={110}
      note="In section, heights drawn larger. Dashed: as it will be. Dark: veneer."
      sizes={[
        {
          key: 'level.step',
          label: 'It stands proud by',
          x: 40,
          y: 60 - stepMm * k,
          mm: stepMm,
          along: 'y',
          mmPerUnit: -1 / k,
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
    </Drawing>
  );
}

/** A screw hole in section: clearance above, pilot below, to scale. */
export function PilotDrawing({
  clearanceMm,
  pilotMm,
  deepMm,
  throughMm,
  boardMm,
}: {
  clearanceMm: number;
  pilotMm: number;
  deepMm: number;
  throughMm: number;
  boardMm: number;
}) {
  const theme = useTheme();
  const k = 110 / (throughMm + boardMm);
  const [upper, lower] = [8 + throughMm * k, 8 + (throughMm + boardMm) * k];
  return (
    <Drawing
      says="The hole in section, to scale: wide through the upper piece, narrow in the board"
      tall={126}
      note="In section, to scale."
    >
      <Rect x={60} y={8} width={200} height={throughMm * k} fill={materials.steel} />
      <Rect x={60} y={upper} width={200} height={lower - upper} fill={materials.core} />
      <Rect
        x={160 - (clearanceMm * k) / 2}
        y={8}
        width={clearanceMm * k}
        height={throughMm * k}
        fill={materials.paper}
      />
      <Rect
        x={160 - (pilotMm * k) / 2}
        y={upper}
        width={pilotMm * k}
        height={deepMm * k}
        fill={materials.paper}
        stroke={theme.ink}
        strokeWidth={0.6}
      />
    </Drawing>
  );
}
