import { router, useLocalSearchParams } from 'expo-router';
import { View } from 'react-native';
import { bringsWood, fillsInColour, methodById, tonesIn } from '@/core/catalogue';
import { attempt } from '@/core/check';
import { deltaE00 } from '@/core/colour';
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
import { outlookBefore, placeAfterBleach } from '@/core/shelf';
import { useOne } from '@/records';
import { Button, Notice, Progress, Text } from '@/ui';
import { Missing } from '../shared/Missing';
import { Page } from '../shared/Page';
import { TrailList } from '../shared/Trail';
import { useDamageView } from '../shared/usePiece';
import { useOldTones, usePlaceTones, useStockTones } from '../shared/useWorkshop';
import { AimSection } from './AimSection';
import { CoatColour } from './CoatColour';
import { FillColour } from './FillColour';
import { AfterBleach, BlendedSection, LayersSection } from './LayersSection';
import { NewWood } from './NewWood';
import { SandingSection } from './SandingSection';

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
      {isPatch && !painted && !veneer ? <NoVeneerYet damageId={damage.id} /> : null}
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
      {(coloured || filled) && !painted && face && !face.body.picture ? <NoPhotoYet /> : null}
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
        <AfterBleach
          after={afterBleach}
          now={place.tones.mean}
          goal={{ lab: oldTones.mean, label: damage.body.aim ? 'Goal' : 'Round it' }}
        />
      ) : null}
      {filled && !painted && oldTones ? <FillColour damage={damage} tones={oldTones} /> : null}
      {blend && left && oldTones && bare ? (
        <>
          <BlendedSection
            blend={blend}
            outlook={left}
            title={toned ? 'From the place to its neighbours' : 'From bare to blended'}
            help={
              toned
                ? 'The place as it is, beside the sound wood round it.'
                : veneer
                  ? `${veneer.body.name}, bare, beside the colour it shall have.`
                  : ''
            }
            goal={{ lab: oldTones.mean, label: damage.body.aim ? 'Goal' : 'Old wood' }}
            bare={{ lab: bare.mean, label: isPatch ? 'Veneer, bare' : 'New wood, bare' }}
            tooDark={`The ${toned ? 'place' : 'new wood'} is darker than the old ground`}
          />
          <LayersSection steps={blend.steps} tones={oldTones} surface={surface} />
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
        <SandingSection
          sanding={sanding}
          veneerMm={isPatch && veneer ? veneer.body.thicknessMm : (face?.body.veneerMm ?? 1)}
          help={isPatch && veneer ? 'For the patch, after it is glued.' : 'For the face.'}
          surface={surface}
        />
      ) : null}
      <Button
        label="Open the bench plan"
        kind="main"
        onPress={() => router.push(`/bench?piece=${piece.id}`)}
      />
    </Page>
  );
}

const NoVeneerYet = ({ damageId }: { damageId: string }) => (
  <Notice kind="rest" title="No veneer chosen yet">
    <View style={{ gap: 8 }}>
      <Text>The colouring is worked out from the veneer the patch is cut from.</Text>
      <Button label="Match veneer" kind="main" onPress={() => router.push(`/damage/${damageId}/patch`)} />
    </View>
  </Notice>
);

const NoPhotoYet = () => (
  <Notice kind="rest" title="The face has no photo">
    So the colour of the old wood is not known and no layers are worked out. Add a photo of the face, or match
    the colour by eye on a test board.
  </Notice>
);
