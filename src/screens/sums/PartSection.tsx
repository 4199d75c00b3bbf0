import { View } from 'react-native';
import { Line, Polygon, Rect } from 'react-native-svg';
import type { Result } from '@/core/check';
import type { Point } from '@/core/geometry';
import type { SumStarts } from '@/core/job';
import { PART_SOURCE, type PartPlan } from '@/core/letin';
import { describeSource } from '@/core/sources';
import { Beside, Chips, materials, Notice, Row, Section, Stepper, Text, useTheme } from '@/ui';
import { useKeptChoice, useKeptLength, useKeptNumber } from '../shared/kept';
import { useUnits } from '../shared/useUnits';
import { DragDrawing } from './DragDrawing';
import { FromBoards } from './FromBoards';
import { PrintOutline } from './PrintOutline';

/** A part made anew from the outline of the good one: its blank, its saw line, and a print at full size. */
export function PartSection({
  starts,
  title,
  part: result,
  wanted,
}: {
  starts: SumStarts;
  title: string;
  part: Result<PartPlan> | undefined;
  wanted: { copies: number; spares: number };
}) {
  const { length } = useUnits();
  const [side, setSide] = useKeptChoice('part.side', 'same', ['same', 'mirrored']);
  const [turn, setTurn] = useKeptNumber('part.turn', 0);
  const [thick, thickField] = useKeptLength('part.thick', starts.part.thickMm);
  const [kerf, kerfField] = useKeptLength('part.kerf', starts.part.kerfMm);
  const [, longField] = useKeptLength('part.long', starts.part.boardLongMm);
  const [, wideField] = useKeptLength('part.wide', starts.part.boardWideMm);
  const [copies, setCopies] = useKeptNumber('part.copies', wanted.copies);
  const [spares, setSpares] = useKeptNumber('part.spares', wanted.spares);
  if (!result)
    return (
      <Notice kind="rest" title="Trace the good one first">
        Photograph its counterpart square on, add that photo as a face, and mark this damage round the
        counterpart’s outline. It can be mirrored here.
      </Notice>
    );
  return (
    <Section title="The new part" help={describeSource(PART_SOURCE)}>
      <Chips
        label="Against the outline that is marked"
        options={[
          { value: 'same', label: 'The same' },
          { value: 'mirrored', label: 'Mirrored, left for right' },
        ]}
        value={side}
        onChange={setSide}
      />
      <Stepper
        label="Its grain is turned by"
        unit="°"
        value={turn}
        least={-90}
        most={90}
        step={5}
        onChange={setTurn}
      />
      <Beside>
        {thickField('Thickness when finished', 0.3, 300)}
        {kerfField('Kerf of the saw', 0, 10)}
        {longField('Board, along its grain', 10, 10_000)}
        {wideField('Board, across', 5, 3000)}
      </Beside>
      <Stepper label="Copies" value={copies} least={1} most={200} onChange={setCopies} />
      <Stepper label="Spares" value={spares} least={0} most={50} onChange={setSpares} />
      {result.ok ? (
        <>
          <PartDrawing plan={result.value} turnDeg={turn} mirrored={side === 'mirrored'} />
          <View>
            <Row
              title={`Saw ${copies + spares} ${copies + spares === 1 ? 'blank' : 'blanks'}`}
              detail={`${length(result.value.blank.thickMm)} thick, grain along its length`}
              value={`${length(result.value.blank.alongMm)} × ${length(result.value.blank.acrossMm)}`}
            />
            <Row
              title="From one board"
              detail={`${length(Math.max(0, result.value.leftMm))} of its length stay`}
              value={String(result.value.perBoard)}
            />
            <Row title="Boards" value={String(result.value.boards)} last />
          </View>
          <Text>{result.value.words}</Text>
          <FromBoards
            blanks={{ ...result.value.blank, count: copies + spares }}
            species={starts.species}
            kerfMm={kerf}
          />
          <PrintOutline
            what="Part"
            title={title}
            patch={{ outline: result.value.outline, recess: result.value.sawLine }}
            damage={[]}
            grainDeg={0}
            legend="Full line: the part. Dashed: the middle of the saw’s kerf."
            notes={[
              `${copies} and ${spares} to spare, ${length(thick)} thick when finished.`,
              `Blank ${length(result.value.blank.alongMm)} × ${length(result.value.blank.acrossMm)} × ${length(result.value.blank.thickMm)}.`,
            ]}
          />
        </>
      ) : (
        <Notice kind="stop">{result.problem}</Notice>
      )}
    </Section>
  );
}

/** The drawing takes no more of a phone than this. */
const MOST_TALL = 200;

/** The part in its blank, grain along, with its centre lines. */
function PartDrawing({ plan, turnDeg, mirrored }: { plan: PartPlan; turnDeg: number; mirrored: boolean }) {
  const theme = useTheme();
  const { alongMm, acrossMm } = plan.blank;
  const k = Math.min(300 / alongMm, MOST_TALL / acrossMm);
  const [middleX, middleY] = [160, 10 + (acrossMm * k) / 2];
  const [halfX, halfY] = [(alongMm * k) / 2, (acrossMm * k) / 2];
  const words = (list: readonly Point[]): string =>
    list.map(([x, y]) => `${middleX + x * k},${middleY + y * k}`).join(' ');
  const centre = { stroke: theme.ink, strokeWidth: 0.8, strokeDasharray: '10 3 2 3' };
  return (
    <DragDrawing
      says="The part in its blank, to scale, the grain along it, with its centre lines and the line of the saw"
      tall={acrossMm * k + 20}
      note="Dashed: the middle of the saw’s kerf. Dash and dot: centre lines."
      sizes={[
        {
          key: 'part.turn',
          label: 'Its grain is turned by',
          x: middleX + halfX,
          y: middleY,
          value: turnDeg,
          angle: true,
          along: 'y',
          // The part turns against its grain: pulled down, it goes round clockwise.
          perUnit: ((mirrored ? 1 : -1) * 180) / Math.PI / halfX,
          least: -90,
          most: 90,
        },
      ]}
    >
      <Rect
        x={middleX - halfX}
        y={middleY - halfY}
        width={2 * halfX}
        height={2 * halfY}
        fill={materials.veneer}
      />
      {[-0.6, -0.3, 0.3, 0.6].map((y) => (
        <Line
          key={y}
          x1={middleX - halfX}
          x2={middleX + halfX}
          y1={middleY + y * halfY}
          y2={middleY + y * halfY}
          stroke={materials.shade}
        />
      ))}
      <Polygon points={words(plan.outline)} fill={materials.core} stroke={theme.ink} strokeWidth={1.6} />
      <Polygon
        points={words(plan.sawLine)}
        fill="none"
        stroke={theme.oxblood}
        strokeWidth={0.8}
        strokeDasharray="6 4"
      />
      <Line x1={middleX} x2={middleX} y1={middleY - halfY} y2={middleY + halfY} {...centre} />
      <Line x1={middleX - halfX} x2={middleX + halfX} y1={middleY} y2={middleY} {...centre} />
    </DragDrawing>
  );
}
