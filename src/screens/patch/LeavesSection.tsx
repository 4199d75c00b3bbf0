import { View } from 'react-native';
import Svg, { Line, Rect, Text as SvgText } from 'react-native-svg';
import { attempt } from '@/core/check';
import { describeSource } from '@/core/sources';
import {
  LEAF_MATCHES,
  LEAVES_SOURCE,
  leavesPlan,
  PATCH_DEFAULTS,
  type LeafMatch,
  type LeavesPlan,
} from '@/core/veneer';
import type { Veneer } from '@/records';
import { Beside, Chips, Figure, materials, Notice, optionsOf, Row, Section, Text, useTheme } from '@/ui';
import { useKeptChoice, useKeptLength } from '../shared/kept';
import { useUnits } from '../shared/useUnits';
import { Figures } from '../special/parts';

const MATCHES: readonly LeafMatch[] = ['slip', 'book', 'centre'];

/** A whole face in leaves: how they are matched, cut and joined. @param face along the grain of its veneer and across */
export function LeavesSection({
  face: { alongMm, acrossMm },
  veneer,
}: {
  face: { alongMm: number; acrossMm: number };
  veneer: Veneer | undefined;
}) {
  const { length } = useUnits();
  const [match, setMatch] = useKeptChoice<LeafMatch>('leaves.match', 'slip', MATCHES);
  const [over, overField] = useKeptLength('leaves.over', PATCH_DEFAULTS.overhangMm.value);
  const [leafAlong, leafAlongField] = useKeptLength('leaves.along', veneer?.alongMm ?? alongMm + 2 * over);
  const [leafAcross, leafAcrossField] = useKeptLength('leaves.across', veneer?.acrossMm ?? acrossMm);
  const result = attempt(() =>
    leavesPlan({
      alongMm,
      acrossMm,
      overhangMm: over,
      leafAlongMm: leafAlong,
      leafAcrossMm: leafAcross,
      match,
    }),
  );
  return (
    <Section title="The face in leaves" help={describeSource(LEAVES_SOURCE)}>
      <Chips label="Matched" options={optionsOf(LEAF_MATCHES)} value={match} onChange={setMatch} />
      <Beside>
        {leafAlongField('One leaf, along its grain', 5, 10_000)}
        {leafAcrossField('One leaf, across', 5, 3000)}
        {overField('Overhang all round', 0, 100)}
      </Beside>
      {result.ok ? (
        <>
          <LeavesDrawing plan={result.value} alongMm={alongMm} acrossMm={acrossMm} overMm={over} />
          <Figures>
            <Figure label="Leaves" value={String(result.value.leaves)} />
            <Figure label="Each cut" value={length(result.value.lengthMm)} note="long" />
          </Figures>
          <View>
            {result.value.widthsMm.map((w, i) => (
              <Row
                key={`${i} ${w}`}
                title={`Leaf ${i + 1}${result.value.turned[i] ? ', turned over' : ''}`}
                detail={
                  result.value.seamsMm[i] === undefined
                    ? 'To the other edge'
                    : `Its seam lies ${length(result.value.seamsMm[i] ?? 0)} from the edge of the face`
                }
                value={`${length(w)} wide`}
                last={i === result.value.leaves - 1}
              />
            ))}
          </View>
          <Text>{result.value.words}</Text>
        </>
      ) : (
        <Notice kind="stop">{result.problem}</Notice>
      )}
    </Section>
  );
}

/** The face with its leaves, grain from left to right; booked leaves carry their figure mirrored. */
function LeavesDrawing({
  plan,
  alongMm,
  acrossMm,
  overMm,
}: {
  plan: LeavesPlan;
  alongMm: number;
  acrossMm: number;
  overMm: number;
}) {
  const theme = useTheme();
  const [w, h] = [alongMm + 2 * overMm, acrossMm + 2 * overMm];
  const thin = Math.max(w, h) / 320;
  const starts = plan.widthsMm.map((_, i) => plan.widthsMm.slice(0, i).reduce((a, b) => a + b, 0));
  return (
    <View role="img" aria-label={`The face in ${plan.leaves} leaves, its grain from left to right`}>
      <Svg width="100%" height={Math.min(240, (330 * h) / w)} viewBox={`0 0 ${w} ${h}`}>
        {plan.widthsMm.map((wide, i) => {
          const y = starts[i] ?? 0;
          const lean = (plan.turned[i] ? -1 : 1) * wide * 0.25;
          return [
            <Rect
              key={i}
              x={0}
              y={y}
              width={w}
              height={wide}
              fill={i % 2 ? materials.caul : materials.veneer}
              stroke={theme.ink}
              strokeWidth={thin}
            />,
            ...[0.2, 0.4, 0.6, 0.8].map((t) => (
              <Line
                key={`${i} ${t}`}
                x1={0}
                x2={w}
                y1={y + wide * t - lean / 2}
                y2={y + wide * t + lean / 2}
                stroke={materials.shade}
                strokeWidth={thin / 2}
              />
            )),
            <SvgText
              key={`${i} n`}
              x={8 * thin}
              y={y + wide / 2 + 6 * thin}
              fontSize={18 * thin}
              fontWeight="700"
              fill={materials.paper}
            >
              {String(i + 1)}
            </SvgText>,
          ];
        })}
        <Rect
          x={overMm}
          y={overMm}
          width={alongMm}
          height={acrossMm}
          fill="none"
          stroke={materials.lamp}
          strokeWidth={1.5 * thin}
          strokeDasharray={`${6 * thin} ${4 * thin}`}
        />
      </Svg>
      <Text kind="quiet">Dashed: the face. What stands over is trimmed after the glue.</Text>
    </View>
  );
}
