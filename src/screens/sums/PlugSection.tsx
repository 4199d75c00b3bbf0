import { Line, Rect } from 'react-native-svg';
import { PLUG_SOURCE, type PlugPlan } from '@/core/letin';
import { describeSource } from '@/core/sources';
import { Beside, Chips, Figure, materials, Notice, Section, Text, TextField, useTheme } from '@/ui';
import { useKeptChoice, useKeptLength, useKeptText } from '../shared/kept';
import { useUnits } from '../shared/useUnits';
import { Figures } from '../special/parts';
import { DragDrawing } from './DragDrawing';
import type { PlugSum } from '@/core/job';

/** Bit, cutter, depth and length for a plug; or why it is something else. */
export function PlugSection({ plug }: { plug: PlugSum }) {
  const { length } = useUnits();
  const { input, bits, cutters, plan: result } = plug;
  const { holeMm: hole, depthMm: depth, boardMm } = input;
  const [, holeField] = useKeptLength('plug.hole', hole);
  const [, depthField] = useKeptLength('plug.depth', depth);
  const [, nextField] = useKeptLength('plug.next', input.nextMm ?? 0);
  const [load, setLoad] = useKeptChoice('plug.load', 'no', ['no', 'yes']);
  const [, setBits] = useKeptText('plug.bits', bits);
  const [, setCutters] = useKeptText('plug.cutters', cutters);
  return (
    <Section title="The plug and its hole" help={describeSource(PLUG_SOURCE)}>
      <Beside>
        {holeField('Hole, at its widest', 0.5, 120)}
        {depthField('Depth of the hole', 0.5, 200)}
        {nextField('To the next hole or edge', 0, 5000)}
      </Beside>
      <Chips
        label="Does it carry a screw or a load?"
        options={[
          { value: 'no', label: 'No' },
          { value: 'yes', label: 'Yes' },
        ]}
        value={load}
        onChange={setLoad}
      />
      <TextField label="Bits you own" value={bits} onChange={setBits} most={40} />
      <TextField label="Plug cutters you own" value={cutters} onChange={setCutters} most={40} />
      {result.ok ? (
        <>
          <Text>{result.value.why}</Text>
          {result.value.missing ? (
            <Notice kind="rest" title="Nothing that you own fits">
              {result.value.missing}
            </Notice>
          ) : null}
          {result.value.bitMm === undefined ? null : (
            <>
              <PlugDrawing plan={result.value} boardMm={boardMm} holeMm={hole} depthMm={depth} />
              <Figures>
                <Figure label="Bit" value={length(result.value.bitMm)} />
                <Figure label="Plug cutter" value={length(result.value.cutterMm ?? 0)} />
                <Figure label="Bore" value={length(result.value.boreMm ?? 0)} note="deep" />
                <Figure
                  label="Plug long"
                  value={length(result.value.lengthMm ?? 0)}
                  note={`${length(result.value.proudMm ?? 0)} proud`}
                />
              </Figures>
            </>
          )}
        </>
      ) : (
        <Notice kind="stop">{result.problem}</Notice>
      )}
    </Section>
  );
}

/** The board in section, to scale: bore, plug with its face grain, what is planed off. */
function PlugDrawing({
  plan,
  boardMm,
  holeMm,
  depthMm,
}: {
  plan: PlugPlan;
  boardMm: number;
  holeMm: number;
  depthMm: number;
}) {
  const theme = useTheme();
  const { bitMm = 10, boreMm = 10, proudMm = 2 } = plan;
  const wide = Math.max(60, bitMm * 3);
  const k = 300 / wide;
  const top = 10 + proudMm * k;
  const x = 10 + ((wide - bitMm) / 2) * k;
  const lines = Array.from(
    { length: 5 },
    (_, i) => top - proudMm * k + ((i + 0.5) / 5) * (boreMm + proudMm) * k,
  );
  return (
    <DragDrawing
      says="The board in section with the plug, its grain along the board, to scale"
      tall={top + boardMm * k + 12}
      note="The dashed line is the face: what stands over it is planed off."
      sizes={[
        {
          key: 'plug.depth',
          label: 'Depth of the hole',
          x: x + (bitMm * k) / 2,
          y: top + depthMm * k,
          value: depthMm,
          along: 'y',
          perUnit: 1 / k,
          least: 0.5,
          most: boardMm,
        },
        {
          key: 'plug.hole',
          label: 'Hole, at its widest',
          x: 160 + (holeMm * k) / 2,
          y: top + (depthMm * k) / 2,
          value: holeMm,
          along: 'x',
          perUnit: 2 / k,
          least: 0.5,
          most: 120,
        },
      ]}
    >
      <Rect x={10} y={top} width={300} height={boardMm * k} fill={materials.veneer} />
      <Rect
        x={x}
        y={top - proudMm * k}
        width={bitMm * k}
        height={(boreMm + proudMm) * k}
        fill={materials.core}
        stroke={theme.ink}
      />
      {lines.map((y) => (
        <Line key={y} x1={x + 2} x2={x + bitMm * k - 2} y1={y} y2={y} stroke={materials.shade} />
      ))}
      <Line x1={10} x2={310} y1={top} y2={top} stroke={theme.oxblood} strokeDasharray="6 4" />
    </DragDrawing>
  );
}
