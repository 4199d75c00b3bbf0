import { router, useLocalSearchParams } from 'expo-router';
import { View } from 'react-native';
import { deltaE00, LAYER_MODEL, UNSEEN_FROM_A_STEP_BACK } from '@/core/colour';
import { bringsWood, fillsInColour, methodById, tonesIn } from '@/core/catalogue';
import { EDGE_FACTOR, GRITS, LEAST_LEFT_MM, SCRATCH_SHARE } from '@/core/sanding';
import { differenceWords, outlookBefore, placeAfterBleach, seenStanding } from '@/core/shelf';
import { describeSource } from '@/core/sources';
import { formatMinutes } from '@/core/units';
import { useOne } from '@/records';
import { Button, Figure, Notice, Progress, Row, Section, Text } from '@/ui';
import { BLEND_DEEDS } from '@/core/bench';
import { cautionsFor } from '@/core/safety';
import { Cautions } from '../shared/Cautions';
import { Missing } from '../shared/Missing';
import { Page } from '../shared/Page';
import { OutlookFigure } from './OutlookFigure';
import { Tone } from '../shared/Swatch';
import { TrailList } from '../shared/Trail';
import { useDamageView } from '../shared/usePiece';
import { useUnits } from '../shared/useUnits';
import { useOldTones, usePlaceTones, useStockTones } from '../shared/useWorkshop';
import { AimSection } from './AimSection';
import { CoatColour } from './CoatColour';
import { FillColour } from './FillColour';
import { NewWood } from './NewWood';
import { VeneerLeft } from './VeneerLeft';
import {
  colouredMm2,
  colouringOf,
  damageLabel,
  isUnderPaint,
  linksOfChain,
  repairView,
  sandingOf,
  surfaceRisk,
  topFinishOf,
} from '@/core/job';
import { attempt } from '@/core/check';

/** Sanding within the budget, then colour layer by layer. */
export function BlendScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const view = useDamageView(id);
  const { damage, face, piece, onFace, treated, chain } = view;
  const old = useOldTones(damage, face, onFace);
  const stockTones = useStockTones();
  const links = chain ? linksOfChain(chain) : [];
  const toned = links.some(tonesIn);
  const bleached = links.some((m) => m === 'oxalicAcid' || m === 'woodBleach');
  const place = usePlaceTones(view.repair, toned || bleached);
  const veneer = useOne('veneer', damage?.body.patch.veneerId).record;
  const { length } = useUnits();
  if (!damage || !piece || !treated) return <Missing what="This damage" loading={view.loading} />;
  const isPatch = links.some((m) => methodById(m).family === 'patch');
  const newWood = links.some(bringsWood);
  const painted = isUnderPaint(treated);
  const coloured = newWood || toned;
  const filled = links.some(fillsInColour);
  const bare = toned ? place.tones : stockTones.tones.get(veneer?.id ?? '');
  const oldTones = old.tones;
  const species = toned ? face?.body.species : veneer?.body.species;
  const plan =
    coloured && !painted && oldTones && bare
      ? attempt(() => colouringOf(damage.body, oldTones, bare, topFinishOf(treated), links, species))
      : undefined;
  const afterBleach =
    place.tones && oldTones ? placeAfterBleach(links, place.tones.mean, oldTones.mean) : undefined;
  const sanding = face ? sandingOf(treated, face.body, isPatch ? veneer?.body : undefined) : undefined;
  const blend = plan?.ok ? plan.value : undefined;
  const look = view.repair && coloured ? repairView(view.repair, veneer?.body) : undefined;
  const left = blend && bare ? outlookBefore(blend.residual, deltaE00(bare.mean, blend.final)) : undefined;
  const surface = surfaceRisk(piece.body, face?.body);
  return (
    <Page
      title="Blend"
      eyebrow={`${piece.body.name} · ${damageLabel(damage.body)}`}
      back={{ href: `/damage/${damage.id}/decide`, label: 'Decide' }}
      list={<TrailList view={view} />}
    >
      {isPatch && !painted && !veneer ? (
        <Notice kind="rest" title="No veneer chosen yet">
          <View style={{ gap: 8 }}>
            <Text>The colouring is worked out from the veneer the patch is cut from.</Text>
            <Button
              label="Match veneer"
              kind="main"
              onPress={() => router.push(`/damage/${damage.id}/patch`)}
            />
          </View>
        </Notice>
      ) : null}
      {painted ? (
        <Notice kind="rest" title="Paint covers it">
          {`No colouring is needed: prime and paint.${sanding ? ' Sanding still has its budget.' : ''}`}
        </Notice>
      ) : null}
      {newWood && !isPatch && !painted ? <NewWood damage={damage} /> : null}
      {!coloured && !filled && !painted ? (
        <Notice kind="rest" title="No new wood here">
          This repair puts no new wood into the face, so there is nothing to colour. What sanding leaves is
          shown below.
        </Notice>
      ) : null}
      {old.loading || stockTones.loading || place.loading ? (
        <Progress label="Reading the colours from the photos" fraction={0.5} />
      ) : null}
      {(coloured || filled) && !painted && face && !face.body.picture ? (
        <Notice kind="rest" title="The face has no photo">
          So the colour of the old wood is not known and no layers are worked out. Add a photo of the face, or
          match the colour by eye on a test board.
        </Notice>
      ) : null}
      {place.problem ? (
        <Notice kind="stop" title="The colour of the place could not be read">
          {place.problem}
        </Notice>
      ) : null}
      {old.problem ? (
        <Notice kind="stop" title="The colour of the old wood could not be read">
          {old.problem}
        </Notice>
      ) : null}
      {(coloured || filled) && !painted && oldTones && face ? (
        <AimSection damage={damage} face={face} faces={view.faces} onFace={onFace} tones={oldTones} />
      ) : null}
      {afterBleach && place.tones && oldTones ? (
        <Section title="After the bleach">
          <View style={{ flexDirection: 'row', gap: 8 }}>
            <Tone lab={place.tones.mean} label="As it is" />
            <Tone lab={afterBleach.lab} label="After it" />
            <Tone lab={oldTones.mean} label={damage.body.aim ? 'Goal' : 'Round it'} />
          </View>
          <Text>{afterBleach.words}</Text>
          <Text kind="quiet">{`± ${afterBleach.spread.toFixed(0)} ΔE00: try it where it does not show.`}</Text>
        </Section>
      ) : null}
      {filled && !painted && oldTones ? <FillColour damage={damage} tones={oldTones} /> : null}
      {blend && left && oldTones && bare ? (
        <>
          <Section
            title={toned ? 'From the place to its neighbours' : 'From bare to blended'}
            help={
              toned
                ? 'The place as it is, beside the sound wood round it.'
                : veneer
                  ? `${veneer.body.name}, bare, beside the colour it shall have.`
                  : ''
            }
          >
            <View style={{ flexDirection: 'row', gap: 8 }}>
              <Tone lab={oldTones.mean} label={damage.body.aim ? 'Goal' : 'Old wood'} />
              <Tone lab={bare.mean} label={isPatch ? 'Veneer, bare' : 'New wood, bare'} />
              <Tone lab={blend.final} label="After all layers" />
            </View>
            <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 16 }}>
              <Figure
                label="Difference, bare"
                value={blend.bareDifference.toFixed(1)}
                unit="ΔE00"
                source={describeSource(LAYER_MODEL)}
              />
              <OutlookFigure
                label="Difference expected after all layers"
                outlook={left}
                alarm={seenStanding(left)}
                source={describeSource(UNSEEN_FROM_A_STEP_BACK.source)}
              />
            </View>
            {blend.tooDark ? (
              <Notice kind="stop" title={`The ${toned ? 'place' : 'new wood'} is darker than the old ground`}>
                Colour cannot be taken away. Choose lighter wood, or bleach a test piece first.
              </Notice>
            ) : null}
          </Section>
          <Section
            title="Layers, in this order"
            help="On a test board of the same wood first, sanded to the same grit."
          >
            {blend.steps.map((s, i) => (
              <View key={s.id} style={{ gap: 8 }}>
                <Text kind="subheading">{`${i + 1}. ${s.title}`}</Text>
                <Cautions ids={cautionsFor(BLEND_DEEDS[s.id], surface)} title="Before this layer" />
                {s.before && s.after ? (
                  <View style={{ flexDirection: 'row', gap: 8 }}>
                    <Tone lab={s.before} label="Before" />
                    <Tone lab={s.after} label="After" />
                    <Tone
                      lab={
                        s.id === 'dye' ? oldTones.ground : s.id === 'toner' ? oldTones.mean : oldTones.line
                      }
                      label="Aim"
                    />
                  </View>
                ) : null}
                <Text>{s.detail}</Text>
                {s.left !== undefined ? (
                  <Row
                    title="Left to the aim"
                    value={`${differenceWords(outlookBefore(s.left, s.before && s.after ? deltaE00(s.before, s.after) : 0))} ΔE00`}
                    source={describeSource(LAYER_MODEL)}
                    last
                  />
                ) : null}
                {s.waitMin.value > 0 ? (
                  <Row
                    title="Wait before the next layer"
                    detail={s.scuffGrit ? `Then scuff with ${s.scuffGrit.value} (ISO 6344)` : 'No scuffing'}
                    value={formatMinutes(s.waitMin.value)}
                    source={describeSource(s.waitMin.source)}
                    last
                  />
                ) : null}
              </View>
            ))}
          </Section>
        </>
      ) : null}
      {coloured && !painted && oldTones && bare ? (
        <CoatColour
          damage={damage}
          start={bare.mean}
          goal={oldTones}
          species={species}
          wood={veneer?.body.name ?? face?.body.species ?? ''}
          grit={sanding?.ok ? sanding.value.endGrit : undefined}
          methods={links}
          areaMm2={view.repair ? colouredMm2(view.repair) : 0}
          repair={look}
        />
      ) : null}
      {sanding ? (
        <Section
          title="Sanding budget"
          help={isPatch && veneer ? 'For the patch, after it is glued.' : 'For the face.'}
        >
          <Cautions ids={cautionsFor(['sand'], surface)} title="Before you sand" />
          {sanding.ok ? (
            <>
              <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 16 }}>
                <Figure
                  label="Start with"
                  value={`P${sanding.value.startGrit}`}
                  unit="ISO 6344"
                  source="Common practice: no coarser than P150 on thin veneer."
                />
                <Figure
                  label="End with"
                  value={`P${sanding.value.endGrit}`}
                  unit="ISO 6344"
                  source="Common practice: P180 to P220 before colour."
                />
                <Figure
                  label="Veneer left"
                  value={length(Math.max(0, sanding.value.leftMm))}
                  alarm={sanding.value.leftMm < LEAST_LEFT_MM.value}
                  source={`${describeSource(GRITS[3]?.medianUm.source ?? SCRATCH_SHARE.source)} ${describeSource(SCRATCH_SHARE.source)}`}
                />
                <Figure
                  label="Left at edges"
                  value={length(Math.max(0, sanding.value.leftAtEdgeMm))}
                  alarm={sanding.value.leftAtEdgeMm < LEAST_LEFT_MM.value}
                  source={describeSource(EDGE_FACTOR.source)}
                />
              </View>
              <VeneerLeft
                budget={sanding.value}
                veneerMm={isPatch && veneer ? veneer.body.thicknessMm : (face?.body.veneerMm ?? 1)}
                text={length}
              />
              <Text kind="quiet">{`Amber line: ${length(LEAST_LEFT_MM.value)}, where glue and core begin to show.`}</Text>
              <View>
                {sanding.value.steps.map((s) => (
                  <Row
                    key={s.grit}
                    title={`P${s.grit}`}
                    detail={`${length(s.leftMm)} left after it`}
                    value={`−${length(s.removedMm)}`}
                  />
                ))}
              </View>
              {sanding.value.warning ? (
                <Notice kind="stop" title="Too little veneer">
                  {sanding.value.warning}
                </Notice>
              ) : null}
            </>
          ) : (
            <Notice kind="stop">{sanding.problem}</Notice>
          )}
        </Section>
      ) : null}
      <Button
        label="Open the bench plan"
        kind="main"
        onPress={() => router.push(`/bench?piece=${piece.id}`)}
      />
    </Page>
  );
}
