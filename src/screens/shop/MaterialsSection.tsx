import { View } from 'react-native';
import { MATERIALS, type MaterialId } from '@/core/catalogue';
import type { Shop } from '@/records';
import { Button, CheckChips, optionsOf, Section, Text } from '@/ui';

/** What is in stock, and what is to be bought. Until it is said, stock does not count in a decision. */
export function MaterialsSection({
  shop,
  onChange,
}: {
  shop: Shop;
  onChange: (patch: Partial<Shop>) => void;
}) {
  const { materials, shopping = [] } = shop;
  const bought = (m: MaterialId): void =>
    onChange({
      shopping: shopping.filter((s) => s !== m),
      materials: [...new Set([...(materials ?? []), m])],
    });
  return (
    <>
      {shopping.length > 0 ? (
        <Section title="To be bought">
          {shopping.map((m) => (
            <View key={m} style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8, alignItems: 'center' }}>
              <Text kind="strong" style={{ flexGrow: 1 }}>
                {MATERIALS[m]}
              </Text>
              <Button label="Bought" name={`Bought: ${MATERIALS[m]}`} onPress={() => bought(m)} />
              <Button
                label="Not needed"
                name={`Not needed: ${MATERIALS[m]}`}
                kind="quiet"
                onPress={() => onChange({ shopping: shopping.filter((s) => s !== m) })}
              />
            </View>
          ))}
        </Section>
      ) : null}
      <Section
        title="Materials in stock"
        help="A method whose material is missing stays in the ranking, marked; or it is left out for tonight."
      >
        <CheckChips<MaterialId>
          label="Materials in stock"
          options={optionsOf(MATERIALS)}
          values={materials ?? []}
          onChange={(next) => onChange({ materials: next })}
        />
        {materials ? (
          <Button
            label="Leave the stock out of decisions"
            kind="quiet"
            onPress={() => onChange({ materials: undefined })}
          />
        ) : (
          <Text kind="quiet">Nothing is ticked yet, so stock does not count.</Text>
        )}
      </Section>
    </>
  );
}
