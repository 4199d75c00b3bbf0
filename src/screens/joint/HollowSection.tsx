import { View } from 'react-native';
import {
  adhesiveById,
  glueForVoid,
  hollowMm3,
  HOLLOW_SIZES,
  HOLLOWS,
  poursFor,
  type Adhesive,
  type HollowShape,
  type HollowSize,
  wasteWords,
} from '@/core/adhesive';
import { describeSource } from '@/core/sources';
import { formatSmall } from '@/core/units';
import { Chips, Figure, Notice, Section, Text } from '@/ui';
import { useKeptChoice, useKeptLength } from '../shared/kept';
import { attempt } from '@/core/check';

const SHAPES = Object.keys(HOLLOWS) as HollowShape[];
const MOST_MM: Record<HollowSize, number> = {
  length: 2000,
  width: 300,
  depth: 300,
  diameter: 100,
  inner: 100,
};

/** Glue that fills: the hollow's size and what it takes of this glue. */
export function HollowSection({
  glue,
  shape: start,
  sizes,
}: {
  glue: Adhesive;
  shape: HollowShape;
  sizes: Record<HollowSize, number>;
}) {
  const [shape, setShape] = useKeptChoice('hollow.shape', start, SHAPES);
  const [length, lengthField] = useKeptLength('hollow.length', sizes.length);
  const [width, widthField] = useKeptLength('hollow.width', sizes.width);
  const [depth, depthField] = useKeptLength('hollow.depth', sizes.depth);
  const [diameter, diameterField] = useKeptLength('hollow.diameter', sizes.diameter);
  const [inner, innerField] = useKeptLength('hollow.inner', sizes.inner);
  const fields: Record<HollowSize, typeof lengthField> = {
    length: lengthField,
    width: widthField,
    depth: depthField,
    diameter: diameterField,
    inner: innerField,
  };
  // A glue that fills nothing is not worked out only to be refused: the one that fills is.
  const filling = glue.fillsGaps ? glue : adhesiveById('epoxy');
  const result = attempt(() => {
    const mm3 = hollowMm3(shape, { length, width, depth, diameter, inner });
    return { mm3, quantity: glueForVoid(filling, mm3) };
  });
  // A film between two walls does not heat itself; a pool does.
  const pours = shape === 'bored' || shape === 'scoop' ? poursFor(filling.id, depth) : undefined;
  return (
    <Section title="Glue that fills a hollow" help={HOLLOWS[shape].help}>
      {glue.fillsGaps ? null : (
        <Text kind="quiet">
          {`${glue.label} holds wood on wood and fills nothing. Where a hollow stays open, ${filling.label.toLowerCase()} fills it; these are its figures.`}
        </Text>
      )}
      <Chips
        label="Shape of the hollow"
        options={SHAPES.map((value) => ({ value, label: HOLLOWS[value].label }))}
        value={shape}
        onChange={setShape}
      />
      {HOLLOWS[shape].sizes.map((size) => fields[size](HOLLOW_SIZES[size], 0, MOST_MM[size]))}
      {result.ok ? (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 16 }}>
          <Figure
            label="Hollow"
            value={formatSmall(result.value.mm3 / 1000)}
            unit="ml"
            source={describeSource(HOLLOWS[shape].source)}
          />
          <Figure
            label="To fill it"
            value={formatSmall(result.value.quantity.millilitres)}
            unit="ml"
            note={`${formatSmall(result.value.quantity.grams)} g, ${wasteWords(result.value.quantity.wasteShare)}`}
            source={describeSource(result.value.quantity.source)}
          />
          {pours && pours.layers > 1 ? (
            <Figure
              label="Layers"
              value={String(pours.layers)}
              note={`of ${formatSmall(result.value.quantity.millilitres / pours.layers)} ml, a fresh mix for each`}
              source={describeSource(pours.source)}
            />
          ) : null}
        </View>
      ) : (
        <Notice kind="stop" title="Not with these figures">
          {result.problem}
        </Notice>
      )}
    </Section>
  );
}
