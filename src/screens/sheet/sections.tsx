import { View } from 'react-native';
import {
  amountWords,
  assumedWords,
  coatsWords,
  materialLabel,
  type Amount,
  type Assumed,
  type DecidedCoats,
  type LinkPlan,
} from '@/core/job';
import { clampById } from '@/core/press';
import { describeSource } from '@/core/sources';
import { upperFirst } from '@/core/terms';
import { formatSmall } from '@/core/units';
import { Notice, Row, Section, Text } from '@/ui';
import { useUnits } from '../shared/useUnits';

const DETAILS: Record<Amount['of'], string> = {
  weight: 'For the real glued area, with its waste',
  volume: 'Made up for this place, with what is left on the tool',
  wood: 'Along the grain first, with room to fit and trim',
  pieces: 'Cut to length at the bench',
  tool: 'At hand',
};

/** What the method takes, each with its amount for this place. */
export function AmountsSection({
  amounts,
  colours = [],
}: {
  amounts: readonly Amount[];
  colours?: readonly DecidedCoats[];
}) {
  const { length } = useUnits();
  if (amounts.length + colours.length === 0) return null;
  return (
    <Section title="Materials and tools">
      <View>
        {amounts.map((a, i) => {
          const words = amountWords(a, length);
          return (
            <Row
              key={a.material}
              title={materialLabel(a)}
              detail={DETAILS[a.of]}
              {...(words ? { value: words } : {})}
              {...('source' in a ? { source: describeSource(a.source) } : {})}
              last={colours.length === 0 && i === amounts.length - 1}
            />
          );
        })}
        {colours.map((c, i) => (
          <Row
            key={c.colourId}
            title={c.name}
            detail={coatsWords(c)}
            value={`${formatSmall(c.productMl)} ml`}
            last={i === colours.length - 1}
          />
        ))}
      </View>
    </Section>
  );
}

/** Sizes that nobody has measured: the amounts are as sure as these. */
export function AssumedNotice({ assumed }: { assumed: readonly Assumed[] }) {
  if (assumed.length === 0) return null;
  return (
    <Notice kind="rest" title="Assumed, measure it">
      {`${upperFirst(assumedWords(assumed))}. Amounts and layers follow from it.`}
    </Notice>
  );
}

/** What holds it until the glue does; the bench keeps these clamps for it. */
export function ClampsSection({ link }: { link: LinkPlan }) {
  const clamps = Object.entries(link.clamps ?? {});
  if (link.heldWords && (link.held || clamps.length === 0))
    return (
      <Notice kind="rest" title="How it is held">
        {link.heldWords}
      </Notice>
    );
  return (
    <Section title="Clamps">
      {clamps.length === 0 ? (
        <Text kind="quiet">A hand, tape or a weight holds it.</Text>
      ) : (
        <View>
          {clamps.map(([kind, count], i) => (
            <Row
              key={kind}
              title={clampById(kind).label}
              detail="With pads, and a release sheet under them"
              value={String(count)}
              last={i === clamps.length - 1}
            />
          ))}
        </View>
      )}
    </Section>
  );
}
