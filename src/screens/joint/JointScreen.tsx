import { router, useLocalSearchParams, type Href } from 'expo-router';
import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import Svg, { Circle, Line, Rect, Text as SvgText } from 'react-native-svg';
import { ADHESIVES, WASTE_SHARE, wasteWords, type Adhesive, type GlueTimes } from '@/core/adhesive';
import type { Result } from '@/core/check';
import { DOWEL_SOURCE, type DowelLayout } from '@/core/glueup';
import { bringsWood } from '@/core/catalogue';
import { describeSource } from '@/core/sources';
import { formatMinutes, formatSmall } from '@/core/units';
import {
  Button,
  Chips,
  Figure,
  Fold,
  fonts,
  materials,
  Notice,
  Row,
  Section,
  Text,
  useTheme,
  useWords,
} from '@/ui';
import { cautionsOf } from '@/core/safety';
import { useList } from '@/records';
import { Cautions } from '../shared/Cautions';
import { Elsewhere } from '../shared/Elsewhere';
import { Missing } from '../shared/Missing';
import { useChange } from '../shared/useChange';
import { KeepFigures } from '../shared/kept';
import { useDamageView } from '../shared/usePiece';
import { useUnits } from '../shared/useUnits';
import { HollowSection } from './HollowSection';
import { Bending } from './sums';
import { SumsSection } from '../sums/SumsSection';
import { WayInSection } from './WayInSection';
import { AmountsSection, AssumedNotice, ClampsSection } from '../sheet/sections';
import { WorksheetPage } from '../sheet/WorksheetPage';
import {
  boardThickMm,
  gluedGrams,
  gluing,
  hollowOf,
  isUnderPaint,
  linkedPage,
  surfaceRisk,
  sumsOf,
  surveyed,
  worksheetOf,
  worksheetsOf,
  wouldBeForced,
  type DowelSum,
  type Surveyed,
} from '@/core/job';

/** Splits, joints, let-in pieces and new parts: glue, sequence, and the sizes that go with the method. */
export function JointScreen() {
  const { id, link: asked } = useLocalSearchParams<{ id: string; link?: string }>();
  const view = useDamageView(id, asked);
  const change = useChange();
  const { records: shelf } = useList('colour');
  const { damage, face, piece, method, treated, repair, shop } = view;
  const links = useMemo(() => (repair ? worksheetsOf(repair, shop, shelf).links : []), [repair, shop, shelf]);
  if (!damage || !piece || !treated || !method) return <Missing what="This damage" loading={view.loading} />;
  // Opened by its address for a repair that is worked out elsewhere.
  if (worksheetOf(method) !== 'joint')
    return (
      <WorksheetPage view={view} method={method} piece={piece} damage={damage}>
        <Elsewhere view={view} />
      </WorksheetPage>
    );
  const survey = surveyed(damage.body, face?.body);
  const { suggested, adhesive: glue, times } = gluing(treated, method, view.glue, shop);
  const boardMm = boardThickMm(face?.body);
  const sized = survey.ok ? survey.value : undefined;
  const link = links.find((l) => l.method === method);
  const main = view.chain?.method ?? method;
  // What is poured has a sum of its own, in its layers.
  const poured = sumsOf(method).includes('fill');
  const hollow = poured ? undefined : hollowOf(method, sized, damage.body, face?.body);
  const forced = wouldBeForced(method, damage.body);
  const coloured = bringsWood(method) && !isUnderPaint(treated);
  return (
    <WorksheetPage view={view} method={method} piece={piece} damage={damage} survey={survey}>
      {forced ? (
        <Notice kind="stop" title="Do not force it">
          It does not close by hand, so its gap comes from shrinking. A clamp would close it and the wood
          would split elsewhere. Let in a sliver, or see what it does over the year.
        </Notice>
      ) : null}
      <GlueSection
        glue={glue}
        times={times}
        help={glue.id === suggested.id ? suggested.why : 'Your own choice.'}
        grams={poured || hollow?.shape === 'scoop' ? undefined : link && gluedGrams(link)}
      />
      <Fold title="Change the glue">
        <Chips
          label="Glue"
          options={ADHESIVES.map((a) => ({ value: a.id, label: a.label }))}
          value={glue.id}
          onChange={(adhesive) => change(damage, view.keepGlue({ ...view.glue, adhesive }))}
        />
      </Fold>
      {method === 'glueSplit' && sized ? (
        <WayInSection
          glue={glue}
          gapMm={sized.gapMm ?? 0}
          lengthMm={sized.lengthMm ?? 0}
          depthMm={damage.body.answers.depthMm ?? boardMm}
          {...(times.ok ? { openMin: times.value.openMin } : {})}
        />
      ) : null}
      {link?.glue ? <ClampsSection link={link} /> : null}
      {link?.sums.dowels && sized ? <Dowels dowels={link.sums.dowels} survey={sized} /> : null}
      <KeepFigures damage={damage}>
        {damage.body.kind === 'missingMoulding' ? <Bending /> : null}
        {repair && link ? <SumsSection repair={repair} method={method} sums={link.sums} /> : null}
        {hollow ? <HollowSection glue={glue} shape={hollow.shape} sizes={hollow.sizes} /> : null}
      </KeepFigures>
      {link ? <AssumedNotice assumed={link.assumed} /> : null}
      {link ? <AmountsSection amounts={link.amounts} /> : null}
      <Cautions ids={cautionsOf([method], surfaceRisk(piece.body, face?.body), glue.id)} />
      {link?.glue && sized && times.ok ? (
        <Button
          label="Start the glue-up"
          kind="main"
          onPress={() => router.push(linkedPage(damage.id, 'glueup', method, main) as Href)}
        />
      ) : null}
      {link?.glue && face ? (
        <Button
          label="Rounds, edges, cups, cases"
          onPress={() => router.push(linkedPage(damage.id, 'special', method, main) as Href)}
        />
      ) : null}
      {coloured ? (
        <Button label="Next: colour it" onPress={() => router.push(`/damage/${damage.id}/blend`)} />
      ) : null}
      <Button
        label="Open the bench plan"
        {...(link?.glue || coloured ? {} : { kind: 'main' as const })}
        onPress={() => router.push(`/bench?piece=${piece.id}`)}
      />
    </WorksheetPage>
  );
}

/** The glue of a joint: how much, and how long it stays open, is clamped, and hardens. @param grams none where a sum of its own says it */
function GlueSection({
  glue,
  times,
  help,
  grams,
}: {
  glue: Adhesive;
  times: Result<GlueTimes>;
  help: string;
  grams: number | undefined;
}) {
  const waits = times.ok
    ? [
        { label: 'Open', min: times.value.openMin, source: glue.openMin.source },
        { label: 'Clamped', min: times.value.clampMin, source: glue.clampMin.source },
        { label: 'Work on it after', min: times.value.workableMin, source: glue.workableMin.source },
      ]
    : [];
  return (
    <Section title={glue.label} help={help}>
      <View style={styles.figures}>
        {grams === undefined ? null : (
          <Figure
            label="Glue"
            value={formatSmall(grams)}
            unit="g"
            note={`both sides, ${wasteWords(WASTE_SHARE)}`}
            source={describeSource(glue.spreadGPerM2.source)}
          />
        )}
        {waits.map(({ label, min, source }) => (
          <Figure key={label} label={label} value={formatMinutes(min)} source={describeSource(source)} />
        ))}
      </View>
      {times.ok ? null : (
        <Notice kind="stop" title="Too cold for this glue">
          {times.problem}
        </Notice>
      )}
      <Text kind="quiet">{glue.note}</Text>
    </Section>
  );
}

function Dowels({ dowels, survey }: { dowels: DowelSum; survey: Surveyed }) {
  const { length } = useUnits();
  const { layout, leftOutMm: breaks, placesMm } = dowels;
  if (!layout.ok) return <Notice kind="stop">{layout.problem}</Notice>;
  const d = layout.value;
  return (
    <Section title="Dowels" help={describeSource(DOWEL_SOURCE)}>
      <View style={styles.figures}>
        <Figure label="Count" value={String(placesMm.length)} />
        <Figure label="Diameter" value={length(d.diameterMm)} />
        <Figure label="Deep, each side" value={length(d.depthMm)} />
        <Figure label="Mark on the bit" value={length(d.drillMarkMm)} note="a little for glue" />
      </View>
      <EdgeDrawing layout={d} placesMm={placesMm} edgeMm={survey.lengthMm ?? survey.measures.alongMm} />
      <View>
        {d.atMm.map((at, i) => (
          <Row
            key={at}
            title={`Dowel ${i + 1}`}
            detail={
              breaks.includes(at)
                ? 'Leave it out: its hole would break out through the edge of this face'
                : 'From one end, in the middle of the thickness'
            }
            value={length(at)}
            last={i === d.atMm.length - 1}
          />
        ))}
      </View>
      <Text kind="quiet">
        Mark both boards laid together. Dry run with short loose dowels before any glue.
      </Text>
    </Section>
  );
}

function EdgeDrawing({
  layout,
  placesMm,
  edgeMm,
}: {
  layout: DowelLayout;
  placesMm: readonly number[];
  edgeMm: number;
}) {
  const theme = useTheme();
  const words = useWords();
  const k = 300 / edgeMm;
  return (
    <View
      role="img"
      aria-label={words(
        `${placesMm.length} dowels along the edge, set out from ${layout.endDistanceMm} mm off its ends`,
      )}
    >
      <Svg width="100%" height={70} viewBox="0 0 320 70">
        <Rect x={10} y={14} width={300} height={26} fill={materials.veneer} />
        {placesMm.map((at) => (
          <Circle key={at} cx={10 + at * k} cy={27} r={6} fill={materials.core} stroke={materials.shade} />
        ))}
        <Line x1={10} x2={10 + layout.endDistanceMm * k} y1={52} y2={52} stroke={theme.ink} />
        <SvgText x={10} y={66} fontSize={12} fontFamily={fonts.text} fill={theme.ink}>
          {words(`${Math.round(layout.endDistanceMm)} mm, then every ${Math.round(layout.spacingMm)} mm`)}
        </SvgText>
      </Svg>
    </View>
  );
}

const styles = StyleSheet.create({ figures: { flexDirection: 'row', flexWrap: 'wrap', gap: 16 } });
