import { router, useLocalSearchParams } from 'expo-router';
import { View } from 'react-native';
import { methodById } from '@/core/catalogue';
import { attempt } from '@/core/check';
import {
  alongAcross,
  damageLabel,
  patchesOfPiece,
  patchFor,
  patchOnItsSheet,
  shimsOf,
  spotWords,
  surfaceRisk,
  surveyed,
  workedSums,
} from '@/core/job';
import { cautionsOf } from '@/core/safety';
import { describeSource } from '@/core/sources';
import { PATCH_DEFAULTS, patchShapeWords } from '@/core/veneer';
import { useList, useShop, type PatchChoice } from '@/records';
import { Button, Figure, Notice } from '@/ui';
import { Cautions } from '../shared/Cautions';
import { Elsewhere } from '../shared/Elsewhere';
import { KeepFigures } from '../shared/kept';
import { Missing } from '../shared/Missing';
import { Page } from '../shared/Page';
import { TrailList } from '../shared/Trail';
import { useChange } from '../shared/useChange';
import { useDamageView } from '../shared/usePiece';
import { useUnits } from '../shared/useUnits';
import { SumsSection } from '../sums/SumsSection';
import { LeavesSection } from './LeavesSection';
import { OutlineSection } from './OutlineSection';
import { PatchBoard } from './PatchBoard';
import { PatchPrint } from './PatchPrint';
import { ShimsSection } from './ShimsSection';
import { SpotSection } from './SpotSection';
import { VeneerSection } from './VeneerSection';

/** The patch on its face, and the veneer of the stock to cut it from. */
export function PatchScreen() {
  const { id, link } = useLocalSearchParams<{ id: string; link?: string }>();
  const view = useDamageView(id, link, ['patch']);
  const { shop } = useShop();
  const stock = useList('veneer');
  const change = useChange();
  const { length, area } = useUnits();
  const { damage, face, piece, onFace, treated, method } = view;
  if (!damage || !piece || !treated) return <Missing what="This damage" loading={view.loading} />;
  const frame = {
    title: 'Match and patch',
    eyebrow: `${piece.body.name} · ${damageLabel(damage.body)}`,
    back: { href: `/damage/${damage.id}/decide` as const, label: 'Decide' },
    list: <TrailList view={view} />,
  };
  const survey = surveyed(damage.body, face?.body);
  const isPatch = method !== undefined && methodById(method).family === 'patch';
  if (!survey.ok || !face || !method || !isPatch) {
    return (
      <Page {...frame}>
        <Notice kind="rest" title="No patch here">
          {survey.ok
            ? `The repair is ${method ? methodById(method).label.toLowerCase() : 'not decided'}, which takes no patch.`
            : `${survey.problem} A patch needs the outline to scale.`}
        </Notice>
        <Elsewhere view={view} />
      </Page>
    );
  }
  // A spot was found for one outline on one sheet.
  const set = (patch: PatchChoice): Promise<boolean> =>
    change(damage, { patch: { ...damage.body.patch, spot: undefined, ...patch } });
  const choose = (veneerId: string): void => {
    if (veneerId !== damage.body.patch.veneerId) void set({ veneerId });
  };
  const result = attempt(() => patchFor(damage.body, survey.value, treated));
  const patch = result.ok ? result.value : undefined;
  const chosen = stock.records.find((v) => v.id === damage.body.patch.veneerId);
  const shims = view.repair && chosen ? shimsOf(view.repair, chosen.body) : undefined;
  const together = patchesOfPiece(piece, view.faces, view.damages, shop).flatMap(
    ({ damageId, patch: of }) => {
      const own = view.damages.find((d) => d.id === damageId);
      const where = view.faces.find((f) => f.id === own?.body.faceId);
      const beside = view.damages.filter((d) => d.body.faceId === where?.id);
      return own && where ? [{ damage: own, face: where, onFace: beside, patch: of }] : [];
    },
  );
  const wholeFace = methodById(method).needs.includes('veneerSheet');
  const { spot } = damage.body.patch;
  const onSheet =
    patch && chosen && spot
      ? patchOnItsSheet(chosen.body, patch, survey.value.board.grainDeg, spot, length)
      : undefined;
  return (
    <Page
      {...frame}
      board={
        <PatchBoard
          key={damage.id}
          damage={damage}
          face={face}
          onFace={onFace}
          piece={treated}
          survey={survey.value}
          patch={patch}
          onCorners={(own) => void set({ own })}
        />
      }
    >
      {patch ? (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 16 }}>
          <Figure
            label="Along the grain"
            value={length(patch.alongMm)}
            source={describeSource(PATCH_DEFAULTS.marginMm.source)}
          />
          <Figure
            label="Across the grain"
            value={length(patch.acrossMm)}
            source={describeSource(PATCH_DEFAULTS.overhangMm.source)}
          />
          <Figure label="Veneer it takes" value={area(patch.areaMm2)} />
        </View>
      ) : (
        <Notice kind="stop">{result.ok ? '' : result.problem}</Notice>
      )}
      <VeneerSection
        damage={damage}
        face={face}
        onFace={onFace}
        piece={treated}
        patch={patch}
        together={together}
        onChoose={choose}
      />
      {patch && chosen ? (
        <SpotSection
          key={chosen.id}
          damage={damage}
          face={face}
          onFace={onFace}
          patch={patch}
          veneer={chosen}
        />
      ) : null}
      <Cautions
        ids={cautionsOf([method], {
          ...surfaceRisk(piece.body, face.body),
          // The wood that is bought is the veneer's own, where one is chosen.
          species: chosen?.body.species ?? face.body.species,
        })}
        title="Before you cut"
      />
      {patch ? (
        <PatchPrint
          name={`${piece.body.name} ${damageLabel(damage.body)}`}
          damage={survey.value.outline}
          main={!chosen}
          {...(onSheet ? { onSheet } : {})}
          sheet={{
            title: `${piece.body.name}, ${face.body.name}: ${damageLabel(damage.body)}`,
            patch,
            grainDeg: survey.value.board.grainDeg,
            notes: [
              `${patchShapeWords(patch.shape)}. ${length(patch.alongMm)} along × ${length(patch.acrossMm)} across the grain.`,
              chosen
                ? `Cut from: ${chosen.body.name}, ${length(chosen.body.thicknessMm)}.`
                : 'No veneer chosen yet.',
              ...(damage.body.patch.spot ? [`${spotWords(damage.body.patch.spot, length)}.`] : []),
            ],
          }}
        />
      ) : null}
      <OutlineSection
        damage={damage}
        face={face}
        piece={treated}
        survey={survey.value}
        patch={patch}
        onChange={(to) => void set(to)}
      />
      {view.repair ? (
        <KeepFigures damage={damage}>
          {shims && !wholeFace ? <ShimsSection shims={shims} /> : null}
          {wholeFace ? <LeavesSection face={alongAcross(survey.value.board)} veneer={chosen?.body} /> : null}
          <SumsSection repair={view.repair} method={method} sums={workedSums(view.repair, method, shop)} />
        </KeepFigures>
      ) : null}
      {chosen ? (
        <Button
          label="Next: colour it"
          kind="main"
          onPress={() => router.push(`/damage/${damage.id}/blend`)}
        />
      ) : null}
    </Page>
  );
}
