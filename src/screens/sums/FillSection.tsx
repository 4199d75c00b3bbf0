import { View } from 'react-native';
import { Line, Polygon, Rect } from 'react-native-svg';
import { VOLUME_SOURCE, widthShare, type FillPlan, type Hollow } from '@/core/filling';
import { FILLERS_SOURCE, type FillSum, type SumStarts } from '@/core/job';
import { describeSource } from '@/core/sources';
import { formatMinutes, formatSmall } from '@/core/units';
import { Beside, Figure, materials, Notice, Row, Section, Text, useTheme } from '@/ui';
import { useKeptLength } from '../shared/kept';
import { useUnits } from '../shared/useUnits';
import { Figures } from '../special/parts';
import { DragDrawing } from './DragDrawing';

/** How much filler the hollow takes, in how many layers, and how it is mixed. */
export function FillSection({ starts, fill }: { starts: SumStarts; fill: FillSum }) {
  const { length } = useUnits();
  const { hollow, mostLayerMm, potMin = 0, stickMm, plan: result, cap } = fill;
  const [, deepField] = useKeptLength('fill.deep', starts.depthMm);
  const [, halfField] = useKeptLength(
    'fill.half',
    hollow.shape === 'bowl' ? hollow.halfwayMm : starts.depthMm,
  );
  const [, wideField] = useKeptLength('fill.wide', hollow.shape === 'hole' ? starts.holeMm : starts.gapMm);
  const [, endField] = useKeptLength('fill.end', starts.gapMm);
  const [, layerField] = useKeptLength('fill.layer', mostLayerMm);
  return (
    <Section title="How much, and in how many layers" help={describeSource(FILLERS_SOURCE)}>
      <Beside>
        {hollow.shape === 'bowl'
          ? null
          : wideField(hollow.shape === 'hole' ? 'Diameter' : 'Width at one end', 0.05, 200)}
        {hollow.shape === 'crack' ? endField('Width at the other end', 0, 200) : null}
        {deepField(hollow.shape === 'bowl' ? 'Depth in its middle' : 'Depth', 0.05, 200)}
        {hollow.shape === 'bowl' ? halfField('Depth halfway to its rim', 0, 200) : null}
        {layerField('Thickest layer, by its label', 0.2, 200)}
      </Beside>
      {result.ok ? (
        <>
          <LayersDrawing hollow={hollow} plan={result.value} boardMm={starts.boardMm} />
          <Figures>
            <Figure
              label="Hollow"
              value={`${formatSmall(result.value.volumeMl)} ml`}
              source={describeSource(VOLUME_SOURCE)}
            />
            <Figure
              label="Make up"
              value={`${formatSmall(result.value.madeUpMl)} ml`}
              note={`${formatSmall(result.value.grams)} g`}
            />
            {result.value.stickLengthMm === undefined ? null : (
              <Figure
                label="Of a stick"
                value={length(result.value.stickLengthMm)}
                note={`${length(stickMm ?? 0)} thick`}
              />
            )}
          </Figures>
          {result.value.parts ? (
            <Text>
              {`Mix ${formatSmall(result.value.parts.a)} ${result.value.parts.unit} of the first part and ${formatSmall(result.value.parts.b)} ${result.value.parts.unit} of the second; ${formatSmall(result.value.parts.batchMl)} ml at a time, used up within ${formatMinutes(potMin)}.`}
            </Text>
          ) : null}
          <View>
            {result.value.layers.map((l, i) => (
              <Row
                key={l.fromMm}
                title={`Layer ${i + 1} of ${result.value.layers.length}`}
                detail={`Fill to ${length(l.toMm)} over the floor${l.sinksToMm < l.toMm ? `; it sinks to ${length(l.sinksToMm)}` : ''}. Then wait ${formatMinutes(l.waitMin)}.`}
                value={`${formatSmall(l.madeUpMl)} ml`}
                last={i === result.value.layers.length - 1}
              />
            ))}
          </View>
          {cap?.ok ? (
            <Text>{`Then a cap of another filler, ${formatSmall(cap.value.madeUpMl)} ml, ${length(cap.value.depthMm)} high.`}</Text>
          ) : null}
          <Text kind="quiet">{`The last stands ${length((cap?.ok ? cap.value : result.value).proudMm)} proud and is levelled.`}</Text>
        </>
      ) : (
        <Notice kind="stop">{result.problem}</Notice>
      )}
    </Section>
  );
}

/** The layers in section, heights to scale, as wide at each height as the hollow is. */
function LayersDrawing({ hollow, plan, boardMm }: { hollow: Hollow; plan: FillPlan; boardMm: number }) {
  const theme = useTheme();
  const tall = Math.max(plan.depthMm * 1.25, Math.min(boardMm, plan.depthMm * 2)) + plan.proudMm;
  const k = 140 / tall;
  const face = 10 + plan.proudMm * k;
  const floor = face + plan.depthMm * k;
  const half = (heightMm: number): number => 70 * widthShare(hollow, Math.max(0, plan.depthMm - heightMm));
  const outlineOf = (fromMm: number, toMm: number): string => {
    const heights = Array.from({ length: 13 }, (_, i) => fromMm + ((toMm - fromMm) * i) / 12);
    const right = heights.map((h) => `${160 + half(h)},${floor - h * k}`);
    const left = heights.map((h) => `${160 - half(h)},${floor - h * k}`).reverse();
    return [...right, ...left].join(' ');
  };
  return (
    <DragDrawing
      says="The layers in section, one over the other, the last proud of the face; heights to scale"
      tall={164}
      note="In section, heights to scale. Dashed: the face."
      sizes={[
        {
          key: 'fill.deep',
          label: 'Depth',
          x: 160,
          y: floor,
          value: plan.depthMm,
          along: 'y',
          perUnit: 1 / k,
          least: 0.1,
          most: boardMm,
        },
      ]}
    >
      <Rect x={10} y={face} width={300} height={150 - plan.proudMm * k} fill={materials.veneer} />
      {plan.layers.map((l, i) => (
        <Polygon
          key={l.fromMm}
          points={outlineOf(l.fromMm, l.sinksToMm)}
          fill={i % 2 === 0 ? materials.core : materials.caul}
          stroke={theme.ink}
          strokeWidth={0.6}
        />
      ))}
      <Line x1={10} x2={310} y1={face} y2={face} stroke={theme.oxblood} strokeDasharray="6 4" />
    </DragDrawing>
  );
}
