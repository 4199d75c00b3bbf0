import { Pressable, StyleSheet, View } from 'react-native';
import { hexFromLab, type Lab } from '@/core/colour';
import { sweepOf, type CoatStep, type Fit } from '@/core/pigment';
import { carrierWords, type RepairView } from '@/core/job';
import { batchWords, boardsToCopy, coatsLampWords, coatsOf, handLaid, MOST_BOARD_COATS, roleOf, thinnings, thinnedTo, type CoatsOf, type RecipeCoats } from '@/core/shelf'; // prettier-ignore
import type { Stored } from '@/records';
import { Button, Chips, Notice, Section, Stepper, Text, useTheme } from '@/ui';
import { OutlookFigure } from './OutlookFigure';
import { Tone } from '../shared/Swatch';
import { TheLook } from './TheLook';
import { useRecipe } from './useRecipe';
import { namesOf } from '../shared/useShelf';

/** Swatches of a sweep: more are not told apart on a phone. */
const SWEPT = 6;

/** The recipe that is decided on: coats counted by hand, what each more or less would do, from the proposal or from a test board. Kept with the damage. */
export function OwnRecipe({
  damage,
  start,
  goal,
  wood,
  proposed,
  shelf,
  boards,
  fit,
  areaMm2,
  repair,
  unsure,
}: {
  damage: Stored<'damage'>;
  start: Lab;
  goal: Lab;
  wood: string;
  proposed: readonly CoatStep[];
  shelf: readonly Stored<'colour'>[];
  boards: readonly Stored<'board'>[];
  fit: Fit | undefined;
  /** Of the place that is coloured. */
  areaMm2: number;
  repair: RepairView | undefined;
  /** What is not known of where it begins. ΔE00, one standard deviation */
  unsure: number;
}) {
  const { kept, put, take } = useRecipe(damage);
  const nameOf = namesOf(shelf);
  const recipe: RecipeCoats = kept ?? proposed.map((s) => ({ colourId: s.id, coats: s.coats }));
  const products = coatsOf(shelf, fit);
  const { wanted, result, outlook } = handLaid(start, goal, recipe, products, fit, unsure);
  const set = (colourId: string, coats: number): void =>
    void put.current(recipe.map((r) => (r.colourId === colourId ? { ...r, coats } : r)));
  const thin = (colourId: string, carrierParts: number): void =>
    void put.current(thinnedTo(recipe, colourId, carrierParts));
  const of = (id: string): CoatsOf => recipe.find((r) => r.colourId === id) ?? { colourId: id, coats: 0 };
  const carrierOf = (id: string): string => {
    const colour = shelf.find((c) => c.id === id)?.body;
    return colour ? carrierWords(colour) : 'its thinner';
  };
  const lamp = coatsLampWords(start, goal, wanted, result);
  const others = shelf.filter((c) => roleOf(c.body.kind) !== 'mix' && !recipe.some((r) => r.colourId === c.id)); // prettier-ignore
  const copy = ({ body }: Stored<'board'>): void =>
    take(
      body.coats,
      `Taken from ${body.name}. It was made on ${body.wood || 'another wood'}: look at what it gives here.`,
    );
  return (
    <Section
      title="Your recipe for this place"
      help="Count the coats yourself, or tap a swatch. It is kept with the repair and printed in the record."
    >
      <View style={{ flexDirection: 'row', gap: 8 }}>
        <Tone lab={start} label="Bare" />
        <Tone lab={result.final} label="With these coats" />
        <Tone lab={goal} label="Goal" />
      </View>
      {outlook ? <OutlookFigure label="Difference expected" outlook={outlook} /> : null}
      {lamp ? <Notice kind="rest">{lamp}</Notice> : null}
      {wanted.map(({ coat, coats }) => (
        <View key={coat.id} style={{ gap: 6 }}>
          <Stepper
            label={`Coats of ${nameOf(coat.id)}, as decided`}
            value={coats}
            least={0}
            most={MOST_BOARD_COATS}
            onChange={(n) => set(coat.id, n)}
          />
          <Sweep
            swatches={sweepOf(start, goal, wanted, coat.id, SWEPT)}
            goal={goal}
            chosen={coats}
            name={nameOf(coat.id)}
            onChoose={(n) => set(coat.id, n)}
          />
          {coats > 0 && coat.kind !== 'clear' ? (
            <>
              <Chips
                label={`${nameOf(coat.id)}: how thin`}
                options={thinnings(carrierOf(coat.id))}
                value={of(coat.id).carrierParts ?? 0}
                onChange={(parts) => thin(coat.id, parts)}
              />
              <Text kind="quiet">{`For this place: ${batchWords({ ...of(coat.id), coats }, areaMm2, carrierOf(coat.id))}`}</Text>
            </>
          ) : null}
        </View>
      ))}
      {others.length > 0 ? (
        <Chips
          label="Another product"
          options={others.map((c) => ({ value: c.id, label: c.body.name }))}
          value={undefined}
          onChange={(colourId) => void put.current([...recipe, { colourId, coats: 1 }])}
        />
      ) : null}
      {boards.length > 0 ? (
        <Chips
          label="Begin from a test board"
          options={boardsToCopy(boards, wood).map((b) => ({
            value: b.id,
            label: `${b.body.name}, ${b.body.wood}`,
          }))}
          value={undefined}
          onChange={(id) => {
            const board = boards.find((b) => b.id === id);
            if (board) copy(board);
          }}
        />
      ) : null}
      {kept ? (
        <Button label="Follow the proposal again" kind="quiet" onPress={() => void put.current(undefined)} />
      ) : (
        <Text kind="quiet">As proposed above; change a count and it is yours.</Text>
      )}
      {repair ? <TheLook repair={repair} start={start} wanted={wanted} nameOf={nameOf} /> : null}
    </Section>
  );
}

/** What 0, 1, 2 … coats give, each over the goal it shall come to. */
function Sweep({
  swatches,
  goal,
  chosen,
  name,
  onChoose,
}: {
  swatches: readonly { coats: number; lab: Lab; deltaE00: number }[];
  goal: Lab;
  chosen: number;
  name: string;
  onChoose: (coats: number) => void;
}) {
  const theme = useTheme();
  return (
    <View style={styles.sweep}>
      {swatches.map(({ coats, lab, deltaE00 }) => (
        <Pressable
          key={coats}
          role="radio"
          aria-checked={coats === chosen}
          aria-label={`${coats} coats of ${name}: ${deltaE00.toFixed(1)} ΔE00 from the goal`}
          onPress={() => onChoose(coats)}
          style={[styles.swatch, { borderColor: coats === chosen ? theme.ink : 'transparent' }]}
        >
          <View style={[styles.half, { backgroundColor: hexFromLab(lab) }]} />
          <View style={[styles.half, styles.below, { backgroundColor: hexFromLab(goal) }]} />
          <Text kind="label">{String(coats)}</Text>
        </Pressable>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  sweep: { flexDirection: 'row', gap: 4 },
  swatch: { flex: 1, minHeight: 64, borderWidth: 2, borderRadius: 3, alignItems: 'center' },
  half: { alignSelf: 'stretch', height: 28 },
  below: { height: 14 },
});
