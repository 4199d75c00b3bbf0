import { stripOutlines } from '@/core/letin';
import { Beside, Figure, Notice, Section, Stepper } from '@/ui';
import { useKeptLength, useKeptNumber } from '../shared/kept';
import { FromBoards } from './FromBoards';
import { PrintOutline } from './PrintOutline';
import { StripsDrawing } from './drawings';
import { useUnits } from '../shared/useUnits';
import { Figures } from '../special/parts';
import type { StripsSum, SumStarts } from '@/core/job';

/** Strips sawn from solid: pieces side by side along the edge, from blocks as long as the edge is high. */
export function StripsSection({
  starts,
  title,
  strips: { input, plan: result },
}: {
  starts: SumStarts;
  title: string;
  strips: StripsSum;
}) {
  const { length } = useUnits();
  const [, runField] = useKeptLength('strips.run', starts.jointMm);
  const [, highField] = useKeptLength('strips.high', starts.strips.highMm);
  const [, thickField] = useKeptLength('strips.thick', starts.strips.thickMm);
  const [, blockWideField] = useKeptLength('strips.wide', starts.strips.blockWideMm);
  const [, blockThickField] = useKeptLength('strips.block', starts.strips.blockThickMm);
  const [, kerfField] = useKeptLength('strips.kerf', starts.strips.kerfMm);
  const [slant, setSlant] = useKeptNumber('strips.slant', 0);
  const [spares, setSpares] = useKeptNumber('strips.spares', starts.strips.spares);
  return (
    <Section
      title="Strips sawn from a block"
      help="The grain stands across the edge; each slice covers the width of its block."
    >
      <Beside>
        {runField('Run of the edge', 1, 20_000)}
        {highField('Height of the edge', 1, 300)}
        {thickField('Thickness of a strip', 0.3, 20)}
        {blockWideField('Width of the block', 3, 600)}
        {blockThickField('Thickness that is sawn up', 1, 300)}
        {kerfField('Kerf of the saw', 0.2, 6)}
      </Beside>
      <Stepper
        label="Slant of the joints"
        unit="°"
        value={slant}
        least={0}
        most={60}
        step={5}
        onChange={setSlant}
      />
      <Stepper label="Spares" value={spares} least={0} most={200} onChange={setSpares} />
      {result.ok ? (
        <>
          <StripsDrawing plan={result.value} input={input} />
          <Figures>
            <Figure
              label="Pieces"
              value={String(result.value.pieces)}
              note={`each covers ${length(result.value.eachMm)}`}
            />
            <Figure label="From one block" value={String(result.value.slicesPerBlock)} />
            <Figure
              label="Blocks"
              value={String(result.value.blocks)}
              note={`${length(result.value.blockLengthMm)} long`}
            />
          </Figures>
          <FromBoards
            blanks={{
              alongMm: result.value.blockLengthMm,
              acrossMm: input.blockWideMm,
              thickMm: input.blockThickMm,
              count: result.value.blocks,
            }}
            species={starts.species}
            kerfMm={input.kerfMm}
          />
          <PrintOutline
            what="Strip"
            title={title}
            patch={stripOutlines(input)}
            damage={[]}
            grainDeg={90}
            legend="Full line: one strip, its joints slanted. Dashed: with what stands over above and below."
            notes={[
              `${result.value.pieces} pieces, each ${length(input.thickMm)} thick when done, from ${result.value.blocks} blocks.`,
            ]}
          />
        </>
      ) : (
        <Notice kind="stop">{result.problem}</Notice>
      )}
    </Section>
  );
}
