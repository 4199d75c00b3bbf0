import { Line, Polygon, Rect } from 'react-native-svg';
import type { DrawerPlan, FeetPlan } from '@/core/letin';
import { materials, useTheme } from '@/ui';
import { DragDrawing } from './DragDrawing';

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
    <DragDrawing
      says={`The feet side by side, with what is ${way === 'add' ? 'added under' : 'taken off'} each`}
      tall={120}
      note={`Feet as they are listed, from left to right; what is ${way === 'add' ? 'added' : 'taken off'} is drawn larger. The rings are the gaps that were measured.`}
      sizes={gaps.map((gap, i) => ({
        key: gap.key,
        label: gap.label,
        value: gap.mm,
        x: 49 + i * 74,
        y: 110 - gap.mm * GAP_DRAWN,
        along: 'y',
        perUnit: -1 / GAP_DRAWN,
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
      <Line x1={0} x2={320} y1={110} y2={110} stroke={theme.ink} strokeWidth={1.5} />
    </DragDrawing>
  );
}

/** Play is drawn so much larger, units a mm; half of it on each side. */
const PLAY_DRAWN = 6;
const PLAY_PULLED = 2 / PLAY_DRAWN;

/** The drawer in its opening from above: where it is free, and where it binds. */
export function DrawerDrawing({
  plan,
  wideMm,
}: {
  plan: DrawerPlan;
  /** The drawer outside, at the front and at the back. */
  wideMm: readonly [front: number, back: number];
}) {
  const theme = useTheme();
  const gap = (place: keyof DrawerPlan['playMm']): number =>
    Math.max(0, Math.min(24, PLAY_DRAWN * plan.playMm[place]));
  const colour = (place: keyof DrawerPlan['playMm']): string =>
    plan.binds.includes(place) ? theme.oxblood : theme.verdigris;
  const [front, back] = [gap('wide at the front'), gap('wide at the back')];
  return (
    <DragDrawing
      says="The drawer in its opening from above; play drawn larger, red where it binds"
      tall={130}
      note="From above, the front below; play drawn larger. Red: it binds there, in its width."
      sizes={[
        {
          key: 'drawer.dwfront',
          label: 'Drawer, wide at the front',
          x: 274 - front / 2,
          y: 116,
          value: wideMm[0],
          along: 'x',
          perUnit: PLAY_PULLED,
          least: 20,
          most: 3000,
        },
        {
          key: 'drawer.dwback',
          label: 'Drawer, wide at the back',
          x: 274 - back / 2,
          y: 12,
          value: wideMm[1],
          along: 'x',
          perUnit: PLAY_PULLED,
          least: 20,
          most: 3000,
        },
      ]}
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
    </DragDrawing>
  );
}

/** A screw hole in section: clearance above, pilot below, to scale. */
export function PilotDrawing({
  clearanceMm,
  pilotMm,
  deepMm,
  throughMm,
  boardMm,
  lengthMm,
}: {
  clearanceMm: number;
  pilotMm: number;
  deepMm: number;
  throughMm: number;
  boardMm: number;
  /** Of the screw. */
  lengthMm: number;
}) {
  const theme = useTheme();
  const k = 110 / (throughMm + boardMm);
  const [upper, lower] = [8 + throughMm * k, 8 + (throughMm + boardMm) * k];
  return (
    <DragDrawing
      says="The hole in section, to scale: wide through the upper piece, narrow in the board"
      tall={126}
      note="In section, to scale."
      sizes={[
        {
          key: 'screw.long',
          label: 'Length of the screw',
          x: 160,
          y: upper + deepMm * k,
          value: lengthMm,
          along: 'y',
          perUnit: 1 / k,
          least: 4,
          most: 150,
        },
        {
          key: 'screw.through',
          label: 'What it goes through first',
          x: 80,
          y: upper,
          value: throughMm,
          along: 'y',
          perUnit: 1 / k,
          least: 0,
          most: 100,
        },
      ]}
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
    </DragDrawing>
  );
}
