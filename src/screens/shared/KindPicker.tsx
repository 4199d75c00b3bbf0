import { useState } from 'react';
import { View } from 'react-native';
import { DAMAGE_FAMILIES, DAMAGE_KINDS, kindInfo, kindsOf, type DamageFamily, type DamageKind } from '@/core/damage'; // prettier-ignore
import { Chips, optionsOf, Text } from '@/ui';

/** What kind of damage it is: the family first, then the kind, then how to tell it. */
export function KindPicker({ value, onChange }: { value: DamageKind; onChange: (kind: DamageKind) => void }) {
  // A family that is only looked into changes nothing yet.
  const [lookedAt, setLookedAt] = useState<{ for: DamageKind; family: DamageFamily }>();
  const family = lookedAt?.for === value ? lookedAt.family : kindInfo(value).family;
  return (
    <View style={{ gap: 12 }}>
      <Chips<DamageFamily>
        label="Where is the damage?"
        options={optionsOf(DAMAGE_FAMILIES)}
        value={family}
        onChange={(f) => setLookedAt({ for: value, family: f })}
      />
      <Chips<DamageKind>
        label="What is it?"
        options={kindsOf(family).map((k) => ({ value: k, label: DAMAGE_KINDS[k].label }))}
        value={value}
        onChange={onChange}
      />
      <Text kind="quiet">
        {family === kindInfo(value).family ? DAMAGE_KINDS[value].look : DAMAGE_FAMILIES[family].look}
      </Text>
    </View>
  );
}
