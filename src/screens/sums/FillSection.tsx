import { View } from 'react-native';
import Svg, { Line, Rect } from 'react-native-svg';
import type { MethodId } from '@/core/catalogue';
import { attempt } from '@/core/check';
import { fillPlan, VOLUME_SOURCE, type FillPlan, type Hollow } from '@/core/filling';
import { FILLERS_SOURCE, fillerOf, STICK_MM } from '@/core/job';
import { describeSource } from '@/core/sources';
import { formatMinutes, formatSmall } from '@/core/units';
import { Figure, materials, Notice, Row, Section, Text, useTheme } from '@/ui';
import { useKeptLength } from '../shared/kept';
import { useUnits } from '../shared/useUnits';
import { Figures } from '../special/parts';
import type { SumStarts } from '@/core/job';

/** How much filler the hollow takes, in how many layers, and how it is mixed. */
export function FillSection({ starts, method }: { starts: SumStarts; method: MethodId }) {
  const { length } = useUnits();
  const known = fillerOf(method);
  const { hollow } = starts;
  const [deep, deepField] = useKeptLength('fill.deep', starts.depthMm);
  const [half, halfField] = useKeptLength('fill.half', starts.depthMm / 2);
  const [wide, wideField] = useKeptLength('fill.wide', hollow.shape === 'hole' ? hollow.diameterMm : hollow.shape === 'crack' ? hollow.widthsMm[0] : 1); // prettier-ignore
  const [end, endField] = useKeptLength('fill.end', hollow.shape === 'crack' ? hollow.widthsMm[1] : 1);
  const [layer, layerField] = useKeptLength('fill.layer', known?.mostLayerMm ?? 3);
  if (!known) return null;
  const shaped: Hollow =
    hollow.shape === 'hole'
      ? { ...hollow, diameterMm: wide, depthMm: deep }
      : hollow.shape === 'crack'
        ? { ...hollow, widthsMm: [wide, end], depthMm: deep }
        : hollow.shape === 'gouge'
          ? { ...hollow, depthsMm: [deep, half, 0] }
          : hollow;
  const stickMm = STICK_MM[method];
  const result = attempt(() =>
    fillPlan({
      hollow: shaped,
      filler: { ...known, mostLayerMm: layer },
      boardMm: starts.boardMm,
      ...(stickMm === undefined ? {} : { stickMm }),
    }),
  );
  return (
    <Section title="How much, and in how many layers" help={describeSource(FILLERS_SOURCE)}>
      {hollow.shape === 'gouge' ? (
        <>
          {deepField('Depth in its middle', 0.05, 200)}
          {halfField('Depth halfway to its rim', 0, 200)}
        </>
      ) : (
        <>
          {wideField(hollow.shape === 'hole' ? 'Diameter' : 'Width at one end', 0.05, 200)}
          {hollow.shape === 'crack' ? endField('Width at the other end', 0, 200) : null}
          {deepField('Depth', 0.05, 200)}
        </>
      )}
      {layerField('Thickest layer, by its label', 0.2, 200)}
      {result.ok ? (
        <>
          <LayersDrawing plan={result.value} boardMm={starts.boardMm} />
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
              {`Mix ${formatSmall(result.value.parts.a)} ${result.value.parts.unit} of the first part and ${formatSmall(result.value.parts.b)} ${result.value.parts.unit} of the second; ${formatSmall(result.value.parts.batchMl)} ml at a time, used up within ${formatMinutes(known.mix?.potMin ?? 0)}.`}
            </Text>
          ) : null}
          <View>
            {result.value.layers.map((l, i) => (
              <Row
                key={l.fromMm}
                title={`Layer ${i + 1} of ${result.value.layers.length}`}
                detail={`Fill to ${length(l.toMm)} over the floor; it sinks to ${length(l.sinksToMm)}. Then wait ${formatMinutes(l.waitMin)}.`}
                value={`${formatSmall(l.ml)} ml`}
                last={i === result.value.layers.length - 1}
              />
            ))}
          </View>
          <Text kind="quiet">{`The last stands ${length(result.value.proudMm)} proud and is levelled.`}</Text>
        </>
      ) : (
        <Notice kind="stop">{result.problem}</Notice>
      )}
    </Section>
  );
}

/** The layers in section, heights to scale. */
function LayersDrawing({ plan, boardMm }: { plan: FillPlan; boardMm: number }) {
  const theme = useTheme();
  const tall = Math.max(plan.depthMm * 1.25, Math.min(boardMm, plan.depthMm * 2)) + plan.proudMm;
  const k = 140 / tall;
  const face = 10 + plan.proudMm * k;
  const floor = face + plan.depthMm * k;
  return (
    <View
      role="img"
      aria-label="The layers in section, one over the other, the last proud of the face; heights to scale"
    >
      <Svg width="100%" height={164} viewBox="0 0 320 164">
        <Rect x={10} y={face} width={300} height={150 - plan.proudMm * k} fill={materials.veneer} />
        {plan.layers.map((l, i) => (
          <Rect
            key={l.fromMm}
            x={90}
            y={floor - l.sinksToMm * k}
            width={140}
            height={(l.sinksToMm - l.fromMm) * k}
            fill={i % 2 === 0 ? materials.core : materials.caul}
            stroke={theme.ink}
            strokeWidth={0.6}
          />
        ))}
        <Line x1={10} x2={310} y1={face} y2={face} stroke={theme.oxblood} strokeDasharray="6 4" />
      </Svg>
    </View>
  );
}
