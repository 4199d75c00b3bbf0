import { View } from 'react-native';
import type { BandingSum } from '@/core/job';
import { BANDING_SOURCE } from '@/core/letin';
import { describeSource } from '@/core/sources';
import { lengthsIn } from '@/core/units';
import { Beside, Chips, Figure, Fold, Notice, Row, Stepper, Text, TextField } from '@/ui';
import { useKeptChoice, useKeptLength, useKeptNumber, useKeptText } from '../shared/kept';
import { BandingDrawing } from './drawings';
import { useUnits } from '../shared/useUnits';
import { Figures } from '../special/parts';

/** What goes by the runs as they were entered. */
const GOES_BY = {
  list: 'List and bench go by them.',
  bench: 'The bench goes by them; the list by the blocks that its strips are sawn from.',
};

/** A banding round corners: mitres, lengths, where its pattern is cut, and how many lengths of stock. */
export function BandingSection({ banding }: { banding: BandingSum }) {
  const { length, unit } = useUnits();
  const { input, runs, counts, bought, plan: result } = banding;
  const { cornerDeg: corner, spares, repeatMm: repeat = 0 } = input;
  const [, setRuns] = useKeptText('banding.runs', runs);
  const [closed, setClosed] = useKeptChoice('banding.closed', 'no', ['no', 'yes']);
  const [, setCorner] = useKeptNumber('banding.corner', corner);
  const [, wideField] = useKeptLength('banding.wide', input.wideMm);
  const [, repeatField] = useKeptLength('banding.repeat', repeat);
  const [, stockField] = useKeptLength('banding.stock', input.stockMm);
  const [, kerfField] = useKeptLength('banding.kerf', input.kerfMm);
  const [, setSpares] = useKeptNumber('banding.spares', spares);
  return (
    <Fold title="A banding or stringing round corners">
      <TextField
        label="Runs from corner to corner, one after the other"
        help={`Along the outer edge, with commas between. ${counts ? GOES_BY[bought ? 'list' : 'bench'] : 'Nothing goes by them yet.'}`}
        value={runs}
        most={200}
        onChange={setRuns}
      />
      <Chips
        label="Does the last run meet the first?"
        options={[
          { value: 'no', label: 'No' },
          { value: 'yes', label: 'Yes, it is a frame' },
        ]}
        value={closed}
        onChange={setClosed}
      />
      <Stepper
        label="Angle inside a corner"
        unit="°"
        value={corner}
        least={20}
        most={180}
        step={5}
        onChange={setCorner}
      />
      <Beside>
        {wideField('Width of the banding', 0.3, 100)}
        {repeatField('Its pattern repeats after (0: plain)', 0, 1000)}
        {stockField('One length of it', 20, 10_000)}
        {kerfField('Kerf of the saw', 0, 10)}
      </Beside>
      <Stepper label="Spares" value={spares} least={0} most={20} onChange={setSpares} />
      {result.ok ? (
        <>
          <Figures>
            <Figure
              label="Mitre"
              value={`${result.value.mitreDeg}°`}
              source={describeSource(BANDING_SOURCE)}
            />
            <Figure label="Lengths to get" value={String(result.value.stocks)} />
          </Figures>
          <BandingDrawing
            plan={result.value}
            repeatMm={repeat}
            onRun={(side, mm) =>
              setRuns(
                lengthsIn(runs, unit)
                  .map((run, i) => length(i === side ? mm : run))
                  .join(', '),
              )
            }
          />
          <View>
            {result.value.pieces.map((p, i) => (
              <Row
                key={`${i}.${p.outerMm}`}
                title={`Side ${i + 1}`}
                detail={[
                  `${length(p.innerMm)} inside`,
                  ...(p.phaseMm === undefined
                    ? []
                    : [`its ends cut the pattern ${length(p.phaseMm)} into a repeat`]),
                ].join('; ')}
                value={length(p.outerMm)}
                last={i === result.value.pieces.length - 1}
              />
            ))}
          </View>
          <Text>{result.value.words}</Text>
        </>
      ) : (
        <Notice kind="stop">{result.problem}</Notice>
      )}
    </Fold>
  );
}
