import { View } from 'react-native';
import { needsOf, needWords, type Plan } from '@/core/job';
import { useShop } from '@/records';
import { Button, Fold, Row, Section, Text } from '@/ui';
import { useAct } from '../shared/useAct';
import { useChange } from '../shared/useChange';
import { useUnits } from '../shared/useUnits';

const STANDS = { have: 'In stock', listed: 'On the shopping list', missing: 'Not in stock' } as const;

/** What the piece takes over all its steps; what is not in stock can be put on the shopping list. */
export function NeedsSection({ plan }: { plan: Plan }) {
  const { shop, record } = useShop();
  const change = useChange();
  const act = useAct();
  const { length } = useUnits();
  const needs = needsOf(plan, shop);
  const used = needs.filter((n) => !n.tool);
  const tools = needs.filter((n) => n.tool);
  const missing = needs.filter((n) => n.stands === 'missing');
  return (
    <Section
      title="What it takes"
      help="Added up over every repair and every face. Labels go before these figures."
    >
      <View>
        {used.map((n, i) => (
          <Row
            key={n.id}
            title={n.label}
            detail={n.stands ? STANDS[n.stands] : ''}
            value={needWords(n, length)}
            last={i === used.length - 1}
          />
        ))}
      </View>
      {tools.length > 0 ? (
        <Fold title={`To have at hand (${tools.length})`}>
          {tools.map((n) => (
            <Text key={n.id}>{[n.label, ...(n.stands ? [STANDS[n.stands]] : [])].join(': ')}</Text>
          ))}
        </Fold>
      ) : null}
      {missing.length > 0 && record ? (
        <Button
          label={`Put ${missing.length} on the shopping list`}
          onPress={() =>
            act(() =>
              change(record, {
                shopping: [...(shop.shopping ?? []), ...missing.flatMap((n) => n.material ?? [])],
              }),
            )
          }
        />
      ) : null}
    </Section>
  );
}
