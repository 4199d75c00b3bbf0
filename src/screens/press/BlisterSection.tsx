import { StyleSheet, View } from 'react-native';
import { Circle, G, Line } from 'react-native-svg';
import {
  blisterPlan,
  mouthSections,
  NEEDLE_REACH_MM,
  SECTION_MM,
  STEEP_LIGHTNESS,
  type BlisterPlan,
  type QuietSlit,
} from '@/core/glueup';
import { describeSource } from '@/core/sources';
import { formatMinutes, formatSmall } from '@/core/units';
import { Button, Figure, materials, Notice, Section, Stepper, Text } from '@/ui';
import { useUnits } from '../shared/useUnits';
import { stagesOf, type PressPlan } from '@/core/job';

export const blisterOf = (plan: PressPlan, grainDeg: number, asideMm: number): BlisterPlan =>
  blisterPlan(plan.outline, grainDeg, plan.millilitres, asideMm);

/** The slit along the grain and where the needle goes in, on the face. */
export function BlisterMarks({ blister, k }: { blister: BlisterPlan; k: number }) {
  const [[x1, y1], [x2, y2]] = blister.slit;
  return (
    <G>
      <Line x1={x1} y1={y1} x2={x2} y2={y2} stroke={materials.badge} strokeWidth={5 / k} />
      <Line x1={x1} y1={y1} x2={x2} y2={y2} stroke={materials.onBadge} strokeWidth={2 / k} />
      {blister.entries.map(([x, y]) => (
        <Circle
          key={`${x} ${y}`}
          cx={x}
          cy={y}
          r={6 / k}
          fill={materials.lamp}
          stroke={materials.badge}
          strokeWidth={1.5 / k}
        />
      ))}
    </G>
  );
}

const lines = (count: number): string => (count === 1 ? 'one line' : `${count} lines`);

/** Lines that the slit nearest to this place would cross. */
const crossedAt = ({ byAside }: QuietSlit, asideMm: number): number =>
  byAside.reduce((a, b) => (Math.abs(b.asideMm - asideMm) < Math.abs(a.asideMm - asideMm) ? b : a)).crossed;

/** What the photo says of the place for the slit. */
function quietWords(
  { asideMm, crossed, crossedOnLongest }: QuietSlit,
  length: (mm: number) => string,
): string {
  if (crossedOnLongest === 0) return 'In the photo its longest line crosses no line of the figure.';
  if (crossed === crossedOnLongest)
    return `In the photo ${lines(crossed)} of the figure ${crossed === 1 ? 'runs' : 'run'} across all of it; no slit goes round. Stop the cut on either side of each.`;
  return `In the photo the longest line would cut through ${lines(crossedOnLongest)} of the figure; ${length(Math.abs(asideMm))} aside it cuts through ${crossed === 0 ? 'none' : lines(crossed)}.`;
}

export function BlisterSection({
  blister,
  asideMm,
  quiet,
  byHand,
  onAside,
  onQuiet,
}: {
  blister: BlisterPlan;
  asideMm: number;
  /** What the photo says, once it has been read. */
  quiet?: QuietSlit;
  /** The user has moved the slit. */
  byHand: boolean;
  onAside: (mm: number) => void;
  onQuiet: () => void;
}) {
  const { length } = useUnits();
  return (
    <Section
      title="Slit and inject"
      help="Along the grain, on the longest line that stays on loose wood and cuts through as little of the figure as may be."
    >
      <View style={styles.figures}>
        <Figure label="Slit" value={length(blister.slitMm)} />
        <Figure
          label="Places"
          value={String(blister.entries.length)}
          source={describeSource(NEEDLE_REACH_MM.source)}
        />
        <Figure label="In each" value={formatSmall(blister.mlPerEntry)} unit="ml" />
        {quiet ? (
          <Figure
            label="Lines it cuts"
            value={String(crossedAt(quiet, asideMm))}
            note="of the figure, in the photo"
            source={describeSource(STEEP_LIGHTNESS.source)}
          />
        ) : null}
      </View>
      <Stepper
        label="Move the slit across the grain"
        unit="mm"
        value={asideMm}
        least={-200}
        most={200}
        step={2}
        onChange={onAside}
      />
      {quiet ? (
        <Text>{quietWords(quiet, length)}</Text>
      ) : (
        <Text kind="quiet">Without a photo of the face, look for lines of the figure yourself.</Text>
      )}
      {quiet && byHand ? (
        <Button label="Back to where the figure is calm" kind="quiet" onPress={onQuiet} />
      ) : null}
    </Section>
  );
}

/** In how many goes it is laid, and why. */
export function StagesSection({ plan, mouthMm }: { plan: PressPlan; mouthMm?: number }) {
  const { length } = useUnits();
  const stages = stagesOf(plan);
  const sections = mouthMm === undefined ? undefined : mouthSections(mouthMm, plan.owned);
  if (!stages) {
    return plan.times.ok ? (
      <Notice kind="stop" title="Not in time">
        The glue would tack before one clamp is on. Take a slower glue, warm the piece, or get a second pair
        of hands.
      </Notice>
    ) : null;
  }
  const [first] = stages.stages;
  return (
    <Section title={stages.stages.length === 1 ? 'In one go' : `In ${stages.stages.length} stages`}>
      <Text>
        {stages.stages.length === 1
          ? `Laying takes about ${formatMinutes(first?.layingMin ?? 0)}, well within the open time.`
          : stages.limit === 'clamps'
            ? `Each stage takes ${first?.clamps ?? 0} clamps. The next waits until they come off.`
            : `Each takes about ${formatMinutes(first?.layingMin ?? 0)} to lay. Begin at the far end from the mouth; finish at the mouth.`}
      </Text>
      {plan.grams > 0 ? (
        <Text>
          {stages.stages.length === 1
            ? `Mix or pour one batch of ${formatSmall(plan.grams)} g.`
            : `Mix or pour a fresh batch of ${formatSmall(plan.grams / stages.stages.length)} g for each stage, not all at once: what stands open tacks in the pot.`}
        </Text>
      ) : null}
      {sections && sections.count > 1 ? (
        <Text kind="quiet">
          {`The mouth is pressed in ${sections.count} sections of ${length(sections.lengthMm)}, ${sections.atOnce} at a time. ${describeSource(SECTION_MM.source)}`}
        </Text>
      ) : null}
    </Section>
  );
}

const styles = StyleSheet.create({ figures: { flexDirection: 'row', flexWrap: 'wrap', gap: 16 } });
