import { View } from 'react-native';
import { ClipPath, Defs, G, Line, Polygon } from 'react-native-svg';
import type { Result } from '@/core/check';
import { boundingBox, type Point } from '@/core/geometry';
import { DUTCHMAN_MARGIN_MM, type DutchmanPlan } from '@/core/letin';
import { describeSource } from '@/core/sources';
import { Beside, Chips, materials, Notice, Row, Section, Text, useTheme } from '@/ui';
import { useKeptChoice, useKeptLength } from '../shared/kept';
import { useUnits } from '../shared/useUnits';
import type { SumStarts } from '@/core/job';
import { DragDrawing } from './DragDrawing';
import { FromBoards } from './FromBoards';
import { PrintOutline } from './PrintOutline';

/** The recess round a loss, along the grain, and the block that is let in. */
export function DutchmanSection({
  starts,
  title,
  dutchman: result,
}: {
  starts: SumStarts;
  title: string;
  dutchman: Result<DutchmanPlan> | undefined;
}) {
  const { length, area } = useUnits();
  const [, depthField] = useKeptLength('dutch.depth', starts.depthMm);
  const [marginMm, marginField] = useKeptLength('dutch.margin', DUTCHMAN_MARGIN_MM.value);
  const [ends, setEnds] = useKeptChoice('dutch.ends', 'square', ['square', 'tapered']);
  if (!result)
    return (
      <Notice kind="rest">
        Mark the loss on its face first; the recess follows its outline and the grain.
      </Notice>
    );
  return (
    <Section title="The recess and its block" help={describeSource(DUTCHMAN_MARGIN_MM.source)}>
      <Beside>
        {depthField('Depth of the loss', 0.1, 200)}
        {marginField('Into sound wood', 0, 30)}
      </Beside>
      <Chips
        label="Ends of the block"
        options={[
          { value: 'square', label: 'Square' },
          { value: 'tapered', label: 'Run out along the grain' },
        ]}
        value={ends}
        onChange={setEnds}
      />
      {result.ok ? (
        <>
          <RecessDrawing plan={result.value} starts={starts} marginMm={marginMm} />
          <View>
            <Row
              title="Recess"
              detail={`${length(result.value.depthMm)} deep; along the grain first`}
              value={`${length(result.value.alongMm)} × ${length(result.value.acrossMm)}`}
            />
            <Row
              title="Saw the block"
              detail={`${length(result.value.block.thickMm)} thick, with room to fit and plane`}
              value={`${length(result.value.block.alongMm)} × ${length(result.value.block.acrossMm)}`}
            />
            <Row title="Glued" detail="Floor and walls" value={area(result.value.gluedMm2)} last />
          </View>
          {result.value.openSides > 0 ? (
            <Text>
              {`It runs out at ${result.value.openSides === 1 ? 'an edge' : `${result.value.openSides} edges`}: a thinner wall would break out. Leave the block over there and trim it after the glue.`}
            </Text>
          ) : null}
          <FromBoards
            blanks={{ ...result.value.block, count: 1 }}
            species={starts.species}
            kerfMm={starts.part.kerfMm}
          />
          <PrintOutline
            what="Recess"
            title={title}
            patch={{ outline: result.value.recess, recess: result.value.recess }}
            damage={starts.outline}
            grainDeg={starts.grainDeg}
            notes={[
              `Recess ${length(result.value.alongMm)} along × ${length(result.value.acrossMm)} across the grain, ${length(result.value.depthMm)} deep.`,
              `Block ${length(result.value.block.alongMm)} × ${length(result.value.block.acrossMm)} × ${length(result.value.block.thickMm)}.`,
            ]}
          />
          {result.value.order.map((words, i) => (
            <Text key={words}>{`${i + 1}. ${words}`}</Text>
          ))}
        </>
      ) : (
        <Notice kind="stop">{result.problem}</Notice>
      )}
    </Section>
  );
}

/** The drawing takes no more of a phone than this. */
const MOST_TALL = 220;

/** The recess as it lies on the face, to scale, with the loss in it and the grain. */
function RecessDrawing({
  plan,
  starts,
  marginMm,
}: {
  plan: DutchmanPlan;
  starts: SumStarts;
  marginMm: number;
}) {
  const theme = useTheme();
  const box = boundingBox(plan.recess);
  const room = 0.25 * Math.max(box.right - box.left, box.bottom - box.top);
  const [w, h] = [box.right - box.left + 2 * room, box.bottom - box.top + 2 * room];
  const words = (list: readonly Point[]): string =>
    list.map(([x, y]) => `${x - box.left + room},${y - box.top + room}`).join(' ');
  const grain = (starts.grainDeg * Math.PI) / 180;
  const lines = Array.from({ length: 9 }, (_, i) => (i - 4) * (Math.max(w, h) / 8));
  const k = Math.min(320 / w, MOST_TALL / h);
  const aside = (320 - w * k) / 2;
  const right = plan.recess.reduce((a, b) => (b[0] > a[0] ? b : a));
  return (
    <DragDrawing
      says="The recess on the face, to scale, with the loss inside it and the grain"
      tall={h * k}
      note="Dashed: what is gone. Full line: the recess."
      sizes={[
        {
          key: 'dutch.margin',
          label: 'Into sound wood',
          x: aside + (right[0] - box.left + room) * k,
          y: ((box.top + box.bottom) / 2 - box.top + room) * k,
          value: marginMm,
          along: 'x',
          perUnit: 1 / k,
          least: 0,
          most: 30,
        },
      ]}
    >
      <G transform={`translate(${aside} 0) scale(${k})`}>
        <Defs>
          <ClipPath id="recess-face">
            <Polygon points={`0,0 ${w},0 ${w},${h} 0,${h}`} />
          </ClipPath>
        </Defs>
        <G clipPath="url(#recess-face)">
          <Polygon points={`0,0 ${w},0 ${w},${h} 0,${h}`} fill={materials.veneer} />
          {lines.map((off) => {
            const [cx, cy] = [w / 2 - off * Math.sin(grain), h / 2 + off * Math.cos(grain)];
            const reach = Math.max(w, h);
            return (
              <Line
                key={off}
                x1={cx - reach * Math.cos(grain)}
                y1={cy - reach * Math.sin(grain)}
                x2={cx + reach * Math.cos(grain)}
                y2={cy + reach * Math.sin(grain)}
                stroke={materials.shade}
                strokeWidth={h / 300}
              />
            );
          })}
          <Polygon
            points={words(plan.recess)}
            fill={materials.core}
            stroke={theme.ink}
            strokeWidth={h / 120}
          />
          <Polygon
            points={words(starts.outline)}
            fill="none"
            stroke={theme.oxblood}
            strokeWidth={h / 120}
            strokeDasharray={`${h / 40} ${h / 60}`}
          />
        </G>
      </G>
    </DragDrawing>
  );
}
