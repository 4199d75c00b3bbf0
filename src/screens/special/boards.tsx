import { glueQuantity, type Adhesive } from '@/core/adhesive';
import {
  BAR_EVERY_MM,
  caseProps,
  CUP_SOURCE,
  FACE_WATER,
  flattenCup,
  HAMMER_PACE,
  HAMMER_SOURCE,
  hammerPlan,
  PROP_SOURCE,
  SAFE_STRAIN,
} from '@/core/awkward';
import { describeSource } from '@/core/sources';
import { formatMinutes, formatSmall } from '@/core/units';
import { Figure, Notice, Section, Text } from '@/ui';
import { useUnits } from '../shared/useUnits';
import { CaseDrawing, PathsDrawing } from './drawings';
import { useKeptLength } from '../shared/kept';
import { Figures, kN } from './parts';
import { attempt } from '@/core/check';

export function CuppedBoard({
  lengthMm,
  widthMm,
  boardMm,
  acrossMPa,
}: {
  lengthMm: number;
  widthMm: number;
  boardMm: number;
  acrossMPa: number;
}) {
  const [long, longField] = useKeptLength('cup.length', lengthMm);
  const [wide, wideField] = useKeptLength('cup.width', widthMm);
  const [thick, thickField] = useKeptLength('cup.thickness', boardMm);
  const [cup, cupField] = useKeptLength('cup.gap', 3);
  const result = attempt(() =>
    flattenCup({ lengthMm: long, widthMm: wide, thicknessMm: thick, cupMm: cup, acrossMPa }),
  );
  return (
    <Section
      title="Bars across, before the long clamps"
      help="Lay a straight edge across the hollow side and measure the gap in the middle."
    >
      {longField('Length of the board', 20, 5000)}
      {wideField('Width of the board', 20, 2000)}
      {thickField('Thickness of the board', 2, 100)}
      {cupField('Gap in the middle', 0, 100)}
      {result.ok ? (
        <>
          <Figures>
            <Figure
              label="Bars"
              value={String(result.value.bars)}
              note="across, evenly"
              source={describeSource(BAR_EVERY_MM.source)}
            />
            <Figure
              label="Force on each"
              value={
                result.value.forceN < 1000 ? String(Math.round(result.value.forceN)) : kN(result.value.forceN)
              }
              unit={result.value.forceN < 1000 ? 'N' : 'kN'}
              note="in its middle"
              source={describeSource(CUP_SOURCE)}
            />
            <Figure
              label="Stretch"
              value={(100 * result.value.strain).toFixed(2)}
              unit="%"
              note="of the outer wood"
              alarm={result.value.verdict !== 'flatten'}
              source={describeSource(SAFE_STRAIN.source)}
            />
          </Figures>
          <Notice
            kind={result.value.verdict === 'flatten' ? 'rest' : 'stop'}
            title={VERDICTS[result.value.verdict].title}
          >
            {VERDICTS[result.value.verdict].text}
          </Notice>
        </>
      ) : (
        <Notice kind="stop">{result.problem}</Notice>
      )}
    </Section>
  );
}

const VERDICTS = {
  flatten: {
    title: 'It can be drawn flat',
    text: 'Tighten the bars from the middle outwards, a little at a time, then the long clamps.',
  },
  dampen: {
    title: 'Dampen the hollow side first',
    text: 'Dry, it comes near to splitting. Let the hollow side take up water for a day under light bars, then draw it down.',
  },
  leave: {
    title: 'Do not force it flat',
    text: 'It would split along the grain. Press with a caul cut to its curve, or leave the cup.',
  },
};

export function CaseSide({ platenMm, clampN, props }: { platenMm: number; clampN: number; props: number }) {
  const { length } = useUnits();
  const [inside, insideField] = useKeptLength('case.inside', 500);
  const [platen, platenField] = useKeptLength('case.platen', platenMm);
  const result = attempt(() => caseProps({ insideMm: inside, platenMm: platen, forceN: clampN }));
  return (
    <Section
      title="A platen on both sides, the inner one propped"
      help="One prop behind each clamp of the press plan; the other end stands on a board against the opposite side."
    >
      {insideField('Clear width inside', 50, 3000)}
      {platenField('Thickness of the platens', 3, 100)}
      {result.ok ? (
        <>
          <CaseDrawing insideMm={inside} platenMm={platen} {...result.value} />
          <Figures>
            <Figure label="Props" value={String(props)} note="one behind each clamp" />
            <Figure label="Props long" value={length(result.value.propMm)} note="and two wedges" />
            <Figure
              label="At least thick"
              value={length(result.value.sectionMm)}
              note={`square, for ${kN(clampN)} kN`}
              source={describeSource(PROP_SOURCE)}
            />
          </Figures>
        </>
      ) : (
        <Notice kind="stop">{result.problem}</Notice>
      )}
      <Text kind="quiet">
        The opposite side takes the same force. Spread it with a board, and look that its joints do not open.
      </Text>
    </Section>
  );
}

export function Hammer({
  alongMm,
  acrossMm,
  gelMin,
  glue,
}: {
  alongMm: number;
  acrossMm: number;
  gelMin: number;
  glue: Adhesive;
}) {
  const { length } = useUnits();
  const [along, alongField] = useKeptLength('hammer.along', alongMm);
  const [across, acrossField] = useKeptLength('hammer.across', acrossMm);
  const [hammer, hammerField] = useKeptLength('hammer.edge', 90);
  const result = attempt(() => hammerPlan({ alongMm: along, acrossMm: across, hammerMm: hammer, gelMin }));
  return (
    <Section title="Paths of the hammer" help={describeSource(HAMMER_SOURCE)}>
      {alongField('Along the grain', 10, 5000)}
      {acrossField('Across the grain', 10, 3000)}
      {hammerField('Edge of the hammer', 30, 200)}
      {result.ok ? (
        <>
          <PathsDrawing plan={result.value} alongMm={along} acrossMm={across} />
          <Figures>
            <Figure label="Paths" value={String(result.value.paths.length)} note="in the order drawn" />
            <Figure
              label="Sections"
              value={String(result.value.sections)}
              note={`of ${length(result.value.sectionMm)}`}
              source={describeSource(HAMMER_PACE.source)}
            />
            <Figure
              label="Glue gels in"
              value={formatMinutes(gelMin)}
              note="at the shop’s temperature"
              source={describeSource(glue.openMin.source)}
            />
            <Figure
              label="Glue"
              value={formatSmall(glueQuantity(glue, along * across).grams)}
              unit="g"
              source={describeSource(glue.spreadGPerM2.source)}
            />
            <Figure
              label="Water"
              value={formatSmall(result.value.waterMl)}
              unit="ml"
              note="sponged on the face"
              source={describeSource(FACE_WATER.source)}
            />
          </Figures>
          <Text>
            {`Glue the ground and the back, lay the veneer, sponge its face. Work each path from its middle to its ends in zigzags, glue running out ahead; a section takes about ${formatMinutes(result.value.minutesPerSection)}. What gels too early is warmed with an iron over damp cloth.`}
          </Text>
        </>
      ) : (
        <Notice kind="stop">{result.problem}</Notice>
      )}
    </Section>
  );
}
