import { View } from 'react-native';
import { Line, Path, Rect } from 'react-native-svg';
import { CLOSE_SOURCE, EAR_MM, type ClampAcross, type ClosePlan } from '@/core/closing';
import { GAP_FIELDS, type CloseSum, type Repair, type SumStarts } from '@/core/job';
import { describeSource } from '@/core/sources';
import { woodName, woodStiffnessMPa } from '@/core/wood';
import { Beside, Figure, materials, Notice, Row, Section, Text, useTheme } from '@/ui';
import { useKeptLength } from '../shared/kept';
import { useUnits } from '../shared/useUnits';
import { ReadGaps } from './ReadGaps';
import { DragDrawing } from './DragDrawing';
import { Figures, kN } from '../special/parts';

/** What it takes to draw a gaping joint together: clamps, force, and what stays open. */
export function CloseSection({
  starts,
  close,
  repair,
}: {
  starts: SumStarts;
  close: CloseSum;
  repair: Repair;
}) {
  const { length } = useUnits();
  const [, longField] = useKeptLength('close.length', starts.jointMm);
  const [, oneField] = useKeptLength('close.one', starts.boardsMm);
  const [, otherField] = useKeptLength('close.other', starts.boardsMm);
  const [, thickField] = useKeptLength('close.thick', starts.boardMm);
  const [, leftField] = useKeptLength('close.left', starts.gapsMm[0]);
  const [, quarterField] = useKeptLength('close.quarter', starts.gapsMm[1]);
  const [, middleField] = useKeptLength('close.middle', starts.gapsMm[2]);
  const [, farField] = useKeptLength('close.far', starts.gapsMm[3]);
  const [, rightField] = useKeptLength('close.right', starts.gapsMm[4]);
  const { owned, kind, plan: result, gapsMm, lengthMm, across } = close;
  const { species } = starts;
  return (
    <Section
      title="Will it close?"
      help="The gap at five places along the joint, by feeler gauge or slips of paper, with the boards laid together."
    >
      <Beside>
        {longField('Length of the joint', 50, 5000)}
        {oneField('Width of the board on one side', 5, 2000)}
        {otherField('Width of the board on the other', 5, 2000)}
        {thickField('Thickness', 3, 200)}
        {leftField('Gap at one end', 0, 50)}
        {quarterField('Gap a quarter along', 0, 50)}
        {middleField('Gap in the middle', 0, 50)}
        {farField('Gap three quarters along', 0, 50)}
        {rightField('Gap at the other end', 0, 50)}
      </Beside>
      <ReadGaps repair={repair} fields={GAP_FIELDS.map((f) => `close.${f}`)} />
      {result.ok ? (
        <>
          <Text kind="strong">{result.value.verdict}</Text>
          <JointDrawing plan={result.value} gapsMm={gapsMm} lengthMm={lengthMm} />
          <Figures>
            <Figure
              label={owned === 0 ? 'Bar clamps to get' : kind.label}
              value={String(result.value.clamps)}
              note={owned === 0 ? 'none is owned yet' : `of ${owned}`}
              source={describeSource(CLOSE_SOURCE)}
            />
            <Figure label="Each gives" value={`${kN(result.value.eachN)} kN`} />
            <Figure label="Stays open" value={length(result.value.mostOpenMm)} alarm={!result.value.closes} />
          </Figures>
          <View>
            {result.value.atMm.map((at, i) => (
              <Row
                key={at}
                title={`Clamp ${i + 1}, ${i % 2 === 0 ? 'above' : 'below'}`}
                detail="From one end; above and below in turn, so that the boards do not cup"
                value={length(at)}
                last={i === result.value.atMm.length - 1}
              />
            ))}
          </View>
          <Ears across={across} />
        </>
      ) : (
        <Notice kind="stop">{result.problem}</Notice>
      )}
      <Text kind="quiet">{`Stiffness along the grain: ${(woodStiffnessMPa(species) / 1000).toFixed(1)} GPa, as the table has it for ${woodName(species).toLowerCase()}.`}</Text>
    </Section>
  );
}

/** What the edges of this face do to each clamp: a jaw slides off where they slope. */
function Ears({ across }: { across: readonly ClampAcross[] }) {
  const { length } = useUnits();
  const sloped = across.flatMap((c, i) => {
    const steep = c.ends.filter((e) => e.needsBlock);
    return steep.length > 0 ? [{ ...c, number: i + 1, steep }] : [];
  });
  const widest = Math.max(0, ...across.map((c) => c.openingMm));
  if (across.length === 0) return null;
  return (
    <View style={{ gap: 8 }}>
      <Row
        title="The bars open"
        detail="At their widest, without the blocks under the jaws"
        value={length(widest)}
        last={sloped.length === 0}
      />
      {sloped.map(({ number, steep }, i) => (
        <Row
          key={number}
          title={`Clamp ${number} stands on a slope`}
          detail={`${steep.length === 2 ? 'On both edges a' : 'A'} block ${length(EAR_MM.value)} long, sawn to ${steep.map((e) => `${Math.round(e.slopeDeg)}°`).join(' and ')}: ${steep.map((e) => length(e.riseMm)).join(' and ')} higher at one end. Glue it on over paper, or screw on a hand-screw with sandpapered jaws as an ear.`}
          value={`${Math.round(Math.max(...steep.map((e) => e.slopeDeg)))}°`}
          source={describeSource(EAR_MM.source)}
          last={i === sloped.length - 1}
        />
      ))}
    </View>
  );
}

/** Where the joint is drawn: its ends, its edge, how much the greatest gap takes. */
const DRAWN = { left: 10, long: 300, edge: 90, tall: 130, gap: 40 };
/** Gaps are drawn to one of these scales, so that the drawing stands still while one is pulled. */
const SCALES_MM = [0.5, 1, 2, 5, 10, 20, 50];
const PLACES = ['at one end', 'a quarter along', 'in the middle', 'three quarters along', 'at the other end'];

/** The two boards along their joint: the gap as it is and what stays open, heights much enlarged. */
function JointDrawing({
  plan,
  gapsMm,
  lengthMm,
}: {
  plan: ClosePlan;
  gapsMm: readonly number[];
  lengthMm: number;
}) {
  const theme = useTheme();
  const { left, long, edge, tall } = DRAWN;
  const widest = Math.max(...gapsMm);
  const k = DRAWN.gap / (SCALES_MM.find((mm) => mm >= widest) ?? widest);
  const x = (i: number): number => left + (long * i) / (gapsMm.length - 1);
  const curve = (heights: readonly number[]): string => heights.map((g, i) => `${i === 0 ? 'M' : 'L'}${x(i)} ${edge - g * k}`).join(''); // prettier-ignore
  return (
    <DragDrawing
      says="The gap along the joint as it is, and what stays open under the clamps; heights much enlarged"
      tall={tall}
      note="The red line is what stays open; the bars above are the clamps."
      sizes={GAP_FIELDS.map((field, i) => ({
        key: `close.${field}`,
        label: `Gap ${PLACES[i] ?? ''}`,
        x: x(i),
        y: edge - (gapsMm[i] ?? 0) * k,
        value: gapsMm[i] ?? 0,
        along: 'y',
        perUnit: -1 / k,
        least: 0,
        most: 50,
      }))}
    >
      <Rect x={left} y={edge} width={long} height={tall - edge - 10} fill={materials.veneer} />
      <Path d={`${curve(gapsMm)}L${left + long} 20L${left} 20Z`} fill={materials.core} />
      <Path d={curve(plan.openMm)} stroke={theme.oxblood} strokeWidth={2.5} fill="none" />
      {plan.atMm.map((at) => (
        <Line
          key={at}
          x1={left + (long * at) / lengthMm}
          x2={left + (long * at) / lengthMm}
          y1={8}
          y2={26}
          stroke={theme.lampEdge}
          strokeWidth={6}
        />
      ))}
    </DragDrawing>
  );
}
