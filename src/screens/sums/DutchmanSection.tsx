import { View } from 'react-native';
import Svg, { ClipPath, Defs, G, Line, Polygon } from 'react-native-svg';
import type { Result } from '@/core/check';
import { boundingBox, type Point } from '@/core/geometry';
import { DUTCHMAN_MARGIN_MM, type DutchmanPlan } from '@/core/letin';
import { pagesInUnits, patchSheet, toSvg, type Page } from '@/core/print';
import { describeSource } from '@/core/sources';
import { download, fileName } from '@/instruments';
import { useShop } from '@/records';
import { Beside, Button, Chips, materials, Notice, Row, Section, Text, useTheme } from '@/ui';
import { useAct } from '../shared/useAct';
import { usePdf } from '../shared/usePdf';
import { useKeptChoice, useKeptLength } from '../shared/kept';
import { useUnits } from '../shared/useUnits';
import { unitsOf, type SumStarts } from '@/core/job';

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
  const [, marginField] = useKeptLength('dutch.margin', DUTCHMAN_MARGIN_MM.value);
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
          <RecessDrawing plan={result.value} starts={starts} />
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
          <PrintRecess plan={result.value} starts={starts} title={title} />
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

/** The recess as it lies on the face, to scale, with the loss in it and the grain. */
function RecessDrawing({ plan, starts }: { plan: DutchmanPlan; starts: SumStarts }) {
  const theme = useTheme();
  const box = boundingBox(plan.recess);
  const room = 0.25 * Math.max(box.right - box.left, box.bottom - box.top);
  const [w, h] = [box.right - box.left + 2 * room, box.bottom - box.top + 2 * room];
  const words = (list: readonly Point[]): string =>
    list.map(([x, y]) => `${x - box.left + room},${y - box.top + room}`).join(' ');
  const grain = (starts.grainDeg * Math.PI) / 180;
  const lines = Array.from({ length: 9 }, (_, i) => (i - 4) * (Math.max(w, h) / 8));
  return (
    <View role="img" aria-label="The recess on the face, to scale, with the loss inside it and the grain">
      <Svg width="100%" height={200} viewBox={`0 0 ${w} ${h}`}>
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
      </Svg>
      <Text kind="quiet">Dashed: what is gone. Full line: the recess.</Text>
    </View>
  );
}

/** The recess at full size, to be pricked through or traced. */
function PrintRecess({ plan, starts, title }: { plan: DutchmanPlan; starts: SumStarts; title: string }) {
  const { length } = useUnits();
  const { shop } = useShop();
  const act = useAct();
  const pdf = usePdf();
  const pages = (): Page[] =>
    pagesInUnits(
      patchSheet({
        title,
        patch: { outline: plan.recess, recess: plan.recess },
        damage: starts.outline,
        grainDeg: starts.grainDeg,
        paper: shop.paper,
        notes: [
          `Recess ${length(plan.alongMm)} along × ${length(plan.acrossMm)} across the grain, ${length(plan.depthMm)} deep.`,
          `Block ${length(plan.block.alongMm)} × ${length(plan.block.acrossMm)} × ${length(plan.block.thickMm)}.`,
        ],
      }),
      unitsOf(shop),
    );
  const name = fileName(title);
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
      <Button
        label="Recess at full size, PDF"
        onPress={() => act(() => pdf(title, pages(), `${name}-recess.pdf`))}
      />
      <Button
        label="As SVG"
        kind="quiet"
        onPress={() => {
          const all = pages();
          all.forEach((page, i) =>
            download(toSvg(page), `${name}-recess${all.length > 1 ? `-${i + 1}` : ''}.svg`, 'image/svg+xml'),
          );
        }}
      />
    </View>
  );
}
