import { router, useLocalSearchParams } from 'expo-router';
import { Pressable, StyleSheet, View } from 'react-native';
import { G, Polygon as SvgPolygon } from 'react-native-svg';
import { methodById } from '@/core/catalogue';
import { describeSource } from '@/core/sources';
import {
  MATCH_SOURCE,
  matchVeneers,
  PATCH_DEFAULTS,
  PATCH_SHAPES,
  SHIM_SHEET_MM,
  squareSides,
  type Candidate,
} from '@/core/veneer';
import { useList, useShop, type PatchChoice } from '@/records';
import {
  Button,
  Chips,
  Figure,
  Fold,
  LengthField,
  materials,
  Notice,
  optionsOf,
  Progress,
  Section,
  Stepper,
  Text,
  useTheme,
} from '@/ui';
import { Elsewhere } from '../shared/Elsewhere';
import { FaceBoard } from '../shared/FaceBoard';
import { Missing } from '../shared/Missing';
import { Page } from '../shared/Page';
import { Tone, PhotoSwatch } from '../shared/Swatch';
import { TrailList } from '../shared/Trail';
import { KeepFigures } from '../shared/kept';
import { PatchPrint } from './PatchPrint';
import { SpotSection } from './SpotSection';
import { SumsSection } from '../sums/SumsSection';
import { useChange } from '../shared/useChange';
import { cautionsOf } from '@/core/safety';
import { Cautions } from '../shared/Cautions';
import { formatLength } from '@/core/units';
import { useDamageView } from '../shared/usePiece';
import { useUnits } from '../shared/useUnits';
import { useOldTones, useStockTones } from '../shared/useWorkshop';
import { damageLabel, patchFor, spotWords, surfaceRisk, surveyed } from '@/core/job';
import { attempt } from '@/core/check';

const SLANT = { least: 15, most: 75 };

/** The patch on its face, and the veneer of the stock to cut it from. */
export function PatchScreen() {
  const { id, link } = useLocalSearchParams<{ id: string; link?: string }>();
  const view = useDamageView(id, link, ['patch']);
  const { shop } = useShop();
  const stock = useList('veneer');
  const stockTones = useStockTones();
  const change = useChange();
  const { unit, length, area } = useUnits();
  const { damage, face, piece, onFace, treated, method } = view;
  const old = useOldTones(damage, face, onFace);
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
  const candidates = stock.records.flatMap((v): Candidate[] => {
    const tones = stockTones.tones.get(v.id);
    return tones ? [{ ...v.body, id: v.id, tones }] : [];
  });
  const match =
    patch && old.tones
      ? attempt(() =>
          matchVeneers(
            {
              tones: old.tones ?? {
                ground: [0, 0, 0],
                mean: [0, 0, 0],
                line: [0, 0, 0],
                coherence: 0,
                pixels: 0,
              },
              species: face.body.species,
              thicknessMm: face.body.veneerMm,
              alongMm: patch.alongMm,
              acrossMm: patch.acrossMm,
            },
            candidates,
          ),
        )
      : undefined;
  // What is set aside, or has no photo, can be taken all the same.
  const ranked = match?.ok ? match.value.ranked : [];
  const byHand = stock.records.filter((v) => !ranked.some((m) => m.id === v.id));
  const chosen = stock.records.find((v) => v.id === damage.body.patch.veneerId);
  const crossing = patch
    ? squareSides(patch, survey.value.board.plane.outline, survey.value.board.grainDeg)
    : 0;
  return (
    <Page
      {...frame}
      board={
        <FaceBoard
          key={damage.id}
          face={face}
          damages={onFace}
          current={damage.id}
          label="The patch on its face"
          phoneHeight={260}
          focus={{ outline: survey.value.outline, marginMm: 40 }}
          over={(k) =>
            patch ? (
              <G>
                <SvgPolygon
                  points={patch.outline.map((p) => p.join(',')).join(' ')}
                  fill={materials.lit}
                  fillOpacity={0.3}
                  stroke={materials.lamp}
                  strokeWidth={2.5 / k}
                />
                <SvgPolygon
                  points={patch.recess.map((p) => p.join(',')).join(' ')}
                  fill="none"
                  stroke={materials.badge}
                  strokeWidth={1.5 / k}
                  strokeDasharray={`${5 / k} ${3 / k}`}
                />
              </G>
            ) : null
          }
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
      {crossing > 0 && treated.goal !== 'paint' ? (
        <Notice kind="stop" title="A seam runs square across the grain">
          Under a clear finish it shows as a line. Take a lozenge, boat or kite.
        </Notice>
      ) : null}
      <Section
        title="The veneer to cut it from"
        help="Nearest first. Lighter goes before darker: colour is added, not removed."
      >
        {old.loading || stockTones.loading ? (
          <Progress label="Reading the colours from the photos" fraction={0.5} />
        ) : null}
        {old.problem ? (
          <Notice kind="stop" title="The colour of the old wood could not be read">
            {old.problem}
          </Notice>
        ) : null}
        {!face.body.picture ? (
          <Notice kind="rest">
            The face has no photo, so its colour is not known. Add a photo to rank your stock by colour.
          </Notice>
        ) : null}
        {stock.records.length === 0 ? (
          <View style={{ gap: 12 }}>
            <Text>
              There is no veneer in the stock yet. Photograph what you have, with its thickness and size.
            </Text>
            <Button label="Open the stock" onPress={() => router.push('/stock')} />
          </View>
        ) : null}
        {old.tones ? (
          <View style={{ flexDirection: 'row', gap: 8 }}>
            <Tone lab={old.tones.ground} label="Old ground" />
            <Tone lab={old.tones.mean} label="Old, whole" />
            <Tone lab={old.tones.line} label="Old lines" />
          </View>
        ) : null}
        {!old.loading && !stockTones.loading && byHand.length > 0 ? (
          <Chips
            label={match?.ok ? 'Or one that is not ranked' : 'Choose it by hand'}
            help="Hold it against the old wood in the light the piece will stand in."
            options={byHand.map((v) => ({ value: v.id, label: v.body.name }))}
            value={chosen?.id}
            onChange={choose}
          />
        ) : null}
        {match && !match.ok ? <Notice kind="stop">{match.problem}</Notice> : null}
        {match?.ok ? (
          <View>
            {match.value.ranked.map((m, i) => (
              <VeneerChoice
                key={m.id}
                rank={i + 1}
                name={m.name}
                pictureId={stock.records.find((v) => v.id === m.id)?.body.pictureId}
                difference={m.deltaE00}
                detail={[m.thickness.advice, ...m.notes].join(' ')}
                chosen={m.id === chosen?.id}
                onChoose={() => choose(m.id)}
              />
            ))}
            {match.value.excluded.map((e) => (
              <Text key={e.id} kind="quiet">{`${e.name}: ${e.because}`}</Text>
            ))}
            <Text kind="label">{describeSource(MATCH_SOURCE)}</Text>
            <Text kind="label">{`A shim sheet counts ${length(SHIM_SHEET_MM.value)}. ${describeSource(SHIM_SHEET_MM.source)}`}</Text>
          </View>
        ) : null}
      </Section>
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
          sheet={{
            title: `${piece.body.name}, ${face.body.name}: ${damageLabel(damage.body)}`,
            patch,
            grainDeg: survey.value.board.grainDeg,
            notes: [
              `${PATCH_SHAPES[patch.shape]}. ${length(patch.alongMm)} along × ${length(patch.acrossMm)} across the grain.`,
              chosen
                ? `Cut from: ${chosen.body.name}, ${length(chosen.body.thicknessMm)}.`
                : 'No veneer chosen yet.',
              ...(damage.body.patch.spot ? [`${spotWords(damage.body.patch.spot, length)}.`] : []),
            ],
          }}
        />
      ) : null}
      <Fold title="Change the shape">
        <Chips
          label="Shape"
          options={optionsOf(PATCH_SHAPES)}
          value={patch?.shape}
          onChange={(shape) => set({ shape })}
        />
        <LengthField
          label="Into sound wood"
          help={describeSource(PATCH_DEFAULTS.marginMm.source)}
          valueMm={damage.body.patch.marginMm ?? PATCH_DEFAULTS.marginMm.value}
          unit={unit}
          check={upTo('The margin', 20)}
          onChange={(marginMm) => set({ marginMm })}
        />
        <LengthField
          label="Overhang at an edge"
          help={describeSource(PATCH_DEFAULTS.overhangMm.source)}
          valueMm={damage.body.patch.overhangMm ?? PATCH_DEFAULTS.overhangMm.value}
          unit={unit}
          check={upTo('The overhang', 30)}
          onChange={(overhangMm) => set({ overhangMm })}
        />
        <Stepper
          label="Slant of the ends"
          help={describeSource(PATCH_DEFAULTS.slantDeg.source)}
          unit="°"
          value={damage.body.patch.slantDeg ?? PATCH_DEFAULTS.slantDeg.value}
          least={SLANT.least}
          most={SLANT.most}
          step={5}
          onChange={(slantDeg) => set({ slantDeg })}
        />
      </Fold>
      {view.repair ? (
        <KeepFigures damage={damage}>
          <SumsSection repair={view.repair} method={method} shop={shop} />
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

const upTo =
  (what: string, most: number) =>
  (mm: number): void => {
    if (mm > most)
      throw new RangeError(`${what} has ${formatLength(mm, 'mm')}; up to ${most} mm make sense.`);
  };

type ChoiceProps = {
  rank: number;
  name: string;
  pictureId: string | undefined;
  difference: number;
  detail: string;
  chosen: boolean;
  onChoose: () => void;
};

function VeneerChoice({ rank, name, pictureId, difference, detail, chosen, onChoose }: ChoiceProps) {
  const theme = useTheme();
  return (
    <Pressable
      role="radio"
      aria-checked={chosen}
      aria-label={`${name}, colour difference ${difference.toFixed(1)}`}
      onPress={onChoose}
      style={[styles.choice, { borderColor: theme.line }, chosen && { backgroundColor: theme.verdigrisFill }]}
    >
      <PhotoSwatch pictureId={pictureId} name={name} />
      <View style={styles.text}>
        <Text kind="strong">{`${rank}. ${name}${chosen ? ' (chosen)' : ''}`}</Text>
        <Text kind="quiet">{detail}</Text>
      </View>
      <View style={styles.end}>
        <Text kind="number">{difference.toFixed(1)}</Text>
        <Text kind="label">ΔE00</Text>
      </View>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  choice: {
    flexDirection: 'row',
    gap: 12,
    alignItems: 'center',
    paddingVertical: 8,
    borderBottomWidth: 1,
    minHeight: 88,
  },
  text: { flex: 1 },
  end: { alignItems: 'flex-end' },
});
