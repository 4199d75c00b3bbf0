import { router, useLocalSearchParams } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import Svg, { Line, Rect, Text as SvgText } from 'react-native-svg';
import { describeSource } from '@/core/sources';
import { CRACK_ADVICE, CRACK_SOURCE, DENSITY_SHRINKAGE_SOURCE, SPECIES, type CrackPlan, type Cut } from '@/core/wood'; // prettier-ignore
import type { Piece } from '@/records';
import { Button, Chips, Figure, fonts, LengthField, LitCard, materials, Notice, Section, Stepper, Text, useTheme } from '@/ui'; // prettier-ignore
import { AirFields, COMMON_HOME } from '../shared/air';
import { Missing } from '../shared/Missing';
import { Page } from '../shared/Page';
import { PlaceBoard } from '../shared/PlaceBoard';
import { TrailList } from '../shared/Trail';
import { useChange } from '../shared/useChange';
import { useDamageView } from '../shared/usePiece';
import { useUnits } from '../shared/useUnits';
import { WoodChips } from '../shared/WoodChips';
import { DEFAULT_GRAVITY, crackPlanOf, damageLabel, surveyed } from '@/core/job';

const CUTS: Record<Cut, string> = {
  flat: 'Rings lie flat in the face',
  quarter: 'Rings stand upright',
  rift: 'Rings slant',
};

/** What a crack does over the year, and what may therefore be done to it. */
export function MovementScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const view = useDamageView(id);
  const change = useChange();
  const { unit, length } = useUnits();
  const { damage, face, piece, onFace, shop } = view;
  if (!damage || !piece) return <Missing what="This damage" loading={view.loading} />;
  const survey = surveyed(damage.body, face?.body);
  const back = { href: `/damage/${damage.id}/decide` as const, label: 'Decide' };
  const eyebrow = `${piece.body.name} · ${damageLabel(damage.body)}`;
  if (!face || !survey.ok || survey.value.gapMm === undefined) {
    return (
      <Page title="Movement" eyebrow={eyebrow} back={back} list={<TrailList view={view} />}>
        <Notice kind="rest" title="No crack to reckon with yet">
          Mark the crack as a line with its width; then what it does over the year can be worked out.
        </Notice>
        <Button label="Go to the damage" kind="main" onPress={() => router.push(`/damage/${damage.id}`)} />
      </Page>
    );
  }
  const { gapMm } = survey.value;
  const board = damage.body.board;
  const home = piece.body.home ?? COMMON_HOME;
  const setBoard = (patch: Partial<NonNullable<typeof board>>): Promise<boolean> =>
    change(damage, {
      board: { acrossMm: survey.value.board.plane.heightMm, cut: 'flat', ...board, ...patch },
    });
  const plan = crackPlanOf({ ...piece.body, home } satisfies Piece, face.body, damage.body, shop);
  const inTable = SPECIES.some((s) => s.id === face.body.species);
  return (
    <Page
      title="Movement over the year"
      eyebrow={eyebrow}
      back={back}
      list={<TrailList view={view} />}
      board={<PlaceBoard damage={damage} face={face} onFace={onFace} survey={survey} />}
    >
      {plan?.ok ? (
        <LitCard eyebrow="Advice" title={CRACK_ADVICE[plan.value.advice]}>
          <Text>{plan.value.why}</Text>
        </LitCard>
      ) : plan ? (
        <Notice kind="stop" title="This cannot be worked out">
          {plan.problem}
        </Notice>
      ) : (
        <LitCard eyebrow="Now" title="Say how wide the board is">
          <Text>
            All of a board’s shrinking opens its crack. Its width across the grain decides how much.
          </Text>
        </LitCard>
      )}
      {plan?.ok ? <GapDrawing plan={plan.value} gapMm={gapMm} length={length} /> : null}
      {plan?.ok ? (
        <View style={styles.figures}>
          <Figure label="Gap now" value={length(gapMm)} note={percent(plan.value.nowMoisture)} />
          <Figure
            label="In the driest month"
            value={length(Math.max(0, plan.value.gapDryMm))}
            note={percent(plan.value.dryMoisture)}
          />
          <Figure
            label="In the dampest month"
            value={length(Math.max(0, plan.value.gapDampMm))}
            note={plan.value.gapDampMm < 0 ? 'closed and pressing' : percent(plan.value.dampMoisture)}
            alarm={plan.value.gapDampMm < 0}
          />
          <Figure
            label="It moves by"
            value={length(plan.value.movesMm)}
            source={describeSource(CRACK_SOURCE)}
          />
        </View>
      ) : null}
      <Section
        title="The board"
        help="The one that opens into this crack, measured across the grain from edge to edge."
      >
        <LengthField
          label="Width across the grain"
          valueMm={board?.acrossMm ?? survey.value.board.plane.heightMm}
          unit={unit}
          check={(mm) => {
            if (mm < 1 || mm > 3000) throw new RangeError('A board is between 1 mm and 3000 mm wide.');
          }}
          onChange={(acrossMm) => setBoard({ acrossMm })}
        />
        {board ? null : <Button label="Take this width" kind="main" onPress={() => setBoard({})} />}
        <Chips<Cut>
          label="Look at the end grain"
          options={(Object.keys(CUTS) as Cut[]).map((c) => ({ value: c, label: CUTS[c] }))}
          value={board?.cut ?? 'flat'}
          onChange={(cut) => setBoard({ cut })}
        />
        <WoodChips other value={face.body.species} onChange={(species) => change(face, { species })} />
        {inTable ? null : (
          <Stepper
            label="Density of this wood, water is 1"
            help={`Weigh an offcut and measure it. Until you do, ${DEFAULT_GRAVITY} is taken. ${describeSource(DENSITY_SHRINKAGE_SOURCE)}`}
            value={board?.specificGravity ?? DEFAULT_GRAVITY}
            onChange={(specificGravity) => setBoard({ specificGravity })}
            least={0.2}
            most={1.3}
            step={0.05}
            decimals={2}
          />
        )}
      </Section>
      <Section
        title="Where the piece lives"
        help="Indoors, the driest month is often deep in the heating season and the dampest late in summer. Until you enter yours, a heated house in a temperate climate is taken, from memory."
      >
        {(['dry', 'damp'] as const).map((season) => (
          <AirFields
            key={season}
            title={season === 'dry' ? 'Driest month' : 'Dampest month'}
            air={home[season]}
            onChange={(air) => change(piece, { home: { ...home, [season]: air } })}
          />
        ))}
        {piece.body.home ? null : (
          <Button label="Take these for this piece" onPress={() => change(piece, { home })} />
        )}
        <Text kind="quiet">
          {`Now, in the shop: ${shop.temperatureC} °C and ${Math.round(shop.relativeHumidity * 100)} % humidity, from the shop page.`}
        </Text>
      </Section>
    </Page>
  );
}

const percent = (moisture: number): string => `${(100 * moisture).toFixed(1)} % moisture`;

const [WIDTH, ROW, BOARD] = [320, 50, 34];

/** The two edges of the crack in three seasons, many times enlarged, one scale for all. */
function GapDrawing({
  plan,
  gapMm,
  length,
}: {
  plan: CrackPlan;
  gapMm: number;
  length: (mm: number) => string;
}) {
  const theme = useTheme();
  const rows = [
    { label: 'Driest', gap: plan.gapDryMm },
    { label: 'Now', gap: gapMm },
    { label: 'Dampest', gap: plan.gapDampMm },
  ];
  const widest = Math.max(1, ...rows.map((r) => Math.abs(r.gap)));
  const scale = 110 / widest;
  const middle = WIDTH / 2 + 30;
  return (
    <View role="img" aria-label={rows.map((r) => `${r.label}: ${length(Math.max(0, r.gap))}`).join('. ')}>
      <Svg width="100%" height={rows.length * ROW} viewBox={`0 0 ${WIDTH} ${rows.length * ROW}`}>
        {rows.map((r, i) => {
          const y = i * ROW + 8;
          const half = (Math.max(0, r.gap) * scale) / 2;
          return (
            <SeasonRow
              key={r.label}
              y={y}
              half={half}
              middle={middle}
              label={r.label}
              pressing={r.gap < 0}
              ink={theme.ink}
            />
          );
        })}
      </Svg>
    </View>
  );
}

function SeasonRow({
  y,
  half,
  middle,
  label,
  pressing,
  ink,
}: {
  y: number;
  half: number;
  middle: number;
  label: string;
  pressing: boolean;
  ink: string;
}) {
  const [left, right] = [72, WIDTH - 2];
  return (
    <>
      <SvgText x={0} y={y + 22} fontSize={14} fontFamily={fonts.text} fill={ink}>
        {label}
      </SvgText>
      <Rect x={left} y={y} width={middle - half - left} height={BOARD} fill={materials.veneer} />
      <Rect x={middle + half} y={y} width={right - middle - half} height={BOARD} fill={materials.veneer} />
      <Rect x={middle - half} y={y} width={2 * half} height={BOARD} fill={materials.shade} />
      <Line
        x1={middle + half}
        x2={middle + half}
        y1={y}
        y2={y + BOARD}
        stroke={materials.lit}
        strokeWidth={2}
      />
      {pressing ? (
        <Line x1={middle} x2={middle} y1={y - 4} y2={y + BOARD + 4} stroke={materials.lamp} strokeWidth={3} />
      ) : null}
    </>
  );
}

const styles = StyleSheet.create({
  figures: { flexDirection: 'row', flexWrap: 'wrap', gap: 16 },
});
