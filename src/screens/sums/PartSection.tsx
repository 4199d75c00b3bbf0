import { View } from 'react-native';
import Svg, { Line, Polygon } from 'react-native-svg';
import type { Result } from '@/core/check';
import { boundingBox, type Point } from '@/core/geometry';
import type { SumStarts } from '@/core/job';
import { PART_SOURCE, type PartPlan } from '@/core/letin';
import { describeSource } from '@/core/sources';
import { Beside, Chips, materials, Notice, Row, Section, Stepper, Text, useTheme } from '@/ui';
import { useKeptChoice, useKeptLength, useKeptNumber } from '../shared/kept';
import { useUnits } from '../shared/useUnits';
import { FromBoards } from './FromBoards';
import { PrintOutline } from './PrintOutline';

/** A part made anew from the outline of the good one: its blank, its saw line, and a print at full size. */
export function PartSection({
  starts,
  title,
  part: result,
}: {
  starts: SumStarts;
  title: string;
  part: Result<PartPlan> | undefined;
}) {
  const { length } = useUnits();
  const [side, setSide] = useKeptChoice('part.side', 'same', ['same', 'mirrored']);
  const [turn, setTurn] = useKeptNumber('part.turn', 0);
  const [, thickField] = useKeptLength('part.thick', starts.part.thickMm);
  const [kerf, kerfField] = useKeptLength('part.kerf', starts.part.kerfMm);
  const [, longField] = useKeptLength('part.long', starts.part.boardLongMm);
  const [, wideField] = useKeptLength('part.wide', starts.part.boardWideMm);
  const [copies, setCopies] = useKeptNumber('part.copies', 1);
  const [spares, setSpares] = useKeptNumber('part.spares', starts.part.spares);
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
          <PartDrawing plan={result.value} />
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
              `${copies} and ${spares} to spare, ${length(starts.part.thickMm)} thick when finished.`,
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

/** The part in its blank, grain along, with its centre lines. */
function PartDrawing({ plan }: { plan: PartPlan }) {
  const theme = useTheme();
  const { alongMm, acrossMm } = plan.blank;
  const [w, h] = [alongMm * 1.1, acrossMm * 1.1];
  const words = (list: readonly Point[]): string =>
    list.map(([x, y]) => `${x + w / 2},${y + h / 2}`).join(' ');
  const { left, right, top, bottom } = boundingBox([
    [(w - alongMm) / 2, (h - acrossMm) / 2],
    [(w + alongMm) / 2, (h + acrossMm) / 2],
  ]);
  const thin = Math.max(w, h) / 300;
  return (
    <View
      role="img"
      aria-label="The part in its blank, to scale, the grain along it, with its centre lines and the line of the saw"
    >
      <Svg width="100%" height={200} viewBox={`0 0 ${w} ${h}`}>
        <Polygon
          points={`${left},${top} ${right},${top} ${right},${bottom} ${left},${bottom}`}
          fill={materials.veneer}
        />
        {[0.2, 0.4, 0.6, 0.8].map((y) => (
          <Line
            key={y}
            x1={left}
            x2={right}
            y1={top + y * acrossMm}
            y2={top + y * acrossMm}
            stroke={materials.shade}
            strokeWidth={thin}
          />
        ))}
        <Polygon
          points={words(plan.outline)}
          fill={materials.core}
          stroke={theme.ink}
          strokeWidth={2 * thin}
        />
        <Polygon
          points={words(plan.sawLine)}
          fill="none"
          stroke={theme.oxblood}
          strokeWidth={thin}
          strokeDasharray={`${6 * thin} ${4 * thin}`}
        />
        <Line
          x1={w / 2}
          x2={w / 2}
          y1={top}
          y2={bottom}
          stroke={theme.ink}
          strokeWidth={thin}
          strokeDasharray={`${10 * thin} ${3 * thin} ${2 * thin} ${3 * thin}`}
        />
        <Line
          x1={left}
          x2={right}
          y1={h / 2}
          y2={h / 2}
          stroke={theme.ink}
          strokeWidth={thin}
          strokeDasharray={`${10 * thin} ${3 * thin} ${2 * thin} ${3 * thin}`}
        />
      </Svg>
      <Text kind="quiet">Dashed: the middle of the saw’s kerf. Dash and dot: centre lines.</Text>
    </View>
  );
}
