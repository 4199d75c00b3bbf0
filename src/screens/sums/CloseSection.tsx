import { View } from 'react-native';
import Svg, { Line, Path, Rect } from 'react-native-svg';
import { attempt } from '@/core/check';
import { CLOSE_SOURCE, closePlan, type ClosePlan } from '@/core/closing';
import { clampOf, type KnownShop, type SumStarts } from '@/core/job';
import { describeSource } from '@/core/sources';
import { woodName, woodStiffnessMPa } from '@/core/wood';
import { Beside, Figure, materials, Notice, Row, Section, Text, useTheme } from '@/ui';
import { useKeptLength } from '../shared/kept';
import { useUnits } from '../shared/useUnits';
import { Figures, kN } from '../special/parts';

/** What it takes to draw a gaping joint together: clamps, force, and what stays open. */
export function CloseSection({
  starts,
  shop,
  species,
}: {
  starts: SumStarts;
  shop: KnownShop;
  species: string;
}) {
  const { length } = useUnits();
  const [long, longField] = useKeptLength('close.length', starts.jointMm);
  const [one, oneField] = useKeptLength('close.one', starts.boardsMm);
  const [other, otherField] = useKeptLength('close.other', starts.boardsMm);
  const [thick, thickField] = useKeptLength('close.thick', starts.boardMm);
  const [left, leftField] = useKeptLength('close.left', starts.gapsMm[0]);
  const [quarter, quarterField] = useKeptLength('close.quarter', starts.gapsMm[1]);
  const [middle, middleField] = useKeptLength('close.middle', starts.gapsMm[2]);
  const [far, farField] = useKeptLength('close.far', starts.gapsMm[3]);
  const [right, rightField] = useKeptLength('close.right', starts.gapsMm[4]);
  const bar = clampOf('pipe', shop);
  const owned = shop.clamps.find((c) => c.id === 'pipe')?.count ?? 0;
  const gapsMm = [left, quarter, middle, far, right];
  const result = attempt(
    () =>
    closePlan({
      lengthMm: long,
      boards: [{ widthMm: one, thickMm: thick }, { widthMm: other, thickMm: thick }],
      gapsMm,
      modulusMPa: woodStiffnessMPa(species),
      clampN: bar.forceN.value,
      clamps: owned > 0 ? owned : starts.clampsToGet,
    }), // prettier-ignore
  );
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
      {result.ok ? (
        <>
          <Text kind="strong">{result.value.verdict}</Text>
          <JointDrawing plan={result.value} gapsMm={gapsMm} lengthMm={long} />
          <Figures>
            <Figure
              label={owned === 0 ? 'Bar clamps to get' : 'Bar clamps'}
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
        </>
      ) : (
        <Notice kind="stop">{result.problem}</Notice>
      )}
      <Text kind="quiet">{`Stiffness along the grain: ${(woodStiffnessMPa(species) / 1000).toFixed(1)} GPa, as the table has it for ${woodName(species).toLowerCase()}.`}</Text>
    </Section>
  );
}

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
  const k = 40 / Math.max(0.2, ...gapsMm);
  const x = (i: number): number => 10 + (300 * i) / (gapsMm.length - 1);
  const curve = (heights: readonly number[]): string => heights.map((g, i) => `${i === 0 ? 'M' : 'L'}${x(i)} ${90 - g * k}`).join(''); // prettier-ignore
  return (
    <View
      role="img"
      aria-label="The gap along the joint as it is, and what stays open under the clamps; heights much enlarged"
    >
      <Svg width="100%" height={130} viewBox="0 0 320 130">
        <Rect x={10} y={90} width={300} height={30} fill={materials.veneer} />
        <Path d={`${curve(gapsMm)}L310 20L10 20Z`} fill={materials.core} />
        <Path d={curve(plan.openMm)} stroke={theme.oxblood} strokeWidth={2.5} fill="none" />
        {plan.atMm.map((at) => (
          <Line
            key={at}
            x1={10 + (300 * at) / lengthMm}
            x2={10 + (300 * at) / lengthMm}
            y1={8}
            y2={26}
            stroke={theme.lampEdge}
            strokeWidth={6}
          />
        ))}
      </Svg>
      <Text kind="quiet">The red line is what stays open; the bars above are the clamps.</Text>
    </View>
  );
}
